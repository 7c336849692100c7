import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import type { SmallPart } from "../../assembly/small";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Form, JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import type { PieceGeometry } from "../geometry";

/** What a parted top is made from, and what it comes to. */
export interface PartingFacts {
  form: Form;
  at: PieceGeometry;
  choices: JointChoices;
  shop: Shop;
}

export interface Parted {
  parts: AssemblyPart[];
  joints: KindOfJoint[];
  meetings: Meeting[];
  small: SmallPart[];
}
