/** Whether what is cut in the bearers for the top leaves them enough wood. */
import type { Bearer } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import { cutsMeet } from "./cuts-meet";
import type { FasteningFacts } from "./fastening/facts";
import { plateLies, recessReach } from "./fastening/figure-8";
import { COUNTERBORED, WASHER_ROOM } from "./fastening/screws";
import { fine, grade, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";

export const FASTENING_RULES: ((facts: FasteningFacts) => Verdict | null)[] = [
  grooveClear,
  holeWalls,
  plateRecess,
  cutsMeet,
];

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

/** Wood between a plate's recess and the outer face, mm: less crumbles away under the top's edge. @source common practice */
const PLATE_WALL = { good: 3, least: 0 };

/** A plate that lies along its rail swings out over it: its recess may come out where it is seen. */
function plateRecess({ piece, at }: FasteningFacts): Verdict | null {
  const { joints, form } = piece;
  if (form.field === "slats" || joints.fastening !== "figure-8") return null;
  const left = (bearer: Bearer) => bearer.thickness - recessReach(joints, bearer);
  const bearer = at.bearers.reduce<Bearer | null>((a, b) => (a === null || left(b) < left(a) ? b : a), null);
  if (!bearer) return null;
  const wall = left(bearer);
  const level = wall < PLATE_WALL.least ? "tight" : grade(wall, "at least", PLATE_WALL.good, PLATE_WALL.least);
  const along = plateLies(joints, bearer) === "along";
  const swing = largestSwing(joints, bearer);
  return verdict({
    id: "joints.plate-recess",
    stage: "joints",
    subject: [bearer.kind],
    level,
    text:
      wall < 0
        ? `The plates’ recesses come out ${fine(-wall)} through the outer face of what bears the top`
        : `${fine(wall)} of wood outside the plates’ recesses`,
    why: `${along ? `Lying along a rail of ${mm(bearer.thickness)}, a plate swings ${joints.figure8.swing}° out over it as well as in.` : `A plate’s ring takes its width from a rail of ${mm(bearer.thickness)}.`} A recess that comes out shows as a slot under the top.`,
    limit: PLATE_WALL.good,
    actual: round1(wall),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(along && swing > 0 && swing < joints.figure8.swing
              ? [set(`Relieve them to swing ${swing}° only`, ["joints", "figure8", "swing"], swing)]
              : []),
            set("Hold it with wooden buttons", ["joints", "fastening"], "button"),
          ],
  });
}

/** The most a plate that lies along a rail may swing so that a wall stays outside it, whole degrees; 0 where none does. */
function largestSwing({ figure8 }: Piece["joints"], bearer: Bearer): number {
  const room = bearer.thickness - PLATE_WALL.good - recessReach({ figure8: { ...figure8, swing: 0 } }, bearer);
  return room <= 0 ? 0 : Math.floor((Math.asin(Math.min(1, room / figure8.centres)) * 180) / Math.PI);
}
