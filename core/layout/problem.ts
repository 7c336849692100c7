import { RoughPiece, milledWhole } from "./sawing";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";

import { millingYield } from "../stock/milling";
import { boardPrices } from "./board-prices";

import { coverPrices } from "./prices";
import { Run, runsOf, Taken } from "./runs";
import { Kind, kindsOf, Section, sectionsOf, Sequence, suits } from "./sections";

/** What is cut, and from what. `groups` names, by piece, the matching group whose pieces must come from one board. */
export interface CuttingNeed {
  pieces: readonly RoughPiece[];
  rack: readonly RackBoard[];
  taken: readonly Taken[];
  shop: Shop;
  sequence: Sequence;
  groups: Readonly<Record<string, string>>;
}

/** The search's problem in numbers, as the bench's solver sees it too. */
export interface Problem {
  kinds: Kind[];
  runs: Run[];
  sections: Section[];
  /** sections stand best worth for their length first; for each run, those that can be cut from it; `suits[section · runs + run]` says the same */
  fits: Int32Array[];
  suits: Uint8Array;
  kerf: number;
  keep: number;
  /** ripped first, a run becomes one section: trimmed, ripped along its whole length, its lanes then crosscut */
  once: boolean;
  /** what each section is worth at the prices it was given, and at prices for boards without end, mm³; `bound` the least wood any answer uses */
  worth: Float64Array;
  endless: Float64Array;
  bound: number;
  /** the same needs, flat: those of section s stand from `first[s]` to `first[s + 1]` */
  first: Int32Array;
  needKind: Int32Array;
  needCount: Int32Array;
  /** sections by the first kind they need; bits of the kinds a section needs, the first 31 kinds and the next, and whether any of them is matched */
  ledBy: Int32Array[];
  low: Int32Array;
  high: Int32Array;
  matched: Uint8Array;
  /** length of each section with its kerf, and of each run, a last kerf falling beyond its end, mm; width by thickness of each run's board, mm² */
  long: Float64Array;
  room: Float64Array;
  area: Float64Array;
}

/** A price of nothing would leave a piece for last: it counts at least this share of its own wood. Ours. */
const LEAST = 0.2;
/** An answer is guessed to cost so many times what boards without end would: it sets how far prices are corrected at a time, no more. Ours. */
const SLACK = 1.06;

/** What a section's pieces are worth at these prices, mm³. */
const worthOf = ({ need }: Section, prices: readonly number[]) =>
  need.reduce((sum, [kind, count]) => sum + count * prices[kind], 0);

/** The problem at prices for boards without end: quick, for a layout at once. */
export function problemOf(need: CuttingNeed): Problem {
  const catalogue = catalogueOf(need);
  return assembled(catalogue, catalogue.prices);
}

/** The same problem at prices for the boards there are, for a search: where good boards run out, what needs them is dear. */
export function pricedOnBoards(need: CuttingNeed): Problem {
  const catalogue = catalogueOf(need);
  const { kinds, runs, offered, fitting, kerf, keep, prices, bound } = catalogue;
  const real = boardPrices(runs, offered, fitting, {
    demand: kinds.map((kind) => kind.pieces.length),
    start: prices,
    kerf,
    keep,
    target: bound * SLACK,
  });
  return assembled(
    catalogue,
    real.prices.map((each, kind) => Math.max(each, LEAST * kinds[kind].net)),
  );
}

interface Catalogue {
  kinds: Kind[];
  runs: Run[];
  offered: Section[];
  fitting: number[][];
  kerf: number;
  keep: number;
  once: boolean;
  prices: number[];
  bound: number;
}

/** Runs, sections and which section can be cut from which run, with what a piece of each kind costs in wood. */
function catalogueOf({ pieces, rack, taken, shop, sequence, groups }: CuttingNeed): Catalogue {
  const kinds = kindsOf(pieces, (piece) => groups[piece.id] ?? null);
  const runs = rack
    .flatMap((board) => runsOf(board, taken, shop))
    .filter((run) => kinds.some((kind) => suits(kind, run, shop)));
  const widest = Math.max(0, ...runs.map((run) => run.width));
  const longest = Math.max(0, ...runs.map((run) => run.length));
  const may = runs.map((run) => kinds.map((kind) => suits(kind, run, shop)));
  const offered = sectionsOf(kinds, may, { widest, longest, kerf: shop.kerf, sequence });
  const whole = offered.map((section) =>
    section.lanes.filter((lane) => milledWhole(lane.kinds.map((kind) => kinds[kind].length))),
  );
  const fitting = runs.map((run, r) => {
    const crook = run.board.crook / run.board.length ** 2;
    // a lane that is milled whole is one thickness, and must come out as thick whole
    const thick = (lane: Section["lanes"][number]) =>
      lane.kinds.every((kind) => kinds[kind].thickness === kinds[lane.kinds[0]].thickness) &&
      millingYield(run.board, shop, lane.length, lane.width).thickness >= kinds[lane.kinds[0]].thickness;
    const fit: number[] = [];
    offered.forEach((each, i) => {
      if (each.length > run.length || each.width > run.width - crook * each.length ** 2) return;
      for (const [kind] of each.need) if (!may[r][kind]) return;
      if (whole[i].every(thick)) fit.push(i);
    });
    return fit;
  });
  return {
    kinds,
    runs,
    offered,
    fitting,
    kerf: shop.kerf,
    keep: shop.keepOffcut,
    once: sequence === "rip-first",
    ...priced(kinds, runs, offered, { fits: fitting, kerf: shop.kerf }),
  };
}

