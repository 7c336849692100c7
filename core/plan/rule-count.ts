/** How many rules there are, by stage. */
import { BRIEF_RULES } from "../brief/rules";
import { BASE_LIST } from "../construction/base";
import { CURVE_RULES } from "../construction/curve-rules";
import { RING_RULES } from "../construction/ring/rules";
import { FIT_RULES } from "../construction/fit-rules";
import { FORM_RULES } from "../construction/rules";
import { GLUE_RULES } from "../glueup/rules";
import { FASTENING_RULES } from "../joinery/fastening-rules";
import { CUTTING_RULES } from "../layout/rules";
import { FLAT_RULES } from "../movement/flat-rules";
import { HOLD_RULES } from "../movement/hold-rules";
import { NOTCH_RULES } from "../movement/notch-rules";
import { OUTDOOR_RULES } from "../outdoors/rules";
import { MOVEMENT_RULES } from "../movement/rules";
import { BUILD_RULES, LOG_RULES } from "../steps/rules";
import { PANEL_RULES } from "../stock/rules";
import { INLAY_RULES } from "../construction/top/inlay-rules";
import { STRIPE_RULES } from "../movement/stripe-rules";
import { OWN_RULES } from "../construction/own/rules";
import { FACING_RULES } from "../construction/facing/rules";
import { HATCH_RULES } from "../construction/hatch/rules";
import { FEET_RULES } from "../construction/fitting/feet-rules";
import { TURN_RULES } from "../construction/turning/rules";
import { DROP_RULES } from "../construction/dropping/rules";
import { PARTING_RULES } from "../construction/parting/rules";
import { SLAB_RULES } from "../construction/top/slab-rules";
import { SHELF_RULES } from "../construction/fitting/shelf-rules";
import { WOOD_RULES } from "../wood/unknown-rules";
import type { Stage } from "../verdict/verdict";

/** Number of verdict rules in force, by stage, over all bases. */
export const RULE_COUNT: Record<Stage, number> = {
  brief: BRIEF_RULES.length + 1,
  form:
    FORM_RULES.length +
    FIT_RULES.length +
    1 +
    WOOD_RULES.length +
    OUTDOOR_RULES.length +
    PARTING_RULES.length +
    DROP_RULES.length +
    TURN_RULES.length +
    FACING_RULES.length +
    HATCH_RULES.length +
    FEET_RULES.length +
    RING_RULES.length +
    CURVE_RULES.length +
    SLAB_RULES.length +
    SHELF_RULES.length +
    OWN_RULES.length +
    BASE_LIST.reduce((sum, each) => sum + each.formRules.length, 0),
  movement:
    FLAT_RULES.length +
    HOLD_RULES.length +
    NOTCH_RULES.length +
    MOVEMENT_RULES.length +
    STRIPE_RULES.length +
    1 +
    BASE_LIST.reduce((sum, each) => sum + (each.moveRules?.length ?? 0), 0),
  joints: FASTENING_RULES.length + 4 + BASE_LIST.reduce((sum, each) => sum + each.jointRules.length, 0),
  boards: PANEL_RULES.length + INLAY_RULES.length,
  "glue-up": GLUE_RULES.length + 1,
  cutting: CUTTING_RULES.length,
  build: BUILD_RULES.length,
  log: LOG_RULES.length,
};
