/** What a push down on an edge of the top does: weight, push and lever say, whatever the base. */
import { grade, mm, Remedy, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";

export const GRAVITY = 9.81;
/** Someone who leans on an edge puts on so much, and a light lean, N. @source EN 1730, from memory */
export const LEAN = { good: 400, least: 250 };

interface Tipping {
  at: Pick<PieceGeometry, "top" | "feet">;
  /** of the whole piece, kg */
  weight: number;
  subject: string[];
  /** what would mend it: told by how wide the feet must stand apart at least, mm */
  mend: (apart: number) => Remedy[];
}

/** The push that lifts the far side, at the edge where the lever is worst. N; Infinity where feet stand as far out as the top. @source derived: moments about the outer feet */
export function tipsAt(
  { top, feet }: Tipping["at"],
  weight: number,
): { newtons: number; edge: "long" | "end"; out: number } {
  const reach = (axis: "x" | "z", size: "length" | "width") =>
    Math.min(
      Math.max(0, ...feet.map((foot) => foot[axis] + foot[size] / 2)),
      Math.max(0, ...feet.map((foot) => -foot[axis] + foot[size] / 2)),
    );
  const push = (half: number, out: number) => (half <= out ? Infinity : (weight * GRAVITY * out) / (half - out));
  const [z, x] = [reach("z", "width"), reach("x", "length")];
  const [long, end] = [push(top.width / 2, z), push(top.length / 2, x)];
  return long <= end ? { newtons: long, edge: "long", out: z } : { newtons: end, edge: "end", out: x };
}

export function tipping({ at, weight, subject, mend }: Tipping): Verdict | null {
  if (at.feet.length === 0) return null;
  const { newtons, edge, out } = tipsAt(at, weight);
  const level = grade(newtons, "at least", LEAN.good, LEAN.least);
  const whole = edge === "long" ? at.top.width : at.top.length;
  const safe = Math.ceil((whole * LEAN.good) / (LEAN.good + weight * GRAVITY) / 10) * 10;
  return verdict({
    id: "form.tips",
    stage: "form",
    subject,
    level,
    text: Number.isFinite(newtons)
      ? `It tips at ${Math.round(newtons)} N on the ${edge} edge`
      : "Feet stand as far out as the top: no edge tips it",
    why: `About ${Math.round(weight)} kg stand on feet ${mm(2 * out)} apart over all under a top ${mm(whole)} ${edge === "long" ? "wide" : "long"}; someone who leans on the edge puts on ${LEAN.good} N and more.`,
    ...(Number.isFinite(newtons)
      ? { limit: LEAN.good, actual: Math.round(newtons), sense: "at least" as const, unit: "N" }
      : {}),
    source: "derived: moments about the outer feet; load from EN 1730, from memory",
    remedies: level === "holds" || edge === "end" ? [] : mend(safe),
  });
}