/** The numbers the search runs on, sections that are worth most for their length first. */
function assembled(
  { kinds, runs, offered, fitting, kerf, keep, once, prices, bound }: Catalogue,
  real: readonly number[],
): Problem {
  const value = offered.map((section) => worthOf(section, real));
  const density = Float64Array.from(offered, (each, i) => value[i] / (each.length + kerf));
  const place = new Int32Array(offered.length).fill(-1);
  for (const list of fitting) for (const i of list) place[i] = 0;
  const usable = offered.flatMap((_, i) => (place[i] === 0 ? [i] : []));
  usable.sort((a, b) => density[b] - density[a] || a - b);
  usable.forEach((i, at) => (place[i] = at));
  const sections = usable.map((i) => offered[i]);
  const fits = fitting.map((list) => Int32Array.from(list, (i) => place[i]).sort());
  const suitable = new Uint8Array(sections.length * runs.length);
  fits.forEach((list, run) => {
    for (const section of list) suitable[section * runs.length + run] = 1;
  });
  return {
    kinds,
    runs,
    sections,
    fits,
    suits: suitable,
    kerf,
    keep,
    once,
    bound,
    worth: Float64Array.from(usable, (i) => value[i]),
    endless: Float64Array.from(sections, (section) => worthOf(section, prices)),
    ...flatNeeds(kinds, sections),
    long: Float64Array.from(sections, (each) => each.length + kerf),
    room: Float64Array.from(runs, (run) => run.length + kerf + 1e-9),
    area: Float64Array.from(runs, ({ board }) => board.width * board.thickness),
  };
}

function flatNeeds(
  kinds: readonly Kind[],
  sections: readonly Section[],
): Pick<Problem, "ledBy" | "first" | "needKind" | "needCount" | "low" | "high" | "matched"> {
  const first = new Int32Array(sections.length + 1);
  sections.forEach((section, s) => {
    first[s + 1] = first[s] + section.need.length;
  });
  const needKind = Int32Array.from(sections.flatMap((section) => section.need.map(([kind]) => kind)));
  const needCount = Int32Array.from(sections.flatMap((section) => section.need.map(([, count]) => count)));
  const bits = (from: number) =>
    Int32Array.from(sections, (section) =>
      section.need.reduce((mask, [kind]) => (kind >= from && kind < from + 31 ? mask | (1 << (kind - from)) : mask), 0),
    );
  const ledBy = kinds.map((_, kind) =>
    Int32Array.from(sections.flatMap((section, s) => (section.need[0][0] === kind ? [s] : []))),
  );
  return {
    ledBy,
    first,
    needKind,
    needCount,
    low: bits(0),
    high: bits(31),
    matched: Uint8Array.from(sections, (section) =>
      section.need.some(([kind]) => kinds[kind].group !== null) ? 1 : 0,
    ),
  };
}

/** Prices the kinds by the wood they really need, sections chosen freely and boards without end. */
function priced(
  kinds: readonly Kind[],
  runs: readonly Run[],
  sections: readonly Section[],
  { fits, kerf }: { fits: readonly number[][]; kerf: number },
): { prices: number[]; bound: number } {
  const cheapest = new Array<number>(sections.length).fill(Infinity);
  fits.forEach((list, r) => {
    const area = runs[r].board.width * runs[r].board.thickness;
    for (const i of list) cheapest[i] = Math.min(cheapest[i], area * (sections[i].length + kerf));
  });
  const usable = sections.flatMap((_, i) => (Number.isFinite(cheapest[i]) ? [i] : []));
  const rows = kinds.flatMap((_, k) =>
    usable.some((i) => sections[i].lanes.length === 1 && sections[i].need.length === 1 && sections[i].need[0][0] === k)
      ? [k]
      : [],
  );
  const rowOf = kinds.map((_, k) => rows.indexOf(k));
  const columns = usable.map((i) => ({
    cost: cheapest[i],
    covers: sections[i].need.map(([kind, count]): [number, number] => [rowOf[kind], count]),
  }));
  const single = rows.map((k) =>
    usable.findIndex(
      (i) => sections[i].lanes.length === 1 && sections[i].lanes[0].kinds.length === 1 && sections[i].need[0][0] === k,
    ),
  );
  const cover = coverPrices(
    columns,
    rows.map((k) => kinds[k].pieces.length),
    single,
  );
  return {
    prices: kinds.map((kind, k) => (rowOf[k] < 0 ? kind.net : Math.max(cover.prices[rowOf[k]], LEAST * kind.net))),
    bound: cover.bound,
  };
}
