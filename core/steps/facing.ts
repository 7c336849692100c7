/** How a top gets its facing: a trench when it is flat, the strip under it coloured and masked, the facing glued when all round it is finished. */
import { facingOf, STUFF } from "../construction/facing/facing";
import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { Step, stepOf } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** The trench, once nothing is planed off the face any more; nothing where none is cut. */
export function trenchSteps(form: Form, at: Pick<PieceGeometry, "core" | "top">, after: string): TopStep[] {
  const facing = facingOf(form, at);
  if (!facing || facing.depth <= 0) return [];
  return [
    {
      id: "facing-trench",
      title: "Rout the trench for the facing",
      detail: `${mm(Math.round(facing.width))} wide, ${fine(facing.depth)} deep, ${mm(Math.round(facing.front))} from the front edge, between two battens that guide the router; the edges first, then the middle on a wide base, its floor scraped. Tried with the facing itself: it is never as thick as it is sold.`,
      parts: ["top"],
      after: [after],
      hours: 1.5,
      check: `A scrap of the facing lies ${form.facing.proud > 0 ? `${fine(form.facing.proud)} proud` : "flush"} all along.`,
    },
  ];
}

/** The facing goes on last. @param after  the step before it */
export function facingSteps(form: Form, at: PieceGeometry, after: string): Step[] {
  const facing = facingOf(form, at);
  if (!facing) return [];
  const { stuff, wraps, thickness } = facing;
  const { name, glue } = STUFF[stuff];
  return [
    stepOf({
      id: "facing",
      title: `Face the top with ${name.toLowerCase()}`,
      detail: `Its bed was masked while the rest was finished; its edges are coloured now, so that no bright line shows beside the ${name.toLowerCase()}. ${glue[0].toUpperCase()}${glue.slice(1)}; laid from one end, rolled from the middle out, 20 over at both ends.${wraps > 0 ? ` Down over each end by ${mm(wraps)}: pared thin where it bends, drawn over a rounded arris and held under a block.` : ` Its ends trimmed flush with a fresh blade.`}`,
      parts: ["top"],
      after: [after],
      hours: wraps > 0 ? 2.5 : 1.5,
      wait: 24,
      waitFor: "the facing’s glue",
      check: `No blister under a lamp held low; ${fine(thickness)} thick, level all along.`,
      caution: "Contact glue’s vapour burns and dizzies: windows open, no flame.",
    }),
  ];
}
