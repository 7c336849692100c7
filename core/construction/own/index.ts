/** What a maker adds to a construction: parts by size and place, joined to what they touch. Downstream nothing knows them from others. */
import type { AssemblyPart } from "../../assembly/part";
import type { Breadboards } from "../../movement/breadboard";
import type { Stiffeners } from "../../movement/flat";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Own } from "../../piece/own-choices";
import type { Form, JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import { bareParts } from "../assemble";
import type { BaseGeometry } from "../base";
import { OwnJoined, ownJoins } from "./joins";
import { ownParts } from "./parts";

export interface OwnStanding extends OwnJoined {
  parts: AssemblyPart[];
}

interface OwnInputs {
  own: Own;
  form: Form;
  at: BaseGeometry;
  joints: readonly KindOfJoint[];
  held: { breadboards: Breadboards | null; stiffeners: Stiffeners | null };
  choices: JointChoices;
  shop: Shop;
}

/** Own parts where they stand, and what holds them. Nothing is worked out where there are none. */
export function ownStanding({ own, form, at, joints, held, choices, shop }: OwnInputs): OwnStanding {
  if (own.parts.length === 0) return { parts: [], pairs: [], joints: [], meetings: [] };
  const parts = ownParts(own.parts, at.under);
  const others = bareParts({ form, at, joints, ...held });
  return { parts, ...ownJoins({ own, parts, others, choices, shop }) };
}
