import { cutRow, TENON } from "../../../joinery/blind-tenon";
import { cuttersOf, looseTenonsOf, ownedSize } from "../../../joinery/cutters";
import { looseReach, looseRow } from "../../../joinery/loose-tenons";
import type { Cutter, Joint } from "../../../joinery/joint";
import type { JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import type { KindOfJoint } from "../../../joinery/kinds";
import { lowJoints } from "./low-joints";
import { crossDepth, LegAndApron } from "./place";

/** A leg-to-rail joint, sized. All mm; `offset` is from the leg's outer face to the tenon's outer cheek. */
export interface LegRailJoint extends Omit<Joint, "walls"> {
  kind: "mortise-tenon" | "loose-tenon";
  rail: "long-rail" | "end-rail" | "cross-rail";
  thickness: number;
  tenons: number;
  tenonWidth: number;
  gap: number;
  mitre: number;
  mortiseDepth: number;
  offset: number;
  shoulders: { outer: number; inner: number; top: number; lower: number };
  haunch: { width: number; depth: number } | null;
  /** wood left in the leg beyond the tip, and beside the mortise's outer cheek */
  walls: { tip: number; side: number; meeting: number };
}

/** Rails have theirs by hand; low stretchers have a kind of joint. */
export type LegAndApronJoint = LegRailJoint | KindOfJoint;
const isRail = (joint: LegAndApronJoint): joint is LegRailJoint => "rail" in joint;
export const railsOf = (joints: readonly LegAndApronJoint[]): LegRailJoint[] => joints.filter(isRail);
export const kindsOf = (joints: readonly LegAndApronJoint[]): KindOfJoint[] =>
  joints.filter((each): each is KindOfJoint => !isRail(each));
/** The joint of one of the rails; null where there is none. */
export const railJoint = (joints: readonly LegAndApronJoint[], rail: LegRailJoint["rail"]): LegRailJoint | null =>
  railsOf(joints).find((each) => each.rail === rail) ?? null;
/** How much of a leg lies before a rail's tenon. */
export const legBefore = ({ leg }: Pick<LegAndApron, "leg">, rail: LegRailJoint["rail"]) =>
  rail === "long-rail" ? leg.section : leg.across;

/** The joints of legs, rails and cross-rails, and of low stretchers. */
export function legAndApronJoints(at: LegAndApron, choices: JointChoices, shop: Shop): LegAndApronJoint[] {
  const { legRail } = choices;
  const cross = crossRailJoint(at, shop);
  return [
    legRailJoint(at, legRail, shop, "long-rail"),
    legRailJoint(at, legRail, shop, "end-rail"),
    ...(cross ? [cross] : []),
    ...(at.low ? lowJoints(at.low, choices, shop) : []),
  ];
}

/**
 * Sizes the joint between a leg and one of its rails.
 *
 * The tenon is about a third of the rail, rounded to a cutter the shop owns. Two that meet in the leg are mitred, or the
 * end rail's stops short of the long one's. Mortises are cut a little deeper than tenons are long.
 *
 * @param which  the rail; both meet in the leg, so each is sized knowing the other has the same thickness and offset
 * @returns sizes that may be impossible (negative walls): the joint's rules judge them
 */
export function legRailJoint(
  at: LegAndApron,
  choice: JointChoices["legRail"],
  shop: Shop,
  which: "long-rail" | "end-rail",
): LegRailJoint {
  const { depth, thickness: rail, reveal } = at.rail;
  const leg = legBefore(at, which);
  const { size, tool } = tenonThickness(choice, rail, shop);
  const offset = reveal + (rail - size) / 2;
  const stop = TENON.endStop;
  const usable = depth - stop - TENON.lowerShoulder;
  const loose = choice.kind === "loose-tenon";
  const { tenons, gap, tenonWidth } =
    (loose ? looseRow(shop, size, usable, choice.tenons) : null) ??
    cutRow(usable, choice.tenons ?? (depth > TENON.twoFrom ? 2 : 1));
  // a row that leaves room lies in the middle of it
  const spare = (usable - tenons * tenonWidth - (tenons - 1) * gap) / 2;
  const most = leg - TENON.wall - TENON.mortiseDeeper;
  // the outer cheek reaches the other tenon's outer cheek plane when mitred, its inner cheek plane when the other passes
  const mitred = leg - offset - TENON.mitreGap;
  const blocked = leg - offset - size - TENON.mitreGap - TENON.mortiseDeeper;
  const auto =
    choice.meeting === "mitred"
      ? Math.min(mitred, most)
      : which === "long-rail"
        ? Math.min(most, mitred)
        : Math.min(blocked, most);
  const longest = Math.min(auto, shop.mortiseDepth - TENON.mortiseDeeper);
  const length = floorHalf(choice.length ?? (loose ? looseReach(shop, size, longest) : longest));
  const mitre =
    choice.meeting === "mitred" && length > leg - offset - size - TENON.mitreGap
      ? Math.min(size, length - (leg - offset - size - TENON.mitreGap))
      : 0;
  const mortiseDepth = length + (mitre > 0 ? TENON.mitreGap : TENON.mortiseDeeper);
  const other = choice.meeting === "short" && which === "end-rail" ? blocked : mitred;
  return {
    id: `leg-${which}`,
    group: `leg+${which}`,
    receives: "leg",
    enters: which,
    name: which === "long-rail" ? "Leg to long rail" : "Leg to end rail",
    kind: choice.kind,
    rail: which,
    count: 4,
    thickness: size,
    tenons,
    tenonWidth,
    gap,
    length,
    mitre,
    mortiseDepth,
    offset,
    shoulders: {
      ...{ outer: (rail - size) / 2, inner: (rail - size) / 2 },
      ...{ top: stop + spare, lower: TENON.lowerShoulder + spare },
    },
    haunch: choice.haunch && choice.kind === "mortise-tenon" ? { width: stop, depth: TENON.haunchDepth } : null,
    walls: { tip: leg - mortiseDepth, side: offset, meeting: other - length },
    glueArea: 2 * tenons * tenonWidth * (length - mitre / 2),
    tool,
  };
}

/** A cross-rail sits in the long rails by a stub tenon half their thickness deep. */
export function crossRailJoint(at: LegAndApron, shop: Shop): LegRailJoint | null {
  if (at.crossRails.length === 0) return null;
  const rail = at.rail.thickness;
  const { size, tool } = tenonThickness({ kind: "mortise-tenon", thickness: null }, rail, shop);
  const depth = crossDepth(at);
  const length = floorHalf(rail * 0.5);
  return {
    id: "long-rail-cross-rail",
    group: "long-rail+cross-rail",
    receives: "long-rail",
    enters: "cross-rail",
    name: "Cross-rail to long rail",
    kind: "mortise-tenon",
    rail: "cross-rail",
    count: 2 * at.crossRails.length,
    thickness: size,
    tenons: 1,
    tenonWidth: depth - 2 * TENON.lowerShoulder,
    gap: 0,
    length,
    mitre: 0,
    mortiseDepth: length + 1,
    offset: (rail - size) / 2,
    shoulders: {
      outer: (rail - size) / 2,
      inner: (rail - size) / 2,
      top: TENON.lowerShoulder,
      lower: TENON.lowerShoulder,
    },
    haunch: null,
    walls: { tip: rail - length - 1, side: (rail - size) / 2, meeting: rail },
    glueArea: 2 * (depth - 2 * TENON.lowerShoulder) * length,
    tool,
  };
}

function tenonThickness(
  choice: Pick<JointChoices["legRail"], "kind" | "thickness">,
  rail: number,
  shop: Shop,
): { size: number; tool: Cutter } {
  const owned = choice.kind === "loose-tenon" ? looseTenonsOf(shop) : cuttersOf(shop);
  return ownedSize(owned, rail * TENON.shareOfRail, choice.thickness);
}

const floorHalf = (n: number) => Math.floor(n * 2) / 2;
