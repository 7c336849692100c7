import type { TableGeometry } from "../form/leg-and-apron";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { legRailJoint, LegRailJoint, TENON } from "./tenon";

export interface JointFacts {
  piece: Piece;
  at: TableGeometry;
  shop: Shop;
  joints: readonly LegRailJoint[];
}

/** Every rule of the joints stage. */
export const JOINT_RULES: ((facts: JointFacts) => Verdict | null)[] = [
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
  grooveClear,
  blockScrews,
];

const long = ({ joints }: JointFacts) => joints[0];

function thickness(facts: JointFacts): Verdict {
  const joint = long(facts);
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
        : `Tenon of ${mm(joint.thickness)} in a ${mm(rail)} rail`,
    why: `About a third of the rail is right: ${fine(rail / 3)}, rounded to a cutter you own.`,
    limit: Math.round(rail / 3),
    actual: joint.thickness,
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...ownedThickness(facts),
            ...(facts.piece.form.apron.thickness === 25
              ? []
              : [set("Make the rails 25 mm thick", ["form", "apron", "thickness"], 25)]),
          ],
  });
}

function ownedThickness({ piece }: JointFacts): Remedy[] {
  return piece.joints.legRail.thickness === null
    ? []
    : [set("Let Taller choose the thickness", ["joints", "legRail", "thickness"], null)];
}

function shoulders(facts: JointFacts): Verdict {
  const joint = long(facts);
  const level = grade(joint.shoulders.outer, "at least", TENON.leastShoulder, 2);
  return verdict({
    id: "joints.shoulders",
    stage: "joints",
    subject: ["tenon"],
    level,
    text:
      level === "holds"
        ? `Shoulders of ${fine(joint.shoulders.outer)} each face`
        : `Shoulders of only ${fine(joint.shoulders.outer)}`,
    why: `Under ${TENON.leastShoulder} mm a shoulder neither hides the mortise nor resists racking.`,
    limit: TENON.leastShoulder,
    actual: round1(joint.shoulders.outer),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : ownedThickness(facts),
  });
}

function cutter(facts: JointFacts): Verdict {
  const { tool, thickness: size } = long(facts);
  const owned = tool.kind !== "none";
  return verdict({
    id: "joints.cutter",
    stage: "joints",
    subject: ["tenon"],
    level: owned ? "holds" : "fix",
    text: owned ? `Cut with the ${mm(tool.size)} ${tool.kind}` : `Nothing in the shop cuts a ${mm(size)} mortise`,
    why:
      facts.piece.joints.legRail.kind === "loose-tenon"
        ? `Loose tenons owned: ${list(facts.shop.looseTenons.map((each) => each.thickness))}.`
        : `Router bits: ${list(facts.shop.routerBits)}; chisels: ${list(facts.shop.chisels)}.`,
    source: "the shop's own tools",
    remedies: owned ? [] : ownedThickness(facts),
  });
}

