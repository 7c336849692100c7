/** Pulls of drawers: bought ones, their holes through the front, and through the box's own where it has one. mm */
import type { Worked } from "../../../assembly/part";
import { circle } from "../../../assembly/outline";
import type { SmallPart } from "../../../assembly/small";
import { seenFrom, Place } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { CaseChoices } from "../../../piece/case-choices";
import type { Drawer } from "./case";

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

/** The holes in a board that stands across the drawer, from its back to its face. */
export function holesIn(
  drawer: Drawer,
  pull: Chosen,
  part: Place,
  { from, to }: { from: number; to: number },
): Worked[] {
  if (pull.kind === "none") return [];
  const { x, y } = pullHoles(drawer, pull);
  const r = PULL_SIZES.hole / 2;
  const round = { outer: circle([r, r], r), holes: [] };
  return x.map((at): Worked => ({
    by: "pull",
    shape: { length: to - from, width: 2 * r, thickness: 2 * r, end: round },
    place: seenFrom(part, { at: [at - r, y - r, from], x: [0, 0, 1], y: [1, 0, 0] }),
    shows: true,
  }));
}

/** The pulls of one drawer as they are bought, before its front; `opens` as the drawer is drawn out. */
export function pullsOf(drawer: Drawer, pull: Chosen, opens: Vec): SmallPart[] {
  if (pull.kind === "none") return [];
  const { x, y } = pullHoles(drawer, pull);
  const known = { of: "steel" as const, by: "pull", on: `C${drawer.n}`, opens };
  const face = drawer.deep.to;
  if (pull.kind === "knob") {
    const { across, out } = PULL_SIZES.knob;
    const r = across / 2;
    return x.map((at, i) => ({
      ...{ ...known, id: `pull-${drawer.n}-${i + 1}`, name: "Knob", plural: "Knobs" },
      shape: { length: out, width: across, thickness: across, end: { outer: circle([r, r], r), holes: [] } },
      place: { at: [at - r, y - r, face], x: [0, 0, 1], y: [1, 0, 0] },
    }));
  }
  const { across, out, over } = PULL_SIZES.bar;
  const long = pull.centres + 2 * over;
  return x
    .filter((_, i) => i % 2 === 0)
    .map((at, i) => ({
      ...{ ...known, id: `pull-${drawer.n}-${i + 1}`, name: "Bar pull", plural: "Bar pulls" },
      shape: { length: long, width: across, thickness: out },
      place: { at: [at - over, y - across / 2, face], x: [1, 0, 0], y: [0, 1, 0] },
    }));
}
