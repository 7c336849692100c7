/** What every joint that is sized by itself is judged by: walls, cutters, reach, shoulders, length. The worst of each is named. */
import { USUAL_TENON } from "../piece/base-choices";
import { USUAL_ROW } from "../piece/dovetail-choices";
import type { JointChoices } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict, round1 } from "../verdict/verdict";
import { BlindTenon, TENON } from "./blind-tenon";
import { dowels, pocketScrews } from "./end-rules";
import type { KindOfJoint } from "./kinds";

interface Facts {
  joints: readonly KindOfJoint[];
  choices: JointChoices;
  shop: Shop;
}

export const KIND_RULES: readonly ((facts: Facts) => Verdict | null)[] = [
  thickness,
  shoulders,
  cutter,
  walls,
  reach,
  tenonLength,
  wideTenon,
  dowels,
  pocketScrews,
];

const tenoned = (joints: readonly KindOfJoint[]) =>
  joints.filter((each) => each.kind === "blind-tenon" || each.kind === "through-tenon");
const blind = (joints: readonly KindOfJoint[]) =>
  joints.filter((each): each is BlindTenon => each.kind === "blind-tenon");
const change = ({ choices }: Facts, group: string, to: object): unknown => ({
  ...(choices.groups[group] ?? USUAL_TENON),
  ...to,
});
const letTaller = (facts: Facts, joint: KindOfJoint, what: "thickness" | "length"): Remedy[] =>
  joint.setAt
    ? lettingTaller(facts, joint.setAt, what)
    : (facts.choices.groups[joint.group]?.[what] ?? null) === null
      ? []
      : [
          set(
            `Let Taller choose the ${what}`,
            ["joints", "groups", joint.group],
            change(facts, joint.group, { [what]: null }),
          ),
        ];
const lettingTaller = ({ choices }: Facts, path: readonly string[], what: "thickness" | "length"): Remedy[] =>
  choices.legRail[what] === null ? [] : [set(`Let Taller choose the ${what}`, [...path, what], null)];
/** A row of dovetails that was spaced by hand, spread evenly again. */
const spreadEvenly = (joint: KindOfJoint): Remedy[] =>
  joint.kind === "dovetail" && joint.set
    ? [set("Spread its tails evenly", ["joints", "dovetails", joint.group], USUAL_ROW)]
    : [];
const count = (all: readonly KindOfJoint[]) => all.reduce((sum, each) => sum + each.count, 0);

function thickness(facts: Facts): Verdict | null {
  const all = tenoned(facts.joints);
  if (all.length === 0) return null;
  const share = (joint: (typeof all)[number]) =>
    ((joint.kind === "blind-tenon" ? joint.rows : 1) * joint.thickness) / joint.section.thickness;
  const worst = all.reduce((a, b) => (share(b) > share(a) ? b : a));
  const most = share(worst);
  const level: Level = most >= 1 ? "fix" : most > 0.6 ? "tight" : "holds";
  return verdict({
    id: "joints.thickness",
    stage: "joints",
    subject: [worst.enters, worst.receives],
    level,
    text:
      most >= 1
        ? `${worst.name}: the tenon of ${mm(worst.thickness)} is thicker than its part`
        : `${count(all)} tenons, the thickest ${Math.round(100 * most)} % of its part`,
    why: `${worst.name}: ${mm(worst.thickness)} in ${mm(worst.section.thickness)}. A third is usual, a half where it comes through.`,
    limit: Math.floor(worst.section.thickness * 0.6),
    actual: worst.thickness,
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : letTaller(facts, worst, "thickness"),
  });
}

function shoulders(facts: Facts): Verdict | null {
  const all = tenoned(facts.joints);
  if (all.length === 0) return null;
  const worst = all.reduce((a, b) => (b.shoulders.face < a.shoulders.face ? b : a));
  const level = grade(worst.shoulders.face, "at least", TENON.leastShoulder, 2);
  return verdict({
    id: "joints.shoulders",
    stage: "joints",
    subject: [worst.enters],
    level,
    text:
      level === "holds"
        ? `Every shoulder is ${fine(worst.shoulders.face)} or more`
        : `${worst.name}: shoulders of only ${fine(worst.shoulders.face)}`,
    why: `Under ${TENON.leastShoulder} mm a shoulder neither hides the mortise nor resists racking.`,
    limit: TENON.leastShoulder,
    actual: round1(worst.shoulders.face),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : letTaller(facts, worst, "thickness"),
  });
}

function cutter(facts: Facts): Verdict | null {
  const all = tenoned(facts.joints);
  if (all.length === 0) return null;
  const without = all.filter((each) => each.tool.kind === "none");
  const first = without[0];
  return verdict({
    id: "joints.cutter",
    stage: "joints",
    subject: without.map((each) => each.receives),
    level: first ? "fix" : "holds",
    text: first
      ? `${first.name}: nothing in the shop cuts a ${mm(first.thickness)} mortise`
      : "Every mortise is cut with something the shop owns",
    why: `Router bits: ${list(facts.shop.routerBits)}; chisels: ${list(facts.shop.chisels)}; loose tenons: ${list(facts.shop.looseTenons.map((each) => each.thickness))}.`,
    source: "the shop's own tools",
    remedies: first ? letTaller(facts, first, "thickness") : [],
  });
}

