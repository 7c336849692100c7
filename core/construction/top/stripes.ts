/** A top of stripes: strips of two or more kinds side by side by their shares of its width, glued in sections. */
import type { Form } from "../../piece/schema";

/** A strip from the front edge: its kind, its mark on the wood, where it lies across the panel and how wide it is, mm. */
export interface Stripe {
  kind: string;
  mark: string;
  from: number;
  width: number;
}

/** How a kind of stripe is called in the record: the first, the second of the pattern. */
export const stripeKind = (n: number) => `stripe-${n + 1}`;

/** Which of the pattern's stripes lie side by side, from the front edge. */
export function patternOf({ shares, repeats, ends }: Form["stripes"]): number[] {
  const once = shares.map((_, i) => i);
  const all = Array.from({ length: repeats }, () => once).flat();
  // it ends as it begins, so that both edges are alike
  return ends === "alike" ? [...all, 0] : all;
}

/**
 * Every strip, from the front edge: the width is shared out, so that all of a kind are equally wide and none is left over.
 *
 * @param width  of the panel, mm
 */
export function stripesOf({ stripes }: Pick<Form, "stripes">, width: number): Stripe[] {
  const pattern = patternOf(stripes);
  const share = width / pattern.reduce((sum, i) => sum + stripes.shares[i], 0);
  let from = 0;
  return pattern.map((i, n) => {
    const wide = stripes.shares[i] * share;
    const one = { kind: stripeKind(i), mark: `ST${n + 1}`, from, width: wide };
    from += wide;
    return one;
  });
}

/** What is said of a striped top in one sentence's end: "11 strips of two widths". */
export function stripesSaid(stripes: readonly Stripe[]): string {
  const widths = [...new Set(stripes.map(({ width }) => Math.round(width * 10) / 10))];
  return `${stripes.length} strips of ${widths.map((each) => each.toFixed(1)).join(" and ")} mm`;
}
