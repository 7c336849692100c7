/** Fields of the form: a top folded over itself that turns a quarter on a pivot and opens, so that its frame carries both halves. */
import * as v from "valibot";
import { choice, size } from "./fields";

export const TURNS = ["none", "fold"] as const;

const turnSchema = v.strictObject({
  kind: choice("a top that turns", TURNS),
  /** the flat rail its pivot goes through */
  rail: v.strictObject({
    width: size("width of the pivot's rail", 40, 300),
    thickness: size("thickness of the pivot's rail", 12, 60),
  }),
  bolt: size("pivot bolt", 6, 25),
});
export type TurnChoices = v.InferOutput<typeof turnSchema>;

/** @source common practice */
export const USUAL_TURN: TurnChoices = { kind: "none", rail: { width: 110, thickness: 24 }, bolt: 12 };
export const turnFields = { turn: v.optional(turnSchema, USUAL_TURN) };
