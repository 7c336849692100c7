/** How a top is made to turn and open. */
import type { PieceGeometry } from "../construction/geometry";
import { PIVOT } from "../construction/turning/parts";
import { FELT } from "../construction/turning/turn";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { Step, stepOf } from "./step";

/** The pivot's rail, let into the long rails once the frame stands. @param closed  the steps after which it does */
export function pivotSteps(form: Form, { turn }: PieceGeometry, closed: readonly string[]): Step[] {
  if (!turn) return [];
  const { bolt, rail } = form.turn;
  return [
    stepOf({
      id: "pivot",
      title: "Let the pivot’s rail in and bore it",
      detail: `${mm(rail.width)} wide and ${fine(rail.thickness)} thick, flush with the rails above, a screw in the middle of each end. Its middle ${mm(Math.abs(turn.pivot.x))} left of the frame’s middle; the bolt’s hole ${fine(bolt + 2 * PIVOT.play)} wide and ${mm(Math.abs(turn.pivot.z))} behind it, from one layout with the top’s.`,
      parts: ["pivot-rail"],
      after: ["mill", ...closed],
      hours: 1,
      check:
        "Diagonals from the hole to the two front corners as on the drawing: a millimetre off shows twice when it is open.",
    }),
  ];
}

/** In place of fastening the top. */
export function turnAttach(form: Form, { turn, top }: PieceGeometry): Pick<Step, "title" | "detail" | "check"> | null {
  if (!turn) return null;
  return {
    title: "Hinge the leaf, and set the top on its pivot",
    detail: `Both halves inner face to inner face on the bench, back edges flush: a hinge let into both edges at each end, flush with them, with ${fine(FELT)} of card between. Insert for the ${mm(form.turn.bolt)} bolt in the underside, ${fine(PIVOT.insert * top.thickness)} deep and no deeper, a quarter of ${mm(top.width)} left of its middle and behind it. Felt on all rails, then down on its pivot: washer, nut and a second nut against it, so tight that it turns with two fingers. A stop below for each of its two places.`,
    check:
      "Folded it lies square on its frame; turned and open the hinged line lies over the middle, all edges equally far out.",
  };
}
