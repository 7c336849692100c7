import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import { LENGTHWISE } from "./breadboard";
import { worstTravel } from "./buttons";
import { wayOf } from "../joinery/fastening";
import { LEAST_IN_GROOVE } from "./insets";
import { widthChange } from "./width";
import { fixedLine, travelOn } from "./year";

/** What would stop the top first: how far it travels at each sample of the course, outward positive, and what room it has, mm. */
export interface Governing {
  what: string;
  room: string;
  id: string;
  travel: number[];
  play: { dry: number; wet: number };
  /** its tongue goes in and out of what holds it: nothing slides in a slot beside it */
  inAndOut?: true;
}

type Needs = Pick<Plan, "top" | "fasteners" | "breadboards" | "stiffeners" | "slats" | "framed">;

/** The outermost peg, bolt, fastener, slat or groove, by how the top is made. */
export function governing(plan: Needs, piece: Pick<Piece, "form" | "joints" | "choices">): Governing {
  const { top } = plan;
  const moving = (at: number, held: number) => top.course.mean.map((_, i) => travelOn(top, at, held, i));
  if (plan.breadboards && piece.form.breadboard.slots !== "none" && plan.breadboards.pegs.some((each) => !each.fixed)) {
    const held = plan.breadboards.pegs.find((each) => each.fixed)!.at;
    const peg = closest(plan.breadboards.pegs);
    const reach = Math.abs(peg.at - held);
    const along = (moisture: number) => widthChange(reach, top.coefficient * LENGTHWISE, top.start.value, moisture);
    return {
      what: "the tongue at the outermost peg",
      room: "its slot",
      id: peg.id,
      travel: moving(peg.at, held).map((each, i) => each - along(top.course.mean[i])),
      play: peg.room,
    };
  }
  if (plan.stiffeners && plan.stiffeners.bolts.some((each) => !each.fixed)) {
    const held = plan.stiffeners.bolts.find((each) => each.fixed)!.at;
    const bolt = closest(plan.stiffeners.bolts);
    return {
      what: `the outermost ${plan.stiffeners.kind === "channels" ? "bolt of a channel" : "screw of a batten"}`,
      room: "its slot",
      id: bolt.id,
      travel: moving(bolt.at, held),
      play: bolt.room,
    };
  }
  if (plan.slats)
    return {
      what: "each slat across its width",
      room: "the gap",
      id: "slat",
      travel: [...top.changes],
      play: { wet: plan.slats.gap.today, dry: Infinity },
    };
  if (plan.framed)
    return {
      what: "the panel at each groove",
      room: "the groove",
      id: "top",
      travel: top.changes.map((each) => each / 2),
      play: {
        wet: plan.framed.room.wet.has,
        dry: Math.max(0, piece.form.frame.groove - piece.form.frame.gap - LEAST_IN_GROOVE),
      },
    };
  const line = fixedLine(piece.choices.fixedLine, top.width);
  const { fasteners } = plan;
  const run = fasteners.some((each) => each.run === "across") ? "across" : "along";
  const held = fasteners.filter((each) => each.run === run);
  if (held.length === 0)
    return {
      what: "the edge of the top",
      room: "nothing",
      id: "top",
      travel: moving(line > top.width / 2 ? 0 : top.width, line),
      play: { dry: Infinity, wet: Infinity },
    };
  const most = (each: (typeof held)[number]) => Math.max(Math.abs(each.wet), Math.abs(each.dry));
  const fastener = held.reduce((a, b) => (most(b) > most(a) + 1e-9 ? b : a));
  const rail = run === "across" ? "across" : "long";
  const way = wayOf(piece.joints);
  const play = way.play(piece.joints, rail, worstTravel(fasteners, rail));
  return {
    what: `the outermost ${run === "across" ? "end " : ""}${way.names.one}`,
    room: way.room[rail],
    id: fastener.id,
    ...(run === "along" ? { inAndOut: true } : {}),
    travel: moving(clamped(top.width / 2 - fastener.z, top.width), line),
    play,
  };
}

/** Of all that move, the one that binds worst; where none does, the one that travels most. @throws when none of them moves */
export const closest = <T extends { fixed: boolean; dry: number; wet: number; room: { dry: number; wet: number } }>(
  all: readonly T[],
): T => {
  const left = (each: T) =>
    Math.min(0, each.room.wet - Math.max(0, each.wet, each.dry), each.room.dry - Math.max(0, -each.dry, -each.wet));
  const most = (each: T) => Math.max(Math.abs(each.wet), Math.abs(each.dry));
  return all
    .filter((each) => !each.fixed)
    .reduce((a, b) =>
      left(b) < left(a) - 1e-9 || (Math.abs(left(b) - left(a)) <= 1e-9 && most(b) > most(a) + 1e-9) ? b : a,
    );
};
const clamped = (at: number, width: number) => Math.max(0, Math.min(width, at));
