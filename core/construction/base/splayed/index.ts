import { lowered } from "../lowered";
import { KIND_RULES } from "../../../joinery/joint-rules";
import { mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { splayedDimensions } from "./dimensions";
import { splayedJoints } from "./joints";
import { splayedMeetings } from "./meetings";
import { splayedSticks } from "./parts";
import { placeSplayed, Splayed } from "./place";
import { SPLAYED_RULES } from "./rules";
import { splaySetOut } from "./set-out";
import { splayedWork } from "./work";

const COUNTS = ["", "", "", "Three", "Four", "Five", "Six"];

/** Three to six legs that splay outward, each under its own arm; the arms meet in the middle. */
export const splayed: Base<Splayed> = {
  kind: "splayed",
  name: "Splayed legs",
  place: placeSplayed,
  joints: splayedJoints,
  parts: splayedSticks,
  meetings: splayedMeetings,
  formRules: SPLAYED_RULES,
  jointRules: KIND_RULES,
  shorter: (form, kind, by) =>
    kind === "splayed-leg" ? lowered(form, by * Math.cos((form.splayed.splay * Math.PI) / 180)) : [],
  work: splayedWork,
  dimensions: splayedDimensions,
  setOuts: ({ at, joints, species }) => [
    {
      joint: joints[0].id,
      scene: splaySetOut(at, species),
      caption: `Set out full size: every leg ${at.lean.degrees.toFixed(1)}° from upright.`,
    },
  ],
  describe: (_, { arms, lean, lapped, round, star, beside }) =>
    `${COUNTS[arms.length]} ${round ? "round " : ""}legs splayed ${lean.degrees.toFixed(1)}°${beside ? ", their heads outside the rim," : ""} under arms that ${lapped ? "lap" : "meet"} in the middle${star ? ", a star stretcher low between them" : ""}.`,
  sizes: (_, { round, section, footSection, lean, arm, arms, star }) => [
    [
      "Legs",
      `${arms.length} of ${mm(section)} ${round ? "round" : "square"}${footSection < section ? `, ${mm(footSection)} at the foot` : ""}, ${mm(lean.length)} over both points, ${lean.degrees.toFixed(1)}° from upright`,
    ],
    ["Arms", `${mm(arm.depth)} by ${mm(arm.thickness)}`],
    ...(star
      ? [["Star", `${mm(star.depth)} by ${mm(star.thickness)}, ${mm(star.from)} above the floor`] as [string, string]]
      : []),
  ],
};
