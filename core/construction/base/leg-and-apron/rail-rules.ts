/** What a rail's depth and thickness ask of its joints, and what the shop reaches. */
import { TENON } from "../../../joinery/blind-tenon";
import { grade, Level, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import type { RailFacts as JointFacts } from "./facts";

export function twoTenons(facts: JointFacts): Verdict {
  const joint = facts.joints[0];
  const deep = facts.at.rail.depth > TENON.twoFrom;
  const level: Level = deep && joint.tenons < 2 ? "tight" : joint.tenonWidth < 15 ? "fix" : "holds";
  return verdict({
    id: "joints.two-tenons",
    stage: "joints",
    subject: ["tenon"],
    level,
    text:
      level === "fix"
        ? `Tenons of ${mm(joint.tenonWidth)} are too narrow`
        : joint.tenons > 1
          ? `${joint.tenons} tenons of ${mm(joint.tenonWidth)} with ${mm(joint.gap)} between`
          : deep
            ? `One tenon ${mm(joint.tenonWidth)} wide in a deep rail`
            : `One tenon, ${mm(joint.tenonWidth)} wide`,
    why: `A rail deeper than about ${TENON.twoFrom} mm moves enough to work on one wide tenon.`,
    limit: TENON.twoFrom,
    actual: facts.at.rail.depth,
    sense: "at most",
    unit: "mm",
    remedies:
      level === "tight"
        ? [set("Cut two tenons with a gap", ["joints", "legRail", "tenons"], 2)]
        : level === "fix"
          ? [set("Cut one tenon", ["joints", "legRail", "tenons"], 1)]
          : [],
  });
}

export function stoppedTop(facts: JointFacts): Verdict {
  const joint = facts.joints[0];
  const haunchless = joint.made === "mortise-tenon" && !joint.haunch;
  return verdict({
    id: "joints.haunch",
    stage: "joints",
    subject: ["tenon"],
    level: haunchless ? "tight" : "holds",
    text: haunchless
      ? `The top ${mm(joint.shoulders.top)} of the rail can twist`
      : joint.haunch
        ? `A haunch holds the rail's top ${mm(joint.haunch.width)}`
        : `Mortises stop ${mm(joint.shoulders.top)} below the leg's top`,
    why: "The mortise stops below the leg's end so that it can't split out; a haunch keeps the rail straight there.",
    remedies: haunchless ? [set("Cut a haunch", ["joints", "legRail", "haunch"], true)] : [],
  });
}

export function reach({ joints, shop }: JointFacts): Verdict {
  const deepest = Math.max(...joints.map((each) => each.mortiseDepth));
  const level: Level = deepest > shop.mortiseDepth ? "fix" : "holds";
  return verdict({
    id: "joints.reach",
    stage: "joints",
    subject: ["tenon"],
    level,
    text:
      level === "fix" ? `The shop can't mortise ${mm(deepest)} deep` : `Mortises ${mm(deepest)} deep are within reach`,
    why: `The deepest the shop cuts is ${mm(shop.mortiseDepth)}.`,
    limit: shop.mortiseDepth,
    actual: deepest,
    sense: "at most",
    unit: "mm",
    source: "the shop's own tools",
    remedies: level === "fix" ? [set("Let Taller choose the length", ["joints", "legRail", "length"], null)] : [],
  });
}

/** What a screw's point leaves before a face that is seen, mm. @source common practice */
const SCREW = { behind: 8 };
/** A stub tenon shorter than this holds a rail by its glue alone, mm. @source common practice */
const LEAST_STUB = 8;

/** The joint of a cross-rail: long rails are thin, and it is cut in their middle. */
export function crossRail({ joints, at, form }: JointFacts): Verdict | null {
  const joint = joints.find((each) => each.enters === "cross-rail");
  if (!joint) return null;
  const level = grade(joint.left.tip, "at least", TENON.wall, TENON.wall / 2);
  const short = joint.reach < LEAST_STUB || joint.tenonWidth < 15;
  return verdict({
    id: "joints.cross-rail",
    stage: "joints",
    subject: ["cross-rail"],
    level: short ? "fix" : level,
    text: short
      ? `Cross-rails have a tenon of ${mm(joint.reach)} by ${mm(joint.tenonWidth)}: too little to hold`
      : level === "holds"
        ? `Cross-rails stand ${mm(joint.reach)} in the long rails, ${mm(joint.left.tip)} left behind`
        : `Only ${mm(joint.left.tip)} of long rail is left behind the cross-rails’ mortises`,
    why: `A stub half a rail deep keeps it from twisting; under ${TENON.wall} mm of wood behind it the mortise shows through in dry months. It is never pulled: the top holds the rails together.`,
    limit: TENON.wall,
    actual: Math.round(joint.left.tip * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" && !short
        ? []
        : [
            ...(form.apron.thickness < 25
              ? [set("Make the rails 25 mm thick", ["form", "apron", "thickness"], 25)]
              : []),
            ...(at.crossRails.length > 0 ? [set("Leave the cross-rails out", ["form", "crossRails"], 0)] : []),
          ],
  });
}

export function blockScrews({ form, at }: JointFacts): Verdict | null {
  if (!form.cornerBlocks) return null;
  const wood = at.rail.thickness;
  return verdict({
    id: "joints.blocks",
    stage: "joints",
    subject: ["corner-block"],
    level: wood >= 10 + SCREW.behind ? "holds" : wood > 10 ? "tight" : "fix",
    text:
      wood >= 10 + SCREW.behind
        ? "Corner blocks take 40 mm screws"
        : wood > 10
          ? `A 40 mm screw leaves ${mm(wood - 10)} of rail before its face`
          : "A 40 mm screw comes through the rail",
    why: `Through a 30 mm block it goes 10 mm into a ${mm(wood)} rail, and wants ${SCREW.behind} mm behind it: its point lifts the face. Drill before the glue-up, a driver won't reach between the rails.`,
    limit: 10 + SCREW.behind,
    actual: wood,
    sense: "at least",
    unit: "mm",
    remedies: wood >= 18 ? [] : [set("Leave the blocks out", ["form", "cornerBlocks"], false)],
  });
}
