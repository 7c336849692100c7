/** How a top gets its facing: a trench when it is flat, the strip under it coloured and masked, the facing glued when all round it is finished. */
import { BED_KIND } from "../construction/facing/bed";
import { facingOf, STUFF } from "../construction/facing/facing";
import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { sizeStep } from "./panel";
import { Step, stepOf } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** The trench, once nothing is planed off the face any more; nothing where none is cut. */
export function trenchSteps(form: Form, at: Pick<PieceGeometry, "core" | "top">, after: string): TopStep[] {
  const facing = facingOf(form, at);
  if (!facing || facing.depth <= 0 || form.facing.bed === "strip") return [];
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

/** The glued panel is sawn apart along its grain, and the strip the facing will lie on is glued between; nothing where it lies in a trench. */
export function bedSteps({ inserted, top }: Pick<PieceGeometry, "inserted" | "top">, form: Form): TopStep[] {
  if (!inserted) return [];
  const { front, lost } = inserted;
  return [
    {
      id: "bed-part",
      title: "Saw the panel apart for the strip",
      detail: `A triangle over the whole first. Along the grain, ${mm(Math.round(front))} from the front edge; both sawn edges jointed, ${mm(lost)} lost with the kerf.`,
      parts: ["top", BED_KIND],
      after: ["flatten", sizeStep(BED_KIND)],
      hours: 1,
      check: "All three laid in their order, both seams close without light.",
    },
    {
      id: "bed-glue",
      title: "Glue the strip between the halves",
      detail: `Colour the strip’s upper face, and as much of the halves’ edges as stands over it, first: no bright line shows beside the facing later. Mask the strip but for its edges. All three on their faces below, level there, cauls over both seams; what is squeezed out above is wiped off at once: nothing is planed there any more. Then trim to ${top.length} by ${top.width} mm.`,
      parts: ["top", BED_KIND],
      after: ["bed-part"],
      hours: 1.25,
      wait: 12,
      waitFor: "both seams",
      clamps: Math.max(3, Math.ceil(top.length / 300)),
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
      detail: `Its bed was masked while the rest was finished; its ${at.inserted ? "own edges" : "edges"} are coloured now, so that no bright line shows beside the ${name.toLowerCase()}. ${glue[0].toUpperCase()}${glue.slice(1)}; laid from one end, rolled from the middle out, 20 over at both ends.${wraps > 0 ? ` Down over each end by ${mm(wraps)}: pared thin where it bends, drawn over a rounded arris and held under a block.` : ` Its ends trimmed flush with a fresh blade.`}`,
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
