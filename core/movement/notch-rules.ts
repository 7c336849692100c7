/** Rules of what comes up through the top: posts that stand level with it in its notched corners. */
import { fine, Level, set, Verdict, verdict } from "../verdict/verdict";
import type { MovementFacts } from "./movement-facts";
import { fixedLine, travel } from "./year";

/** Least gap that is left, and the widest that looks meant, mm. @source common practice */
const GAP = { least: 0.5, most: 8 };
const half = (n: number) => Math.ceil(n * 2 - 1e-9) / 2;

export const NOTCH_RULES: ((facts: MovementFacts) => Verdict | null)[] = [notches];

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
