/** What is read of an outline file, whichever kind it is. */
import type { Spot } from "../assembly/outline";

/** Closed lines of a file in its own units, drawn fine, y up; how many mm one of them is, null where it doesn't say. */
export interface Loops {
  loops: Spot[][];
  /** lines that end nowhere */
  open: number;
  scale: number | null;
  said: string[];
}

/** What keeps a file from being read, as the maker is told. */
export class OutlineFault extends Error {}
