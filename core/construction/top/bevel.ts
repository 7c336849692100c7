/** A top bevelled below: thick where it is borne, thin at its rim. mm, degrees from the underside */
import type { AssemblyPart } from "../../assembly/part";
import { toPart } from "../../assembly/place";
import type { Plane } from "../../assembly/shape";
import { cross, dot, minus, Vec } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import { steady } from "../../units/steady";
import type { PieceGeometry } from "../geometry";
import { distanceToLoop, OutlinePoint, outlineOf, shapedTop } from "./outline";
import { insideLoop } from "./points";

/** What is left at the rim where nothing is typed, as a share of the top's thickness. @source common practice */
const RIM_SHARE = 0.6;

/** Left at the rim; how far in it begins below; its angle from the underside. */
export interface Bevel {
  rim: number;
  inward: number;
  angle: number;
}

/** What keeps a top from being bevelled below; null where nothing does, or it isn't asked for. */
export type BevelHindrance = "outline" | "field" | "parting" | "leaves" | "joined";
export function bevelHindrance(form: Form): BevelHindrance | null {
  const { top, field, parting, drop, kind, leg } = form;
  if (top.edge.kind !== "bevel-below") return null;
  if (top.outline !== "rectangle" && (form.ends !== "none" || !isConvex(outlineOf(top)))) return "outline";
  if (field === "slabs" || field === "slats") return "field";
  if (parting.kind !== "none") return "parting";
  if (drop.kind !== "none") return "leaves";
  const joined =
    kind === "box" ||
    kind === "plank" ||
    (kind === "case" && form.case.corners !== "rails" && form.case.corners !== "sub-top") ||
    (kind === "leg-and-apron" && leg.top === "through") ||
    (kind === "splayed" && form.splayed.rim.kind === "beside");
  return joined ? "joined" : null;
}

/** The bevel that is asked for; null where there is none. */
export function bevelOf({ top: { edge, thickness } }: Pick<Form, "top">): Bevel | null {
  if (edge.kind !== "bevel-below" || (edge.size <= 0 && edge.angle === null)) return null;
  const rim = Math.min(edge.rim ?? RIM_SHARE * thickness, thickness - 1);
  const down = thickness - rim;
  const inward = edge.angle === null ? edge.size : down / Math.tan((edge.angle * Math.PI) / 180);
  return { rim, inward, angle: (Math.atan2(down, inward) * 180) / Math.PI };
}

/** Whether a line turns one way only: inside a hollow the underside’s own line would cross itself. */
const isConvex = (loop: readonly OutlinePoint[]) =>
  loop.every(([x, y], i) => {
    const [[a, b], [c, d]] = [loop[(i + 1) % loop.length], loop[(i + 2) % loop.length]];
    return (a - x) * (d - b) - (b - y) * (c - a) > -1e-6;
  });

/** A flat of the bevel leaves its curve by so much at most: at the rim that is a step of a fifth of it. Ours, mm */
const FLAT = 0.5;

/** The same line by as few of its corners as leave it by no more than a flat may. */
function chordsOf(loop: readonly OutlinePoint[]): OutlinePoint[] {
  const kept: OutlinePoint[] = [loop[0]];
  for (let from = 0, to = 1; to <= loop.length; to += 1) {
    const [a, b] = [loop[from], loop[(to + 1) % loop.length]];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const off = ([x, y]: OutlinePoint) => Math.abs((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / long;
    if (to < loop.length && long > 0 && loop.slice(from + 1, to + 1).every((spot) => off(spot) <= FLAT)) continue;
    if (to < loop.length) kept.push(loop[to]);
    from = to;
  }
  return kept;
}

/** A rim’s stretches, each as its middle and the way out of the wood. x right, z to the front */
function rimOf(form: Form, at: PieceGeometry): { x: number; z: number; out: readonly [number, number] }[] {
  const loop = chordsOf(outlineOf(shapedTop(form.top, at)));
  return loop.flatMap(([x, y], i) => {
    const [a, b] = loop[(i + 1) % loop.length];
    const long = Math.hypot(a - x, b - y);
    // anticlockwise with y to the back: out is to the right of the way
    return long < 1e-6 ? [] : [{ x: (x + a) / 2, z: -(y + b) / 2, out: [(b - y) / long, (a - x) / long] as const }];
  });
}

/** How far in from the rim a place under the top lies; 0 beyond it. x right, z to the front, mm */
export function fromRim(form: Form, at: PieceGeometry, { x, z }: { x: number; z: number }): number {
  const loop = outlineOf(shapedTop(form.top, at));
  return insideLoop(loop, x, -z) ? distanceToLoop(loop, x, -z) : 0;
}

/** The same parts of a top with its rim bevelled all round. */
export function bevelled(parts: readonly AssemblyPart[], form: Form, at: PieceGeometry): AssemblyPart[] {
  const bevel = bevelHindrance(form) ? null : bevelOf(form);
  if (!bevel) return [...parts];
  const down = at.top.thickness - bevel.rim;
  // the plane through a rim and the line on the underside, its waste outward and down
  const sides = rimOf(form, at).map(({ x, z, out }): Plane => ({
    through: [x, at.under + down, z],
    waste: [steady(out[0] * down), -bevel.inward, steady(out[1] * down)],
  }));
  return parts.map((part) => {
    if (!BEVELLED.includes(part.kind)) return part;
    const planes = sides.filter((side) => reaches(part, side)).map((side) => inPart(part, side));
    return planes.length === 0
      ? part
      : { ...part, shape: { ...part.shape, planes: [...(part.shape.planes ?? []), ...planes] } };
  });
}
const BEVELLED: readonly string[] = ["top", "end-board", "frame-long", "frame-end"];

const axes = ({ place: { x, y } }: AssemblyPart): [Vec, Vec, Vec] => [x, y, cross(x, y)];

function inPart(part: AssemblyPart, { through, waste }: Plane): Plane {
  const [x, y, z] = axes(part);
  return { through: toPart(part.place, through), waste: [dot(waste, x), dot(waste, y), dot(waste, z)] };
}

/** Whether any corner of its box lies in the waste. */
function reaches(part: AssemblyPart, side: Plane): boolean {
  const { through, waste } = inPart(part, side);
  const { length, width, thickness } = part.shape;
  return [0, length].some((a) =>
    [0, width].some((b) => [0, thickness].some((c) => dot(minus([a, b, c], through), waste) > 1e-6)),
  );
}
