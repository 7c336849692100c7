import { dimension, formEdit } from "../../../drawing/scene";
import { KIND_RULES } from "../../../joinery/joint-rules";
import { fine, mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { bentJoints, bentMeetings, bentParts } from "./parts";
import { Bent, placeBent } from "./place";
import { BENT_RULES } from "./rules";
import { bentWork } from "./work";

const WAYS = { across: "across the top", along: "along the top", corner: "toward the corners" };

/** Four legs that bend: an arm under the top and a leg mitred to it, each screwed to the top by itself. */
export const bent: Base<Bent> = {
  kind: "bent",
  name: "Bent legs",
  place: placeBent,
  joints: bentJoints,
  parts: bentParts,
  meetings: bentMeetings,
  formRules: BENT_RULES,
  jointRules: KIND_RULES,
  work: bentWork,
  dimensions: (form, { frame, under, shape, bends }) => {
    const { way, setIn, arm } = form.bent;
    const [left] = bends;
    const leg = { section: shape.section, at: under - shape.section / 2 };
    const bend = dimension([left.x, under], [left.x, under - leg.section], {
      offset: -20,
      value: leg.section,
      edit: formEdit("Section at the bend", "bent", "section"),
    });
    const across = dimension([left.z - arm.length, under - shape.section - 20], [left.z, under - shape.section - 20], {
      offset: 0,
      value: arm.length,
      edit: formEdit("Arm length", "bent", "arm", "length"),
    });
    return {
      plan: [],
      front: [
        dimension([-frame.length / 2, 0], [frame.length / 2, 0], { offset: -18, value: frame.length }),
        dimension([left.x, under - shape.section - 60], [left.x - setIn.end, under - shape.section - 60], {
          offset: 0,
          value: setIn.end,
          edit: formEdit("Set-in from the ends", "bent", "setIn", "end"),
        }),
        ...(way === "along" ? [bend] : []),
      ],
      side: [
        dimension([-frame.width / 2, 0], [frame.width / 2, 0], { offset: -18, value: frame.width }),
        ...(way === "across" ? [across] : []),
      ],
    };
  },
  setOuts: () => [],
  describe: (_, { bends, shape, choices }) =>
    `${bends.length} bent legs, their arms ${WAYS[choices.way]}, mitred at ${(shape.angle / 2).toFixed(1)}°.`,
  sizes: (_, { shape, bends, choices }) => [
    [
      "Legs",
      `${bends.length} of ${mm(shape.section)} by ${mm(shape.thickness)}, ${mm(shape.foot)} at the foot, ${fine(shape.outside)} on the outer edge, ${choices.splay.toFixed(1)}° from upright`,
    ],
    ["Arms", `${mm(shape.arm.length)} to the long point, ${mm(shape.arm.end)} deep at the inner end`],
  ],
};
