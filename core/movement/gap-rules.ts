/** Rules of slats: the gaps between them, and their screws’ holes. */
import { fine, grade, Level, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { FLAT_LIMITS, half } from "./flat-limits";
import type { MovementFacts } from "./movement-facts";

export function slatGaps({ slats, top }: MovementFacts): Verdict | null {
  if (!slats) return null;
  const { dry, wet } = slats.gap;
  const { least, good, most } = FLAT_LIMITS.slatGap;
  const level: Level = wet < 1 ? "fix" : wet < good || dry > most ? "tight" : "holds";
  const gap =
    wet < good
      ? half(good + 0.5 + Math.max(0, top.wet.change))
      : half(Math.max(least, most - 0.5 + Math.min(0, top.dry.change)));
  return verdict({
    id: "movement.slat-gaps",
    stage: "movement",
    subject: ["slat"],
    level,
    text:
      wet < 0
        ? `Slats meet and push in ${top.wet.name}`
        : wet < good
          ? `Gaps close to ${fine(wet)} in ${top.wet.name}`
          : dry > most
            ? `Gaps open to ${fine(dry)} in ${top.dry.name}`
            : `Gaps run from ${fine(wet)} to ${fine(dry)}`,
    why: `Each ${mm(slats.width)} slat changes from ${fine(top.dry.change)} to ${fine(top.wet.change)}. Water wants ${good} mm to run through; over ${most} mm a finger or a heel goes in.`,
    limit: wet < good ? good : most,
    actual: round1(wet < good ? wet : dry),
    sense: wet < good ? "at least" : "at most",
    unit: "mm",
    source: "common practice: about 6 on the day",
    remedies: level === "holds" ? [] : [set(`Leave ${gap} mm between slats`, ["form", "slats", "gap"], gap)],
  });
}

export function slatScrews({ piece, slats }: MovementFacts): Verdict | null {
  if (!slats) return null;
  const { need, has } = slats.screw;
  const level = piece.form.slats.screws === "one" ? "holds" : grade(has, "at least", need + 0.3, need);
  const clearance = Math.ceil((2 * need + 1) * 2) / 2;
  return verdict({
    id: "movement.slat-screws",
    stage: "movement",
    subject: ["slat"],
    level,
    text:
      piece.form.slats.screws === "one"
        ? "One screw across each slat lets it go both ways"
        : level === "holds"
          ? "Two screws a slat have room in their holes"
          : "Two screws hold a slat from moving",
    why:
      piece.form.slats.screws === "one"
        ? "Each slat moves about its own screws."
        : `Screws ${mm(piece.form.slats.screwSpread)} apart must give ${fine(need)} each; their holes give ${fine(has)}.`,
    limit: round1(need),
    actual: round1(has),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(`Drill holes ${clearance} mm over the screw`, ["form", "slats", "clearance"], clearance),
            set("Use one screw across each slat", ["form", "slats", "screws"], "one"),
          ],
  });
}
