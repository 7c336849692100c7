/** A way to fasten a top so that it may move. Each is a file of this folder and a line in `index.ts`. */
import { Outline, circle } from "../../assembly/outline";
import type { Place } from "../../assembly/place";
import type { Shape } from "../../assembly/shape";
import { add, cross, dot, times, Vec } from "../../assembly/vector";
import { Bearer, onBearer } from "../../construction/geometry";
import type { JointChoices } from "../../piece/schema";

/** Room of a fastener against travel, mm; Infinity where nothing stops it that way. `setOff` is outward, from the middle of its slot. */
export interface Play {
  dry: number;
  wet: number;
  setOff: number;
}

/** What bears the top, in the words of its base: all of it, what runs along its grain, what runs across. */
export interface BearerWords {
  all: string;
  along: string | null;
  /** null where nothing does: all of it runs along, or round the base */
  across: string | null;
  /** none of it is so deep that a screw starts from a counterbore */
  thin: boolean;
}

/** A body that is cut away, where it stands in the piece. */
export interface CutBody {
  shape: Shape;
  place: Place;
}

/** Where a way is cut into a bearer: the bearer, the height of the top's underside, and how far along it each fastener sits. mm */
export interface BearerPlace {
  bearer: Bearer;
  under: number;
  along: readonly number[];
}

export interface FasteningWay {
  /** how the choice is called, what one and several are in a sentence, and how an id begins */
  names: { choice: string; one: string; many: string; id: string };
  /** what it has its room in, on what runs along the top's grain or round the base (`long`) and across it */
  room: { long: string; across: string };
  /** what it gives on what runs along the top's grain (`long`) or across it. @param need  the worst travel there, mm each way */
  play(joints: JointChoices, rail: "long" | "across", need: { dry: number; wet: number }): Play;
  /** what is cut for it before the base is glued; null where nothing is */
  prepare(joints: JointChoices, words: BearerWords): { title: string; detail: string; hours: number } | null;
  /** how its wooden pieces are made from their sticks, where it has any */
  make?: (joints: JointChoices) => { title: string; detail: string };
  /** how the top goes on */
  attach(joints: JointChoices, words: BearerWords): { title: string; detail: string };
  /** what is cut from a bearer, or nothing: cleats, tabs and plates stand by themselves */
  cuts(joints: JointChoices, at: BearerPlace): CutBody[];
}

/** Slots that are set off for the season share their room by what is asked of them. */
export function shared(room: number, setOff: boolean, need: { dry: number; wet: number }): Play {
  const off = setOff ? Math.max(-room / 2, Math.min(room / 2, (need.wet - need.dry) / 2)) : 0;
  return { dry: room / 2 - off, wet: room / 2 + off, setOff: off };
}

/** A groove stops so far short of the shoulders, and of a joint it would run into, mm. @source common practice */
export const GROOVE_STOP = 10;

/** What is left of a bearer from one place to another between what enters it, each stretch that is long enough for a fastener. mm */
export function between(
  from: number,
  to: number,
  entered: NonNullable<Bearer["entered"]> = [],
): { from: number; to: number }[] {
  const stops = entered
    .map(({ at, width }) => ({ from: at - width / 2, to: at + width / 2 }))
    .sort((a, b) => a.from - b.from);
  const starts = [
    from,
    ...stops.map((_, i) => Math.max(...stops.slice(0, i + 1).map((before) => before.to)) + GROOVE_STOP),
  ];
  const ends = [...stops.map((each) => each.from - GROOVE_STOP), to];
  return starts
    .map((start, i) => ({ from: Math.max(from, start), to: Math.min(to, ends[i]) }))
    .filter((each) => each.to - each.from > 4 * GROOVE_STOP);
}

