/** Drawers worked by hand: on runners, on slides, and what they are drawn by. */
import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../../assembly/part";
import { fixedOutside, goneWith } from "../../../assembly/small";
import { bulkOf } from "../../../assembly/solid";
import { demoBoard } from "../../../testing/boards";
import { USUAL_SHOP } from "../../../piece/shop";
import { bays, caseOf, chest, EIGHT, eight, listed, rows, set } from "../../../testing/cases";
import { at, find, planOf, tableWith } from "../../../testing/plans";

describe("drawers, worked by hand", () => {
  const plan = chest();
  const { drawers } = caseOf(plan);
  it("838 wide in 840; 584 less two rails of 18 leaves 248 for the last", () => {
    expect(drawers.map(({ width }) => width)).toEqual([838, 838, 838]);
    expect(drawers.map(({ opening }) => opening)).toEqual([140, 160, 248]);
  });
  it("fronts 3 and 1 less than their opening, sides 3 less, the back from the bottom to 6 below the sides", () => {
    expect(listed(plan, "drawer-front")).toEqual([838, 136, 20]);
    // 384 deep less 15 behind: 369, the front 20, and 15 of tails in it
    expect(listed(plan, "drawer-side")).toEqual([369 - 20 + 15, 137, 12]);
    expect(listed(plan, "drawer-back")).toEqual([838, 137 - 9 - 6 - 6, 12]);
  });
  it("a bottom in grooves of 5: 838 less two sides of 12, and 10; in front 5 in the front, behind to the back’s face", () =>
    expect(listed(plan, "drawer-bottom")).toEqual([838 - 24 + 10 - 1, 369 - 20 + 5 - 0.5, 6]));
  it("drawers of one size are one row of the list", () => {
    const alike = eight(bays(rows([null, "drawer"], [null, "drawer"])));
    expect(alike.parts.find(({ id }) => id === "drawer-side")!.count).toBe(4);
    expect(alike.parts.some(({ id }) => id === "drawer-side-2")).toBe(false);
  });
  it("a solid bottom is a panel of its own, composed and glued like any other", () => {
    const solid = chest(set("drawers.bottom", "solid"), set("drawers.bottomThickness", 9));
    expect(solid.panels.map(({ place }) => place.name)).toContain("bottom of drawer 2");
    expect(find(solid, "boards.chosen.drawer-bottom-1").level).toBe("fix");
  });
  it("are made after the case, from their own openings; the back goes on behind them", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("glue-base")).toBeLessThan(of("drawers-fronts"));
    expect(of("drawers-fronts")).toBeLessThan(of("drawers-dovetails"));
    expect(of("drawers-stops")).toBeLessThan(of("back"));
    expect(of("rail-holes")).toBeLessThan(of("glue-base"));
    expect(plan.parts.find(({ id }) => id === "drawer-side")!.markedFrom).toContain("opening");
  });
});

