/** What holds leaves up, or a top that turns, made and fitted once the frame stands and before its top is on. */
import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import { gateSteps } from "./gates";
import { loperSteps } from "./lopers";
import type { Step } from "./step";
import { pivotSteps } from "./turning";

export const heldSteps = (form: Form, at: PieceGeometry, closed: readonly string[], clampHours: number): Step[] => [
  ...loperSteps(form, at, closed),
  ...gateSteps(form, at, closed, clampHours),
  ...pivotSteps(form, at, closed),
];
