import { describe, expect, it } from "vitest";
import { areaOf } from "../../assembly/outline";
import { boundsOf, stood } from "../../assembly/solid";
import { solidOf } from "../../assembly/shape";
import { within } from "../../assembly/place";
import { cutPlaces } from "../../drawing/part-sheet";
import { bodiesOfParts, clashes } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { FASTENINGS } from "../../piece/movement-choices";
import { WAYS } from ".";

const table = (...patches: Parameters<typeof tableWith>) =>
  planOf(tableWith(at("form.cornerBlocks", false), ...patches));
type Plan = ReturnType<typeof planOf>;
const partOf = (plan: Plan, id: string) => plan.assembly.parts.find((each) => each.id === id)!;
/** What the fastening takes from a part, as boxes where the piece stands. */
const takenFrom = (plan: Plan, id: string) => {
  const part = partOf(plan, id);
  return part.cuts
    .filter(({ by }) => by === "fastening")
    .map(({ shape, place }) => boundsOf(stood(solidOf(shape), within(part.place, place))));
};

describe("what a fastening cuts from the rails, by hand (rails 25 thick, 5 in from legs set in by 40, under 28 of top)", () => {
  it("a groove stops 10 before the mortise of a cross-rail 25 thick in the middle", () => {
    const grooves = takenFrom(table(), "A2").map(({ least, most }) => [least[0], most[0]]);
    expect(grooves).toEqual([
      [expect.closeTo(-775, 6), expect.closeTo(-22.5, 6)],
      [expect.closeTo(22.5, 6), expect.closeTo(775, 6)],
    ]);
  });
  it("buttons: one groove along each long rail, 13 deep on the inside, 12 below its edge", () => {
    const [groove, ...more] = takenFrom(table(at("form.crossRails", 0)), "A2");
    expect(more).toEqual([]);
    // the front rail's inside face lies 425 − 40 − 5 − 25 from the middle; the groove goes 13 toward the front
    expect(groove.least[2]).toBeCloseTo(355, 6);
    expect(groove.most[2]).toBeCloseTo(368, 6);
    expect(groove.most[1]).toBeCloseTo(722 - 12, 6);
    expect(groove.most[1] - groove.least[1]).toBeCloseTo(10, 6);
    expect(groove.most[0] - groove.least[0]).toBeCloseTo(1570 - 20, 6);
  });
  it("and a slot 45 long in an end rail for each button that sits there", () => {
    const plan = table();
    const slots = takenFrom(plan, "E2");
    const buttons = plan.fasteners.filter((each) => each.bearer === "E2");
    expect(slots.map(({ least, most }) => (least[2] + most[2]) / 2)).toEqual(
      buttons.map(({ z }) => expect.closeTo(z, 6)),
    );
    for (const { least, most } of slots) {
      expect(most[2] - least[2]).toBeCloseTo(45, 6);
      expect(most[0] - least[0]).toBeCloseTo(13, 6);
    }
  });
  it("the part sheet measures it from the end, the edge and the face", () => {
    const slot = cutPlaces(partOf(table(), "A2")).find(({ by }) => by === "fastening")!;
    // 95 deep: 12 below the upper edge and 10 high leaves 73 below
    expect([slot.edge, slot.wide, slot.deep]).toEqual([
      expect.closeTo(73, 6),
      expect.closeTo(10, 6),
      expect.closeTo(13, 6),
    ]);
  });
  it("clips: one kerf right round", () => {
    const plan = table(at("joints.fastening", "z-clip"), at("form.crossRails", 0));
    for (const id of ["A1", "A2", "E1", "E2"]) {
      const [kerf, ...more] = takenFrom(plan, id);
      expect(more).toEqual([]);
      expect(kerf.most[1] - kerf.least[1]).toBeCloseTo(3, 6);
    }
  });
  it("oversized holes: through the rail's depth, from a counterbore that leaves 30", () => {
    const plan = table(at("joints.fastening", "oversized"));
    const count = plan.fasteners.filter((each) => each.bearer === "A1").length;
    const holes = takenFrom(plan, "A1");
    expect(holes).toHaveLength(2 * count);
    expect(holes[0].most[0] - holes[0].least[0]).toBeCloseTo(10, 1);
    expect(holes[0].most[1]).toBeCloseTo(722, 6);
    expect(holes[1].most[0] - holes[1].least[0]).toBeCloseTo(22, 1);
    expect(holes[1].most[1]).toBeCloseTo(722 - 30, 6);
  });
  it("plates: a recess 3 deep for all that one passes, lying along the long rails and square to the end rails", () => {
    const plan = table(at("joints.fastening", "figure-8"));
    const count = (id: string) => plan.fasteners.filter((each) => each.bearer === id).length;
    const [long, end] = [takenFrom(plan, "A2"), takenFrom(plan, "E2")];
    expect([long.length, end.length]).toEqual([count("A2"), count("E2")]);
    // its screw 8 from the inside face, 363 from the middle; 20 × sin 40° = 12.86 and the ring with its room, 10, both ways
    expect(long[0].least[2]).toBeCloseTo(363 - 22.86, 1);
    expect(long[0].most[2]).toBeCloseTo(363 + 22.86, 1);
    expect(long[0].most[0] - long[0].least[0]).toBeCloseTo(10 + 30, 1);
    expect([long[0].least[1], long[0].most[1]]).toEqual([expect.closeTo(719, 6), expect.closeTo(722, 6)]);
    // square to its rail it goes 30 from its screw inward, 10 outward, 22.86 to each side
    expect(end[0].most[0] - end[0].least[0]).toBeCloseTo(40, 1);
    expect(end[0].most[2] - end[0].least[2]).toBeCloseTo(2 * 22.86, 1);
  });
  it("the recess covers what the closed form of a swept plate does, however far it swings", () => {
    for (const swing of [0, 15, 40, 80]) {
      const plan = table(at("joints.fastening", "figure-8"), at("joints.figure8.swing", swing));
      const { shape } = partOf(plan, "E1").cuts.find(({ by }) => by === "fastening")!;
      const [half, s, r] = [Math.max(0.02, (swing * Math.PI) / 180), 20, 10];
      // a sector, two halves of a plate beside it, and what is left of the circle round the screw
      const area = half * (s + r) ** 2 + 2 * (s * r + (Math.PI * r * r) / 4) + ((Math.PI - 2 * half) * r * r) / 2;
      expect(areaOf(shape.face!).area).toBeCloseTo(area, 3);
    }
  });
  it("a recess that comes out at the outer face is told, with the swing that would not", () => {
    const of = (...more: Parameters<typeof table>) =>
      find(table(at("joints.fastening", "figure-8"), ...more), "joints.plate-recess");
    // 25 − 8 − 12.86 − 10
    expect(of()).toMatchObject({ level: "tight", actual: -5.9 });
    // 25 − 8 − 10 − 3 = 4: asin 4/20 is 11.5°
    expect(of().remedies[0].label).toBe("Relieve them to swing 11° only");
    expect(of(at("joints.figure8.swing", 11)).level).toBe("holds");
    expect(of(at("joints.figure8.lengthwise", "across"))).toMatchObject({ level: "holds", actual: 7 });
  });
  it("a groove deeper than its rail is thick goes through and no further", () => {
    const [groove] = takenFrom(table(at("joints.buttons.grooveDepth", 30)), "A2");
    expect(groove.most[2] - groove.least[2]).toBeCloseTo(25, 6);
  });
});

