/** Shelves that lie on pins, four each, and can be put higher or lower. mm */
import type { AssemblyPart, Worked } from "../../../assembly/part";
import { circle } from "../../../assembly/outline";
import type { Vec } from "../../../assembly/vector";
import type { PanelPlace } from "../../geometry";
import type { Bay, Case, LooseShelf } from "./case";
import { cut, PULL } from "./cut";
import { ordinal } from "./facts";
import { besideOf } from "./frames";
import { besideAt } from "./posts";

/** @source common practice: pins of 5 mm, holes 32 apart, one place above and one below */
export const PIN = {
  ...{ diameter: 5, deep: 10, pitch: 32, places: [-1, 0, 1] },
  /** clear of the sides, of the back and of a door */
  ...{ beside: 1.5, behind: 2, door: 4 },
  /** holes stand so far from the shelf's edges, and leave so much of a divider between those from its two sides */
  ...{ inset: 40, between: 4, seam: 8 },
  /** nothing less is a shelf */
  least: 60,
};

export function looseShelves(
  bays: readonly Bay[],
  { front, back, inner, door }: { front: number; back: number; inner: number; door: number },
): LooseShelf[] {
  const all = bays.flatMap(({ from, to, openings }, bay) =>
    openings.flatMap((opening, row): Omit<LooseShelf, "n">[] => {
      const closed = opening.holds !== "nothing";
      const across = { from: from + PIN.beside, to: to - PIN.beside };
      const deep = { from: back + PIN.behind, to: front - (closed ? door + PIN.door : 0) };
      const high = opening.to - opening.from;
      const step = (high - opening.shelves * inner) / (opening.shelves + 1);
      if (across.to - across.from < PIN.least || deep.to - deep.from < 2.5 * PIN.inset || step < PIN.least / 2)
        return [];
      return Array.from({ length: opening.shelves }, (_, i) => ({
        ...{ bay, row, across, deep, y: opening.to - (i + 1) * (step + inner) },
        kind: `loose-shelf${2 * bay + (closed ? 1 : 0) > 0 ? `-${2 * bay + (closed ? 1 : 0) + 1}` : ""}`,
      }));
    }),
  );
  return all.map((each, i) => ({ ...each, n: i + 1 }));
}

const markOf = ({ n }: LooseShelf, { loose }: Pick<Case, "loose">) => (loose.length > 1 ? `L${n}` : "L");

export const looseShelfPanels = (at: Case): PanelPlace[] =>
  at.loose.map((shelf) => ({
    ...{ id: `loose-${shelf.n}`, kind: shelf.kind, part: markOf(shelf, at) },
    name: at.loose.length > 1 ? `${ordinal(shelf.n - 1)} loose shelf` : "loose shelf",
    length: shelf.across.to - shelf.across.from,
    width: shelf.deep.to - shelf.deep.from,
    thickness: at.inner,
    sizesAt: ["form", "case"],
  }));

export const looseShelfParts = (at: Case): AssemblyPart[] =>
  at.loose.map((shelf) => ({
    ...{ id: markOf(shelf, at), kind: shelf.kind, name: "Loose shelf", plural: "Loose shelves", letter: "L" },
    ...{ role: "panel", make: "solid", note: "Glued from the boards chosen for it; on four pins, held by nothing." },
    shape: {
      length: shelf.across.to - shelf.across.from,
      width: shelf.deep.to - shelf.deep.from,
      thickness: at.inner,
    },
    place: { at: [shelf.across.from, shelf.y, shelf.deep.to], x: [1, 0, 0], y: [0, 0, -1] },
    ...{ adds: [], cuts: [], opens: [0, 0, PULL.front] },
  }));

/** Its pins stand in from its edges, and clear of the line between a post and its side. z, mm */
export function pinsAlong({ deep }: LooseShelf, { cornered }: Pick<Case, "cornered">): [number, number] {
  const [back, front] = [deep.from + PIN.inset, deep.to - PIN.inset];
  if (!cornered) return [back, front];
  const { from, to } = cornered.between;
  return [
    Math.abs(back - from) < PIN.seam ? from + PIN.seam : back,
    Math.abs(front - to) < PIN.seam ? to - PIN.seam : front,
  ];
}

/** How deep a pin's hole is: in a divider, those from its two sides leave something between them. mm */
export function pinDepth(at: Pick<Case, "bays" | "dividers" | "inner" | "side">, bay: number, side: -1 | 1): number {
  const { divider } = besideOf(at, bay, side);
  return Math.max(1, Math.min(PIN.deep, (divider ? at.inner : 2 * at.side) / 2 - PIN.between / 2));
}

/** The same parts with holes for pins: in what stands on both sides of each shelf, at its height and a place above and below. */
export function bored(parts: readonly AssemblyPart[], at: Case): AssemblyPart[] {
  const holes = new Map<string, Worked[]>();
  const byId = new Map(parts.map((part) => [part.id, part]));
  const r = PIN.diameter / 2;
  const round = { outer: circle([r, r], r), holes: [] };
  for (const shelf of at.loose) {
    const { from, to } = at.bays[shelf.bay];
    const opening = at.bays[shelf.bay].openings[shelf.row];
    for (const side of [-1, 1] as const) {
      const deep = pinDepth(at, shelf.bay, side);
      for (const place of PIN.places)
        for (const z of pinsAlong(shelf, at)) {
          const id = besideAt(at, { bay: shelf.bay, way: side, z });
          const part = byId.get(id);
          const y = shelf.y + place * PIN.pitch - r;
          if (!part || y - r < opening.from || y + r + at.inner > opening.to) continue;
          const corner: Vec = [side < 0 ? from - deep : to, y - r, z - r];
          holes.set(id, [
            ...(holes.get(id) ?? []),
            cut(
              "loose-shelf",
              part.place,
              { length: deep, width: PIN.diameter, thickness: PIN.diameter, end: round },
              { at: corner, x: [1, 0, 0], y: [0, 1, 0] },
            ),
          ]);
        }
    }
  }
  return parts.map((part) => {
    const mine = holes.get(part.id);
    return mine ? { ...part, cuts: [...part.cuts, ...mine] } : part;
  });
}
