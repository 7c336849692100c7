/** Whether a panel’s boards are wide, long and thick enough for it, and even. */
import { NARROWEST_STRIP, WIDEST_STRIP } from "../layout/candidates";
import { LEAST_OVER, overOf, stripThickness } from "../layout/strip-thickness";
import { fine, grade, Level, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { narrowest } from "./board";
import { millingYield } from "./milling";
import type { LaidStrip, PanelFacts } from "./panel-facts";

/** A strip wider than this rules its panel, mm. @source common practice */
const WIDE_STRIP = 200;

export function wideEnough({ laid, at, name }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const total = laid.reduce((sum, each) => sum + each.full, 0);
  const level = grade(total, "at least", at.core.width + 2, at.core.width);
  const beside = at.top.width - at.core.width;
  return verdict({
    id: "boards.width",
    stage: "boards",
    level,
    subject: ["top"],
    text: `${mm(total)} after jointing, ${mm(at.core.width)} needed`,
    why:
      total >= at.core.width
        ? `${laid.length - 1} ${laid.length === 2 ? "joint" : "joints"}; ${mm(total - at.core.width)} to trim.`
        : `Add a board, or narrow the ${name}.`,
    limit: at.core.width,
    actual: Math.round(total),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "fix" && total > 400
        ? [
            set(
              `Make the ${name} ${Math.floor(total - 2) + beside} mm wide`,
              ["form", "top", "width"],
              Math.floor(total - 2) + beside,
            ),
          ]
        : [],
  });
}

export function longEnough({ laid, shop, piece }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const spare = (each: LaidStrip) => each.board.length - each.strip.slide - each.length;
  const shortest = laid.reduce((a, b) => (spare(b) < spare(a) ? b : a));
  const have = shortest.board.length - shortest.strip.slide;
  const need = shortest.length;
  const level = grade(have, "at least", need + shop.lengthAllowance, need);
  return verdict({
    id: "boards.length",
    stage: "boards",
    level,
    subject: [`strip:${shortest.board.id}`],
    text:
      level === "fix"
        ? `${shortest.board.id} is ${mm(need - have)} short`
        : `${shortest.board.id}, the shortest, leaves ${mm(have - need)} to trim`,
    why: `Strips are left ${shop.lengthAllowance} mm long until the panel is flat.`,
    limit: need + shop.lengthAllowance,
    actual: Math.round(have),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" || shortest.strip.slide === 0
        ? []
        : [
            set(
              `Start ${shortest.board.id} at its left end`,
              ["panels", "top", "strips", piece.panels.top.strips.indexOf(shortest.strip), "slide"],
              0,
            ),
          ],
  });
}

export function thickEnough({ laid, at, shop, piece, name }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const thin = laid.reduce((a, b) => (b.milled.thickness < a.milled.thickness ? b : a));
  const spare = thin.milled.thickness - at.core.thickness;
  const over = overOf(laid, shop.panelOver);
  const level = grade(spare, "at least", over, Math.min(over, LEAST_OVER));
  const planed = stripThickness(laid, at.core.thickness, shop);
  const { lost } = thin.milled;
  const short = millingYield(thin.board, shop, at.core.length + shop.lengthAllowance, narrowest(thin.board)).thickness;
  const thinner = Math.floor(thin.milled.thickness - over);
  return verdict({
    id: "boards.thickness",
    stage: "boards",
    level,
    subject: [`strip:${thin.board.id}`],
    text:
      spare < 0
        ? `${thin.board.id} cleans up at ${fine(thin.milled.thickness)}, ${fine(-spare)} too thin`
        : thin.sawn !== null
          ? `${thin.board.id}, the thinnest, stays ${fine(thin.milled.thickness)} at its highest place`
          : `${thin.board.id} cleans up at ${fine(thin.milled.thickness)}: planed to ${fine(planed)}, ${fine(planed - at.core.thickness)} stay to flatten the glued panel`,
    why:
      thin.sawn !== null
        ? `Rough ${fine(thin.board.thickness)}, ${fine(lost.cleaning)} for cleaning below and light passes above. The thinnest gives the thickness; the others are planed to it from below.`
        : `Rough ${fine(thin.board.thickness)}, cup ${fine(lost.cup)}, bow ${fine(lost.bow)}, twist ${fine(lost.twist)}, cleaning ${fine(lost.cleaning)}. Strips are planed ${fine(shop.panelOver)} over the ${fine(at.core.thickness)} the panel ends at: no glue-up comes out flat.`,
    limit: round1(at.core.thickness + over),
    actual: round1(thin.milled.thickness),
    sense: "at least",
    unit: "mm",
    source: "derived: circular bow and cup, half the twist shimmed",
    remedies:
      level === "holds"
        ? []
        : [
            ...(thin.sawn === null && !piece.panels.top.crosscutFirst && short > thin.milled.thickness + 0.1
              ? [set("Crosscut before flattening", ["panels", "top", "crosscutFirst"], true)]
              : []),
            ...(thinner >= 18 && thinner < at.core.thickness
              ? [set(`Make the ${name} ${thinner} mm thick`, ["form", "top", "thickness"], thinner)]
              : []),
          ],
  });
}

export function stripWidths({ laid, name }: PanelFacts): Verdict | null {
  if (laid.length === 0) return null;
  const widest = laid.reduce((a, b) => (b.width > a.width ? b : a));
  const narrow = laid.reduce((a, b) => (b.width < a.width ? b : a));
  const level: Level =
    narrow.width < NARROWEST_STRIP / 2 || widest.width > WIDEST_STRIP
      ? "fix"
      : widest.width > WIDE_STRIP || widest.width > 2.5 * narrow.width
        ? "tight"
        : "holds";
  return verdict({
    id: "boards.strips",
    stage: "boards",
    level,
    subject: [`strip:${widest.board.id}`, `strip:${narrow.board.id}`],
    text: `Strips from ${mm(narrow.width)} to ${mm(widest.width)} wide`,
    why:
      level === "holds"
        ? `Even enough that no single board rules the ${name}.`
        : `${widest.board.id} cups most; strips of like width look calmer.`,
    limit: WIDE_STRIP,
    actual: Math.round(widest.width),
    sense: "at most",
    unit: "mm",
  });
}
