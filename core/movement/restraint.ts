/**
 * Where movement is stopped. Every joint says which stretch it glues or fixes and which way each side's grain runs; from that
 * graph alone every closed loop is found, and whether what the wood in it wants to do adds up.
 *
 * Along each axis a member is a rod that would grow by its own strain, and a joint ties two rods at a place, or at both ends
 * of a glued stretch, rigidly or with so much play. Joints that close no loop let everything move. A joint that closes one
 * calls for the sum of free growth round the loop to be nothing, within the plays; what is left over is carried by the wood.
 */
import type { Remedy } from "../verdict/verdict";
import { widthChange } from "./width";

/** 0 is x, along the piece; 1 is y, up; 2 is z, toward the viewer. */
export type Axis = 0 | 1 | 2;

export interface Member {
  id: string;
  /** what identical ones share */
  kind?: string;
  name: string;
  /** null for what never moves, such as steel */
  grain: Axis | null;
  /** per percent MC along x, y and z; a fiftieth along the grain */
  coefficients: [number, number, number];
  /** which course of moisture it follows */
  course: string;
}

/** What a joint holds along an axis: a point, or a stretch about a middle. */
export const point = (x: number): [number, number] => [x, x];
export const around = (middle: number, width: number): [number, number] => [middle - width / 2, middle + width / 2];

export interface Link {
  id: string;
  name: string;
  a: string;
  b: string;
  kind: "glue" | "screw" | "peg" | "slot";
  /** mm along each axis, the stretch it holds; one number twice for a point; null where it lets the two slide */
  hold: [[number, number] | null, [number, number] | null, [number, number] | null];
  /** how far `b` may go against `a` along an axis, mm, backward (negative) and forward; none where it is rigid */
  play?: { axis: Axis; range: [number, number] };
  mend?: Remedy[];
  /** what mends it mends its own glued stretch only, not a loop that passes through it */
  stretched?: boolean;
}

/** Moisture of a course at each moment judged, percent, from the same day for all. */
export interface MoistureHistory {
  start: number;
  at: readonly number[];
}

export interface Stop {
  axis: Axis;
  link: Link;
  /** members of the loop, the one that moves most across its grain first */
  members: Member[];
  /** what the loop lacks after its plays at the worst moment, mm; positive when the first member wants to swell */
  excess: number;
  /** moment of the worst, as an index into the history */
  when: number;
  /** wood across the grain in the loop, mm, and the share of it that must give */
  across: number;
  strain: number;
  /** at each end of the stretch, mm */
  slip: number;
  fails: "glue line" | "wood" | "fastener";
  /** worst of strain, slip and bent fastener against what each fails at; 1 fails */
  load: number;
}

/** Where wood, glue and fasteners give. @source common practice: strain warns at 0.5 % and fails at 1 %, a cross-grain glue line slips 0.4 mm unharmed; a screw or peg bends or crushes about 1 mm */
export const STOP_LIMITS = { strain: 0.01, slip: 0.8, fastener: 1, warn: 0.5 };
/** A stretch shorter than this strains only the wood beside its glue, mm. @source common practice: never glue across the grain over more than about 100 */
const HARMLESS = 100;
/** Wood is about so many times stiffer along its grain than across. @source Wood Handbook FPL-GTR-282, ch. 5, from memory: 10 to 20 */
const STIFFER_ALONG = 15;
/** A loop through more than two members bends by so much before anything is strained, mm. @source common practice: rails and legs spring a millimetre by hand */
const SPRING = 1;
/** Stretches shorter than this are points, mm: no glue line this short has ever let go of itself. @source common practice */
const SHORTEST = 12;

/** Every loop that is stopped at some moment, worst first. Throws when a link names a member that is not there. */
export function stops(
  members: readonly Member[],
  links: readonly Link[],
  histories: Record<string, MoistureHistory>,
): Stop[] {
  const byId = new Map(members.map((member) => [member.id, member]));
  for (const link of links)
    for (const id of [link.a, link.b])
      if (!byId.has(id)) throw new Error(`Joint ${link.id} names ${id}, which is no part.`);
  const growth = growths(histories);
  const found = ([0, 1, 2] as const)
    .flatMap((axis) => loopsAlong(axis, links).map((loop) => judge(loop, byId, growth)))
    .filter((stop): stop is Stop => stop !== null);
  return found.sort((a, b) => b.load - a.load);
}

interface Tie {
  link: Link;
  at: number;
  range: [number, number];
}
interface Loop {
  axis: Axis;
  link: Link;
  runs: { member: string; length: number }[];
  range: [number, number];
  stretch: number | null;
  through: number;
}