describe("drawers on bought slides, worked by hand", () => {
  const plan = chest(set("drawers.on", "slides"));
  const { drawers } = caseOf(plan);

  it("350 is the longest that goes in: 384 deep less a front of 20 leaves 364", () =>
    expect(drawers.map(({ slides }) => slides?.length)).toEqual([350, 350, 350]));
  it("boxes 840 less two slides of 12.7, 350 long; 140 less 3 and 12 above and 6 below", () => {
    expect(listed(plan, "drawer-box-front")).toEqual([814.6, 119, 12]);
    // its two through dovetails are in its length
    expect(listed(plan, "drawer-side")).toEqual([350, 119, 12]);
    expect(listed(plan, "drawer-back")).toEqual([814.6, 119 - 9 - 6 - 6, 12]);
  });
  it("fronts of their own fill the opening but for their gaps: 838 by 136", () =>
    expect(listed(plan, "drawer-front")).toEqual([838, 136, 20]));
  it("a bottom from groove to groove, and out below the back", () =>
    expect(listed(plan, "drawer-bottom")).toEqual([814.6 - 24 + 10 - 1, 350 - 12 + 5 - 0.5, 6]));
  it("no runner, no kicker; two slides each, beside the box and inside the opening", () => {
    expect(plan.parts.map(({ id }) => id)).not.toContain("runner");
    expect(plan.parts.map(({ id }) => id)).not.toContain("kicker");
    const slides = plan.small.filter(({ by }) => by === "slide");
    expect(slides).toHaveLength(6);
    const [bay] = caseOf(plan).bays;
    for (const { place, shape } of slides) {
      expect(place.at[0]).toBeLessThanOrEqual(bay.to + 1e-9);
      expect(place.at[0] - shape.thickness).toBeGreaterThanOrEqual(bay.from - 1e-9);
    }
  });
  it("fronts go on last, screwed from inside through holes that let them be set", () => {
    const joint = plan.joints.find(({ id }) => id === "drawer-front+drawer-box-front")!;
    expect(joint).toMatchObject({ kind: "screwed", slot: 9, through: 12 });
    const ids = plan.steps.map(({ id }) => id);
    const order = ["glue-base", "drawers-dovetails", "drawers-glue", "drawers-slides", "drawers-stops"];
    expect(order.map((id) => ids.indexOf(id))).toEqual([...order.map((id) => ids.indexOf(id))].sort((a, b) => a - b));
    expect(ids).not.toContain("drawers-fronts");
  });
  it("slides stand halfway up each box, told drawer by drawer; no step speaks of runners that aren't there", () => {
    // boxes 119, 139 and 227 high, slides of 45: (119 - 45) / 2 and so on
    const { detail } = plan.steps.find(({ id }) => id === "drawers-slides")!;
    for (const said of [
      "37.0 mm on drawer 1",
      "47.0 mm on drawer 2",
      "91.0 mm on drawer 3",
      "in the opening 6 mm more",
    ])
      expect(detail).toContain(said);
    const alike = eight(bays(rows([null, "drawer"], [null, "drawer"])), set("drawers.on", "slides"));
    expect(alike.steps.find(({ id }) => id === "drawers-slides")!.detail).not.toContain("on drawer");
    for (const step of plan.steps) expect(`${step.title} ${step.detail}`).not.toMatch(/[Rr]unner|[Kk]icker/);
  });
  it("too long a slide is told with one that goes in; too weak a pair with what a full drawer weighs", () => {
    const long = chest(set("drawers.on", "slides"), set("drawers.slides.length", 500));
    expect(find(long, "form.slides")).toMatchObject({ level: "fix", remedies: [{ label: "Take slides 350 mm long" }] });
    const weak = find(chest(set("drawers.on", "slides"), set("drawers.slides.load", 8)), "form.slides-load");
    // the last: 790.6 by 212 by 326 inside, at 250 kg/m³, and its wood
    const litres = (790.6 * (248 - 3 - 12 - 6 - 9 - 6) * 326) / 1e6;
    const wood = plan.assembly.parts
      .filter(({ id }) => ["C3", "VF3", "V5", "V6", "VB3", "X3"].includes(id))
      .reduce((sum, part) => sum + (bulkOf(bodyOf(part)).volume / 1e9) * plan.species.density, 0);
    expect(Math.abs(weak.actual! - (wood + litres * 0.25))).toBeLessThan(1);
    expect(weak.level).toBe("fix");
  });
});

