/** Pulls of drawers and doors: bought ones, their holes through the front, and through the box's own where it has one. mm */
import type { Worked } from "../../../assembly/part";
import { circle } from "../../../assembly/outline";
import type { SmallPart } from "../../../assembly/small";
import { seenFrom, Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { CaseChoices } from "../../../piece/case-choices";
import { mm } from "../../../verdict/verdict";
import { Bow, bowMost } from "./bow-arc";
import type { Door, Drawer } from "./case";

/** @source common practice: machine screws of 4 in holes of 4.5; a knob for a hand, one at each end of a front too wide for one */
export const PULL_SIZES = {
  ...{ hole: 4.5, wide: 700, share: 1 / 6 },
  knob: { across: 30, out: 26 },
  bar: { across: 12, out: 30, over: 10 },
};

type Chosen = CaseChoices["drawers"]["pull"];

/** Where its screws go through a front: x from left to right, all at one height. */
export function pullHoles({ front }: Pick<Drawer, "front">, pull: Chosen): { x: number[]; y: number } {
  const { from, to } = front.across;
  const y = (front.from + front.to) / 2;
  const wide = to - from;
  const middles =
    wide > PULL_SIZES.wide ? [from + wide * PULL_SIZES.share, to - wide * PULL_SIZES.share] : [(from + to) / 2];
  const half = pull.centres / 2;
  return { x: pull.kind === "bar" ? middles.flatMap((x) => [x - half, x + half]) : middles, y };
}

/** Where a pull stands: through which points its screws go, from the back of the board to its face, which part it is on, along x or up. */
interface Stood {
  id: string;
  on: string;
  points: { x: number; y: number }[];
  face: number;
  upright: boolean;
}

/** How far a bowed front stands out where its pull is. */
export function pullOut(drawer: Drawer, pull: Chosen, bow: Bow): number {
  const { x } = pullHoles(drawer, pull);
  return bowMost(bow, x[0], x[x.length - 1]);
}

const ofDrawer = (drawer: Drawer, pull: Chosen): Stood => {
  const { x, y } = pullHoles(drawer, pull);
  return {
    ...{ id: `pull-${drawer.n}`, on: `C${drawer.n}`, face: drawer.deep.to, upright: false },
    points: x.map((each) => ({ x: each, y })),
  };
};

/** A door's on the stile that swings, halfway up: a bar stands there. */
export function doorPull({ n, hung, across, high, stile, battens }: Door, pull: Chosen, face: number): Stood {
  const x = hung < 0 ? across.to - stile / 2 : across.from + stile / 2;
  const y = (high.from + high.to) / 2;
  const half = pull.centres / 2;
  return {
    ...{ id: `door-pull-${n}`, on: battens ? `B${n}` : `RS${hung < 0 ? 2 * n : 2 * n - 1}`, face, upright: true },
    points: pull.kind === "bar" ? [-half, half].map((off) => ({ x, y: y + off })) : [{ x, y }],
  };
}

/** The holes in a board that stands across, from its back to its face. */
function holes(points: Stood["points"], part: Place, { from, to }: { from: number; to: number }): Worked[] {
  const r = PULL_SIZES.hole / 2;
  const round = { outer: circle([r, r], r), holes: [] };
  return points.map(({ x, y }): Worked => ({
    by: "pull",
    shape: { length: to - from, width: 2 * r, thickness: 2 * r, end: round },
    place: seenFrom(part, { at: [x - r, y - r, from], x: [0, 0, 1], y: [1, 0, 0] }),
    shows: true,
  }));
}
export const holesIn = (drawer: Drawer, pull: Chosen, part: Place, depth: { from: number; to: number }): Worked[] =>
  pull.kind === "none" ? [] : holes(ofDrawer(drawer, pull).points, part, depth);
export const doorHoles = (door: Door, pull: Chosen, part: Place, face: number): Worked[] =>
  pull.kind === "none" ? [] : holes(doorPull(door, pull, face).points, part, { from: face - door.thickness, to: face });

/** The pulls of one drawer, or of one door, as they are bought, before its front; `opens` as it is drawn out. */
export const pullsOf = (drawer: Drawer, pull: Chosen, { opens, bow }: { opens: Vec; bow: Bow | null }): SmallPart[] => {
  const stood = ofDrawer(drawer, pull);
  return bought({ ...stood, face: stood.face + (bow ? pullOut(drawer, pull, bow) : 0) }, pull, opens);
};
export const doorPulls = (door: Door, pull: Chosen, { face, opens }: { face: number; opens: Vec }): SmallPart[] =>
  bought(doorPull(door, pull, face), pull, opens);

function bought({ id, on, points, face, upright }: Stood, pull: Chosen, opens: Vec): SmallPart[] {
  if (pull.kind === "none") return [];
  const known = { of: "steel" as const, by: "pull", on, opens };
  if (pull.kind === "knob") {
    const { across, out } = PULL_SIZES.knob;
    const r = across / 2;
    return points.map(({ x, y }, i) => ({
      ...{ ...known, id: `${id}-${i + 1}`, name: "Knob", plural: "Knobs" },
      shape: { length: out, width: across, thickness: across, end: { outer: circle([r, r], r), holes: [] } },
      place: { at: [x - r, y - r, face], x: [0, 0, 1], y: [1, 0, 0] },
    }));
  }
  const { across, out, over } = PULL_SIZES.bar;
  const shape = { length: pull.centres + 2 * over, width: across, thickness: out };
  return points
    .filter((_, i) => i % 2 === 0)
    .map(({ x, y }, i) => ({
      ...{ ...known, id: `${id}-${i + 1}`, name: "Bar pull", plural: "Bar pulls", shape },
      // along and across its face, and out of it
      place: upright
        ? { at: [x + across / 2, y - over, face] as Vec, x: [0, 1, 0] as Vec, y: [-1, 0, 0] as Vec }
        : { at: [x - over, y - across / 2, face] as Vec, x: [1, 0, 0] as Vec, y: [0, 1, 0] as Vec },
    }));
}

/** What a step says of the holes for them. */
export const bored = ({ kind, centres }: Chosen): string =>
  kind === "none"
    ? ""
    : ` ${kind === "bar" ? `Two holes ${mm(centres)} apart` : "A hole"} for each pull, ${PULL_SIZES.hole} mm, through a template that hooks over the front’s upper edge, a block held behind.`;
