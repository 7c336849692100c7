/** Where two parts would fill the same room: piece by piece, so that only what comes near is looked at. */
import { less, shared } from "./carve";
import { AssemblyPart, Pose, posed, standing, Worked } from "./part";
import { lies, Piece, piece, told } from "./pieces";
import { HOME, seenFrom, within } from "./place";
import { solidOf } from "./shape";
import { bulkOf, stood } from "./solid";
import type { Vec } from "./vector";
import { ROUGH } from "./weight";

/** Two parts by their ids and kinds, and how much room both fill, mm³. */
export interface Clash {
  parts: [string, string];
  kinds: [string, string];
  volume: number;
}

/** Pieces that come no further into one another only touch, mm; less than this in common is nothing, mm³. Ours: below any saw. */
const TOUCH = 0.05;
const NOTHING = 30;

export interface Pieces {
  wood: Piece[];
  gone: Piece[];
  least: Vec;
  most: Vec;
}

const known = new WeakMap<AssemblyPart, Pieces>();
/** A part as the pieces it is made of and those that are cut from it; one that stays what it was is not looked at again. */
export function piecesOf(part: AssemblyPart): Pieces {
  const before = known.get(part);
  if (before) return before;
  const worked = ({ shape, place }: Worked) => piece(shape, within(part.place, place));
  const wood = [piece(part.shape, part.place), ...part.adds.map(worked)];
  const pick = (of: "least" | "most", by: (...values: number[]) => number) =>
    [0, 1, 2].map((i) => by(...wood.map((each) => each[of][i]))) as unknown as Vec;
  const pieces = { wood, gone: part.cuts.map(worked), least: pick("least", Math.min), most: pick("most", Math.max) };
  known.set(part, pieces);
  return pieces;
}

type Box = Pick<Piece, "least" | "most">;
const meet = (a: Box, b: Box) =>
  a.least[0] < b.most[0] - TOUCH &&
  b.least[0] < a.most[0] - TOUCH &&
  a.least[1] < b.most[1] - TOUCH &&
  b.least[1] < a.most[1] - TOUCH &&
  a.least[2] < b.most[2] - TOUCH &&
  b.least[2] < a.most[2] - TOUCH;

/** Whether a box reaches over all that two others could share. */
const holds = (box: Box, a: Box, b: Box) =>
  [0, 1, 2].every(
    (i) =>
      box.least[i] <= Math.max(a.least[i], b.least[i]) + NEAR && box.most[i] >= Math.min(a.most[i], b.most[i]) - NEAR,
  );
/** Places that differ by less are one, mm. */
const NEAR = 1e-6;

/** What pieces that stand so to one another share was worked out before, wherever in the piece they stand: so many answers are kept. Ours. */
const KEPT = 2000;
const answers = new Map<string, number>();

/** A box as far as it reaches into a room: a rail that only got longer is there what it was. Other shapes stay whole. */
function near(piece: Piece, room: Box): Piece {
  if (!piece.box) return piece;
  const [least, most] = [higher(piece.least, room.least), lower(piece.most, room.most)];
  const [length, width, thickness] = least.map((from, i) => Math.round((most[i] - from) * 1e6) / 1e6);
  return { ...piece, shape: { length, width, thickness }, place: { ...HOME, at: least }, least, most };
}

/** What two pieces share, less what is cut away there, mm³. */
function sharedBy(a: Piece, b: Piece, all: readonly Piece[]): number {
  const room = { least: higher(a.least, b.least), most: lower(a.most, b.most) };
  const [one, other] = [near(a, room), near(b, room)];
  const cuts = all.filter((cut) => meet(cut, room)).map((cut) => near(cut, room));
  const key = [told(one.shape), lies(one, other), ...cuts.map((cut) => lies(one, cut))].join("|");
  const before = answers.get(key);
  if (before !== undefined) return before;
  const solid = ({ shape, place }: Piece) => stood(solidOf(shape, ROUGH), place);
  const both = shared(solid(one), solid(other));
  const { volume } = bulkOf(both.length === 0 ? both : cuts.reduce((rest, cut) => less(rest, solid(cut)), both));
  if (answers.size >= KEPT) answers.clear();
  answers.set(key, volume);
  return volume;
}
const higher = (a: Vec, b: Vec) => a.map((each, i) => Math.max(each, b[i])) as unknown as Vec;
const lower = (a: Vec, b: Vec) => a.map((each, i) => Math.min(each, b[i])) as unknown as Vec;

/** What both parts fill, less what is cut from either, mm³. */
function inBoth(a: Pieces, b: Pieces): number {
  let volume = 0;
  let gone: Piece[] | null = null;
  for (const one of a.wood)
    for (const other of b.wood) {
      if (!meet(one, other)) continue;
      gone ??= [...a.gone, ...b.gone];
      // a tenon in its mortise: whatever they could share is cut away
      if (gone.some((cut) => cut.box && holds(cut, one, other))) continue;
      volume += sharedBy(one, other, gone);
    }
  return volume;
}

/**
 * Every two parts that fill the same room.
 *
 * @example clashesOf(plan.assembly.parts) // [] when everything fits
 */
export const clashesOf = (parts: readonly AssemblyPart[]): Clash[] => among(standing(parts), () => true);

/** The same when something of it stands elsewhere: of pairs that stayed, or went nowhere against each other, nothing new is to be said. */
export function clashesIn(parts: readonly AssemblyPart[], pose: Pick<Pose, "places">): Clash[] {
  const before = new Map(parts.map((part) => [part.id, part]));
  return among(posed(parts, pose), (a, b) => {
    const [one, other] = [before.get(a.id)!, before.get(b.id)!];
    if (one === a || other === b) return one !== a || other !== b;
    const [were, are] = [seenFrom(one.place, other.place), seenFrom(a.place, b.place)];
    return (["at", "x", "y"] as const).some((of) => were[of].some((each, i) => Math.abs(each - are[of][i]) > NEAR));
  });
}

function among(parts: readonly AssemblyPart[], asked: (a: AssemblyPart, b: AssemblyPart) => boolean): Clash[] {
  const all = parts.map((part) => ({ part, pieces: piecesOf(part) }));
  return all.flatMap((a, i) =>
    all.slice(i + 1).flatMap((b): Clash[] => {
      if (!meet(a.pieces, b.pieces) || !asked(a.part, b.part)) return [];
      const volume = inBoth(a.pieces, b.pieces);
      return volume > NOTHING ? [{ parts: [a.part.id, b.part.id], kinds: [a.part.kind, b.part.kind], volume }] : [];
    }),
  );
}
