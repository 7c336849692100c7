import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { usualRange } from "../../usual";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { outAt } from "./lean";
import { armEnd, legFace, Splayed } from "./place";
import { tips } from "./tips";

type Facts = BaseRuleFacts<Splayed>;

/** Sizes of splayed legs. @source common practice */
const SPLAY = {
  /** beyond these a leg looks upright by mistake, or slides and bends, degrees */
  low: 3,
  high: 15,
  most: 22,
  /** a foot past the top's rim is walked into, mm */
  past: 15,
  trips: 60,
  /** a star below the arms, and out of the way of feet, mm */
  clear: 40,
  kicked: 60,
  /** leaning by less, a loose tenon's slack lets a fork go on, degrees */
  slack: 2,
  /** an arm reaches so much of the way to the rim */
  bears: 0.7,
};

/** Every rule of splayed legs, in the order a maker would ask. */
export const SPLAYED_RULES: readonly Rule<Facts>[] = [
  legsFit,
  laps,
  splay,
  slim,
  turnedRound,
  feetOut,
  kneeRoom,
  tips,
  bears,
  armStiff,
  starLies,
  starGoesIn,
];

const path = (...rest: string[]) => ["form", "splayed", ...rest];

function legsFit({ at, form }: Facts): Verdict {
  const { arms, lean, arm } = at;
  // from where neighbours' mitres end, or from the lap, to the leg's inner face
  const hub = Math.max(...arms.map(({ after }) => arm.thickness / 2 / Math.tan(Math.max(0.1, after))));
  const free = Math.min(...arms.map(({ head }) => head - lean.level)) - hub;
  const level: Level = lean.edge <= arm.depth ? "fix" : grade(free, "at least", 60, 20);
  const setIn = Math.floor(form.splayed.setIn - (60 - free));
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["splayed-leg", "arm"],
    level,
    text:
      lean.edge <= arm.depth
        ? "The arms are deeper than the whole is high"
        : free <= 0
          ? "The legs meet in the middle: no arm is left between them"
          : `${mm(free)} of arm between the middle and the legs`,
    why: `Heads stand ${mm(form.splayed.setIn)} in from the rim of a top ${mm(at.top.length)} by ${mm(at.top.width)}; a head is ${mm(lean.level)} long.`,
    limit: 60,
    actual: Math.round(free),
    sense: "at least",
    unit: "mm",
    remedies:
      level !== "holds" && lean.edge > arm.depth && setIn >= 0
        ? [set(`Set the heads in by ${setIn} mm`, path("setIn"), setIn)]
        : [],
  });
}

/** Two arms lap in the middle; three, five or six are sawn to points. */
function laps({ at, form }: Facts): Verdict | null {
  if (form.splayed.hub !== "lapped") return null;
  return verdict({
    id: "form.hub",
    stage: "form",
    subject: ["arm"],
    level: at.lapped ? "holds" : "fix",
    text: at.lapped
      ? "Two arms run from leg to leg and lap in the middle"
      : `${at.arms.length} arms can't lap: they are drawn mitred`,
    why: "A half-lap joins two sticks that cross. With any other number each arm comes to a point between its neighbours.",
    remedies: at.lapped
      ? []
      : [set("Mitre the arms in the middle", path("hub"), "mitred"), set("Stand it on four legs", path("legs"), 4)],
  });
}

function splay({ at }: Facts): Verdict {
  const { degrees, out, edge } = at.lean;
  const level: Level =
    degrees > SPLAY.most ? "fix" : degrees > SPLAY.high || (degrees > 0 && degrees < SPLAY.low) ? "tight" : "holds";
  return verdict({
    id: "form.splay",
    stage: "form",
    subject: ["splayed-leg"],
    level,
    text: `Legs splay ${degrees.toFixed(1)}°: feet stand ${mm(out)} outside their heads`,
    why: `Each leans in its own arm’s plane, so every cut is off square by that one angle; along an edge it is ${mm(edge)} long. ${SPLAY.low}° to ${SPLAY.high}° is usual: less looks like a mistake, more slides on a smooth floor and bends its joint.`,
    limit: SPLAY.high,
    actual: Math.round(degrees * 10) / 10,
    sense: "at most",
    unit: "°",
    source: "derived: out = H tan s, edge = H / cos s",
    remedies: level === "holds" ? [] : [set("Splay the legs 8°", path("splay"), 8)],
  });
}

function slim({ at }: Facts): Verdict {
  return usualRange("form.leg", "splayed-leg", "A leg section", {
    actual: at.section,
    range: { low: 38, high: 80 },
    path: path("section"),
    reasons: {
      low: "A fork leaves two thirds of it, and it whips.",
      high: "It looks like a post and is heavy to lean.",
    },
  });
}

