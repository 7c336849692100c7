/** Rescues: parts that came out too short are used, and what follows is planned again. */
import { describe, expect, it } from "vitest";
import { applyPatches } from "../piece/patch";
import type { Piece } from "../piece/schema";
import { at, find, legs, planOf, tableWith, TODAY } from "../testing/plans";

const measured = (part: string, value: number) => at("asBuilt", [{ part, dimension: "length", value, on: TODAY }]);
/** 1800 long, overhangs of 40 and legs of 75: 1570 between shoulders, and a tenon of 60.5 at each end. */
const table = (value: number, part = "long-rail") => tableWith(measured(part, value));
const after = (piece: Piece, n: number) => {
  const { remedies } = find(planOf(piece), "joints.measured");
  return planOf(applyPatches(piece, remedies[n].patches));
};
const finished = (plan: ReturnType<typeof planOf>, id: string) =>
  plan.parts.find((part) => part.id === id)!.finished.length;

it("the plan it is held against: 1570 and two tenons", () => {
  const plan = planOf(tableWith());
  expect(finished(plan, "long-rail")).toBe(1570 + 2 * 60.5);
  expect(plan.verdicts.map(({ id }) => id)).not.toContain("joints.measured");
});

describe("tenons that were forgotten", () => {
  const piece = table(1570);
  it("are told with loose tenons, which make the rail right as it is", () => {
    const told = find(planOf(piece), "joints.measured");
    expect([told.level, told.text]).toEqual(["fix", "The long rail came out 121.0 mm too short for its joints"]);
    expect(told.remedies.map(({ label }) => label)).toEqual(["Join all rails by loose tenons instead"]);
    const saved = after(piece, 0);
    expect(find(saved, "joints.measured").level).toBe("holds");
    expect(saved.joints.filter(({ id }) => id.startsWith("leg-")).map((each) => "made" in each && each.made)).toEqual([
      "loose-tenon",
      "loose-tenon",
    ]);
    // the frame stands where it stood
    expect(legs(saved).frame).toEqual(legs(planOf(tableWith())).frame);
  });
});

describe("tenons that were cut short", () => {
  it("stay as long as they are: 1650 leaves 40 at each end", () => {
    const piece = table(1650);
    const saved = after(piece, 0);
    expect(find(saved, "joints.measured").level).toBe("holds");
    expect(saved.joints.find(({ id }) => id === "leg-long-rail")!.length).toBe(40);
    expect(find(planOf(piece), "joints.measured").remedies[1].label).toContain("Saw them off");
  });
});

describe("a rail that does not even reach", () => {
  it("draws the legs in by what it lacks, the top stays: 1500 is 70 short, 35 at each end", () => {
    const piece = table(1500);
    const told = find(planOf(piece), "joints.measured");
    expect(told.remedies[0].label).toBe("Draw the frame in by 70.0 mm, all rails on loose tenons");
    const saved = after(piece, 0);
    expect(saved.geometry.top.length).toBe(1800);
    expect(saved.assembly.parts.find(({ id }) => id === "A1")!.shape.length).toBeCloseTo(1500, 6);
    expect(find(saved, "joints.measured").level).toBe("holds");
  });
  it("an end rail draws them in from the sides", () => {
    const planned = planOf(tableWith()).assembly.parts.find(({ id }) => id === "E1")!.shape.length;
    const saved = after(table(planned - 30, "end-rail"), 0);
    expect(saved.assembly.parts.find(({ id }) => id === "E1")!.shape.length).toBeCloseTo(planned - 30, 6);
  });
  it("a stretcher between plank ends draws those in", () => {
    const piece = tableWith(at("form.kind", "plank"), measured("stretcher", 1500));
    const told = find(planOf(piece), "joints.measured");
    const shoulder = planOf(piece).assembly.parts.find(({ id }) => id === "R")!.shape.length;
    expect(told.level).toBe("fix");
    const saved = after(piece, 0);
    expect(saved.assembly.parts.find(({ id }) => id === "R")!.shape.length).toBeCloseTo(1500, 6);
    expect(shoulder).toBeGreaterThan(1500);
  });
});

it("what is too long is sawn again, what is a shaving off is as planned", () => {
  expect(find(planOf(table(1700)), "joints.measured")).toMatchObject({ level: "tight", remedies: [] });
  expect(find(planOf(table(1691.3)), "joints.measured").level).toBe("holds");
});

describe("a support that was cut short", () => {
  it("of legs and apron carries the top where it does: let stand there, or made up by a thicker top", () => {
    // 750 less 28 is 722
    const piece = tableWith(measured("leg", 710));
    const told = find(planOf(piece), "form.height");
    expect([told.level, told.actual]).toEqual(["tight", 738]);
    expect(told.remedies.map(({ label }) => label)).toEqual(["Let it stand at 738 mm", "Make the top 40 mm thick"]);
    for (const { patches } of told.remedies)
      expect(find(planOf(applyPatches(piece, patches)), "form.height").level).toBe("holds");
    expect(find(planOf(tableWith(measured("leg", 690))), "form.height").level).toBe("fix");
  });

  it("a post that ends at its shoulders goes on loose tenons; one shorter than that lowers the top by what is missing", () => {
    const trestle = tableWith(at("form.kind", "trestle"));
    const post = planOf(trestle).assembly.parts.find(({ kind }) => kind === "post")!;
    const short = applyPatches(trestle, [measured("post", post.shape.length - 12)]);
    const [rescue] = find(planOf(short), "joints.measured").remedies;
    expect(rescue.label).toContain("Let the top stand 12.0 mm lower");
    const saved = planOf(applyPatches(short, rescue.patches));
    expect(find(saved, "joints.measured").level).toBe("holds");
    expect(saved.geometry.under).toBeCloseTo(planOf(trestle).geometry.under - 12, 6);
  });

  it("a splayed leg lowers the top by what it lacks, upright", () => {
    const piece = tableWith(at("form.kind", "splayed"));
    const whole = planOf(piece).parts.find(({ id }) => id === "splayed-leg")!.finished.length;
    const short = applyPatches(piece, [measured("splayed-leg", whole - 10)]);
    const [rescue] = find(planOf(short), "joints.measured").remedies;
    const saved = planOf(applyPatches(short, rescue.patches));
    expect(find(saved, "joints.measured").level).toBe("holds");
    const lower = planOf(piece).geometry.under - saved.geometry.under;
    expect(lower).toBeCloseTo(10 * Math.cos((piece.form.splayed.splay * Math.PI) / 180), 1);
  });
});
