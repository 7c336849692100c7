/** Rules of drawers, doors and panels in their openings. */
import { fine, Level, mm, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { half, HOLD_LIMITS, TRAVEL } from "./hold-limits";
import { LEAST_IN_GROOVE, WIDEST_GAP } from "./insets";
import type { MovementFacts } from "./movement-facts";

export function insetsFit({ insets }: MovementFacts): Verdict[] | null {
  if (insets.length === 0) return null;
  return insets.map((inset, i) => {
    const { wet, dry } = inset.gap;
    const lost = inset.engaged && inset.engaged.dry < LEAST_IN_GROOVE;
    const wide = inset.kind !== "panel" && dry > WIDEST_GAP + 0.05;
    const level: Level =
      wet < 0 || (inset.engaged && inset.engaged.dry < 1)
        ? "fix"
        : wet < HOLD_LIMITS.clearance || lost || wide
          ? "tight"
          : "holds";
    const edges = inset.kind === "drawer" ? 1 : 2;
    const gap = half(Math.max(0, inset.wet / edges) + 0.8);
    const remedies =
      level === "holds" || gap === inset.gap.today
        ? []
        : lost
          ? [
              {
                label: `Groove ${Math.ceil(gap + LEAST_IN_GROOVE + 1 - inset.dry / edges)} mm deep, ${gap} mm free`,
                patches: [
                  { path: ["insets", i, "gap"], value: gap },
                  { path: ["insets", i, "groove"], value: Math.ceil(gap + LEAST_IN_GROOVE + 1 - inset.dry / edges) },
                ],
              },
            ]
          : [
              set(
                `Leave ${gap} mm ${inset.kind === "drawer" ? "above it" : "at each edge"}`,
                ["insets", i, "gap"],
                gap,
              ),
            ];
    return verdict({
      // a file may give two of them one name
      id: `movement.inset.${inset.id}${insets.findIndex(({ id }) => id === inset.id) < i ? `.${i + 1}` : ""}`,
      stage: "movement",
      subject: [`inset:${inset.id}`],
      level,
      text:
        wet < 0
          ? `${inset.name} binds in ${inset.when.wet}`
          : lost
            ? `${inset.name} keeps ${fine(inset.engaged!.dry)} in its groove in ${inset.when.dry}`
            : wide
              ? `${inset.name} shows a gap of ${fine(dry)} in ${inset.when.dry}`
              : `${inset.name} keeps ${fine(wet)} in ${inset.when.wet}`,
      why: `${fine(inset.gap.today)} today; ${mm(inset.moves)} of wood across the grain changes from ${fine(inset.dry)} to ${fine(inset.wet)}.`,
      limit: round1(Math.max(0, inset.wet / edges)),
      actual: round1(inset.gap.today),
      sense: "at least",
      unit: "mm",
      source: TRAVEL,
      remedies,
    });
  });
}
