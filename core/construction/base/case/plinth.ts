/** A plinth below a case: four boards mitred at their corners, set back in front, screwed to from inside the case. mm */
import type { AssemblyPart } from "../../../assembly/part";
import { Place } from "../../../assembly/place";
import { DOWN, FRONT, RIGHT, UP } from "../../../assembly/vector";
import type { Footprint } from "../../geometry";
import { Contact, mitredCorner, screwFor } from "../contact";
import type { Span } from "../leg-frame/place";
import type { Case, Plinth } from "./case";
import { PULL } from "./cut";

/** It stands so far in at the ends and behind; a screw for so much of its length goes so far into it, mm. @source common practice */
const PLINTH = { aside: 12, behind: 4, every: 220, into: 30 };

export const placePlinth = (
  outside: { x: Span; z: Span },
  { height, thickness, setBack }: { height: number; thickness: number; setBack: number },
): Plinth => ({
  ...{ height, thickness },
  x: { from: outside.x.from + PLINTH.aside, to: outside.x.to - PLINTH.aside },
  z: { from: outside.z.from + PLINTH.behind, to: outside.z.to - setBack },
});

/** Its long boards touch the floor from end to end. */
export const plinthFeet = ({ x, z, thickness }: Plinth): Footprint[] =>
  [z.from + thickness / 2, z.to - thickness / 2].map((middle) => ({
    ...{ x: (x.from + x.to) / 2, z: middle, length: x.to - x.from, width: thickness },
  }));

/** Front KF, back KB, sides KS. */
export function plinthParts({ x, z, height, thickness }: Plinth): AssemblyPart[] {
  const stick = { make: "solid", role: "rail", adds: [], cuts: [] } as const;
  const note = "Mitred at both ends; a millimetre off the floor in the middle of its length.";
  const along = (id: string, named: { kind: string; name: string }, at: number, out: number): AssemblyPart => ({
    ...{ id, ...named, letter: id, ...stick, note },
    shape: { length: x.to - x.from, width: height, thickness },
    place: { at: [x.from, 0, at], x: RIGHT, y: UP },
    opens: [0, -PULL.down, out * (PULL.back / 2)],
  });
  return [
    along("KB", { kind: "plinth-back", name: "Back of the plinth" }, z.from, -1),
    along("KF", { kind: "plinth-front", name: "Front of the plinth" }, z.to - thickness, 1),
    ...[-1, 1].map((way, i): AssemblyPart => ({
      ...{ id: `KS${i + 1}`, kind: "plinth-side", name: "Side of the plinth", plural: "Sides of the plinth" },
      ...{ letter: "KS", ...stick, note },
      shape: { length: z.to - z.from, width: height, thickness },
      place: { at: [way < 0 ? x.from + thickness : x.to, 0, z.from], x: FRONT, y: UP },
      opens: [way * (PULL.along / 2), -PULL.down, 0],
    })),
  ];
}

/** Mitres with a spline in each; screws down through the bottom, which moves over all but the front. */
export function plinthContacts(at: Case, plinth: Plinth, slot: number): Contact[] {
  const { x, z, height, thickness } = plinth;
  const corners = ([-1, 1] as const).flatMap((sz) =>
    ([-1, 1] as const).map((sx, j): Contact => {
      const kind = sz < 0 ? "plinth-back" : "plinth-front";
      return {
        ...{ group: `plinth-side+${kind}`, name: `${sz < 0 ? "Back" : "Front"} of the plinth to side` },
        ...{ enters: sz < 0 ? "KB" : "KF", receives: `KS${j + 1}`, section: { width: height, thickness } },
        ...{ how: "mitred", depth: thickness, mitre: { held: "spline", set: [] } },
        face: mitredCorner({ x, z, y: { from: 0, to: height } }, sx, sz),
      };
    }),
  );
  const within = { x: at.inside, z: { from: Math.max(z.from, at.insideBack), to: z.to } };
  const held = (
    [kind, said, receives]: [string, string, string],
    [width, face]: [number, Place],
    slotWay: "along" | "across" | null,
  ): Contact => ({
    ...{ group: `${kind}+case-bottom`, name: `Bottom to the ${said} of the plinth`, enters: "Q", receives },
    ...{ how: "screws", section: { width, thickness }, depth: height, face },
    screws: {
      ...{ screws: Math.max(2, Math.round(width / PLINTH.every)), through: at.floor },
      long: screwFor(at.floor + Math.min(PLINTH.into, height - 2)),
      ...(slotWay ? { slot, slotWay } : {}),
    },
  });
  const long = within.x.to - within.x.from;
  const deep = within.z.to - within.z.from - 2 * thickness;
  // seen from below: down into the board, along it, across it
  return [
    ...corners,
    held(
      ["plinth-front", "front", "KF"],
      [long, { at: [within.x.from, height, z.to - thickness], x: DOWN, y: RIGHT }],
      null,
    ),
    held(["plinth-back", "back", "KB"], [long, { at: [within.x.from, height, z.from], x: DOWN, y: RIGHT }], "across"),
    ...[x.from, x.to - thickness].map((from, i) =>
      held(
        ["plinth-side", "side", `KS${i + 1}`],
        [deep, { at: [from + thickness, height, within.z.from + thickness], x: DOWN, y: FRONT }],
        "along",
      ),
    ),
  ];
}
