/** What a part weighs, from its pieces: quicker than its whole body, and the same. */
import { less, shared } from "./carve";
import type { Assembly, AssemblyPart } from "./part";
import { SHEETS } from "./material";
import { lies, Piece, piece, told } from "./pieces";
import { HOME, seenFrom, toPiece } from "./place";
import { SAG, solidOf } from "./shape";
import { boundsOf, bulkOf, Solid, stood } from "./solid";
import { add, times, Vec } from "./vector";

/** A part as it is weighed: by its own frame, wherever it stands. */
export type Unplaced = Pick<AssemblyPart, "id" | "kind" | "shape" | "adds" | "cuts" | "bought" | "sheet" | "away">;
export const unplaced = ({ id, kind, shape, adds, cuts, bought, sheet, away }: AssemblyPart): Unplaced => ({
  ...{ id, kind, shape, adds, cuts },
  ...(bought ? { bought } : {}),
  ...(sheet ? { sheet } : {}),
  ...(away ? { away } : {}),
});
/** kg: by its volume, or what its maker says of it. @param density  of its wood, kg/m³ */
export const massOf = ({ bought, sheet }: Pick<Unplaced, "bought" | "sheet">, volume: number, density: number) =>
  bought?.mass ?? (volume / 1e9) * (sheet ? SHEETS[sheet.material].density : density);

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
export function weighed({ shape, adds, cuts }: Unplaced, sag = SAG): Bulk {
  const wood = [piece(shape, HOME), ...adds.map((each) => piece(each.shape, each.place))];
  const gone = cuts.map((each) => piece(each.shape, each.place));
  // pieces that lie in one another count once: then bodies are needed
  const own = wood.every((one, i) => wood.slice(i + 1).every((other) => !near(one, other)));
  let volume = 0;
  let moment: Vec = [0, 0, 0];
  const count = (bulk: Bulk, sign: 1 | -1) => {
    volume += sign * bulk.volume;
    moment = add(moment, times(bulk.centre, sign * bulk.volume));
  };
  if (own)
    for (const one of wood) {
      count(standing(one, bulkBy(solidOf(one.shape, sag))), 1);
      const taken = gone.filter((cut) => near(one, cut));
      if (taken.length > 0) count(standing(one, takenFrom(one, taken, sag)), -1);
    }
  else {
    const bodies = apart(gone.map((each) => body(each, sag)));
    for (const one of apart(wood.map((each) => body(each, sag)))) {
      count(bulkOf(one.solid), 1);
      for (const cut of bodies) if (near(one, cut)) count(common(cut, one), -1);
    }
  }
  return { volume, centre: volume === 0 ? [0, 0, 0] : times(moment, 1 / volume) };
}

const body = ({ shape, place, box }: Piece, sag: number): Boxed => boxed(stood(solidOf(shape, sag), place), box);
/** What a piece holds by its own frame, where it stands. */
const standing = ({ place }: Piece, { volume, centre }: Bulk): Bulk => ({ volume, centre: toPiece(place, centre) });

const bulks = new WeakMap<Solid, Bulk>();
function bulkBy(solid: Solid): Bulk {
  const before = bulks.get(solid);
  if (before) return before;
  const bulk = bulkOf(solid);
  bulks.set(solid, bulk);
  return bulk;
}

/** What cuts that lie so in a piece take from it was worked out before, wherever the piece is: so many answers are kept. Ours. */
const KEPT = 1000;
const answers = new Map<string, Bulk>();

/** What cuts take from a piece, each once, by the piece's own frame. */
function takenFrom(one: Piece, cuts: readonly Piece[], sag: number): Bulk {
  const key = [sag, told(one.shape), ...cuts.map((cut) => lies(one, cut))].join("|");
  const before = answers.get(key);
  if (before) return before;
  const home = piece(one.shape, HOME);
  const seen = cuts.map((cut) => piece(cut.shape, seenFrom(one.place, cut.place)));
  const wood = body(home, sag);
  let volume = 0;
  let moment: Vec = [0, 0, 0];
  for (const cut of apart(seen.map((each) => body(each, sag)))) {
    if (!near(wood, cut)) continue;
    const bulk = common(cut, wood);
    volume += bulk.volume;
    moment = add(moment, times(bulk.centre, bulk.volume));
  }
  const bulk: Bulk = { volume, centre: volume === 0 ? [0, 0, 0] : times(moment, 1 / volume) };
  if (answers.size >= KEPT) answers.clear();
  answers.set(key, bulk);
  return bulk;
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
const near = (a: Pick<Boxed, "least" | "most">, b: Pick<Boxed, "least" | "most">) =>
  AXES.every((i) => a.least[i] < b.most[i] - 1e-9 && b.least[i] < a.most[i] - 1e-9);

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
