/** What the rules of slabs and of the glass between them read. */
import type { TopMovement } from "../../movement/year";
import { travel } from "../../movement/year";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { glassOf, meanOf, middleLine, Slab, slabsOf } from "./slabs";

export interface SlabFacts {
  form: Form;
  at: PieceGeometry;
  top: TopMovement;
}

export const of = (...path: string[]) => ["form", "slabs", ...path];
export const between = (...path: string[]) => of("between", ...path);
/** The slabs, and the glass where there is any; null where the top is made otherwise. */
export function seen({ form, at }: SlabFacts): { slabs: Slab[]; glass: ReturnType<typeof glassOf> } | null {
  const slabs = slabsOf(form, at.top);
  return slabs.length === 0 ? null : { slabs, glass: glassOf(form, slabs) };
}

/** How the gap between two slabs changes: both inner edges move as far as they lie from their slabs' middle lines. mm */
export function gapChange(
  { top }: Pick<SlabFacts, "top">,
  [a, b]: readonly [Slab, Slab],
): { dry: number; wet: number } {
  const edges = [travel(top, meanOf(a.back), middleLine(a)), travel(top, meanOf(b.front), middleLine(b))];
  const sum = (of: "dry" | "wet") => -edges.reduce((all, each) => all + each[of], 0);
  return { dry: sum("dry"), wet: sum("wet") };
}
