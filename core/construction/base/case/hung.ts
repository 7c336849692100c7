/** A case that hangs on a wall: a rail in each bay against its back, screwed through that into the wall. mm, kg */
import type { AssemblyPart } from "../../../assembly/part";
import { LEFT, RIGHT, UP } from "../../../assembly/vector";
import { round } from "../../../joinery/joint";
import type { HangChoice } from "../../../piece/hang-choices";
import type { Contact } from "../contact";
import type { Span } from "../leg-frame/place";
import type { Bay, Case, Hung } from "./case";
import { PULL } from "./cut";
import { besideOf, STUBS_APART } from "./frames";

/** It lies so far below the rail under the top, where a screwdriver reaches the top's screws, and so far above what parts the openings; lower than the least it holds no screw. mm @source common practice */
export const HUNG = { below: 12, clear: 2, least: 40 };

/** Rails of one bay are alike. */
export const hangKind = (bay: number) => (bay > 0 ? `hang-rail-${bay + 1}` : "hang-rail");

/** Places the rails, under what closes the case above: each in its bay, their screws evenly, or at the studs nearest to even. */
export function placeHung(
  { rail: asked, wall, fixings, studs }: HangChoice,
  { bays, insideBack, inner, ceiling }: { bays: readonly Bay[]; insideBack: number; inner: number; ceiling: number },
): Hung {
  const rooms = bays.flatMap(({ from, to }, bay) => (to - from > 0 ? [{ bay, across: { from, to } }] : []));
  const top = ceiling - HUNG.below;
  // in a low first opening it is no higher than that
  const high = Math.min(...bays.map(({ openings: [first] }) => first.to - first.from - HUNG.below - HUNG.clear));
  const rail = Math.max(1, Math.min(asked, high));
  return {
    rails: rooms.map((each, i) => ({ ...each, id: rooms.length > 1 ? `WR${i + 1}` : "WR" })),
    y: { from: top - rail, to: top },
    z: { from: insideBack, to: insideBack + inner },
    fixings: wall === "studs" ? atStuds(rooms, studs) : spread(rooms, fixings),
    // one above the other in a stud
    each: wall === "studs" ? 2 : 1,
  };
}

/** A screw stays so far from a rail's end, mm. @source common practice */
const END = 40;

/** So many over all rails: each rail has one, every further one goes where they stand farthest apart. Those of a rail stand evenly. */
function spread(rooms: readonly { across: Span }[], wanted: number): number[] {
  const counts = rooms.map(() => 1);
  const apart = (i: number) => (rooms[i].across.to - rooms[i].across.from) / counts[i];
  for (let left = wanted - rooms.length; left > 0 && rooms.length > 0; left -= 1)
    counts[rooms.reduce((best, _, i) => (apart(i) > apart(best) + 1e-9 ? i : best), 0)] += 1;
  return rooms.flatMap(({ across: { from, to } }, i) => {
    if (counts[i] === 1) return [(from + to) / 2];
    const [first, last] = [Math.min(from + END, (from + to) / 2), Math.max(to - END, (from + to) / 2)];
    return Array.from({ length: counts[i] }, (__, n) => first + ((last - first) * n) / (counts[i] - 1));
  });
}

/** How many studs a length of rail has behind it at best. mm */
export const studsBehind = (length: number, apart: number): number =>
  Math.max(1, Math.floor((length - 2 * END) / apart) + 1);

/** Studs stand in their own rhythm: as many as the rails cross at best, two screws in each are one behind the other. */
function atStuds(rooms: readonly { across: Span }[], apart: number): number[] {
  if (rooms.length === 0) return [];
  const [from, to] = [rooms[0].across.from, rooms.at(-1)!.across.to];
  const count = studsBehind(to - from, apart);
  const first = (from + to) / 2 - ((count - 1) * apart) / 2;
  return Array.from({ length: count }, (_, i) => first + i * apart).filter((x) =>
    rooms.some(({ across }) => x > across.from + END / 2 && x < across.to - END / 2),
  );
}

export const hungParts = ({ onWall: hung }: Pick<Case, "onWall">): AssemblyPart[] =>
  (hung?.rails ?? []).map(({ id, bay, across }) => ({
    ...{ id, kind: hangKind(bay), name: "Hanging rail", letter: "WR", role: "rail" as const, make: "solid" as const },
    note: "Its stub tenons are included; holes for the wall’s screws are drilled before it is glued.",
    shape: {
      length: Math.max(0, across.to - across.from),
      width: hung!.y.to - hung!.y.from,
      thickness: hung!.z.to - hung!.z.from,
    },
    place: { at: [across.from, hung!.y.from, hung!.z.from], x: RIGHT, y: UP },
    opens: [0, 0, PULL.back / 2],
    adds: [],
    cuts: hung!.fixings
      .filter((x) => x > across.from && x < across.to)
      .flatMap((x) =>
        Array.from({ length: hung!.each }, (_, i) => ({
          by: "wall screw",
          ...round(
            "z",
            HOLE,
            [x - across.from, ((hung!.y.to - hung!.y.from) * (i + 0.5)) / hung!.each, 0],
            hung!.z.to - hung!.z.from,
          ),
        })),
      ),
  }));

/** A wall's screw passes a rail through this, mm. @source common practice */
const HOLE = 7;

/** Stub tenons into what stands beside each: from both sides of a divider they leave its middle. */
export function hungContacts(at: Case): Contact[] {
  const { onWall: hung, side, inner } = at;
  return (hung?.rails ?? []).flatMap(({ id, bay, across }) =>
    ([-1, 1] as const).map((way): Contact => {
      const beside = besideOf(at, bay, way);
      const { y, z } = hung!;
      return {
        ...{ group: `${beside.divider ? "divider" : "case-side"}+${hangKind(bay)}`, enters: id, receives: beside.id },
        ...{ name: `Hanging rail to ${beside.divider ? "divider" : "side"}`, how: "stub" },
        ...{ depth: beside.divider ? inner : side, ...(beside.divider ? { most: inner / 2 - STUBS_APART } : {}) },
        section: { width: y.to - y.from, thickness: z.to - z.from },
        face:
          way < 0
            ? { at: [across.from, y.from, z.to], x: LEFT, y: UP }
            : { at: [across.to, y.from, z.from], x: RIGHT, y: UP },
      };
    }),
  );
}

/** The back lies against the rails: the wall's screws draw both to it. */
export const hungAgainst = ({ onWall: hung }: Case, backs: readonly string[]): { a: string; b: string }[] =>
  (hung?.rails ?? []).flatMap(({ id }) => backs.map((b) => ({ a: id, b })));
