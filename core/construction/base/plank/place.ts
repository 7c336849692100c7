import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import { MITRE_LOST } from "../../../panels/row";
import { LET_IN, PanelPlace, PanelRow, PieceGeometry, Seat } from "../../geometry";
import { topOf } from "../../top/core";
import { footLength, reliefOf } from "../standing-end";

/** Where everything of a piece on plank ends stands, mm. */
export interface Plank extends PieceGeometry {
  kind: "plank";
  /** middle of each end along the top, from the left, and what each is */
  ends: { x: number; outer: boolean }[];
  plank: { width: number; thickness: number; height: number };
  mitred: boolean;
  /** thickness of the board that closes it below, 0 where it is open */
  floor: number;
  stretcher: { depth: number; thickness: number; from: number } | null;
  bays: { from: number; to: number }[];
  /** a board on edge in each bay: its lower edge and how wide, z of its back face */
  wall: { from: number; depth: number; thickness: number; back: number } | null;
}

/** Ends whose corners are mitred reach to the top's own ends and sides, and are as thick as it is. */
export const isMitred = ({ plank }: Form) => plank.joint === "mitred";
/** A board below closes them: a piece of four boards and four mitres, open in front and behind. */
export const isClosed = (form: Form) => isMitred(form) && form.plank.floor === "mitred";

/** How far an end is let into the top: 8 mm, a third of it at most. @source common practice */
export const letInTop = (top: number) => Math.max(1, Math.floor(Math.min(LET_IN, top / 3)));

/** How far an end goes on beyond its shoulders under the top: into it, or through it. */
const intoTop = ({ joint, proud }: Form["plank"], top: number, outer: boolean) =>
  joint === "through" ? top + proud : joint === "housed" && outer ? letInTop(top) : 0;

/** How far a wall is let into an end: 8 mm, a third of it at most. @source common practice */
export const wallLetIn = (end: number) => Math.max(1, Math.floor(Math.min(LET_IN, end / 3)));

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placePlank(form: Form, asBuilt: readonly AsBuilt[]): Plank {
  const { top, core } = topOf(form, asBuilt);
  const { plank: choice } = form;
  const mitred = isMitred(form);
  const thickness = mitred ? top.thickness : measuredOr(asBuilt, "plank-end", "thickness", choice.thickness);
  const width = mitred ? top.width : Math.max(1, top.width - 2 * choice.setIn);
  const under = form.height - top.thickness;
  const height = mitred ? form.height : under;
  const reach = top.length / 2 - (mitred ? 0 : form.overhang.end) - thickness / 2;
  const xs = choice.ends === 3 ? [-reach, 0, reach] : [-reach, reach];
  const ends = xs.map((x) => ({ x, outer: x !== 0 || xs.length === 2 }));
  const { kind, depth, thickness: thick, height: from } = choice.stretcher;
  const bays = xs.slice(1).map((x, i) => ({ from: xs[i] + thickness / 2, to: x - thickness / 2 }));
  const wall =
    choice.wall.kind === "none"
      ? null
      : {
          from: choice.wall.height,
          depth: choice.wall.depth,
          thickness: choice.wall.thickness,
          back: choice.wall.place === "back" ? -width / 2 : -choice.wall.thickness / 2,
        };
  const floor = isClosed(form) ? top.thickness : 0;
  const relief = floor > 0 ? 0 : reliefOf(choice.relief, height);
  const foot = relief > 0 ? footLength(width) : width / 2;
  const apart = [
    ...ends.map(({ outer }, i): PanelPlace => ({
      id: `end-${i + 1}`,
      kind: outer ? "plank-end" : "middle-end",
      part: `P${i + 1}`,
      name: i === 0 ? "left end" : outer ? "right end" : "middle end",
      length: (outer ? height : under - floor) + intoTop(choice, top.thickness, outer),
      ...{ width, thickness },
      sizesAt: ["form", "plank"],
    })),
    ...(floor > 0 ? [bottomBoard(top.length, width, floor)] : []),
    ...(wall
      ? bays.map((bay, i) => wallPanel(bay, { ...wall, letIn: wallLetIn(thickness) }, bays.length > 1 ? i + 1 : null))
      : []),
  ];
  return {
    kind: "plank",
    keeps: { end: !mitred, side: false },
    ...{ top, core, under, ends, mitred, floor, bays, wall },
    plank: { width, thickness, height },
    stretcher: kind === "none" ? null : { depth, thickness: thick, from },
    frame: { length: 2 * reach + thickness, width },
    bearers: [],
    posts: [],
    through: null,
    feet:
      floor > 0
        ? [{ x: 0, z: 0, length: 2 * reach + thickness, width }]
        : xs.flatMap((x) =>
            [-1, 1].map((side) => ({ x, z: (side * (width - foot)) / 2, length: thickness, width: foot })),
          ),
    sticks: [],
    seats: bays.map((bay): Seat => ({
      ...bay,
      ...{ back: -width / 2, front: width / 2, height: form.shelf.height },
      ...{ holders: ["plank-end", "middle-end"], letIn: LET_IN, width: "free" },
    })),
    ...(mitred && choice.blank === "one"
      ? {
          row: rowOf(top, { height, floor }),
          panels: apart.filter((each) => each.kind === "middle-end" || each.kind === "wall"),
        }
      : { panels: apart }),
    kneeRoom: under,
    between: Math.min(...bays.map(({ from: a, to }) => to - a)),
  };
}

/** The grain runs up the left end, over the top, down the right end, and on below where it is closed. */
export const rowOf = (top: PieceGeometry["top"], { height, floor }: { height: number; floor: number }): PanelRow => ({
  lost: top.thickness + MITRE_LOST,
  pieces: [
    { name: "left end", kind: "plank-end", length: height },
    { name: "top", kind: "top", length: top.length },
    { name: "right end", kind: "plank-end", length: height },
    ...(floor > 0 ? [{ name: "bottom", kind: "bottom-board", length: top.length }] : []),
  ],
});

const wallPanel = (
  { from, to }: Plank["bays"][number],
  { depth, thickness, letIn }: NonNullable<Plank["wall"]> & { letIn: number },
  n: number | null,
): PanelPlace => ({
  ...{
    id: `wall${n ? `-${n}` : ""}`,
    kind: "wall",
    part: `W${n ?? ""}`,
    name: n ? `${n === 1 ? "left" : "right"} wall` : "wall",
  },
  ...{ length: to - from + 2 * letIn, width: depth, thickness, sizesAt: ["form", "plank", "wall"] },
});

const bottomBoard = (length: number, width: number, thickness: number): PanelPlace => ({
  ...{ id: "bottom-board", kind: "bottom-board", part: "Y", name: "bottom", length, width, thickness },
  sizesAt: ["form", "plank"],
});
