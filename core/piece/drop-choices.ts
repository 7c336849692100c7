/** Fields of the form: leaves that hang down at a top's long sides and are held up by folding brackets. */
import * as v from "valibot";
import { between, choice, count, distance, size } from "./fields";

export const DROPS = ["none", "both", "front"] as const;
/** A moulded joint that shows no gap when the leaf hangs, or square edges. */
export const DROP_JOINTS = ["rule", "square"] as const;

/** By what a leaf is held up: folding brackets, wooden bearers that are drawn out from under the top, or legs that swing out. */
export const DROP_HELD = ["brackets", "lopers", "gates"] as const;
/** @source common practice */
const USUAL_LOPERS = { count: 2, width: 28, height: 36, out: 200 };

const USUAL_GATES = { count: 1, thickness: 24, reach: 260, leg: 45, arm: 70, low: 0, rail: 40, stile: 40 };

const dropSchema = v.strictObject({
  kind: choice("leaves that hang down", DROPS),
  /** across the table, its moulded edge with it */
  leaf: size("drop leaf across the table", 80, 900),
  joint: choice("joint of a drop leaf", DROP_JOINTS),
  /** the step above the round of the top's edge */
  fillet: distance("step above a rule joint", 15),
  hinges: v.nullable(count("hinges of a drop leaf", 2, 8)),
  held: v.optional(choice("what holds a leaf up", DROP_HELD), "brackets"),
  /** in pairs on one guide each, one for either leaf: how wide and high, how far they are drawn out */
  lopers: v.optional(
    v.strictObject({
      count: count("bearers of a drop leaf", 1, 4),
      width: size("width of a bearer", 15, 80),
      height: size("height of a bearer", 15, 100),
      out: size("how far a bearer is drawn out", 50, 700),
    }),
    USUAL_LOPERS,
  ),
  /** legs that swing out: one in a leaf's middle or two; from the rail to the leg's outer edge; with a lower rail at a height, 0 for none */
  gates: v.optional(
    v.strictObject({
      count: count("gates of a leaf", 1, 2),
      thickness: size("thickness of a gate", 15, 60),
      reach: size("reach of a gate", 80, 900),
      leg: size("width of a gate leg", 20, 120),
      arm: size("depth of a gate's arm", 25, 200),
      low: distance("height of a gate's lower rail", 600),
      rail: size("depth of a gate's lower rail", 20, 120),
      stile: size("width of a gate's stile", 20, 120),
    }),
    USUAL_GATES,
  ),
  /** as they are sold: how far one reaches under the leaf, what it carries at that end, how thick it is folded */
  brackets: v.strictObject({
    count: count("brackets of a drop leaf", 1, 6),
    reach: size("reach of a bracket", 50, 600),
    carries: between("what a bracket carries", 1, 300, " kg"),
    folded: size("thickness of a folded bracket", 5, 80),
    height: size("height of a bracket", 50, 500),
  }),
});
export type DropChoices = v.InferOutput<typeof dropSchema>;

/** @source common practice */
export const USUAL_DROP: DropChoices = {
  ...{ kind: "none", leaf: 280, joint: "rule", fillet: 3, hinges: null },
  ...{ held: "brackets", lopers: USUAL_LOPERS, gates: USUAL_GATES },
  brackets: { count: 2, reach: 250, carries: 60, folded: 18, height: 90 },
};
export const dropFields = { drop: v.optional(dropSchema, USUAL_DROP) };
