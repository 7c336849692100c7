/** What a kind of part is made from where it differs from the piece: another wood, another moisture, another finish. */
import * as v from "valibot";
import { choice, moisture, text } from "./fields";

export const FINISHES = ["oil-wax", "oil", "tung-oil", "wax", "varnish", "lacquer", "shellac", "bare"] as const;

/** Null: as the piece. Its moisture counts on the day the piece's own was measured. */
export const kindSchema = v.strictObject({
  species: v.nullable(text("species of the part", 60)),
  moisture: v.nullable(moisture("moisture of the part")),
  finish: v.nullable(choice("finish of the part", FINISHES)),
});
export type KindChoice = v.InferOutput<typeof kindSchema>;

export const AS_THE_PIECE: KindChoice = { species: null, moisture: null, finish: null };

/** The field of the top is what the piece's own species, moisture and finish speak of. */
export const OF_THE_PIECE: readonly string[] = ["top", "slat"];

interface Kinds {
  species: string;
  kinds: Record<string, KindChoice>;
}

/** The choices that count: of kinds that may differ, and do. */
export const differing = ({ kinds }: Pick<Kinds, "kinds">): [string, KindChoice][] =>
  Object.entries(kinds).filter(
    ([kind, { species, moisture, finish }]) => !OF_THE_PIECE.includes(kind) && (species ?? moisture ?? finish) !== null,
  );

/** Species whose boards a piece is cut from, its own first. */
export const speciesUsed = (piece: Kinds): string[] => [
  ...new Set([piece.species, ...differing(piece).flatMap(([, { species }]) => (species === null ? [] : [species]))]),
];
