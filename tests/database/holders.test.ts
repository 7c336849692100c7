/** Rows of who has a board, as the database gives them, gathered board by board. */
import { describe, expect, it } from "vitest";
import { plainBoard } from "../../core/stock/board";
import { demoBoard } from "../../core/testing/boards";
import { gathered, HolderRow } from "../../store/holders";

const row = (id: string, name: string | null, stretch: string | null): HolderRow => ({
  ...{ body: plainBoard(demoBoard({ id })), checked: true, piece: name, name, stretch },
});

describe("rows of holders", () => {
  it("a board that is free is one row with nobody", () => {
    expect(gathered([row("B1", null, null)])).toMatchObject([{ piece: null, name: null, held: null }]);
  });
  it("several ranges of several pieces are told in the order in which they lie on the board, each name once", () => {
    const [board, next] = gathered([
      row("B1", "Stool", "{[900,1203.5)}"),
      row("B1", "Table", "{[0,400),[1300,)}"),
      row("B2", "Bench", "{[0,)}"),
    ]);
    expect(board.held!.map(({ name, from, to }) => [name, from, to])).toEqual([
      ["Table", 0, 400],
      ["Stool", 900, 1203.5],
      ["Table", 1300, null],
    ]);
    expect(board.name).toBe("Table and Stool");
    expect(next).toMatchObject({ name: "Bench", held: [{ from: 0, to: null }] });
  });
});
