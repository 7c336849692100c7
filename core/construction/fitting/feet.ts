/** Bought feet: how high they lift the wood, where they go under it, their holes. mm, heights from the wood's own underside */
import { circle } from "../../assembly/outline";
import { AssemblyPart, bodyOf } from "../../assembly/part";
import { seenFrom, toPiece, Place } from "../../assembly/place";
import { isInside } from "../../assembly/shape";
import type { SmallPart } from "../../assembly/small";
import { stood } from "../../assembly/solid";
import { FRONT, UP, Vec } from "../../assembly/vector";
import type { FootKind, FootSizes } from "../../piece/feet-choices";
import type { Form } from "../../piece/schema";
import type { Footprint, PieceGeometry } from "../geometry";

export const FOOT_BY = "feet";
export const FOOT_NAMES: Record<FootKind, { one: string; many: string }> = {
  glides: { one: "Glide", many: "Glides" },
  rubber: { one: "Rubber foot", many: "Rubber feet" },
  levelling: { one: "Levelling foot", many: "Levelling feet" },
};

/** A stretch that touches the floor gets one in its middle up to here; longer, one near each end; then one for each so much more, mm. @source common practice */
const STRETCH = { one: 160, each: 900, fromEnd: 15 };

/** Why feet are not planned here; null where they are. */
export function feetHindrance({ kind, case: { stands } }: Pick<Form, "kind" | "case">): string | null {
  if (kind === "bought") return "Bought legs come with their own.";
  if (kind === "existing") return "What it lies on stands already.";
  if (kind === "case" && stands === "wall") return "It hangs on a wall.";
  return null;
}

/** The feet it stands on; null where it stands on its own wood. */
export function feetOf(
  form: Pick<Form, "feet" | "kind" | "case">,
): (FootSizes & { kind: FootKind; range: number }) | null {
  const { kind } = form.feet;
  if (kind === "none" || feetHindrance(form) !== null) return null;
  return { range: 0, ...form.feet[kind], kind };
}

/** Stretches that run on from one another are one. */
function runningOn(feet: readonly Footprint[]): Footprint[] {
  const left = [...feet];
  const out: Footprint[] = [];
  while (left.length > 0) {
    let foot = left.shift()!;
    for (let i = 0; i < left.length; i += 1) {
      const both = oneOf(foot, left[i]);
      if (!both) continue;
      foot = both;
      left.splice(i, 1);
      i = -1;
    }
    out.push(foot);
  }
  return out;
}

function oneOf(a: Footprint, b: Footprint): Footprint | null {
  const near = (one: number, other: number) => Math.abs(one - other) < 0.5;
  if (near(a.x, b.x) && near(a.length, b.length) && near(Math.abs(a.z - b.z), (a.width + b.width) / 2))
    return { ...a, width: a.width + b.width, z: (a.z * a.width + b.z * b.width) / (a.width + b.width) };
  if (near(a.z, b.z) && near(a.width, b.width) && near(Math.abs(a.x - b.x), (a.length + b.length) / 2))
    return { ...a, length: a.length + b.length, x: (a.x * a.length + b.x * b.length) / (a.length + b.length) };
  return null;
}

/** Where feet of this diameter go under what touches the floor: their middles, and the wood there across them. */
export function footSpots(feet: readonly Footprint[], diameter: number): { x: number; z: number; wood: number }[] {
  const spots = runningOn(feet).flatMap(({ x, z, length, width }) => {
    const along = Math.max(length, width);
    const wood = Math.min(length, width);
    if (along <= Math.max(STRETCH.one, 4 * diameter)) return [{ x, z, wood }];
    const reach = along / 2 - Math.min(along / 4, diameter / 2 + STRETCH.fromEnd);
    const more = 1 + Math.ceil((2 * reach) / STRETCH.each);
    return Array.from({ length: more }, (_, i) => {
      const off = -reach + (2 * reach * i) / (more - 1);
      return length >= width ? { x: x + off, z, wood } : { x, z: z + off, wood };
    });
  });
  // where two stretches meet in a corner one is enough
  return spots.filter((spot, i) =>
    spots.slice(0, i).every((other) => Math.hypot(spot.x - other.x, spot.z - other.z) > 2 * diameter),
  );
}