describe("every way", () => {
  it.each(FASTENINGS)("%s: stands beside the joints, says what is cut and how the top goes on", (fastening) => {
    const plan = table(at("joints.fastening", fastening), at("form.ends", "breadboards"));
    expect(clashes(plan.assembly.parts, bodiesOfParts(plan.assembly.parts))).toEqual([]);
    const words = { all: "rails", along: "long rails", across: "end rails", thin: false };
    const { joints } = tableWith();
    expect(WAYS[fastening].attach(joints, words).title.length).toBeGreaterThan(8);
    const prepared = WAYS[fastening].prepare(joints, words);
    expect(plan.steps.some((each) => each.id === "groove")).toBe(prepared !== null);
  });
  it.each(FASTENINGS)("%s: under a trestle it is cut into what bears the top there", (fastening) => {
    const plan = planOf(tableWith(at("form.kind", "trestle"), at("joints.fastening", fastening)));
    const cut = plan.assembly.parts
      .filter((part) => part.cuts.some(({ by }) => by === "fastening"))
      .map((part) => part.kind);
    expect(new Set(cut).size).toBe(["button", "z-clip", "oversized", "figure-8"].includes(fastening) ? 1 : 0);
    expect(cut.every((kind) => kind === "brace")).toBe(true);
    expect(clashes(plan.assembly.parts, bodiesOfParts(plan.assembly.parts))).toEqual([]);
  });
  it("slats are screwed down: nothing is cut below them", () =>
    expect(takenFrom(table(at("form.field", "slats")), "A1")).toEqual([]));
});
