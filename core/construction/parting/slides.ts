/** Bought slides below a top that opens: a pair, each of two members that stay with one half each. mm */
import type { SmallPart } from "../../assembly/small";
import { HOME } from "../../assembly/place";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";

/** Slides stand so far from the middle line, as a share of the room between the rails. @source common practice: in its quarters */
const ASIDE = 0.25;
/** Room they keep at each end when they are closed, mm. @source common practice */
export const SLIDE_CLEAR = 10;

/** Free below the top: between what bears its ends, and between what bears its sides. */
export function slideRoom({ bearers, top }: Pick<PieceGeometry, "bearers" | "top">): { along: number; across: number } {
  const inside = (run: "along" | "across", whole: number) => {
    const outermost = bearers
      .filter((each) => each.run === run)
      .reduce<(typeof bearers)[number] | null>((a, b) => (a && Math.abs(a.at) >= Math.abs(b.at) ? a : b), null);
    return outermost ? 2 * Math.abs(outermost.at) - outermost.thickness : whole;
  };
  return { along: inside("across", top.length), across: inside("along", top.width) };
}

/** Kinds of what bears its sides, and its ends: what a verdict of slides speaks of. */
export const bearing = ({ bearers }: Pick<PieceGeometry, "bearers">, run: "along" | "across"): string[] =>
  bearers
    .filter((each) => each.run === run)
    .map(({ kind }) => kind)
    .slice(0, 1);

/** Middle lines of the two slides, across the top. */
export function slideLines(at: Pick<PieceGeometry, "bearers" | "top">): [number, number] {
  const z = ASIDE * slideRoom(at).across;
  return [-z, z];
}

/** Each member where it is screwed when the table is closed: those of the left half nearer the middle line. */
export function slidesOf({ parting: { slides } }: Form, at: PieceGeometry): SmallPart[] {
  const { closed, height, thickness } = slides;
  const shape = { length: closed, width: height, thickness };
  return slideLines(at).flatMap((line, i) =>
    (["T1", "T2"] as const).map((on, j): SmallPart => {
      const inner = (j === 0) === line < 0;
      return {
        ...{ id: `table-slide-${i + 1}-${j + 1}`, name: "Table slide", plural: "Table slides", of: "steel" },
        ...{ shape, on, by: "table-slide", opens: [0, -120, 0] },
        // a slide is bought whole: it is counted by its first member
        ...(j === 0 ? {} : { comesWith: true }),
        place: { ...HOME, at: [-closed / 2, at.under - height, inner ? line : line - thickness] },
      };
    }),
  );
}
