import { FRAME_CLAMPS, Step, stepOf as step } from "../../../steps/step";
import { mm } from "../../../verdict/verdict";
import type { Case } from "./case";
import type { Times } from "./door-work";
import { DRAWER, ofSize } from "./drawer";

/** Drawers after the case: each from its own opening. */
export function drawerSteps(
  { drawers }: Case,
  above: number,
  { fullHours, clampHours, milled }: Times,
  { run, sheet }: { run: boolean; sheet: boolean },
): Step[] {
  if (drawers.length === 0) return [];
  const kinds = (of: string) => [...new Set(drawers.map((each) => ofSize(of, each)))];
  const closed = run ? "runners" : "glue-base";
  return [
    step({
      id: "drawers-fronts",
      title: "Fit the drawer fronts to their openings",
      detail: `One after another, from the board in the order they hang: first the lower edge and the ends, until each just goes in, then ${mm(above)} off above. Sides and backs are cut from what fits, never from the list.`,
      parts: [...kinds("drawer-front"), ...kinds("drawer-side"), ...kinds("drawer-back")],
      after: [closed, ...milled],
      hours: 0.5 * drawers.length,
      check: "An even gap all round, each front numbered inside with its opening.",
    }),
    step({
      id: "drawers-dovetails",
      title: "Dovetail the drawers and groove them",
      detail: `The bottom’s groove first, ${mm(DRAWER.up)} above the lower edge, in sides and front: the lowest tail hides its end. Tails on both sides at once, taped together; pins from the tails.`,
      parts: [...kinds("drawer-front"), ...kinds("drawer-side"), ...kinds("drawer-back")],
      after: ["drawers-fronts"],
      hours: 2.5 * drawers.length,
      caution: "Chop from both sides to the line; hands behind the edge.",
    }),
    step({
      id: "drawers-glue",
      title: "Glue the drawers",
      detail:
        "On a flat board, bottom in dry to keep it square, diagonals alike. Two clamps across the front’s corners, two at the back.",
      parts: [...kinds("drawer-front"), ...kinds("drawer-side"), ...kinds("drawer-back"), ...kinds("drawer-bottom")],
      after: ["drawers-dovetails", ...(sheet ? ["cut-sheets"] : [])],
      hours: 0.5 * drawers.length,
      wait: fullHours,
      waitFor: "the drawers to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
      check: "No wind: it lies flat on the saw’s table.",
    }),
    step({
      id: "drawers-stops",
      title: "Plane the drawers in, set the stops",
      detail: `Sides planed to the pins until it runs without shake; bottoms in from behind. Stops on the rail behind the front, glued to bare wood, lower than the ${mm(DRAWER.up)} below the bottom; wax where it runs.`,
      parts: [...kinds("drawer-side"), ...kinds("drawer-bottom")],
      after: ["drawers-glue"],
      hours: 1 * drawers.length,
      check: "Pushed with one finger it closes and stops flush.",
    }),
  ];
}
