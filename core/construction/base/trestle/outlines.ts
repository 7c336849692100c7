import { Loop, Outline, straightAt } from "../../../assembly/outline";
import type { TrestleChoices } from "../../../piece/base-choices";
import { padLength } from "./place";

/** Relieved below by an arc, its upper corners cut as chosen. */
export function footOutline({ relief, ends, cut }: TrestleChoices["foot"], length: number, height: number): Outline {
  const pad = padLength(length);
  const rise = Math.min(relief, height / 2);
  const below: Loop = rise > 0 ? [{ at: [pad, 0], rise: -rise }, straightAt(length - pad, 0)] : [];
  return { outer: [straightAt(0, 0), ...below, ...cornersOf(ends, { cut, length, height, above: true })], holes: [] };
}

/** Flat above, its lower corners cut as chosen. */
export function braceOutline({ ends, cut }: TrestleChoices["brace"], length: number, height: number): Outline {
  return { outer: cornersOf(ends, { cut, length, height, above: false }), holes: [] };
}

/** A cut end keeps so much of its height. @source common practice */
const KEPT = 0.45;
/** A rounded corner bows out of its chord by so much of it. Ours: by eye. */
const BOW = 0.16;

/** The corners of an end, from the lower right one round to the upper left: cut above, or below. */
function cornersOf(
  ends: TrestleChoices["foot"]["ends"],
  { cut, length, height, above }: { cut: number; length: number; height: number; above: boolean },
): Loop {
  const along = Math.min(cut, length / 3);
  if (ends === "square" || along <= 0)
    return above
      ? [straightAt(length, 0), straightAt(length, height), straightAt(0, height)]
      : [straightAt(0, 0), straightAt(length, 0), straightAt(length, height), straightAt(0, height)];
  const low = height * (above ? KEPT : 1 - KEPT);
  const bow = ends === "rounded" ? BOW * Math.hypot(along, height - low) : 0;
  return above
    ? [
        straightAt(length, 0),
        { at: [length, low], rise: bow },
        straightAt(length - along, height),
        { at: [along, height], rise: bow },
        straightAt(0, low),
      ]
    : [
        straightAt(along, 0),
        { at: [length - along, 0], rise: bow },
        straightAt(length, low),
        straightAt(length, height),
        straightAt(0, height),
        { at: [0, low], rise: bow },
      ];
}
