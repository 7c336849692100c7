import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { tipping } from "../tipping";
import type { Bent } from "./place";

type Facts = BaseRuleFacts<Bent>;

/** Bent legs. @source common practice, where nothing else is said */
const BENT = {
  /** beyond these a leg looks upright by mistake, or folds, degrees */
  splay: { low: 0, high: 15, most: 22 },
  /** an arm is so many times as long as it is deep */
  arm: 3,
  /** shorter than this it is no arm, mm */
  shortest: 60,
  /** free between two arms' inner ends, mm */
  between: 20,
  /** a foot past the top's edge is walked into, mm */
  past: 15,
  trips: 60,
  /** someone pushes the top sideways with so much, N @source EN 12521, horizontal static load, from memory */
  push: 300,
  /** bending stress across a glued mitre with its spline, MPa @source from memory: a splined mitre keeps a fifth to a third of the wood's own */
  mitre: { good: 3, least: 5 },
};

/** Every rule of bent legs, in the order a maker would ask. */
export const BENT_RULES: readonly Rule<Facts>[] = [bendsFit, armLong, splay, feetOut, racks, held, kneeRoom, tips];

const path = (...rest: string[]) => ["form", "bent", ...rest];

function bendsFit({ at: { bends, shape, choices, under } }: Facts): Verdict {
  const [{ x, z }] = bends;
  const far = { across: Math.abs(z), along: Math.abs(x), corner: Math.hypot(x, z) }[choices.way];
  // two arms in line, or four that come to the middle: these stop short of one another's sides
  const free = choices.way === "corner" ? far - shape.arm.length - shape.thickness : 2 * (far - shape.arm.length);
  const high = shape.inside > shape.inner + shape.section;
  const level: Level = !high || free < 0 ? "fix" : grade(free, "at least", BENT.between, 0);
  const shorter = Math.floor(shape.arm.length - Math.max(0, BENT.between - free) / (choices.way === "corner" ? 1 : 2));
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["bent-arm", "bent-leg"],
    level,
    text: !high
      ? "The bend is deeper than the whole is high"
      : free < 0
        ? `The arms run into one another by ${mm(-free)}`
        : `${mm(free)} stay free between the arms`,
    why: `Bends stand ${mm(Math.abs(x))} and ${mm(Math.abs(z))} from the middle under a top ${mm(under)} above the floor; each arm is ${mm(shape.arm.length)} long. Every one is fixed by itself: arms that touch hold the top between them.`,
    limit: BENT.between,
    actual: Math.round(free),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || !high
        ? []
        : shorter >= BENT.shortest
          ? [set(`Make the arms ${mm(shorter)} long`, path("arm", "length"), shorter)]
          : // a narrow top has its length
            choices.way !== "along" && 2 * (Math.abs(x) - shape.arm.length) >= BENT.between
            ? [set("Run the arms along the top", path("way"), "along")]
            : [],
  });
}

