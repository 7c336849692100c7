import { describe, expect, it } from "vitest";
import { applyPatches } from "../piece/patch";
import { at, find, planOf, plainRack, strips, tableWith } from "../testing/plans";
import type { RackBoard } from "./board";

const seven = strips("B1", "B2", "B3", "B4", "B5", "B6", "B7");
const rackWith = (id: string, change: Partial<RackBoard>) =>
  plainRack().map((board) => (board.id === id ? { ...board, ...change } : board));
const panel = at("panels.top.strips", seven);

describe("width and thickness after milling", () => {
  it("counts what jointing leaves of every board", () => {
    const widths = [130, 135, 140, 145, 150, 155, 160];
    expect(find(planOf(tableWith(panel)), "boards.width").actual).toBe(widths.reduce((sum, each) => sum + each - 3, 0));
  });
  it("names the thinnest board with what took its wood", () => {
    const verdict = find(
      planOf(tableWith(panel), rackWith("B3", { cup: 1.1, bow: 3.8, twist: 2.6, thickness: 34 })),
      "boards.thickness",
    );
    expect(verdict.subject).toEqual(["strip:B3"]);
    expect(verdict.text).toMatch(/^B3 cleans up at /);
    expect(verdict.why).toMatch(/^Rough 34\.0 mm, cup 1\.1 mm, bow 2\.2 mm, twist 1\.0 mm, cleaning 1\.6 mm\./);
  });
  it("offers to crosscut before flattening where that saves the board", () => {
    const bowed = rackWith("B3", { length: 3600, bow: 12, thickness: 36 });
    const whole = tableWith(panel, at("panels.top.crosscutFirst", false));
    const verdict = find(planOf(whole, bowed), "boards.thickness");
    expect(verdict.level).toBe("fix");
    const remedy = verdict.remedies.find((each) => each.label === "Crosscut before flattening")!;
    expect(find(planOf(applyPatches(whole, remedy.patches), bowed), "boards.thickness").level).toBe("holds");
  });
});

describe("joint lines", () => {
  const four = tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4")), at("form.top.width", 600));
  const wide = plainRack().map((board) => (board.id.startsWith("B") ? { ...board, width: 153 } : board));

  it("one on the centre is found, to the millimetre", () => {
    const verdict = find(planOf(four, wide), "boards.centre");
    expect(verdict.level).toBe("tight");
    expect(verdict.actual).toBe(0);
  });
  it("a swap that moves it is offered, done and undone by one press", () => {
    const uneven = wide.map((board) =>
      board.id === "B1" || board.id === "B4"
        ? { ...board, width: 183 }
        : board.id === "B2" || board.id === "B3"
          ? { ...board, width: 123 }
          : board,
    );
    const centred = planOf(four, uneven);
    expect(find(centred, "boards.centre").actual).toBe(0);
    const [swap] = find(centred, "boards.centre").remedies;
    expect(swap.label).toMatch(/^Swap B\d and B\d$/);
    const mended = applyPatches(four, swap.patches);
    expect(find(planOf(mended, uneven), "boards.centre").level).toBe("holds");
    expect(mended.panels.top.strips.map((each) => each.face)).toEqual(four.panels.top.strips.map((each) => each.face));
  });
  it("one over a leg is found", () => {
    const over = find(
      planOf(
        tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4")), at("form.top.width", 400)),
        rackWith("B1", { width: 100 }),
      ),
      "boards.legs",
    );
    expect(over.level).toBe("tight");
    expect(over.text).toMatch(/^A joint line runs over the legs, /);
    const lines = planOf(tableWith(panel)).panel.lines.map((line) => Math.min(line, 850 - line));
    expect(find(planOf(tableWith(panel)), "boards.legs").level).toBe(
      lines.some((line) => line > 40 && line < 115) ? "tight" : "holds",
    );
  });
});

describe("defects", () => {
  const knot = { kind: "knot" as const, x: 100, y: 60, length: 40, width: 40 };
  it("one inside the top is named, and the slide that gets it out is offered", () => {
    const rack = rackWith("B2", { defects: [knot] });
    const piece = tableWith(panel);
    const verdict = find(planOf(piece, rack), "boards.defect-B2");
    expect(verdict.level).toBe("tight");
    const mended = applyPatches(piece, verdict.remedies[0].patches);
    expect(mended.panels.top.strips[1].slide).toBe(140);
    expect(planOf(mended, rack).verdicts.some((each) => each.id === "boards.defect-B2")).toBe(false);
  });
  it("one in the end that is trimmed is no matter", () => {
    const rack = rackWith("B2", { defects: [{ ...knot, x: 2300 }] });
    expect(planOf(tableWith(panel), rack).verdicts.some((each) => each.id === "boards.defect-B2")).toBe(false);
  });
});

describe("boards that are gone or taken", () => {
  it("a board no longer on the rack is taken out by one press", () => {
    const piece = tableWith(panel, at("panels.top.strips.2.board", "Z9"));
    const verdict = find(planOf(piece), "boards.gone");
    expect(verdict.text).toBe("Z9 is no longer on the rack");
    expect(applyPatches(piece, verdict.remedies[0].patches).panels.top.strips.map((each) => each.board)).toEqual([
      "B1",
      "B2",
      "B4",
      "B5",
      "B6",
      "B7",
    ]);
  });
  it("a board another piece has is named with the piece", () => {
    const verdict = find(
      planOf(tableWith(panel), rackWith("B5", { reservedBy: { piece: "p", name: "Writing desk" } })),
      "boards.taken",
    );
    expect(verdict.text).toBe("B5 is reserved for Writing desk");
  });
});
