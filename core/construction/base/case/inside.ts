/** What several files of a case ask of where everything stands. mm */
import { tailLength } from "../../../joinery/dovetail";
import { rebateDeep } from "../../../joinery/rebated";
import type { Case, Division } from "./case";

/** How far a side goes on above the top's underside: into the top, or to its upper face. */
export function intoTop({ corners, top }: Pick<Case, "corners" | "top">): number {
  if (corners === "rails") return 0;
  switch (corners) {
    case "half-blind":
      return tailLength(top.thickness, true);
    case "rebated":
      return rebateDeep(top.thickness);
    case "butted":
      return 0;
    default:
      return top.thickness;
  }
}

/** Shelves between openings, bay by bay, from above. */
export const shelvesOf = ({ bays }: Pick<Case, "bays">): { bay: number; at: Division }[] =>
  bays.flatMap((bay, i) =>
    bay.to - bay.from > 0 ? bay.divisions.filter(({ kind }) => kind === "shelf").map((at) => ({ bay: i, at })) : [],
  );

/** How far a board is let into another: a third of its thickness, 8 mm at most. @source common practice */
export const letInto = (thickness: number) => Math.max(1, Math.floor(Math.min(8, thickness / 3)));
