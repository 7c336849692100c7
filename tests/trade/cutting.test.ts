/** Cards and milling plans as the one who stands at the saw reads them. */
import { describe, expect, it } from "vitest";
import { runsOf } from "../../core/layout/runs";
import { sawnAtBevel } from "../../core/layout/saws";
import { USUAL_SHOP } from "../../core/piece/shop";
import { narrowest, widthAt } from "../../core/stock/board";
import { millingPlan } from "../../core/stock/milling-plan";
import { hollows, keptShare } from "../../core/stock/sawn-face";
import { demoBoard } from "../../core/testing/boards";
import { at, find, plainRack, planOf, strips, tableWith } from "../../core/testing/plans";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
const cardsOf = (plan: ReturnType<typeof planOf>, id: string) =>
  plan.cutting.cards.filter((card) => card.id.startsWith(id));
const step = (plan: ReturnType<typeof planOf>, id: string) => plan.steps.find((each) => each.id === id)!;

describe("1: strips keep wood for flattening the glued panel", () => {
  const plan = planOf(tableWith(seven, at("form.top.thickness", 30)));
  it("are planed to 31.5 for a top of 30, and the panel goes to 30 after", () => {
    expect(cardsOf(plan, "planer:31.5").flatMap((card) => card.rows[0].to)).toContain("strip B1");
    expect(cardsOf(plan, "planer:30").flatMap((card) => card.rows.flatMap((row) => row.to))).not.toContain("strip B1");
    expect(step(plan, "flatten").detail).toMatch(/^From 31\.5 mm to 30\.0 mm /);
  });
  it("all alike, as thick as the thinnest board lets them be: 33 sawn less 1.6 cleaned leaves 31.4, so 31", () => {
    const thin = planOf(
      tableWith(seven, at("form.top.thickness", 30)),
      plainRack().map((board) => (board.id === "B2" ? { ...board, thickness: 33 } : board)),
    );
    expect(cardsOf(thin, "planer:31")[0].rows[0].to).toHaveLength(7);
    expect(find(thin, "boards.thickness")).toMatchObject({ level: "tight", limit: 31.5, actual: 31.4 });
  });
  it("a panel narrower than the planer is planed in one; a wider one by what the shop has for it", () => {
    const narrow = tableWith(at("panels.top.strips", strips("B1", "B2", "B3")), at("form.top.width", 400));
    expect(step(planOf(narrow), "flatten").detail).toMatch(/through the planer\./);
    expect(step(plan, "flatten").detail).toMatch(/by hand: planed across the grain/);
    const sled = planOf(tableWith(seven), plainRack(), { ...USUAL_SHOP, routerSled: 1000 });
    expect(step(sled, "flatten").detail).toMatch(/under the router sled/);
  });
});

