import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { USUAL_CASE } from "../../../piece/case-choices";
import { applyPatches } from "../../../piece/patch";
import { clashes, bodiesOfParts } from "../../../testing/clashes";
import { bays, caseOf, EIGHT, eight, listed, set } from "../../../testing/cases";
import { at, find, planOf, tableWith } from "../../../testing/plans";

const DOORS = { ...USUAL_CASE.doors, gap: 2, thickness: 20 };
const battened = (...patches: ReturnType<typeof set>[]) =>
  eight(
    bays([{ height: null, holds: "doors", shelves: 1 }]),
    set("doors", { ...DOORS, build: "battened" }),
    ...patches,
  );

describe("doors of boards with battens, worked by hand", () => {
  const plan = battened();
  it("each is as large as its opening less its gaps, and comes from boards of its own", () => {
    // 840 less three gaps of 2, halved; 584 less two
    expect(listed(plan, "door-panel")).toEqual([580, 417, 20]);
    expect(caseOf(plan).panels!.filter(({ kind }) => kind === "door-panel")).toHaveLength(2);
    expect(plan.parts.some(({ id }) => id === "door-stile")).toBe(false);
  });
  it("two battens each, 15 clear at both ends, an eighth from top and bottom, behind the boards", () => {
    expect(listed(plan, "door-batten")).toEqual([417 - 30, 60, 18]);
    expect(plan.parts.find(({ id }) => id === "door-batten")!.count).toBe(4);
    const batten = plan.assembly.parts.find(({ id }) => id === "RB1")!;
    const { least, most } = boundsOf(stood(bodyOf({ ...batten, cuts: [] }), batten.place));
    const { deep, doors } = caseOf(plan);
    expect(least[1]).toBeCloseTo(doors[0].high.from + 580 / 8, 6);
    expect([least[2], most[2]]).toEqual([deep.to - 38, deep.to - 20].map((each) => expect.closeTo(each, 6)));
  });
  it("five screws in each, the middle one in a round hole: the movement graph lets the boards go", () => {
    const joint = plan.joints.find(({ id }) => id === "door-panel+door-batten")!;
    expect(joint).toMatchObject({ kind: "screwed", screws: 5, tight: "middle", slot: 12, count: 4 });
    const batten = plan.assembly.parts.find(({ id }) => id === "RB1")!;
    const holes = batten.cuts.filter(({ by }) => by === "door-panel+door-batten").map(({ shape }) => shape.width);
    expect(holes.sort((a, b) => a - b)).toEqual([5, 12, 12, 12, 12]);
    expect(find(plan, "movement.door-battens").level).toBe("holds");
  });
  it("a shelf behind them stands back by the battens too", () => {
    const framed = eight(bays([{ height: null, holds: "doors", shelves: 1 }]), set("doors", DOORS));
    expect(listed(framed, "loose-shelf-2")[1] - listed(plan, "loose-shelf-2")[1]).toBe(18);
  });
  it("boards and battens turn together, and meet nothing where they stand open", () => {
    const { parts, poses = [] } = plan.assembly;
    const open = posed(
      parts,
      poses.find(({ id }) => id === "doors")!,
    );
    expect(clashes(open, bodiesOfParts(open))).toEqual([]);
    const [door, batten] = ["B1", "RB1"].map((id) => open.find((part) => part.id === id)!);
    expect(batten.place.x.map(Math.round)).toEqual(door.place.y.map(Math.round));
  });
  it("over all their width they move more than a frame does: the gap they want is wider", () => {
    const gap = (build: string) =>
      find(
        eight(
          bays([{ height: null, holds: "door-left", shelves: 0 }]),
          at("form.top.length", 600),
          set("doors", { ...DOORS, build, gap: 1 }),
        ),
        "movement.doors",
      ).limit as number;
    expect(gap("battened")).toBeGreaterThan(2 * gap("framed"));
  });
  it("slots as long as a screw is thick hold the boards, and longer ones are offered and do", () => {
    const held = tableWith(
      ...EIGHT,
      bays([{ height: null, holds: "door-left", shelves: 0 }]),
      set("doors", { ...DOORS, build: "battened", batten: { width: 60, thickness: 18, slot: 5 } }),
    );
    const said = find(planOf(held), "movement.door-battens");
    expect(said.level).toBe("fix");
    const mended = planOf(applyPatches(held, said.remedies[0].patches));
    expect(find(mended, "movement.door-battens").level).toBe("holds");
  });
  it("battens go on after the boards have their size, and doors are hung after that", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("door-panel-size")).toBeLessThan(of("doors-battens"));
    expect(of("doors-battens")).toBeLessThan(of("doors-hang"));
    expect(of("doors-frames")).toBe(-1);
  });
});

describe("what keeps a door shut", () => {
  const shut = (latch: string, ...patches: ReturnType<typeof set>[]) =>
    eight(bays([{ height: null, holds: "doors", shelves: 0 }]), set("doors", { ...DOORS, latch }), ...patches);
  it.each([
    // π r² deep: a magnet of 10 by 5.5, a ball of 8 by 14
    ["magnets", Math.PI * 25 * 5.5, "Magnets with their plates", 0.98],
    // bored once the door is glued: some of it goes through the rail's tenon in the stile
    ["ball", Math.PI * 16 * 14, "Ball catches with their plates", 0.75],
  ] as const)("%s: one in each leaf, on the side that swings, and one stop for both", (latch, volume, name, least) => {
    const plan = shut(latch);
    const without = shut("none");
    for (const [id, swings] of [
      ["RS1", false],
      ["RS2", true],
      ["RS3", true],
      ["RS4", false],
    ] as const) {
      const of = (from: typeof plan) => bulkOf(bodyOf(from.assembly.parts.find((part) => part.id === id)!)).volume;
      const lost = of(without) - of(plan);
      expect(lost / volume).toBeGreaterThan(swings ? least : -0.01);
      expect(lost / volume).toBeLessThan(swings ? 1 : 0.01);
    }
    expect(plan.small.filter(({ plural }) => plural === name)).toHaveLength(2);
    expect(plan.small.filter((each) => each.name === "Door stop")).toHaveLength(1);
    expect(find(plan, "form.door-latch").level).toBe("holds");
    expect(plan.steps.find(({ id }) => id === "doors-hang")!.detail).toContain("A stop 24 mm high");
  });
  it("without one it is told; one press stops and holds them", () => {
    const piece = tableWith(
      ...EIGHT,
      bays([{ height: null, holds: "doors", shelves: 0 }]),
      set("doors", { ...DOORS, latch: "none" }),
    );
    const said = find(planOf(piece), "form.door-latch");
    expect(said.level).toBe("tight");
    for (const remedy of said.remedies)
      expect(find(planOf(applyPatches(piece, remedy.patches)), "form.door-latch").level).toBe("holds");
  });
  it("cup hinges close by themselves; a door too thin for its ball is told", () => {
    expect(shut("magnets", set("doors.mount", "overlay")).verdicts.some(({ id }) => id === "form.door-latch")).toBe(
      false,
    );
    const thin = tableWith(
      ...EIGHT,
      bays([{ height: null, holds: "doors", shelves: 0 }]),
      set("doors", { ...DOORS, latch: "ball", thickness: 11 }),
    );
    const said = find(planOf(thin), "form.door-latch");
    expect(said.level).not.toBe("holds");
    expect(find(planOf(applyPatches(thin, said.remedies[0].patches)), "form.door-latch").level).toBe("holds");
  });
});
