import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { usualRange } from "../../usual";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { tipping } from "../tipping";
import { innerAt } from "./legs";
import { degrees } from "./parts";
import { isRing, longestOf, SplayedFrame } from "./place";
import { tipsInRound } from "./ring-tips";
import { lowInLeg, railInLeg } from "./in-leg-rules";
import { Toward, towardsOf } from "./toward";
import { turnedLegs, turnedLows } from "./turned-rules";

type Facts = BaseRuleFacts<SplayedFrame>;

/** Splayed legs under rails. @source common practice */
const SPLAY = {
  /** beyond these a leg looks upright by mistake, or slides and bends, degrees */
  low: 3,
  high: 15,
  most: 22,
  /** a rail shorter than this is no rail, mm */
  rail: 150,
  /** a foot past the top's rim is walked into, mm */
  past: 15,
  trips: 60,
  /** stretchers below rails, and out of the way of feet, mm */
  clear: 40,
  kicked: 60,
};

/** Every rule of splayed legs under rails, in the order a maker would ask. */
export const SPLAYED_FRAME_RULES: readonly Rule<Facts>[] = [
  legsFit,
  (facts) => splay(facts, 0),
  (facts) => splay(facts, 1),
  slim,
  turnedLegs,
  turnedLows,
  railDeep,
  railInLeg,
  lowInLeg,
  feetOut,
  lowLies,
  kneeRoom,
  tips,
];

const path = (...rest: string[]) => ["form", "splayedFrame", ...rest];

/** The least or the most of what is judged each way. */
const worstOf = <T extends { value: number }>(all: readonly T[]): T =>
  all.reduce((a, b) => (b.value > a.value ? b : a));

/** Between two legs a rail has length left, both ways. */
function legsFit({ at, form }: Facts): Verdict {
  const { way, value } = worstOf(
    towardsOf(form, at).map((each) => ({ way: each, value: -2 * innerAt(at.legs, each.rails, at.under) })),
  );
  const free = -value;
  const deep = at.under - at.rail.depth <= 0;
  const level: Level = deep ? "fix" : grade(free, "at least", SPLAY.rail, 60);
  const setIn = Math.floor(way.setIn - (SPLAY.rail - free) / 2 / way.share);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["splayed-leg", way.kind],
    level,
    text: deep
      ? "The rails are deeper than the whole is high"
      : free <= 0
        ? "The legs run into one another: no rail is left between them"
        : `${mm(free)} of rail between the legs${way.along}`,
    why: `Heads stand ${mm(way.setIn)} in from ${way.from}, each ${mm(way.lean.level)} long where the top lies on it.`,
    limit: SPLAY.rail,
    actual: Math.round(free),
    sense: "at least",
    unit: "mm",
    remedies: deep
      ? [set("Make the rails 60 mm deep", path("rail", "depth"), 60)]
      : level !== "holds" && setIn >= 0
        ? [set(`Set the heads in by ${setIn} mm`, way.setInAt, setIn)]
        : [],
  });
}

function splay({ at, form }: Facts, which: 0 | 1): Verdict | null {
  const way: Toward | undefined = towardsOf(form, at)[which];
  if (!way) return null;
  const { degrees: angle, tan } = way.lean;
  const level: Level =
    angle > SPLAY.most ? "fix" : angle > SPLAY.high || (angle > 0 && angle < SPLAY.low) ? "tight" : "holds";
  return verdict({
    id: way.id,
    stage: "form",
    subject: ["splayed-leg"],
    level,
    text:
      angle === 0
        ? `Legs stand upright${way.toward}`
        : `Legs splay ${degrees(angle)}${way.toward}: feet stand ${mm(tan * at.under)} outside their heads`,
    why: `${at.legs.ring ? "Each leans straight out from the middle." : `With the other way the leg leans ${degrees(at.legs.resultant)}.`} ${SPLAY.low}° to ${SPLAY.high}° is usual: less looks like a mistake, more slides on a smooth floor and bends its joints.`,
    limit: SPLAY.high,
    actual: Math.round(angle * 10) / 10,
    sense: "at most",
    unit: "°",
    source: at.legs.ring ? "derived: out = H tan s" : "derived: tan R = √(tan² a + tan² b)",
    remedies: level === "holds" ? [] : [set(`Splay them 8°${way.toward}`, way.splayAt, 8)],
  });
}

