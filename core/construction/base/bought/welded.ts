/** A frame welded whole from square tube to the maker's own drawing: a ring under the top with tubes across it, legs at its corners. mm */
import { straight } from "../../../assembly/outline";
import type { AssemblyPart, Worked } from "../../../assembly/part";
import { Place, seenFrom } from "../../../assembly/place";
import { FRONT, RIGHT, UP, Vec } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import type { Footprint, PieceGeometry } from "../../geometry";

/** Mild steel, kg a mm³. @source from memory: 7850 kg/m³ */
const STEEL = 7.85e-6;
/** The outer holes of a tube from its corners' inner faces, mm. @source common practice: a spanner's room */
const FROM_CORNER = 25;

export interface Welded {
  /** of the ring, from outside to outside; its square tube */
  length: number;
  width: number;
  bar: number;
  under: number;
  /** middles of the tubes across, the two ends of the ring first and last */
  cross: number[];
  /** of the holes in each, across the top from its middle */
  holes: number[];
  sled: boolean;
  feet: Footprint[];
}

/** Lengths of tube to be sawn, the longest first: how many, how long from point to point, how their ends are cut. */
export interface Tube {
  what: string;
  count: number;
  length: number;
  mitred: boolean;
}

export function placeWelded(form: Form, top: PieceGeometry["top"]): Welded {
  const { count, width, bar, plate, welded } = form.bought;
  const length = top.length - 2 * form.overhang.end;
  const under = form.height - top.thickness;
  const tubes = Math.max(2, count);
  const reach = length / 2 - bar / 2;
  const spread = Math.max(0, width / 2 - bar - FROM_CORNER);
  const at = { length, width, bar, under, sled: welded.sled };
  return {
    ...at,
    cross: Array.from({ length: tubes }, (_, i) => -reach + (2 * reach * i) / (tubes - 1)),
    holes:
      plate.holes === 1
        ? [0]
        : Array.from({ length: plate.holes }, (_, i) => -spread + (2 * spread * i) / (plate.holes - 1)),
    feet: corners(at).map(({ x, z }) => ({ x, z, length: bar, width: bar })),
  };
}

const corners = ({ length, width, bar }: Pick<Welded, "length" | "width" | "bar">) =>
  [-1, 1].flatMap((x) => [-1, 1].map((z) => ({ x: (x * (length - bar)) / 2, z: (z * (width - bar)) / 2 })));

/** What is sawn: the ring's mitres at its long points, all else square. */
export function tubesOf({ length, width, bar, under, cross, sled }: Welded): Tube[] {
  return [
    { what: "Ring, along", count: 2, length, mitred: true },
    { what: "Ring, across", count: 2, length: width, mitred: true },
    ...(cross.length > 2
      ? [{ what: "Tubes across it", count: cross.length - 2, length: width - 2 * bar, mitred: false }]
      : []),
    { what: "Legs", count: 4, length: under - bar, mitred: false },
    ...(sled ? [{ what: "On the floor", count: 2, length: width - 2 * bar, mitred: false }] : []),
  ];
}

/** kg: a mitred tube counts by its middle line. @source derived: section 4 w (b − w) */
export function tubeMass(at: Welded, wall: number): number {
  const run = tubesOf(at).reduce(
    (sum, { count, length, mitred }) => sum + count * Math.max(0, length - (mitred ? at.bar : 0)),
    0,
  );
  const thick = Math.min(wall, at.bar / 2);
  return Math.max(0.1, STEEL * 4 * thick * (at.bar - thick) * run);
}

/** The ring flat under the top, and what is welded to it. */
export function weldedBody(at: Welded): Pick<AssemblyPart, "shape" | "place" | "adds"> {
  const { length, width, bar, under, cross } = at;
  const place: Place = { at: [-length / 2, under - bar, width / 2], x: RIGHT, y: [0, 0, -1] };
  const inside = Math.min(bar, width / 3, length / 3);
  const frame = (inset: number) =>
    straight([
      [inset, inset],
      [length - inset, inset],
      [length - inset, width - inset],
      [inset, width - inset],
    ]);
  const tube = (long: number, from: Vec, x: Vec, y: Vec): Worked => ({
    by: "bought",
    shows: true,
    shape: { length: Math.max(1, long), width: bar, thickness: bar },
    place: seenFrom(place, { at: from, x, y }),
  });
  const low = Math.max(1, under - bar);
  return {
    shape: { length, width, thickness: bar, face: { outer: frame(0), holes: [frame(inside)] } },
    place,
    adds: [
      ...corners(at).map(({ x, z }) => tube(low, [x - bar / 2, 0, z - bar / 2], UP, FRONT)),
      ...cross
        .slice(1, -1)
        .map((x) => tube(width - 2 * bar, [x - bar / 2, under - bar, bar - width / 2], FRONT, RIGHT)),
      ...(at.sled
        ? [-1, 1].map((side) =>
            tube(width - 2 * bar, [(side * (length - bar)) / 2 - bar / 2, 0, bar - width / 2], FRONT, RIGHT),
          )
        : []),
    ],
  };
}
