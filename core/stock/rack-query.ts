import type { RackBoard } from "./board";

/** What is asked of the rack; lengths in mm, 0 when it does not matter. */
export interface RackQuery {
  text: string;
  species: string | null;
  longest: number;
  widest: number;
  thickest: number;
  free: boolean;
  sort: "name" | "length" | "width";
}
/** How many boards match, how much wood that is, m³, and how many of each species there are at all. */
export interface RackSum {
  total: number;
  volume: number;
  species: { id: string; count: number }[];
}
export interface RackPage {
  boards: RackBoard[];
  sum: RackSum;
}

export const ANY_BOARD: RackQuery = {
  text: "",
  species: null,
  longest: 0,
  widest: 0,
  thickest: 0,
  free: false,
  sort: "name",
};
/** Boards given at once. */
export const RACK_PAGE = 12;
