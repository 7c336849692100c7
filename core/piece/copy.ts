import { freshCutting } from "./cutting-choices";
import { everyPanel, panelChoices } from "./panels";
import type { Piece } from "./schema";
import { panelsMade } from "./times";

/** A copy starts unsawn, without boards, log and whatever was measured, glued or ticked: those belong to the first. */
export function copyOf(piece: Piece): Piece {
  return {
    ...piece,
    name: `${piece.name.slice(0, 110)}, copy`,
    panels: everyPanel(piece.panels, (panel) => ({ ...panel, strips: [], pinned: [] })),
    cutting: { ...freshCutting(), sequence: piece.cutting.sequence },
    glueUp: { ...piece.glueUp, runs: [] },
    asBuilt: [],
    log: [],
    done: [],
  };
}

/** Boards a piece needs whole: those of its panel and of its cutting plan, but not what it has sawn. */
export function boardsOf(piece: Piece): string[] {
  const sawn = new Set(piece.cutting.sawn.map((each) => each.board.id));
  return [
    ...new Set([
      ...panelsMade(piece).flatMap(([, panel]) => panel.strips.map((strip) => strip.board)),
      ...piece.cutting.sections.map((section) => section.board),
    ]),
  ].filter((id) => !sawn.has(id));
}

/** Every board a piece names, sawn or not: what its page must know to show it. */
export function boardsNamed(piece: Piece): string[] {
  return [
    ...new Set([
      ...boardsOf(piece),
      ...panelChoices(piece).flatMap((panel) => [...panel.pinned, ...panel.banned]),
      ...piece.log.flatMap((entry) => ("what" in entry && entry.what !== "top" ? [entry.what] : [])),
    ]),
  ];
}