function slim({ at }: Facts): Verdict {
  return usualRange("form.leg", "splayed-leg", "A leg section", {
    actual: at.legs.section,
    range: { low: 38, high: 80 },
    path: path("section"),
    reasons: {
      low: "Two mortises leave little of it, and it whips.",
      high: "It looks like a post and is heavy to lean.",
    },
  });
}

function railDeep({ at }: Facts): Verdict {
  return usualRange("form.rail-depth", "splay-rail", "A rail depth", {
    actual: at.rail.depth,
    range: { low: 50, high: 120 },
    path: path("rail", "depth"),
    reasons: {
      low: "The depth of its joints is all that keeps legs from folding.",
      high: "Knees meet it.",
    },
  });
}

function feetOut({ at, form }: Facts): Verdict {
  const { way, value: past } = worstOf(
    towardsOf(form, at).map((each) => ({ way: each, value: each.lean.tan * at.under - each.setIn - each.footIn })),
  );
  const level = grade(past, "at most", SPLAY.past, SPLAY.trips);
  const setIn = Math.ceil((way.lean.tan * at.under) / 5) * 5;
  return verdict({
    id: "form.feet-out",
    stage: "form",
    subject: ["splayed-leg", "top"],
    level,
    text: past > 0 ? `Feet stand ${mm(past)} past the top` : `Feet stay ${mm(-past)} inside the top`,
    why: `Heads are ${mm(way.setIn)} in from ${way.from}; the splay carries each foot ${mm(way.lean.tan * at.under)} out from there.`,
    limit: SPLAY.past,
    actual: Math.round(past),
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Set the heads in by ${setIn} mm`, way.setInAt, setIn)],
  });
}

/** Stretchers lie over the floor, under the rails, and have wood between the legs. */
function lowLies({ at }: Facts): Verdict | null {
  if (at.lows.length === 0) return null;
  const low = Math.min(...at.lows.map(({ lower }) => lower));
  const high = Math.max(...at.lows.map(({ upper }) => upper));
  const most = Math.floor(at.under - at.rail.depth - SPLAY.clear - (high - low));
  const over = low - most;
  const short = Math.min(...at.lows.map(longestOf));
  const level: Level = over > 0 || short < SPLAY.clear ? "fix" : low < SPLAY.kicked ? "tight" : "holds";
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: [...new Set(at.lows.map(({ kind }) => kind))],
    level,
    text:
      over > 0
        ? "The stretchers lie in the rails, or too close below them"
        : short < SPLAY.clear
          ? "The legs stand too close together for stretchers between them"
          : `Stretchers lie ${mm(low)} above the floor`,
    why: `They take ${mm(high - low)} under rails that end ${mm(at.under - at.rail.depth)} above the floor; lower than ${mm(SPLAY.kicked)} they are kicked, and swept against.`,
    limit: most,
    actual: low,
    sense: "at most",
    unit: "mm",
    remedies:
      over > 0 && most >= 0
        ? [set(`Set them ${mm(most)} high`, path("low", "height"), most)]
        : level === "tight"
          ? [set("Set them 120 mm high", path("low", "height"), 120)]
          : level === "fix"
            ? [set("Leave them out", path("low", "kind"), "none")]
            : [],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "splay-rail", one: "rail", many: "rails" },
    remedies: (good) => {
      const depth = Math.max(30, Math.floor(at.under - good));
      return depth < at.rail.depth ? [set(`Make rails ${depth} mm deep`, path("rail", "depth"), depth)] : [];
    },
  });
}

function tips({ at, form, weight }: Facts): Verdict | null {
  if (isRing(at.legs)) return tipsInRound({ at, form, weight }, at.legs);
  return tipping({
    ...{ at, form, weight, subject: ["splayed-leg", "top"] },
    mend: (apart) => {
      const side = Math.max(0, Math.floor((at.top.width - apart) / 2 + at.legs.side.tan * at.under));
      return [set(`Set the heads in by ${side} mm`, path("setIn", "side"), side)];
    },
  });
}
