/** The leaf that lies folded on a top that turns, the rail its pivot goes through, the pivot and the hinges, and how all of it opens. mm */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart, Pose, Worked } from "../../assembly/part";
import { Place, seenFrom, within } from "../../assembly/place";
import type { SmallPart } from "../../assembly/small";
import { BACK, FRONT, LEFT, RIGHT, UP, Vec } from "../../assembly/vector";
import { housing } from "../../joinery/housing";
import { round } from "../../joinery/joint";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { LIFT } from "../top/part";
import { FELT } from "./turn";

const PIVOT_BY = "pivot";
/** Room round the bolt in its rail; how far it stands out below for washer and nut; how deep its insert is let into the top. mm @source common practice */
export const PIVOT = { play: 0.5, below: 16, insert: 0.7 };
/** Hinges let into the edges at both ends of the folded line: along it, over both leaves, thick. @source common practice */
const HINGE = { long: 28, thick: 2.5, fromEnd: 12 };

/** Flat: along the table, its width to the back, up. */
const lying = (at: PieceGeometry, low: number): Place => ({
  at: [-at.top.length / 2, low, at.top.width / 2],
  x: RIGHT,
  y: BACK,
});

/** A hole down through the pivot's line, from its own corner. */
const bore = (at: PieceGeometry, diameter: number, { low, high }: { low: number; high: number }) => {
  const { x, z } = at.turn!.pivot;
  return round("y", diameter, [x, low, z], high - low);
};

export function turnParts(at: PieceGeometry, form: Form): AssemblyPart[] {
  const { turn, top } = at;
  if (!turn) return [];
  const { rail, rails } = turn;
  const back = rails.back.at + rails.back.thickness / 2;
  const length = rails.front.at - rails.front.thickness / 2 - back;
  const railPlace: Place = { at: [rail.from, rail.low, back], x: FRONT, y: RIGHT };
  const hole = bore(at, form.turn.bolt + 2 * PIVOT.play, rail);
  return [
    {
      ...{ id: "FL", kind: "fold-leaf", name: "Folding leaf", plural: "folding leaves", letter: "FL" },
      ...{ role: "panel", make: "solid", adds: [], cuts: [] },
      note: "Its grain with the top’s; hinged to it along the back edge, inner faces together when it is folded.",
      shape: { length: top.length, width: top.width, thickness: top.thickness },
      place: lying(at, at.under + top.thickness + FELT),
      opens: [0, 1.4 * LIFT, 0],
    },
    {
      ...{ id: "PR", kind: "pivot-rail", name: "Pivot’s rail", plural: "Pivot’s rails", letter: "PR" },
      ...{ role: "rail", make: "solid", adds: [], opens: [0, -90, 0] },
      note: "Flat between the long rails, flush above; the pivot’s bolt goes through it.",
      shape: { length, width: rail.to - rail.from, thickness: rail.high - rail.low },
      place: railPlace,
      cuts: [{ by: PIVOT_BY, shape: hole.shape, place: seenFrom(railPlace, hole.place) }],
    },
  ];
}

/** The same parts, the top with the hole that the pivot's insert sits in. */
export function withPivot(parts: readonly AssemblyPart[], at: PieceGeometry, form: Form): AssemblyPart[] {
  if (!at.turn) return [...parts];
  const deep = PIVOT.insert * at.top.thickness;
  const hole = bore(at, form.turn.bolt, { low: at.under, high: at.under + deep });
  return parts.map((part) => {
    if (part.id !== "T") return part;
    const cut: Worked = { by: PIVOT_BY, shape: hole.shape, place: seenFrom(part.place, hole.place) };
    return { ...part, cuts: [...part.cuts, cut] };
  });
}

/** The pivot's rail is let into both long rails from above. */
export function turnJoints(at: PieceGeometry): { joints: KindOfJoint[]; meetings: Meeting[] } {
  if (!at.turn) return { joints: [], meetings: [] };
  const { rail, rails } = at.turn;
  const { front, back } = rails;
  const group = `${front.kind}+pivot-rail`;
  const joint = housing({
    meets: {
      ...{ id: group, group, receives: front.kind, enters: "pivot-rail", count: 2 },
      name: "Pivot’s rail to rail",
    },
    section: { width: rail.to - rail.from, thickness: rail.high - rail.low },
    into: { depth: Math.min(front.thickness, back.thickness), thickness: front.depth },
  });
  const known = { joint, enters: "PR" };
  return {
    joints: [joint],
    meetings: [
      {
        ...{ ...known, receives: front.part },
        face: { at: [rail.from, rail.low, front.at - front.thickness / 2], x: FRONT, y: RIGHT },
      },
      {
        ...{ ...known, receives: back.part },
        face: { at: [rail.to, rail.low, back.at + back.thickness / 2], x: BACK, y: LEFT },
      },
    ],
  };
}

export function turnSmall(at: PieceGeometry, form: Form): SmallPart[] {
  const { turn, top } = at;
  if (!turn) return [];
  const bolt = bore(at, form.turn.bolt, {
    low: turn.rail.low - PIVOT.below,
    high: at.under + PIVOT.insert * top.thickness,
  });
  return [
    {
      ...{ id: "pivot", name: "Pivot bolt, washers, nut, insert", plural: "Pivot bolts with washers, nuts, inserts" },
      ...{ of: "steel", by: PIVOT_BY, opens: [0, -160, 0] as Vec, shape: bolt.shape, place: bolt.place },
    },
    ...([-1, 1] as const).flatMap((side, i): SmallPart[] => {
      const x = side < 0 ? -top.length / 2 + HINGE.fromEnd : top.length / 2 - HINGE.fromEnd - HINGE.long;
      // one half of it on each leaf: they are bought as one
      const half = (on: string, low: number): SmallPart => ({
        ...{ id: `fold-hinge-${i + 1}-${on}`, name: "Hinge let into both edges", plural: "Hinges let into both edges" },
        ...{ of: "steel", by: "fold-leaf", opens: [0, 0, 0], on },
        shape: { length: HINGE.long, width: top.thickness, thickness: HINGE.thick },
        place: { at: [x, low, -top.width / 2 - HINGE.thick], x: RIGHT, y: UP },
      });
      return [half("T", at.under), { ...half("FL", at.under + top.thickness + FELT), comesWith: true }];
    }),
  ];
}

/** Turned a quarter with both leaves folded; then opened. */
export function turnPoses(at: PieceGeometry, parts: readonly AssemblyPart[]): Pose[] {
  const { turn, top } = at;
  if (!turn) return [];
  const pivot: Place = { at: [turn.pivot.x, 0, turn.pivot.z], x: RIGHT, y: UP };
  // what pointed back points to the right
  const quarter: Place = { ...pivot, x: FRONT };
  const turnedBy = (place: Place) => within(quarter, seenFrom(pivot, place));
  const leaf = turnedBy(lying(at, at.under + top.thickness + FELT));
  const fold: Place = { at: [0, at.under + top.thickness + FELT / 2, 0], x: RIGHT, y: UP };
  const over: Place = { ...fold, x: LEFT, y: [0, -1, 0] };
  const moves = parts.filter(({ kind }) => kind === "top");
  const both = Object.fromEntries(moves.map(({ id, place }) => [id, turnedBy(place)]));
  return [
    { id: "turned", name: "the top turned", places: { ...both, FL: leaf } },
    { id: "turned-open", name: "the top turned and open", places: { ...both, FL: within(over, seenFrom(fold, leaf)) } },
  ];
}
