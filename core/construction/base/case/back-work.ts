import { sizeStep } from "../../../steps/panel";
import { FRAME_CLAMPS, Step, stepOf as step } from "../../../steps/step";
import type { Form } from "../../../piece/schema";
import { fine, mm } from "../../../verdict/verdict";
import { backBoards, backFrame, backPanels } from "./back";
import type { Case } from "./case";

interface Before {
  /** the steps after which the back closes the case */
  made: string[];
  milled: string[];
  fullHours: number;
  clampHours: number;
}

/** A back of wood: made beside the case, put on last, when drawers and doors have been fitted through it. */
export function backSteps(at: Case, form: Form, { made, milled, fullHours, clampHours }: Before): Step[] {
  const { backs } = form.case;
  if (at.backed === "boards") {
    const boards = backBoards(at, form);
    return [
      step({
        id: "back-laps",
        title: "Halve the edges of the back’s boards",
        detail: `${boards.length} boards, ${mm(backs.lap)} wide and half their thickness deep, the left edge from the front and the right from behind; the first and the last keep their outer edges. One fence for all. Finished on both faces before they go on.`,
        parts: ["back-board"],
        after: milled,
        hours: 0.5 + 0.1 * boards.length,
        check: "Two laid together are as thick as one, and slide.",
      }),
      step({
        id: "back",
        title: "Screw the back’s boards on",
        detail: `From the left, a strip of ${fine(backs.gap)} in each lap while it is screwed: one screw in the middle of each board at the bottom and one above. Where a shelf or a divider lies behind a board, one in a slot. The case is held square by its diagonals: these boards don’t do it.`,
        parts: ["back-board"],
        after: [...made, "back-laps"],
        hours: 0.5 + 0.15 * boards.length,
        check: "Diagonals alike; no board pinned twice across its grain.",
      }),
    ];
  }
  if (at.backed !== "framed") return [];
  const panels = backPanels(at, form).length;
  const kinds = [...new Set(backFrame(at, form).map(({ kind }) => kind))];
  return [
    step({
      id: "back-frame",
      title: "Joint the back’s frame",
      detail: `Grooves ${mm(backs.groove)} deep in the inner edges first; then mortises in line with them, tenons of the rails into the stiles, those of muntins into the rails. Over all a shaving less than the rebates measure.`,
      parts: kinds,
      after: milled,
      hours: 2 + 0.5 * Math.max(0, panels - 1),
      check: "Dry, it drops into the rebates of the case.",
    }),
    step({
      id: "back-panels",
      title: panels > 1 ? "Fit and finish the back’s panels" : "Fit and finish the back’s panel",
      detail: `Their edges thinned to slide in the grooves by hand, ${fine(backs.free)} free at each side on the day. Finished on both faces now: what is hidden shows bare wood when it shrinks.`,
      parts: ["back-panel"],
      after: ["back-frame", sizeStep("back-panel")],
      hours: 0.5 * panels + 0.25,
    }),
    step({
      id: "back-glue",
      title: "Glue the back’s frame",
      detail:
        "Muntins into one rail, panels in dry with a dab of glue in the middle of each rail, the other rail, then the stiles. Flat, diagonals alike.",
      parts: [...kinds, "back-panel"],
      after: ["back-panels"],
      hours: 1,
      wait: fullHours,
      waitFor: "the back to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
      check: "Every panel moves under a thumb.",
    }),
    step({
      id: "back",
      title: "Screw the back on",
      detail:
        "Drawers and doors are fitted through the open back first. Into the rebates, screws through the frame only, never through a panel: the first at two corners with the case held square.",
      parts: kinds,
      after: [...made, "back-glue"],
      hours: 0.75,
    }),
  ];
}
