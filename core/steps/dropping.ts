/** How drop leaves are moulded, hinged and held. */
import { bracketsAt, hingesAt, HINGES } from "../construction/dropping/parts";
import { RULE } from "../construction/dropping/drop";
import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import { fine, listed, mm } from "../verdict/verdict";
import { gateFitSteps } from "./gates";
import { Step, stepOf } from "./step";

/** Edges are cut while top and leaves are flat and at their size, before they are finished. @param after  the steps that leave them so */
export function dropEdgeSteps(at: PieceGeometry, after: string[]): Step[] {
  const { drop } = at;
  if (!drop) return [];
  const parts = ["top", "drop-leaf"];
  if (drop.joint === "square")
    return [
      stepOf({
        id: "drop-edges",
        title: "Joint the top’s and the leaves’ edges to one another",
        detail: `Laid beside one another face up: the seam closes from end to end, then ${fine(2 * RULE.air)} of card between them.`,
        ...{ parts, after, hours: 1 },
        check: "One gap from end to end.",
      }),
    ];
  return [
    stepOf({
      id: "drop-edges",
      title: "Mould the rule joints",
      detail: `The top’s long edge from above: a step of ${fine(drop.fillet)}, then a quarter round of ${fine(drop.round)}, its middle ${fine(RULE.inset)} above the underside. The leaf’s inner edge from below: a cove of ${fine(drop.round + RULE.air)} about the same middle, ${fine(RULE.air)} larger, so that it never rubs. Both cutters tried on offcuts of this top’s thickness first, a hinge screwed on: the offcut leaf must swing free.`,
      ...{ parts, after, hours: 2.5 },
      check: "Laid together up: faces level, a hair of light in the joint and no more.",
      caution: "The cove’s edge is thin at its lip: take it in three passes, the last against an offcut.",
    }),
  ];
}

/** Once the top is on its frame. @param attach  the step at which it is */
export function dropHangSteps(form: Form, at: PieceGeometry, attach: string): Step[] {
  const { drop, top } = at;
  if (!drop) return [];
  const hinges = hingesAt(form, top.length);
  const places = listed(hinges.map((x) => mm(Math.round(x + top.length / 2))));
  return [
    stepOf({
      id: "drop-hinges",
      title: "Hinge the leaves",
      detail: `Upside down on a blanket, leaf against top with ${drop.joint === "rule" ? "a card in the joint" : `${fine(2 * RULE.air)} of card in the seam`}. ${hinges.length} hinges a leaf, their middles ${places} from the left end; let in flush, ${fine(HINGES.thick)} deep, the knuckle in a groove ${drop.joint === "rule" ? `${mm(drop.round)} in from the top’s edge, right below the round’s middle; the long wing on the leaf, past its cove` : "under the seam"}. One screw in each, swing it, then the others.`,
      parts: ["top", "drop-leaf"],
      after: [attach],
      hours: 0.4 * hinges.length * drop.sides.length + 0.5,
      check: "Each leaf swings through its quarter without a sound and hangs plumb.",
    }),
    ...(form.drop.held === "brackets" ? [bracketStep(form, at, drop.sides.length)] : []),
    ...gateFitSteps(form, at),
  ];
}

const bracketStep = (form: Form, at: PieceGeometry, leaves: number): Step => {
  const brackets = bracketsAt(form, at).length;
  return stepOf({
    id: "drop-brackets",
    title: "Screw the brackets on",
    detail: `${brackets} a leaf on the rails’ outer faces, folded against them; open, their ends bear under the leaf with a slip of leather or card, so that it lies level with the top and not above.`,
    parts: ["drop-leaf"],
    after: ["drop-hinges"],
    hours: 0.3 * brackets * leaves,
    check: "A straightedge over the joint shows no light, and none when you lean on the leaf.",
  });
};
