import type { AssemblyPart, Worked } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { CaseChoices } from "../../../piece/case-choices";
import type { Form } from "../../../piece/schema";
import { cut, PULL, turnedAbout } from "./cut";
import type { Drawer } from "./case";
import { bottomSize, DRAWER, HANG, ofSize } from "./drawer";
import type { Case } from "./case";
import { holesIn, pullOut } from "./pull";

const stick = { make: "solid", role: "rail" } as const;
const OPENING = "its opening, once the case is closed";

/** A side's own frame: along it to the front, up it, through it to the left. */
const SIDE = { x: [0, 0, 1] as Vec, y: [0, 1, 0] as Vec };
/** A groove for a bottom: along it, into the part to the right or to the front, up. */
const GROOVE = { x: [0, 0, 1] as Vec, y: [1, 0, 0] as Vec };

/** Every drawer, closed: front C, the box’s own VF where it runs on slides, sides V, back VB, bottom X. */
export const drawerParts = (
  { case: { drawers } }: Form,
  { drawers: all, bow }: Pick<Case, "drawers" | "bow">,
): AssemblyPart[] =>
  all.flatMap((drawer) =>
    partsOf(drawer, drawers.bottom === "solid", {
      pull: drawers.pull,
      out: bow ? pullOut(drawer, drawers.pull, bow) : 0,
    })
      .map((part) => (part.id === `C${drawer.n}` ? fromOneBoard(part, drawer, all, drawers.from) : part))
      .map((part) =>
        drawer.turned
          ? { ...part, place: turnedAbout(drawer.turned, part.place), opens: [0, 0, -PULL.front] satisfies Vec }
          : part,
      ),
  );

/** A front with those it shares a board with: what is told of it, and the group it comes with. */
function fromOneBoard(
  part: AssemblyPart,
  drawer: Drawer,
  all: readonly Drawer[],
  from: CaseChoices["drawers"]["from"],
): AssemblyPart {
  const level = ({ front, turned }: Drawer) => `${Math.round(front.from)} ${turned ? "behind" : "in front"}`;
  const mates = from === "apart" ? [] : all.filter((each) => from === "all" || level(each) === level(drawer));
  if (mates.length < 2) return part;
  return {
    ...part,
    fromOne: `fronts of C${Math.min(...mates.map(({ n }) => n))}`,
    note: `${part.note} ${from === "row" ? "Those side by side come from one board, from the left" : "All come from one board, from above"}: a mark across all of them before they are parted.`,
  };
}

