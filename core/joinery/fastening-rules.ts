/** Whether what is cut in the bearers for the top leaves them enough wood. */
import type { Bearer, PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import { COUNTERBORED, WASHER_ROOM } from "./fastening/screws";
import { fine, grade, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";

export interface FasteningFacts {
  piece: Piece;
  at: PieceGeometry;
}

export const FASTENING_RULES: ((facts: FasteningFacts) => Verdict | null)[] = [grooveClear, holeWalls];

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

/** Wood on each side of a counterbore, mm: less breaks out under the washer. @source common practice */
const HOLE_WALL = { good: 4, least: 2 };

/** A hole and its counterbore take their width from the middle of what bears the top. */
function holeWalls({ piece, at }: FasteningFacts): Verdict | null {
  const { joints, form } = piece;
  if (form.field === "slats" || joints.fastening !== "oversized" || at.bearers.length === 0) return null;
  const { washer, hole } = joints.oversized;
  const bearer = at.bearers.reduce((thin, each) => (each.thickness < thin.thickness ? each : thin));
  const wide = bearer.depth > COUNTERBORED ? Math.max(hole, washer + WASHER_ROOM) : hole;
  const left = (bearer.thickness - wide) / 2;
  const level = grade(left, "at least", HOLE_WALL.good, HOLE_WALL.least);
  const thick = Math.ceil(wide + 2 * HOLE_WALL.good);
  return verdict({
    id: "joints.holes",
    stage: "joints",
    subject: [bearer.kind],
    level,
    text:
      left <= 0
        ? `A ${mm(wide)} counterbore takes the whole ${mm(bearer.thickness)} of the ${bearer.said}`
        : `${fine(left)} of ${bearer.said} beside each counterbore`,
    why: `${mm(hole)} holes under ${mm(washer)} washers want counterbores of ${mm(wide)} in wood ${mm(bearer.thickness)} thick; under ${HOLE_WALL.good} mm at each side it breaks out.`,
    limit: HOLE_WALL.good,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    source: "common practice",
    remedies:
      level === "holds"
        ? []
        : [
            set("Screw through slotted cleats beside the rails", ["joints", "fastening"], "slotted"),
            ...(form.kind === "leg-and-apron" && thick <= 60
              ? [set(`Make the rails ${thick} mm thick`, ["form", "apron", "thickness"], thick)]
              : []),
          ],
  });
}
