import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clashesOf } from "../../../assembly/clashes";
import { bodyOf, posed } from "../../../assembly/part";
import { bulkOf } from "../../../assembly/solid";
import { HOLDS, RUNS_ON, STANDS } from "../../../piece/case-choices";
import { USUAL_SHOP } from "../../../piece/shop";
import { clashes } from "../../../testing/clashes";
import { bays, caseOf, chest, EIGHT, eight, listed, rows, set } from "../../../testing/cases";
import { at, find, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";
import type { Case } from "./case";
import { casePoses } from "./poses";

const SEED = Number(process.env.SEED ?? 20261126);
describe("a case of eight parts, worked by hand from its brief to its cut list", () => {
  const plan = eight();
  it("top, two sides, bottom, two rails, a shelf, a back", () =>
    expect(plan.assembly.parts.map(({ id }) => id).sort()).toEqual(["A1", "A2", "H", "M", "P1", "P2", "Q", "T"]));
  it("sides to the top’s underside, 390 deep: 400 less 10 in front", () =>
    expect(listed(plan, "case-side")).toEqual([680, 390, 20]));
  it("840 between the sides; let in 6 at each end, 384 deep in front of the back", () => {
    expect(listed(plan, "case-bottom")).toEqual([852, 384, 18]);
    expect(listed(plan, "case-shelf")).toEqual([852, 384, 18]);
  });
  it("rails 840 and two tails of 15 in sides of 20", () => expect(listed(plan, "case-rail")).toEqual([870, 60, 18]));
  it("the back from rebate to rebate, from the bottom’s underside to the top’s", () =>
    expect(listed(plan, "case-back")).toEqual([860, 620, 6]));
  it("584 high inside, less a shelf of 18: two openings of 283", () =>
    expect(caseOf(plan).bays[0].openings.map(({ from, to }) => to - from)).toEqual([283, 283]));
  it("comes from boards, but for the back; weighs what its bodies hold", () => {
    expect(plan.cutting.missing.map(({ part }) => part)).not.toContain("case-back");
    const { density } = plan.species;
    const kilos = plan.assembly.parts.reduce(
      // plywood at 650 kg/m³
      (sum, part) => sum + (bulkOf(bodyOf(part)).volume / 1e9) * (part.kind === "case-back" ? 650 : density),
      0,
    );
    expect(Math.abs(plan.weight / kilos - 1)).toBeLessThan(1e-3);
  });
  it("is judged without a fault of its own", () =>
    expect(plan.verdicts.filter(({ stage, level }) => stage === "form" && level !== "holds")).toEqual([]));
});

const opening = fc.record({
  height: fc.option(fc.integer({ min: 60, max: 140 }), { nil: null }),
  holds: fc.constantFrom(...HOLDS),
  shelves: fc.integer({ min: 0, max: 2 }),
});
const any = fc.record({
  bays: fc.array(fc.record({ width: fc.constant(null), rows: fc.array(opening, { minLength: 1, maxLength: 4 }) }), {
    minLength: 1,
    maxLength: 3,
  }),
  thickness: fc.integer({ min: 16, max: 30 }),
  inner: fc.integer({ min: 15, max: 28 }),
  back: fc.constantFrom("sheet", "none"),
  kick: fc.boolean(),
  behind: fc.integer({ min: 0, max: 30 }),
  lift: fc.integer({ min: 0, max: 120 }),
  stands: fc.constantFrom(...STANDS),
  "drawers.on": fc.constantFrom(...RUNS_ON),
  "drawers.pull.kind": fc.constantFrom("none", "knob", "bar"),
});
/** Drawers that open behind want no back, a frame of legs its own height. */
const drawn = any.map((given) => ({
  ...given,
  ...(given.bays.some(({ rows: all }) => all.some(({ holds }) => holds === "drawers-through")) ? { back: "none" } : {}),
  ...(given.stands === "sides" ? {} : { lift: 100 + given.lift }),
}));

describe(`a case of any bays (seed ${SEED})`, () => {
  const made = (given: Record<string, unknown>) => {
    const piece = tableWith(...EIGHT, ...Object.entries(given).map(([path, value]) => set(path, value)));
    const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
    return { at: geometry as Case, parts: assembly.parts };
  };
  it("closed, no two parts fill the same room", () =>
    fc.assert(
      fc.property(drawn, (given) => {
        const { at: place, parts } = made(given);
        // heights that don't add up are their rule's to tell
        fc.pre(place.bays.every(({ openings }) => openings.every(({ from, to }) => to > from)));
        expect(clashesOf(parts)).toEqual([]);
      }),
      { numRuns: 40, seed: SEED },
    ));
  it("and none do by their whole bodies: a door, a shelf on pins, a drawer", () => {
    const rows = [
      { height: null, holds: "door-left", shelves: 1 },
      { height: 140, holds: "drawer", shelves: 0 },
    ];
    // a sheet’s many screw holes are bored in nothing else
    expect(clashes(made({ bays: [{ width: null, rows }], back: "none" }).parts)).toEqual([]);
  });
  it("with its drawers drawn out or its doors open, none either, and nothing else has moved", () =>
    fc.assert(
      fc.property(drawn, (given) => {
        const { at: place, parts } = made(given);
        fc.pre(place.bays.every(({ openings }) => openings.every(({ from, to }) => to > from)));
        for (const pose of casePoses(place, parts).filter(({ id }) => id === "drawers" || id === "doors")) {
          const open = posed(parts, pose);
          expect(clashesOf(open)).toEqual([]);
          const moved = open.filter((part, i) => part.place !== parts[i].place).map(({ kind }) => kind);
          const of = pose.id === "doors" ? /^door-/ : /^drawer-(?!rail)/;
          expect(moved.every((kind) => of.test(kind))).toBe(true);
        }
      }),
      { numRuns: 15, seed: SEED + 1 },
    ));
  it("openings and what divides them fill the inside to the last hair", () =>
    fc.assert(
      fc.property(drawn, (given) => {
        const { at: place } = made(given);
        for (const { openings } of place.bays) {
          const sum = openings.reduce((total, { from, to }) => total + to - from, 0);
          expect(sum + (openings.length - 1) * place.inner).toBeCloseTo(place.high.to - place.high.from, 6);
        }
        const wide = place.bays.reduce((total, { from, to }) => total + to - from, 0);
        expect(wide + place.dividers.length * place.inner).toBeCloseTo(place.inside.to - place.inside.from, 6);
      }),
      { numRuns: 60, seed: SEED },
    ));
});

describe("a case that can’t be, or should not", () => {
  it("a drawer with no room is named, and can be left out", () => {
    const plan = chest(bays(rows([30, "drawer"], [null, "drawer"])));
    const said = find(plan, "form.drawers");
    expect([said.level, said.text]).toEqual(["fix", "No drawer goes into the first opening of the first bay"]);
    expect(said.remedies.map(({ label }) => label)).toEqual(["Leave that opening empty"]);
  });
  it("sizes that are all typed and don’t add up are told: the last takes what is left", () => {
    const said = find(eight(bays(rows([200, "nothing"], [300, "nothing"]))), "form.openings-sum");
    // 584 less 18, less 500
    expect(said.text).toBe("The openings of the first bay add up to 500 mm: 66 mm are left over");
  });
  it("buttons are refused by rails that lie flat", () =>
    expect(find(eight(at("joints.fastening", "button")), "form.case-top")).toMatchObject({
      level: "fix",
      remedies: [{ label: "Screw it up through oversized holes" }],
    }));
  it("soft wood wants another slope", () => {
    expect(find(eight(at("species", "norway-spruce")), "form.dovetail-slope").level).toBe("tight");
    expect(find(eight(at("species", "norway-spruce"), set("slope", "1:6")), "form.dovetail-slope").level).toBe("holds");
  });
  it("pins thinner than the saw’s kerf are no pins", () => {
    const many = chest(set("drawers.tails", 14), set("drawers.side", 6));
    expect(find(many, "joints.walls").level).not.toBe("holds");
  });
  it("it is pulled over by who hangs on a drawer: statics by hand", () => {
    const plan = chest();
    const said = find(plan, "form.tips");
    // feet to the front edge: 195 before the middle; a drawer 369 deep hangs out by three quarters
    // and takes its own weight with it: the last is the heaviest, by its bodies
    const own = plan.assembly.parts
      .filter(({ id }) => ["C3", "V5", "V6", "VB3", "X3"].includes(id))
      .reduce((sum, part) => sum + (bulkOf(bodyOf(part)).volume / 1e9) * plan.species.density, 0);
    const holds = (plan.weight * 195 - own * 0.75 * 369) / (0.75 * 369);
    expect(Math.abs(Number(/under (\d+) kg/.exec(said.text)![1]) - holds)).toBeLessThan(0.7);
    expect(find(chest(set("wall", true)), "form.tips").level).toBe("holds");
  });
  it("a case of no size at all is planned, and says so", () => {
    const plan = eight(at("form.top.length", 200), at("form.top.width", 60), at("form.height", 150));
    expect(plan.failures).toEqual([]);
    expect(find(plan, "form.ends-fit").level).toBe("fix");
  });
});

describe("read as the one who builds it", () => {
  const plan = chest(set("wall", true));
  const step = (id: string) => plan.steps.find((each) => each.id === id)!;
  it("a kicker goes in between two rails that are there: its tenon is shorter than what is free behind it", () => {
    const joint = plan.joints.find(({ id }) => id === "case-rail+kicker")!;
    const kicker = plan.assembly.parts.find(({ kind }) => kind === "kicker")!;
    const rail = plan.assembly.parts.find(({ id }) => id === "A2")!;
    // the rail at the back runs from its front edge backward
    const free = kicker.place.at[2] - rail.place.at[2];
    expect(joint.length).toBeLessThan(free);
  });
  it("no counterbore is spoken of in rails too thin for one", () => {
    expect(step("rail-holes").detail).not.toMatch(/counterbore/);
    expect(step("attach").detail).not.toMatch(/counterbore/);
  });
  it("what is of sheet is neither sawn rough nor milled, and is cut when what it fits into is there", () => {
    for (const id of ["rough-cut", "mill"]) expect(step(id).parts).not.toContain("case-back");
    expect(step("cut-sheets").parts).toEqual(
      expect.arrayContaining(["case-back", "drawer-bottom", "drawer-bottom-2", "drawer-bottom-3"]),
    );
    expect(step("drawers-glue").after).toContain("cut-sheets");
  });
  it("the finish waits until the back is on, and the bracket is made before it stands there", () => {
    const of = (id: string) => plan.steps.findIndex((each) => each.id === id);
    expect(of("back")).toBeLessThan(of("coat-1"));
    expect(of("wall")).toBeLessThan(of("attach"));
  });
  it("a groove that no tail hides is told: it would show at the front’s ends", () => {
    expect(find(chest(), "form.drawer-groove").level).toBe("holds");
    const many = find(chest(set("drawers.tails", 12)), "form.drawer-groove");
    expect([many.level, many.remedies[0].label]).toEqual(["tight", "Let Taller choose the tails"]);
  });
});

describe("what the year does to it", () => {
  it("the sides move along their runners: without slots the runners are torn, with them nothing is held", () => {
    const tight = chest(set("slot", 5));
    expect(find(tight, "movement.runners").level).toBe("fix");
    const longer = find(tight, "movement.runners").remedies[0].patches[0].value as number;
    expect(find(chest(set("slot", longer)), "movement.runners").level).toBe("holds");
  });
  it("top, sides and bottom move alike from front to back: the top has nowhere to go against its rails", () => {
    const plan = chest();
    expect(plan.stopped.filter(({ load }) => load > 0.5)).toEqual([]);
    expect(plan.fasteners.every(({ under, dry, wet }) => under === "alike" && dry === 0 && wet === 0)).toBe(true);
  });
  it("a drawer that is left no room binds, and the remedy mends it", () => {
    const said = find(chest(set("drawers.above", 0)), "movement.drawers");
    expect(said.level).toBe("fix");
    const { value } = said.remedies[0].patches[0];
    expect(find(chest(set("drawers.above", value)), "movement.drawers").level).toBe("holds");
  });
  it("drawer sides of their own wood are all of it, whatever their size", () => {
    const wood = { species: "sugar-maple", moisture: null, finish: null, edges: null };
    const plan = chest(at("kinds.drawer-side", wood));
    const woods = plan.cutting.pieces
      .filter(({ part }) => part.startsWith("drawer-side"))
      .map(({ species }) => species);
    expect(new Set(woods)).toEqual(new Set(["sugar-maple"]));
  });
});
