import { Assembly, standing } from "../assembly/part";
import { BaseName, OWN_CHOICES } from "../piece/base-choices";
import type { Form, JointChoices } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { addedOf, workedFor } from "./added";
import { assemble } from "./assemble";
import { BaseGeometry, baseOf } from "./base";
import { placed } from "./placed";

/** Whether a piece on this base looks the same after a change of its form: nothing that the base reads has changed. */
export function looksAlike(kind: BaseName, before: Form, after: Form): boolean {
  const others = Object.entries(OWN_CHOICES).flatMap(([base, key]) => (base === kind ? [] : [key as keyof Form]));
  return (Object.keys(after) as (keyof Form)[]).every(
    (key) => key === "kind" || others.includes(key) || before[key] === after[key],
  );
}

/** A piece as another choice would make it, for the small drawings it is chosen by: its parts, without boards, years or rules. */
export function preview(form: Form, choices: JointChoices, shop: Shop): { geometry: BaseGeometry; assembly: Assembly } {
  const base = baseOf(form.kind);
  const geometry = placed(form, []);
  const joints = base.joints(geometry, form, choices, shop);
  const meetings = base.meetings({ form, at: geometry, joints });
  const own = addedOf({ form, at: geometry, choices, shop }).parts;
  const { parts } = assemble({ form, at: geometry, joints, meetings, breadboards: null, stiffeners: null, own });
  return { geometry, assembly: { parts: standing(workedFor(parts, geometry, form)) } };
}
