import type { ExistingChoices, ExistingPlace } from "../../../piece/existing-choices";
import type { AsBuilt, Form } from "../../../piece/schema";
import { frameRound, Bearer, Footprint, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";

/** Where a top lies on what is there already, mm. */
export interface Existing extends PieceGeometry {
  kind: "existing";
  choices: ExistingChoices;
  /** the length that nothing bears, along the top: from and to, the ends that stand free among them */
  open: { from: number; to: number; end: boolean }[];
}

/** @returns geometry; what lies outside the top or too low is its rules' to judge */
export function placeExisting(form: Form, asBuilt: readonly AsBuilt[]): Existing {
  const { top, core } = topOf(form, asBuilt);
  const { existing: choices } = form;
  const { places } = choices;
  const under = form.height - top.thickness;
  const open = openings(places, top.length);
  return {
    kind: "existing",
    keeps: { end: false, side: false },
    ...{ top, core, under, choices, open },
    frame: frameRound(places),
    bearers: places.map(bearerOf),
    posts: [],
    feet: places.map(({ x, z, length, width }): Footprint => ({ x, z, length, width })),
    seats: [],
    through: null,
    sticks: [],
    kneeRoom: under - Math.max(...places.map(({ depth, low }) => depth + low)),
    between: Math.max(0, ...open.map(({ from, to }) => to - from)),
  };
}

/** What bears the top runs along its grain where it is longer that way. */
function bearerOf({ name, x, z, length, width, depth }: ExistingPlace, i: number): Bearer {
  const along = length >= width;
  return {
    ...{ part: `E${i + 1}`, kind: "existing", said: name.toLowerCase(), name: `there-${i + 1}` },
    ...{ run: along ? "along" : "across", at: along ? z : x, length: Math.max(length, width) },
    ...{ thickness: Math.min(length, width), depth, inside: (along ? z : x) > 0 ? -1 : 1 },
    // one that does not lie on the middle line has its fasteners from its own middle
    ...((along ? x : z) === 0 ? {} : { spots: spotsOn(along ? x : z, Math.max(length, width)) }),
  };
}

/** Fasteners sit so far from the ends of what bears, and so far apart at most, mm. @source common practice */
const SPOTS = { end: 60, apart: 300 };

function spotsOn(middle: number, length: number): number[] {
  const half = Math.max(0, length / 2 - SPOTS.end);
  const count = Math.max(1, Math.ceil((2 * half) / SPOTS.apart));
  return half === 0 ? [middle] : Array.from({ length: count + 1 }, (_, i) => middle - half + (2 * half * i) / count);
}

/** Stretches along the top without anything below, from end to end. */
export function openings(places: readonly Pick<ExistingPlace, "x" | "length">[], length: number): Existing["open"] {
  const spans = places.map((each) => [each.x - each.length / 2, each.x + each.length / 2]).sort(([a], [b]) => a - b);
  const open: Existing["open"] = [];
  let at = -length / 2;
  for (const [from, to] of spans) {
    if (from > at) open.push({ from: at, to: Math.min(from, length / 2), end: at === -length / 2 });
    at = Math.max(at, to);
  }
  if (at < length / 2) open.push({ from: at, to: length / 2, end: true });
  return open.filter(({ from, to }) => to > from);
}
