/** Rules of the brackets that lift a lid: the room they want in the closed box, what of them lies between wall and lid. */
import { fine, grade, Level, mm, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { Rule } from "../base";
import type { BoxFacts } from "./facts";
import { BOX } from "./place";

const path = (...rest: string[]) => ["form", "box", "lid", ...rest];

/** Wood stays over a screw’s point; two brackets keep so far apart, mm. @source common practice */
const BRACKET = { over: 3, between: 5 };

export const BRACKET_RULES: readonly Rule<BoxFacts>[] = [bracketFits, flange, screws, waits];

/** Brackets have room in the closed box. */
function bracketFits({ at }: BoxFacts): Verdict | null {
  const { way, bracket } = at.choices.lid;
  if (way !== "lift") return null;
  const { inside, high, bottom, under } = at;
  const room = {
    deep: inside.z.to - inside.z.from - bracket.length - BOX.bracketClear,
    high: under - high.from - bottom.thickness - bracket.height,
    wide: inside.x.to - inside.x.from - 2 * bracket.width - BRACKET.between,
  };
  const least = Math.min(room.deep, room.high, room.wide);
  const level: Level = least < 0 ? "fix" : "holds";
  const which = least === room.high ? "high" : least === room.deep ? "deep" : "wide";
  const taller = Math.ceil(at.choices.high - room.high);
  return verdict({
    id: "form.lid-room",
    stage: "form",
    subject: ["lift-bracket", "box-bottom"],
    level,
    text:
      level === "holds"
        ? "The brackets fold up inside the closed box"
        : which === "high"
          ? `The brackets keep the lid ${mm(-room.high)} from closing`
          : `The box is ${mm(-least)} too ${which === "deep" ? "shallow" : "narrow"} for its brackets`,
    why: `Closed, each is ${mm(bracket.length)} by ${mm(bracket.height)}, ${mm(bracket.width)} wide; inside are ${mm(inside.z.to - inside.z.from)} by ${mm(under - high.from - bottom.thickness)} up to the lid.`,
    limit: 0,
    actual: Math.round(least),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(which === "high" && at.choices.stands === "frame"
              ? [set(`Make the box ${taller} mm high`, ["form", "box", "high"], taller)]
              : []),
            set("Hang the lid on hinges", path("way"), "hinged"),
          ],
  });
}

/** What of a bracket lies on a wall holds the lid up by its thickness, unless the bumpers do. */
function flange({ at }: BoxFacts): Verdict | null {
  const { way, gap, bracket } = at.choices.lid;
  if (way !== "lift") return null;
  const level: Level = bracket.flange > gap ? "fix" : "holds";
  const higher = Math.ceil(bracket.flange * 2) / 2;
  return verdict({
    id: "form.lid-flange",
    stage: "form",
    subject: ["lift-bracket", "top"],
    level,
    text:
      level === "holds"
        ? `The lid closes on its bumpers, ${fine(gap)} over the walls`
        : `The brackets’ flanges of ${fine(bracket.flange)} hold the lid off its bumpers of ${fine(gap)}`,
    why: "A flange lies between wall and lid: bumpers must be as high, or the flange is let in.",
    limit: gap,
    actual: bracket.flange,
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Set bumpers of ${fine(higher)}`, path("gap"), higher)],
  });
}

/** Screws and inserts end inside the lid. */
function screws({ at }: BoxFacts): Verdict | null {
  const { way, bracket } = at.choices.lid;
  if (way !== "lift") return null;
  const left = at.top.thickness - bracket.screw;
  const level = grade(left, "at least", BRACKET.over, 1);
  const shorter = Math.floor(at.top.thickness - BRACKET.over);
  return verdict({
    id: "form.lid-screws",
    stage: "form",
    subject: ["lift-bracket", "top"],
    level,
    text:
      left < 0
        ? `Screws of ${mm(bracket.screw)} come through a lid of ${mm(at.top.thickness)}`
        : `${fine(left)} of lid stay over the screws’ points`,
    why: `Screws and nuts of ${mm(bracket.screw)} in a lid ${mm(at.top.thickness)} thick; ${mm(BRACKET.over)} keep them from printing through.`,
    limit: BRACKET.over,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies:
      level !== "holds" && shorter >= 8 ? [set(`Take screws of ${shorter} mm`, path("bracket", "screw"), shorter)] : [],
  });
}

/** Nothing is drilled before the brackets lie on the bench. */
function waits({ at }: BoxFacts): Verdict | null {
  const { way, bracket } = at.choices.lid;
  if (way !== "lift") return null;
  return verdict({
    id: "form.lid-measured",
    stage: "form",
    subject: ["lift-bracket"],
    level: bracket.measured ? "holds" : "tight",
    text: bracket.measured ? "The brackets that came were measured" : "The brackets are not measured yet",
    why: "Length, height folded up and the way they take the lid are taken from what comes: a few mm decide whether it closes.",
    remedies: bracket.measured ? [] : [set("They came and were measured", path("bracket", "measured"), true)],
  });
}
