import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { at, planOf, tableWith } from "../testing/plans";
import { AssemblyPart, bodyOf } from "./part";
import { bulkOf } from "./solid";
import { weighed } from "./weight";

/** What is remembered of one part must never be told of another: the same parts, longer, moved and turned, against their whole bodies. */
describe("a part adds up from its pieces, whatever was weighed before", () => {
  const parts = [
    ...planOf(tableWith(at("form.low.kind", "box"))).assembly.parts,
    ...planOf(tableWith(at("form.kind", "trestle"))).assembly.parts,
    ...planOf(tableWith(at("joints.legRail.kind", "loose-tenon"), at("form.leg.taper", "two-faces"))).assembly.parts,
  ];
  /** A part that is longer by so much, what is cut near its far end going with that end. */
  const longer = (part: AssemblyPart, by: number): AssemblyPart => {
    const far = (x: number) => (x > part.shape.length / 2 ? x + by : x);
    const moved = <T extends AssemblyPart["cuts"][number]>(each: T): T => ({
      ...each,
      place: { ...each.place, at: [far(each.place.at[0]), each.place.at[1], each.place.at[2]] },
    });
    if (part.shape.face || part.shape.edge || part.shape.planes) return part;
    return {
      ...part,
      shape: { ...part.shape, length: part.shape.length + by },
      adds: part.adds.map(moved),
      cuts: part.cuts.map(moved),
    };
  };
  it("as much as its whole body, and where that pulls", () => {
    fc.assert(
      fc.property(fc.constantFrom(...parts), fc.integer({ min: 0, max: 400 }), (part, by) => {
        const stretched = longer(part, by);
        const [pieces, whole] = [weighed(stretched), bulkOf(bodyOf(stretched))];
        expect(pieces.volume / whole.volume).toBeCloseTo(1, 9);
        for (const i of [0, 1, 2]) expect(pieces.centre[i]).toBeCloseTo(whole.centre[i], 5);
      }),
      { numRuns: 120, seed: 20261125 },
    );
  });
  it("the same twice over", () => {
    for (const part of parts) expect(weighed(part)).toEqual(weighed(part));
  });
  it("a cut that is moved by a hair is weighed anew", () => {
    const rail = parts.find((each) => each.kind === "end-rail")!;
    const cut = {
      by: "x",
      shape: { length: 40, width: 200, thickness: 10 },
      place: { at: [100, -50, 0], x: [1, 0, 0], y: [0, 1, 0] },
    } as const;
    const one = weighed({ ...rail, cuts: [cut] }).volume;
    const other = weighed({ ...rail, cuts: [{ ...cut, place: { ...cut.place, at: [100, -50, -0.001] } }] }).volume;
    expect(other - one).toBeCloseTo(40 * rail.shape.width * 0.001, 3);
  });
});
