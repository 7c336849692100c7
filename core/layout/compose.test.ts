import highsLoader from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard, randomRack } from "../testing/boards";
import { arrangementFault, bestOrder } from "./arrange";
import { Candidate, jointLines, panelCandidates, widestWindow } from "./candidates";
import { BEAUTY_BUDGET, ComposeInputs, Composed, composePanel } from "./compose";
import { cheapestCover, setsWithin } from "./cover";
import { allPanels, SMALL_PANEL } from "../testing/all-panels";
import { coverModel } from "../testing/cover-model";
import { prizedBoards } from "../stock/prized";
import { seeded } from "../units/seeded";

const need = { length: 1800, width: 850, thickness: 28 };
const choice = { strips: [], pinned: [], banned: [], crosscutFirst: true, sawnFace: null };
const inputs = (rack: ComposeInputs["rack"], change: Partial<ComposeInputs> = {}): ComposeInputs => ({
  name: "top",
  rack,
  species: "european-ash",
  need,
  shop: USUAL_SHOP,
  frame: { width: 850, overhang: 40, leg: 75 },
  choice,
  rings: "alternate",
  sets: 100,
  seed: 1,
  ...change,
});

function composed(given: ComposeInputs): Composed {
  const last = [...composePanel(given)].at(-1)!;
  if ("none" in last) throw new Error(last.none);
  return last;
}

describe("the cheapest cover of the width", () => {
  const small = (seed: number): Candidate[] =>
    panelCandidates(randomRack(seed, 14), "european-ash", need, { shop: USUAL_SHOP, choice }).candidates;

  it("is what trying every subset finds (exhaustive, 12 seeded racks)", () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const candidates = small(seed);
      let least = Infinity;
      for (let mask = 0; mask < 1 << candidates.length; mask += 1) {
        let [width, cost, count] = [0, 0, 0];
        candidates.forEach((each, i) => {
          if (mask & (1 << i)) {
            width += each.width;
            cost += each.cost;
            count += 1;
          }
        });
        if (width >= 500 && count <= 5) least = Math.min(least, cost);
      }
      expect(cheapestCover(candidates, 500, 5).best).toBe(least);
    }
  });

  it("finds all sets within a budget, each once, and no dearer one (exhaustive)", () => {
    const candidates = small(3);
    const cover = cheapestCover(candidates, 400, 6);
    const budget = cover.best * 1.2;
    const found = [...setsWithin(candidates, cover, budget, 1e6)].map((set) =>
      set
        .map((each) => each.board.id)
        .sort()
        .join(),
    );
    expect(new Set(found).size).toBe(found.length);
    for (const set of [...setsWithin(candidates, cover, budget, 1e6)]) {
      expect(set.reduce((sum, each) => sum + each.cost, 0)).toBeLessThanOrEqual(budget + 1e-6);
      expect(set.reduce((sum, each) => sum + each.width, 0)).toBeGreaterThanOrEqual(400);
    }
  });
});

describe("the panel search against the highs solver on the same model", () => {
  let highs: Awaited<ReturnType<typeof highsLoader>>;
  beforeAll(async () => {
    highs = await highsLoader();
  });

  it.each([1, 2, 3, 4, 5, 6])("rack %i: never below its optimum, waste within 3 %% of it", (seed) => {
    const rack = randomRack(seed, 20 + 4 * seed);
    const { candidates } = panelCandidates(rack, "european-ash", need, { shop: USUAL_SHOP, choice });
    const optimum = highs.solve(coverModel(candidates, need.width, 16)).ObjectiveValue * 1e6;
    const panel = composed(inputs(rack));
    expect(panel.bound).toBeCloseTo(optimum, -3);
    expect(panel.cost).toBeGreaterThanOrEqual(optimum - 1000);
    expect(panel.cost - panel.net).toBeLessThanOrEqual(1.03 * (optimum - panel.net) + 1000);
  });
});

