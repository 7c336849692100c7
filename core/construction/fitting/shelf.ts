/** A low shelf: a panel like any other, let into what stands at its ends. */
import type { AssemblyPart, Worked } from "../../assembly/part";
import { seenFrom } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import type { Seat } from "../geometry";

/** Where a shelf lies, seat by seat: its finished size with what is let in, and its place. */
export interface ShelfPlace {
  length: number;
  width: number;
  thickness: number;
  /** left, back corner of its underside */
  at: Vec;
  holders: string[];
}

/** What a shelf has for itself: its size with what is let in, and where it begins; one as wide as there is room, or as is wanted. */
function room({ shelf }: Form, { from, to, back, front, height, width, letIn }: Seat) {
  const free = front - back + 2 * letIn;
  const wide = width === "between" ? Math.max(1, free - 2 * shelf.gap) : shelf.width;
  return {
    length: to - from + 2 * letIn,
    width: wide,
    at: [from - letIn, height, (front + back) / 2 + wide / 2] as Vec,
  };
}

/** The solid shelves a base has seats for; none when none is wanted. */
export function shelfPlaces(form: Form, seats: readonly Seat[]): ShelfPlace[] {
  if (form.shelf.kind !== "solid") return [];
  // where nothing is left for one there is none: the rules of the shelf say so
  return seats
    .map((seat) => ({ ...room(form, seat), thickness: form.shelf.thickness, holders: seat.holders }))
    .filter(({ length }) => length > 0);
}

/** What is left between two slats of a shelf so wide. */
export const slatWidth = ({ shelf }: Pick<Form, "shelf">, wide: number) =>
  (wide - (shelf.slats - 1) * shelf.slatGap) / shelf.slats;

/** Whether slats have something to lie on at both ends. */
export const carriesSlats = ({ letIn, width }: Seat) => letIn === 0 && width === "between";

/** The slats of a slatted shelf, marked Z1, Z2, from the front: they lie on what the base has at its ends. */
export function shelfSlats(form: Form, seats: readonly Seat[]): AssemblyPart[] {
  if (form.shelf.kind !== "slats") return [];
  const { thickness, slats, slatGap } = form.shelf;
  const all = seats.filter(carriesSlats).flatMap((seat) => {
    const { length, width, at } = room(form, seat);
    const wide = slatWidth(form, width);
    return length > 0 && wide > 0
      ? Array.from({ length: slats }, (_, i) => ({
          shape: { length, width: wide, thickness },
          place: { at: [at[0], at[1], at[2] - i * (wide + slatGap)] as Vec, x: [1, 0, 0] as Vec, y: [0, 0, -1] as Vec },
        }))
      : [];
  });
  return all.map((slat, i) => ({
    id: `Z${i + 1}`,
    kind: "shelf-slat",
    name: "Shelf slat",
    letter: "Z",
    role: "rail",
    make: "solid",
    note: "One screw at each end, in its middle; edges eased.",
    ...slat,
    adds: [],
    cuts: [],
    opens: [0, 160, 0],
  }));
}

const NAMES = { name: "Shelf", plural: "Shelves", letter: "B", role: "panel", make: "solid" } as const;

/** The shelves as parts, marked B, B1, B2. */
export function shelfParts(places: readonly ShelfPlace[]): AssemblyPart[] {
  return places.map((place, i) => ({
    ...NAMES,
    id: places.length > 1 ? `B${i + 1}` : "B",
    kind: "shelf",
    note:
      place.holders.length > 0
        ? "Glued from the boards chosen for it; let in at its ends, free across its width."
        : "Glued from the boards chosen for it; screwed from below in the middle of its ends.",
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
