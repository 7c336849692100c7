import { KIND_RULES } from "../../../joinery/joint-rules";
import { mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { plankDimensions } from "./dimensions";
import { plankJoints } from "./joints";
import { plankMeetings } from "./meetings";
import { plankParts } from "./parts";
import { placePlank, Plank } from "./place";
import { PLANK_RULES } from "./rules";
import { plankWork } from "./work";

const JOINTS = {
  mitred: "mitred to the top so that the grain runs over",
  housed: "let into the top",
  loose: "on loose tenons under the top",
  through: "tenoned through the top and wedged",
};

/** Two or three panels that stand on end, their grain upright, joined to the top itself. */
export const plank: Base<Plank> = {
  kind: "plank",
  name: "Plank ends",
  place: placePlank,
  joints: plankJoints,
  parts: plankParts,
  meetings: plankMeetings,
  formRules: PLANK_RULES,
  jointRules: KIND_RULES,
  shorter: ({ overhang }, kind, by) =>
    kind === "stretcher" ? [{ path: ["form", "overhang", "end"], value: overhang.end + by / 2 }] : [],
  work: plankWork,
  dimensions: plankDimensions,
  setOuts: () => [],
  describe: ({ plank: { joint } }, { ends, stretcher, floor, bays, under, wall }) =>
    floor > 0 && ends.length === 2
      ? `Four boards and four mitres, the grain running round, open in front and behind: ${mm(bays[0].to - bays[0].from)} by ${mm(under - floor)} inside${stretcher ? ", a stretcher between the ends" : ""}.`
      : `${ends.length === 3 ? "Three" : "Two"} plank ends ${JOINTS[joint]}${stretcher ? ", a stretcher between them" : ""}${wall ? ", a wall between them" : ""}.`,
  sizes: (_, { plank: { width, thickness, height }, stretcher, floor, bays, under, wall }) => [
    ["Ends", `${mm(width)} by ${mm(thickness)}, ${mm(height)} high`],
    ...(floor > 0 ? [["Inside", `${mm(bays[0].to - bays[0].from)} by ${mm(under - floor)}`] as [string, string]] : []),
    ...(wall
      ? [["Wall", `${mm(wall.depth)} by ${mm(wall.thickness)}, ${mm(wall.from)} above the floor`] as [string, string]]
      : []),
    ...(stretcher
      ? [
          [
            "Stretcher",
            `${mm(stretcher.depth)} by ${mm(stretcher.thickness)}, ${mm(stretcher.from)} above the floor`,
          ] as [string, string],
        ]
      : []),
  ],
};
