import { describe, expect, it } from "vitest";
import { applyPatches } from "./patch";
import { freshPiece } from "./fresh";
import { firstFault } from "./fields";
import { mendBoard, mendPiece, mendShop } from "./mend";
import { pieceSchema } from "./schema";
import { shopSchema, USUAL_SHOP } from "./shop";
import { demoBoard } from "../testing/boards";

const fresh = freshPiece("Old table", "2026-11-23");
const old = (path: (string | number)[], value: unknown) =>
  mendPiece(JSON.parse(JSON.stringify(applyPatches<unknown>(fresh, [{ path, value }]))));

describe("a record from before a bound opens with the value mended, and says so", () => {
  it("a sound piece is left as it is", () => expect(mendPiece(fresh)).toEqual({ value: fresh, mended: [] }));
  it("a name of which nothing can be kept is no stand-in for itself", () => {
    const { value, mended } = old(["name"], "\ud800");
    expect(firstFault(pieceSchema, value)).toBeNull();
    expect(value.name).toBe("A piece that could not be read");
    expect(mended[0]).toMatchObject({ field: "name" });
    // all else of it is there
    expect({ ...value, name: fresh.name }).toEqual(fresh);
  });
  it.each([
    [["joints", "buttons", "spacing"], 0.02, 60, /Button spacing must be 60 mm at least/],
    [["form", "top", "width"], 90000, 2500, /Top width can be 2500 mm at most/],
    [["delivery"], "9999-12-31", "2126-12-31", /Day of delivery can't be after/],
    [["brief", "seats", "daily"], 3.4, 3, /whole number/],
    [["finish"], "gold", "oil-wax", /Finish must be one of/],
    [["name"], "Old\u0000 ta\ud800ble", "Old table", /can't be kept/],
    [["form", "leg"], null, fresh.form.leg, /must be/],
  ] as const)("%j %j", (path, was, now, said) => {
    const { value, mended } = old([...path], was);
    expect(firstFault(pieceSchema, value)).toBeNull();
    expect(path.reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], value)).toEqual(now);
    expect(mended).toHaveLength(1);
    expect(mended[0].field).toBe(path.join("."));
    expect(mended[0].message).toMatch(said);
  });
  it("an entry of a list that can't be is left out, the others stay", () => {
    const { value, mended } = old(
      ["log"],
      [
        { kind: "note", id: "a", on: "2026-11-23", text: "kept" },
        { kind: "dream", id: "b" },
        { kind: "air", id: "c", on: "2026-11-24", value: 300, temperature: 20, text: "" },
      ],
    );
    expect(value.log.map((each) => each.id)).toEqual(["a", "c"]);
    expect(value.log[1]).toMatchObject({ value: 99 });
    expect(mended).toHaveLength(2);
  });
  it("a list that is too long keeps its beginning; lanes that hold nothing go", () => {
    expect(
      old(
        ["done"],
        Array.from({ length: 900 }, (_, i) => `step-${i}`),
      ).value.done,
    ).toHaveLength(400);
    const section = { board: "B1", x: 0, y: 0, length: 900 };
    expect(
      old(
        ["cutting", "sections"],
        [
          { ...section, lanes: [] },
          {
            ...section,
            lanes: [
              { width: 90, pieces: ["A1"] },
              { width: 50, pieces: [] },
            ],
          },
        ],
      ).value.cutting.sections,
    ).toEqual([{ ...section, lanes: [{ width: 90, pieces: ["A1"] }] }]);
  });
  it("what is no piece at all comes back fresh under its name", () => {
    expect(mendPiece("nonsense").value.name).toBe("A piece that could not be read");
    const { value, mended } = mendPiece({ name: "Desk", format: "taller-piece", version: 3 });
    expect(value.name).toBe("Desk");
    expect(mended.length).toBeGreaterThan(5);
  });
  it("a shop and a board likewise", () => {
    const shop = mendShop({ ...USUAL_SHOP, kerf: 400, clamps: null });
    expect(firstFault(shopSchema, shop.value)).toBeNull();
    expect([shop.value.kerf, shop.value.clamps]).toEqual([8, USUAL_SHOP.clamps]);
    const { reservedBy: _, ...board } = demoBoard({ id: "B1" });
    expect(mendBoard({ ...board, defects: null, width: 0.5 })).toEqual({ ...board, width: 5 });
    expect(mendBoard({ id: "B1" })).toBeNull();
  });
});
