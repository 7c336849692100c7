import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import { boardFaults, millingPlan, SKIP_PASS } from "./milling-plan";

const board = demoBoard({ length: 2400, width: 200, thickness: 40, bow: 6, cup: 2, twist: 4 });
const whole = { length: 2400, width: 200, thickness: 28 };

describe("milling planned", () => {
  it("what comes off both faces is what goes, and the first face comes flat", () => {
    const { faces, milled } = millingPlan(board, whole, USUAL_SHOP);
    expect(faces.first + faces.second).toBeCloseTo(40 - 28, 9);
    expect(faces.first).toBeGreaterThanOrEqual(
      milled.lost.cup + milled.lost.bow + milled.lost.twist / 2 + USUAL_SHOP.cleaning - 1e-9,
    );
    expect(faces.firstPasses).toBe(Math.ceil(faces.first));
  });
  it("a flat board loses alike on both faces", () => {
    const { faces, shim } = millingPlan(
      demoBoard({ thickness: 38 }),
      { length: 1000, width: 150, thickness: 30 },
      USUAL_SHOP,
    );
    expect(faces.first).toBeCloseTo(4, 9);
    expect(faces.second).toBeCloseTo(4, 9);
    expect(shim).toBe(0);
  });
  it("twist is shimmed by half its lift: the plane halves the corners' error (derived by hand)", () => {
    // three corners at 0 and one lifted by t rock about a diagonal; with t/2 under both of its ends the corners lie within t/4 of their mean plane
    const { shim } = millingPlan(board, whole, USUAL_SHOP);
    expect(shim).toBeCloseTo(4 / 2, 9);
    const heights = [0, 0, 0, 4];
    const [a, b, c, d] = heights;
    const mean = (a + b + c + d) / 4;
    const fit = [
      [-1, -1],
      [1, -1],
      [-1, 1],
      [1, 1],
    ].map(([x, y]) => mean + (x * (b + d - a - c)) / 4 + (y * (c + d - a - b)) / 4);
    expect(Math.max(...heights.map((each, i) => Math.abs(each - fit[i])))).toBeCloseTo(4 / 4, 9);
  });
  it("crosscut and ripped first far more survives, and it says so", () => {
    const short = millingPlan(board, { length: 800, width: 100, thickness: 28 }, USUAL_SHOP);
    expect(short.milled.thickness).toBeGreaterThan(millingPlan(board, whole, USUAL_SHOP).milled.thickness + 5);
    expect(short.steps[0]).toMatch(/Crosscut to 800 mm first: bow shrinks to 0.7 mm/);
    expect(short.steps[1]).toMatch(/Rip to 100 mm before flattening: cup shrinks to 0.5 mm/);
  });
  it.each([
    [200, 2400, "jointer"],
    [300, 1500, "sled"],
    [200, 2900, "sled"],
    [600, 1500, "halves"],
    [900, 1500, "hand"],
  ] as const)("%i by %i goes to the %s here", (width, length, machine) => {
    expect(
      millingPlan(demoBoard({ length: 3000, width: 900, thickness: 50 }), { length, width, thickness: 30 }, USUAL_SHOP)
        .machine,
    ).toBe(machine);
  });
  it("too thin is said, with what is short; skip-planed it stays thicker", () => {
    const thin = millingPlan(
      demoBoard({ thickness: 27, bow: 5 }),
      { length: 2400, width: 160, thickness: 25 },
      USUAL_SHOP,
    );
    expect(thin.steps.at(-1)).toMatch(/4.6 mm too thin/);
    expect(thin.skipPlaned).toBeCloseTo(27 - 5 - USUAL_SHOP.cleaning - SKIP_PASS, 9);
  });
  it("counts the leaves of a resawn board", () =>
    expect(
      millingPlan(demoBoard({ thickness: 52 }), { length: 700, width: 100, thickness: 9 }, USUAL_SHOP).leaves,
    ).toBe(4));
});

describe("boards that give nothing are told in a sentence", () => {
  it.each([
    ["warped past its thickness", demoBoard({ thickness: 20, bow: 60 }), /warped past its thickness: nothing is left/],
    ["tapered to nothing", demoBoard({ widthEnd: 5 }), /tapers to 5 mm: its narrow end gives nothing/],
    [
      "covered by its defects",
      demoBoard({ length: 2000, defects: [{ kind: "split", x: 0, y: 0, length: 2000, width: 160 }] }),
      /Defects cover T1/,
    ],
    [
      "a defect beyond its end",
      demoBoard({ length: 2000, defects: [{ kind: "knot", x: 1990, y: 0, length: 60, width: 40 }] }),
      /reaches beyond the board/,
    ],
  ])("%s", (_, given, said) => expect(boardFaults(given, USUAL_SHOP).join(" ")).toMatch(said));
  it("a sound board has none", () => expect(boardFaults(board, USUAL_SHOP)).toEqual([]));
});
