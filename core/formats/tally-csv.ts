import type { Board } from "../stock/board";
import { formatInches, MM_PER_FOOT, MM_PER_INCH } from "../units/length";
import { boardFeet, QUARTERS } from "../units/lumber";
import { writeTable } from "./csv";

/** The rack as a merchant's tally: quarters where the thickness is one, inches and feet, board feet. */
export function writeTally(boards: readonly Board[]): string {
  const quarters = (mm: number) =>
    Object.keys(QUARTERS).find((name) => Math.abs(QUARTERS[name].rough - mm) < 0.5) ??
    `${formatInches(mm / MM_PER_INCH, 32)}"`;
  return writeTable(
    ["Tag", "Species", "Thickness", "Width in", "Length", "BF", "MC %", "Place", "Price"],
    boards.map((board) => {
      const feet = Math.floor(board.length / MM_PER_FOOT + 1e-9);
      return [
        board.id,
        board.species,
        quarters(board.thickness),
        formatInches(board.width / MM_PER_INCH, 32),
        `${feet}' ${formatInches((board.length - feet * MM_PER_FOOT) / MM_PER_INCH, 16)}"`,
        boardFeet(board.length, board.width, board.thickness).toFixed(2),
        board.moisture,
        board.shelf,
        board.price,
      ];
    }),
  );
}