/** Joints that close a loop along one axis, each with the way round it. */
function loopsAlong(axis: Axis, links: readonly Link[]): Loop[] {
  const ties = links.flatMap((link): (Tie & { end: number; span: [number, number] })[] => {
    const hold = link.hold[axis];
    if (!hold) return [];
    const range: [number, number] = link.play?.axis === axis ? link.play.range : [0, 0];
    const long = hold[1] - hold[0] >= SHORTEST;
    return long
      ? [
          { link, at: hold[0], range, end: 0, span: hold },
          { link, at: hold[1], range, end: 1, span: hold },
        ]
      : [{ link, at: (hold[0] + hold[1]) / 2, range, end: 0, span: hold }];
  });
  // rigid ties carry the tree, so that each one with play is judged against what is truly fixed
  const loose = (tie: Tie) => (tie.range[0] === 0 && tie.range[1] === 0 ? 0 : 1);
  const ordered = ties
    .map((tie, i) => ({ tie, i }))
    .sort((p, q) => loose(p.tie) - loose(q.tie) || p.i - q.i)
    .map(({ tie }) => tie);
  const tree = new Map<string, { to: string; tie: Tie; forward: boolean }[]>();
  const loops: Loop[] = [];
  for (const tie of ordered) {
    const { a, b } = tie.link;
    const way = pathBetween(tree, b, a);
    if (!way) {
      tree.set(a, [...(tree.get(a) ?? []), { to: b, tie, forward: true }]);
      tree.set(b, [...(tree.get(b) ?? []), { to: a, tie, forward: false }]);
      continue;
    }
    // round the loop: over this tie from a to b, then back to a through the tree
    const runs: Loop["runs"] = [];
    let [low, high] = tie.range;
    let place = tie.at;
    let member = b;
    for (const step of way) {
      runs.push({ member, length: step.tie.at - place });
      low += step.forward ? step.tie.range[0] : -step.tie.range[1];
      high += step.forward ? step.tie.range[1] : -step.tie.range[0];
      place = step.tie.at;
      member = step.to;
    }
    runs.push({ member, length: tie.at - place });
    const own = way.length === 1 && way[0].tie.link === tie.link;
    loops.push({
      axis,
      link: tie.link,
      runs: runs.filter((run) => Math.abs(run.length) > 1e-9),
      range: [low, high],
      stretch: own ? Math.abs(runs[0].length) : null,
      through: way.length + 1,
    });
  }
  return loops;
}

function pathBetween(
  tree: Map<string, { to: string; tie: Tie; forward: boolean }[]>,
  from: string,
  to: string,
): { to: string; tie: Tie; forward: boolean }[] | null {
  if (from === to) return [];
  const came = new Map<string, { back: string; step: { to: string; tie: Tie; forward: boolean } } | null>([
    [from, null],
  ]);
  const queue = [from];
  for (let i = 0; i < queue.length; i += 1) {
    for (const step of tree.get(queue[i]) ?? []) {
      if (came.has(step.to)) continue;
      came.set(step.to, { back: queue[i], step });
      if (step.to === to) {
        const way = [];
        for (let at = to; came.get(at); at = came.get(at)!.back) way.unshift(came.get(at)!.step);
        return way;
      }
      queue.push(step.to);
    }
  }
  return null;
}

/** What a millimetre of wood on a course wants to grow by, mm, moment by moment; asked for again and again, reckoned once. */
type Growth = (course: string, coefficient: number) => Float64Array;
function growths(histories: Record<string, MoistureHistory>): Growth {
  const known = new Map<MoistureHistory, Map<number, Float64Array>>();
  return (course, coefficient) => {
    const history = histories[course];
    const ofCourse = known.get(history) ?? new Map<number, Float64Array>();
    known.set(history, ofCourse);
    const grown =
      ofCourse.get(coefficient) ??
      Float64Array.from(history.at, (at) => (coefficient === 0 ? 0 : widthChange(1, coefficient, history.start, at)));
    ofCourse.set(coefficient, grown);
    return grown;
  };
}

function judge(loop: Loop, byId: Map<string, Member>, growth: Growth): Stop | null {
  const { axis, link, runs, range } = loop;
  if (runs.length === 0) return null;
  let [across, along] = [0, 0];
  const lengths = new Map<Float64Array, number>();
  for (const { member: id, length } of runs) {
    const member = byId.get(id)!;
    if (member.grain === axis || member.grain === null) along += Math.abs(length);
    else across += Math.abs(length);
    const grown = growth(member.course, member.coefficients[axis]);
    lengths.set(grown, (lengths.get(grown) ?? 0) + length);
  }
  let worst = 0;
  let when = 0;
  const parts = [...lengths];
  const moments = Math.min(...parts.map(([grown]) => grown.length));
  for (let t = 0; t < moments; t += 1) {
    let free = 0;
    for (const [grown, length] of parts) free += length * grown[t];
    // free growth and play must add up to nothing
    const excess = free + range[0] > 0 ? free + range[0] : free + range[1] < 0 ? free + range[1] : 0;
    // the first of years that repeat
    if (Math.abs(excess) > Math.abs(worst) + (worst === 0 ? 0 : 0.005)) {
      worst = excess;
      when = t;
    }
  }
  if (worst === 0) return null;
  const soft = across + along / STIFFER_ALONG;
  const carried = loop.through > 2 ? Math.max(0, Math.abs(worst) - SPRING) : Math.abs(worst);
  const strain = carried / soft;
  const ends = carried / 2;
  const loads = {
    wood: loop.through <= 2 && across < HARMLESS ? 0 : (strain / STOP_LIMITS.strain) * Math.min(1, across / HARMLESS),
    "glue line": link.kind === "glue" ? ends / STOP_LIMITS.slip : 0,
    fastener: link.kind !== "glue" ? ends / STOP_LIMITS.fastener : 0,
  };
  const fails = (Object.keys(loads) as (keyof typeof loads)[]).reduce((a, b) => (loads[b] > loads[a] ? b : a));
  const reach = new Map<string, number>();
  for (const { member, length } of runs)
    reach.set(member, (reach.get(member) ?? 0) + length * byId.get(member)!.coefficients[axis]);
  const ranked = [...reach].sort(([, p], [, q]) => Math.abs(q) - Math.abs(p));
  return {
    axis,
    link,
    members: ranked.map(([id]) => byId.get(id)!),
    excess: worst * Math.sign(ranked[0][1] || 1),
    when,
    across,
    strain,
    slip: loop.stretch === null ? 0 : ends,
    fails,
    load: loads[fails],
  };
}
