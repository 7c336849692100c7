import type { Defect } from "./board";
import type { LaidStrip } from "./panel-facts";

/** What is filled where it stays in a panel. @source common practice */
const FILLED: Defect["kind"][] = ["knot", "check"];

/** Boards of a panel whose strips hold knots or checks, by name: they are filled once the panel is flat. */
export const filledIn = (laid: readonly LaidStrip[]): string[] =>
  laid
    .filter(({ strip, board, across, full, length }) =>
      board.defects.some(
        (d) =>
          FILLED.includes(d.kind) &&
          d.x < strip.slide + length &&
          d.x + d.length > strip.slide &&
          d.y < across + full &&
          d.y + d.width > across,
      ),
    )
    .map(({ board }) => board.id);
