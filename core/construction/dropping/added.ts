/** What leaves that hang bring with them: themselves, what holds them up, the joints of that. */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import type { SmallPart } from "../../assembly/small";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Form, JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import type { PieceGeometry } from "../geometry";
import { gateHinges, gateJoints, gateParts } from "./gates";
import { loperJoints, loperParts } from "./lopers";
import { dropParts, dropSmall } from "./parts";

interface DroppedFacts {
  form: Form;
  at: PieceGeometry;
  choices: JointChoices;
  shop: Shop;
}

export function dropAdded({ form, at, choices, shop }: DroppedFacts): {
  parts: AssemblyPart[];
  joints: KindOfJoint[];
  meetings: Meeting[];
  small: SmallPart[];
} {
  const [lopers, gates] = [loperJoints(at), gateJoints(at, form, choices, shop)];
  return {
    parts: [...dropParts(at), ...loperParts(at), ...gateParts(at, form)],
    joints: [...lopers.joints, ...gates.joints],
    meetings: [...lopers.meetings, ...gates.meetings],
    small: [...dropSmall(form, at), ...gateHinges(at, form)],
  };
}
