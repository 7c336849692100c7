/** How gates are made, hung on their rails, and fitted under their leaves. */
import { GATE } from "../construction/dropping/gates";
import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { FRAME_CLAMPS, Step, stepOf, TIME } from "./step";

/** @param closed  the steps after which the frame stands */
export function gateSteps(form: Form, { drop }: PieceGeometry, closed: readonly string[], clampHours: number): Step[] {
  const gates = drop?.gates ?? [];
  if (gates.length === 0) return [];
  const { low, thickness, arm } = form.drop.gates;
  const framed = low > 0;
  const parts = ["gate-leg", "gate-arm", ...(framed ? ["gate-stile", "gate-rail"] : [])];
  return [
    stepOf({
      id: "glue-gates",
      title: gates.length > 1 ? "Joint and glue the gates" : "Joint and glue the gate",
      detail: `${framed ? "Arm and lower rail between leg and stile" : "Each arm into its leg"}, all ${fine(thickness)} thick and flush. Mortises first, tenons to them; square by a long try square from arm to leg, the leg a few millimetres long below.`,
      parts,
      after: ["mill"],
      hours: TIME.glueFrame + 0.8 * gates.length,
      wait: clampHours,
      waitFor: "the gates to set",
      clamps: Math.min(FRAME_CLAMPS, 2 * gates.length),
      clampHours,
      check: "Laid on a flat bench it does not rock: one in wind stands off its rail.",
    }),
    stepOf({
      id: "gates",
      title: gates.length > 1 ? "Hang the gates on their rails" : "Hang the gate on its rail",
      detail: `Two butt hinges each, as high as they go on the ${framed ? "stile beside the arm" : `arm’s ${mm(arm)}`}; let into both so that ${fine(GATE.air)} stays between. Folded flat against the rail, ${fine(GATE.below)} below its upper edge; opened it stops at a right angle by a block under the leaf, which comes when the leaf hangs.`,
      parts,
      after: ["glue-gates", ...closed],
      hours: 0.6 * gates.length,
      check: "Swung through, its foot keeps one height over the floor.",
    }),
  ];
}

/** Once the leaves hang. */
export function gateFitSteps(form: Form, { drop }: PieceGeometry): Step[] {
  const gates = drop?.gates ?? [];
  if (gates.length === 0) return [];
  return [
    stepOf({
      id: "gates-fit",
      title: "Fit the gates under their leaves",
      detail: `Table on a flat floor. Each leg is sawn at its foot until the leaf lies level on ${fine(GATE.pad)} of leather on its head; a stop is screwed below the leaf where the gate stands square, short of the joint’s hinges. Its foot eased all round: it slides on the floor.`,
      parts: ["drop-leaf", "gate-leg"],
      after: ["drop-hinges", "gates"],
      hours: 0.5 * gates.length,
      check: "A straightedge over the joint shows no light, and none when you lean on the leaf.",
      caution: "Fingers: whoever opens it draws the leaf up first and then the gate.",
    }),
  ];
}
