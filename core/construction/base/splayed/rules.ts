import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { usualRange } from "../../usual";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { bearsTo, legFace, Splayed } from "./place";
import { headsBeside, rebates } from "./rim-rules";
import { starGoesIn, starLies } from "./star-rules";
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
  /** a stick is hollowed round a turned leg up to so much of its thickness */
  hollow: 0.8,
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
  headsBeside,
  rebates,
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
  const setIn = at.beside ? -1 : Math.floor(form.splayed.setIn - (60 - free));
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
    why: `Heads stand ${at.beside ? `${mm(form.splayed.rim.proud)} outside` : `${mm(form.splayed.setIn)} in from`} the rim of a top ${mm(at.top.length)} by ${mm(at.top.width)}; a head is ${mm(lean.level)} long.`,
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
  const { out, lean } = at;
  const { degrees, edge } = lean;
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

/** What ends against a turned leg: how much of the leg’s thickness there it takes, the most first. */
function hollowed(at: Splayed): { part: "arm" | "star"; thickness: number; share: number }[] {
  const sticks = [
    ...(at.heads === "face" ? [{ part: "arm" as const, ...at.arm }] : []),
    ...(at.star ? [{ part: "star" as const, ...at.star }] : []),
  ];
  return sticks
    .map(({ part, thickness, from, depth }) => {
      const share = thickness / legFace(at, at.arms[0], from + depth / 2).section;
      return { part, thickness, share };
    })
    .sort((a, b) => b.share - a.share);
}

/** Turned legs have nothing sawn in a square head, and nothing too thick to be hollowed round them. */
function turnedRound({ at, form }: Facts): Verdict | null {
  if (form.splayed.shape !== "round") return null;
  const square = set("Leave the legs square", path("shape"), "square");
  const judged = { id: "form.turned", stage: "form" as const, subject: ["splayed-leg"] };
  const [stick] = hollowed(at);
  const why = stick
    ? `What ends against a turned leg is hollowed to it, its loose tenons square to the line nearest to the middle; over ${Math.round(100 * SPLAY.hollow)} % of the leg’s thickness its lips run out to nothing.`
    : "Their heads are slotted while they are square; the slot’s ends are within the round.";
  if (at.heads === "fork" || at.beside)
    return verdict({
      ...{ ...judged, level: "fix", why },
      text: `A ${at.beside ? "rebate" : "fork"} is sawn in a square head: the legs stay square`,
      remedies: [...(at.beside ? [] : [set("Stand the legs below their arms", path("joint"), "loose")]), square],
    });
  if (stick && stick.share > SPLAY.hollow) {
    const thin = Math.floor((stick.thickness * SPLAY.hollow) / stick.share);
    const [said, are] = stick.part === "arm" ? ["arms", "are"] : ["star", "is"];
    return verdict({
      ...{ ...judged, level: "fix", why },
      text: `The ${said} ${are} too thick to be hollowed round the legs`,
      remedies: [
        ...(thin >= 15 ? [set(`Make the ${said} ${mm(thin)} thick`, path(stick.part, "thickness"), thin)] : []),
        square,
      ],
    });
  }
  return verdict({
    ...{ ...judged, level: "holds", why },
    text: `Legs are turned from ${mm(at.section)} to ${mm(at.footSection)} at the foot, each under its arm`,
    remedies: [],
  });
}

/** Feet past the rim are walked into. */
function feetOut({ at, form }: Facts): Verdict {
  const { beside } = at;
  const past = Math.max(...at.arms.map(({ foot, rim }) => foot - rim));
  // legs that stand outside are seen from above: they are walked round
  const [good, most] = beside ? [SPLAY.trips, 2 * SPLAY.trips] : [SPLAY.past, SPLAY.trips];
  const level = grade(past, "at most", good, most);
  const setIn = Math.ceil((at.out + 5) / 5) * 5;
  const splay = Math.floor(((Math.atan((good - form.splayed.rim.proud - 1) / at.under) * 180) / Math.PI) * 2) / 2;
  return verdict({
    id: "form.feet-out",
    stage: "form",
    subject: ["splayed-leg"],
    level,
    text: past > 0 ? `Feet stand ${mm(past)} past the top’s rim` : `Feet stay ${mm(-past)} inside the rim`,
    why: `Heads are ${beside ? `${mm(form.splayed.rim.proud)} outside` : `${mm(form.splayed.setIn)} in from`} the rim and feet ${mm(at.out)} out from them: past ${mm(good)} a foot is walked into${beside ? ", even one whose head is seen" : ""}.`,
    limit: good,
    actual: Math.round(past),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : !beside
          ? [set(`Set the heads in by ${setIn} mm`, path("setIn"), setIn)]
          : splay > 0
            ? [set(`Splay the legs ${splay}°`, path("splay"), splay)]
            : [],
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
function bears({ at }: Facts): Verdict {
  const share = Math.min(...at.arms.map((arm, i) => bearsTo(at, arm, i) / Math.max(1, arm.rim)));
  const level = grade(share, "at least", SPLAY.bears, 0.5);
  const setIn = Math.floor(Math.min(...at.arms.map(({ rim }) => rim)) * (1 - SPLAY.bears) - 5);
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
