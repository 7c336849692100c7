import type { Shop } from "../piece/shop";

/** A glued panel can't be brought flat with less than this over its thickness, mm. @source common practice */
export const LEAST_OVER = 0.5;
/** Parts of a panel go through the planer once; so much stays for levelling their last seams, mm. @source common practice */
export const SEAM_OVER = 0.5;

/**
 * How thick the strips of a panel are planed before they are glued, mm: over what the panel ends at, since it is flattened after and sanded;
 * all alike, so as thick as the thinnest board lets them be, to half a mm.
 */
export function stripThickness(
  laid: readonly { milled: { thickness: number }; sawn: number | null }[],
  finished: number,
  { panelOver }: Pick<Shop, "panelOver">,
): number {
  const over = overOf(laid, panelOver);
  const thinnest = Math.min(Infinity, ...laid.map(({ milled }) => Math.floor(milled.thickness * 2 + 1e-9) / 2));
  return Math.max(finished, Math.min(finished + over, thinnest));
}

/** What strips keep over a panel's thickness for flattening it, mm; nothing where its upper face stays sawn, and only bears are levelled below. */
export const overOf = (laid: readonly { sawn: number | null }[], panelOver: number): number =>
  laid.some(({ sawn }) => sawn !== null) ? 0 : panelOver;

/** How a glued panel of this width is brought flat and to its thickness in this shop, mm. */
export function flattening(width: number, shop: Shop): string {
  const ways: [number | null | undefined, string][] = [
    [shop.planerWidth, "through the planer"],
    [shop.drumSander, "through the drum sander"],
    [shop.routerSled, "under the router sled, then scraped and sanded"],
    [shop.drivenRouter?.width, "on the driven router’s bed, then scraped and sanded"],
  ];
  const way = ways.find(([most]) => (most ?? 0) >= width);
  return way?.[1] ?? "by hand: planed across the grain, then along it, winding sticks at both ends";
}
