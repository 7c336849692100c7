/** Whether a part that is hollowed can be, leaves enough of itself, and keeps what is cut in it or lies on it. */
import { boxIn } from "../assembly/part-box";
import type { AssemblyPart } from "../assembly/part";
import { HOME } from "../assembly/place";
import { CurveChoice, curvesOf } from "../piece/kinds";
import type { Piece } from "../piece/schema";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { bowedOut, depthAt, hollowed, straightBy } from "./curves";

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
    const { low, high } = hollowed(part, choice);
    const bow = bowedOut(part, choice);
    const chord = length - 2 * choice.straight;
    const deepest = (from: number, to: number) => {
      const nearest = Math.min(Math.max(chord / 2, from), to);
      return depthAt(chord, choice.rise, nearest);
    };
    // what bows out takes no wood away
    for (const cut of choice.way === "bowed" ? [] : part.cuts.filter(({ by }) => by !== "edge")) {
      const [[x0, x1], [y0, y1]] = boxIn(HOME, cut);
      const depth = deepest(x0 - choice.straight, x1 - choice.straight);
      if (depth > TOUCH && ((low && y0 < depth - TOUCH) || (high && y1 > width - depth + TOUCH)))
        return `What is cut in the ${said(part)} ${mm(Math.round((x0 + x1) / 2))} from its end would be sawn into`;
    }
    for (const other of all) {
      if (other === part) continue;
      const [[x0, x1], [y0, y1], [z0, z1]] = boxIn(part.place, { shape: other.shape, place: other.place });
      const beside =
        x1 > choice.straight + TOUCH && x0 < length - choice.straight - TOUCH && z1 > TOUCH && z0 < thickness - TOUCH;
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

const taken = ({ edge, rise }: CurveChoice) => (edge === "both" ? 2 : 1) * rise;

function curvesLeave(facts: CurveFacts): Verdict | null {
  const all = curvesIn(facts).filter(({ choice }) => choice.way === "hollow");
  if (all.length === 0) return null;
  const share = ({ choice, parts: [{ shape }] }: Curve) => (shape.width - taken(choice)) / shape.width;
  const worst = all.reduce((a, b) => (share(b) < share(a) ? b : a));
  const [part] = worst.parts;
  const left = part.shape.width - taken(worst.choice);
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
    remedies: level === "holds" ? [] : less >= 1 ? [lower(worst, less)] : [straight(worst)],
  });
}

/** @source derived: an arc's tangent leans from its chord by half its angle, 2 atan(2h/c) */
const leans = ({ choice, parts: [{ shape }] }: Curve): number =>
  (2 * Math.atan((2 * choice.rise) / Math.max(1, shape.length - 2 * choice.straight)) * 180) / Math.PI;

function grainRunsOut(facts: CurveFacts): Verdict | null {
  const all = curvesIn(facts);
  if (all.length === 0) return null;
  const worst = all.reduce((a, b) => (leans(b) > leans(a) ? b : a));
  const [part] = worst.parts;
  const degrees = leans(worst);
  const level = grade(degrees, "at most", CURVE.out.good, CURVE.out.least);
  const chord = part.shape.length - 2 * worst.choice.straight;
  const less = Math.floor((chord / 2) * Math.tan((CURVE.out.good * Math.PI) / 360));
  return verdict({
    id: "form.curve-grain",
    stage: "form",
    subject: [worst.kind],
    level,
    text: `The grain of the ${said(part)} runs out by ${Math.round(degrees)}° where its curve begins`,
    why: `${mm(worst.choice.rise)} over ${mm(Math.round(chord))}. Over ${CURVE.out.least}° the wood under the curve is short-grained and splits off; laminate it, or take straight-grained boards that bend with it.`,
    limit: CURVE.out.good,
    actual: Math.round(degrees),
    sense: "at most",
    unit: "°",
    remedies: level === "holds" ? [] : less >= 1 ? [lower(worst, less)] : [straight(worst)],
  });
}
