import { describe, expect, it } from "vitest";
import { commissionOf } from "./commission";
import { machineSettings } from "./layout/machine-settings";
import { at, planOf, plainRack, strips, tableWith } from "./testing/plans";

const piece = (name: string, ...patches: Parameters<typeof tableWith>) => ({
  ...tableWith(...patches),
  name,
  commission: "House",
});
const member = (id: string, made: ReturnType<typeof piece>) => ({ id, piece: made, plan: planOf(made, plainRack()) });

describe("pieces of one commission together", () => {
  const table = member("t", piece("Table"));
  const bench = member(
    "b",
    piece(
      "Bench",
      ...[at("form.use", "bench"), at("form.top.length", 1200), at("form.top.width", 320), at("form.height", 450)],
      ...[at("brief.topHeight", 450), at("times", 2)],
    ),
  );
  const both = commissionOf([table, bench]);
  it("stand side by side on one floor, to one scale, none in another, and each opens by a click", () => {
    const reach = (id: string) => {
      const xs = both.scene.items.flatMap((item) =>
        item.kind === "face" && "id" in item && item.id === id ? item.points.map(([x]) => x) : [],
      );
      return [Math.min(...xs), Math.max(...xs)];
    };
    const [a, b] = [reach("t"), reach("b")];
    expect(a[1] - a[0]).toBeCloseTo(table.plan.geometry.top.length, 6);
    expect(b[1] - b[0]).toBeCloseTo(1200, 6);
    expect(b[0] - a[1]).toBeCloseTo(350, 6);
    expect(both.scene.bounds.w).toBeCloseTo(b[1], 6);
    expect(both.scene.bounds.h).toBe(table.plan.geometry.under + table.plan.geometry.top.thickness);
    const texts = both.scene.items.flatMap((item) => (item.kind === "text" ? [item.text] : []));
    expect(texts).toEqual(["Table", "2 × Bench"]);
  });
  it("a piece whose feet stand wider than its top takes the room of its feet", () => {
    const wide = member(
      "w",
      piece("Splayed", at("form.kind", "splayed-frame"), at("form.splayedFrame.setIn", { end: 20, side: 20 })),
    );
    const { frame, top } = wide.plan.geometry;
    expect(frame.length).toBeGreaterThan(top.length + 50);
    expect(commissionOf([wide, table]).scene.bounds.w).toBeCloseTo(
      frame.length + 350 + table.plan.geometry.top.length,
      6,
    );
  });
  it("each setting once: what both are planed and ripped at names the parts of both, and nothing is lost", () => {
    const rails = both.settings.find(({ machine, setting }) => machine === "planer" && setting === 25)!;
    expect(rails.pieces.map(({ name }) => name)).toEqual(["Table", "Bench"]);
    for (const { id, plan } of [table, bench])
      for (const { machine, setting, parts } of machineSettings(plan.parts)) {
        const one = both.settings.filter((each) => each.machine === machine && Math.abs(each.setting - setting) < 0.05);
        expect(one).toHaveLength(1);
        expect(one[0].pieces.find((each) => each.id === id)!.marks).toEqual(parts.flatMap(({ marks }) => marks));
      }
    const planed = both.settings.filter(({ machine }) => machine === "planer").map(({ setting }) => setting);
    expect(planed).toEqual([...planed].sort((x, y) => y - x));
  });
  it("thicknesses that hardly differ are told, where they are of different pieces", () => {
    const stool = (thickness: number) =>
      commissionOf([table, member("n", piece("Stool", at("form.apron.thickness", thickness)))]).near;
    expect(stool(26)).toEqual([{ thick: 26, thin: 25, pieces: ["Stool", "Table"] }]);
    expect(stool(27)).toEqual([]);
    expect(stool(25)).toEqual([]);
    // the table's own buttons are planed at 24 already
    expect(stool(24)).toEqual([]);
  });
  it("tells the boards that both are cut from, and only those", () => {
    const other = member("o", piece("Stool", at("panels.top.strips", strips("B1"))));
    const one = member("p", piece("Table", at("panels.top.strips", strips("B1", "B2"))));
    const boards = (each: typeof other) => each.plan.cutting.boards.map(({ board }) => board.id);
    const shared = commissionOf([other, one]).boards;
    expect(shared.find(({ id }) => id === "B1")!.pieces).toEqual(["Stool", "Table"]);
    for (const { id } of shared) expect(boards(other).includes(id) && boards(one).includes(id)).toBe(true);
  });
  it("a piece that can't be planned is named, and stands in nobody's way", () => {
    const lost = commissionOf([{ ...table, plan: null }, bench]);
    expect(lost.pieces.map(({ name, weight }) => [name, weight === null])).toEqual([
      ["Table", true],
      ["Bench", false],
    ]);
    expect(lost.scene.bounds.w).toBeCloseTo(1200, 6);
    expect(commissionOf([]).pieces).toEqual([]);
  });
});
