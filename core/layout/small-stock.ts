/** What fastens a top and is made of wood: buttons and cleats, sawn from sticks. */
import type { JointChoices } from "../piece/schema";
import { SHORTEST_FED } from "../stock/milling-plan";

/** A stick with so many small parts end to end, and how long it is with their cuts, mm. */
export interface Stick {
  mark: string;
  length: number;
}

/** Blocks and buttons are sawn from a stick with so much for each cut, mm. @source common practice */
export const SMALL_EXTRA = 10;

/** Body of a wooden button behind its tongue, and its thickness, mm. @source common practice */
const BUTTON = { body: 45, thickness: 24 };
/** A cleat beside its slot at each end, how wide and how thick it is, mm. @source common practice */
const CLEAT = { beside: 30, width: 32, thickness: 24 };

/** What fastens a top and is made of wood: sawn from sticks. */
export interface Small {
  id: string;
  name: string;
  letter: string;
  size: Record<"length" | "width" | "thickness", number>;
  note: string;
}

export const SMALL: Partial<Record<JointChoices["fastening"], (joints: JointChoices) => Small>> = {
  button: ({ buttons: { width, tongue } }) => ({
    ...{ id: "button", name: "Button", letter: "N" },
    size: { length: BUTTON.body + tongue, width, thickness: BUTTON.thickness },
    note: "Sawn from one long strip, drilled and rebated before they are crosscut.",
  }),
  slotted: ({ slotted: { slot } }) => ({
    ...{ id: "cleat", name: "Cleat", letter: "U" },
    size: { length: slot + 2 * CLEAT.beside, width: CLEAT.width, thickness: CLEAT.thickness },
    note: "Slotted in the stick, then crosscut; glued and screwed inside what bears the top, flush with its upper edge.",
  }),
};

export const numbered = (letter: string, count: number) =>
  Array.from({ length: count }, (_, i) => (count > 1 ? `${letter}${i + 1}` : letter));

/** Buttons on a stick: as many as a hand holds safely at the saw, and no stick too short to be fed. @source common practice */
const ON_A_STICK = 8;

export function sticksOf(letter: string, count: number, each: number): Stick[] {
  const sticks = Math.ceil(count / ON_A_STICK);
  // all as long as the longest: one setting
  const length = Math.max(SHORTEST_FED, Math.ceil(Math.ceil(count / sticks) * each + SMALL_EXTRA));
  return Array.from({ length: sticks }, (_, i) => {
    const [from, to] = [i, i + 1].map((n) => Math.round((n * count) / sticks));
    return {
      mark: to - from > 1 ? `${letter}${from + 1}-${to}` : `${letter}${count > 1 ? to : ""}`,
      length,
    };
  });
}