describe("pulls", () => {
  it("a knob in the middle of a narrow front, one at each sixth of a wide one; a hole through all that lies there", () => {
    const knobs = chest(set("drawers.pull.kind", "knob"), set("drawers.on", "slides"));
    // 838 is over 700 wide: two each
    expect(knobs.small.filter(({ by }) => by === "pull")).toHaveLength(6);
    const holes = (id: string) =>
      knobs.assembly.parts.find((part) => part.id === id)!.cuts.filter(({ by }) => by === "pull");
    expect(holes("C1").map(({ place }) => Math.round(place.at[0] + 2.25))).toEqual([
      Math.round(838 / 6),
      Math.round((5 * 838) / 6),
    ]);
    expect(holes("VF1")).toHaveLength(2);
    // the box's front lies 11.7 further in, and 12 thick: the same hole goes on through it
    expect(holes("VF1")[0].place.at[0] + 11.7).toBeCloseTo(holes("C1")[0].place.at[0], 6);
  });
  it("is drawn out with its drawer, and seen in front of it", () => {
    const knobs = chest(set("drawers.pull.kind", "knob"));
    const pose = knobs.assembly.poses!.find(({ id }) => id === "drawer-2")!;
    const { parts } = knobs.assembly;
    const gone = goneWith(knobs.small, parts, posed(parts, pose));
    const out = 0.75 * 369;
    knobs.small.forEach((each, i) =>
      expect(gone[i].place.at[2] - each.place.at[2]).toBeCloseTo(each.on === "C2" ? out : 0, 6),
    );
    expect(fixedOutside(knobs.small)).toHaveLength(6);
  });
  it("a bar longer than its front is told with one that fits", () => {
    const wide = chest(set("drawers.pull", { kind: "bar", centres: 600 }));
    const told = find(wide, "form.pulls");
    expect(told.level).toBe("fix");
    const mended = find(
      chest(set("drawers.pull", { kind: "bar", centres: 600 }), ...told.remedies[0].patches),
      "form.pulls",
    );
    expect(mended.level).toBe("holds");
  });
  it("a door's stands on the stile that swings, halfway up, and goes round with it", () => {
    const doors = eight(bays(rows([null, "door-left"])), set("drawers.pull.kind", "bar"));
    const [door] = caseOf(doors).doors;
    const [pull] = doors.small.filter(({ by }) => by === "pull");
    expect(pull.on).toBe("RS2");
    // 148 long and upright: its screws 128 apart, halfway up and in the stile's middle
    const holes = doors.assembly.parts.find(({ id }) => id === "RS2")!.cuts.filter(({ by }) => by === "pull");
    const [one, other] = holes.map(({ place }) => place.at[0]);
    expect(other - one).toBeCloseTo(128, 6);
    expect((one + other) / 2 + 2.25).toBeCloseTo((door.high.to - door.high.from) / 2, 6);
    expect(holes[0].place.at[1] + 2.25).toBeCloseTo(55 / 2, 6);
    const pose = doors.assembly.poses!.find(({ id }) => id === "doors")!;
    const [gone] = goneWith(doors.small, doors.assembly.parts, posed(doors.assembly.parts, pose)).filter(
      ({ by }) => by === "pull",
    );
    // hung left and open it points to the right no more: it lies before the case's face, at the hinge's side
    expect(gone.place.at[2]).toBeGreaterThan(pull.place.at[2] + 500);
    expect(gone.place.at[0]).toBeLessThan(door.across.from + 60);
  });
  it("none are told, and what each step bores follows what is chosen", () => {
    expect(find(chest(), "form.pulls").level).toBe("tight");
    const step = (kind: string) =>
      chest(set("drawers.pull.kind", kind)).steps.find(({ id }) => id === "drawers-stops")!.detail;
    expect(step("bar")).toContain("Two holes 128 mm apart");
    expect(step("none")).not.toContain("template");
  });
});

describe("fronts from one board", () => {
  const two = (from: string) =>
    eight(
      bays(rows([140, "drawer"], [null, "drawer"]), rows([140, "drawer"], [null, "drawer"])),
      at("form.top.length", 1200),
      set("drawers.from", from),
    );
  const groups = (plan: ReturnType<typeof two>) =>
    Object.fromEntries(plan.cutting.pieces.flatMap(({ id, matched }) => (matched ? [[id, matched]] : [])));
  it("each from any, unless it is asked", () => expect(groups(two("apart"))).toEqual({}));
  it("those side by side: two groups of two, however their sizes are told", () => {
    // drawers are numbered bay by bay from above
    expect(groups(two("row"))).toEqual({
      C1: "fronts of C1",
      C3: "fronts of C1",
      C2: "fronts of C2",
      C4: "fronts of C2",
    });
  });
  it("all of them from one board, on which they lie", () => {
    const board = demoBoard({ id: "F1", width: 260, length: 2900, thickness: 27 });
    const plan = planOf(
      tableWith(
        ...EIGHT,
        bays(rows([140, "drawer"], [160, "drawer"], [null, "nothing"])),
        set("drawers.from", "all"),
        set("drawers.front", 20),
      ),
      [
        board,
        ...Array.from({ length: 3 }, (_, i) => demoBoard({ id: `G${i}`, width: 320, length: 1000, thickness: 27 })),
      ],
    );
    const fronts = plan.cutting.placed.filter(({ piece }) => piece.id.startsWith("C"));
    expect(fronts.map(({ board: on }) => on)).toEqual(["F1", "F1"]);
    expect(new Set(Object.values(groups(plan)))).toEqual(new Set(["fronts of C1"]));
    expect(plan.parts.find(({ id }) => id === "drawer-front")!.note).toMatch(/All come from one board, from above/);
    // after one another, the upper one first, a kerf between
    const [upper, lower] = ["C1", "C2"].map((id) => fronts.find(({ piece }) => piece.id === id)!);
    expect(lower.x).toBeCloseTo(upper.x + upper.piece.length + USUAL_SHOP.kerf, 6);
    expect(lower.y).toBe(upper.y);
    expect(find(plan, "cutting.rows")).toMatchObject({
      level: "holds",
      text: "In their order along one board: C1, C2",
    });
  });
  it("made twice, each copy has a board of its own", () => {
    const plan = eight(bays(rows([140, "drawer"], [null, "drawer"])), set("drawers.from", "all"), at("times", 2));
    expect(new Set(Object.values(groups(plan)))).toEqual(new Set(["fronts of C1", "2fronts of C1"]));
  });
});
