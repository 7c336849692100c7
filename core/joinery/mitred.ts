/** A mitre as the files that size it know it. mm */
import type { TenonChoice } from "../piece/base-choices";
import type { Shop } from "../piece/shop";
import type { Meets } from "./blind-tenon";
import type { Joint, SettingCard } from "./joint";

/** Its face is the cut: x square to it into the board that receives, y along the edge, z from the outside corner to the inside one. */
export interface Mitre extends Joint {
  kind: "mitre";
  board: number;
  thickness: number;
  tenons: number;
  tenonWidth: number;
  gap: number;
  reach: number;
  /** between the boards, degrees */
  angle: number;
  /** by loose tenons; one strip across the whole width, its grain across the cut; keys let in from outside; dowels square to the cut, seen outside */
  held: MitreHolding;
  section: { width: number; thickness: number };
  behind: number;
  /** how a tilted blade goes through the board */
  sawn: string;
  set: SettingCard["lines"];
}

export type MitreHolding = "loose" | "spline" | "keys" | "dowels";

export interface MitreInputs {
  meets: Meets;
  /** how wide both are, and how thick */
  width: number;
  board: number;
  /** between them, degrees; square where it isn't said */
  angle?: number;
  held?: MitreHolding;
  setting: TenonChoice;
  shop: Shop;
  set: SettingCard["lines"];
}
