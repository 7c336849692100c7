import { describe, expect, it } from "vitest";
import { bodyOf, posed } from "../../../assembly/part";
import { solidOf } from "../../../assembly/shape";
import { boundsOf, stood } from "../../../assembly/solid";
import { USUAL_CASE } from "../../../piece/case-choices";
import { bays, caseOf, eight, listed, set } from "../../../testing/cases";
import { at, find } from "../../../testing/plans";

describe("doors and loose shelves, worked by hand", () => {
  const plan = eight(
    bays([{ height: null, holds: "doors", shelves: 1 }]),
    set("doors", { ...USUAL_CASE.doors, stile: 55, rail: 60, groove: 10, free: 3, gap: 2 }),
  );
  it("two leaves in 840 with three gaps of 2, in 584 with two", () =>
    // 840 less 6, halved; 584 less 4
    expect(caseOf(plan).doors.map(({ across, high }) => [across.to - across.from, high.to - high.from])).toEqual([
      [417, 580],
      [417, 580],
    ]));
  it("stiles as high as the leaf; rails between them and two tenons of two thirds of a stile", () => {
    expect(listed(plan, "door-stile")).toEqual([580, 55, 20]);
    expect(listed(plan, "door-rail")).toEqual([417 - 110 + 2 * 36.5, 60, 20]);
  });
  it("a panel 7 into each stile and 9.5 into each rail", () =>
    expect(listed(plan, "door-panel")).toEqual([580 - 120 + 19, 417 - 110 + 14, 10]));
  it("a shelf 3 shorter than its bay, behind the door: 384 less 20, 4 and 2", () =>
    expect(listed(plan, "loose-shelf-2")).toEqual([837, 358, 18]));
  it("holes for four pins at its height and a place above and below, 10 deep, 32 apart", () => {
    const side = plan.assembly.parts.find(({ id }) => id === "P1")!;
    const holes = side.cuts.filter(({ by }) => by === "loose-shelf");
    expect(holes.length).toBe(6);
    expect(new Set(holes.map(({ shape }) => shape.length))).toEqual(new Set([10]));
    const heights = [...new Set(holes.map(({ place }) => Math.round(place.at[0] * 10) / 10))].sort((a, b) => a - b);
    expect(heights.slice(1).map((each, i) => each - heights[i])).toEqual([32, 32]);
  });
  it("four pins and four hinges are listed with what comes from no board", () => {
    const count = (name: string) => plan.small.filter((each) => each.name === name).length;
    expect([count("Shelf pin"), count("Butt hinge")]).toEqual([4, 4]);
    // a hinge fills both leaves' mortises and the gap between them
    const hinge = plan.small.find(({ name }) => name === "Butt hinge")!;
    expect(hinge.shape).toMatchObject({ length: 50, width: 6, thickness: 15 });
    const { least, most } = boundsOf(stood(solidOf(hinge.shape), hinge.place));
    const { deep, inside } = caseOf(plan);
    expect([least[0], most[0]]).toEqual([inside.from - 2, inside.from + 4].map((each) => expect.closeTo(each, 6)));
    expect([least[2], most[2]]).toEqual([deep.to - 15, deep.to].map((each) => expect.closeTo(each, 6)));
  });
  it("each leaf opens a right angle about the edge it hangs on, and stands before the case", () => {
    const { parts, poses = [] } = plan.assembly;
    const open = posed(
      parts,
      poses.find(({ id }) => id === "doors")!,
    );
    const { deep, inside } = caseOf(plan);
    for (const [id, edge] of [
      ["RS1", inside.from + 2],
      ["RS4", inside.to - 2],
    ] as const) {
      const { least, most } = boundsOf(
        stood(bodyOf(open.find((part) => part.id === id)!), open.find((part) => part.id === id)!.place),
      );
      expect([least[2], most[2]]).toEqual([expect.closeTo(deep.to, 6), expect.closeTo(deep.to + 55, 6)]);
      expect(Math.min(Math.abs(least[0] - edge), Math.abs(most[0] - edge))).toBeCloseTo(0, 6);
    }
  });
  it("panels that are left no room push their frames apart, and the remedy mends it", () => {
    const tight = eight(bays([{ height: null, holds: "doors", shelves: 0 }]), set("doors.free", 0));
    const said = find(tight, "movement.door-panels");
    expect(said.level).toBe("fix");
    const mended = eight(
      bays([{ height: null, holds: "doors", shelves: 0 }]),
      ...said.remedies[0].patches.map(({ path, value }) => at(path.join("."), value)),
    );
    expect(find(mended, "movement.door-panels").level).toBe("holds");
  });
  it("a leaf that fills a wide bay sags, and may be made two", () =>
    expect(find(eight(bays([{ height: null, holds: "door-left", shelves: 0 }])), "form.doors")).toMatchObject({
      level: "fix",
      remedies: [{ label: "Close it by two doors" }],
    }));
  it("panels are finished before they are closed in, doors hung after the case is glued, the back on behind them", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("glue-base")).toBeLessThan(of("doors-frames"));
    expect(of("doors-panels")).toBeLessThan(of("doors-glue"));
    expect(of("doors-hang")).toBeLessThan(of("back"));
  });
  it("shelves that find no room are told, and a divider set for one that sags loses nothing", () => {
    const many = eight(
      bays([
        { height: 60, holds: "nothing", shelves: 3 },
        { height: null, holds: "drawer", shelves: 0 },
      ]),
    );
    const said = find(many, "form.loose-shelves");
    expect([said.level, said.remedies.map(({ label }) => label)]).toEqual(["fix", ["Leave its shelves out"]]);
    const wide = eight(at("form.top.length", 1900), bays([{ height: null, holds: "nothing", shelves: 2 }]));
    const divided = find(wide, "form.case-sag").remedies.find(({ label }) => label.startsWith("Set a divider"))!;
    expect((divided.patches[0].value as { rows: unknown[] }[]).map(({ rows }) => rows)).toEqual([
      [{ height: null, holds: "nothing", shelves: 2 }],
      [{ height: null, holds: "nothing", shelves: 0 }],
    ]);
  });
});