/** A groove in the side of a bearer that its fasteners sit on: so far below its upper edge, so high, so deep, from one place along it to another. mm */
export function grooveIn(
  { bearer, under }: BearerPlace,
  groove: { from: number; to: number; drop: number; high: number; deep: number },
): CutBody {
  const { run, at, inside, thickness } = bearer;
  if (bearer.slope) return leaningGroove({ bearer, under, along: [] }, groove);
  const face = at + (inside * thickness) / 2;
  const low = under - groove.drop - groove.high;
  const [near, far] = [face, face - inside * groove.deep].sort((a, b) => a - b);
  const shape = { length: groove.to - groove.from, width: groove.high, thickness: groove.deep };
  if (bearer.aslant) {
    const [x, z] = bearer.aslant.way;
    const side = (inside * thickness) / 2;
    const corner = onBearer(bearer, groove.from, Math.min(side, side - inside * groove.deep));
    return { shape, place: { at: [corner.x, low, corner.z], x: [x, 0, z], y: [0, 1, 0] } };
  }
  return run === "along"
    ? { shape, place: { at: [groove.from, low, near], x: [1, 0, 0], y: [0, 1, 0] } }
    : { shape, place: { at: [far, low, groove.from], x: [0, 0, 1], y: [0, 1, 0] } };
}

/** The ways of a bearer that leans: up its face, and out of it away from the middle. */
function leaning(bearer: Bearer): { up: Vec; out: Vec } {
  const { inside, slope = 0 } = bearer;
  const long = Math.sqrt(1 + slope * slope);
  const { x, z } = outwardOf(bearer);
  const of = (y: number, aside: number): Vec => [-inside * aside * x + 0, y, -inside * aside * z + 0];
  return { up: of(1 / long, -slope / long), out: of(slope / long, 1 / long) };
}

/** Beside its middle line, as `onBearer` counts it; along it. */
const outwardOf = ({ run, aslant }: Bearer) =>
  aslant ? { x: -aslant.way[1], z: aslant.way[0] } : run === "along" ? { x: 0, z: 1 } : { x: 1, z: 0 };
const alongOf = ({ run, aslant }: Bearer): Vec =>
  aslant ? [aslant.way[0], 0, aslant.way[1]] : run === "along" ? [1, 0, 0] : [0, 0, 1];

/** In the inner face of a bearer that leans: its depth and its place below the edge are measured square to that face and along it. */
function leaningGroove(
  { bearer, under }: BearerPlace,
  { from, to, drop, high, deep }: Parameters<typeof grooveIn>[1],
): CutBody {
  const { up, out } = leaning(bearer);
  const edge = onBearer(bearer, from, bearer.inside * (bearer.thickness / 2));
  const low = add([edge.x, under, edge.z], times(up, -(drop + high)));
  const x = alongOf(bearer);
  const inward = dot(cross(x, up), out) < 0;
  return {
    shape: { length: to - from, width: high, thickness: deep },
    place: { at: inward ? add(low, times(out, deep)) : low, x, y: up },
  };
}

/** A hole up through a bearer's middle from so far below its upper edge, mm. */
export function holeIn(
  { bearer, under }: BearerPlace,
  hole: { along: number; diameter: number; from: number; to: number },
): CutBody {
  const r = hole.diameter / 2;
  const { x, z } = onBearer(bearer, hole.along);
  const round: Outline = { outer: circle([r, r], r), holes: [] };
  if (bearer.slope) {
    // bored along the bearer's own faces
    const { up } = leaning(bearer);
    const y = alongOf(bearer);
    const low = add([x, under, z], times(up, -hole.from));
    const at = add(low, times(add(y, cross(up, y)), -r));
    return {
      shape: { length: hole.from - hole.to, width: hole.diameter, thickness: hole.diameter, end: round },
      place: { at, x: up, y },
    };
  }
  return {
    shape: { length: hole.from - hole.to, width: hole.diameter, thickness: hole.diameter, end: round },
    place: { at: [x - r, under - hole.from, z + r], x: [0, 1, 0], y: [1, 0, 0] },
  };
}
