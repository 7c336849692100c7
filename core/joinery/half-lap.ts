/** Two strips of one thickness that cross, each let into the other by half of it. */
import { fine, mm } from "../verdict/verdict";
import { Meets, TENON } from "./blind-tenon";
import type { Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";

/**
 * A half-lap where two strips cross. Its face lies in the middle of the crossing, on the outer side of the one that enters: x runs along
 * that one, y across it, z through both.
 */
export interface HalfLap extends Joint {
  kind: "half-lap";
  /** between the two, as their grain runs from foot to head, degrees */
  angle: number;
  width: number;
  thickness: number;
  /** along either strip, from one shoulder to the other at one edge, mm */
  lap: number;
  section: { width: number; thickness: number };
  behind: number;
  /** what a maker sets it out from: each line of the card beside the joint's own */
  set: SettingCard["lines"];
}

export interface HalfLapInputs {
  meets: Meets;
  /** of both strips, mm */
  width: number;
  thickness: number;
  /** between the two, degrees */
  angle: number;
  set: SettingCard["lines"];
}

/** Sizes a half-lap: half the thickness each, as long as the other strip is wide, measured aslant. */
export function halfLap({ meets, width, thickness, angle, set }: HalfLapInputs): HalfLap {
  const slant = Math.max(0.05, Math.abs(Math.sin((angle * Math.PI) / 180)));
  const lap = width / slant;
  return {
    ...meets,
    kind: "half-lap",
    angle,
    width,
    thickness,
    lap,
    set,
    length: 0,
    section: { width, thickness },
    behind: thickness,
    tool: { kind: "router bit", size: 0 },
    glueArea: (width * width) / slant,
    walls: [{ where: "left at the lap", left: thickness / 2, good: 2 * TENON.wall, least: TENON.wall }],
  };
}
/** The half of each that the other takes. */
export function halfLapBodies({ angle, width, thickness }: HalfLap): JointBodies {
  const turn = (angle * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  // past the far edges of the other strip
  const long = 2 * (width / Math.max(0.05, Math.abs(sin)) + width);
  const strip = (x: [number, number], z: number): JointBody => ({
    shape: { length: long, width, thickness: thickness / 2 },
    place: {
      at: [(-x[0] * long) / 2 + (x[1] * width) / 2, (-x[1] * long) / 2 - (x[0] * width) / 2, z],
      x: [x[0], x[1], 0],
      y: [-x[1], x[0], 0],
    },
  });
  return { adds: [], own: [strip([cos, sin], thickness / 2)], cuts: [strip([1, 0], 0)] };
}

/** Glue from corner to corner of the crossing. */
export const halfLapHeld = ({ width, angle }: HalfLap): Held[] => {
  const half = width / 2 / Math.max(0.05, Math.abs(Math.cos((angle * Math.PI) / 360)));
  return [{ kind: "glue", name: "its half-lap", from: -half, to: half }];
};

export function halfLapCard(joint: HalfLap): SettingCard {
  const { thickness, lap, angle } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      ...joint.set,
      { what: "Depth of each lap, tried on scrap of the same thickness", setting: fine(thickness / 2) },
      { what: "Shoulder to shoulder along the edge, from the other strip itself", setting: mm(lap) },
      { what: "Shoulders, from square", setting: `${Math.abs(90 - angle).toFixed(1)}°` },
    ],
    marked:
      "The second shoulder is marked from the strip that goes in, laid on the full-size drawing: a hair tight, then planed.",
  };
}