describe("1: a face may stay sawn", () => {
  const board = (warp: object) => demoBoard({ length: 2000, width: 200, thickness: 40, ...warp });
  const share = (warp: object, passes: number, face: "bark-up" | "bark-down" = "bark-up") =>
    keptShare(hollows(board(warp), 2000, 200, face), passes);
  it("what keeps its marks follows from the warp: a cup of 2.4 hollow above keeps √¾ of its width after one pass of 0.6, crowned a half", () => {
    expect(share({ cup: 2.4 }, 1)).toBeCloseTo(Math.sqrt(0.75), 1);
    expect(share({ cup: 2.4 }, 1, "bark-down")).toBeCloseTo(0.5, 1);
    expect(share({ bow: 2.4 }, 1)).toBeCloseTo(0.5, 1);
    expect(share({ bow: 2.4 }, 4)).toBe(0);
    expect(share({}, 1)).toBe(0);
    expect(share({}, 0)).toBe(1);
  });
  it("half of a strip crosscut from a bowed board keeps as much as a quarter of the bow leaves", () => {
    const [half, whole] = [1000, 2000].map((length) => Math.max(...hollows(board({ bow: 8 }), length, 200, "bark-up")));
    expect([half, whole]).toEqual([2, 8]);
  });
  const sawn = (passes: number | null, rack = plainRack()) =>
    planOf(tableWith(seven, at("form.top.thickness", 30), at("panels.top.sawnFace", passes)), rack);
  const thin = plainRack().map((each) => (each.id === "B2" ? { ...each, thickness: 32, cup: 3 } : each));
  it("the thinnest board gives the thickness, less what cleans below and the passes above: 32 less 0.8 and 0.6 is 30.6", () => {
    expect(find(sawn(1, thin), "boards.thickness")).toMatchObject({ level: "holds", actual: 30.6, limit: 30 });
    expect(find(sawn(3, thin), "boards.thickness")).toMatchObject({ level: "fix", actual: 29.4 });
    expect(find(sawn(null, thin), "boards.thickness").actual).toBeLessThan(30.4);
  });
  it("says how much of it stays and how low it lies, and a pass mends what a hand feels", () => {
    const rule = find(sawn(0, thin), "boards.sawn-face");
    expect(rule).toMatchObject({ level: "tight", actual: 2.9 });
    expect(rule.remedies[0].patches[0]).toMatchObject({ path: ["panels", "top", "sawnFace"], value: 3 });
    expect(find(sawn(3, thin), "boards.sawn-face")).toMatchObject({ level: "holds", actual: 1.1 });
    expect(sawn(null).verdicts.map(({ id }) => id)).not.toContain("boards.sawn-face");
  });
  it("is told on the cards and in the steps: metal first, from below only, never sanded away", () => {
    const plan = sawn(2);
    expect(step(plan, "rough-cut").after).toEqual(["metal"]);
    expect(cardsOf(plan, "planer:30").flatMap((card) => card.rows.map(({ what }) => what))).toContain(
      "7, from below, then 2 light passes above",
    );
    expect(step(plan, "flatten").detail).toMatch(/^The upper face stays as it was sawn. Level the face below/);
    expect(step(plan, "sand-top").title).toBe("Brush the top’s sawn face, sand the face below");
    expect(plan.steps.map(({ detail }) => detail).join()).not.toMatch(/Both faces through the planer/);
    const strip = plan.cutting.milled.find((each) => each.mark === "strip B1")!;
    expect(strip.plan.faces.second).toBeCloseTo(1.2, 9);
    expect(strip.plan.steps[0]).toMatch(/metal/);
  });
});

describe("6: a board that tears", () => {
  it("stops 1 over at the planer, by itself, and is sanded down by what the shop has", () => {
    const tears = plainRack().map((each) => (each.id === "B3" ? { ...each, tears: true } : each));
    const rows = (shop: object) =>
      cardsOf(
        planOf(tableWith(seven, at("form.top.thickness", 30)), tears, { ...USUAL_SHOP, ...shop }),
        "planer:31.5",
      )[0].rows;
    const [others, torn] = rows({ drumSander: null });
    expect(others.to).toHaveLength(6);
    expect(torn).toMatchObject({
      to: ["strip B3"],
      what: "1, its grain tears: stop 1 mm over",
      check: "sanded down, belt sander, then by hand",
    });
    expect(rows({ drumSander: 400 })[1].check).toBe("sanded down, through the drum sander");
  });
});

describe("5: rough wood has no straight edge", () => {
  const machines = (change: object) => [
    ...new Set(
      cardsOf(planOf(tableWith(seven), plainRack(), { ...USUAL_SHOP, ...change }), "rip:").map((each) => each.machine),
    ),
  ];
  it("is ripped at the bandsaw, by track saw, or after an edge is jointed: never straight at the table saw", () => {
    expect(machines({})).toEqual(["Bandsaw"]);
    expect(machines({ bandsawHeight: null, trackSaw: 95 })).toEqual(["Track saw"]);
    expect(machines({ bandsawHeight: null })).toEqual(["Jointer, then table saw"]);
    expect(machines({ bandsawHeight: 60, trackSaw: null }).sort()).toEqual(["Bandsaw", "Jointer, then table saw"]);
  });
  it("loses its crook first: a rail 105 wide lies where 105 and what jointing takes are left", () => {
    const rack = plainRack().map((board) => (board.id.startsWith("R") ? { ...board, crook: 9, width: 118 } : board));
    const { boards } = planOf(tableWith(seven, at("form.apron.depth", 105)), rack).cutting;
    for (const cut of boards.filter(({ board }) => board.crook > 0))
      for (const section of cut.sections) {
        const straight = cut.board.width - cut.board.crook * (section.length / cut.board.length) ** 2;
        const lanes = section.lanes.reduce((sum, lane) => sum + lane.width + USUAL_SHOP.kerf, -USUAL_SHOP.kerf);
        expect(lanes).toBeLessThanOrEqual(straight + 1e-6);
      }
    expect(boards.some(({ board, sections }) => board.crook > 0 && sections.length > 0)).toBe(true);
  });
});