/** A short arm pries its screws out. */
function armLong({ at: { shape } }: Facts): Verdict {
  const good = Math.ceil(BENT.arm * shape.section);
  const level = grade(shape.arm.length, "at least", good, 2 * shape.section);
  return verdict({
    id: "form.bent-arm",
    stage: "form",
    subject: ["bent-arm"],
    level,
    text: `Arms ${mm(shape.arm.length)} long hold the legs by the top`,
    why: `A leg that is kicked turns about its bend, and the inner screws are pulled: they want about ${BENT.arm} times the arm’s depth to the bend.`,
    limit: good,
    actual: shape.arm.length,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the arms ${mm(good)} long`, path("arm", "length"), good)],
  });
}

function splay({ at: { choices } }: Facts): Verdict {
  const { high, most } = BENT.splay;
  const level = grade(choices.splay, "at most", high, most);
  return verdict({
    id: "form.splay",
    stage: "form",
    subject: ["bent-leg"],
    level,
    text: `Legs lean ${choices.splay.toFixed(1)}° outward, the mitre ${(45 - choices.splay / 2).toFixed(1)}° off square`,
    why: `Over ${high}° the mitre is opened by what stands on it, and the feet slide.`,
    limit: high,
    actual: choices.splay,
    sense: "at most",
    unit: "°",
    remedies: level === "holds" ? [] : [set(`Splay them ${high}°`, path("splay"), high)],
  });
}

function feetOut({ at: { feet, top, choices, shape } }: Facts): Verdict {
  const beyond = (axis: "x" | "z", size: "length" | "width") =>
    Math.max(...feet.map((foot) => Math.abs(foot[axis]) + foot[size] / 2 - top[size] / 2));
  const [byEnd, bySide] = [beyond("x", "length"), beyond("z", "width")];
  const past = Math.max(byEnd, bySide);
  const level = grade(past, "at most", BENT.past, BENT.trips);
  const end = byEnd > bySide;
  const setIn = Math.ceil((end ? choices.setIn.end : choices.setIn.side) + past);
  return verdict({
    id: "form.feet-out",
    stage: "form",
    subject: ["bent-leg", "top"],
    level,
    text: past <= 0 ? "Feet stand under the top" : `Feet stand ${mm(past)} past the top`,
    why: `The splay carries each ${mm(shape.out)} outward from its bend to the floor.`,
    limit: BENT.past,
    actual: Math.round(past),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds" ? [] : [set(`Set the bends in by ${setIn} mm`, path("setIn", end ? "end" : "side"), setIn)],
  });
}

/** Nothing ties the legs below the top: each mitre alone holds its leg from folding. */
function racks({ at: { shape, bends, under } }: Facts): Verdict {
  const moment = (BENT.push / bends.length) * under;
  const long = shape.section / Math.sin((shape.angle / 2) * (Math.PI / 180));
  const stress = moment / ((shape.thickness * long * long) / 6);
  const level = grade(stress, "at most", BENT.mitre.good, BENT.mitre.least);
  const deeper = Math.ceil(shape.section * Math.sqrt(stress / BENT.mitre.good));
  return verdict({
    id: "form.bent-mitre",
    stage: "form",
    subject: ["bent-leg", "bent-arm"],
    level,
    text: `A push of ${BENT.push} N on the top bends each mitre by ${stress.toFixed(1)} MPa`,
    why: `${Math.round(moment / 1000)} Nm come on a cut ${mm(Math.round(long))} long and ${mm(shape.thickness)} thick: end grain to end grain, and the spline carries most of it.`,
    limit: BENT.mitre.good,
    actual: Math.round(stress * 10) / 10,
    sense: "at most",
    unit: "MPa",
    source: "derived: bending over the cut; load of EN 12521 and strength from memory",
    remedies: level === "holds" ? [] : [set(`Make the bend ${deeper} mm deep`, path("section"), deeper)],
  });
}

/** Without the top the legs are four loose angles: it must be screwed, and may not be held. */
function held({ choices: { fastening } }: Facts): Verdict {
  const fits = fastening === "slotted" || fastening === "oversized";
  return verdict({
    id: "form.bent-held",
    stage: "form",
    subject: ["bent-arm", "top"],
    level: fits ? "holds" : "fix",
    text: fits
      ? "Each arm is screwed to the top by itself, and lets it go"
      : "The arms are screwed to the top by nothing that holds them and lets it go",
    why: "The top is what ties four single legs: clips and buttons pull up, and let an arm turn. Two screws or more in slots or large holes hold each arm in line while the wood moves past it.",
    remedies: fits ? [] : [set("Screw them through slots across the grain", ["joints", "fastening"], "slotted")],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "bent-arm", one: "arm", many: "arms" },
    remedies: (good) => {
      const height = Math.ceil(good + at.top.thickness + at.shape.section);
      return [set(`Make it ${height} mm high`, ["form", "height"], height)];
    },
  });
}

function tips({ at, form, weight }: Facts): Verdict | null {
  return tipping({
    ...{ at, form, weight, subject: ["bent-leg", "top"] },
    mend: (apart) => {
      // what the splay carries a foot outward across the top, or half its thickness where it splays along it
      const [, across] = at.bends[0].way;
      const out = at.shape.out * Math.abs(across) + (at.shape.thickness / 2) * (1 - Math.abs(across));
      const side = Math.max(0, Math.floor((at.top.width - apart) / 2 + out));
      return [set(`Set the bends in by ${side} mm`, path("setIn", "side"), side)];
    },
  });
}
