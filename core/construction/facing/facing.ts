/** A strip of something softer in a trench along the top, level with it or proud, down over its ends or not. mm */
import { straight } from "../../assembly/outline";
import type { AssemblyPart, Worked } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import { BACK, RIGHT } from "../../assembly/vector";
import type { BaseName } from "../../piece/base-choices";
import type { FACINGS } from "../../piece/facing-choices";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { LIFT } from "../top/part";

export const FACING_BY = "facing";
type Stuff = Exclude<(typeof FACINGS)[number], "none">;

/** Its kind of part. */
export const facingKind = (of: string) => `facing-${of}`;

/** kg/m³; how much of its width it follows without tearing or letting go; what holds it. @source from memory: makers' sheets */
export const STUFF: Record<Stuff, { name: string; density: number; stretches: number; glue: string }> = {
  cork: { name: "Cork", density: 500, stretches: 0.03, glue: "contact glue on both faces" },
  leather: {
    name: "Leather",
    density: 900,
    stretches: 0.05,
    glue: "starch paste or thinned white glue, the leather damp",
  },
  linoleum: { name: "Linoleum", density: 1200, stretches: 0.012, glue: "dispersion glue, rolled hard" },
};

export interface Facing {
  stuff: Stuff;
  thickness: number;
  width: number;
  /** from the panel's front edge to the strip's own */
  front: number;
  /** of the trench; 0 where it lies on the top */
  depth: number;
  wraps: number;
  length: number;
}

/** What keeps a facing off a top; null where nothing does, or none is asked for. */
export type FacingHindrance = "field" | "parting" | "outline" | "edge" | "drop" | "strip";
export function facingHindrance(form: Form): FacingHindrance | null {
  const { facing, field, parting, top, ends, turn, drop } = form;
  if (facing.kind === "none") return null;
  if (field === "slats" || field === "slabs") return "field";
  if (parting.kind !== "none" || turn.kind !== "none") return "parting";
  if (top.outline !== "rectangle" && top.outline !== "notched") return "outline";
  if (facing.wraps > 0 && (ends !== "none" || top.edge.kind === "bevel-below")) return "edge";
  if (facing.wraps > 0 && drop.kind !== "none") return "drop";
  return facing.bed === "strip" && !takesStrip(form) ? "strip" : null;
}

/** Bases on which a top lies that nothing is joined to but its fasteners. */
const FREE_TOPS: readonly BaseName[] = [
  ...(["leg-and-apron", "trestle", "x-frame", "splayed"] as const),
  ...(["splayed-frame", "bent", "bought", "existing"] as const),
];

/** Whether a panel may be sawn apart along its grain for a strip: a plain rectangle that nothing is joined to. */
const takesStrip = ({ kind, field, ends, top, drop, hatch, stiffener }: Form): boolean =>
  FREE_TOPS.includes(kind) &&
  field === "solid" &&
  ends === "none" &&
  top.outline === "rectangle" &&
  ![drop.kind, hatch.kind, stiffener].some((each) => each !== "none");

/** @returns where it lies, however little room it has: rules judge that; null where there is none */
export function facingOf(form: Form, { core, top }: Pick<PieceGeometry, "core" | "top">): Facing | null {
  const { facing } = form;
  if (facing.kind === "none" || facingHindrance(form) !== null) return null;
  const panel = panelWidth(form, { core, top });
  const width = Math.min(facing.width, panel);
  const front = Math.max(0, Math.min(panel - width, (panel - width) / 2 + facing.from));
  return {
    ...{ stuff: facing.kind, thickness: facing.thickness, width, front },
    depth: Math.max(0, facing.thickness - facing.proud),
    wraps: facing.wraps,
    length: core.shoulder,
  };
}

/** The strip itself: flat, or with both its ends bent down. */
export function facingParts(form: Form, at: PieceGeometry): AssemblyPart[] {
  const facing = facingOf(form, at);
  if (!facing) return [];
  const { stuff, thickness: t, width, depth, wraps, length } = facing;
  const { name, density } = STUFF[stuff];
  const floor = at.under + at.top.thickness - depth;
  const x = -length / 2 - (wraps > 0 ? t : 0);
  const whole = length + (wraps > 0 ? 2 * t : 0);
  const z = panelWidth(form, at) / 2 - facing.front;
  return [
    {
      ...{
        id: "FC",
        kind: facingKind(stuff),
        name,
        said: name.toLowerCase(),
        letter: "FC",
        role: "bought",
        make: "solid",
      },
      note: `${Math.round(length + 2 * (wraps + (wraps > 0 ? t : 0)))} by ${Math.round(width)}, cut 20 over; trimmed when it is glued.`,
      shape: {
        ...{ length: whole, width, thickness: t + wraps },
        ...(wraps > 0 ? { edge: { outer: straight(bentDown(length, t, wraps)), holes: [] } } : {}),
      },
      place: { at: [x, floor - wraps, z], x: RIGHT, y: BACK },
      ...{ adds: [], cuts: [], opens: [0, 1.3 * LIFT, 0] },
      bought: { mass: ((length + 2 * wraps) * width * t * density) / 1e9, weeks: 1, measured: false },
    },
  ];
}

/** Seen from its edge: along the top from end to end, down over both. */
const bentDown = (length: number, t: number, wraps: number): [number, number][] => [
  [0, 0],
  [t, 0],
  [t, wraps],
  [t + length, wraps],
  [t + length, 0],
  [2 * t + length, 0],
  [2 * t + length, wraps + t],
  [0, wraps + t],
];

/** How wide the panel is that it lies in, between the long sides of a frame where there are any. */
export const panelWidth = (form: Form, { core, top }: Pick<PieceGeometry, "core" | "top">): number =>
  form.ends === "frame" ? top.width - 2 * form.frame.width : core.width;

/** The same parts, the top with its trench. */
export function withTrench(parts: readonly AssemblyPart[], at: PieceGeometry, form: Form): AssemblyPart[] {
  const facing = facingOf(form, at);
  // a strip of its own is that much thinner
  if (!facing || facing.depth <= 0 || at.inserted) return [...parts];
  const { length, width, front, depth } = facing;
  const trench: Worked = {
    by: FACING_BY,
    shows: true,
    shape: { length, width, thickness: depth + 1 },
    place: { ...HOME, at: [0, front, at.top.thickness - depth] },
  };
  return parts.map((part) => (part.id === "T" ? { ...part, cuts: [...part.cuts, trench] } : part));
}
