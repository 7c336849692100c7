/** Wooden bearers that are drawn out from under a top to hold its leaves up: their guides, their notches in the rails. mm */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart, Worked } from "../../assembly/part";
import { Place, seenFrom } from "../../assembly/place";
import { BACK, FRONT, RIGHT, UP, Vec } from "../../assembly/vector";
import { housing } from "../../joinery/housing";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Form } from "../../piece/schema";
import type { Bearer, Drop, Loper, PieceGeometry } from "../geometry";

const LOPER_BY = "loper";
/** @source common practice */
export const LOPER = {
  /** thickness of a guide; its tongue, and the air a groove has round it */
  guide: 22,
  tongue: 8,
  air: 0.4,
  /** below the top, beside its guide, beside and below it in its notch, before the rail behind it */
  below: 0.5,
  beside: 0.5,
  notch: 0.5,
  behind: 2,
  /** the outer guides stand so far along a rail from its middle, as a share of half of it */
  spread: 0.62,
};

interface Rails {
  front: Bearer;
  back: Bearer;
}

/** The two rails along the table; null where there are not two, alike and plain. */
function railsOf({ bearers }: Pick<PieceGeometry, "bearers">): Rails | null {
  const along = bearers.filter(({ run, slope }) => run === "along" && !slope);
  const [front, back] = [along.find(({ at }) => at > 0), along.find(({ at }) => at < 0)];
  return front && back ? { front, back } : null;
}

/** Where the guides stand, from the middle of the rails. */
export function guidesAt({ drop }: Pick<Form, "drop">, length: number): number[] {
  const { count } = drop.lopers;
  const reach = (LOPER.spread * length) / 2;
  return Array.from({ length: count }, (_, i) => (count === 1 ? 0 : -reach + (2 * reach * i) / (count - 1)));
}

/** Bearers drawn in: in front of each guide's right side the front leaf's, on its left the back leaf's. */
export function placeLopers(at: PieceGeometry, form: Form, sides: Drop["sides"]): Loper[] {
  const rails = form.drop.held === "lopers" ? railsOf(at) : null;
  if (!rails) return [];
  const { width, height } = form.drop.lopers;
  const y = { from: at.under - LOPER.below - height, to: at.under - LOPER.below };
  const outer = (bearer: Bearer) => Math.abs(bearer.at) + bearer.thickness / 2;
  const inner = (bearer: Bearer) => Math.abs(bearer.at) - bearer.thickness / 2;
  return guidesAt(form, rails.front.length).flatMap((middle, i) =>
    sides.map((side): Loper => {
      const mine = side > 0 ? rails.front : rails.back;
      const other = side > 0 ? rails.back : rails.front;
      const from = middle + (side > 0 ? LOPER.guide / 2 + LOPER.beside : -LOPER.guide / 2 - LOPER.beside - width);
      const [out, back] = [outer(mine), inner(other) - LOPER.behind];
      return {
        ...{ id: `LP${sides.length * i + (side > 0 ? 1 : 2)}`, side, guide: `LG${i + 1}` },
        ...{ x: { from, to: from + width }, y, rail: mine.part, kind: mine.kind },
        z: side > 0 ? { from: -back, to: out } : { from: -out, to: back },
      };
    }),
  );
}

/** Rails with what passes them: what fastens the top stays clear of it. */
export const passed = (bearers: readonly Bearer[], lopers: readonly Loper[]): Bearer[] =>
  bearers.map((bearer) => {
    const mine = lopers.filter(({ rail }) => rail === bearer.part);
    return mine.length === 0
      ? bearer
      : {
          ...bearer,
          entered: [
            ...(bearer.entered ?? []),
            ...mine.map(({ x }) => ({ at: (x.from + x.to) / 2 - (bearer.middle ?? 0), width: x.to - x.from })),
          ],
        };
  });

const plain = { make: "solid", role: "rail", opens: [0, -90, 0] as Vec } as const;

/** Bearers with their grooves, and the guides they run on. */
export function loperParts(at: PieceGeometry): AssemblyPart[] {
  const lopers = at.drop?.lopers ?? [];
  const guides = [...new Set(lopers.map(({ guide }) => guide))];
  return [...lopers.map(loperPart), ...guides.flatMap((guide) => guidePart(at, guide))];
}

/** Along it from the back to the front, its width to the right, up. */
const lying = (x: number, y: number, z: number): Place => ({ at: [x, y, z], x: FRONT, y: RIGHT });

function loperPart({ id, side, x, y, z }: Loper): AssemblyPart {
  const size = { length: z.to - z.from, width: x.to - x.from, thickness: y.to - y.from };
  const place = lying(x.from, y.from, z.from);
  const wide = LOPER.tongue + LOPER.air;
  const groove: Worked = {
    by: LOPER_BY,
    shape: { length: size.length, width: wide, thickness: LOPER.tongue + 2 * LOPER.air },
    place: {
      at: [0, side > 0 ? 0 : size.width - wide, (size.thickness - LOPER.tongue) / 2 - LOPER.air],
      ...{ x: [1, 0, 0], y: [0, 1, 0] },
    },
  };
  return {
    ...{ id, kind: "loper", name: "Bearer of a leaf", plural: "Bearers of leaves", letter: "LP", ...plain },
    note: "Hard, straight in the grain, waxed; grooved along the side toward its guide.",
    ...{ shape: size, place, adds: [], cuts: [groove] },
  };
}

