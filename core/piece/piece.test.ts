import { describe, expect, it } from "vitest";
import { toSpecies, ownSpeciesSchema } from "../wood/own";
import { checkShop } from "../formats/shop-file";
import { firstFault } from "./fields";
import { freshPiece } from "./fresh";
import { latestMoisture, measuredOr } from "./measured";
import { applyPatches } from "./patch";
import { pieceSchema } from "./schema";
import { USUAL_SHOP } from "./shop";

describe("patches", () => {
  const piece = freshPiece("t", "2026-11-23");
  it("change what they name and keep the identity of the rest", () => {
    const next = applyPatches(piece, [{ path: ["form", "top", "length"], value: 2000 }]);
    expect(next.form.top.length).toBe(2000);
    expect(piece.form.top.length).toBe(1800);
    expect(next.brief).toBe(piece.brief);
    expect(next.form.leg).toBe(piece.form.leg);
  });
  it("add at a list's end", () =>
    expect(applyPatches(piece, [{ path: ["done", 0], value: "mill" }]).done).toEqual(["mill"]));
  it("replace the whole", () =>
    expect(applyPatches(piece, [{ path: [], value: { ...piece, name: "u" } }]).name).toBe("u"));
  it("throw where there is nothing to go through: a mistake of ours", () =>
    expect(() => applyPatches(piece, [{ path: ["name", "x"], value: 1 }])).toThrow());
});

describe("measured beats planned", () => {
  const taken = [
    { part: "leg", dimension: "width" as const, value: 71, on: "2026-11-20" },
    { part: "leg", dimension: "width" as const, value: 72, on: "2026-11-22" },
  ];
  it("the latest counts", () => expect(measuredOr(taken, "leg", "width", 75)).toBe(72));
  it("only for that part and size", () => expect(measuredOr(taken, "leg", "length", 720)).toBe(720));
  it("the log's later reading of moisture counts before the piece's own", () => {
    const piece = {
      moisture: { value: 9, on: "2026-11-10" },
      log: [
        { kind: "moisture" as const, id: "1", on: "2026-11-20", value: 8, text: "", what: "top", meter: null },
        { kind: "moisture" as const, id: "2", on: "2026-11-15", value: 8.5, text: "", what: "top", meter: null },
      ],
    };
    expect(latestMoisture(piece)).toEqual({ value: 8, on: "2026-11-20", from: "log" });
    expect(latestMoisture({ ...piece, moisture: { value: 9, on: "2026-11-25" } }).value).toBe(9);
  });
});

describe("records", () => {
  it("a fresh piece is a valid one", () => expect(firstFault(pieceSchema, freshPiece("t", "2026-11-23"))).toBeNull());
  it("an empty name is refused with its field", () =>
    expect(firstFault(pieceSchema, { ...freshPiece("t", "2026-11-23"), name: "  " })).toEqual({
      field: "name",
      message: "Name can't be empty.",
    }));
  it("a shop without clamps is a shop, one with a negative kerf is not", () => {
    expect(checkShop(JSON.stringify({ ...USUAL_SHOP, clamps: [] })).ok).toBe(true);
    expect(checkShop(JSON.stringify({ ...USUAL_SHOP, kerf: -1 }))).toEqual({
      ok: false,
      message: "In the shop's field “kerf”: Saw kerf can't be less than 0 mm.",
    });
    expect(checkShop("no")).toEqual({ ok: false, message: "The shop's file is not JSON." });
  });
  const own = {
    name: "Garden plum",
    kind: "hardwood",
    radial: 0.0018,
    tangential: 0.0031,
    density: 780,
    stiffness: 10,
    note: "",
  };
  it("a species of one's own", () => expect(toSpecies(own)).toMatchObject({ id: "own-garden-plum", source: "own" }));
  it.each([
    [{ tangential: 0 }, /Tangential coefficient runs/],
    [{ radial: 0.005, tangential: 0.002 }, /can't be under the radial/],
    [{ density: 5 }, /Density runs/],
    [{ name: "" }, /Name can't be empty/],
  ])("refuses %j", (change, message) => {
    expect(firstFault(ownSpeciesSchema, { ...own, ...change })!.message).toMatch(message);
  });
});
