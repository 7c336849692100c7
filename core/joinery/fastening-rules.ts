/** Whether what is cut in the bearers for the top leaves them enough wood. */
import type { Bearer, PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import { fine, grade, mm, set, Verdict, verdict } from "../verdict/verdict";

export interface FasteningFacts {
  piece: Piece;
  at: PieceGeometry;
}

export const FASTENING_RULES: ((facts: FasteningFacts) => Verdict | null)[] = [grooveClear];

function grooveClear({ piece, at }: FasteningFacts): Verdict | null {
  const { fastening, buttons, zClip } = piece.joints;
  if (piece.form.field === "slats" || (fastening !== "button" && fastening !== "z-clip")) return null;
  const [groove, path, name] =
    fastening === "button"
      ? [buttons.grooveDepth, ["joints", "buttons", "grooveDepth"], "button"]
      : [zClip.groove, ["joints", "zClip", "groove"], "clip"];
  const bearer = at.bearers.reduce<Bearer | null>(
    (thin, each) => (thin === null || each.thickness < thin.thickness ? each : thin),
    null,
  );
  if (!bearer) return null;
  const left = bearer.thickness - groove;
  const level = grade(left, "at least", 8, 5);
  const depth = Math.max(6, Math.floor(bearer.thickness - 8));
  return verdict({
    id: "joints.groove",
    stage: "joints",
    subject: [bearer.kind],
    level,
    text: left <= 0 ? `The ${name} groove comes through the rail` : `${fine(left)} of rail behind the ${name} groove`,
    why: `The rail is ${mm(bearer.thickness)} thick, the groove ${mm(groove)} deep.`,
    limit: 8,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the groove ${depth} mm deep`, path, depth)],
  });
}

const round1 = (n: number) => Math.round(n * 10) / 10;
