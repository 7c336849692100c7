import type { Meeting } from "../../../assembly/meeting";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { BaseFacts } from "../base";
import { contactsOf } from "./contacts";
import type { Case } from "./case";

/** Where the parts of a case meet, by the joint of their group. */
export function caseMeetings({ at, joints }: BaseFacts<Case>): Meeting[] {
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  return contactsOf(at).flatMap(({ group, enters, receives, face }): Meeting[] => {
    const joint = byId.get(group);
    return joint ? [{ joint, enters, receives, face }] : [];
  });
}