/** @param pulled  the pull, and how far the front stands out there */
function partsOf(
  drawer: Drawer,
  solid: boolean,
  { pull, out }: { pull: CaseChoices["drawers"]["pull"]; out: number },
): AssemblyPart[] {
  const { n, across, width, high, deep, side, front, head, slides, back, bottom, hanger } = drawer;
  const opens: Vec = [0, 0, PULL.front];
  const kind = (of: string) => ofSize(of, drawer);
  const named = (of: string, name: string) => ({ kind: kind(of), name, opens, markedFrom: OPENING });
  const inner = { front: head.face - head.thickness, back: deep.from + side };
  const bottomKind = kind("drawer-bottom");
  const { groove } = bottom;

  const faced: Place = { at: [front.across.from, front.from, deep.to - front.thickness], x: [1, 0, 0], y: [0, 1, 0] };
  const headed: Place = slides ? { at: [across.from, high.from, inner.front], x: [1, 0, 0], y: [0, 1, 0] } : faced;
  const grooved = cut(
    bottomKind,
    headed,
    { length: groove, width: width - 2 * side + 2 * groove, thickness: bottom.thickness },
    { at: [across.from + side - groove, bottom.from, inner.front], ...GROOVE },
  );
  const backed: Place = { at: [across.from, back.from, deep.from], x: [1, 0, 0], y: [0, 1, 0] };
  const sides = [-1, 1].map((way, i): AssemblyPart => {
    const left = way < 0 ? across.from : across.to - side;
    const place: Place = { at: [left + side, high.from, inner.back], ...SIDE };
    // below the back and above it the side goes on to where the back ends
    const beyond = (from: number, to: number): Worked[] =>
      to - from > 0
        ? [
            {
              by: kind("drawer-back"),
              shape: { length: side, width: to - from, thickness: side },
              place: { at: [-side, from - high.from, 0], x: [1, 0, 0], y: [0, 1, 0] },
              shows: true,
            },
          ]
        : [];
    return {
      ...{ id: `V${2 * n - 1 + i}`, letter: "V", ...stick, ...named("drawer-side", "Drawer side") },
      note: `Its dovetails are included; grooved for the bottom inside${hanger ? " and for its strip outside" : ""}, left and right.`,
      shape: { length: inner.front - inner.back, width: high.to - high.from, thickness: side },
      place,
      adds: [...beyond(high.from, back.from), ...beyond(back.to, high.to)],
      cuts: [
        cut(
          bottomKind,
          place,
          { length: head.face - deep.from, width: groove, thickness: bottom.thickness },
          { at: [way < 0 ? left + side - groove : left, bottom.from, deep.from], ...GROOVE },
        ),
        // open behind, where its strip goes in
        ...(hanger
          ? [
              cut(
                "hanger",
                place,
                { length: hanger.to - deep.from, width: hanger.depth, thickness: hanger.height + HANG.play },
                { at: [way < 0 ? left : left + side - hanger.depth, hanger.y - HANG.play / 2, deep.from], ...GROOVE },
              ),
            ]
          : []),
      ],
    };
  });
  const size = bottomSize(drawer, solid);
  return [
    {
      ...{ id: `C${n}`, letter: "C", ...stick, ...named("drawer-front", "Drawer front") },
      note: slides
        ? "Fitted to its opening with the box on its slides; screwed from inside the box, through holes that let it be set even."
        : "Fitted to its opening before anything is marked on it; grooved for the bottom between its pins.",
      shape: {
        length: front.across.to - front.across.from,
        width: front.to - front.from,
        thickness: front.thickness,
      },
      place: faced,
      adds: [],
      cuts: [
        ...(slides ? [] : [grooved]),
        ...holesIn(drawer, pull, faced, { from: deep.to - front.thickness, to: deep.to + out }),
      ],
    },
    ...(slides
      ? [
          {
            ...{ id: `VF${n}`, letter: "VF", ...stick, ...named("drawer-box-front", "Front of a drawer’s box") },
            note: "As long as the back; grooved for the bottom between its pins.",
            shape: { length: width, width: high.to - high.from, thickness: side },
            place: headed,
            adds: [],
            cuts: [grooved, ...holesIn(drawer, pull, headed, { from: inner.front, to: head.face })],
          } satisfies AssemblyPart,
        ]
      : []),
    ...sides,
    {
      ...{ id: `VB${n}`, letter: "VB", ...stick, ...named("drawer-back", "Drawer back") },
      note: `As long as its front; ends ${DRAWER.lower} mm below the sides, on the bottom.`,
      shape: { length: width, width: back.to - back.from, thickness: side },
      place: backed,
      adds: [],
      // the strips pass its pins
      cuts: hanger
        ? [across.from, across.to - hanger.depth].map((x) =>
            cut(
              "hanger",
              backed,
              { length: side, width: hanger.depth, thickness: hanger.height + HANG.play },
              { at: [x, hanger.y - HANG.play / 2, deep.from], ...GROOVE },
            ),
          )
        : [],
    },
    {
      ...{ id: `X${n}`, kind: bottomKind, name: "Drawer bottom", letter: "X", make: "solid", opens },
      ...(solid
        ? {
            role: "panel",
            note: "Its grain from side to side; glued in the front’s groove only, one screw in a slot below the back, so that it may move.",
          }
        : {
            role: "sheet",
            sheet: { material: "plywood", thickness: size.thickness, turns: true },
            note: "In the grooves of front and sides, screwed to the back from below.",
          }),
      shape: size,
      place: {
        at: [across.from + side - groove + DRAWER.loose, bottom.from, deep.from + size.width],
        ...{ x: [1, 0, 0], y: [0, 0, -1] },
      },
      ...{ adds: [], cuts: [] },
    },
  ];
}
