/** Loose tenons as the shop has them: so thick, so wide, and so long unless they are cut from a stick. */
import type { Shop } from "../piece/shop";

/** Wood between two loose tenons side by side, mm at least. @source common practice */
const BETWEEN = 10;
/** Sizes that differ by less are one, mm. */
const SAME = 0.05;

const ofThickness = (shop: Pick<Shop, "looseTenons">, thickness: number) =>
  shop.looseTenons.filter((each) => Math.abs(each.thickness - thickness) < SAME);

/** How loose tenons lie along a shoulder: how many, how wide, with how much between them. mm */
export interface Row {
  tenons: number;
  tenonWidth: number;
  gap: number;
}

/**
 * As many tenons of the widest kind that fits as there is room for, from one end of it to the other; null when the shop has none that thick.
 *
 * @param room    along the shoulder, mm
 * @param wanted  how many the maker set; null lets the room decide
 */
export function looseRow(
  shop: Pick<Shop, "looseTenons">,
  thickness: number,
  room: number,
  wanted: number | null,
): Row | null {
  const widths = ofThickness(shop, thickness).map((each) => each.width);
  if (widths.length === 0) return null;
  const fits = widths.filter((width) => width <= room / (wanted ?? 1));
  // a tenon wider than its room is ripped to it
  const tenonWidth = fits.length > 0 ? Math.max(...fits) : Math.max(1, room / (wanted ?? 1));
  const tenons = wanted ?? Math.max(1, Math.floor((room + BETWEEN) / (tenonWidth + BETWEEN)));
  return { tenons, tenonWidth, gap: tenons > 1 ? Math.max(0, (room - tenons * tenonWidth) / (tenons - 1)) : 0 };
}

/**
 * How far a loose tenon reaches into each part: half the longest that is owned and not too long; as far as is wanted where it is cut
 * from a stick.
 *
 * @param most  that each side takes, mm
 */
export function looseReach(shop: Pick<Shop, "looseTenons">, thickness: number, most: number): number {
  const lengths = ofThickness(shop, thickness).map((each) => each.length);
  if (lengths.length === 0 || lengths.includes(null)) return most;
  const owned = lengths.filter((each): each is number => each !== null);
  const fits = owned.filter((length) => length / 2 <= most);
  // longer ones are sawn off
  return fits.length > 0 ? Math.max(...fits) / 2 : most;
}
