/** Which saw takes what: by what the shop owns, and how far its blades reach. */
import type { Shop } from "../piece/shop";
import { mm } from "../verdict/verdict";

type Saws = Pick<Shop, "bandsawHeight" | "bladeReach" | "bevelReach" | "sledBase" | "trackSaw" | "mitreSaw">;

/** A saw and how a piece goes through it; `how` is empty where it is simply sawn. */
export interface SawnBy {
  machine: string;
  how: string;
}

/** The blade from one side, then the other, with a rib left or none. mm of stock */
const turned = (thickness: number, reach: number) =>
  thickness <= 2 * reach ? "in two passes, from both faces" : "in two passes, the rib between them by handsaw";

/**
 * Rough wood has no flat face and no straight edge: it is ripped where it can't pinch a blade or be thrown.
 *
 * @param thickness  of the rough board, mm
 * @source common practice: no board without a straight edge and a flat face goes to the table saw
 */
export function roughRip(thickness: number, shop: Saws): SawnBy {
  if ((shop.bandsawHeight ?? 0) >= thickness) return { machine: "Bandsaw", how: "" };
  if ((shop.trackSaw ?? 0) >= thickness) return { machine: "Track saw", how: "" };
  const deep = thickness > shop.bladeReach ? `, ${turned(thickness, shop.bladeReach)}` : "";
  return { machine: "Jointer, then table saw", how: `face and edge jointed first${deep}` };
}

/** Milled wood to width: the table saw as far as its blade reaches. */
export function ripToWidth(thickness: number, shop: Saws): SawnBy {
  if (thickness <= shop.bladeReach) return { machine: "Table saw", how: "" };
  if ((shop.bandsawHeight ?? 0) >= thickness)
    return { machine: "Bandsaw, then planer on edge", how: `thicker than the blade’s ${mm(shop.bladeReach)}` };
  return { machine: "Table saw", how: turned(thickness, shop.bladeReach) };
}

/** Milled wood to length, against a stop. */
export function toLength({ width, thickness }: { width: number; thickness: number }, shop: Saws): SawnBy {
  const sled = shop.bladeReach - shop.sledBase;
  const takes = ({ mitreSaw }: Saws) => mitreSaw && mitreSaw.width >= width && mitreSaw.height >= thickness;
  if (thickness <= sled) return { machine: "Crosscut stop", how: "" };
  if (takes(shop)) return { machine: "Mitre saw with a stop", how: "" };
  return {
    machine: "Crosscut stop",
    how: `${mm(thickness)} stands higher than the ${mm(sled)} above the sled: from both sides against one stop`,
  };
}

/** How the corners of a glued blank are sawn off at 45° along it. @param side  of the square that is left, mm */
export function sawnAtBevel(side: number, { bevelReach, bandsawHeight }: Saws): string {
  // the tilted blade comes out of the blank as high as a side of the square stands at 45°
  const high = side / Math.SQRT2;
  if (high <= bevelReach) return "Tilt the saw to 45° from square";
  if (bandsawHeight !== null && side <= bandsawHeight)
    return `The table saw tilted to 45° reaches ${mm(bevelReach)} and this cut stands ${mm(high)} high: tilt the bandsaw’s table`;
  return `Tilt the saw to 45°: it reaches ${mm(bevelReach)} of ${mm(high)}, so meet each cut from the other face`;
}
