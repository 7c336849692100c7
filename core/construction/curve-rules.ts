/** Whether a part that is hollowed can be, leaves enough of itself, and keeps what is cut in it or lies on it. */
import { boxIn } from "../assembly/part-box";
import type { AssemblyPart } from "../assembly/part";
import { HOME } from "../assembly/place";
import { CurveChoice, curvesOf } from "../piece/kinds";
import type { Piece } from "../piece/schema";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { bowedOut, curvedEdges, depthsOf, lineAlong, straightBy } from "./curves";
import { depthsIn } from "./edge-line";

export interface CurveFacts {
  kinds: Piece["kinds"];
  /** as they stand, joints worked */
  parts: readonly AssemblyPart[];
}

/** Left of its width, and how steeply grain may run out along a curve, degrees. @source common practice */
const CURVE = { left: { good: 0.6, least: 0.45 }, out: { good: 15, least: 25 } };
/** What comes nearer than this touches, mm. */
const TOUCH = 0.05;

export const CURVE_RULES: readonly ((facts: CurveFacts) => Verdict | null)[] = [curvesGo, curvesLeave, grainRunsOut];

interface Curve {
  kind: string;
  choice: CurveChoice;
  parts: AssemblyPart[];
}
const curvesIn = ({ kinds, parts }: CurveFacts): Curve[] =>
  Object.entries(curvesOf(kinds)).flatMap(([kind, choice]): Curve[] => {
    const mine = parts.filter((part) => part.kind === kind);
    return mine.length > 0 ? [{ kind, choice, parts: mine }] : [];
  });
const said = ({ name, said: sentence }: AssemblyPart) => sentence ?? name.toLowerCase();
const straight = ({ kind }: Curve): Remedy => set("Leave it straight", ["kinds", kind, "curve"], null);
const lower = ({ kind, choice }: Curve, rise: number): Remedy =>
  set(`${choice.way === "bowed" ? "Bow" : "Hollow"} it by ${rise} mm`, ["kinds", kind, "curve"], { ...choice, rise });

/** What stands in the way of a curve: the part's own shape, something cut where wood would go, something that lies there. */
function hindered({ choice, parts }: Curve, all: readonly AssemblyPart[]): string | null {
  for (const part of parts) {
    const why = straightBy({ ...part, shape: { ...part.shape, face: undefined } }, choice);
    if (why) return `The ${said(part)} ${why}`;
    const { length, width, thickness } = part.shape;
    const { low, high } = curvedEdges(part, choice);
    const bow = bowedOut(part, choice);
    const line = lineAlong(part, choice);
    for (const cut of part.cuts.filter(({ by }) => by !== "edge")) {
      const [[x0, x1], [y0, y1]] = boxIn(HOME, cut);
      const depth = depthsIn(line, x0, x1).deepest;
      if (depth > TOUCH && ((low && y0 < depth - TOUCH) || (high && y1 > width - depth + TOUCH)))
        return `What is cut in the ${said(part)} ${mm(Math.round((x0 + x1) / 2))} from its end would be sawn into`;
    }
    for (const other of all) {
      if (other === part) continue;
      const [[x0, x1], [y0, y1], [z0, z1]] = boxIn(part.place, { shape: other.shape, place: other.place });
      const curvedBy = depthsIn(line, Math.max(0, x0 + TOUCH), Math.min(length, x1 - TOUCH));
      const bent = curvedBy.deepest > TOUCH || curvedBy.out > TOUCH;
      const beside = bent && x1 > TOUCH && x0 < length - TOUCH && z1 > TOUCH && z0 < thickness - TOUCH;
      // against the edge as it would be straight, and in what bows beyond it
      const below = low && y1 > -TOUCH && y0 < bow.low - TOUCH;
      const above = high && y0 < width + TOUCH && y1 > width - bow.high + TOUCH;
      if (beside && (below || above)) return `The ${said(other)} lies against the edge of the ${said(part)}`;
    }
  }
  return null;
}

function curvesGo(facts: CurveFacts): Verdict | null {
  const all = curvesIn(facts);
  if (all.length === 0) return null;
  const bad = all.flatMap((curve) => {
    const why = hindered(curve, facts.parts);
    return why === null ? [] : [{ curve, why }];
  });
  const [first] = bad;
  /** every one that can't be as it is, changed alike: one that is left would keep the verdict */
  const each = (label: string, change: (choice: CurveChoice) => CurveChoice | null): Remedy => ({
    label,
    patches: bad.map(({ curve: { kind, choice } }) => ({ path: ["kinds", kind, "curve"], value: change(choice) })),
  });
  const below = (choice: CurveChoice): CurveChoice => ({ ...choice, edge: "lower" });
  const onlyBelow = bad.every(
    ({ curve }) =>
      curve.choice.edge !== "lower" && hindered({ ...curve, choice: below(curve.choice) }, facts.parts) === null,
  );
  const many = bad.length > 1;
  return verdict({
    id: "form.curves",
    stage: "form",
    subject: first ? bad.map(({ curve }) => curve.kind) : all.map(({ kind }) => kind),
    level: first ? "fix" : "holds",
    text: first
      ? `${first.why}: it can’t be ${first.curve.choice.way === "bowed" ? "bowed" : "hollowed"} there`
      : "Nothing is cut or lies where edges are curved",
    why: "Joints are cut while the part is square, and keep their wood; what bears on an edge needs it straight.",
    remedies: first
      ? [
          ...(onlyBelow ? [each(many ? "Curve their lower edges only" : "Curve its lower edge only", below)] : []),
          each(many ? "Leave them straight" : "Leave it straight", () => null),
        ]
      : [],
  });
}

