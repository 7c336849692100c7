/** A low shelf: a panel like any other, let into what stands at its ends. */
import type { AssemblyPart, Worked } from "../../assembly/part";
import { seenFrom } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import type { Seat } from "../geometry";

/** How far the shelf is let into what holds it, mm. @source common practice */
export const LET_IN = 8;

/** Where a shelf lies, seat by seat: its finished size with what is let in, and its place. */
export interface ShelfPlace {
  length: number;
  width: number;
  thickness: number;
  /** left, back corner of its underside */
  at: Vec;
  holders: string[];
}

/** The shelves a base has seats for; none when it is not wanted. */
export function shelfPlaces({ shelf }: Form, seats: readonly Seat[]): ShelfPlace[] {
  if (shelf.kind === "none") return [];
  const places = seats.map(({ from, to, back, front, height, holders, width }): ShelfPlace => {
    const free = front - back + 2 * LET_IN;
    const wide = width === "between" ? Math.max(1, free - 2 * shelf.gap) : shelf.width;
    const middle = (front + back) / 2;
    return {
      length: to - from + 2 * LET_IN,
      width: wide,
      thickness: shelf.thickness,
      at: [from - LET_IN, height, middle + wide / 2],
      holders,
    };
  });
  // where nothing is left for one there is none: the rules of the shelf say so
  return places.filter(({ length }) => length > 0);
}

const NAMES = { name: "Shelf", plural: "Shelves", letter: "B", role: "panel", make: "solid" } as const;

/** The shelves as parts, marked B, B1, B2. */
export function shelfParts(places: readonly ShelfPlace[]): AssemblyPart[] {
  return places.map((place, i) => ({
    ...NAMES,
    id: places.length > 1 ? `B${i + 1}` : "B",
    kind: "shelf",
    note: "Glued from the boards chosen for it; let in at its ends, free across its width.",
    shape: { length: place.length, width: place.width, thickness: place.thickness },
    place: { at: place.at, x: [1, 0, 0], y: [0, 0, -1] },
    adds: [],
    cuts: [],
    opens: [0, 160, 0],
  }));
}

/** The same parts with room cut for the shelves in every one that stands in their way: as deep as they are let in, with a little over across the grain. */
export function seated(parts: readonly AssemblyPart[], places: readonly ShelfPlace[], gap: number): AssemblyPart[] {
  return parts.map((part) => {
    const cuts = places.filter(({ holders }) => holders.includes(part.kind)).map((place) => roomFor(part, place, gap));
    return cuts.length === 0 ? part : { ...part, cuts: [...part.cuts, ...cuts] };
  });
}

function roomFor(part: AssemblyPart, { length, width, thickness, at: [x, y, z] }: ShelfPlace, gap: number): Worked {
  return {
    by: "shelf",
    shape: { length, width: width + 2 * gap, thickness },
    place: seenFrom(part.place, { at: [x, y, z + gap], x: [1, 0, 0], y: [0, 0, -1] }),
  };
}
