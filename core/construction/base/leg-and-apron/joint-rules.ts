import { TENON } from "../../../joinery/blind-tenon";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict, round1 } from "../../../verdict/verdict";
import type { Rule } from "../base";
import { legBefore, legRailJoint } from "./joints";
import type { RailFacts as JointFacts } from "./facts";
import { blockScrews, crossRail, reach, stoppedTop, twoTenons } from "./rail-rules";

/** Every rule of tenons between legs and rails. */
export const LEG_RAIL_RULES: readonly Rule<JointFacts>[] = [
  thickness,
  shoulders,
  cutter,
  wallAtTip,
  wallBeside,
  mortisesMeet,
  tenonLength,
  twoTenons,
  stoppedTop,
  reach,
];
/** Those of what stands beside them, however the rails are joined. */
export const BESIDE_RULES: readonly Rule<JointFacts>[] = [blockScrews, crossRail];

function thickness(facts: JointFacts): Verdict {
  const joint = facts.joints[0];
  const rail = facts.at.rail.thickness;
  const share = joint.thickness / rail;
  const level: Level = share > 0.6 || share < 0.15 ? "fix" : share > 0.45 || share < 0.25 ? "tight" : "holds";
  return verdict({
    id: "joints.thickness",
    stage: "joints",
    subject: ["tenon"],
    level,
    text:
      joint.thickness >= rail
        ? `The tenon is thicker than its rail: ${mm(joint.thickness)} in ${mm(rail)}`
        : `${tenonsOf(facts)} tenons of ${mm(joint.thickness)} in ${mm(rail)} rails`,
    why: `About a third of the rail is right: ${fine(rail / 3)}, rounded to a cutter you own.`,
    limit: Math.round(rail / 3),
    actual: joint.thickness,
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...ownedThickness(facts),
            ...(facts.form.apron.thickness === 25
              ? []
              : [set("Make the rails 25 mm thick", ["form", "apron", "thickness"], 25)]),
          ],
  });
}

/** Tenons of long and end rails in all legs. */
const tenonsOf = ({ joints }: JointFacts) =>
  joints.filter((each) => each.enters !== "cross-rail").reduce((sum, each) => sum + each.count * each.tenons, 0);

function ownedThickness({ choices }: JointFacts): Remedy[] {
  return choices.legRail.thickness === null
    ? []
    : [set("Let Taller choose the thickness", ["joints", "legRail", "thickness"], null)];
}

function shoulders(facts: JointFacts): Verdict {
  const joint = facts.joints[0];
  const level = grade(joint.shoulders.face, "at least", TENON.leastShoulder, 2);
  return verdict({
    id: "joints.shoulders",
    stage: "joints",
    subject: ["tenon"],
    level,
    text:
      level === "holds"
        ? `${tenonsOf(facts)} tenons, shoulders of ${fine(joint.shoulders.face)} each face`
        : `Shoulders of only ${fine(joint.shoulders.face)}`,
    why: `Under ${TENON.leastShoulder} mm a shoulder neither hides the mortise nor resists racking.`,
    limit: TENON.leastShoulder,
    actual: round1(joint.shoulders.face),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : ownedThickness(facts),
  });
}

function cutter(facts: JointFacts): Verdict {
  const { tool, thickness: size } = facts.joints[0];
  const owned = tool.kind !== "none";
  return verdict({
    id: "joints.cutter",
    stage: "joints",
    subject: ["tenon"],
    level: owned ? "holds" : "fix",
    text: owned ? `Cut with the ${mm(tool.size)} ${tool.kind}` : `Nothing in the shop cuts a ${mm(size)} mortise`,
    why:
      facts.choices.legRail.kind === "loose-tenon"
        ? `Loose tenons owned: ${list(facts.shop.looseTenons.map((each) => each.thickness))}.`
        : `Router bits: ${list(facts.shop.routerBits)}; chisels: ${list(facts.shop.chisels)}.`,
    source: "the shop's own tools",
    remedies: owned ? [] : ownedThickness(facts),
  });
}

function wallAtTip(facts: JointFacts): Verdict {
  const joint = facts.joints.reduce((a, b) => (b.enters !== "cross-rail" && b.left.tip < a.left.tip ? b : a));
  const level = grade(joint.left.tip, "at least", TENON.wall, TENON.wallLeast);
  const leg = legBefore(facts.at, joint.enters);
  const length = Math.floor(leg - TENON.wall - TENON.mortiseDeeper);
  return verdict({
    id: "joints.wall-tip",
    stage: "joints",
    subject: ["leg", "tenon"],
    level,
    text:
      joint.left.tip <= 0
        ? `The mortise comes through the leg by ${mm(-joint.left.tip)}`
        : `${mm(joint.left.tip)} of leg left beyond the deepest of ${tenonsOf(facts)} mortises`,
    why: `The leg is ${mm(leg)}, the mortise ${mm(joint.mortiseDepth)} deep; leave ${TENON.wall} mm.`,
    limit: TENON.wall,
    actual: round1(joint.left.tip),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set("Let Taller choose the length", ["joints", "legRail", "length"], null),
            ...(length > 20 ? [set(`Make tenons ${length} mm long`, ["joints", "legRail", "length"], length)] : []),
          ],
  });
}

