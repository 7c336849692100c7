/** What a push down on the rim does between two feet, where it stands farthest outside the line that the piece would tip over. */
import type { UseId } from "../../brief/uses";
import { grade, mm, Remedy, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";
import { GRAVITY, isSeat, LEAN, seatTips } from "./tipping";

/** Which way a foot lies from the middle, and how far its outside is, mm. */
interface Ray {
  x: number;
  z: number;
  foot: number;
}

/** The least push that lifts a foot, N: Infinity where the rim stays inside. `out` is from the middle to that line, `beyond` from the line to the rim there, mm */
export function pushAt(
  at: { arms: readonly Ray[]; top: PieceGeometry["top"] },
  weight: number,
  round: boolean,
): { newtons: number; out: number; beyond: number } {
  const feet = at.arms.map(({ x, z, foot }) => [x * foot, z * foot] as const);
  const each = feet.map((from, i) => {
    const to = feet[(i + 1) % feet.length];
    const [dx, dz] = [to[0] - from[0], to[1] - from[1]];
    const size = Math.max(1e-9, Math.hypot(dx, dz));
    // square to the line between two feet, away from the middle
    const sign = (from[0] * dz - from[1] * dx) / size >= 0 ? 1 : -1;
    const n = { x: (sign * dz) / size, z: (-sign * dx) / size };
    const out = Math.max(0, from[0] * n.x + from[1] * n.z);
    const beyond = farthest(at.top, n, round) - out;
    return { newtons: beyond <= 0 ? Infinity : (weight * GRAVITY * out) / beyond, out, beyond };
  });
  return each.reduce((a, b) => (b.newtons < a.newtons ? b : a));
}

/** How far a top reaches in a direction. @source support of an ellipse: √((a nx)² + (b nz)²); of a rectangle: its corner */
function farthest({ length, width }: PieceGeometry["top"], n: { x: number; z: number }, round: boolean): number {
  const [a, b] = [length / 2, width / 2];
  return round ? Math.hypot(a * n.x, b * n.z) : a * Math.abs(n.x) + b * Math.abs(n.z);
}

interface Between {
  form: { use: UseId };
  pushed: ReturnType<typeof pushAt>;
  /** of the whole piece, kg */
  weight: number;
  subject: string[];
  /** what mends it where somebody leans on its edge, and where somebody sits on it: feet so much farther out, mm */
  leaned: readonly Remedy[];
  sat: (by: number) => Remedy[];
}

/** Whether it stands when somebody leans on its rim between two feet, or sits there. */
export function tipsBetween({ form, pushed, weight, subject, leaned, sat }: Between): Verdict {
  const { newtons, out, beyond } = pushed;
  if (isSeat(form)) return seatTips({ beyond, between: "between two feet", subject, remedies: sat });
  const level = grade(newtons, "at least", LEAN.good, LEAN.least);
  return verdict({
    id: "form.tips",
    stage: "form",
    subject,
    level,
    text: Number.isFinite(newtons)
      ? `It tips at ${Math.round(newtons)} N between two feet`
      : "The top stays inside its feet: no edge tips it",
    why: Number.isFinite(newtons)
      ? `About ${Math.round(weight)} kg stand ${mm(out)} inside the line between two feet, and the rim is ${mm(beyond)} outside it; someone who leans on the edge puts on ${LEAN.good} N and more.`
      : "A push down on the rim meets the floor between the feet.",
    ...(Number.isFinite(newtons)
      ? { limit: LEAN.good, actual: Math.round(newtons), sense: "at least" as const, unit: "N" }
      : {}),
    source: "derived: moments about the line between two neighbouring feet; load from EN 1730, from memory",
    remedies: level === "holds" ? [] : [...leaned],
  });
}
