/** Rules of a lid: what lifts it, how it falls, what it does to the box when it is up. */
import { grade, Level, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Rule } from "../base";
import { tipping } from "../tipping";
import { lidMass } from "./lid";
import { BRACKET_RULES } from "./bracket-rules";
import type { BoxFacts } from "./facts";

const path = (...rest: string[]) => ["form", "box", "lid", ...rest];
const GRAVITY = 9.81;

/** @source common practice, save where said */
const LID = {
  /** one that falls from here on is held by a stay, kg */
  falls: 3,
  /** hardware wants a lid so much inside its window, kg; a box stands when its open lid is pushed back so hard, N */
  inside: 0.3,
  pushed: { good: 50, least: 20 },
  /** who leans on the lifted lid’s front edge, N */
  lean: { good: 250, least: 100 },
};

export const LID_RULES: readonly Rule<BoxFacts>[] = [
  load,
  falls,
  ...BRACKET_RULES,
  behindHinges,
  reveals,
  tips,
  tipsOpen,
];

const kg = (mass: number) => `${round1(mass)} kg`;

/** What lifts a lid lifts one of its own weight: a lighter one flies up, a heavier one stays down. */
function load(facts: BoxFacts): Verdict | null {
  const { at } = facts;
  const { way, bracket, ballast } = at.choices.lid;
  if (way !== "lift") return null;
  const { low, high } = bracket;
  const mass = lidMass(facts);
  const inside = mass >= low && mass <= high;
  const close = inside && Math.min(mass - low, high - mass) < LID.inside;
  const level: Level = low >= high ? "fix" : !inside ? "fix" : close ? "tight" : "holds";
  const bare = mass - ballast;
  const wanted = Math.ceil((low + LID.inside - bare) * 2) / 2;
  const fitting = wanted >= 0 && bare + wanted <= high - LID.inside;
  const [from, to] = [Math.max(0, Math.floor(bare - 2)), Math.ceil(bare + 2)];
  return verdict({
    id: "form.lid-load",
    stage: "form",
    subject: ["lift-bracket", "top"],
    level,
    text: inside
      ? `The lid of ${kg(mass)} is what the brackets lift`
      : mass < low
        ? `The lid of ${kg(mass)} is too light for brackets that lift ${low} to ${high} kg`
        : `The lid of ${kg(mass)} is too heavy for brackets that lift ${low} to ${high} kg`,
    why: `Both together are made for ${low} to ${high} kg: a lighter lid springs up and will not stay down, a heavier one does not stay up. ${ballast > 0 ? `${kg(ballast)} of it are steel below its middle.` : "Steel let in under its middle, between the brackets, makes up what lacks."}`,
    limit: mass < low ? low : high,
    actual: round1(mass),
    sense: mass < low ? "at least" : "at most",
    unit: "kg",
    source: "density at 12 % from the species table; the brackets’ maker for their load",
    remedies:
      level === "holds"
        ? []
        : [
            ...(fitting && wanted !== ballast
              ? [
                  set(
                    wanted > 0 ? `Put ${wanted} kg of steel under it` : "Leave its ballast out",
                    path("ballast"),
                    wanted,
                  ),
                ]
              : []),
            {
              label: `Order brackets for ${from} to ${to} kg`,
              patches: [
                { path: path("bracket", "low"), value: from },
                { path: path("bracket", "high"), value: to },
                ...(ballast > 0 ? [{ path: path("ballast"), value: 0 }] : []),
              ],
            },
          ],
  });
}

/** A heavy hinged lid falls on fingers. */
function falls(facts: BoxFacts): Verdict | null {
  const { at } = facts;
  const { way, stay } = at.choices.lid;
  if (way !== "hinged") return null;
  const mass = lidMass(facts);
  const moment = (mass * GRAVITY * at.top.width) / 2000;
  const level: Level = stay || mass < LID.falls ? "holds" : "fix";
  return verdict({
    id: "form.lid-falls",
    stage: "form",
    subject: ["top", "box-back"],
    level,
    text: stay
      ? `A stay lets the lid of ${kg(mass)} down`
      : level === "holds"
        ? `The lid of ${kg(mass)} is light enough to fall`
        : `The lid of ${kg(mass)} falls on who reaches in`,
    why: `It turns about its hinges with ${round1(moment)} Nm when it is nearly shut; from about ${LID.falls} kg a stay that brakes it is what keeps fingers whole.`,
    limit: LID.falls,
    actual: round1(mass),
    sense: "at most",
    unit: "kg",
    remedies: level === "holds" ? [] : [set("Give it a stay", path("stay"), true)],
  });
}

