/** What tops bring with them that come apart, hang, turn, are faced, have a lid, or stand on a ring: parts, joints, how they open. */
import type { Meeting } from "../assembly/meeting";
import type { AssemblyPart, Pose } from "../assembly/part";
import type { SmallPart } from "../assembly/small";
import type { KindOfJoint } from "../joinery/kinds";
import type { Form, JointChoices } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { dropAdded } from "./dropping/added";
import { bedJoints } from "./facing/bed";
import { facingParts, withTrench } from "./facing/facing";
import { hatchJoints, hatchParts, hatchPoses, hatchSmall, withOpening } from "./hatch/hatch";
import { loperNotches } from "./dropping/lopers";
import { dropPoses } from "./dropping/parts";
import type { PieceGeometry } from "./geometry";
import { partedPoses, partingParts } from "./parting/parts";
import { ringAdded } from "./ring/parts";
import { turnJoints, turnParts, turnPoses, turnSmall, withPivot } from "./turning/parts";

interface AddedFacts {
  form: Form;
  at: PieceGeometry;
  choices: JointChoices;
  shop: Shop;
}

interface Added {
  parts: AssemblyPart[];
  joints: KindOfJoint[];
  meetings: Meeting[];
  small: SmallPart[];
}

export function addedOf(facts: AddedFacts): Added {
  const { at, form } = facts;
  const turn = { parts: turnParts(at, form), ...turnJoints(at), small: turnSmall(at, form) };
  const all: (Omit<Added, "small"> & Partial<Added>)[] = [
    partingParts(facts),
    ringAdded(facts),
    dropAdded(facts),
    turn,
    { parts: facingParts(form, at), ...bedJoints(at) },
    { parts: hatchParts(form, at), ...hatchJoints(form, at), small: hatchSmall(form, at) },
  ];
  return {
    parts: all.flatMap(({ parts }) => parts),
    joints: all.flatMap(({ joints }) => joints),
    meetings: all.flatMap(({ meetings }) => meetings),
    small: all.flatMap(({ small = [] }) => small),
  };
}

/** What they cut into parts that belong to the base, or to the top. */
export const workedFor = (parts: readonly AssemblyPart[], at: PieceGeometry, form: Form): AssemblyPart[] =>
  withOpening(withTrench(withPivot(loperNotches(parts, at), at, form), at, form), at, form);

export const posesOf = (at: PieceGeometry, parts: readonly AssemblyPart[], form: Form): Pose[] => [
  ...partedPoses(at, parts),
  ...dropPoses(at, form),
  ...turnPoses(at, parts),
  ...hatchPoses(form, at),
];
