import type { PieceGeometry } from "../construction/geometry";
import type { JointChoices, Piece } from "../piece/schema";
import { Fastener, FASTENER_WIDTH, playAlong, placeFasteners, slotPlay, worstTravel } from "./buttons";
import { fixedLine, TopMovement, travel } from "./year";

export type FasteningKind = JointChoices["fastening"];

/** How a choice is called, what one and several are in a sentence, and how an id begins. */
export const FASTENING_NAMES: Record<FasteningKind, { choice: string; one: string; many: string; id: string }> = {
  button: { choice: "Wooden buttons", one: "button", many: "Buttons", id: "button" },
  "figure-8": { choice: "Figure-8 plates", one: "figure-8 plate", many: "Figure-8 plates", id: "plate" },
  "z-clip": { choice: "Z-clips", one: "Z-clip", many: "Z-clips", id: "clip" },
  slotted: { choice: "Slotted cleats or plates", one: "slotted cleat", many: "Screws in slots", id: "slot" },
  oversized: {
    choice: "Oversized holes, washers",
    one: "screw in an oversized hole",
    many: "Screws in oversized holes",
    id: "hole",
  },
  loose: { choice: "Nothing: loose between tabs", one: "tab", many: "Tabs under a loose top", id: "tab" },
  screwed: { choice: "Screws driven tight", one: "screw", many: "Screws driven tight", id: "screw" },
};

/** Tongue of a Z-clip that must stay in its groove, mm. @source common practice */
export const LEAST_CLIP = 3;

/** Room of a fastener against travel, mm; Infinity where nothing stops it that way. `setOff` is outward, from the middle of its slot. */
export interface Play {
  dry: number;
  wet: number;
  setOff: number;
}

/** Fasteners for the chosen way of holding the top; a slatted top is screwed down slat by slat instead. */
export function fastenersFor(
  piece: Pick<Piece, "form" | "joints" | "choices">,
  at: PieceGeometry,
  top: TopMovement,
): Fastener[] {
  const { form, joints, choices } = piece;
  if (form.field === "slats") return [];
  const kind = joints.fastening;
  const width = kind === "button" ? joints.buttons.width : FASTENER_WIDTH;
  const line = fixedLine(choices.fixedLine, at.top.width);
  // a framed top is held by its frame, which moves along its grain only; the panel in it goes its own way
  const travels =
    form.ends === "frame" ? () => ({ dry: 0, wet: 0 }) : (fromFront: number) => travel(top, fromFront, line);
  return placeFasteners(at, FASTENING_NAMES[kind].id, { width, spacing: joints.buttons.spacing }, travels);
}

/**
 * What a fastener gives on rails across the grain of the top (`across`) or along it (`long`).
 *
 * @param need  the worst travel there, mm each way: slots that are set off for the season share their room by it
 * @source a plate of centre distance s swung by θ gives s sin θ square to its line and nothing along it (geometry)
 */
export function playOf(joints: JointChoices, rail: "long" | "across", need: { dry: number; wet: number }): Play {
  const shared = (room: number, setOff: boolean): Play => {
    const off = setOff ? Math.max(-room / 2, Math.min(room / 2, (need.wet - need.dry) / 2)) : 0;
    return { dry: room / 2 - off, wet: room / 2 + off, setOff: off };
  };
  switch (joints.fastening) {
    case "button":
      return rail === "long"
        ? { ...playAlong(joints.buttons), setOff: 0 }
        : { dry: slotPlay(joints.buttons), wet: slotPlay(joints.buttons), setOff: 0 };
    case "figure-8": {
      const swing =
        rail === "long" && joints.figure8.lengthwise === "across"
          ? 0
          : joints.figure8.centres * Math.sin((joints.figure8.swing * Math.PI) / 180);
      return { dry: swing, wet: swing, setOff: 0 };
    }
    case "z-clip":
      return rail === "across"
        ? { dry: Infinity, wet: Infinity, setOff: 0 }
        : { wet: joints.zClip.groove - joints.zClip.engaged, dry: joints.zClip.engaged - LEAST_CLIP, setOff: 0 };
    case "slotted":
      return shared(Math.max(0, joints.slotted.slot - joints.slotted.screw), joints.slotted.setOff);
    case "oversized":
      return shared(Math.max(0, joints.oversized.hole - joints.oversized.screw), joints.oversized.setOff);
    case "loose":
      return { wet: joints.loose.gap, dry: Infinity, setOff: 0 };
    case "screwed":
      return { dry: 0, wet: 0, setOff: 0 };
  }
}

/** How far a figure-8 plate draws in when it has swung out by `travel`, mm. @source geometry: s − √(s² − y²) */
export function pullIn(centres: number, travelled: number): number {
  const y = Math.min(centres, Math.abs(travelled));
  return centres - Math.sqrt(centres * centres - y * y);
}

export interface FasteningNeed {
  rail: "long" | "across";
  need: { dry: number; wet: number };
  has: Play;
  subject: string[];
}

/** Need against room on both kinds of rail, where there are fasteners. */
export function fasteningNeeds(joints: JointChoices, fasteners: readonly Fastener[]): FasteningNeed[] {
  return (["across", "long"] as const).flatMap((rail) => {
    const { dry, wet, subject } = worstTravel(fasteners, rail);
    return subject.length === 0 ? [] : [{ rail, need: { dry, wet }, has: playOf(joints, rail, { dry, wet }), subject }];
  });
}
