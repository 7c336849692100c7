import type { Shop } from "../piece/shop";
import { mm } from "../verdict/verdict";
import type { Cutter } from "./joint";

/** Chisels and router bits the shop owns. */
export const cuttersOf = (shop: Shop): Cutter[] => [
  ...shop.routerBits.map((size): Cutter => ({ kind: "router bit", size })),
  ...shop.chisels.map((size): Cutter => ({ kind: "chisel", size })),
];

/** Loose tenons the shop owns, by their thickness. */
export const looseTenonsOf = (shop: Shop): Cutter[] =>
  shop.looseTenons.map(({ thickness }) => ({ kind: "loose tenon", size: thickness }));

/**
 * A thickness that something owned cuts.
 *
 * @param asked   what the maker set, or null: then the owned size nearest to `wanted` is taken
 * @returns the thickness, and what cuts it: nothing when the maker's own size is not owned
 */
export function ownedSize(
  owned: readonly Cutter[],
  wanted: number,
  asked: number | null,
): { size: number; tool: Cutter } {
  const aim = asked ?? wanted;
  const nearest = owned.reduce<Cutter | null>(
    (best, each) => (!best || Math.abs(each.size - aim) < Math.abs(best.size - aim) ? each : best),
    null,
  );
  const none: Cutter = { kind: "none", size: 0 };
  if (asked !== null) return { size: asked, tool: nearest && Math.abs(nearest.size - asked) < 0.05 ? nearest : none };
  return nearest ? { size: nearest.size, tool: nearest } : { size: Math.round(wanted), tool: none };
}

/**
 * How a board is crosscut at 45° by a tilted blade: on the sled while the blade comes through both, else without it, else from both faces.
 * Turned end for end its slant stays; turned edge for edge it would cross itself.
 *
 * @param board  its thickness, mm
 */
export function bevelSawn(board: number, { bevelReach, sledBase }: Pick<Shop, "bevelReach" | "sledBase">): string {
  const sled = bevelReach - sledBase;
  if (board <= sled) return "on the sled";
  if (board <= bevelReach)
    return `the tilted blade reaches ${mm(bevelReach)}, only ${mm(sled)} over the sled’s base: by the mitre fence without it, or on it from both faces, the board turned end for end`;
  return board <= 2 * bevelReach
    ? `the tilted blade reaches ${mm(bevelReach)} of ${mm(board)}: from both faces, the board turned end for end against the same stop`
    : `the tilted blade reaches ${mm(bevelReach)} of ${mm(board)} from each face: the rib between them by handsaw`;
}
