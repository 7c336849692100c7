import type { Form } from "../../../piece/schema";
import { USUAL } from "../../usual";

/** A leg along the top and across it, at its head and at its foot, and what of it stands inside the rails. mm */
export interface LegSizes {
  section: number;
  across: number;
  length: number;
  foot: number;
  footAcross: number;
  inner: number;
  innerAcross: number;
}

/** What a leg's taper depends on. @param lowerEdge  of the rails */
export interface Drawn {
  taper: Form["leg"]["taper"];
  leg: LegSizes;
  lowerEdge: number;
}

/** Whether as much goes from one side of a leg as from the other: its axis stays where it is. */
export const isEven = (taper: Form["leg"]["taper"]) => taper === "four-faces" || taper === "turned";

/** How far a leg's inner faces have drawn back at a height above the floor, mm; both by the same. */
export function drawnBack({ taper, leg, lowerEdge }: Drawn, height: number): number {
  const from = lowerEdge - USUAL.taperBelow;
  const lost = (leg.section - leg.foot) / (isEven(taper) ? 2 : 1);
  return taper === "none" || from <= 0 ? 0 : lost * Math.max(0, 1 - height / from);
}

/** The mark of the leg on a side: numbered from the back left, along the back first. */
export const legAt = (x: number, z: number) => `L${(z > 0 ? 3 : 1) + (x > 0 ? 1 : 0)}`;