const taken = ({ choice, parts: [part] }: Curve) => (choice.edge === "both" ? 2 : 1) * depthsOf(part, choice).deepest;

function curvesLeave(facts: CurveFacts): Verdict | null {
  const all = curvesIn(facts).filter((curve) => taken(curve) > 0);
  if (all.length === 0) return null;
  const share = (curve: Curve) => (curve.parts[0].shape.width - taken(curve)) / curve.parts[0].shape.width;
  const worst = all.reduce((a, b) => (share(b) < share(a) ? b : a));
  const [part] = worst.parts;
  const left = part.shape.width - taken(worst);
  const level: Level = grade(share(worst), "at least", CURVE.left.good, CURVE.left.least);
  const less = Math.floor((part.shape.width * (1 - CURVE.left.good)) / (worst.choice.edge === "both" ? 2 : 1));
  return verdict({
    id: "form.curve-left",
    stage: "form",
    subject: [worst.kind],
    level,
    text: `${fine(left)} of the ${said(part)} stay where it is hollowed`,
    why: `It is ${mm(Math.round(part.shape.width))} wide at its ends; what carries is left of it in the middle, and looks thin under half.`,
    limit: Math.round(CURVE.left.good * part.shape.width),
    actual: Math.round(left),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : less >= 1 && byRise(worst) ? [lower(worst, less)] : [straight(worst)],
  });
}
const byRise = ({ choice }: Curve) => choice.way !== "points";

/** @source derived: an arc's tangent leans from its chord by half its angle, 2 atan(2h/c) */
const leans = (curve: Curve): number => {
  const { choice, parts } = curve;
  const [part] = parts;
  const chord = Math.max(1, part.shape.length - 2 * choice.straight);
  return ((byRise(curve) ? 2 * Math.atan((2 * choice.rise) / chord) : steepest(part, choice)) * 180) / Math.PI;
};
/** Over so much of an edge its slope counts: a shorter step leaves no wood that could split off, mm. Ours */
const STEP = 40;
const EVERY = 5;
/** @returns radians */
function steepest(part: AssemblyPart, choice: CurveChoice): number {
  const line = lineAlong(part, choice);
  const deep = (x: number) => {
    const { deepest, out } = depthsIn(line, x, x);
    return deepest - out;
  };
  const { length } = part.shape;
  const slopes = Array.from({ length: Math.ceil(length / EVERY) }, (_, i) => {
    const x = (i + 0.5) * EVERY;
    const [from, to] = [Math.max(0, x - STEP / 2), Math.min(length, x + STEP / 2)];
    return Math.abs(deep(to) - deep(from)) / Math.max(1, to - from);
  });
  return Math.atan(Math.max(0, ...slopes));
}

function grainRunsOut(facts: CurveFacts): Verdict | null {
  const all = curvesIn(facts);
  if (all.length === 0) return null;
  const worst = all.reduce((a, b) => (leans(b) > leans(a) ? b : a));
  const [part] = worst.parts;
  const degrees = leans(worst);
  const level = grade(degrees, "at most", CURVE.out.good, CURVE.out.least);
  const chord = part.shape.length - 2 * worst.choice.straight;
  const points = !byRise(worst);
  const less = Math.floor((chord / 2) * Math.tan((CURVE.out.good * Math.PI) / 360));
  return verdict({
    id: "form.curve-grain",
    stage: "form",
    subject: [worst.kind],
    level,
    text: `The grain of the ${said(part)} runs out by ${Math.round(degrees)}° ${points ? "where its edge is steepest" : "where its curve begins"}`,
    why: `${points ? `Over ${STEP} mm of it.` : `${mm(worst.choice.rise)} over ${mm(Math.round(chord))}.`} Over ${CURVE.out.least}° the wood under the curve is short-grained and splits off; laminate it, or take straight-grained boards that bend with it.`,
    limit: CURVE.out.good,
    actual: Math.round(degrees),
    sense: "at most",
    unit: "°",
    remedies: level === "holds" ? [] : less >= 1 && !points ? [lower(worst, less)] : [straight(worst)],
  });
}
