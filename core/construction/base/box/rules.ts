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
  const [span, wide] = bottom.solid || long < deep ? [long, deep] : [deep, long];
  const stiffness = bottom.solid ? species.stiffness : SHEETS.plywood.stiffness;
  return sagVerdict({
    ...{ id: "form.box-bottom", subject: ["box-bottom"], what: "bottom", held: "from wall to wall" },
    ...{ board: { span, wide, thickness: bottom.thickness }, stiffness },
    mend: (thick) =>
      thick <= 40 ? [set(`Make the bottom ${thick} mm thick`, path("bottom", "thickness"), thick)] : [],
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
