import type { RoughPiece } from "./sawing";
import type { Shop } from "../piece/shop";
import { millingYield } from "../stock/milling";
import { SHORTEST_FED } from "../stock/milling-plan";

import type { Run } from "./runs";

/** A board thicker than this many times the need, and 8 mm, is kept for something better. Ours. */
const THICKEST = 1.9;
/** Pieces end to end in one lane, and lanes side by side in one section: more than a person keeps count of. Ours. */
const LANE_MOST: Record<Sequence, number> = { "least-waste": 6, "crosscut-first": 1, "rip-first": 9 };
const SECTION_LANES = 5;
/** A section of several lanes that leaves more than this share of itself beside them is not offered; the largest that keeps the catalogue short enough. Ours. */
const EMPTY_AT_MOST = [0, 0.025, 0.04, 0.05, 0.065, 0.08, 0.1, 0.14, 0.22, 0.35];
/** Sections offered at most. Ours: beyond it the search gains nothing that its bench can see. */
const CATALOGUE_MOST = 3500;

/** Pieces that are alike to the saw. mm; `net` finished mm³ a piece. */
export interface Kind {
  length: number;
  width: number;
  thickness: number;
  net: number;
  hidden: boolean;
  group: string | null;
  /** the wood it is sawn from; null: any */
  species: string | null;
  pieces: RoughPiece[];
}

/** Pieces of one width end to end, as indexes into the kinds. */
export interface Lane {
  kinds: number[];
  length: number;
  width: number;
}

/** A length crosscut from a run and ripped into lanes; lanes of several pieces are crosscut again. mm, mm³. */
export interface Section {
  lanes: Lane[];
  length: number;
  width: number;
  net: number;
  need: [kind: number, count: number][];
}

export type Sequence = "least-waste" | "crosscut-first" | "rip-first";

/** Groups pieces that are alike: same rough size, hidden or not, and the same matching group. Largest first. */
export function kindsOf(
  pieces: readonly RoughPiece[],
  groupOf: (piece: RoughPiece) => string | null = () => null,
): Kind[] {
  const kinds = new Map<string, Kind>();
  for (const piece of pieces) {
    const group = groupOf(piece);
    const key = [piece.length, piece.width, piece.thickness, piece.hidden ?? false, group, piece.species ?? ""].join(
      " ",
    );
    const kind = kinds.get(key) ?? {
      length: piece.length,
      width: piece.width,
      thickness: piece.thickness,
      net: piece.net ?? piece.length * piece.width * piece.thickness,
      hidden: piece.hidden ?? false,
      group,
      species: piece.species ?? null,
      pieces: [],
    };
    kind.pieces.push(piece);
    kinds.set(key, kind);
  }
  return [...kinds.values()].sort(
    (a, b) =>
      b.thickness - a.thickness ||
      b.length - a.length ||
      b.width - a.width ||
      (a.pieces[0].id < b.pieces[0].id ? -1 : 1),
  );
}

/** Whether a run's board mills thick enough for a kind, flattened when it is cut to size, and is not too good for it. */
export function suits(kind: Kind, run: Run, shop: Shop): boolean {
  if (run.blemished && !kind.hidden) return false;
  if (kind.species !== null && kind.species !== run.board.species) return false;
  if (kind.length > run.length || kind.width > run.width || run.board.thickness > kind.thickness * THICKEST + 8)
    return false;
  return millingYield(run.board, shop, kind.length, kind.width).thickness >= kind.thickness;
}

/**
 * Every section worth cutting from these kinds: lanes of equal width side by side, the longest lane its length.
 *
 * @param boards    kinds that can share a board, as lists of whether each may
 * @param widest, longest  of any run, mm
 * @param sequence  crosscut-first holds one piece a lane; otherwise short pieces lie end to end, more of them when whole boards are ripped
 */
export function sectionsOf(
  kinds: readonly Kind[],
  boards: readonly (readonly boolean[])[],
  { widest, longest, kerf, sequence }: { widest: number; longest: number; kerf: number; sequence: Sequence },
): Section[] {
  const together = boards.filter(
    (one, i) =>
      !boards.some(
        (other, j) =>
          i !== j && one.every((may, k) => !may || other[k]) && (j < i || other.some((may, k) => may && !one[k])),
      ),
  );
  const lanes = lanesOf(kinds, longest, kerf, sequence).filter(
    (lane) => lane.width <= widest && together.some((may) => lane.kinds.every((kind) => may[kind])),
  );
  // longest first: the first lane rules the section's length
  lanes.sort((a, b) => b.length - a.length || b.width - a.width);
  let best = lanes.map((lane) => sectionOf(kinds, [lane], lane.width));
  for (const empty of EMPTY_AT_MOST) {
    const sections = walked(kinds, lanes, { boards: together, widest, kerf, empty });
    if (!sections) break;
    best = sections;
  }
  return best;
}

