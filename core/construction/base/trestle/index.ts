import { lowered } from "../lowered";
import { KIND_RULES } from "../../../joinery/joint-rules";
import type { Base } from "../base";
import { trestleDimensions } from "./dimensions";
import { trestleJoints } from "./joints";
import { trestleMeetings } from "./meetings";
import { trestleSticks } from "./parts";
import { placeTrestle, Trestle } from "./place";
import { TRESTLE_RULES } from "./rules";
import { trestleWork } from "./work";

const MAKES = {
  solid: "solid",
  laminated: "from two leaves",
  "three-leaves": "from three leaves",
  "four-leaves": "from four leaves",
};

/** Two or three ends, each a foot, a post or two and a brace, tied by a stretcher. */
export const trestle: Base<Trestle> = {
  kind: "trestle",
  name: "Trestle",
  place: placeTrestle,
  joints: trestleJoints,
  parts: trestleSticks,
  meetings: trestleMeetings,
  formRules: TRESTLE_RULES,
  jointRules: KIND_RULES,
  shorter: (form, kind, by) => (kind === "post" ? lowered(form, by) : []),
  work: trestleWork,
  dimensions: trestleDimensions,
  setOuts: () => [],
  describe: ({ trestle: { post } }, { ends, post: { shoulder }, bays }) =>
    `Trestle on ${ends.length === 3 ? "three" : "two"} ends: ${post.count === 2 ? "two posts" : "a post"} each, ${Math.round(shoulder)} mm between foot and brace, ${Math.round(bays[0].to - bays[0].from)} mm of stretcher between the posts.`,
  sizes: ({ trestle: choice }, { foot, post, brace, stretcher, ties }) => [
    ["Feet", `${foot.length} mm by ${foot.height} mm by ${foot.thickness} mm`],
    ["Posts", `${post.width} mm by ${post.thickness} mm, ${MAKES[choice.post.make]}`],
    ["Braces", `${brace.length} mm by ${brace.height} mm by ${brace.thickness} mm`],
    ["Stretcher", `${stretcher.depth} mm by ${stretcher.thickness} mm, ${stretcher.height} mm above the floor`],
    ...(ties.length > 0
      ? [["Ties", `${choice.ties.depth} mm by ${choice.ties.thickness} mm`] as [string, string]]
      : []),
  ],
};
