/** What is sawn, and where it lies on its board. */
import type { Board } from "../stock/board";
import { SHORTEST_FED } from "../stock/milling-plan";

/** One rough piece that must be cut: mm, thickness after milling; `net` mm³ when finished; a `hidden` one may hold sapwood. */
export interface RoughPiece {
  id: string;
  part: string;
  label: string;
  length: number;
  width: number;
  thickness: number;
  net?: number;
  hidden?: boolean;
  matched?: string;
  /** of its group it lies after those before it, end to end: their figure runs on */
  row?: true;
  /** see `AssemblyPart` */
  ownEdges?: true;
  /** the wood it is sawn from; any where nothing is said */
  species?: string;
}

/** A section at its place on a board; pieces by id, lane by lane. mm */
export interface LaidSection {
  board: string;
  x: number;
  y: number;
  length: number;
  lanes: { width: number; pieces: string[] }[];
}

/** The panel's strip as it is crosscut from its board, mm. */
export interface StripCut {
  board: string;
  x: number;
  y: number;
  length: number;
  width: number;
}

/** One board and all that is cut from it, left to right; `offcuts` go back on the rack. */
export interface BoardCut {
  board: Board;
  sections: LaidSection[];
  strip: StripCut | null;
  /** the panel its strip is for, as it is called: "shelf"; the top where nothing is said */
  panel?: string;
  offcuts: Board[];
  sawn: boolean;
}

/** Whether a lane goes through the machines whole, since one of its pieces is too short to be fed alone. */
export const milledWhole = (lengths: readonly number[]) =>
  lengths.length > 1 && lengths.some((each) => each < SHORTEST_FED);
