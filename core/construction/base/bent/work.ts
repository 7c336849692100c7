import { stepOf as step, TIME } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import type { Bent } from "./place";

/** The order of bent legs: mitres and splines while blanks are square, tapers after, each bend glued by itself and the top what ties them. */
export function bentWork({ at, thick, milled, grooved, fullHours, clampHours }: WorkFacts<Bent>): BaseWork {
  const { shape, bends, choices } = at;
  const count = bends.length;
  const half = (90 - shape.angle / 2).toFixed(1);
  const spline = choices.joint === "spline";
  const parts = ["bent-leg", "bent-arm"];
  return {
    steps: [
      step({
        id: "set-out",
        title: "Draw one bend full size",
        detail: `Underside of the top and floor ${mm(at.under)} apart, the leg ${choices.splay.toFixed(1)}° from upright; halve the angle with a compass and set the bevel to it: ${half}°.`,
        ...{ parts, after: [], hours: 0.5 },
        check: "The bevel fits both sides of the cut on the drawing.",
      }),
      step({
        id: "mitres",
        title: "Cut the mitres",
        detail: `${half}° off square, legs and arms against one fence and one stop, turned over between them; long points ${fine(shape.outside)} and ${fine(shape.arm.length)} from the far ends.`,
        ...{ parts, after: ["set-out", ...thick, ...milled], hours: 0.2 * count + 0.5 },
        check: "Two offcuts closed on the drawing leave no light: half of what gapes is on the fence.",
        caution: "Blanks stay square until they are cut: a tapered one has no edge for the fence.",
      }),
      step({
        id: "splines",
        title: spline ? "Groove the mitres for their splines" : "Slot the mitres for their loose tenons",
        detail: spline
          ? "In a cradle that holds the cut level over the blade, both halves with the same face to the fence; splines with their grain across the cut, a push fit."
          : "Both halves from the same face, square to the cut.",
        ...{ parts, after: ["mitres"], hours: 2 * count * TIME.mortise },
        check: "Faces flush when it is closed dry.",
      }),
      ...(grooved ? [step({ id: "groove", ...grooved, parts: ["bent-arm"], after: ["mitres"] })] : []),
      step({
        id: "taper",
        title: "Taper legs and arms",
        detail: `Legs on their inner side to ${fine(shape.foot)} at the foot, arms from below to ${fine(shape.arm.end)}; two nest end for end in one blank: one jig setting for all.`,
        ...{ parts, after: ["splines", ...(grooved ? ["groove"] : [])], hours: 2 * count * TIME.shape },
        caution: "Taper jig: hold-downs, and the thick end first.",
      }),
      step({
        id: "sand-base",
        title: "Plane and sand the parts",
        detail: "Keep off the mitres. What is finished now is taped where it takes glue.",
        ...{ parts, after: ["taper"], hours: 0.3 * count },
      }),
      step({
        id: "glue-base",
        title: "Glue the bends",
        detail: `End grain drinks: size both cuts with thinned glue first. Each flat on paper over the drawing, notched cauls clamped on arm and leg so that one clamp pulls square to the cut.`,
        ...{ parts, after: ["sand-base"], hours: 0.4 * count, wait: fullHours, waitFor: "the bends to cure" },
        ...{ clamps: 2 * count, clampHours },
        check: "Arm and leg lie on the drawing; both faces flush.",
      }),
    ],
    levelling: [
      step({
        id: "cut-feet",
        title: "Level the feet and ease them",
        detail:
          "Screwed to the top upside down, marked all round from a board across the feet; then upright on the flat floor. Chamfer every foot 2 mm.",
        ...{ parts: ["bent-leg"], after: ["glue-base"], hours: 0.6 },
        check: "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-base"],
    closing: "glue-base",
    closed: ["glue-base"],
    standing: ["cut-feet"],
    seen: parts,
  };
}
