import { describe, expect, it } from "vitest";
import { USUAL_SHOP } from "../piece/shop";
import { firstFault } from "../piece/fields";
import { boardSchema } from "../stock/board";
import { cubicMetres, M3_PER_BOARD_FOOT } from "../units/lumber";
import { findSpecies, SPECIES } from "../wood/species";
import { MERCHANT, merchantStock } from "./merchant";
import { priceOf, readPriceList } from "./price-list";
import { proposePurchase, strips } from "./propose";

const ash = findSpecies("european-ash", [])!;
const stock = merchantStock(ash, "2026-11-23", []);
const piece = (id: string, length: number, width: number, thickness: number) => ({
  id,
  part: "p",
  label: id,
  length,
  width,
  thickness,
  net: length * width * thickness,
});

describe("the simulated merchant", () => {
  it("has the same stock every day, of valid boards with a price", () => {
    expect(merchantStock(ash, "2026-11-23", [])).toEqual(stock);
    expect(stock.length).toBeGreaterThan(40);
    for (const board of stock) {
      expect(firstFault(boardSchema, board)).toBeNull();
      expect(board.price).toBeGreaterThan(5);
    }
    expect(new Set(stock.map((board) => board.id)).size).toBe(stock.length);
  });
  it("no longer has what was sold", () =>
    expect(merchantStock(ash, "2026-11-23", [stock[0].id]).map((board) => board.id)).not.toContain(stock[0].id));
  it("is nobody: its name says so", () => expect(MERCHANT.name).toMatch(/Simulated/));
});

describe("what to buy", () => {
  const needed = [
    piece("A1", 1800, 100, 25),
    piece("A2", 1800, 100, 25),
    piece("E1", 800, 100, 25),
    piece("L1", 760, 85, 70),
  ];
  const bought = proposePurchase(needed, stock, USUAL_SHOP);
  it("holds everything, pays whole boards, and the factor is what is bought over what is kept", () => {
    expect(bought.missing).toEqual([]);
    expect(bought.price).toBeCloseTo(
      bought.boards.reduce((sum, board) => sum + board.price, 0),
      9,
    );
    const volume = bought.boards.reduce(
      (sum, board) => sum + cubicMetres(board.length, board.width, board.thickness),
      0,
    );
    expect(bought.factor).toBeCloseTo(volume / needed.reduce((sum, each) => sum + each.net / 1e9, 0), 9);
    expect(bought.factor).toBeGreaterThan(1.2);
  });
  it("buys no board it could do without: taking any away leaves something missing or a dearer purchase", () => {
    for (const board of bought.boards) {
      const without = proposePurchase(
        needed,
        bought.boards.filter((each) => each !== board),
        USUAL_SHOP,
      );
      expect(without.missing.length).toBeGreaterThan(0);
    }
  });
  it("says what nothing in stock holds", () =>
    expect(proposePurchase([piece("X", 9000, 100, 25)], stock, USUAL_SHOP).missing).toEqual(["X"]));
  it("a top that lacks 400 mm is asked for as three strips that cover it", () => {
    const lacking = strips({ length: 1800, width: 900, thickness: 28 }, 500, USUAL_SHOP, "european-ash");
    expect(lacking).toHaveLength(3);
    expect(lacking.reduce((sum, each) => sum + each.width - USUAL_SHOP.widthAllowance, 0)).toBeGreaterThanOrEqual(400);
    expect(strips({ length: 1800, width: 900, thickness: 28 }, 905, USUAL_SHOP, "european-ash")).toEqual([]);
  });
});

describe("a price list", () => {
  const read = (text: string) => readPriceList(text, SPECIES, "EUR");
  it("by the cubic metre or the board foot, in quarters or mm", () => {
    const { prices, faults } = read(
      "Species;Thickness;Price;Per;Currency\nEuropean ash;32;1500,50;m3;EUR\neuropean-ash;8/4;9.5;bf;EUR\n",
    );
    expect(faults).toEqual([]);
    expect(prices[0]).toEqual({ species: "european-ash", thickness: 32, perCubicMetre: 1500.5 });
    expect(prices[1].thickness).toBe(50.8);
    expect(prices[1].perCubicMetre).toBeCloseTo(9.5 / M3_PER_BOARD_FOOT, 9);
    expect(priceOf(prices, "european-ash", 41, 0.1)).toBeCloseTo(950 / M3_PER_BOARD_FOOT / 1000, 6);
    expect(priceOf(prices, "european-ash", 60, 0.1)).toBeNull();
  });
  it("in another currency is refused as a whole, and says why", () => {
    const { prices, faults } = read(
      "species,thickness,price,per,currency\neuropean-ash,32,1500,m3,EUR\neuropean-ash,41,1500,m3,USD",
    );
    expect(prices).toEqual([]);
    expect(faults).toEqual([
      {
        line: 1,
        message: "Line 3 is in USD; this shop reckons in EUR. Convert the prices, or set the shop's currency.",
      },
    ]);
  });
  it.each([
    ["european-ash,32,free,m3", /not a price/],
    ["balsa log,32,5,m3", /no species/],
    ["european-ash,32,5,sack", /should be m3, bf or mbf/],
    ["european-ash,9\\/4x,5,m3", /not a number/],
  ])("%s", (row, said) => {
    const { prices, faults } = read(`species,thickness,price,per\n${row}\neuropean-ash,27,1400,m3`);
    expect(prices).toHaveLength(1);
    expect(faults[0].line).toBe(2);
    expect(faults[0].message).toMatch(said);
  });
  it("without its columns", () =>
    expect(read("a,b\n1,2").faults[0].message).toMatch(/“species”, “thickness”, “price” are missing/));
});