/** What stands over behind the hinges goes down as the lid goes up. */
function behindHinges({ at }: BoxFacts): Verdict | null {
  const { behind, lid } = at.choices;
  if (lid.way !== "hinged") return null;
  return verdict({
    id: "form.lid-back",
    stage: "form",
    subject: ["top", "box-back"],
    level: behind > 0 ? "fix" : "holds",
    text:
      behind > 0
        ? `The lid’s ${mm(behind)} behind its hinges meet the back wall when it opens`
        : "Nothing of the lid is in its own way when it opens",
    why: `It turns about the back wall’s outer edge. Against a wall of the room it wants its own ${mm(at.top.thickness)} of thickness behind it.`,
    limit: 0,
    actual: behind,
    sense: "at most",
    unit: "mm",
    remedies: behind > 0 ? [set("End it flush behind", ["form", "box", "behind"], 0)] : [],
  });
}

/** A lid stands over alike where nothing asks for more. */
function reveals({ at, form }: BoxFacts): Verdict {
  const { end, side } = form.overhang;
  const off = Math.abs(end - side);
  return verdict({
    id: "form.lid-reveals",
    stage: "form",
    subject: ["top"],
    level: off > 1 ? "tight" : "holds",
    text:
      off > 1
        ? `The lid stands ${mm(end)} over the ends and ${mm(side)} over the front`
        : `The lid stands ${mm(end)} over, at the ends and in front`,
    why: `On the day it is made${at.choices.lid.way === "hinged" ? ": held at its hinges, all it swells and shrinks shows in front" : ""}.`,
    remedies: off > 1 ? [set(`Let it stand over the ends by ${mm(side)}`, ["form", "overhang", "end"], side)] : [],
  });
}

function tips({ at, form, weight }: BoxFacts): Verdict | null {
  return tipping({
    ...{ at, form, weight, subject: at.legs ? ["stand-leg", "top"] : ["box-front", "top"] },
    mend: () =>
      at.legs && at.choices.frame.setIn > 0
        ? [set("Set its legs flush with the box", ["form", "box", "frame", "setIn"], 0)]
        : [],
  });
}

/**
 * What it stands when its lid is up: a hinged one pushed back at its upper edge, a lifted one leaned on at its front.
 *
 * @source derived: moments about the feet behind or in front, lid and box each at its own middle
 */
function tipsOpen(facts: BoxFacts): Verdict | null {
  const { at, weight } = facts;
  const { way, bracket } = at.choices.lid;
  if (way === "loose" || at.feet.length === 0) return null;
  const lid = lidMass(facts);
  const box = Math.max(0, weight - lid);
  const middle = (at.outside.z.from + at.outside.z.to) / 2;
  const back = Math.min(...at.feet.map(({ z, width }) => z - width / 2));
  const front = Math.max(...at.feet.map(({ z, width }) => z + width / 2));
  const lifted = way === "lift";
  // upright it stands over its hinges; lifted its middle has gone forward
  const stands = lifted ? bracket.forward : at.outside.z.from;
  const holds = lifted
    ? GRAVITY * (box * (front - middle) + lid * (front - stands))
    : GRAVITY * (box * (middle - back) + lid * (stands - back));
  const lever = lifted ? at.top.width / 2 + bracket.forward - front : at.under + at.top.width;
  const push = lever <= 0 ? Infinity : Math.max(0, holds / lever);
  const { good, least } = lifted ? LID.lean : LID.pushed;
  const level = grade(push, "at least", good, least);
  return verdict({
    id: "form.lid-tips",
    stage: "form",
    subject: ["top", at.legs ? "stand-leg" : "box-back"],
    level,
    text: !Number.isFinite(push)
      ? "With its lid up nothing tips it"
      : lifted
        ? `With its lid forward it tips under ${Math.round(push)} N on the front edge`
        : `With its lid up it tips back at a push of ${Math.round(push)} N`,
    why: `About ${Math.round(box)} kg of box and ${kg(lid)} of lid on feet ${mm(front - back)} apart from front to back; ${lifted ? `the lid stands ${mm(bracket.forward)} further forward, and someone leans on it` : `a lid ${mm(at.top.width)} deep is a long lever`}.`,
    ...(Number.isFinite(push) ? { limit: good, actual: Math.round(push), sense: "at least" as const, unit: "N" } : {}),
    source: "derived: moments about the feet",
    remedies:
      level !== "holds" && at.legs && at.choices.frame.setIn > 0
        ? [set("Stand it on legs flush with the box", ["form", "box", "frame", "setIn"], 0)]
        : [],
  });
}