function walls(facts: Facts): Verdict | null {
  const all = facts.joints.flatMap((joint) =>
    joint.walls.map((wall) => ({ joint, wall, over: wall.left - wall.least })),
  );
  if (all.length === 0) return null;
  const { joint, wall } = all.reduce((a, b) => (b.over < a.over ? b : a));
  const level = grade(wall.left, "at least", wall.good, wall.least);
  return verdict({
    id: "joints.walls",
    stage: "joints",
    subject: [joint.receives],
    level,
    text:
      wall.left <= 0
        ? joint.kind === "dovetail"
          ? `${joint.name}: nothing is left ${wall.where}`
          : `${joint.name}: it comes through ${wall.where} by ${mm(-wall.left)}`
        : level === "holds"
          ? all.length === 1
            ? `The wall holds: ${fine(wall.left)}`
            : `${all.length} walls hold, the thinnest ${fine(wall.left)}`
          : `${joint.name}: ${fine(wall.left)} ${wall.where}`,
    why: `${joint.name}, ${wall.where}: leave ${mm(wall.good)}; under ${mm(wall.least)} it splits when it is driven.`,
    limit: wall.good,
    actual: round1(wall.left),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [...letTaller(facts, joint, "length"), ...spreadEvenly(joint)],
  });
}

function reach(facts: Facts): Verdict | null {
  const all = blind(facts.joints);
  if (all.length === 0) return null;
  const worst = all.reduce((a, b) => (b.mortiseDepth > a.mortiseDepth ? b : a));
  const level: Level = worst.mortiseDepth > facts.shop.mortiseDepth ? "fix" : "holds";
  return verdict({
    id: "joints.reach",
    stage: "joints",
    subject: [worst.receives],
    level,
    text:
      level === "fix"
        ? `${worst.name}: the shop can't mortise ${mm(worst.mortiseDepth)} deep`
        : `Mortises ${mm(worst.mortiseDepth)} deep are within reach`,
    why: `The deepest the shop cuts is ${mm(facts.shop.mortiseDepth)}.`,
    limit: facts.shop.mortiseDepth,
    actual: worst.mortiseDepth,
    sense: "at most",
    unit: "mm",
    source: "the shop's own tools",
    remedies: level === "fix" ? letTaller(facts, worst, "length") : [],
  });
}

function tenonLength(facts: Facts): Verdict | null {
  const all = blind(facts.joints).filter((each) => !each.pushed);
  if (all.length === 0) return null;
  const lengthOf = (joint: BlindTenon) => joint.mortiseDepth - TENON.mortiseDeeper;
  const worst = all.reduce((a, b) => (lengthOf(b) < lengthOf(a) ? b : a));
  const level = grade(lengthOf(worst), "at least", TENON.cheekLeast + 10, TENON.cheekLeast);
  return verdict({
    id: "joints.length",
    stage: "joints",
    subject: [worst.enters],
    level,
    text: `${count(all)} blind tenons, the shortest ${mm(lengthOf(worst))} long: ${worst.name.toLowerCase()}`,
    why: `Under ${TENON.cheekLeast + 10} mm it works loose in daily use.`,
    limit: TENON.cheekLeast + 10,
    actual: lengthOf(worst),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [...letTaller(facts, worst, "length"), ...(worst.longer ?? [])],
  });
}

function wideTenon(facts: Facts): Verdict | null {
  const all = blind(facts.joints);
  if (all.length === 0) return null;
  const worst = all.reduce((a, b) => (b.tenonWidth > a.tenonWidth ? b : a));
  const level: Level = worst.tenonWidth > TENON.twoFrom && worst.tenons < 2 ? "tight" : "holds";
  return verdict({
    id: "joints.two-tenons",
    stage: "joints",
    subject: [worst.enters],
    level,
    text:
      level === "holds"
        ? `No tenon is wider than ${mm(Math.max(TENON.twoFrom, worst.tenonWidth))}`
        : `${worst.name}: one tenon ${mm(worst.tenonWidth)} wide`,
    why: `Wood wider than about ${TENON.twoFrom} mm moves enough to work on one wide tenon.`,
    limit: TENON.twoFrom,
    actual: round1(worst.tenonWidth),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              "Cut two tenons with a gap",
              ["joints", "groups", worst.group],
              change(facts, worst.group, { tenons: 2 }),
            ),
          ],
  });
}

const list = (sizes: readonly number[]) => (sizes.length === 0 ? "none" : `${sizes.join(", ")} mm`);
