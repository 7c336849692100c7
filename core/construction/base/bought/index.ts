import { dimension, formEdit } from "../../../drawing/scene";
import { KIND_RULES } from "../../../joinery/joint-rules";
import { fine, mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { boughtJoints, boughtMeetings } from "./joints";
import { orderScene } from "./order";
import { boughtParts } from "./parts";
import { placeBought } from "./place";
import type { Bought } from "./stand";
import { shelfBrackets } from "./brackets";
import { BOUGHT_RULES } from "./rules";
import { Tube, tubesOf, Welded } from "./welded";
import { boughtWork } from "./work";

const SAID = {
  frames: ["a steel frame", "steel frames"],
  hairpins: ["a hairpin leg", "hairpin legs"],
  pedestal: ["a pedestal", "pedestals"],
  lift: ["a lifting column", "lifting columns"],
  welded: ["a welded frame", "welded frames"],
};

/** What is sawn for a frame that is welded: each length once. */
const tubeSizes = (welded: Welded, { welded: { wall } }: Bought["choices"]): [string, string][] => [
  ["Tube", `square, ${mm(welded.bar)}, wall ${fine(wall)}`],
  ...tubesOf(welded).map((tube: Tube): [string, string] => [
    tube.what,
    `${tube.count} of ${mm(tube.length)}, ${tube.mitred ? "mitred at both ends, long point to long point" : "square"}`,
  ]),
];

/** From the outermost foot to the outermost on the floor. */
function overall(spans: [number, number][], edit?: ReturnType<typeof formEdit>) {
  const [from, to] = [Math.min(...spans.map(([a]) => a)), Math.max(...spans.map(([, b]) => b))];
  return dimension([from, 0], [to, 0], { offset: -18, value: to - from, ...(edit ? { edit } : {}) });
}

const capital = (text: string) => text[0].toUpperCase() + text.slice(1);

/** Legs that are bought or welded to order, bolted below the top by their plates. */
export const bought: Base<Bought> = {
  kind: "bought",
  name: "Bought legs",
  place: placeBought,
  joints: boughtJoints,
  parts: boughtParts,
  meetings: boughtMeetings,
  formRules: BOUGHT_RULES,
  jointRules: KIND_RULES,
  work: boughtWork,
  dimensions: (form, { feet, height, choices }) => ({
    plan: [],
    front: [overall(feet.map(({ x, length }) => [x - length / 2, x + length / 2]))],
    side: [
      overall(
        feet.map(({ z, width }) => [-z - width / 2, -z + width / 2]),
        choices.kind === "hairpins" ? undefined : formEdit("Width of a bought frame", "bought", "width"),
      ),
      dimension([0, height], [0, 0], { offset: 0, value: height }),
    ],
  }),
  setOuts: ({ at, joints }) =>
    joints.length > 0
      ? [
          {
            joint: joints[0].id,
            scene: orderScene(at),
            caption: at.welded
              ? "The order drawing: from the front, from the end, and the ring from above with every hole."
              : "The order drawing: from the end, and the plate from above with its holes.",
          },
        ]
      : [],
  small: shelfBrackets,
  describe: (_, { stands, choices, welded }) =>
    `${stands.length === 1 || welded ? capital(SAID[choices.kind][0]) : `${stands.length} ${SAID[choices.kind][1]}`} bolted below the top${choices.measured ? "" : ", not measured yet"}.`,
  sizes: (_, { stands, height, choices, welded }) =>
    welded
      ? tubeSizes(welded, choices)
      : [
          [
            "Bought",
            `${stands.length} of ${choices.mass} kg, ${mm(height)} high under plates of ${mm(choices.plate.length)} by ${mm(choices.plate.width)}`,
          ],
        ],
};
