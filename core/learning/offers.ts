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

/** A panel whose widths may be in the log: its years, and the table's coefficient of the whole of it. */
export interface Learning {
  id: string;
  name: string;
  movement: TopMovement;
  course: Course;
  table: number;
}

/**
 * Coefficients that the log's widths speak of: of whole panels, of single boards, and of bundles whose boards were measured.
 *
 * @param panels  the top first: single boards lie beside it
 * @returns one entry for each thing with a width in the log; nothing here changes the plan until it is taken
 */
export function learned(
  piece: Pick<Piece, "log" | "fitted">,
  panels: readonly Learning[],
  rack: readonly RackBoard[],
  table: (board: string) => number,
): Learned[] {
  const predicted = (on: string, { course }: Learning = panels[0]) => course.mean[sampleOn(course, on)];
  const panelOf = (what: string) => panels.find((each) => each.id === what);
  const measured = [...new Set(piece.log.flatMap((each) => (each.kind === "width" ? [each.what] : [])))];
  const single = measured.map((what): Learned => {
    const panel = panelOf(what);
    const { readings, measured: withMeter } = widthsOf(piece.log, what, (on) => predicted(on, panel));
    return {
      what,
      name: panel ? `the whole ${panel.name}` : `board ${what}`,
      boards: panel ? [] : [what],
      fit: fitCoefficient(readings, withMeter ? undefined : 0.2),
      table: panel ? panel.table : table(what),
      inForce: piece.fitted.some((each) => each.what === what),
    };
  });
  const trees = new Map<string, string[]>();
  for (const what of measured.filter((each) => !panelOf(each))) {
    const tree = rack.find((board) => board.id === what)?.tree;
    if (tree) trees.set(tree, [...(trees.get(tree) ?? []), what]);
  }
  const bundles = [...trees]
    .filter(([, boards]) => boards.length > 1)
    .map(([tree, boards]): Learned => {
      const all = boards.map((what) => widthsOf(piece.log, what, (on) => predicted(on)));
      const inPanel = panels
        .flatMap(({ movement }) => movement.strips)
        .flatMap((strip) =>
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
  const targets = boards.length === 0 ? [what] : boards;
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
