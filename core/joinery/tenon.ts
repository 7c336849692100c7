import type { TableGeometry } from "../form/leg-and-apron";
import type { JointChoices } from "../piece/schema";
import type { Shop } from "../piece/shop";

/** Rules of the mortise and tenon, mm. @source common practice */
export const TENON = {
  shareOfRail: 1 / 3,
  leastShoulder: 4,
  wall: 8,
  wallLeast: 6,
  endStop: 15,
  haunchDepth: 8,
  lowerShoulder: 8,
  twoFrom: 100,
  gapShare: 0.25,
  mortiseDeeper: 2,
  mitreGap: 1,
  cheekLeast: 25,
  fit: 0.3,
  loosestShort: 4,
};

/** A leg-to-rail joint, sized. All mm; `offset` is from the leg's outer face to the tenon's outer cheek. */
export interface LegRailJoint {
  id: string;
  kind: "mortise-tenon" | "loose-tenon";
  rail: "long-rail" | "end-rail" | "cross-rail";
  count: number;
  thickness: number;
  tenons: number;
  tenonWidth: number;
  gap: number;
  length: number;
  mitre: number;
  mortiseDepth: number;
  offset: number;
  shoulders: { outer: number; inner: number; top: number; lower: number };
  haunch: { width: number; depth: number } | null;
  /** wood left in the leg beyond the tip, and beside the mortise's outer cheek */
  walls: { tip: number; side: number; meeting: number };
  glueArea: number;
  tool: { kind: "router bit" | "chisel" | "loose tenon" | "none"; size: number };
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
  at: TableGeometry,
  choice: JointChoices["legRail"],
  shop: Shop,
  which: "long-rail" | "end-rail",
): LegRailJoint {
  const { depth, thickness: rail, reveal } = at.rail;
  const leg = at.leg.section;
  const { size, tool } = tenonThickness(choice, rail, shop);
  const offset = reveal + (rail - size) / 2;
  const stop = TENON.endStop;
  const usable = depth - stop - TENON.lowerShoulder;
  const tenons = choice.tenons ?? (depth > TENON.twoFrom ? 2 : 1);
  const gap = tenons === 1 ? 0 : usable * TENON.gapShare;
  const tenonWidth = (usable - gap * (tenons - 1)) / tenons;
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
  const length = floorHalf(choice.length ?? Math.min(auto, shop.mortiseDepth - TENON.mortiseDeeper));
  const mitre =
    choice.meeting === "mitred" && length > leg - offset - size - TENON.mitreGap
      ? Math.min(size, length - (leg - offset - size - TENON.mitreGap))
      : 0;
  const mortiseDepth = length + (mitre > 0 ? TENON.mitreGap : TENON.mortiseDeeper);
  const other = choice.meeting === "short" && which === "end-rail" ? blocked : mitred;
  return {
    id: `leg-${which}`,
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
    shoulders: { outer: (rail - size) / 2, inner: (rail - size) / 2, top: stop, lower: TENON.lowerShoulder },
    haunch: choice.haunch && choice.kind === "mortise-tenon" ? { width: stop, depth: TENON.haunchDepth } : null,
    walls: { tip: leg - mortiseDepth, side: offset, meeting: other - length },
    glueArea: 2 * tenons * tenonWidth * (length - mitre / 2),
    tool,
  };
}

/** A cross-rail sits in the long rails by a stub tenon half their thickness deep. */
export function crossRailJoint(at: TableGeometry, shop: Shop): LegRailJoint | null {
  if (at.crossRails.length === 0) return null;
  const rail = at.rail.thickness;
  const { size, tool } = tenonThickness({ kind: "mortise-tenon", thickness: null }, rail, shop);
  const depth = Math.max(20, at.rail.depth - 20);
  const length = floorHalf(rail * 0.5);
  return {
    id: "long-rail-cross-rail",
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
): { size: number; tool: LegRailJoint["tool"] } {
  const bits: LegRailJoint["tool"][] = shop.routerBits.map((size) => ({ kind: "router bit", size }));
  const chisels: LegRailJoint["tool"][] = shop.chisels.map((size) => ({ kind: "chisel", size }));
  const loose: LegRailJoint["tool"][] = shop.looseTenons.map(({ thickness }) => ({
    kind: "loose tenon",
    size: thickness,
  }));
  const owned = choice.kind === "loose-tenon" ? loose : [...bits, ...chisels];
  const wanted = choice.thickness ?? rail * TENON.shareOfRail;
  const nearest = owned.reduce<LegRailJoint["tool"] | null>(
    (best, each) => (!best || Math.abs(each.size - wanted) < Math.abs(best.size - wanted) ? each : best),
    null,
  );
  if (choice.thickness !== null)
    return {
      size: choice.thickness,
      tool: nearest && Math.abs(nearest.size - wanted) < 0.05 ? nearest : { kind: "none", size: 0 },
    };
  return nearest
    ? { size: nearest.size, tool: nearest }
    : { size: Math.round(wanted), tool: { kind: "none", size: 0 } };
}

const floorHalf = (n: number) => Math.floor(n * 2) / 2;
