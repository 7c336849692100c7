import { KIND_RULES } from "../../../joinery/joint-rules";
import { fine, mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { lowered } from "../lowered";
import { splayedFrameDimensions } from "./dimensions";
import { splayedFrameJoints } from "./joints";
import { splayedFrameMeetings, splayedFrameParts } from "./parts";
import { isRing, lowest, placeSplayedFrame, SplayedFrame } from "./place";
import { SPLAYED_FRAME_JOINT_RULES } from "./joint-rules";
import { SPLAYED_FRAME_RULES } from "./rules";
import { ringSetOut } from "./ring-set-out";
import { splayFrameSetOut } from "./set-out";
import { splayedFrameWork } from "./work";

const COUNTS: Record<number, string> = { 3: "Three", 4: "Four", 5: "Five", 6: "Six" };
const LOWS = { none: "", box: ", stretchers all round low down", h: ", an H of stretchers low down" };

/** Legs that splay, rails between them all round under the top: four at the corners, or three to six on a circle. */
export const splayedFrame: Base<SplayedFrame> = {
  kind: "splayed-frame",
  name: "Splayed legs, rails",
  place: placeSplayedFrame,
  joints: splayedFrameJoints,
  parts: splayedFrameParts,
  meetings: splayedFrameMeetings,
  formRules: SPLAYED_FRAME_RULES,
  jointRules: [...KIND_RULES, ...SPLAYED_FRAME_JOINT_RULES],
  shorter: (form, kind, by) => {
    const { splay, stand, ring } = form.splayedFrame;
    const [p, q] = (stand === "round" ? [ring.splay, 0] : [splay.end, splay.side]).map((each) =>
      Math.tan((each * Math.PI) / 180),
    );
    return kind === "splayed-leg" ? lowered(form, by / Math.sqrt(1 + p * p + q * q)) : [];
  },
  work: splayedFrameWork,
  dimensions: splayedFrameDimensions,
  setOuts: ({ at, joints, species }) => [
    {
      joint: joints[0].id,
      scene: isRing(at.legs) ? ringSetOut(at, at.legs, species) : splayFrameSetOut(at, species),
      caption: isRing(at.legs)
        ? `Set out full size: a leg from its side, ${at.legs.resultant.toFixed(1)}° from upright, and its head from above with both rails.`
        : `Set out full size from two sides: ${at.legs.end.degrees.toFixed(1)}° seen from the front, ${at.legs.side.degrees.toFixed(1)}° from the end.`,
    },
  ],
  describe: ({ splayedFrame: { low } }, { legs, rail }) =>
    `${
      isRing(legs)
        ? `${COUNTS[legs.ring.spokes.length]} legs in a round, splayed ${legs.resultant.toFixed(1)}°`
        : `Four legs splayed ${legs.end.degrees.toFixed(1)}° toward the ends and ${legs.side.degrees.toFixed(1)}° toward the sides`
    }, ${rail.leaning ? "rails that lean with them" : "upright rails between them"}${LOWS[isRing(legs) && low.kind === "h" ? "box" : low.kind]}.`,
  sizes: (_, { legs, rail, lows, choices }) => [
    [
      "Legs",
      `${legs.ring?.spokes.length ?? 4} of ${mm(legs.section)} square${legs.turned ? `, turned below the rails to ${mm(legs.turned.foot)}` : choices.foot < legs.section ? `, ${mm(choices.foot)} at the foot` : ""}, ${mm(legs.under * legs.stretch)} along an edge, ${legs.resultant.toFixed(1)}° from upright`,
    ],
    ["Rails", `${mm(rail.depth)} by ${fine(rail.thickness)}`],
    ...(lows.length > 0
      ? [
          [
            "Stretchers",
            `${mm(lows[0].upper - lowest(lows))} by ${fine(lows[0].thickness)}, ${mm(lowest(lows))} above the floor`,
          ] as [string, string],
        ]
      : []),
  ],
};
