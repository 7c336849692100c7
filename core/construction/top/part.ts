/** What the parts of a top share: their names, how they lie, what they are made from. */
import type { AssemblyPart } from "../../assembly/part";
import type { Place } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import type { Breadboards } from "../../movement/breadboard";
import type { Stiffeners } from "../../movement/flat";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";

/** What a top is made from. */
export interface TopFacts {
  form: Form;
  at: PieceGeometry;
  breadboards: Breadboards | null;
  /** what keeps it flat: channels or battens */
  stiffeners: Stiffeners | null;
}

type Sort = Pick<AssemblyPart, "name" | "said" | "letter" | "role" | "note">;
/** What the parts of a top are called, and what the cut list says of each. */
const SORTS: Record<string, Sort> = {
  top: {
    name: "Top",
    letter: "T",
    role: "panel",
    note: "Glued from the boards chosen for it; trimmed when flat.",
  },
  slat: { name: "Slat", letter: "S", role: "slat", note: "Drilled before it is finished; edges rounded." },
  "slab-1": {
    name: "Front slab",
    said: "front slab",
    letter: "SL",
    role: "slat",
    note: "One board with its own edges, bark and soft wood off; flattened as wide as it is.",
  },
  "slab-2": {
    name: "Back slab",
    said: "back slab",
    letter: "SL",
    role: "slat",
    note: "One board with its own edges, bark and soft wood off; flattened as wide as it is.",
  },
  glass: { name: "Glass", letter: "GL", role: "bought", note: "Ordered by a template of the slabs as they lie." },
  batten: {
    name: "Batten",
    letter: "J",
    role: "rail",
    note: "Slotted for its screws, all but the one on the fixed line; never glued.",
  },
  "end-board": {
    name: "Breadboard end",
    said: "end board",
    letter: "D",
    role: "end-board",
    note: "Cut when the panel has been measured; grooved and mortised for its tongue.",
  },
  "frame-long": {
    name: "Frame, long side",
    said: "long side of the frame",
    letter: "F",
    role: "frame",
    note: "Grooved for the panel; corners jointed before.",
  },
  "frame-end": {
    name: "Frame, end",
    said: "end of the frame",
    letter: "G",
    role: "frame",
    note: "Grooved for the panel; corners jointed before.",
  },
};
/** Kinds of part that lie on top: what goes up with a lid. */
export const TOP_KINDS: readonly string[] = Object.keys(SORTS);
export const PANEL: Pick<Sort, "name" | "said"> = { name: "Panel of the top", said: "top" };

/** A tongue is so much of its panel's thickness. @source common practice: a third */
export const TONGUE_SHARE = 1 / 3;

/** How far the top is lifted when the piece is pulled apart, and its ends drawn off it, mm. */
export const LIFT = 320;
export const ENDS = 180;

/** Flat on its base: grain along x, width toward the back, thickness up. */
const FLAT = { x: [1, 0, 0] as Vec, y: [0, 0, -1] as Vec };
/** The same with its grain from front to back. */
export const ACROSS = { x: [0, 0, -1] as Vec, y: [-1, 0, 0] as Vec };

/** A part of the top, lying flat. */
export const part = (given: Pick<AssemblyPart, "id" | "kind" | "shape" | "place">): AssemblyPart => ({
  ...given,
  ...SORTS[given.kind],
  make: "solid",
  adds: [],
  cuts: [],
  opens: [0, LIFT, 0],
});
export const flat = (at: PieceGeometry, z: number, x: number): Place => ({ ...FLAT, at: [x, at.under, z] });
