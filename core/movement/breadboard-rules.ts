/** Rules of breadboards: their pegs, their mortises, their tongue. */
import { fine, Level, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { FLAT_LIMITS, TRAVEL } from "./flat-limits";
import { closest } from "./governing";
import type { MovementFacts } from "./movement-facts";

export function pegs({ piece, breadboards, top }: MovementFacts): Verdict | null {
  if (!breadboards || piece.form.breadboard.slots === "none") return null;
  const slotted = breadboards.pegs.filter((each) => !each.fixed);
  if (slotted.length === 0) return null;
  const short = (peg: (typeof slotted)[number]) =>
    Math.min(peg.room.wet - Math.max(0, peg.wet, peg.dry), peg.room.dry - Math.max(0, -peg.dry, -peg.wet));
  const worst = closest(slotted);
  const left = Math.min(...slotted.map(short));
  const wetFirst = worst.room.wet - worst.wet <= worst.room.dry + worst.dry;
  const month = wetFirst ? top.wet.name : top.dry.name;
  const level: Level = left < 0 ? "fix" : left < FLAT_LIMITS.clearance - 1e-9 ? "tight" : "holds";
  return verdict({
    id: "movement.pegs",
    stage: "movement",
    subject: slotted
      .filter((each) => short(each) < FLAT_LIMITS.clearance - 1e-9 || level === "holds")
      .map((each) => each.id),
    level,
    text:
      level === "fix"
        ? `Outer pegs will bind in ${month}`
        : level === "tight"
          ? `Outer pegs close to ${fine(left)} in ${month}`
          : "Pegs travel freely in their slots all year",
    why: `The outermost needs ${fine(Math.max(0, worst.wet))} toward the fixed peg for ${top.wet.name} and ${fine(Math.max(0, -worst.dry))} outward for ${top.dry.name}; its ${fine(worst.slot)} slot gives ${fine(worst.room.wet)} and ${fine(worst.room.dry)}.`,
    limit: round1(worst.need),
    actual: round1(worst.slot),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds"
        ? []
        : [
            set("Cut each slot as long as it needs", ["form", "breadboard", "slots"], "computed"),
            // where a slot is long enough and only lies wrong, setting it off is all it takes
            ...(piece.form.breadboard.setOff ||
            !slotted.every(
              (peg) =>
                peg.slot >= piece.form.breadboard.peg + Math.max(0, peg.wet, peg.dry) + Math.max(0, -peg.dry, -peg.wet),
            )
              ? []
              : [set("Set the slots off to the side they travel", ["form", "breadboard", "setOff"], true)]),
          ],
  });
}

/** Pegs too near one another are not drilled, or the tongue splits: on a narrow top fewer fit than are asked for. */
export function pegsFit({ piece, breadboards, slats, top }: MovementFacts): Verdict | null {
  // slats have one each
  if (!breadboards || slats) return null;
  const { pegs: asked, peg } = piece.form.breadboard;
  const fit = breadboards.pegs.length;
  return verdict({
    id: "movement.pegs-fit",
    stage: "movement",
    subject: breadboards.pegs.map((each) => each.id),
    level: fit < asked ? "tight" : "holds",
    text:
      fit < asked
        ? `Only ${fit} of ${asked} pegs fit across the tongue`
        : `${fit} peg${fit > 1 ? "s" : ""} fit across the tongue`,
    why: `Pegs of ${mm(peg)} want three of their own diameters from one to the next, on ${mm(top.width)} of panel.`,
    limit: asked,
    actual: fit,
    sense: "at least",
    unit: "pegs",
    remedies:
      fit < asked ? [set(`Use ${fit} peg${fit > 1 ? "s" : ""} an end`, ["form", "breadboard", "pegs"], fit)] : [],
  });
}

export function endBoardLength({ piece, breadboards, slats, top, at }: MovementFacts): Verdict | null {
  if (!breadboards) return null;
  const { dry, wet } = breadboards.proud;
  const { school } = piece.form.breadboard;
  const level: Level =
    wet < -FLAT_LIMITS.shy ? (wet < -2 ? "fix" : "tight") : dry > FLAT_LIMITS.proud ? "tight" : "holds";
  const flush = breadboards.flush.length ? ` Flush about ${breadboards.flush.slice(0, 2).join(" and ")}.` : "";
  return verdict({
    id: "movement.breadboard-length",
    stage: "movement",
    subject: ["end-board"],
    level,
    text:
      wet < -FLAT_LIMITS.shy
        ? `The panel stands ${fine(-wet)} past its breadboards in ${top.wet.name}`
        : `Breadboards stand ${fine(Math.max(0, dry))} proud in ${top.dry.name}`,
    why: `${school === "long" ? "Left long on purpose so that they are never shy" : school === "flush-today" ? "Flush on the day they were fitted" : "Flush in the middle of the year"}: ${fine(breadboards.length)} long against ${slats ? `${fine(at.top.width)} of slats` : `${fine(top.width)} of panel`} today.${flush}`,
    limit: FLAT_LIMITS.proud,
    actual: round1(Math.max(Math.abs(dry), Math.abs(wet))),
    sense: "at most",
    unit: "mm",
    source: "common practice: three schools",
    remedies:
      wet < -FLAT_LIMITS.shy
        ? [set("Leave them long", ["form", "breadboard", "school"], "long")]
        : dry > FLAT_LIMITS.proud && school === "long" && (dry - wet) / 2 <= FLAT_LIMITS.shy
          ? [set("Make them flush at mid-season", ["form", "breadboard", "school"], "flush-mid")]
          : [],
  });
}

export function mortiseEnds({ piece, breadboards, slats, top }: MovementFacts): Verdict | null {
  // slats share one groove: their gaps are judged
  if (!breadboards || slats) return null;
  const { need, has } = breadboards.mortise;
  const level: Level = has < need ? "fix" : piece.form.breadboard.endGap < FLAT_LIMITS.endGap ? "tight" : "holds";
  const gap = Math.max(25, Math.ceil(need + 8));
  return verdict({
    id: "movement.mortise-ends",
    stage: "movement",
    subject: ["end-board"],
    level,
    text:
      level === "fix"
        ? `The tongue meets the mortise's end in ${top.wet.name}`
        : level === "tight"
          ? "The mortise comes near the end of the board"
          : "The mortise has room at its ends",
    why: `The tongue's outer edge goes out ${fine(need)}; ${fine(has)} of mortise lies beyond it. About 25 mm keeps the slot hidden and the end strong.`,
    limit: Math.max(FLAT_LIMITS.endGap, round1(need)),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Keep ${gap} mm at each end`, ["form", "breadboard", "endGap"], gap)],
  });
}

export function shoulder({ piece, breadboards, slats }: MovementFacts): Verdict | null {
  if (!breadboards) return null;
  const { drawOffset, glued } = piece.form.breadboard;
  const { low, high } = FLAT_LIMITS.drawOffset;
  const level: Level = drawOffset > high ? "fix" : drawOffset < low || glued > FLAT_LIMITS.glued ? "tight" : "holds";
  return verdict({
    id: "movement.draw",
    stage: "movement",
    subject: ["end-board"],
    level,
    text:
      drawOffset > high
        ? `An offset of ${fine(drawOffset)} breaks pegs or tongue`
        : drawOffset < low
          ? "The shoulder is not drawn tight"
          : glued > FLAT_LIMITS.glued
            ? `${mm(glued)} glued across the grain is long`
            : `Pegs draw the shoulder by ${fine(drawOffset)}`,
    why: `Peg holes in the tongue stand ${low} to ${high} mm nearer the shoulder. ${slats ? `Glue the middle of each slat’s tongue, ${mm(Math.min(glued, slats.width / 3))} at most.` : `Glue ${mm(glued)} of tongue at the fixed peg; the other pegs are glued in the end board only.`}`,
    limit: drawOffset > high ? high : low,
    actual: drawOffset,
    sense: drawOffset > high ? "at most" : "at least",
    unit: "mm",
    remedies:
      drawOffset > high || drawOffset < low
        ? [set("Offset the holes by 1.2 mm", ["form", "breadboard", "drawOffset"], 1.2)]
        : glued > FLAT_LIMITS.glued
          ? [set("Glue 80 mm only", ["form", "breadboard", "glued"], 80)]
          : [],
  });
}

export function tongueSize({ piece, breadboards, at }: MovementFacts): Verdict | null {
  if (!breadboards) return null;
  const { length, thickness } = breadboards.tongue;
  const share = thickness / at.top.thickness;
  const { low, high } = FLAT_LIMITS.tongue;
  const thick = share < 0.25 || share > 0.45;
  const level: Level =
    share > 0.6 || length < 12 || length > piece.form.breadboard.width - 15
      ? "fix"
      : thick || length < low || length > Math.max(high, 60)
        ? "tight"
        : "holds";
  return verdict({
    id: "movement.tongue",
    stage: "movement",
    subject: ["end-board"],
    level,
    text: `A tongue ${fine(thickness)} thick and ${mm(length)} long`,
    why: `A third of ${mm(at.top.thickness)} leaves the mortise its walls, ${fine((at.top.thickness - thickness) / 2)} now; ${low} to ${high} mm long, in an end board ${mm(piece.form.breadboard.width)} wide.`,
    limit: low,
    actual: length,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : thick
          ? [
              set(
                "Make it a third of the thickness",
                ["form", "breadboard", "thickness"],
                Math.round((at.top.thickness / 3) * 2) / 2,
              ),
            ]
          : [
              set("Make it 32 mm long", ["form", "breadboard", "tongue"], 32),
              ...(piece.form.breadboard.width < 70
                ? [set("Make the end boards 90 mm wide", ["form", "breadboard", "width"], 90)]
                : []),
            ],
  });
}
