/** What a frame of legs is judged by, whatever it carries. */
import { grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import { usualRange } from "../../usual";
import { FRAME, LegFrame } from "./place";

/** Sizes of a frame's legs, and what of a leg stays free below its rails, mm. @source common practice */
const LEGS = { section: { low: 32, high: 60 }, free: 40 };

/** @param path  where the frame's choices are kept */
export function frameLegs(frame: LegFrame, path: string[]): Verdict {
  return usualRange("form.frame-legs", "stand-leg", "A leg of the frame", {
    actual: frame.leg,
    range: LEGS.section,
    path: [...path, "leg"],
    reasons: {
      low: "Two tenons in one leg leave each other little.",
      high: "It looks heavy below what it carries.",
    },
  });
}

/** Legs go on below their rails. @param raise  what gives the frame more height */
export function frameHeight(frame: LegFrame, path: string[], raise: Remedy[] = []): Verdict {
  const free = frame.height - frame.rail.depth;
  const level: Level = frame.height <= 0 ? "fix" : grade(free, "at least", LEGS.free, 0);
  const depth = Math.floor(frame.height - LEGS.free);
  return verdict({
    id: "form.frame-height",
    stage: "form",
    subject: ["stand-leg", "stand-rail"],
    level,
    text:
      frame.height <= 0
        ? "Nothing is left below for the frame"
        : free < 0
          ? `The frame’s rails are ${mm(-free)} deeper than its legs are high`
          : `The legs stand ${mm(free)} clear below their rails`,
    why: `The frame is ${mm(Math.max(0, frame.height))} high under a gap of ${mm(frame.gap)}, its rails are ${mm(frame.rail.depth)} deep; less than ${LEGS.free} mm below them catches a broom and looks like a plinth.`,
    limit: LEGS.free,
    actual: Math.round(free),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [...(depth >= 30 ? [set(`Make its rails ${depth} mm deep`, [...path, "depth"], depth)] : []), ...raise],
  });
}

/** Legs keep off each other, and rails end in them. */
export function frameFits(frame: LegFrame, path: string[]): Verdict {
  const { long, ends, strips, leg, rail } = frame;
  const between = Math.min(long.between.to - long.between.from, ends.between.to - ends.between.from);
  const meet = strips[1].z.from - strips[0].z.to;
  // what of a rail stands past its leg inside would stand in the other one
  const past = FRAME.reveal + rail.thickness - leg;
  const thin = Math.floor(leg - FRAME.reveal - 2);
  const close = between < 80 || meet < 0;
  const level: Level = close || past > 0 ? "fix" : "holds";
  return verdict({
    id: "form.frame-fits",
    stage: "form",
    subject: ["stand-leg", "stand-rail"],
    level,
    text: close
      ? `Between the frame’s legs only ${mm(Math.max(0, between))} are left`
      : past > 0
        ? `The frame’s rails are ${mm(past)} thicker than what they end in`
        : `The frame’s legs stand ${mm(between)} or more apart`,
    why: `They stand ${mm(leg)} square at the corners, rails of ${mm(rail.thickness)} ${mm(FRAME.reveal)} behind their faces; strips on both long rails go in between.`,
    remedies: close
      ? leg > 30
        ? [
            {
              label: "Make its legs 30 mm square, flush outside",
              patches: [
                { path: [...path, "leg"], value: 30 },
                { path: [...path, "setIn"], value: 0 },
              ],
            },
          ]
        : []
      : past > 0 && thin >= 8
        ? [set(`Make its rails ${thin} mm thick`, [...path, "thickness"], thin)]
        : [],
  });
}