function wallBeside(facts: JointFacts): Verdict {
  const joint = facts.joints[0];
  const level = grade(joint.left.side, "at least", TENON.wall, TENON.wallLeast);
  const reveal = Math.ceil(facts.form.apron.reveal + TENON.wall - joint.left.side);
  return verdict({
    id: "joints.wall-side",
    stage: "joints",
    subject: ["leg"],
    level,
    text: `${fine(joint.left.side)} of leg outside the mortise`,
    why: `A reveal of ${mm(facts.form.apron.reveal)} and the shoulder; under ${TENON.wallLeast} mm it splits when the tenon is driven.`,
    limit: TENON.wall,
    actual: round1(joint.left.side),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Set the reveal to ${reveal} mm`, ["form", "apron", "reveal"], reveal)],
  });
}

function mortisesMeet(facts: JointFacts): Verdict {
  const { choices } = facts;
  const [a, b] = facts.joints;
  const [inner, innerAcross] = [a, b].map(
    ({ enters, offset, thickness: size }) => legBefore(facts.at, enters) - offset - size,
  );
  const meet = a.mortiseDepth > inner && b.mortiseDepth > innerAcross;
  const clash = Math.max(-a.left.meeting, -b.left.meeting);
  const level: Level = clash > 0 ? "fix" : "holds";
  return verdict({
    id: "joints.meeting",
    stage: "joints",
    subject: ["leg", "tenon"],
    level,
    text:
      clash > 0
        ? `The two tenons collide by ${mm(clash)} in the leg`
        : meet
          ? "The two mortises meet; the tenons are mitred to pass"
          : "The two mortises stay apart in the leg",
    why: `Each mortise is ${mm(a.mortiseDepth)} and ${mm(b.mortiseDepth)} deep; ${mm(Math.min(inner, innerAcross))} is where the other begins.`,
    limit: 0,
    actual: round1(-clash),
    sense: "at least",
    unit: "mm",
    source: "derived: the two boxes in the leg",
    remedies:
      clash > 0
        ? [
            ...(choices.legRail.length === null
              ? []
              : [set("Let Taller choose the length", ["joints", "legRail", "length"], null)]),
            ...(choices.legRail.meeting === "mitred"
              ? []
              : [set("Mitre the tips", ["joints", "legRail", "meeting"], "mitred")]),
          ]
        : [],
  });
}

function tenonLength(facts: JointFacts): Verdict {
  const joint = facts.joints
    .filter((each) => each.enters !== "cross-rail")
    .reduce((a, b) => (b.reach < a.reach ? b : a));
  const level = grade(joint.reach, "at least", TENON.cheekLeast + 10, TENON.cheekLeast);
  return verdict({
    id: "joints.length",
    stage: "joints",
    subject: ["tenon"],
    level,
    text: `${tenonsOf(facts)} tenons, the shortest ${mm(joint.reach)} long: ${Math.round(joint.glueArea / 100)} cm² of cheek`,
    why: `Under ${TENON.cheekLeast + 10} mm it works loose in daily use.`,
    limit: TENON.cheekLeast + 10,
    actual: joint.reach,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : lengthRemedies(facts),
  });
}

function lengthRemedies(facts: JointFacts): Remedy[] {
  const auto = legRailJoint(facts.at, { ...facts.choices.legRail, length: null }, facts.shop, "end-rail");
  if (facts.choices.legRail.length !== null && auto.reach > facts.choices.legRail.length)
    return [set("Let Taller choose the length", ["joints", "legRail", "length"], null)];
  if (facts.choices.legRail.meeting === "short")
    return [set("Mitre the tips", ["joints", "legRail", "meeting"], "mitred")];
  // the thinnest legs in which they are long enough
  const { leg } = facts.at;
  const sections = Array.from({ length: 30 }, (_, i) => Math.ceil(leg.section) + 5 * (i + 1));
  const section = sections.find((each) => {
    const at = { ...facts.at, leg: { ...leg, section: each } };
    return legRailJoint(at, facts.choices.legRail, facts.shop, "end-rail").reach >= TENON.cheekLeast + 10;
  });
  return section ? [set(`Make legs ${section} mm`, ["form", "leg", "section"], section)] : [];
}

const list = (sizes: number[]) => `${sizes.join(", ")} mm`;
