import { SHEETS } from "../../../assembly/material";
import { fine, grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { sagVerdict } from "../../sag";
import { usualRange } from "../../usual";
import type { Rule } from "../base";
import { APART, longEnough } from "../one-blank";
import { dovetailSlope } from "../dovetail-slope";
import { frameFits, frameHeight, frameLegs } from "../leg-frame/rules";
import { BoxFacts, path } from "./facts";
import { LID_RULES } from "./lid-rules";
import { BOX } from "./place";

/** Every rule of a box, in the order a maker would ask. */
export const BOX_RULES: readonly Rule<BoxFacts>[] = [
  fits,
  walls,
  ({ at, longest, shop }) => {
    const row = at.panels?.find((each) => each.row)?.row;
    return row
      ? longEnough(row, { longest, allowance: shop.lengthAllowance }, set(APART, path("blank"), "apart"))
      : null;
  },
  bottomCarries,
  rebated,
  slatsLie,
  ({ form, species }) =>
    form.box.corner === "dovetailed"
      ? dovetailSlope(form.box.slope, species, ["box-front", "box-end"], path("slope"))
      : null,
  (facts) => facts.at.legs && frameLegs(facts.at.legs, path("frame")),
  (facts) => facts.at.legs && frameHeight(facts.at.legs, path("frame")),
  (facts) => facts.at.legs && frameFits(facts.at.legs, path("frame")),
  ...LID_RULES,
];

/** An inside is one from here on, mm. @source common practice */
const INSIDE = { good: 80, least: 40 };

/** There is an inside, and something below the box for what it stands on. */
function fits({ at }: BoxFacts): Verdict {
  const { inside, high, bottom, choices } = at;
  const sizes = {
    long: inside.x.to - inside.x.from,
    deep: inside.z.to - inside.z.from,
    high: high.to - high.from - bottom.thickness,
  };
  const least = Math.min(sizes.long, sizes.deep, sizes.high);
  const level = grade(least, "at least", INSIDE.good, INSIDE.least);
  const low = least === sizes.high && choices.stands === "frame";
  const taller = Math.ceil(bottom.thickness + INSIDE.good);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["box-front", "box-end"],
    level,
    text:
      least <= 0
        ? "Nothing is left inside the box"
        : `${mm(sizes.long)} by ${mm(sizes.deep)}, ${mm(sizes.high)} high inside`,
    why: `The lid of ${mm(at.top.length)} by ${mm(at.top.width)} less its overhangs, two walls of ${mm(at.wall)} each way, a bottom of ${fine(bottom.thickness)}.`,
    limit: INSIDE.good,
    actual: Math.round(least),
    sense: "at least",
    unit: "mm",
    remedies: level !== "holds" && low ? [set(`Make the box ${taller} mm high`, path("high"), taller)] : [],
  });
}

function walls({ at: { wall } }: BoxFacts): Verdict {
  return usualRange("form.box-wall", "box-front", "A wall’s thickness", {
    actual: wall,
    range: { low: 12, high: 36 },
    path: path("wall"),
    reasons: {
      low: "The rebate for the bottom leaves little of it, and screws nothing to hold in.",
      high: "It is heavier than what it holds.",
    },
  });
}

/** The bottom carries what is laid in. */
function bottomCarries({ at, species }: BoxFacts): Verdict {
  const { bottom, inside } = at;
  const [long, deep] = [inside.x.to - inside.x.from, inside.z.to - inside.z.from].map((each) => Math.max(1, each));
  // a solid one bears along its grain only, a sheet the shorter way
  const slatted = bottom.slats.reduce((sum, { from, to }) => sum + to - from, 0);
  const [span, wide] = slatted > 0 ? [deep, slatted] : bottom.solid || long < deep ? [long, deep] : [deep, long];
  const stiffness = bottom.solid || slatted > 0 ? species.stiffness : SHEETS.plywood.stiffness;
  return sagVerdict({
    ...{ id: "form.box-bottom", subject: ["box-bottom"], what: "bottom", held: "from wall to wall" },
    ...{ board: { span, wide, thickness: bottom.thickness }, stiffness },
    mend: (thick) =>
      thick <= 40 ? [set(`Make the bottom ${thick} mm thick`, path("bottom", "thickness"), thick)] : [],
  });
}

/** Slats in a box on the floor: wide enough for their screws, open enough for dust to fall, close enough for what lies on them. @source common practice */
const SLAT = { least: 35, dust: 4, falls: 25 };

function slatsLie({ at: { bottom, choices } }: BoxFacts): Verdict | null {
  if (choices.bottom.of !== "slats") return null;
  const known = { id: "form.box-slats", stage: "form" as const, subject: ["box-slat"] };
  if (choices.stands === "frame")
    return verdict({
      ...known,
      level: "fix",
      text: "A frame of legs can’t be screwed to slats: the bottom is planned as a sheet",
      why: "The strips of the frame are screwed up into a bottom in one piece.",
      remedies: [
        set("Make the bottom of sheet", path("bottom", "of"), "sheet"),
        set("Stand the box on the floor", path("stands"), "floor"),
      ],
    });
  const { gap } = choices.bottom.slats;
  const [first] = bottom.slats;
  const wide = first ? first.to - first.from : 0;
  const narrow = wide < SLAT.least;
  return verdict({
    ...known,
    level: wide <= 0 ? "fix" : narrow || gap < SLAT.dust || gap > SLAT.falls ? "tight" : "holds",
    text: narrow
      ? `Bottom slats only ${mm(wide)} wide split at their screws`
      : gap < SLAT.dust
        ? `${mm(gap)} between slats hold dust, and close when they swell`
        : gap > SLAT.falls
          ? `What is laid in falls through gaps of ${mm(gap)}`
          : `${bottom.slats.length} slats of ${fine(wide)}, ${mm(gap)} apart`,
    why: "Each lies in the rebates in front and behind with one screw in the middle of each end, and moves to both sides of that.",
    remedies:
      wide > 0 && narrow
        ? [set("Make them about 70 mm wide", path("bottom", "slats", "width"), 70)]
        : gap < SLAT.dust || gap > SLAT.falls
          ? [set("Leave 10 mm between them", path("bottom", "slats", "gap"), 10)]
          : [],
  });
}

/** A screw of 5 mm wants so much of a rebate to lie in; what stays of a wall beside it. mm @source common practice */
const REBATE = { good: 9, least: 7 };

function rebated({ at: { bottom, wall } }: BoxFacts): Verdict {
  const level = grade(bottom.rest, "at least", REBATE.good, REBATE.least);
  return verdict({
    id: "form.box-rebate",
    stage: "form",
    subject: ["box-front", "box-bottom"],
    level,
    text: `The bottom lies ${fine(bottom.rest)} on the walls all round`,
    why: `Half a wall of ${mm(wall)}, ${mm(BOX.rest)} at most; its screws of 5 mm go up through that.`,
    limit: REBATE.good,
    actual: Math.round(bottom.rest * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Make the walls 18 mm thick", path("wall"), 18)],
  });
}
