import type { Candidate } from "../layout/candidates";

/** The panel's width as a model for a mixed-integer solver, in the LP format: cost in litres of rough wood, widths in mm. */
export function coverModel(candidates: readonly Candidate[], width: number, most: number): string {
  const sum = (term: (each: Candidate) => number) => candidates.map((each, i) => `${term(each)} x${i}`).join(" + ");
  return `Minimize\n cost: ${sum((each) => each.cost / 1e6)}\nSubject To\n width: ${sum((each) => each.width)} >= ${width}\n count: ${candidates.map((_, i) => `x${i}`).join(" + ")} <= ${most}\nBinary\n ${candidates.map((_, i) => `x${i}`).join(" ")}\nEnd`;
}