/** Sections that leave at most the share `empty` beside their lanes; null when there are too many. */
function walked(
  kinds: readonly Kind[],
  lanes: readonly Lane[],
  {
    boards,
    widest,
    kerf,
    empty,
  }: { boards: readonly (readonly boolean[])[]; widest: number; kerf: number; empty: number },
): Section[] | null {
  const sections: Section[] = [];
  const counts = new Int32Array(kinds.length);
  const left = Int32Array.from(kinds, (kind) => kind.pieces.length);
  const holds = lanes.map((lane) => lane.kinds.reduce((sum, kind) => sum + kinds[kind].length * kinds[kind].width, 0));
  // the boards that suit a lane, a bit each; more kinds of board than bits are not combined
  const suited = lanes.map((lane) =>
    boards.slice(0, 31).reduce((bits, may, i) => (lane.kinds.every((kind) => may[kind]) ? bits | (1 << i) : bits), 0),
  );
  const chosen: Lane[] = [];
  const walk = (from: number, alive: number, width: number, held: number): boolean => {
    for (let i = from; i < lanes.length; i += 1) {
      const lane = lanes[i];
      const still = alive & suited[i];
      const wide = width + lane.width + (chosen.length > 0 ? kerf : 0);
      if (still === 0 || wide > widest) continue;
      const length = chosen.length > 0 ? chosen[0].length : lane.length;
      const gap = length * wide - held - holds[i];
      // what is empty beside these lanes stays empty, however many full ones come after
      if (chosen.length > 0 && gap > empty * length * widest) continue;
      let enough = true;
      for (const kind of lane.kinds) {
        counts[kind] += 1;
        if (counts[kind] > left[kind]) enough = false;
      }
      if (enough) {
        chosen.push(lane);
        if (chosen.length === 1 || gap <= empty * length * wide) sections.push(sectionOf(kinds, chosen.slice(), wide));
        if (
          sections.length > CATALOGUE_MOST ||
          (chosen.length < SECTION_LANES && !walk(i, still, wide, held + holds[i]))
        )
          return false;
        chosen.pop();
      }
      for (const kind of lane.kinds) counts[kind] -= 1;
    }
    return true;
  };
  return walk(0, -1, 0, 0) ? sections : null;
}

function lanesOf(kinds: readonly Kind[], longest: number, kerf: number, sequence: Sequence): Lane[] {
  // pieces too short to be fed alone lie end to end in any order of sawing
  const most = (chosen: readonly number[]) =>
    chosen.every((kind) => kinds[kind].length < SHORTEST_FED)
      ? Math.max(LANE_MOST["least-waste"], LANE_MOST[sequence])
      : LANE_MOST[sequence];
  const lanes: Lane[] = [];
  const walk = (from: number, chosen: number[], length: number) => {
    for (let kind = from; kind < kinds.length; kind += 1) {
      if (chosen.length > 0 && kinds[kind].width !== kinds[chosen[0]].width) continue;
      const long = length + kinds[kind].length + (chosen.length > 0 ? kerf : 0);
      if (long > longest || chosen.filter((each) => each === kind).length >= kinds[kind].pieces.length) continue;
      // a lane mixes two kinds at most: three lengths against one stop are a mistake waiting
      if (new Set([...chosen, kind]).size > 2) continue;
      const now = [...chosen, kind];
      if (now.length > most(now)) continue;
      lanes.push({ kinds: now, length: long, width: kinds[kind].width });
      if (now.length < most(now)) walk(kind, now, long);
    }
  };
  walk(0, [], 0);
  return lanes;
}

function sectionOf(kinds: readonly Kind[], lanes: Lane[], width: number): Section {
  const count = new Map<number, number>();
  for (const lane of lanes) for (const kind of lane.kinds) count.set(kind, (count.get(kind) ?? 0) + 1);
  return {
    lanes,
    length: lanes[0].length,
    width,
    net: [...count].reduce((sum, [kind, n]) => sum + n * kinds[kind].net, 0),
    need: [...count],
  };
}
