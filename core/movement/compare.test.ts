import { describe, expect, it } from "vitest";
import { firstFault } from "../piece/fields";
import { applyPatches } from "../piece/patch";
import { pieceSchema } from "../piece/schema";
import { at, planOf, strips, tableWith } from "../testing/plans";
import { alternatives, differences, takeIt } from "./compare";

const piece = tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7")));
const plan = planOf(piece);
const all = alternatives(piece, plan.species);

describe("two choices side by side", () => {
  it.each(all.map((each) => [each.id, each] as const))(
    "%s makes a valid piece and never names what stands",
    (_, each) => {
      const changed = applyPatches(piece, each.patches);
      expect(firstFault(pieceSchema, changed)).toBeNull();
      expect(changed).not.toEqual(piece);
      expect(takeIt(each).patches).toBe(each.patches);
    },
  );
  it("quarter-sawn moves less than flat by the ratio of the coefficients, and can't be taken by a press", () => {
    const [quarter, flat] = ["Sawn-quarter", "Sawn-flat"].map((id) => all.find((each) => each.id === id)!);
    const change = (each: typeof quarter) => planOf(applyPatches(piece, each.patches)).top.wet.change;
    expect(change(flat) / change(quarter)).toBeCloseTo(
      plan.species.tangential /
        (plan.species.radial + (plan.species.tangential - plan.species.radial) * Math.cos((80 * Math.PI) / 180) ** 2),
      6,
    );
    expect([quarter.takeable, flat.takeable]).toEqual([false, false]);
  });
  it("names what changes and leaves out what does not", () => {
    const there = applyPatches(piece, all.find((each) => each.id === "Finish-varnish")!.patches);
    const rows = differences({ plan, piece }, { plan: planOf(there), piece: there });
    expect(rows.map((row) => row.what)).toContain("Half of a change goes through in");
    expect(rows.every((row) => row.here !== row.there)).toBe(true);
    expect(rows.map((row) => row.what)).not.toContain("Parts");
    expect(differences({ plan, piece }, { plan, piece })).toEqual([]);
  });
  it("breadboards bring their end boards into the parts", () => {
    const there = applyPatches(piece, all.find((each) => each.id === "Ends-breadboards")!.patches);
    expect(
      differences({ plan, piece }, { plan: planOf(there), piece: there }).find((row) => row.what === "Parts"),
    ).toBeDefined();
  });
});
