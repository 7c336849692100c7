import { baseOf } from "../construction/base";
import type { Form } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { woodOf } from "../wood/woods";
import { JointSection, jointSections } from "./joint";

type Drawable = Pick<Plan, "geometry" | "joints" | "meetings" | "small" | "assembly" | "species" | "woods"> & {
  form: Form;
};

/**
 * Every drawing of a piece's joints, joint by joint: what its base sets out full size first, then each sawn through its middle.
 *
 * @param only  the joint that is looked at, where one is: bodies are carved for it alone
 */
export function jointDrawings({ form, ...plan }: Drawable, only: string | null = null): JointSection[] {
  const { geometry: at, meetings, small, species, woods } = plan;
  const joints = plan.joints.filter(({ id }) => only === null || id === only);
  return [
    ...baseOf(form.kind).setOuts({ form, at, joints: plan.joints, species }),
    ...jointSections(joints, {
      ...{ parts: plan.assembly.parts, meetings, small },
      wood: (kind) => woodOf(woods, kind, species),
    }),
  ];
}
