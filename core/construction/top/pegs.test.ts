import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { toPiece } from "../../assembly/place";
import { smallList } from "../../assembly/small";
import { bulkOf } from "../../assembly/solid";
import type { Patch } from "../../piece/patch";
import { bodiesOfParts, clashes } from "../../testing/clashes";
import { at, planOf, tableWith } from "../../testing/plans";

const ENDS = [at("form.ends", "breadboards"), at("form.breadboard.slots", "computed")];
const top = (...patches: Patch[]) => planOf(tableWith(...ENDS, ...patches));
const partsOf = (plan: ReturnType<typeof top>, kind: string) =>
  plan.assembly.parts.filter((part) => part.kind === kind);
const bored = (part: ReturnType<typeof partsOf>[number]) => part.cuts.filter(({ by }) => by === "peg");

describe("pegs of breadboard ends", () => {
  const plan = top();
  const { pegs, tongue } = plan.breadboards!;
  const [panel] = partsOf(plan, "top");
  it("stand in both end boards, one body each, and are counted", () => {
    expect(smallList(plan.small)).toContainEqual(
      expect.objectContaining({ name: "Pegs", of: "wood", count: 2 * pegs.length }),
    );
    for (const end of partsOf(plan, "end-board")) expect(bored(end)).toHaveLength(pegs.length);
    expect(bored(panel)).toHaveLength(2 * pegs.length);
  });
  it("a hole goes through the whole end board, a slot through the tongue only (closed forms)", () => {
    const { peg } = plan.breadboards ? tableWith(...ENDS).form.breadboard : { peg: 0 };
    const circle = (Math.PI * peg * peg) / 4;
    const [end] = partsOf(plan, "end-board");
    const lost = (part: typeof end) =>
      bulkOf(bodyOf({ ...part, cuts: part.cuts.filter(({ by }) => by !== "peg") }, 0.001)).volume -
      bulkOf(bodyOf(part, 0.001)).volume;
    // chords lie a little inside their circles; the groove was gone before
    expect(lost(end) / (pegs.length * circle * (plan.geometry.top.thickness - tongue.thickness))).toBeCloseTo(1, 2);
    const slots = pegs.reduce((sum, { slot }) => sum + circle + peg * (slot - peg), 0);
    expect(lost(panel) / (2 * slots * tongue.thickness)).toBeCloseTo(1, 2);
  });
  it("no peg touches its slot's end on the driest or the wettest day, wherever the panel has gone", () => {
    const fixed = pegs.find((each) => each.fixed)!;
    const r = tableWith(...ENDS).form.breadboard.peg / 2;
    for (const { shape, place } of bored(panel)) {
      // its ends across the top
      const [a, b] = [0, shape.width].map((y) => toPiece(panel.place, toPiece(place, [0, y, 0]))[2]);
      const peg = pegs.reduce((best, each) => {
        const off = ({ at: from }: typeof each) => Math.abs(plan.geometry.core.width / 2 - from - (a + b) / 2);
        return off(each) < off(best) ? each : best;
      });
      const z = plan.geometry.core.width / 2 - peg.at;
      const outward = Math.sign(fixed.at - peg.at);
      for (const travel of [0, peg.dry, peg.wet]) {
        const moved = outward * travel;
        expect(Math.min(a, b) + moved).toBeLessThanOrEqual(z - r + 1e-6);
        expect(Math.max(a, b) + moved).toBeGreaterThanOrEqual(z + r - 1e-6);
      }
    }
  });
  it("slats have one each, and nothing shares wood", () => {
    const slats = top(at("form.field", "slats"));
    for (const slat of partsOf(slats, "slat")) expect(bored(slat)).toHaveLength(2);
    expect(clashes(slats.assembly.parts, bodiesOfParts(slats.assembly.parts))).toEqual([]);
  });
  it("there are none where loose tenons hold the ends", () => {
    const loose = top(at("form.breadboard.joint", "loose-tenons"));
    expect(loose.small.some(({ name }) => name === "Peg")).toBe(false);
    expect(partsOf(loose, "end-board").flatMap(bored)).toEqual([]);
  });
});
