import type { PieceGeometry } from "../construction/geometry";
import { slatLines } from "../construction/top/core";
import type { Form } from "../piece/schema";
import { SAMPLES_A_YEAR, sampleDate } from "./course";
import { widthChange } from "./width";
import { evenPlaces } from "./flat";
import { fixedLine, TopMovement, travel } from "./year";

/** Room a peg keeps beyond its travel, mm in all. @source common practice */
export const PEG_CLEARANCE = 1;
/** Movement along the grain against movement across it. @source Wood Handbook FPL-GTR-282, ch. 13: about a fiftieth */
export const LENGTHWISE = 1 / 50;
/** Outermost peg from the end of its mortise, mm. @source common practice */
const PEG_FROM_END = 25;
/** Pegs stand so many of their own diameters apart at least, so that the tongue does not split between them. @source common practice */
const PEGS_APART = 3;

/** One peg through an end board and its slot in the tongue. mm; outward is away from the fixed peg. */
export interface Peg {
  id: string;
  /** from the front edge of the panel */
  at: number;
  fixed: boolean;
  /** what the tongue travels outward at this peg, dry (negative as a rule) and wet, against the end board */
  dry: number;
  wet: number;
  /** the slot it gets, the shortest that would do, and how far its middle is set off outward */
  slot: number;
  need: number;
  setOff: number;
  /** room before the peg meets the slot's end when the tongue goes in, and when it goes out */
  room: { dry: number; wet: number };
}

export interface Breadboards {
  length: number;
  pegs: Peg[];
  tongue: { length: number; thickness: number };
  /** the end board beyond the panel at the edge that travels most, on the driest and wettest day; negative: the panel stands proud */
  proud: { dry: number; wet: number };
  /** dates on which end board and panel are flush, in their last year */
  flush: string[];
  /** what the mortise needs beyond the tongue at its outer end, and has */
  mortise: { need: number; has: number };
}

/**
 * Pegs, slots and length of the end boards of a breadboard top, from today's width.
 *
 * The slot is in the tongue and travels with the panel while the peg stands in the end board: what the panel grows calls
 * for slot on the fixed side of the peg, what it shrinks for slot beyond it.
 */
export function breadboards(form: Form, top: TopMovement, fixed: "centre" | "front-edge" | "back-edge"): Breadboards {
  const { breadboard: choice } = form;
  const line = fixedLine(fixed, top.width);
  const places = pegPlaces(top.width, choice);
  const held = places.reduce((a, b) => (Math.abs(b - line) < Math.abs(a - line) - 1e-9 ? b : a));
  const along = (from: number, moisture: number) =>
    widthChange(from, top.coefficient * LENGTHWISE, top.start.value, moisture);
  const pegs = places.map((at, i): Peg => {
    const reach = Math.abs(at - held);
    const panel = travel(top, at, held);
    const [dry, wet] = [panel.dry - along(reach, top.dry.moisture), panel.wet - along(reach, top.wet.moisture)];
    const out = Math.max(0, dry, wet);
    const back = Math.max(0, -dry, -wet);
    // a slot whose middle lies over its peg must be as long the other way too
    const need = choice.peg + (choice.setOff ? out + back : 2 * Math.max(out, back)) + PEG_CLEARANCE;
    const isFixed = at === held;
    const slot =
      isFixed || choice.slots === "none"
        ? choice.peg
        : choice.slots === "computed"
          ? Math.ceil(need * 2) / 2
          : Math.max(choice.slot, choice.peg);
    const setOff = choice.setOff && slot > choice.peg ? (back - out) / 2 : 0;
    const half = (slot - choice.peg) / 2;
    return {
      id: `peg-${i + 1}`,
      at,
      fixed: isFixed,
      dry,
      wet,
      slot,
      need,
      setOff,
      room: { dry: half + setOff, wet: half - setOff },
    };
  });
  const length = endBoardLength(choice, top);
  const edge = held > top.width / 2 ? 0 : top.width;
  const far = Math.abs(edge - held);
  const atEdge = travel(top, edge, held);
  // what it is longer than the panel lies beyond each edge by how far that edge is from the fixed peg
  const over = ((length - top.width) * far) / top.width;
  const proudOn = (change: number, moisture: number) => over + along(far, moisture) - change;
  return {
    length,
    pegs,
    tongue: { length: choice.tongue, thickness: choice.thickness ?? Math.round((top.thickness / 3) * 2) / 2 },
    proud: { dry: proudOn(atEdge.dry, top.dry.moisture), wet: proudOn(atEdge.wet, top.wet.moisture) },
    flush: flushDays(top, length),
    mortise: {
      need: Math.max(0, atEdge.wet, atEdge.dry),
      has: Math.max(0, choice.endGap - (choice.school === "long" ? 0 : Math.max(0, -over))),
    },
  };
}

/** End boards across slats: each slat is held at its own middle, so that no peg needs a slot. @param top  one slat through its years */
export function slatEnds(form: Form, at: Pick<PieceGeometry, "core" | "top">, top: TopMovement): Breadboards {
  const { breadboard: choice, slats } = form;
  const whole = at.top.width;
  const length = endBoardLength(choice, { ...top, width: whole });
  const over = (length - whole) / 2;
  const pegs = slatLines(form, at).map((z, i): Peg => ({
    ...{ id: `peg-${i + 1}`, at: whole / 2 - z, fixed: true, dry: 0, wet: 0 },
    ...{ slot: choice.peg, need: choice.peg, setOff: 0, room: { dry: 0, wet: 0 } },
  }));
  return {
    ...{ length, pegs, flush: [] },
    tongue: { length: choice.tongue, thickness: choice.thickness ?? Math.round((top.thickness / 3) * 2) / 2 },
    proud: { dry: over - top.dry.change / 2, wet: over - top.wet.change / 2 },
    // in one groove two tongues have the gap of their slats between them
    mortise: { need: Math.max(0, top.wet.change), has: slats.gap },
  };
}

/** End boards by school: longer than the panel ever is, flush today, or flush in the middle of the year. mm */
function endBoardLength(choice: Form["breadboard"], top: Pick<TopMovement, "width" | "wet" | "dry">): number {
  switch (choice.school) {
    case "long":
      return Math.ceil((top.width + Math.max(0, top.wet.change)) * 2) / 2;
    case "flush-today":
      return top.width;
    case "flush-mid":
      return Math.round((top.width + (top.dry.change + top.wet.change) / 2) * 2) / 2;
  }
}

/** Pegs evenly from one closed end of the mortise to the other: as many as are asked, or as have wood between them. */
function pegPlaces(width: number, { pegs, peg, endGap }: Form["breadboard"]): number[] {
  const first = Math.min(width / 2, endGap + PEG_FROM_END);
  return evenPlaces(first, width - first, Math.min(pegs, 1 + Math.floor((width - 2 * first) / (PEGS_APART * peg))));
}

function flushDays(top: TopMovement, length: number): string[] {
  const year = top.changes.slice(-SAMPLES_A_YEAR);
  const first = top.changes.length - year.length;
  const over = (change: number) => length - top.width - change;
  return year.flatMap((change, i) => {
    if (i === 0 || Math.sign(over(change)) === Math.sign(over(year[i - 1]))) return [];
    return [sampleDate(top.course.from, first + i).on];
  });
}
