import { describe, expect, it } from "vitest";
import { bodyOf } from "../../assembly/part";
import { smallList } from "../../assembly/small";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { BASES } from "../../piece/base-choices";
import { applyPatches } from "../../piece/patch";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { feetHindrance, footSpots } from "./feet";

const onLevelling = [at("form.feet.kind", "levelling")];
const wooden = BASES.filter((kind) => kind !== "bought" && kind !== "existing");

describe("where feet go", () => {
  it("one under a leg's end, two under what stands on its edge, as far in as they are wide", () => {
    expect(footSpots([{ x: 300, z: 200, length: 75, width: 75 }], 28)).toEqual([{ x: 300, z: 200, wood: 75 }]);
    // 600 long: 28 / 2 + 15 = 29 from each end
    expect(footSpots([{ x: 500, z: 0, length: 40, width: 600 }], 28)).toEqual([
      { x: 500, z: -271, wood: 40 },
      { x: 500, z: 271, wood: 40 },
    ]);
    // over 900 between the outer two, one more
    expect(footSpots([{ x: 0, z: 0, length: 1200, width: 50 }], 28).map(({ x }) => x)).toEqual([-571, 0, 571]);
  });

  it("stretches that run on from one another are one", () => {
    const halves = [
      { x: 500, z: -100, length: 21, width: 200 },
      { x: 500, z: 100, length: 21, width: 200 },
    ];
    expect(footSpots(halves, 20).map(({ z }) => z)).toEqual([-175, 175]);
  });
});

describe("a piece on feet", () => {
  it.each(wooden)("%s: as high as asked, its wood shorter by the feet, a hole over each", (kind) => {
    const piece = tableWith(at("form.kind", kind), ...onLevelling);
    const plan = planOf(piece);
    const { geometry, assembly } = plan;
    expect(geometry.under + geometry.top.thickness + 12).toBeCloseTo(750, 6);
    expect(find(plan, "form.height").level).toBe("holds");
    const holes = assembly.parts.flatMap(({ cuts }) => cuts.filter(({ by }) => by === "feet"));
    expect(holes.length).toBe(geometry.lifted!.spots.length);
    expect(holes.length).toBeGreaterThanOrEqual(4);
    const feet = smallList(plan.small).find(({ name }) => name === "Levelling feet");
    expect(feet).toMatchObject({ count: holes.length, length: 12, width: 28, bought: true });
    // wood ends where feet begin, and they reach the floor
    for (const { place, shape } of plan.small.filter(({ by }) => by === "feet")) {
      const { least, most } = boundsOf(stood(bodyOf({ shape, adds: [], cuts: [] }), place));
      expect([least[1], most[1]]).toEqual([-12, 0]);
    }
  });

  it("a leg is shorter by a foot's height, and loses a hole: knees have the room they had", () => {
    const [bare, footed] = [planOf(tableWith()), planOf(tableWith(...onLevelling))];
    const leg = (plan: typeof bare) => plan.assembly.parts.find(({ id }) => id === "L1")!;
    expect(leg(bare).shape.length - leg(footed).shape.length).toBeCloseTo(12, 9);
    expect(footed.geometry.kneeRoom).toBeCloseTo(bare.geometry.kneeRoom, 9);
    const volume = (plan: typeof bare) => bulkOf(bodyOf(leg(plan))).volume;
    // 75 × 75 × 12 of leg, and a hole of 10 by 32
    expect(volume(bare) - volume(footed)).toBeCloseTo(75 * 75 * 12 + Math.PI * 25 * 32, -2);
    expect(footed.steps.find(({ id }) => id === "feet")!.detail).toMatch(
      /4 holes up from below, 10.0 mm wide and 32.0 mm deep/,
    );
  });

  it("a hole straight up comes out of a thin leg that leans, and a shallower one does not", () => {
    const thin = tableWith(
      ...onLevelling,
      at("form.kind", "splayed-frame"),
      at("form.splayedFrame.splay", { end: 18, side: 18 }),
      at("form.feet.levelling.deep", 70),
      at("form.splayedFrame.foot", 45),
    );
    const plan = planOf(thin);
    const said = find(plan, "form.feet-holes");
    expect(said.level).toBe("fix");
    const mended = planOf(applyPatches(thin, said.remedies[0].patches));
    expect(find(mended, "form.feet-holes").level).toBe("holds");
  });

  it("a hole wants 5 of wood beside it: 24 in an end 32 thick leaves 4, 20 leaves 6", () => {
    const hole = (wide: number) =>
      find(
        planOf(tableWith(...onLevelling, at("form.kind", "plank"), at("form.feet.levelling.hole", wide))),
        "form.feet-holes",
      );
    expect(hole(24).level).toBe("fix");
    expect(hole(20).level).toBe("holds");
  });

  it.each([
    ["form.feet-carry", at("form.feet.levelling.carries", 20), "fix"],
    ["form.feet-wide", at("form.feet.levelling.diameter", 100), "fix"],
    ["form.feet-range", at("form.feet.levelling.range", 2), "fix"],
  ] as const)("%s is judged, and its remedy mends it", (id, patch, level) => {
    const piece = tableWith(...onLevelling, patch);
    const said = find(planOf(piece), id);
    expect(said.level).toBe(level);
    expect(find(planOf(applyPatches(piece, said.remedies[0].patches)), id).level).toBe("holds");
  });

  it("what goes under it has the feet's height more than the wood leaves", () => {
    const thing = { name: "A drawer unit", how: "under-side", length: 300, width: 400, height: 600, gap: 0 };
    const free = (...patches: Parameters<typeof tableWith>) => {
      const plan = planOf(tableWith(at("brief.things", [thing]), at("form.apron.depth", 115), ...patches));
      return find(plan, "brief.thing-1").level;
    };
    // 750 − 28 − 115 = 607: with rubber feet the wood is 18 lower and stands 18 higher
    expect([free(), free(at("form.feet.kind", "rubber"))]).toEqual(["holds", "holds"]);
  });

  it("none where legs are bought, where it lies on something, where it hangs", () => {
    const hung = tableWith(at("form.kind", "case"), at("form.case.stands", "wall"), ...onLevelling);
    for (const piece of [tableWith(at("form.kind", "bought"), ...onLevelling), hung]) {
      expect(feetHindrance(piece.form)).not.toBeNull();
      expect(planOf(piece).geometry.lifted).toBeUndefined();
    }
  });
});
