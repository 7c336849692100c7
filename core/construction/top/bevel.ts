/** A top bevelled below: thick where it is borne, thin at its rim. mm, degrees from the underside */
import type { AssemblyPart } from "../../assembly/part";
import { toPart } from "../../assembly/place";
import type { Plane } from "../../assembly/shape";
import { cross, dot, minus, Vec } from "../../assembly/vector";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";

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
  if (top.outline !== "rectangle") return "outline";
  if (field === "slabs" || field === "slats") return "field";
  if (parting.kind !== "none") return "parting";
  if (drop.kind !== "none") return "leaves";
  const joined =
    kind === "box" ||
    kind === "plank" ||
    (kind === "case" && form.case.corners !== "rails" && form.case.corners !== "sub-top") ||
    (kind === "leg-and-apron" && leg.top === "through");
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

/** The same parts of a top with its four sides bevelled. */
export function bevelled(parts: readonly AssemblyPart[], form: Form, at: PieceGeometry): AssemblyPart[] {
  const bevel = bevelHindrance(form) ? null : bevelOf(form);
  if (!bevel) return [...parts];
  const { length, width, thickness } = at.top;
  const down = thickness - bevel.rim;
  // the plane through a rim and the line on the underside, its waste outward and down
  const sides = (
    [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const
  ).map(([x, z]): Plane => ({
    through: [(x * length) / 2, at.under + down, (z * width) / 2],
    waste: [x * down, -bevel.inward, z * down],
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
