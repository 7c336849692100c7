import { describe, expect, it } from "vitest";
import { demoBoard } from "../testing/boards";
import { heldBy, holdersSaid, isShared, plainBoard } from "./board";

const kept = (name: string, from: number, to: number | null) => ({ piece: name, name, from, to });

describe("who has a board", () => {
  it("nobody, one piece whole, or several each a stretch, told with their places", () => {
    expect(holdersSaid(demoBoard())).toBeNull();
    const whole = demoBoard({ reservedBy: { piece: "t", name: "Table" }, held: [kept("Table", 0, null)] });
    expect([holdersSaid(whole), isShared(whole)]).toEqual(["Table", false]);
    const shared = demoBoard({
      reservedBy: { piece: "t", name: "Table and Stool" },
      held: [kept("Table", 0, 903), kept("Stool", 903, null)],
    });
    expect(isShared(shared)).toBe(true);
    expect(holdersSaid(shared)).toBe("Table, 0 mm to 903 mm; Stool, 903 mm to its end");
  });
  it("a stretch is another's from its first mm to its last, and free beside it", () => {
    const board = { held: [kept("Stool", 100, 200), kept("Bench", 500, null)] };
    expect(heldBy(board, 0, 100)).toBeNull();
    expect(heldBy(board, 0, 101)).toBe("Stool");
    expect(heldBy(board, 150, 160)).toBe("Stool");
    expect(heldBy(board, 200, 500)).toBeNull();
    expect(heldBy(board, 9000, 9001)).toBe("Bench");
    expect(heldBy({}, 0, 5000)).toBeNull();
  });
  it("the board alone is what the rack keeps: nobody's", () => {
    const board = demoBoard({ held: [kept("Table", 0, 903)], reservedBy: { piece: "t", name: "Table" } });
    expect(Object.keys(plainBoard(board))).not.toEqual(expect.arrayContaining(["held"]));
    expect(Object.keys(plainBoard(board))).not.toEqual(expect.arrayContaining(["reservedBy"]));
    expect(plainBoard(board)).toEqual(plainBoard(demoBoard()));
  });
});
