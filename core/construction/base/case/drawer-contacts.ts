/** Where the parts of a drawer meet. */
import { BACK, FRONT, RIGHT, UP } from "../../../assembly/vector";
import { Contact, screwFor } from "../contact";
import type { Drawer } from "./case";
import { turnedAbout } from "./cut";
import { ofSize } from "./drawer";

/** A front on its box: a screw for so much of it, so far from its face, in a hole so wide that it can be set, mm. @source common practice */
const FRONT_SCREWS = { every: 220, over: 4, slot: 9 };

/** @param tails  on a side, null as many as its width asks for; `named`: how a card calls the drawer */
export function atDrawer(drawer: Drawer, tails: number | null, named: string): Contact[] {
  const { n, across, width, high, deep, side, front, head, slides, back, turned } = drawer;
  const kind = (of: string) => ofSize(of, drawer);
  const inner = { front: head.face - head.thickness, back: deep.from + side };
  const group = (of: "front" | "back" | "box-front") => `${kind(`drawer-${of}`)}+${kind("drawer-side")}`;
  const before: Contact[] = slides
    ? [
        {
          ...{
            group: `${kind("drawer-front")}+${kind("drawer-box-front")}`,
            name: `${named}: box to front`,
            how: "screws",
          },
          ...{ enters: `VF${n}`, receives: `C${n}`, depth: front.thickness },
          section: { width, thickness: high.to - high.from },
          screws: {
            ...{ screws: Math.max(2, Math.round(width / FRONT_SCREWS.every)), through: side },
            ...{ long: screwFor(side + front.thickness - FRONT_SCREWS.over), slot: FRONT_SCREWS.slot },
          },
          face: { at: [across.from, high.from, head.face], x: FRONT, y: RIGHT },
        },
      ]
    : [];
  const boxed: Contact[] = [0, 1].flatMap((i): Contact[] => {
    const left = i === 0 ? across.from : across.to - side;
    const enters = `V${2 * n - 1 + i}`;
    return [
      {
        ...{
          group: group(slides ? "box-front" : "front"),
          name: slides ? `${named}: side to the box’s front` : `${named}: side to front`,
          enters,
          receives: slides ? `VF${n}` : `C${n}`,
          how: slides ? "through" : "lapped",
          tails,
        },
        ...{ section: { width: high.to - high.from, thickness: side }, depth: head.thickness },
        face: { at: [left + side, high.from, inner.front], x: FRONT, y: UP },
      },
      {
        ...{ group: group("back"), name: `${named}: side to back`, enters, receives: `VB${n}`, how: "through" },
        ...{ section: { width: back.to - back.from, thickness: side }, depth: side },
        face: { at: [left, back.from, inner.back], x: BACK, y: UP },
      },
    ] satisfies Contact[];
  });
  return [...boxed, ...before].map((contact) =>
    turned ? { ...contact, face: turnedAbout(turned, contact.face) } : contact,
  );
}
