/** What a kind of part is made from where it differs from the piece: another wood, another moisture, another finish. */
import * as v from "valibot";
import { between, choice, distance, list, moisture, size, text } from "./fields";

export const FINISHES = ["oil-wax", "oil", "tung-oil", "wax", "varnish", "lacquer", "shellac", "bare"] as const;

/** Edges along the grain: broken by hand, left round by a cutter, or cut flat; before the parts are glued together, or after. */
export const edgeSchema = v.strictObject({
  how: choice("edges", ["eased", "rounded", "chamfered"]),
  size: size("size of the edge", 0.5, 40),
  /** a round cutter raised: only the lower part of its curve cuts, and meets the face at an angle */
  raised: v.optional(distance("how far the cutter is raised", 20), 0),
  when: choice("when edges are worked", ["before", "after"]),
});
export type EdgeChoice = v.InferOutput<typeof edgeSchema>;

/** A point of an edge: along the part from its left or lower end, in from where the edge would be straight, and how far the line to the next bows out. */
const edgePointSchema = v.strictObject({
  x: distance("place of a point along the edge", 6000),
  y: between("depth of a point of the edge", -250, 400, " mm"),
  rise: between("rise of an arc of the edge", -1500, 1500, " mm"),
});
export type EdgePoint = v.InferOutput<typeof edgePointSchema>;
/** Points of one edge. Ours */
export const MOST_EDGE_POINTS = 24;

/** An edge hollowed by an arc, bowed out by one, or by points: which, how deep or far, and what stays straight at both ends. */
export const curveSchema = v.strictObject({
  edge: choice("curved edge", ["lower", "upper", "both"]),
  rise: size("rise of the curve", 1, 250),
  straight: distance("straight beside the curve", 1000),
  way: v.optional(choice("which way a curve goes", ["hollow", "bowed", "points"]), "hollow"),
  /** by points: lines and arcs from its end to the other, or to its middle and back the same way */
  points: v.optional(list("points of the edge", edgePointSchema, MOST_EDGE_POINTS), []),
  mirrored: v.optional(v.boolean("Both halves of the edge are alike or not."), true),
});
export type CurveChoice = v.InferOutput<typeof curveSchema>;

/** Null: as the piece. Its moisture counts on the day the piece's own was measured. */
export const kindSchema = v.strictObject({
  species: v.nullable(text("species of the part", 60)),
  moisture: v.nullable(moisture("moisture of the part")),
  finish: v.nullable(choice("finish of the part", FINISHES)),
  /** null: square as they leave the machines */
  edges: v.nullable(edgeSchema),
  /** null: straight */
  curve: v.optional(v.nullable(curveSchema), null),
});
export type KindChoice = v.InferOutput<typeof kindSchema>;

export const AS_THE_PIECE: KindChoice = { species: null, moisture: null, finish: null, edges: null, curve: null };

/** The field of the top, and what is sawn out of it, is what the piece's own species, moisture and finish speak of. */
export const OF_THE_PIECE: readonly string[] = ["top", "slat", "hatch"];

interface Kinds {
  species: string;
  kinds: Record<string, KindChoice>;
}

/** Parts that differ in size only are kinds of one family: "drawer-side-2" is made of what "drawer-side" is, where nothing else is said of it. */
export const familyOf = (kind: string) => kind.replace(/-\d+$/, "");

/** The choices that count: of kinds that may differ, and do. */
export const differing = ({ kinds }: Pick<Kinds, "kinds">): [string, KindChoice][] =>
  Object.entries(kinds).filter(
    ([kind, { species, moisture, finish }]) => !OF_THE_PIECE.includes(kind) && (species ?? moisture ?? finish) !== null,
  );

/** Species whose boards a piece is cut from, its own first. */
export const speciesUsed = (piece: Kinds): string[] => [
  ...new Set([piece.species, ...differing(piece).flatMap(([, { species }]) => (species === null ? [] : [species]))]),
];

/** Curves by kind of part, where there are any. */
export const curvesOf = (kinds: Record<string, KindChoice>): Record<string, CurveChoice> =>
  Object.fromEntries(Object.entries(kinds).flatMap(([kind, { curve }]) => (curve ? [[kind, curve] as const] : [])));

/** Edges by kind of part, where they are not left square. The top has its own. */
export const edgesOf = (kinds: Record<string, KindChoice>): Record<string, EdgeChoice> =>
  Object.fromEntries(
    Object.entries(kinds).flatMap(([kind, { edges }]) => (edges && kind !== "top" ? [[kind, edges] as const] : [])),
  );
