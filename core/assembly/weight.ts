/** What a part weighs, from its pieces: quicker than its whole body, and the same. */
import { less, shared } from "./carve";
import type { Assembly, AssemblyPart, Worked } from "./part";
import { toPiece } from "./place";
import { SAG, Shape, solidOf } from "./shape";
import { boundsOf, bulkOf, Solid, stood } from "./solid";
import { add, times, Vec } from "./vector";

/** A part as it is weighed: by its own frame, wherever it stands. */
export type Unplaced = Pick<AssemblyPart, "id" | "kind" | "shape" | "adds" | "cuts">;
export const unplaced = ({ id, kind, shape, adds, cuts }: AssemblyPart): Unplaced => ({ id, kind, shape, adds, cuts });

/** How far a chord may lie from its arc where a part is only weighed, mm: a few grams of a table. Ours. */
export const ROUGH = 0.3;

interface Boxed {
  solid: Solid;
  least: Vec;
  most: Vec;
  /** fills the box it fits in */
  box: boolean;
}

/**
 * Volume of a part with its joints worked, mm³, and where its weight pulls, in its own frame.
 *
 * @source derived: wood that lies in no two pieces adds up; what is cut goes from each piece it reaches, once
 */
export function weighed({ shape, adds, cuts }: Unplaced, sag = SAG): { volume: number; centre: Vec } {
  const body = ({ shape: form, place }: Worked) =>
    boxed(stood(solidOf(form, sag), place), isBox(form) && isSquare(place.x) && isSquare(place.y));
  const wood = apart([boxed(solidOf(shape, sag), isBox(shape)), ...adds.map(body)]);
  const gone = apart(cuts.map(body));
  let volume = 0;
  let moment: Vec = [0, 0, 0];
  const count = (bulk: Bulk, sign: 1 | -1) => {
    volume += sign * bulk.volume;
    moment = add(moment, times(bulk.centre, sign * bulk.volume));
  };
  for (const piece of wood) {
    count(bulkOf(piece.solid), 1);
    for (const cut of gone) if (near(piece, cut)) count(common(cut, piece), -1);
  }
  return { volume, centre: volume === 0 ? [0, 0, 0] : times(moment, 1 / volume) };
}

type Bulk = ReturnType<typeof bulkOf>;

/** What a cut takes from a piece: from a box by plain arithmetic wherever that is all there is to it. */
function common(cut: Boxed, piece: Boxed): Bulk {
  if (!piece.box) return bulkOf(shared(cut.solid, piece.solid));
  if (AXES.every((i) => cut.least[i] >= piece.least[i] && cut.most[i] <= piece.most[i])) return bulkOf(cut.solid);
  if (!cut.box) return bulkOf(shared(cut.solid, piece.solid));
  const [low, high] = [
    AXES.map((i) => Math.max(piece.least[i], cut.least[i])),
    AXES.map((i) => Math.min(piece.most[i], cut.most[i])),
  ];
  return {
    volume: AXES.reduce<number>((product, i) => product * (high[i] - low[i]), 1),
    centre: AXES.map((i) => (low[i] + high[i]) / 2) as unknown as Vec,
  };
}

export const isBox = ({ face, edge, end, planes }: Shape) => !face && !edge && !end && !planes?.length;
export const isSquare = (way: Vec) => way.filter((each) => Math.abs(each) < 1e-9).length === 2;

/** The same bodies, each less what an earlier one fills. */
function apart(bodies: readonly Boxed[]): Boxed[] {
  const out: Boxed[] = [];
  for (const body of bodies) {
    const rest = out.filter((each) => near(each, body)).reduce((left, each) => less(left, each.solid), body.solid);
    if (rest.length > 0) out.push(rest === body.solid ? body : boxed(rest, false));
  }
  return out;
}

const AXES = [0, 1, 2] as const;
const boxed = (solid: Solid, box: boolean): Boxed => ({ solid, box, ...boundsOf(solid) });
/** Whether two may share any room. */
const near = (a: Boxed, b: Boxed) => AXES.every((i) => a.least[i] < b.most[i] - 1e-9 && b.least[i] < a.most[i] - 1e-9);

/** A part's weight, kg, and where it pulls, in the piece's frame. @param density kg/m³ */
export function weightOf(part: AssemblyPart, density: number): { weight: number; centre: Vec } {
  const { volume, centre } = weighed(part);
  return { weight: (volume / 1e9) * density, centre: toPiece(part.place, centre) };
}

/** The weight of all parts together, kg, and where it pulls. @param densityOf of each part, kg/m³ */
export function wholeWeight(
  { parts }: Assembly,
  densityOf: (part: AssemblyPart) => number,
): { weight: number; centre: Vec } {
  let weight = 0;
  let moment: Vec = [0, 0, 0];
  for (const part of parts) {
    const one = weightOf(part, densityOf(part));
    weight += one.weight;
    moment = add(moment, times(one.centre, one.weight));
  }
  return { weight, centre: weight === 0 ? [0, 0, 0] : times(moment, 1 / weight) };
}
