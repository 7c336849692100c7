/** What tips a piece on legs in a round: between two feet its edge is farthest out, the fewer there are the more. */
import { mm, Remedy, set, Verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import { LEAN } from "../tipping";
import { pushAt, tipsBetween } from "../tips-between-feet";
import { footIn, outerAt, Ring, SplayedLegs } from "./legs";
import type { SplayedFrame } from "./place";
import { spokesOf } from "./ring";

const path = (...rest: string[]) => ["form", "splayedFrame", "ring", ...rest];
const MOST_LEGS = 6;
/** Heads nearer to the rim that a maker might set, mm. Ours */
const SET_INS = [60, 40, 20];

export function tipsInRound(
  { at, form, weight }: Pick<BaseRuleFacts<SplayedFrame>, "at" | "form" | "weight">,
  legs: SplayedLegs & { ring: Ring },
): Verdict {
  const { legs: count, turn, setIn } = form.splayedFrame.ring;
  const pushed = (on: number, to: number) => {
    const foot = outerAt(legs, legs.ring.lean, 0) - footIn(legs, legs.ring.lean) + setIn - to;
    const arms = spokesOf(on, turn).map((spoke) => ({ ...spoke, foot }));
    return pushAt({ arms, top: at.top }, weight, form.top.outline === "ellipse");
  };
  const stands = (on: number, to: number) => pushed(on, to).newtons >= LEAN.least;
  const nearer = SET_INS.filter((each) => each < setIn);
  const more = Array.from({ length: MOST_LEGS - count }, (_, i) => count + 1 + i);
  const headsIn = (to: number) => set(`Set the heads in by ${mm(to)}`, path("setIn"), to);
  const onMore = (on: number) => set(`Stand it on ${on} legs`, path("legs"), on);
  const [outer, legged] = [nearer.find((to) => stands(count, to)), more.find((on) => stands(on, setIn))];
  const both = more.flatMap((on) => nearer.map((to) => ({ on, to }))).find(({ on, to }) => stands(on, to));
  const together: Remedy[] =
    outer || legged || !both
      ? []
      : [
          {
            label: `${onMore(both.on).label}, heads in by ${mm(both.to)}`,
            patches: [...onMore(both.on).patches, ...headsIn(both.to).patches],
          },
        ];
  return tipsBetween({
    ...{ form, weight, subject: ["splayed-leg", "top"], pushed: pushed(count, setIn) },
    leaned: [...(outer ? [headsIn(outer)] : []), ...(legged ? [onMore(legged)] : []), ...together],
    sat: (by) => [
      ...(setIn > by + 20 ? [headsIn(Math.round(setIn - by))] : []),
      ...(count < MOST_LEGS ? [onMore(count + 1)] : []),
    ],
  });
}
