import { BaseGeometry, baseOf } from "../construction/base";
import { asMeasured } from "../joinery/measured-mortises";
import type { KindOfJoint } from "../joinery/kinds";
import type { AsBuilt, Form, JointChoices } from "../piece/schema";
import type { Shop } from "../piece/shop";

interface BaseJointFacts {
  at: BaseGeometry;
  form: Form;
  choices: JointChoices;
  shop: Shop;
  asBuilt: readonly AsBuilt[];
}

/** The joints of what stands below, sized: what was mortised already says how thick the rest is. */
export function baseJointsOf({ at, form, choices, shop, asBuilt }: BaseJointFacts): KindOfJoint[] {
  const { joints } = baseOf(form.kind);
  const planned = joints(at, form, choices, shop);
  const measured = asMeasured(planned, choices, asBuilt);
  return measured === choices ? planned : joints(at, form, measured, shop);
}