describe("composing", () => {
  const rack = randomRack(7, 40);

  it("covers the width with boards that are long and thick enough, each once", () => {
    const panel = composed(inputs(rack));
    const ids = panel.strips.map((each) => each.board);
    const { candidates } = panelCandidates(rack, "european-ash", need, { shop: USUAL_SHOP, choice });
    const widths = ids.map((id) => candidates.find((each) => each.board.id === id)!.width);
    expect(new Set(ids).size).toBe(ids.length);
    expect(widths.reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(need.width);
  });
  it("gives the same panel for the same seed", () => expect(composed(inputs(rack))).toEqual(composed(inputs(rack))));
  it("spends no more on looks than its budget", () => {
    const panel = composed(inputs(rack, { sets: 2000 }));
    expect(panel.cost - panel.bound).toBeLessThanOrEqual(BEAUTY_BUDGET * (panel.bound - panel.net) + 1e-6);
  });
  it("looking longer never looks worse", () => {
    expect(composed(inputs(rack, { sets: 400 })).fault).toBeLessThanOrEqual(
      composed(inputs(rack, { sets: 1 })).fault + 1e-9,
    );
  });
  it("keeps pinned boards in and banned ones out", () => {
    const first = composed(inputs(rack)).strips.map((each) => each.board);
    const other = panelCandidates(rack, "european-ash", need, { shop: USUAL_SHOP, choice })
      .candidates.map((each) => each.board.id)
      .find((id) => !first.includes(id))!;
    const again = composed(inputs(rack, { choice: { ...choice, pinned: [other], banned: [first[0]] } })).strips.map(
      (each) => each.board,
    );
    expect(again).toContain(other);
    expect(again).not.toContain(first[0]);
  });
  it("alternates the rings, or shows the better face, as the school is", () => {
    expect(new Set(composed(inputs(rack, { rings: "best-face" })).strips.map((each) => each.face))).toEqual(
      new Set(["bark-up"]),
    );
    composed(inputs(rack)).strips.forEach((each, i) => expect(each.face).toBe(i % 2 ? "bark-down" : "bark-up"));
  });
  it("leaves boards another piece has reserved", () => {
    const taken = rack.map((board) => ({ ...board, reservedBy: { piece: "x", name: "Desk" } }));
    expect([...composePanel(inputs(taken))][0]).toHaveProperty("none");
  });
});

describe("a rack that can't make the panel says what is missing and the fix", () => {
  const none = (rack: ComposeInputs["rack"], change: Partial<ComposeInputs> = {}) =>
    ([...composePanel(inputs(rack, change))][0] as { none: string }).none;
  it("no board of the species", () =>
    expect(none(randomRack(1, 5), { species: "teak" })).toMatch(/No board of this species.*add boards/));
  it("no board long enough", () =>
    expect(none(randomRack(1, 9), { need: { ...need, length: 5000 } })).toMatch(
      /None of the 9 boards gives a strip 5040 mm long.*Shorten/,
    ));
  it("not enough of them", () =>
    expect(none([demoBoard({ width: 200 })])).toMatch(/add up to 197 mm; the top needs 850 mm.*buy 3 more/));
});

describe("windows between defects", () => {
  const knot = (x: number, y: number) => ({ kind: "knot" as const, x, y, length: 40, width: 30 });
  it("slides past a knot when the board is long enough", () => {
    expect(widestWindow(demoBoard({ defects: [knot(100, 60)] }), 1840)).toEqual({ slide: 140, width: 160, from: 0 });
  });
  it("rips beside it when it is not", () => {
    expect(widestWindow(demoBoard({ length: 1850, defects: [knot(900, 120)] }), 1840)).toMatchObject({
      width: 120,
      from: 0,
    });
    expect(widestWindow(demoBoard({ length: 1850, defects: [knot(900, 10)] }), 1840)).toMatchObject({
      width: 120,
      from: 40,
    });
  });
  it("a board its defects cover gives nothing", () => {
    expect(
      widestWindow(demoBoard({ defects: [{ kind: "wane", x: 0, y: 0, length: 2400, width: 160 }] }), 1840).width,
    ).toBe(0);
  });
});

describe("a prized board", () => {
  const set = panelCandidates(randomRack(5, 30), "european-ash", need, { shop: USUAL_SHOP, choice }).candidates.slice(
    0,
    5,
  );
  const frame = { width: 600, overhang: 40, leg: 75 };
  it("in the panel is a fault, wherever it lies", () => {
    const plain = arrangementFault(set, frame);
    for (const each of set)
      expect(arrangementFault(set, { ...frame, prized: [each.board.id] })).toBeGreaterThan(plain + 1);
    expect(arrangementFault(set, { ...frame, prized: ["another"] })).toBe(plain);
  });
  it("is spared when another set wastes about as little, and used when it is pinned", () => {
    const boards = [
      ...Array.from({ length: 8 }, (_, i) => demoBoard({ id: `N${i}`, width: 123, length: 1840 })),
      demoBoard({ id: "WIDE", width: 247, length: 1840 }),
    ];
    const ask = { need: { ...need, width: 600 }, frame: { width: 600, overhang: 40, leg: 75 }, sets: 5000 };
    expect(composed(inputs(boards, ask)).strips.map((each) => each.board)).not.toContain("WIDE");
    expect(
      composed(inputs(boards, { ...ask, choice: { ...choice, pinned: ["WIDE"] } })).strips.map((each) => each.board),
    ).toContain("WIDE");
  });
});

describe("orders", () => {
  const set = panelCandidates(randomRack(5, 30), "european-ash", need, { shop: USUAL_SHOP, choice }).candidates.slice(
    0,
    6,
  );
  const frame = { width: 700, overhang: 40, leg: 75 };
  it("the search among orders finds the best of all 720 (exhaustive)", () => {
    let least = Infinity;
    const walk = (left: Candidate[], order: Candidate[]): void => {
      if (left.length === 0) least = Math.min(least, arrangementFault(order, frame));
      left.forEach((each, i) => walk([...left.slice(0, i), ...left.slice(i + 1)], [...order, each]));
    };
    walk(set, []);
    expect(bestOrder(set, frame, seeded(1), 12).fault).toBeCloseTo(least, 9);
  });
  it("what is over comes off the two outer strips alike", () =>
    expect(jointLines([100, 100, 120], 300)).toEqual([90, 190]));
});

describe("the whole search, where every panel can be tried (exhaustive)", () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])("rack %i: no set wastes less, no order within the budget looks better", (seed) => {
    const rack = randomRack(100 + seed, SMALL_PANEL.boards);
    const { need: small, frame } = SMALL_PANEL;
    const { candidates } = panelCandidates(rack, "european-ash", small, { shop: USUAL_SHOP, choice });
    const net = small.length * small.width * small.thickness;
    const panel = composed(inputs(rack, { need: small, frame, sets: 1e6 }));
    const all = allPanels(
      candidates,
      small.width,
      { ...frame, prized: prizedBoards(rack, "european-ash").map((each) => each.id) },
      (least) => least + BEAUTY_BUDGET * (least - net),
    );
    expect(all.orders).toBeGreaterThan(1);
    expect(panel.bound).toBeCloseTo(all.cost, -1);
    expect(panel.fault).toBeCloseTo(all.fault, 9);
  });
});
