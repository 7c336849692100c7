import type { RackBoard } from "./board";

/** A board at least this wide, and this much wider than the usual one of its wood, is worth sparing, mm and times. Ours. */
const PRIZED = { width: 220, times: 1.4 };

/** Boards of this wood that are too good to rip up: the widest by far. */
export function prizedBoards(rack: readonly RackBoard[], species: string): RackBoard[] {
  const widths = rack
    .filter((board) => board.species === species)
    .map((board) => board.width)
    .sort((a, b) => a - b);
  const usual = widths[Math.floor(widths.length / 2)] ?? 0;
  return rack.filter(
    (board) => board.species === species && board.width >= Math.max(PRIZED.width, PRIZED.times * usual),
  );
}
