import { describe, expect, it } from "vitest";
import { AssemblyPart, bodyOf } from "../assembly/part";
import { bulkOf } from "../assembly/solid";
import { bodiesOfParts, clashes } from "../testing/clashes";
import { AS_THE_PIECE, EdgeChoice } from "../piece/kinds";
import { USUAL_SHOP } from "../piece/shop";
import { at, find, planOf, tableWith } from "../testing/plans";
import { edged } from "./edges";

const edge = (how: EdgeChoice["how"], size: number, when: EdgeChoice["when"] = "before"): EdgeChoice => ({
  how,
  size,
  raised: 0,
  when,
});
const stick = (over: Partial<AssemblyPart> = {}): AssemblyPart => ({
  ...{ id: "A", kind: "rail", name: "Rail", letter: "A", role: "rail", make: "solid", note: "" },
  shape: { length: 600, width: 80, thickness: 25 },
  place: { at: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0] },
  ...{ adds: [], cuts: [], opens: [0, 0, 0] },
  ...over,
});
const lost = (part: AssemblyPart, choice: EdgeChoice, others: AssemblyPart[] = []) => {
  const [worked] = edged([part, ...others], { rail: choice });
  return bulkOf(bodyOf(part, 0.001)).volume - bulkOf(bodyOf(worked, 0.001)).volume;
};

describe("what is taken from four edges of a stick 600 long (closed forms)", () => {
  it("a flat of 4 takes half a square of each", () =>
    expect(lost(stick(), edge("chamfered", 4))).toBeCloseTo(4 * 600 * 8, 3));
  it("a quarter round of 4 takes a square less a quarter circle", () =>
    expect(lost(stick(), edge("rounded", 4)) / (4 * 600 * 16 * (1 - Math.PI / 4))).toBeCloseTo(1, 2));
  it("a quarter round raised by h takes the part of its circle that is left, on both sides of every edge alike", () => {
    for (const [r, h] of [
      [6, 2],
      [10, 3.5],
      [12, 9],
    ]) {
      // ∫ r − √(r² − u²) du, u from 0 to r − h
      const deep = r - h;
      const taken = r * deep - (deep * Math.sqrt(r * r - deep * deep) + r * r * Math.asin(deep / r)) / 2;
      // chords lie a thousandth of a mm inside their arc
      const chords = 4 * 600 * 0.001 * 2 * r;
      expect(Math.abs(lost(stick(), { ...edge("rounded", r), raised: h }) - 4 * 600 * taken)).toBeLessThan(chords);
    }
  });
  it("nothing where it is larger than half the part, or the part is shaped by a template", () => {
    expect(lost(stick(), edge("rounded", 13))).toBe(0);
    const shaped = stick({
      shape: {
        length: 600,
        width: 80,
        thickness: 25,
        face: {
          outer: [
            { at: [0, 0], rise: 0 },
            { at: [600, 0], rise: 0 },
            { at: [600, 80], rise: 0 },
          ],
          holes: [],
        },
      },
    });
    expect(lost(shaped, edge("chamfered", 4))).toBe(0);
  });
});

describe("an edge stays square where something bears", () => {
  const board = (x: number, y: number): AssemblyPart =>
    stick({
      id: "B",
      kind: "other",
      shape: { length: 100, width: 50, thickness: 25 },
      place: { at: [x, y, 0], x: [1, 0, 0], y: [0, 1, 0] },
    });
  it("100 of it lies on two edges: those lose 100 and 5 beside at each end", () =>
    expect(lost(stick(), edge("chamfered", 4), [board(200, 80)])).toBeCloseTo((4 * 600 - 2 * 110) * 8, 3));
  it("one that lies a hair off bears on nothing", () =>
    expect(lost(stick(), edge("chamfered", 4), [board(200, 80.2)])).toBeCloseTo(4 * 600 * 8, 3));
  it("a stretch too short for a cutter is left", () =>
    expect(lost(stick(), edge("chamfered", 4), [board(30, 80)])).toBeCloseTo((4 * 600 - 2 * 135) * 8, 3));
});

describe("a table whose edges are worked", () => {
  const kinds = (choice: Partial<typeof AS_THE_PIECE>, kind = "long-rail") =>
    at(`kinds.${kind}`, { ...AS_THE_PIECE, ...choice });
  const plan = planOf(
    tableWith(kinds({ edges: edge("rounded", 3) }), kinds({ edges: edge("eased", 1, "after") }, "leg")),
  );
  it("rails under the top keep their upper edges, and nothing fills the same room", () => {
    const rail = plan.assembly.parts.find((each) => each.kind === "long-rail")!;
    const edges = rail.cuts.filter(({ by }) => by === "edge");
    expect(edges).toHaveLength(2);
    for (const { place } of edges) expect(place.at[1]).toBe(0);
    expect(clashes(plan.assembly.parts, bodiesOfParts(plan.assembly.parts))).toEqual([]);
  });
  it("before the glue or when the base stands, as chosen", () => {
    const step = (id: string) => plan.steps.find((each) => each.id === id)!;
    expect(step("edges-before").parts).toEqual(["long-rail"]);
    expect(step("glue-ends").after).toContain("edges-before");
    expect(step("edges-after").parts).toEqual(["leg"]);
    expect(step("coat-1").after).toContain("edges-after");
  });
  it("what belongs to the top is worked with it, not with the base", () => {
    const top = planOf(
      tableWith(
        at("form.ends", "breadboards"),
        at("kinds.end-board", { ...AS_THE_PIECE, edges: edge("rounded", 3) }),
        at("form.stiffener", "battens"),
        at("kinds.batten", { ...AS_THE_PIECE, edges: edge("chamfered", 4, "after") }),
      ),
    );
    const step = (id: string) => top.steps.find((each) => each.id === id)!;
    expect(step("top-edges-before").parts).toEqual(["end-board"]);
    expect(step("battens").after).toContain("top-edges-before");
    expect(step("top-edges-after").parts).toEqual(["batten"]);
    expect(step("sand-top").after).toContain("top-edges-after");
    expect(top.steps.some((each) => each.id.startsWith("edges-"))).toBe(false);
  });
  it("by a cutter the shop owns, or by the one nearest to it", () => {
    expect(find(plan, "form.edges").level).toBe("holds");
    const odd = tableWith(kinds({ edges: edge("rounded", 4) }));
    const verdict = find(planOf(odd), "form.edges");
    expect(verdict.level).toBe("tight");
    expect(verdict.remedies[0].label).toBe("Round them by 6 mm");
    expect(
      find(planOf(odd, [], { ...USUAL_SHOP, edgeBits: [] }), "form.edges").remedies.map((each) => each.label),
    ).toEqual(["Ease them by hand, 1 mm"]);
  });
  it("larger than half the part is a fault, and its remedy mends it", () => {
    const wide = find(planOf(tableWith(kinds({ edges: edge("chamfered", 20) }))), "form.edges");
    expect(wide.level).toBe("fix");
    const [{ value }] = wide.remedies[0].patches;
    expect(find(planOf(tableWith(at("kinds.long-rail", { ...AS_THE_PIECE, edges: value }))), "form.edges").level).toBe(
      "holds",
    );
  });
});