/** What meets a leg below its head wants a flat face. */
function turnedRound({ at, form }: Facts): Verdict | null {
  if (form.splayed.shape !== "round") return null;
  const why = at.forked ? "fork" : at.star ? "star" : null;
  const square = set("Leave the legs square", path("shape"), "square");
  return verdict({
    id: "form.turned",
    stage: "form",
    subject: ["splayed-leg"],
    level: why ? "fix" : "holds",
    text:
      why === "fork"
        ? "A fork is sawn in a square head: the legs stay square"
        : why === "star"
          ? "The star’s shoulders want flat faces: the legs stay square"
          : `Legs are turned from ${mm(at.section)} to ${mm(at.footSection)} at the foot, each under its arm`,
    why: "Their heads are slotted while they are square; the slot’s ends are within the round.",
    remedies:
      why === "fork"
        ? [set("Stand the legs below their arms", path("joint"), "loose"), square]
        : why === "star"
          ? [set("Leave the star out", path("star", "kind"), "none"), square]
          : [],
  });
}

/** Feet past the rim are walked into. */
function feetOut({ at, form }: Facts): Verdict {
  const past = Math.max(...at.arms.map(({ foot, head }) => foot - head)) - form.splayed.setIn;
  const level = grade(past, "at most", SPLAY.past, SPLAY.trips);
  const setIn = Math.ceil((at.lean.out + 5) / 5) * 5;
  return verdict({
    id: "form.feet-out",
    stage: "form",
    subject: ["splayed-leg"],
    level,
    text: past > 0 ? `Feet stand ${mm(past)} past the top’s rim` : `Feet stay ${mm(-past)} inside the rim`,
    why: `Heads are ${mm(form.splayed.setIn)} in from the rim and feet ${mm(at.lean.out)} out from them: past ${mm(SPLAY.past)} a foot is walked into.`,
    limit: SPLAY.past,
    actual: Math.round(past),
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Set the heads in by ${setIn} mm`, path("setIn"), setIn)],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "arm", one: "arm", many: "arms" },
    remedies: (good) => {
      const depth = Math.max(30, Math.floor(at.under - good));
      return depth < at.arm.depth ? [set(`Make arms ${depth} mm deep`, path("arm", "depth"), depth)] : [];
    },
  });
}

/** What holds the top flat reaches most of the way to its rim. */
function bears({ at, form }: Facts): Verdict {
  const share = Math.min(...at.arms.map((arm) => armEnd(at, arm) / Math.max(1, arm.head + form.splayed.setIn)));
  const level = grade(share, "at least", SPLAY.bears, 0.5);
  const setIn = Math.floor(Math.min(...at.arms.map(({ head }) => head + form.splayed.setIn)) * (1 - SPLAY.bears) - 5);
  return verdict({
    id: "form.brace",
    stage: "form",
    subject: ["arm", "top"],
    level,
    text: `Arms bear ${level === "holds" ? "" : "only "}${Math.round(100 * share)} % of the way to the rim`,
    why: "They keep the top flat as far as they go; beyond them it cups freely.",
    limit: Math.round(100 * SPLAY.bears),
    actual: Math.round(100 * share),
    sense: "at least",
    unit: "%",
    remedies: level === "holds" || setIn < 0 ? [] : [set(`Set the heads in by ${setIn} mm`, path("setIn"), setIn)],
  });
}

/** A leg pushed sideways turns its arm: depth is what resists. */
function armStiff({ at }: Facts): Verdict {
  return usualRange("form.arm", "arm", "An arm depth", {
    actual: at.arm.depth,
    range: { low: 45, high: 90 },
    path: path("arm", "depth"),
    reasons: {
      low: "Its joint is the only thing that keeps a leg from folding in or out.",
      high: "Knees meet it.",
    },
  });
}

/** A star lies over the floor, under the arms, and has wood between the middle and the legs. */
function starLies({ at }: Facts): Verdict | null {
  const { star, arms, arm } = at;
  if (!star) return null;
  const over = star.from + star.depth + SPLAY.clear - arm.from;
  const most = Math.max(0, Math.floor(arm.from - star.depth - SPLAY.clear));
  const reach = Math.min(
    ...arms.map((each) => outAt(legFace(at, each, star.from + star.depth), star.from + star.depth)),
  );
  const level: Level = over > 0 || reach < SPLAY.clear ? "fix" : star.from < SPLAY.kicked ? "tight" : "holds";
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: ["star"],
    level,
    text:
      over > 0
        ? "The star lies in the arms, or too close below them"
        : reach < SPLAY.clear
          ? "The legs stand too close together for a star between them"
          : `The star lies ${mm(star.from)} above the floor, ${mm(Math.round(reach))} from the middle to each leg`,
    why: `It is ${mm(star.depth)} deep under arms at ${mm(arm.from)}; lower than ${mm(SPLAY.kicked)} it is kicked, and swept against.`,
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
function starGoesIn({ at, form }: Facts): Verdict | null {
  if (!at.star) return null;
  const stuck = at.forked && form.splayed.splay > SPLAY.slack;
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
