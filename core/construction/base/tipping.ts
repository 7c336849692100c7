/** What a push down on an edge of the top does: weight, push and lever say, whatever the base. */
import { UseId, useOf } from "../../brief/uses";
import { grade, mm, Remedy, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";

export const GRAVITY = 9.81;
/** Someone who leans on an edge puts on so much, and a light lean, N. @source EN 1730, from memory */
export const LEAN = { good: 400, least: 250 };

/** Who sits on an edge has their weight so far inside it; who perches there, nearer, mm. @source EN 1022's load on a seat's edge, from memory */
const SITS = { inside: 60, perches: 90 };

/**
 * What is sat on holds itself by whoever sits: it tips when they sit beyond its feet.
 *
 * @param beyond  how far the edge is outside the feet, or outside the line between two of them, mm
 */
export function seatTips({
  beyond,
  between,
  subject,
  remedies,
}: {
  beyond: number;
  between: string;
  subject: string[];
  remedies: (by: number) => Remedy[];
}): Verdict {
  const level = grade(beyond, "at most", SITS.inside, SITS.perches);
  return verdict({
    id: "form.tips",
    stage: "form",
    subject,
    level,
    text:
      level === "holds"
        ? "It stands firm wherever somebody sits on it"
        : level === "tight"
          ? `Who perches on its edge ${between} tips it`
          : `Who sits on its edge ${between} tips it`,
    why: `The edge lies ${mm(Math.max(0, beyond))} outside its feet there; somebody who sits on it has their weight ${mm(SITS.inside)} and more inside it.`,
    limit: SITS.inside,
    actual: Math.round(beyond),
    sense: "at most",
    unit: "mm",
    source: "derived: where the weight meets the floor; EN 1022, from memory",
    remedies: level === "holds" ? [] : remedies(Math.ceil(beyond - SITS.inside)),
  });
}
/** Whether somebody sits on it. */
export const isSeat = (form: { use: UseId }) => useOf(form).seats?.where === "on";

interface Tipping {
  form: { use: UseId };
  at: Pick<PieceGeometry, "top" | "feet">;
  /** of the whole piece, kg */
  weight: number;
  subject: string[];
  /** what would mend it: told by how wide the feet must stand apart at least, mm */
  mend: (apart: number) => Remedy[];
}

/** How far feet reach from the middle, on the side where they reach less, mm. */
function reachOf({ feet }: Pick<Tipping["at"], "feet">): { x: number; z: number } {
  const reach = (axis: "x" | "z", size: "length" | "width") =>
    Math.min(
      Math.max(0, ...feet.map((foot) => foot[axis] + foot[size] / 2)),
      Math.max(0, ...feet.map((foot) => -foot[axis] + foot[size] / 2)),
    );
  return { x: reach("x", "length"), z: reach("z", "width") };
}

/** The push that lifts the far side, at the edge where the lever is worst. N; Infinity where feet stand as far out as the top. @source derived: moments about the outer feet */
export function tipsAt(
  { top, feet }: Tipping["at"],
  weight: number,
): { newtons: number; edge: "long" | "end"; out: number } {
  const push = (half: number, out: number) => (half <= out ? Infinity : (weight * GRAVITY * out) / (half - out));
  const { x, z } = reachOf({ feet });
  const [long, end] = [push(top.width / 2, z), push(top.length / 2, x)];
  return long <= end ? { newtons: long, edge: "long", out: z } : { newtons: end, edge: "end", out: x };
}

export function tipping({ at, form, weight, subject, mend }: Tipping): Verdict | null {
  if (at.feet.length === 0) return null;
  const { newtons, edge, out } = tipsAt(at, weight);
  if (isSeat(form)) return seatTipsAt({ at, subject, mend });
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

/** The edge that stands farthest outside the feet. */
function seatTipsAt({ at, subject, mend }: Pick<Tipping, "subject" | "mend"> & { at: Tipping["at"] }): Verdict {
  const out = reachOf(at);
  const [long, end] = [at.top.width / 2 - out.z, at.top.length / 2 - out.x];
  return seatTips({
    ...{ beyond: Math.max(long, end), between: end > long ? "at an end" : "at a long side", subject },
    remedies: () => (end > long ? [] : mend(Math.ceil(at.top.width - 2 * SITS.inside))),
  });
}
