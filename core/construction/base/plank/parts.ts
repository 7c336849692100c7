import type { AssemblyPart } from "../../../assembly/part";
import type { BaseFacts } from "../base";
import { endShape } from "../standing-end";
import { stretchersBetween } from "../stretchers";
import type { Plank } from "./place";

type Plain = Omit<AssemblyPart, "adds" | "cuts">;
/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { along: 200, down: 140 };

/** Ends on their feet, and the stretcher between them. */
export function plankParts({ form, at }: BaseFacts<Plank>): AssemblyPart[] {
  const { ends, plank, under, bays, stretcher, mitred, floor, top } = at;
  const all: Plain[] = ends.map(({ x, outer }, i): Plain => ({
    id: `P${i + 1}`,
    kind: outer ? "plank-end" : "middle-end",
    name: outer ? "End" : "Middle end",
    letter: "P",
    role: "panel",
    make: "solid",
    note: `Glued from the boards chosen for it, its grain upright${mitred && outer ? "; mitred to the top in one with it" : ""}.`,
    shape: endShape(plank, outer ? plank.height : under - floor, floor > 0 ? 0 : form.plank.relief),
    place: { at: [x - plank.thickness / 2, outer ? 0 : floor, -plank.width / 2], x: [0, 1, 0], y: [0, 0, 1] },
    opens: [Math.sign(x) * PULL.along, -PULL.down, 0],
  }));
  if (floor > 0)
    all.push({
      ...{ id: "Y", kind: "bottom-board", name: "Bottom", letter: "Y", role: "panel", make: "solid" },
      note: "Glued from the boards chosen for it; mitred to the ends in one with them.",
      shape: { length: top.length, width: plank.width, thickness: floor },
      place: { at: [-top.length / 2, floor, -plank.width / 2], x: [1, 0, 0], y: [0, 0, 1] },
      opens: [0, -2 * PULL.down, 0],
    });
  if (at.wall) all.push(...wallParts(at, at.wall));
  if (stretcher) all.push(...stretchersBetween({ bays, stretcher, marked: "ends", opens: [0, -PULL.down, 0] }));
  return all.map((part) => ({ ...part, adds: [], cuts: [] }));
}

/** Boards on edge between the ends. */
const wallParts = ({ bays }: Plank, { from, depth, thickness, back }: NonNullable<Plank["wall"]>): Plain[] =>
  bays.map((bay, i): Plain => ({
    ...{
      id: bays.length > 1 ? `W${i + 1}` : "W",
      kind: "wall",
      name: "Wall",
      letter: "W",
      role: "panel",
      make: "solid",
    },
    note: "Glued from the boards chosen for it, its grain along the piece; let in dry at both ends.",
    shape: { length: Math.max(1, bay.to - bay.from), width: depth, thickness },
    place: { at: [bay.from, from, back], x: [1, 0, 0], y: [0, 1, 0] },
    opens: [0, 0, -PULL.along],
  }));
