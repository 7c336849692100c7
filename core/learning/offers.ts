import type { Course } from "../movement/course";
import { sampleOn } from "../movement/course";
import type { TopMovement } from "../movement/year";
import type { Piece } from "../piece/schema";
import type { RackBoard } from "../stock/board";
import { Fit, fitCoefficient, widthsOf } from "./fit";

/** A coefficient measured on this piece: what it is of, what the table says, and what is in force now. */
export interface Learned {
  what: string;
  name: string;
  boards: string[];
  fit: Fit;
  table: number;
  inForce: boolean;
}

/**
 * Coefficients that the log's widths speak of: of the whole top, of single boards, and of bundles whose boards were measured.
 *
 * @returns one entry for each thing with a width in the log; nothing here changes the plan until it is taken
 */
export function learned(
  piece: Pick<Piece, "log" | "fitted">,
  top: TopMovement,
  course: Course,
  rack: readonly RackBoard[],
  table: (board: string | null) => number,
): Learned[] {
  const predicted = (on: string) => course.mean[sampleOn(course, on)];
  const measured = [...new Set(piece.log.flatMap((each) => (each.kind === "width" ? [each.what] : [])))];
  const single = measured.map((what): Learned => {
    const { readings, measured: withMeter } = widthsOf(piece.log, what, predicted);
    return {
      what,
      name: what === "top" ? "the whole top" : `board ${what}`,
      boards: what === "top" ? [] : [what],
      fit: fitCoefficient(readings, withMeter ? undefined : 0.2),
      table: table(what === "top" ? null : what),
      inForce: piece.fitted.some((each) => each.what === what),
    };
  });
  const trees = new Map<string, string[]>();
  for (const what of measured) {
    const tree = rack.find((board) => board.id === what)?.tree;
    if (tree) trees.set(tree, [...(trees.get(tree) ?? []), what]);
  }
  const bundles = [...trees]
    .filter(([, boards]) => boards.length > 1)
    .map(([tree, boards]): Learned => {
      const all = boards.map((what) => widthsOf(piece.log, what, predicted));
      const inPanel = top.strips.flatMap((strip) =>
        strip.board && rack.find((board) => board.id === strip.board)?.tree === tree ? [strip.board] : [],
      );
      const every = [...new Set([...boards, ...inPanel])];
      return {
        what: `tree:${tree}`,
        name: `bundle ${tree}`,
        boards: every,
        fit: fitCoefficient(
          all.flatMap((each) => each.readings),
          all.some((each) => each.measured) ? undefined : 0.2,
        ),
        table: boards.reduce((sum, what) => sum + table(what), 0) / boards.length,
        inForce: every.every((what) => piece.fitted.some((each) => each.what === what)),
      };
    });
  return [...single, ...bundles];
}

/** What taking an offer writes into the piece. */
export function taken(piece: Pick<Piece, "fitted">, { what, boards, fit }: Learned, on: string): Piece["fitted"] {
  if (!fit.ok) return piece.fitted;
  const targets = what === "top" ? ["top"] : boards;
  return [
    ...piece.fitted.filter((each) => !targets.includes(each.what)),
    ...targets.map((target) => ({
      what: target,
      coefficient: Math.round(fit.coefficient * 1e6) / 1e6,
      uncertainty: Math.round(fit.uncertainty * 1e6) / 1e6,
      on,
    })),
  ];
}
