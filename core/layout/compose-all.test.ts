import highsLoader from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { randomRack } from "../testing/boards";
import { panelCandidates } from "./candidates";
import { AllComposed, composeAll, PanelToCompose } from "./compose-all";

const choice = { strips: [], pinned: [], banned: [], crosscutFirst: true, sawnFace: null };
const rackOf = (seed: number, boards = 24) => randomRack(seed, boards);
const SIZES = { top: [1500, 620, 26], shelf: [1200, 380, 22] } as const;
const panelOf = (
  name: keyof typeof SIZES,
  rack: PanelToCompose["inputs"]["rack"],
  kept: Partial<PanelToCompose["inputs"]["choice"]> = {},
): PanelToCompose => {
  const [length, width, thickness] = SIZES[name];
  return {
    ...{ id: name, name },
    inputs: {
      ...{ name, rack, species: "european-ash", need: { length, width, thickness }, shop: USUAL_SHOP },
      ...{ frame: { width, overhang: 40, leg: 75 }, choice: { ...choice, ...kept }, rings: "alternate" as const },
      ...{ sets: 100, seed: 1 },
    },
  };
};
const both = (rack: PanelToCompose["inputs"]["rack"]) => [panelOf("top", rack), panelOf("shelf", rack)];
const composed = (panels: readonly PanelToCompose[]): AllComposed => [...composeAll(panels)].at(-1)!;
const boardsIn = ({ panels }: AllComposed) => panels.flatMap(({ strips }) => strips.map(({ board }) => board));

let highs: Awaited<ReturnType<typeof highsLoader>>;
beforeAll(async () => {
  highs = await highsLoader();
});

/** The least wood any division of the boards uses, dm³, as a mixed-integer program. */
function leastOfAll(panels: readonly PanelToCompose[]): number {
  const offered = panels.flatMap(({ inputs }, p) =>
    panelCandidates(inputs.rack, inputs.species, inputs.need, {
      shop: inputs.shop,
      choice: inputs.choice,
    }).candidates.map((each) => ({
      ...{ p, board: each.board.id, width: each.width, cost: each.cost / 1e6 },
    })),
  );
  const sum = (of: (each: (typeof offered)[number]) => number, only: (each: (typeof offered)[number]) => boolean) =>
    offered.flatMap((each, i) => (only(each) ? [`${of(each)} x${i}`] : [])).join(" + ");
  const wide = panels.map(
    ({ inputs }, p) =>
      ` wide${p}: ${sum(
        (each) => each.width,
        (each) => each.p === p,
      )} >= ${inputs.need.width}`,
  );
  const once = [...new Set(offered.map(({ board }) => board))].map(
    (board, i) =>
      ` once${i}: ${sum(
        () => 1,
        (each) => each.board === board,
      )} <= 1`,
  );
  const names = offered.map((_, i) => `x${i}`).join(" ");
  const model = `Minimize\n cost: ${sum(
    (each) => each.cost,
    () => true,
  )}\nSubject To\n${[...wide, ...once].join("\n")}\nBinary\n ${names}\nEnd`;
  const solved = highs.solve(model, { mip_rel_gap: 0 });
  return solved.Status === "Optimal" ? solved.ObjectiveValue : Infinity;
}

describe("all panels from one rack", () => {
  it("use hardly more wood than any division of the boards could (HiGHS, 12 seeded racks)", () => {
    const over: number[] = [];
    for (let seed = 1; seed <= 12; seed += 1) {
      const panels = both(rackOf(seed));
      const ours = composed(panels);
      const least = leastOfAll(panels);
      over.push(ours.cost / 1e6 / least - 1);
      expect(ours.without).toEqual([]);
      expect(ours.bound / 1e6).toBeLessThan(least + 1e-6);
    }
    expect(Math.min(...over)).toBeGreaterThan(-1e-6);
    // what a better looking panel may cost is in it
    expect(Math.max(...over)).toBeLessThan(0.025);
    expect(over.reduce((a, b) => a + b) / over.length).toBeLessThan(0.004);
  });
  it("claim no board twice, and cover their widths", () => {
    for (let seed = 30; seed < 40; seed += 1) {
      const rack = rackOf(seed, 18);
      const panels = both(rack);
      const all = composed(panels);
      expect(new Set(boardsIn(all)).size).toBe(boardsIn(all).length);
      for (const { id, strips } of all.panels) {
        const { inputs } = panels.find((each) => each.id === id)!;
        const { candidates } = panelCandidates(rack, inputs.species, inputs.need, {
          shop: inputs.shop,
          choice: inputs.choice,
        });
        const width = strips.reduce((w, { board }) => w + candidates.find((c) => c.board.id === board)!.width, 0);
        expect(width).toBeGreaterThanOrEqual(inputs.need.width);
      }
    }
  });
  it("leave a board where a maker pinned it", () => {
    const rack = rackOf(3);
    const wanted = composed(both(rack)).panels.find(({ id }) => id === "top")!.strips[0].board;
    const all = composed([panelOf("top", rack), panelOf("shelf", rack, { pinned: [wanted] })]);
    const of = (id: string) => all.panels.find((each) => each.id === id)!.strips.map(({ board }) => board);
    expect(of("shelf")).toContain(wanted);
    expect(of("top")).not.toContain(wanted);
  });
  it("find boards for both wherever there are enough, and say which has none where there are not (HiGHS)", () => {
    const seen = { both: 0, short: 0 };
    for (let seed = 60; seed < 84; seed += 1) {
      const panels = both(rackOf(seed, 6 + (seed % 3)));
      const all = composed(panels);
      const enough = Number.isFinite(leastOfAll(panels));
      expect({ seed, both: all.without.length === 0 }).toEqual({ seed, both: enough });
      for (const { name, none } of all.without) expect(none).toContain(`the ${name} needs`);
      seen[enough ? "both" : "short"] += 1;
    }
    expect(Math.min(seen.both, seen.short)).toBeGreaterThan(2);
  });
  it("give the same panels each time", () => {
    const rack = rackOf(5);
    expect(composed(both(rack))).toEqual(composed(both(rack)));
  });
});