describe("6: no cut is deeper than the blade", () => {
  it("legs of 85 are not ripped at a table saw that reaches 76", () => {
    const plan = planOf(tableWith(seven, at("form.leg.section", 85)));
    const legs = cardsOf(plan, "table saw:85").find((card) => card.rows.some((row) => row.to.includes("L1")))!;
    expect(legs.machine).toBe("Bandsaw, then planer on edge");
    expect(legs.rows[0].what).toMatch(/thicker than the blade’s 76 mm/);
  });
  it("above the sled 64 are left: an 85 leg is crosscut from both sides, or at a mitre saw that takes it", () => {
    const rows = (shop = USUAL_SHOP) =>
      cardsOf(planOf(tableWith(seven, at("form.leg.section", 85)), plainRack(), shop), "crosscut stop")
        .flatMap((card) => card.rows.map((row) => ({ ...row, machine: card.machine })))
        .find((row) => row.to.includes("L1"))!;
    expect(rows().what).toMatch(/higher than the 64 mm above the sled: from both sides/);
    expect(rows({ ...USUAL_SHOP, mitreSaw: { width: 300, height: 90 } }).machine).toBe("Mitre saw with a stop");
  });
  it("a corner sawn off for a leg of 75: 78 wide, 55 high at 45°, where a blade tilted reaches 53", () => {
    expect(sawnAtBevel(78, USUAL_SHOP)).toMatch(
      /reaches 53 mm and this cut stands 55 mm high: tilt the bandsaw’s table/,
    );
    expect(sawnAtBevel(78, { ...USUAL_SHOP, bevelReach: 56 })).toBe("Tilt the saw to 45° from square");
  });
});

describe("7: no piece lies over wane, nor beyond a tapered board's edge", () => {
  const board = demoBoard({
    ...{ length: 2400, width: 220, widthEnd: 120, thickness: 32 },
    defects: [
      { kind: "wane", x: 0, y: 150, length: 900, width: 70 },
      { kind: "split", x: 1400, y: 0, length: 60, width: 220 },
    ],
  });
  it("runs keep to the edge that is there", () => {
    const runs = runsOf(board, [], USUAL_SHOP);
    expect(runs.length).toBeGreaterThan(0);
    for (const run of runs) {
      expect(run.y + run.width).toBeLessThanOrEqual(widthAt(board, run.x + run.length) + 1e-9);
      for (const d of board.defects) {
        const beside = d.x + d.length <= run.x || d.x >= run.x + run.length;
        expect(beside || d.y >= run.y + run.width - 1e-9 || d.y + d.width <= run.y + 1e-9).toBe(true);
      }
    }
    // more than the narrow end's width, where the board is wider
    expect(Math.max(...runs.map((run) => run.width))).toBeGreaterThan(narrowest(board));
  });
});

describe("13: nothing is put under a board at the jointer", () => {
  it("a piece that rocks by 8 goes on a planer sled with 4 of shim under two corners", () => {
    const plan = millingPlan(
      demoBoard({ length: 1000, width: 200, twist: 8 }),
      { length: 1000, width: 200, thickness: 25 },
      USUAL_SHOP,
    );
    expect(plan).toMatchObject({ machine: "sled", shim: 4 });
    expect(plan.steps.join(" ")).toMatch(/on the sled, put 4\.0 mm of shim/);
  });
  it("one that rocks by 1 is held level by hand at the jointer, without a shim", () => {
    const plan = millingPlan(
      demoBoard({ length: 1000, width: 200, twist: 1 }),
      { length: 1000, width: 200, thickness: 30 },
      USUAL_SHOP,
    );
    expect(plan).toMatchObject({ machine: "jointer", shim: 0 });
    expect(plan.steps.join(" ")).not.toMatch(/shim/);
  });
});

describe("21: thick stock is resawn, not planed away", () => {
  it("100 for a 60 post: a face flattened, opened at the bandsaw to 62, then planed", () => {
    const plan = millingPlan(demoBoard({ thickness: 100 }), { length: 700, width: 120, thickness: 60 }, USUAL_SHOP);
    expect(plan.resawn).toBe(62);
    expect(plan.faces.secondPasses).toBe(2);
    const without = millingPlan(
      demoBoard({ thickness: 100 }),
      { length: 700, width: 120, thickness: 60 },
      { ...USUAL_SHOP, bandsawHeight: null },
    );
    expect(without.resawn).toBeNull();
  });
});
