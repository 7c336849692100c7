import { grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import { usualRange } from "../../usual";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { tipping } from "../tipping";
import { innerAt, outerAt, Way } from "./legs";
import { degrees } from "./parts";
import { longestOf, SplayedFrame } from "./place";
import { levelOf, Stick } from "./sticks";

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
  /** a rail's cheek stays inside the leg it enters, mm */
  inside: 3,
  /** stretchers below rails, and out of the way of feet, mm */
  clear: 40,
  kicked: 60,
};

/** Every rule of splayed legs under rails, in the order a maker would ask. */
export const SPLAYED_FRAME_RULES: readonly Rule<Facts>[] = [
  legsFit,
  (facts) => splay(facts, "end"),
  (facts) => splay(facts, "side"),
  slim,
  railDeep,
  railInLeg,
  feetOut,
  lowLies,
  kneeRoom,
  tips,
];

const path = (...rest: string[]) => ["form", "splayedFrame", ...rest];
type Side = "end" | "side";
const TOWARD = { end: "the ends", side: "the sides" } as const;

/** Between two legs a rail has length left, both ways. */
function legsFit({ at, form }: Facts): Verdict {
  const each = (["end", "side"] as const).map((way) => ({ way, free: 2 * innerAt(at.legs, at.legs[way], at.under) }));
  const { way, free } = each[1].free < each[0].free ? each[1] : each[0];
  const deep = at.under - at.rail.depth <= 0;
  const level: Level = deep ? "fix" : grade(free, "at least", SPLAY.rail, 60);
  const setIn = Math.floor(form.splayedFrame.setIn[way] - (SPLAY.rail - free) / 2);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["splayed-leg", way === "end" ? "splay-rail" : "splay-end-rail"],
    level,
    text: deep
      ? "The rails are deeper than the whole is high"
      : free <= 0
        ? "The legs run into one another: no rail is left between them"
        : `${mm(free)} of rail between the legs ${way === "end" ? "along" : "across"} the top`,
    why: `Heads stand ${mm(form.splayedFrame.setIn[way])} in from ${TOWARD[way]}, each ${mm(at.legs[way].level)} long where the top lies on it.`,
    limit: SPLAY.rail,
    actual: Math.round(free),
    sense: "at least",
    unit: "mm",
    remedies: deep
      ? [set("Make the rails 60 mm deep", path("rail", "depth"), 60)]
      : level !== "holds" && setIn >= 0
        ? [set(`Set the heads in by ${setIn} mm`, path("setIn", way), setIn)]
        : [],
  });
}

function splay({ at }: Facts, way: Side): Verdict {
  const { degrees: angle, tan } = at.legs[way];
  const level: Level =
    angle > SPLAY.most ? "fix" : angle > SPLAY.high || (angle > 0 && angle < SPLAY.low) ? "tight" : "holds";
  return verdict({
    id: `form.splay-${way}`,
    stage: "form",
    subject: ["splayed-leg"],
    level,
    text:
      angle === 0
        ? `Legs stand upright toward ${TOWARD[way]}`
        : `Legs splay ${degrees(angle)} toward ${TOWARD[way]}: feet stand ${mm(tan * at.under)} outside their heads`,
    why: `With the other way the leg leans ${degrees(at.legs.resultant)}. ${SPLAY.low}° to ${SPLAY.high}° is usual: less looks like a mistake, more slides on a smooth floor and bends its joints.`,
    limit: SPLAY.high,
    actual: Math.round(angle * 10) / 10,
    sense: "at most",
    unit: "°",
    source: "derived: tan R = √(tan² a + tan² b)",
    remedies: level === "holds" ? [] : [set(`Splay them 8° toward ${TOWARD[way]}`, path("splay", way), 8)],
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

/** What stands of a leg beside a rail's faces, where it is least: upright rails stay behind while the legs go out. */
const besideRail = ({ legs }: SplayedFrame, stick: Stick, way: Way): number =>
  Math.min(
    ...[stick.lower, stick.upper].flatMap((y) => {
      const out = stick.outer + stick.slope * (stick.upper - y);
      return [outerAt(legs, way, y) - out, out - levelOf(stick) - innerAt(legs, way, y)];
    }),
  );

function railInLeg({ at }: Facts): Verdict {
  const all = at.rails.map((stick) => ({
    stick,
    left: besideRail(at, stick, stick.run === "along" ? at.legs.side : at.legs.end),
  }));
  const { stick, left } = all.reduce((a, b) => (b.left < a.left ? b : a));
  const level = grade(left, "at least", SPLAY.inside, 0);
  const thinner = Math.floor(at.rail.thickness - (SPLAY.inside - left));
  const remedies: Remedy[] = [
    ...(at.rail.leaning ? [] : [set("Let the rails lean with the legs", path("rail", "stands"), "leaning")]),
    ...(at.rail.reveal < SPLAY.inside
      ? [set(`Set the rails ${SPLAY.inside} mm back`, path("rail", "reveal"), SPLAY.inside)]
      : []),
    ...(thinner >= 12 ? [set(`Make the rails ${thinner} mm thick`, path("rail", "thickness"), thinner)] : []),
  ];
  return verdict({
    id: "form.rail-in-leg",
    stage: "form",
    subject: [stick.kind, "splayed-leg"],
    level,
    text:
      left < 0
        ? `The rail stands ${mm(-left)} out of the leg it enters`
        : `${mm(left)} of the leg stand beside the rail’s faces`,
    why: at.rail.leaning
      ? `The rail leans as the legs do, ${mm(at.rail.reveal)} behind their faces and ${mm(at.rail.thickness)} thick.`
      : `The rail stands upright while the leg leans: over its ${mm(at.rail.depth)} the leg goes out ${mm(stick.run === "along" ? at.legs.side.tan * at.rail.depth : at.legs.end.tan * at.rail.depth)} past it.`,
    limit: SPLAY.inside,
    actual: Math.round(left * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : remedies,
  });
}

function feetOut({ at, form }: Facts): Verdict {
  const past = (["end", "side"] as const).map((way) => ({
    way,
    past: at.legs[way].tan * at.under - form.splayedFrame.setIn[way],
  }));
  const worst = past[1].past > past[0].past ? past[1] : past[0];
  const level = grade(worst.past, "at most", SPLAY.past, SPLAY.trips);
  const setIn = Math.ceil((at.legs[worst.way].tan * at.under) / 5) * 5;
  return verdict({
    id: "form.feet-out",
    stage: "form",
    subject: ["splayed-leg", "top"],
    level,
    text: worst.past > 0 ? `Feet stand ${mm(worst.past)} past the top` : `Feet stay ${mm(-worst.past)} inside the top`,
    why: `Heads are ${mm(form.splayedFrame.setIn[worst.way])} in from ${TOWARD[worst.way]}; the splay carries each foot ${mm(at.legs[worst.way].tan * at.under)} out from there.`,
    limit: SPLAY.past,
    actual: Math.round(worst.past),
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Set the heads in by ${setIn} mm`, path("setIn", worst.way), setIn)],
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
  return tipping({
    ...{ at, form, weight, subject: ["splayed-leg", "top"] },
    mend: (apart) => {
      const side = Math.max(0, Math.floor((at.top.width - apart) / 2 + at.legs.side.tan * at.under));
      return [set(`Set the heads in by ${side} mm`, path("setIn", "side"), side)];
    },
  });
}