function wallAtTip(facts: JointFacts): Verdict {
  const joint = facts.joints.reduce((a, b) => (b.rail !== "cross-rail" && b.walls.tip < a.walls.tip ? b : a));
  const level = grade(joint.walls.tip, "at least", TENON.wall, TENON.wallLeast);
  const length = Math.floor(facts.at.leg.section - TENON.wall - TENON.mortiseDeeper);
  return verdict({
    id: "joints.wall-tip",
    stage: "joints",
    subject: ["leg", "tenon"],
    level,
    text:
      joint.walls.tip <= 0
        ? `The mortise comes through the leg by ${mm(-joint.walls.tip)}`
        : `${mm(joint.walls.tip)} of leg left beyond the mortise`,
    why: `The leg is ${mm(facts.at.leg.section)}, the mortise ${mm(joint.mortiseDepth)} deep; leave ${TENON.wall} mm.`,
    limit: TENON.wall,
    actual: round1(joint.walls.tip),
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
  const joint = long(facts);
  const level = grade(joint.walls.side, "at least", TENON.wall, TENON.wallLeast);
  const reveal = Math.ceil(facts.piece.form.apron.reveal + TENON.wall - joint.walls.side);
  return verdict({
    id: "joints.wall-side",
    stage: "joints",
    subject: ["leg"],
    level,
    text: `${fine(joint.walls.side)} of leg outside the mortise`,
    why: `A reveal of ${mm(facts.piece.form.apron.reveal)} and the shoulder; under ${TENON.wallLeast} mm it splits when the tenon is driven.`,
    limit: TENON.wall,
    actual: round1(joint.walls.side),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Set the reveal to ${reveal} mm`, ["form", "apron", "reveal"], reveal)],
  });
}

function mortisesMeet(facts: JointFacts): Verdict {
  const { piece } = facts;
  const [a, b] = facts.joints;
  const inner = facts.at.leg.section - a.offset - a.thickness;
  const meet = a.mortiseDepth > inner && b.mortiseDepth > inner;
  const clash = Math.max(-a.walls.meeting, -b.walls.meeting);
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
    why: `Each mortise is ${mm(a.mortiseDepth)} and ${mm(b.mortiseDepth)} deep; ${mm(inner)} is where the other begins.`,
    limit: 0,
    actual: round1(-clash),
    sense: "at least",
    unit: "mm",
    source: "derived: the two boxes in the leg",
    remedies:
      clash > 0
        ? [
            ...(piece.joints.legRail.length === null
              ? []
              : [set("Let Taller choose the length", ["joints", "legRail", "length"], null)]),
            ...(piece.joints.legRail.meeting === "mitred"
              ? []
              : [set("Mitre the tips", ["joints", "legRail", "meeting"], "mitred")]),
          ]
        : [],
  });
}

function tenonLength(facts: JointFacts): Verdict {
  const joint = facts.joints
    .filter((each) => each.rail !== "cross-rail")
    .reduce((a, b) => (b.length < a.length ? b : a));
  const level = grade(joint.length, "at least", TENON.cheekLeast + 10, TENON.cheekLeast);
  return verdict({
    id: "joints.length",
    stage: "joints",
    subject: ["tenon"],
    level,
    text: `Tenons ${mm(joint.length)} long, ${Math.round(joint.glueArea / 100)} cm² of cheek`,
    why: `Under ${TENON.cheekLeast + 10} mm a table works loose in daily use.`,
    limit: TENON.cheekLeast + 10,
    actual: joint.length,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : lengthRemedies(facts),
  });
}

function lengthRemedies(facts: JointFacts): Remedy[] {
  const auto = legRailJoint(facts.at, { ...facts.piece.joints.legRail, length: null }, facts.shop, "end-rail");
  if (facts.piece.joints.legRail.length !== null && auto.length > facts.piece.joints.legRail.length)
    return [set("Let Taller choose the length", ["joints", "legRail", "length"], null)];
  if (facts.piece.joints.legRail.meeting === "short")
    return [set("Mitre the tips", ["joints", "legRail", "meeting"], "mitred")];
  return [
    set(
      `Make legs ${Math.ceil(facts.at.leg.section + 15)} mm`,
      ["form", "leg", "section"],
      Math.ceil(facts.at.leg.section + 15),
    ),
  ];
}

function twoTenons(facts: JointFacts): Verdict {
  const joint = long(facts);
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

function stoppedTop(facts: JointFacts): Verdict {
  const joint = long(facts);
  const haunchless = joint.kind === "mortise-tenon" && !joint.haunch;
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

function reach({ joints, shop }: JointFacts): Verdict {
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

function grooveClear({ piece, at }: JointFacts): Verdict | null {
  const { fastening, buttons, zClip } = piece.joints;
  if (piece.form.construction === "slatted" || (fastening !== "button" && fastening !== "z-clip")) return null;
  const [groove, path, name] =
    fastening === "button"
      ? [buttons.grooveDepth, ["joints", "buttons", "grooveDepth"], "button"]
      : [zClip.groove, ["joints", "zClip", "groove"], "clip"];
  const left = at.rail.thickness - groove;
  const level = grade(left, "at least", 8, 5);
  const depth = Math.max(6, Math.floor(at.rail.thickness - 8));
  return verdict({
    id: "joints.groove",
    stage: "joints",
    subject: ["long-rail"],
    level,
    text: left <= 0 ? `The ${name} groove comes through the rail` : `${fine(left)} of rail behind the ${name} groove`,
    why: `The rail is ${mm(at.rail.thickness)} thick, the groove ${mm(groove)} deep.`,
    limit: 8,
    actual: round1(left),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make the groove ${depth} mm deep`, path, depth)],
  });
}

function blockScrews({ piece, at }: JointFacts): Verdict | null {
  if (!piece.form.cornerBlocks) return null;
  const wood = at.rail.thickness;
  return verdict({
    id: "joints.blocks",
    stage: "joints",
    subject: ["corner-block"],
    level: wood >= 18 ? "holds" : "tight",
    text: wood >= 18 ? "Corner blocks take 40 mm screws" : "A 40 mm screw comes through the rail",
    why: `Through a 30 mm block it goes 10 mm into a ${mm(wood)} rail, and needs 8 mm behind it; drill before the glue-up, a driver won't reach between the rails.`,
    limit: 18,
    actual: wood,
    sense: "at least",
    unit: "mm",
    remedies: wood >= 18 ? [] : [set("Leave the blocks out", ["form", "cornerBlocks"], false)],
  });
}

const list = (sizes: number[]) => `${sizes.join(", ")} mm`;
const round1 = (n: number) => Math.round(n * 10) / 10;
