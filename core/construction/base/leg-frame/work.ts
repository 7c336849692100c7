import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import type { KindOfJoint } from "../../../joinery/kinds";
import { isRailEnd } from "../../../joinery/rail-end";
import { railEndWork } from "../../../steps/rail-ends";
import { mm } from "../../../verdict/verdict";
import type { LegFrame } from "./place";

interface FrameWork {
  thick: string[];
  milled: string[];
  fullHours: number;
  clampHours: number;
  long: boolean;
  /** how a sentence calls what it carries, and the step after which that can be held to it */
  carries: string;
  joints: readonly KindOfJoint[];
}

/** Its own steps, and the last of them. */
export function legFrameSteps(
  { gap, leg }: LegFrame,
  { thick, milled, fullHours, clampHours, long, carries, joints }: FrameWork,
): { steps: Step[]; closed: string } {
  const other = railEndWork(joints.filter(isRailEnd).filter(({ receives }) => receives === "stand-leg"));
  const rails = ["stand-rail", "stand-end"];
  return {
    closed: "frame-strips",
    steps: [
      step({
        id: "frame-joints",
        title: other ? `${other.first.title}, for the frame` : "Mortise the frame’s legs, tenon its rails",
        detail: other
          ? other.first.detail + (long ? " The legs stay long at the foot." : "")
          : `Legs ${mm(leg)} square, both mortises of a head gauged from its outer faces: they meet inside, where the tips of the tenons make room for each other. Long rails against one stop, end rails against another.${long ? " The legs stay long at the foot." : ""}`,
        parts: ["stand-leg", ...rails],
        after: [...thick, ...milled],
        hours: other ? other.first.hours + other.fit.hours : 8 * (TIME.mortise + TIME.tenon),
        check: "Dry: both diagonals alike, all four heads level with their rails.",
      }),
      step({
        id: "frame-glue",
        title: "Glue the frame",
        detail:
          "Both ends first, flat on the bench; the long rails between them once those hold." +
          (other ? ` ${other.closing}` : ""),
        parts: ["stand-leg", ...rails],
        after: ["frame-joints"],
        hours: TIME.glueFrame * 1.5,
        wait: fullHours,
        waitFor: "the frame to cure",
        clamps: FRAME_CLAMPS,
        clampHours,
        check: "It lies flat on the saw’s table, upper edges down.",
      }),
      step({
        id: "frame-strips",
        title: "Screw the strips on the frame",
        detail: `${mm(gap)} high, down into the long rails; their holes for the screws that go up into ${carries} are bored now, inside the rails, where a driver reaches them.`,
        parts: ["stand-strip", "stand-strip-back"],
        after: ["frame-glue"],
        hours: 0.75,
        check: "A straightedge over both strips does not rock.",
      }),
    ],
  };
}
