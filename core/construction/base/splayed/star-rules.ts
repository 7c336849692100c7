/** Whether a star fits low between splayed legs, and goes in. */
import { Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import { outAt } from "./lean";
import { legFace, Splayed } from "./place";

type Facts = BaseRuleFacts<Splayed>;

/** @source common practice */
const STAR = {
  /** below the arms, and out of the way of feet, mm */
  clear: 40,
  kicked: 60,
  /** leaning by less, a loose tenon's slack lets a fork go on, degrees */
  slack: 2,
};

const path = (...rest: string[]) => ["form", "splayed", ...rest];

/** A star lies over the floor, under the arms, and has wood between the middle and the legs. */
export function starLies({ at }: Facts): Verdict | null {
  const { star, arms, arm } = at;
  if (!star) return null;
  const over = star.from + star.depth + STAR.clear - arm.from;
  const most = Math.max(0, Math.floor(arm.from - star.depth - STAR.clear));
  const reach = Math.min(
    ...arms.map((each) => outAt(legFace(at, each, star.from + star.depth), star.from + star.depth)),
  );
  const level: Level = over > 0 || reach < STAR.clear ? "fix" : star.from < STAR.kicked ? "tight" : "holds";
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: ["star"],
    level,
    text:
      over > 0
        ? "The star lies in the arms, or too close below them"
        : reach < STAR.clear
          ? "The legs stand too close together for a star between them"
          : `The star lies ${mm(star.from)} above the floor, ${mm(Math.round(reach))} from the middle to each leg`,
    why: `It is ${mm(star.depth)} deep under arms at ${mm(arm.from)}; lower than ${mm(STAR.kicked)} it is kicked, and swept against.`,
    limit: most,
    actual: star.from,
    sense: "at most",
    unit: "mm",
    remedies:
      over > 0
        ? [set(`Set it ${mm(most)} high`, path("star", "height"), most)]
        : level === "tight"
          ? [set("Set it 160 mm high", path("star", "height"), 160)]
          : [],
  });
}

/** Forks go on level; a star's tenons stand square to faces that lean. Both can't close at once. */
export function starGoesIn({ at, form }: Facts): Verdict | null {
  if (!at.star) return null;
  const stuck = at.heads === "fork" && form.splayed.splay > STAR.slack;
  return verdict({
    id: "form.star-order",
    stage: "form",
    subject: ["star", "splayed-leg"],
    level: stuck ? "fix" : "holds",
    text: stuck
      ? "Forked legs go on level: the star’s tenons, square to legs that lean, won’t let them"
      : "Legs close on the star first, the arms come down on them",
    why: "A leg can be pushed home one way only. Onto a fork it goes level, onto a tenon square to its face it goes aslant.",
    remedies: stuck ? [set("Stand the legs below their arms", path("joint"), "loose")] : [],
  });
}
