/** Rules of what comes up through the top: posts that stand level with it in its notched corners. */
import { fine, Level, set, Verdict, verdict } from "../verdict/verdict";
import type { MovementFacts } from "./movement-facts";
import { MIDDLE_RULES } from "./middle-rules";
import { fixedLine, travel } from "./year";

/** Least gap that is left, and the widest that looks meant, mm. @source common practice */
const GAP = { least: 0.5, most: 8 };
const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;

export const NOTCH_RULES: ((facts: MovementFacts) => Verdict | null)[] = [notches, rebated, ...MIDDLE_RULES];

/** The notch's inner face goes out with the top while the post stays: the gap on the inside must outlast the wet month. */
function notches({ at, top, piece }: MovementFacts): Verdict | null {
  const { through } = at;
  if (!through) return null;
  const line = fixedLine(piece.choices.fixedLine, at.top.width);
  const edges = [through.width, at.top.width - through.width].map((from) => travel(top, from, line));
  const out = Math.max(0, ...edges.flatMap(({ dry, wet }) => [dry, wet]));
  const back = Math.max(0, ...edges.flatMap(({ dry, wet }) => [-dry, -wet]));
  const left = through.gap - out;
  const open = through.gap + back;
  const level: Level = left < 0 ? "fix" : left < GAP.least || open > GAP.most ? "tight" : "holds";
  const gap = half(out + GAP.least);
  return verdict({
    id: "movement.notches",
    stage: "movement",
    subject: ["top", "leg"],
    level,
    text:
      left < 0
        ? `The top pushes the legs apart in ${top.wet.name}`
        : left < GAP.least
          ? `The gap at the legs closes to ${fine(left)} in ${top.wet.name}`
          : `Gaps at the legs run from ${fine(left)} to ${fine(open)}`,
    why: `The notch goes ${fine(out)} out and ${fine(back)} in with the top, the leg stays; ${fine(through.gap)} are left between them on the day. The top’s edge goes as far past the legs’ outsides, or behind them.`,
    limit: Math.round(out * 10) / 10,
    actual: through.gap,
    sense: "at least",
    unit: "mm",
    source: "derived: travel of the notch from the fixed line",
    remedies:
      level === "holds" || gap === through.gap
        ? []
        : [set(`Leave ${gap} mm beside the legs`, ["form", "leg", "gap"], gap)],
  });
}

/** A rim in rebates goes out toward their walls while what they are cut in stays. */
function rebated({ at, top, piece }: MovementFacts): Verdict | null {
  const { rebated: rim } = at;
  if (!rim) return null;
  const line = fixedLine(piece.choices.fixedLine, at.top.width);
  const ways = rim.spots.flatMap(({ z, way: [, across] }) => {
    const from = at.top.width / 2 - z;
    const { dry, wet } = travel(top, from, line);
    // what lies before the line that stays goes to the front, what lies behind it to the back
    const out = across * (from < line ? 1 : -1);
    return [dry * out, wet * out];
  });
  const out = Math.max(0, ...ways);
  const back = Math.max(0, ...ways.map((way) => -way));
  const left = rim.gap - out;
  const level: Level = left < 0 ? "fix" : left < GAP.least || rim.gap + back > GAP.most ? "tight" : "holds";
  const gap = half(out + GAP.least);
  return verdict({
    id: "movement.rebated",
    stage: "movement",
    subject: ["top", rim.kind],
    level,
    text:
      left < 0
        ? `The top pushes the ${rim.said} apart in ${top.wet.name}`
        : left < GAP.least
          ? `The gap at the rebates closes to ${fine(left)} in ${top.wet.name}`
          : `Gaps at the rebates run from ${fine(left)} to ${fine(rim.gap + back)}`,
    why: `Toward the walls the rim goes ${fine(out)} out and ${fine(back)} in, the ${rim.said} stay; ${fine(rim.gap)} are left between them on the day.`,
    limit: Math.round(out * 10) / 10,
    actual: rim.gap,
    sense: "at least",
    unit: "mm",
    source: "derived: travel of the rim from the fixed line, along each wall’s way",
    remedies:
      level === "holds" || gap === rim.gap || gap > 10 ? [] : [set(`Leave ${gap} mm at the rebates`, rim.path, gap)],
  });
}
