import type { BoardCut, LaidSection } from "./sawing";
/** Names written on the wood as it leaves the saw, so that a part can be followed from its board. */

/** A section's: the board's and its number from the left. */
export const sectionMark = (cut: BoardCut, section: LaidSection) =>
  `${cut.board.id}-${cut.sections.indexOf(section) + 1}`;

/** A lane's: its section's, with a letter where there are several. A lane of one piece bears the piece's own mark. */
export function laneMark(cut: BoardCut, section: LaidSection, lane: number): string {
  const { pieces } = section.lanes[lane];
  if (pieces.length === 1) return pieces[0];
  return section.lanes.length > 1 ? `${sectionMark(cut, section)}${"abcdefghijkl"[lane]}` : sectionMark(cut, section);
}

/** A strip of the panel's. */
export const stripMark = (board: string) => `strip ${board}`;
