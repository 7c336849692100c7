import { describe, expect, it } from "vitest";
import { boundsOf, stood } from "../assembly/solid";
import { solidOf } from "../assembly/shape";
import { within } from "../assembly/place";
import { at, find, planOf, tableWith } from "../testing/plans";
import { cutsThatMeet } from "./cuts-meet";

const partOf = (plan: ReturnType<typeof planOf>, id: string) => plan.assembly.parts.find((each) => each.id === id)!;
const grooves = (plan: ReturnType<typeof planOf>, id: string) => {
  const part = partOf(plan, id);
  return part.cuts
    .filter(({ by }) => by === "fastening")
    .map(({ shape, place }) => boundsOf(stood(solidOf(shape), within(part.place, place))));
};

describe("what is cut for the top keeps clear of the joints (rails 25 thick, legs 60, rails 1570 between them)", () => {
  it.each(["loose-tenon", "dowels"])("%s in the rails' ends: the groove stops 10 before their holes", (kind) => {
    const plan = planOf(
      tableWith(at("joints.legRail.kind", kind), at("form.cornerBlocks", false), at("form.crossRails", 0)),
    );
    const [groove] = grooves(plan, "A2");
    const bored = partOf(plan, "A2").cuts.filter(({ by }) => by === "leg-long-rail");
    const deepest = Math.max(
      ...bored.map(({ shape, place }) => boundsOf(stood(solidOf(shape), place)).most[0]).filter((x) => x < 785),
    );
    // dowels that lie below the groove let it run on to where a tenoned rail's ends
    const lower = kind === "dowels" ? 10 : deepest + 10;
    expect(groove.least[0]).toBeGreaterThanOrEqual(-785 + Math.min(lower, deepest + 10) - 1e-6);
    expect(find(plan, "joints.cuts-meet").level).toBe("holds");
    expect(cutsThatMeet(plan.assembly.parts)).toBeNull();
  });
  it("no button is hidden behind a corner block, and none sits where a cross-rail enters", () => {
    const plan = planOf(tableWith(at("form.cornerBlocks", true), at("form.crossRails", 1)));
    const blocks = plan.assembly.parts.filter(({ kind }) => kind === "corner-block");
    const boxes = blocks.map((part) => boundsOf(stood(solidOf(part.shape), part.place)));
    for (const { x, z, bearer } of plan.fasteners.filter(({ bearer }) => !bearer.startsWith("C"))) {
      for (const { least, most } of boxes)
        expect(
          x > least[0] - 15 && x < most[0] + 15 && z > least[2] - 15 && z < most[2] + 15,
          `${bearer} at ${x}, ${z}`,
        ).toBe(false);
      if (bearer.startsWith("A")) expect(Math.abs(x)).toBeGreaterThan(12.5 + 12);
    }
    expect(find(plan, "joints.cuts-meet").level).toBe("holds");
  });
  it("a cut that does run into a joint is found, and told with the part's name", () => {
    const plan = planOf(tableWith(at("form.cornerBlocks", false)));
    const rail = partOf(plan, "A2");
    const groove = rail.cuts.find(({ by }) => by === "fastening")!;
    const through = { ...groove, by: "leg-long-rail", shape: { ...groove.shape, length: 40 } };
    const parts = plan.assembly.parts.map((each) =>
      each === rail ? { ...rail, cuts: [...rail.cuts, through] } : each,
    );
    expect(cutsThatMeet(parts)).toMatchObject({ part: { id: "A2" }, by: "leg-long-rail" });
  });
  it("arms that cross are not bored where they are lapped", () => {
    const plan = planOf(
      tableWith(at("form.kind", "splayed"), at("form.splayed.hub", "lapped"), at("joints.fastening", "oversized")),
    );
    for (const { x, z } of plan.fasteners) expect(Math.hypot(x, z)).toBeGreaterThan(20);
    expect(cutsThatMeet(plan.assembly.parts)).toBeNull();
  });
});
