/** How bought feet are put on. */
import { feetOf, FOOT_NAMES } from "../construction/fitting/feet";
import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { Step, stepOf } from "./step";

const INTO = {
  glides: "each glide is driven or screwed into its own",
  rubber: "each foot goes on with its screw and washer, tight and not so tight that it bulges",
  levelling: "a sleeve is glued into each with epoxy, level with the wood; the thread goes in when that is hard",
};

/** Once the wood stands level and is finished. @param after  the steps that leave it so */
export function feetSteps(form: Form, { lifted }: PieceGeometry, after: string[]): Step[] {
  const feet = feetOf(form);
  if (!feet || !lifted) return [];
  const { many, one } = FOOT_NAMES[feet.kind];
  const levelling = feet.kind === "levelling";
  return [
    stepOf({
      id: "feet",
      title: `Set the ${many.toLowerCase()}`,
      detail: `${lifted.spots.length} holes up from below, ${fine(feet.hole)} wide and ${fine(feet.deep)} deep, square to the floor and not along a leg that leans: in the middle of each leg’s end, or near both ends of what stands on its edge. Then ${INTO[feet.kind]}. They add ${fine(feet.height)} to the wood.`,
      parts: [],
      after,
      hours: 0.25 + 0.12 * lifted.spots.length,
      check: levelling
        ? "All turned in alike; on the client’s floor the lowest corner is turned out until nothing rocks."
        : `Nothing rocks on a flat floor, and the top stands at ${mm(form.height)}.`,
      caution: `A drill without its stop comes out beside the ${one.toLowerCase()}.`,
    }),
  ];
}
