import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import { mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import type { XFrame } from "./place";

/** The order of X frames: drawn full size, lapped, glued flat on the drawing, ends cut in one, bearers on, the stretcher last. */
export function xFrameWork(facts: WorkFacts<XFrame>): BaseWork {
  const { form, at, thick, milled, grooved, fullHours, clampHours } = facts;
  const { stretcher: choice, ends } = form.xFrame;
  const { lean, frames, strip, bays } = at;
  const after = ends === "after-lap";
  const legs = frames.length > 2 ? ["x-leg", "middle-x-leg"] : ["x-leg"];
  const through = choice.kind === "crossing";
  const tied = choice.kind !== "none";
  const angle = `${(90 - lean.degrees).toFixed(1)}° off square`;
  const cutEnds = (waits: string[]) =>
    step({
      id: "ends",
      title: after ? "Cut feet and heads level, both at once" : "Cut feet and heads to their lean",
      detail: after
        ? `Each X laid on its drawing: feet in one line, heads in one, ${mm(at.bearer.from)} apart; ${angle} on every leg.`
        : `${angle}, both ends parallel, ${mm(lean.length)} from long point to long point, against one stop.`,
      parts: legs,
      after: waits,
      hours: 0.5 * frames.length,
      check: after ? "It stands on a flat floor without rocking." : "All alike when they are stacked.",
    });
  const steps: Step[] = [
    step({
      id: "set-out",
      title: "Draw one X full size",
      detail:
        "Two level lines, the middle line, half of each spread to either side, then both edges of each leg: its card has the numbers. Everything after is marked from it.",
      parts: legs,
      after: [],
      hours: 0.75,
      check: `Both legs lean ${lean.degrees.toFixed(1)}°: the bevel set on one fits the other.`,
    }),
    ...(after ? [] : [cutEnds([...thick, "set-out"])]),
    step({
      id: "laps",
      title: "Cut the half-laps",
      detail: `${frames.length} pairs, half of ${mm(strip.thickness)} each: shoulders at the bevel’s angle, tried on scrap; the second shoulder from the leg that goes in.`,
      parts: legs,
      after: [...thick, "set-out", ...(after ? [] : ["ends"])],
      hours: frames.length,
      check: "Faces flush, no light at a shoulder; pressed home by hand.",
    }),
    step({
      id: "glue-laps",
      title: "Glue each X flat on its drawing",
      detail: "One clamp on the crossing, pads as wide as it is, two to keep the legs on their lines; paper below.",
      parts: legs,
      after: ["laps"],
      hours: 0.4 * frames.length,
      wait: fullHours,
      waitFor: "the crossings to cure",
      clamps: 3 * frames.length,
      clampHours,
      check: "Both spreads as drawn, out of wind.",
    }),
    ...(after ? [cutEnds(["glue-laps"])] : []),
    step({
      id: "heads",
      title: "Slot the heads and the bearers",
      detail: "Straight up from the level cut; the bearers marked from the heads as they stand.",
      parts: [...legs, "bearer"],
      after: [...milled, "glue-laps", "ends"],
      hours: 4 * frames.length * TIME.mortise,
      check: "The loose tenons stop short of the legs’ sloping edges.",
    }),
    ...(through
      ? [
          step({
            id: "crossings",
            title: "Mortise the crossings",
            detail: "Through both halves once the glue is dry: from both faces, to meet in the middle.",
            parts: legs,
            after: ["glue-laps"],
            hours: 2 * frames.length * TIME.mortise,
          }),
        ]
      : []),
    ...(grooved ? [step({ id: "groove", ...grooved, parts: ["bearer"], after: milled })] : []),
    step({
      id: "dry-fit",
      title: "Dry-fit the frames and their bearers",
      detail: tied
        ? "Square to the floor; the stretcher’s shoulders are marked from them as they stand."
        : "Square to the floor.",
      parts: [...legs, "bearer"],
      after: ["heads", ...(through ? ["crossings"] : []), ...(grooved ? ["groove"] : [])],
      hours: 0.5 * frames.length,
      check: "Bearer and floor parallel within 0.5 mm.",
    }),
    ...(tied
      ? [
          step({
            id: "stretcher",
            title: "Tenon the stretcher",
            detail: through
              ? "Shoulders from the marks; kerfs end in their holes. Chamfer the tips before they go in."
              : "Shoulders from the marks; mortise the bearers to its tenons.",
            parts: ["stretcher", ...(through ? [] : ["bearer"])],
            after: ["dry-fit"],
            hours: bays.length * 2 * TIME.tenon + 1,
          }),
        ]
      : []),
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Faces of the X across the lap flush; ease every edge but the level cuts. Keep off the shoulders.",
      parts: [...legs, "bearer", ...(tied ? ["stretcher"] : [])],
      after: [tied ? "stretcher" : "dry-fit"],
      hours: 2,
    }),
    step({
      id: "glue-ends",
      title: "Glue the bearers onto the heads",
      detail: "One frame at a time, the feet on the floor, a batten across the top of the bearer.",
      parts: [...legs, "bearer"],
      after: ["sand-base"],
      hours: TIME.glueFrame * (frames.length / 2),
      wait: fullHours,
      waitFor: "the heads to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
    }),
  ];
  if (tied)
    steps.push(
      step({
        id: "glue-base",
        title: "Glue the stretcher between the frames",
        detail: through
          ? "Through the crossings at once, then the wedges, glued, two at a time."
          : "Into both bearers at once, on a flat floor.",
        parts: ["stretcher"],
        after: ["glue-ends"],
        hours: TIME.glueFrame,
        wait: fullHours,
        waitFor: "the base to cure",
        clamps: 2,
        clampHours: through ? 1 : clampHours,
        check: "Frames parallel; diagonals between the feet within 1 mm.",
      }),
    );
  if (through)
    steps.push(
      step({
        id: "trim-wedges",
        title: "Trim the wedges",
        detail: choice.proud > 0 ? `To ${choice.proud} mm proud, chamfered.` : "Flush with the legs.",
        parts: ["stretcher"],
        after: ["glue-base"],
        hours: 0.5,
      }),
    );
  const stands = tied ? "glue-base" : "glue-ends";
  return {
    steps,
    levelling: [
      step({
        id: "cut-feet",
        title: "Level the feet and ease them",
        detail: "On the flat floor, marked from a block. Chamfer every foot 2 mm.",
        parts: legs,
        after: [stands],
        hours: 0.75,
        check: "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-ends"],
    closing: stands,
    closed: [through ? "trim-wedges" : stands],
    standing: ["cut-feet"],
    seen: [...legs, "bearer", ...(tied ? ["stretcher"] : [])],
  };
}
