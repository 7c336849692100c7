import type { TableGeometry } from "../form/leg-and-apron";
import type { JointChoices } from "../piece/schema";

/** Tongue that must stay in its groove in the dry month, mm. @source common practice */
export const LEAST_ENGAGED = 4;
/** Play a button keeps beyond what it travels, mm. @source common practice */
export const BUTTON_PLAY = 0.5;
/** Distance of the first button from a leg, mm. @source common practice */
const FROM_LEG = 90;

/** One fastener under the top: a wooden button, a plate, a clip, a screw. mm */
export interface Fastener {
  id: string;
  rail: "long" | "end" | "cross";
  x: number;
  z: number;
  /** outward travel in the dry and the wet month; negative is inward */
  dry: number;
  wet: number;
}

/** The usual body of a plate, clip or screw along its rail, mm, where no button's width says otherwise. */
export const FASTENER_WIDTH = 30;

/**
 * Where the fasteners sit: spread evenly along every rail. x and z from the middle of the top.
 *
 * @param name     begins each one's id
 * @param travels  mm outward on the driest and wettest day of a point so far from the front edge
 */
export function placeFasteners(
  at: TableGeometry,
  name: string,
  body: { width: number; spacing: number },
  travels: (fromFront: number) => { dry: number; wet: number },
): Fastener[] {
  const inside = at.longRail.z - at.rail.thickness / 2 - body.width / 2;
  const endInside = at.endRail.x - at.rail.thickness / 2 - body.width / 2;
  const all: Omit<Fastener, "dry" | "wet">[] = [];
  for (const side of [1, -1]) {
    spread(at.longRail.shoulder, body.spacing).forEach((x, i) =>
      all.push({ id: `${name}-long-${side > 0 ? "front" : "back"}-${i + 1}`, rail: "long", x, z: side * inside }),
    );
    spread(at.endRail.shoulder, body.spacing).forEach((z, i) =>
      all.push({ id: `${name}-end-${side > 0 ? "right" : "left"}-${i + 1}`, rail: "end", x: side * endInside, z }),
    );
  }
  at.crossRails.forEach(({ x, shoulder }, c) =>
    spread(shoulder, body.spacing).forEach((z, i) =>
      all.push({
        id: `${name}-cross-${c + 1}-${i + 1}`,
        rail: "cross",
        x: x + at.rail.thickness / 2 + body.width / 2,
        z,
      }),
    ),
  );
  return all.map((each) => ({ ...each, ...travels(Math.min(at.top.width, Math.max(0, at.top.width / 2 - each.z))) }));
}

/** What a long-rail button has each way, mm: room to go in before tip or shoulder touches, and tongue to lose before it lets go. */
export function longRailPlay(choice: JointChoices["buttons"]): { wet: number; dry: number } {
  return {
    wet: Math.min(choice.grooveDepth - choice.engaged, choice.tongue - choice.engaged),
    dry: choice.engaged - LEAST_ENGAGED,
  };
}

/** Room of an end-rail button in its slot each way, mm, when it is screwed in the slot's middle. */
export function slotPlay(choice: JointChoices["buttons"]): number {
  return (choice.slotLength - choice.width) / 2;
}

/** Travel of the fasteners on one kind of rail as what binds them: outward is into the groove on the side away from the fixed line. */
export function worstTravel(
  buttons: readonly Fastener[],
  rail: "long" | "across",
): { dry: number; wet: number; subject: string[] } {
  const mine = buttons.filter((each) => (rail === "long" ? each.rail === "long" : each.rail !== "long"));
  const dry = Math.max(0, ...mine.map((each) => -each.dry), ...mine.map((each) => -each.wet));
  const wet = Math.max(0, ...mine.map((each) => each.wet), ...mine.map((each) => each.dry));
  return { dry, wet, subject: mine.map((each) => each.id) };
}

function spread(length: number, spacing: number): number[] {
  const run = Math.max(0, length - 2 * FROM_LEG);
  const gaps = Math.max(1, Math.ceil(run / spacing));
  return length < 2 * FROM_LEG
    ? length > 120
      ? [0]
      : []
    : Array.from({ length: gaps + 1 }, (_, i) => -run / 2 + (i * run) / gaps);
}