/** The same piece on its feet: they carry it where its wood would touch the floor, and give it their height below. */
export function onFeet<G extends PieceGeometry>(at: G, form: Form): G {
  const feet = feetOf(form);
  if (!feet || at.feet.length === 0) return at;
  const { diameter, height } = feet;
  const spots = footSpots(at.feet, diameter);
  return {
    ...at,
    kneeRoom: at.kneeRoom + height,
    feet: spots.map(({ x, z }) => ({ x, z, length: diameter, width: diameter })),
    lifted: { by: height, spots },
  };
}

/** Upright from the wood's underside: its length up, its width to the front. */
const upright = ([x, y, z]: Vec): Place => ({ at: [x, y, z], x: UP, y: FRONT });

/** A hole up into the wood from below, as a body from its own corner. */
const hole = ({ x, z }: { x: number; z: number }, diameter: number, deep: number) => ({
  shape: {
    ...{ length: deep, width: diameter, thickness: diameter },
    end: { outer: circle([diameter / 2, diameter / 2], diameter / 2), holes: [] },
  },
  place: upright([x - diameter / 2, 0, z - diameter / 2]),
});

/** The part that stands over a foot. */
export function partOverFoot(
  parts: readonly AssemblyPart[],
  { x, z }: { x: number; z: number },
): AssemblyPart | undefined {
  return parts.find((part) => {
    if (part.role === "bought" || !reaches(part, x, z)) return false;
    return isInside(stood(bodyOf(part), part.place), [x, JUST_ABOVE, z]);
  });
}
/** Of a place that is surely in the wood that stands on the floor, mm. */
const JUST_ABOVE = 0.5;

/** Whether a part's box lies over a place and on the floor. */
function reaches({ shape: { length, width, thickness }, place }: AssemblyPart, x: number, z: number): boolean {
  const corners = [0, length].flatMap((a) =>
    [0, width].flatMap((b) => [0, thickness].map((c) => toPiece(place, [a, b, c]))),
  );
  const within = (axis: 0 | 1 | 2, value: number) =>
    Math.min(...corners.map((corner) => corner[axis])) <= value &&
    Math.max(...corners.map((corner) => corner[axis])) >= value;
  return within(0, x) && within(1, JUST_ABOVE) && within(2, z);
}

/** The same parts with a hole for each foot. */
export function footHoles(parts: readonly AssemblyPart[], at: PieceGeometry, form: Form): AssemblyPart[] {
  const feet = feetOf(form);
  if (!at.lifted || !feet) return [...parts];
  const over = at.lifted.spots.map((spot) => ({ spot, id: partOverFoot(parts, spot)?.id }));
  return parts.map((part) => {
    const mine = over.filter(({ id }) => id === part.id);
    if (mine.length === 0) return part;
    const cuts = mine.map(({ spot }) => {
      const { shape, place } = hole(spot, feet.hole, feet.deep);
      return { by: FOOT_BY, shape, place: seenFrom(part.place, place), when: "closed" as const };
    });
    return { ...part, cuts: [...part.cuts, ...cuts] };
  });
}

/** The feet themselves, below the wood. */
export function footSmall(at: PieceGeometry, form: Form): SmallPart[] {
  const feet = feetOf(form);
  if (!at.lifted || !feet) return [];
  const { one, many } = FOOT_NAMES[feet.kind];
  const { height, diameter } = feet;
  return at.lifted.spots.map(({ x, z }, i): SmallPart => ({
    ...{ id: `foot-${i + 1}`, name: one, plural: many, of: "steel", by: FOOT_BY, on: FOOT_BY, opens: [0, -60, 0] },
    shape: {
      ...{ length: height, width: diameter, thickness: diameter },
      end: { outer: circle([diameter / 2, diameter / 2], diameter / 2), holes: [] },
    },
    place: upright([x - diameter / 2, -height, z - diameter / 2]),
  }));
}
