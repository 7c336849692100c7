import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import type { CuttingFacts } from "./cutting-facts";
import { rowsKept } from "./row-rules";
import { inRows } from "./rows";
import type { RoughPiece } from "./sawing";
import { Cut, firstCut, SearchInputs, searchCuts } from "./search";

const SEED = Number(process.env.SEED ?? 20261127);
const piece = (id: string, group?: string, length = 400): RoughPiece => ({
  ...{ id, part: "drawer-front", label: id, length, width: 150, thickness: 20 },
  ...(group ? { matched: group, row: true } : {}),
});
const PIECES = [
  piece("C1", "fronts"),
  piece("C2", "fronts"),
  piece("C3", "fronts"),
  piece("A"),
  piece("B"),
  piece("D"),
];
const section = (...lanes: string[][]) => ({
  ...{ board: "F1", x: 0, y: 0, length: 3000 },
  lanes: lanes.map((pieces) => ({ width: 160, pieces })),
});

describe("a row of fronts along a board", () => {
  it("is gathered where its first piece lay, in its own order; the others stay in theirs", () => {
    expect(inRows([section(["B", "C3", "A", "C1", "D", "C2"])], PIECES)[0].lanes[0].pieces).toEqual([
      ...["B", "C1", "C2", "C3", "A", "D"],
    ]);
  });
  it("loses and doubles no piece, and leaves lanes without a row as they are", () =>
    fc.assert(
      fc.property(
        fc.shuffledSubarray(
          PIECES.map(({ id }) => id),
          { minLength: 0 },
        ),
        fc.nat(6),
        (ids, at) => {
          const lanes = [ids.slice(0, at), ids.slice(at)];
          const [out] = inRows([section(...lanes)], PIECES);
          for (const [i, lane] of out.lanes.entries()) {
            expect([...lane.pieces].sort()).toEqual([...lanes[i]].sort());
            const fronts = lane.pieces.filter((id) => id.startsWith("C"));
            expect(fronts).toEqual([...fronts].sort());
            const from = lane.pieces.indexOf(fronts[0]);
            expect(lane.pieces.slice(from, from + fronts.length)).toEqual(fronts);
            const others = (all: string[]) => all.filter((id) => !id.startsWith("C"));
            expect(others(lane.pieces)).toEqual(others(lanes[i]));
          }
        },
      ),
      { numRuns: 200, seed: SEED },
    ));
});

describe("whether a row is kept is said", () => {
  const judged = (places: [string, number, number][], board = "F1") =>
    rowsKept({
      shop: { ...USUAL_SHOP, kerf: 3 },
      pieces: PIECES,
      placed: places.map(([id, x, y]) => ({ piece: PIECES.find((each) => each.id === id)!, board, x, y })),
    } as unknown as CuttingFacts)!;
  it("after one another with a kerf between, it holds", () => {
    const places: [string, number, number][] = [
      ["C1", 100, 0],
      ["C2", 503, 0],
      ["C3", 906, 0],
    ];
    expect(judged(places).level).toBe("holds");
  });
  it("as far along, and in the lane beside it, it does not", () => {
    const places: [string, number, number][] = [
      ["C1", 100, 0],
      ["C2", 503, 160],
      ["C3", 906, 160],
    ];
    expect(judged(places).level).toBe("tight");
  });
  it.each([
    ["side by side", 0, 160],
    ["with another between", 906, 0],
    ["in the other order", -303, 0],
  ])("%s, it does not", (_, x, y) => {
    const said = judged([
      ["C1", 100, 0],
      ["C2", x, y],
      ["C3", 1400, 0],
    ]);
    expect(said.level).toBe("tight");
    expect(said.remedies).toHaveLength(1);
  });
});

describe("a search keeps rows in one stretch of one board", () => {
  const fronts = (lengths: readonly number[], width = 140): RoughPiece[] =>
    lengths.map((length, i) => ({ ...piece(`C${i + 1}`, "fronts", length), width }));
  const others = [700, 640, 520, 480, 300].map((length, i) => ({
    ...piece(`A${i + 1}`, undefined, length),
    width: 90,
  }));
  const inputsOf = (pieces: RoughPiece[], rack: ReturnType<typeof demoBoard>[], rounds = 4): SearchInputs => ({
    ...{ pieces, rack, taken: [], shop: USUAL_SHOP, sequence: "least-waste", seed: 3, rounds },
    groups: Object.fromEntries(pieces.flatMap(({ id, matched }) => (matched ? [[id, matched]] : []))),
  });
  const laneOf = (cut: Cut, id: string) =>
    cut.sections
      .flatMap(({ lanes, board }) => lanes.map((lane) => ({ ...lane, board })))
      .find(({ pieces }) => pieces.includes(id))!;
  // wide and short boards tempt it to rip fronts beside one another
  const RACK = [
    demoBoard({ id: "G1", width: 330, length: 1100, thickness: 27 }),
    demoBoard({ id: "G2", width: 330, length: 1100, thickness: 27 }),
    demoBoard({ id: "F1", width: 170, length: 3000, thickness: 27 }),
  ];
  it("in the first answer and in every later one", () => {
    const inputs = inputsOf([...fronts([900, 900, 900]), ...others], RACK);
    for (const cut of [firstCut(inputs), ...searchCuts(inputs)]) {
      expect(cut.missing.filter((id) => id.startsWith("C"))).toEqual([]);
      const lane = laneOf(cut, "C1");
      expect(lane.board).toBe("F1");
      expect(lane.pieces.join(" ")).toContain("C1 C2 C3");
      const section = cut.sections.find(({ lanes }) => lanes.some(({ pieces }) => pieces.includes("C1")))!;
      expect(section.length).toBeGreaterThanOrEqual(3 * 900 + 2 * USUAL_SHOP.kerf);
    }
  });
  it("a search that goes on from its own answer ends where it would have", () => {
    const inputs = inputsOf([...fronts([700, 700]), ...others], RACK, 6);
    const whole = [...searchCuts(inputs)];
    for (const at of [1, 3]) expect([...searchCuts(inputs, whole[at])].at(-1)).toEqual(whole.at(-1));
  });
  it("from an answer that ripped them side by side it lays them anew", () => {
    const inputs = inputsOf(fronts([700, 700]), RACK, 2);
    const before = {
      ...{ round: 1, trail: null },
      sections: [
        {
          board: "G1",
          x: 20,
          y: 0,
          length: 700,
          lanes: [
            { width: 140, pieces: ["C1"] },
            { width: 140, pieces: ["C2"] },
          ],
        },
      ],
    };
    const end = [...searchCuts(inputs, before)].at(-1)!;
    expect(laneOf(end, "C1").pieces).toEqual(["C1", "C2"]);
  });
  it("a row longer than every board falls apart, and stays on one board", () => {
    const inputs = inputsOf(fronts([900, 900]), RACK.slice(0, 2));
    const cut = firstCut(inputs);
    expect(cut.missing).toEqual([]);
    expect(laneOf(cut, "C1").board).toBe(laneOf(cut, "C2").board);
  });
  it("loses no piece (property: any lengths)", () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 200, max: 1200 }), { minLength: 2, maxLength: 5 }), (lengths) => {
        const inputs = inputsOf([...fronts(lengths), ...others], RACK, 1);
        const cut = [...searchCuts(inputs)].at(-1)!;
        const placed = cut.sections.flatMap(({ lanes }) => lanes.flatMap(({ pieces }) => pieces));
        expect([...placed, ...cut.missing].sort()).toEqual(inputs.pieces.map(({ id }) => id).sort());
      }),
      { numRuns: 20, seed: SEED },
    ));
});
