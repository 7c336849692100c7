import { KIND_RULES } from "../../../joinery/joint-rules";
import { mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { xFrameDimensions } from "./dimensions";
import { xFrameJoints } from "./joints";
import { xFrameMeetings, xFrameSticks } from "./parts";
import { placeXFrame, XFrame } from "./place";
import { X_FRAME_RULES } from "./rules";
import { setOutScene } from "./set-out";
import { xFrameWork } from "./work";

const TIES = {
  none: "nothing between them",
  crossing: "a stretcher through the crossings",
  heads: "a stretcher between the bearers",
};

/** Two or three X of one section, lapped where they cross, a bearer on each pair of heads. */
export const xFrame: Base<XFrame> = {
  kind: "x-frame",
  name: "X frames",
  place: placeXFrame,
  joints: xFrameJoints,
  parts: xFrameSticks,
  meetings: xFrameMeetings,
  formRules: X_FRAME_RULES,
  jointRules: KIND_RULES,
  work: xFrameWork,
  dimensions: xFrameDimensions,
  setOuts: ({ at, species }) => [
    {
      joint: "x-leg+x-leg",
      scene: setOutScene(at, species),
      caption: `Set out full size: both legs lean ${at.lean.degrees.toFixed(1)}° from the floor.`,
    },
  ],
  describe: ({ xFrame: { stretcher } }, { frames, lean }) =>
    `${frames.length === 3 ? "Three" : "Two"} X frames leaning ${lean.degrees.toFixed(1)}°, ${TIES[stretcher.kind]}.`,
  sizes: (_, { strip, lean, bearer, stretcher }) => [
    [
      "Legs",
      `${mm(strip.width)} by ${mm(strip.thickness)}, ${mm(lean.length)} over both points, ${lean.degrees.toFixed(1)}° from the floor`,
    ],
    ["Crossing", `${mm(lean.crossing)} above the floor`],
    ["Bearers", `${mm(bearer.length)} by ${mm(bearer.height)} by ${mm(bearer.thickness)}`],
    ...(stretcher ? [["Stretcher", `${mm(stretcher.depth)} by ${mm(stretcher.thickness)}`] as [string, string]] : []),
  ],
};
