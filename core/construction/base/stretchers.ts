/** Stretchers along a piece, one between every two neighbours of what stands, without their joints. */
import type { AssemblyPart } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";

interface Between {
  bays: readonly { from: number; to: number }[];
  stretcher: { depth: number; thickness: number; from: number };
  /** what the shoulders are marked from: "frames" */
  marked: string;
  opens: Vec;
}

export const stretchersBetween = ({ bays, stretcher, marked, opens }: Between): Omit<AssemblyPart, "adds" | "cuts">[] =>
  bays.map(({ from, to }, i) => ({
    id: bays.length > 1 ? `R${i + 1}` : "R",
    kind: "stretcher",
    name: "Stretcher",
    letter: "R",
    role: "rail",
    make: "solid",
    note: `Its tenons are included; the shoulders are marked from the ${marked} as they stand.`,
    shape: { length: to - from, width: stretcher.depth, thickness: stretcher.thickness },
    place: { ...HOME, at: [from, stretcher.from, -stretcher.thickness / 2] },
    opens,
  }));
