import { baseOf } from "../construction/base";
import type { Form } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { woodOf } from "../wood/woods";
import { JointSection, jointSections } from "./joint";

type Drawable = Pick<Plan, "geometry" | "joints" | "meetings" | "small" | "assembly" | "species" | "woods"> & {
  form: Form;
};

/** Every drawing of a piece's joints, joint by joint: what its base sets out full size first, then each sawn through its middle. */
export function jointDrawings({ form, ...plan }: Drawable): JointSection[] {
  const { geometry: at, joints, meetings, small, species, woods } = plan;
  return [
    ...baseOf(form.kind).setOuts({ form, at, joints, species }),
    ...jointSections(joints, {
      ...{ parts: plan.assembly.parts, meetings, small },
      wood: (kind) => woodOf(woods, kind, species),
    }),
  ];
}