/** Between the rails' inner faces, as high as what runs on it, with a tongue on each side that has one. */
function guidePart(at: PieceGeometry, guide: string): AssemblyPart[] {
  const mine = at.drop!.lopers.filter((each) => each.guide === guide);
  const rails = railsOf(at);
  if (!rails) return [];
  const [{ y, x, side }] = mine;
  const middle = side > 0 ? x.from - LOPER.beside - LOPER.guide / 2 : x.to + LOPER.beside + LOPER.guide / 2;
  const [back, front] = [rails.back.at + rails.back.thickness / 2, rails.front.at - rails.front.thickness / 2];
  const place = lying(middle - LOPER.guide / 2, y.from, back);
  const length = front - back;
  const tongue = (to: 1 | -1): Worked => ({
    by: LOPER_BY,
    shows: true,
    shape: { length, width: LOPER.tongue, thickness: LOPER.tongue },
    place: {
      at: [0, to > 0 ? LOPER.guide : -LOPER.tongue, (y.to - y.from - LOPER.tongue) / 2],
      ...{ x: [1, 0, 0], y: [0, 1, 0] },
    },
  });
  return [
    {
      ...{ id: guide, kind: "loper-guide", name: "Guide of the bearers", plural: "Guides of the bearers", ...plain },
      letter: "LG",
      note: "Let into both rails from above, a tongue along each side that a bearer runs on.",
      shape: { length, width: LOPER.guide, thickness: y.to - y.from },
      place,
      adds: mine.map((each) => tongue(each.side)),
      cuts: [],
    },
  ];
}

/** The same parts with the notches that bearers pass, open above. */
export function loperNotches(parts: readonly AssemblyPart[], at: PieceGeometry): AssemblyPart[] {
  const lopers = at.drop?.lopers ?? [];
  if (lopers.length === 0) return [...parts];
  return parts.map((part) => {
    const mine = lopers.filter(({ rail }) => rail === part.id);
    const bearer = at.bearers.find((each) => each.part === part.id);
    if (mine.length === 0 || !bearer) return part;
    const cuts = mine.map(({ x, y }): Worked => ({
      by: LOPER_BY,
      shows: true,
      shape: {
        length: bearer.thickness,
        width: x.to - x.from + 2 * LOPER.notch,
        thickness: at.under - y.from + LOPER.notch,
      },
      place: seenFrom(part.place, lying(x.from - LOPER.notch, y.from - LOPER.notch, bearer.at - bearer.thickness / 2)),
    }));
    return { ...part, cuts: [...part.cuts, ...cuts] };
  });
}

/** Guides let into the rails dry, a screw in the middle of each end. */
export function loperJoints(at: PieceGeometry): { joints: KindOfJoint[]; meetings: Meeting[] } {
  const lopers = at.drop?.lopers ?? [];
  const rails = railsOf(at);
  if (lopers.length === 0 || !rails) return { joints: [], meetings: [] };
  const guides = [...new Set(lopers.map(({ guide }) => guide))];
  const { front, back } = rails;
  const group = `${front.kind}+loper-guide`;
  const [{ y }] = lopers;
  const high = y.to - y.from;
  const joint = housing({
    meets: {
      ...{ id: group, group, receives: front.kind, enters: "loper-guide", count: 2 * guides.length },
      name: "Guide to rail",
    },
    section: { width: high, thickness: LOPER.guide },
    into: { depth: Math.min(front.thickness, back.thickness), thickness: front.length },
  });
  const meetings = guides.flatMap((guide): Meeting[] => {
    const one = lopers.find((each) => each.guide === guide)!;
    const middle =
      one.side > 0 ? one.x.from - LOPER.beside - LOPER.guide / 2 : one.x.to + LOPER.beside + LOPER.guide / 2;
    const half = LOPER.guide / 2;
    return [
      {
        ...{ joint, enters: guide, receives: front.part },
        face: { at: [middle + half, y.from, front.at - front.thickness / 2], x: FRONT, y: UP },
      },
      {
        ...{ joint, enters: guide, receives: back.part },
        face: { at: [middle - half, y.from, back.at + back.thickness / 2], x: BACK, y: UP },
      },
    ];
  });
  return { joints: [joint], meetings };
}

/** Bearers of the leaves that are up, drawn out. */
export function drawnOut(at: PieceGeometry, sides: readonly (1 | -1)[], out: number): Record<string, Place> {
  return Object.fromEntries(
    (at.drop?.lopers ?? [])
      .filter(({ side }) => sides.includes(side))
      .map(({ id, side, x, y, z }) => [id, lying(x.from, y.from, z.from + side * out)]),
  );
}
