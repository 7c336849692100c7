/** Templates of a piece: one for every kind of part with a curve, whole or the half that is turned over. */
import type { AssemblyPart } from "../assembly/part";
import { between } from "../assembly/clip";
import { Outline, straightAt } from "../assembly/outline";
import { BOW_BY } from "../construction/base/case/bow";
import { curvedStretch, isCurved, mirrors, narrowest, runOut, tightestHollow } from "./outline-facts";

/** Sawn so far outside the line, then brought to it along the template, mm. @source common practice */
export const SAW_OUTSIDE = 3;
/** A bearing on a flush cutter that shops own; a tighter hollow is left to a smaller one, or to hand. mm @source common practice */
export const BEARING = 6.35;

export interface Template {
  /** the kind of part, and which way it is seen: on its face, or on its edge */
  kind: string;
  id: string;
  name: string;
  /** parts it serves, by their marks */
  parts: string[];
  view: "face" | "edge";
  /** what is cut from it: the whole outline, or its left half with the line it is turned over about at its right */
  outline: Outline;
  half: boolean;
  /** where its left end lies along the part, mm: a curve at one end needs no more of it */
  from: number;
  /** of the whole part, mm */
  length: number;
  width: number;
  /** of what the template holds */
  size: { length: number; width: number };
  tightest: number | null;
  grain: { degrees: number; x: number } | null;
  narrowest: { wide: number; x: number };
}

/** Parts that are cut by a template whatever their lines are: each fits another. */
const ALWAYS = /^(inlay-\d+|glass|slab-\d+)$/;

/** @example templatesOf(plan.assembly.parts) // [] for a piece of straight lines */
export function templatesOf(parts: readonly AssemblyPart[]): Template[] {
  const found = new Map<string, Template>();
  for (const part of parts)
    for (const view of ["face", "edge"] as const) {
      const template = templateOf(part, view);
      if (!template) continue;
      const key = `${part.kind} ${view} ${told(template.outline)}`;
      const before = found.get(key);
      if (before) before.parts.push(part.id);
      else found.set(key, template);
    }
  const bow = bowTemplate(parts);
  return [...numbered([...found.values()]), ...(bow ? [bow] : [])];
}

/** Behind the arc of a bowed front its template is so deep, mm. Ours: a hand's breadth */
const BEHIND = 60;

/** One for the whole front of a case that bows out: the half of it that is turned over. */
function bowTemplate(parts: readonly AssemblyPart[]): Template | null {
  const bowed = parts.flatMap((part) =>
    part.adds.filter(({ by }) => by === BOW_BY).map(({ shape }) => ({ part, shape })),
  );
  if (bowed.length === 0) return null;
  const { part, shape } = bowed.reduce((a, b) => (b.shape.length > a.shape.length ? b : a));
  const { length, width: rise } = shape;
  const outline: Outline = {
    outer: [straightAt(0, 0), straightAt(length, 0), { at: [length, BEHIND], rise }, straightAt(0, BEHIND)],
    holes: [],
  };
  return {
    ...{ kind: part.kind, id: "front-bow", name: "Bow of the front", view: "face", half: true, from: 0 },
    parts: bowed.map(({ part: { id } }) => id),
    outline: between(outline, 0, length / 2),
    ...{ length, width: BEHIND + rise, size: { length: length / 2, width: BEHIND + rise } },
    ...{ tightest: null, grain: null, narrowest: { wide: BEHIND, x: 0 } },
  };
}

function templateOf(part: AssemblyPart, view: "face" | "edge"): Template | null {
  const { shape, kind, id } = part;
  const outline = shape[view];
  if (!outline || shape.length <= 0) return null;
  if (!isCurved(outline) && !(view === "face" && ALWAYS.test(kind))) return null;
  const width = view === "face" ? shape.width : shape.thickness;
  const half = outline.holes.length === 0 && mirrors(outline, shape.length);
  const all = { from: 0, to: half ? shape.length / 2 : shape.length };
  const { from, to } = ALWAYS.test(kind) ? all : stretchOf(outline, all);
  const steep = STICKS.includes(part.role) ? runOut(outline) : null;
  return {
    ...{ kind, id: kind, name: part.name, parts: [id], view, half, width, from },
    outline: from > 0 || to < shape.length ? between(outline, from, to) : outline,
    length: shape.length,
    size: { length: to - from, width },
    tightest: tightestHollow(outline),
    grain: steep ? { degrees: steep.degrees, x: steep.at[0] } : null,
    narrowest: narrowest(outline, shape.length),
  };
}

/** Parts along whose grain an edge could split off. */
const STICKS: readonly string[] = ["leg", "post", "rail", "frame", "end-board", "block"];
/** So much straight edge beside a curve guides the cutter on and off, mm; a template is not shortened for less than this share of it. @source common practice */
const RUN_ON = 60;
const WORTH = 0.6;

/** As much of it as its curves need. */
function stretchOf(outline: Outline, all: { from: number; to: number }): { from: number; to: number } {
  const curved = curvedStretch(outline);
  if (!curved) return all;
  const needed = { from: Math.max(all.from, curved.from - RUN_ON), to: Math.min(all.to, curved.to + RUN_ON) };
  return needed.to - needed.from < WORTH * (all.to - all.from) ? needed : all;
}

/** An outline as it is told apart from others, to a tenth. */
const told = ({ outer, holes }: Outline): string =>
  [outer, ...holes]
    .map((loop) => loop.map(({ at: [x, y], rise }) => [x, y, rise].map((each) => each.toFixed(1)).join()).join(" "))
    .join(" | ");

/** Kinds with several templates are told apart by a number, and by the side they are seen from. */
function numbered(all: readonly Template[]): Template[] {
  return all.map((each) => {
    const alike = all.filter(({ kind }) => kind === each.kind);
    if (alike.length === 1) return each;
    const n = alike.indexOf(each) + 1;
    return { ...each, id: `${each.kind}-${n}`, name: `${each.name}, ${n === 1 ? "first" : `${n}.`} template` };
  });
}
