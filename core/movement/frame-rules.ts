/** Rules of a panel in a frame, and of its mitres. */
import { fine, grade, Level, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { FLAT_LIMITS, half, TRAVEL } from "./flat-limits";
import { LEAST_IN_GROOVE } from "./insets";
import type { MovementFacts } from "./movement-facts";

export function panelInFrame({ piece, framed, top }: MovementFacts): Verdict | null {
  if (!framed || piece.form.frame.panel === "glued") return null;
  const { wet, dry } = framed.room;
  const level: Level =
    wet.has < wet.need || dry.left < 1
      ? "fix"
      : wet.has < wet.need + FLAT_LIMITS.clearance || dry.left < LEAST_IN_GROOVE
        ? "tight"
        : "holds";
  const gap = half(wet.need + 1);
  const groove = half(gap + LEAST_IN_GROOVE + 1 - Math.min(0, top.dry.change / 2));
  return verdict({
    id: "movement.panel",
    stage: "movement",
    subject: ["top"],
    level,
    text:
      wet.has < wet.need
        ? `The panel pushes its frame apart in ${top.wet.name}`
        : dry.left < 1
          ? `The panel drops out of its groove in ${top.dry.name}`
          : level === "tight"
            ? `The panel keeps ${fine(Math.min(wet.has - wet.need, dry.left))} to spare`
            : "The panel floats in its groove all year",
    why: `It goes ${fine(wet.need)} into each groove, which leaves ${fine(wet.has)} today; dry it keeps ${fine(dry.left)} of edge in.`,
    limit: round1(wet.need),
    actual: round1(wet.has),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Leave ${gap} mm in grooves ${groove} mm deep`,
              patches: [
                { path: ["form", "frame", "gap"], value: gap },
                { path: ["form", "frame", "groove"], value: groove },
              ],
            },
          ],
  });
}

export function mitres({ piece, framed, top }: MovementFacts): Verdict | null {
  if (!framed || piece.form.frame.corners !== "mitred") return null;
  const worst = Math.max(framed.mitre.dry, framed.mitre.wet);
  return verdict({
    id: "movement.mitres",
    stage: "movement",
    subject: ["frame-long", "frame-end"],
    level: grade(worst, "at most", FLAT_LIMITS.mitre, 2 * FLAT_LIMITS.mitre),
    text: `Mitres open ${fine(worst)} in ${framed.mitre.dry > framed.mitre.wet ? top.dry.name : top.wet.name}`,
    why: `Each member changes ${fine(framed.mitre.dry > framed.mitre.wet ? framed.member.dry : framed.member.wet)} across its ${mm(piece.form.frame.width)}; a mitre shows that times 1.4, at the inside when dry, at the outside when wet.`,
    limit: FLAT_LIMITS.mitre,
    actual: Math.round(worst * 100) / 100,
    sense: "at most",
    unit: "mm",
    source: "derived: ε b √2",
    remedies:
      worst <= FLAT_LIMITS.mitre ? [] : [set("Tenon the frame's corners", ["form", "frame", "corners"], "tenoned")],
  });
}
