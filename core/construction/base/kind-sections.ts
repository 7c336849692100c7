import { jointScene } from "../../drawing/joint";
import { kindName, KindOfJoint } from "../../joinery/kinds";
import type { Species } from "../../wood/species";
import type { JointSection } from "./base";

/** Drawings of joints that are sized by themselves. */
export const kindSections = (joints: readonly KindOfJoint[], species: Species): JointSection[] =>
  joints.map((joint) => ({
    joint: joint.id,
    scene: jointScene(joint, species),
    caption: `${kindName(joint)}: from its side, and from its edge.`,
  }));
