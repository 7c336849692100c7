import { describe, expect, it } from "vitest";
import { at, planOf, strips, tableWith } from "../testing/plans";
import { findSpecies } from "../wood/species";
import { outOfSquare } from "./cup";

describe("size and squareness of each kind of part", () => {
  const plan = planOf(tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"))));
  const move = (id: string) => plan.partMoves.find((each) => each.id === id)!;
  it("the top's is the sum over its strips, on its own driest and wettest day", () => {
    expect(move("top").wet.width).toBeCloseTo(plan.top.wet.change, 1);
    expect(move("top").dry.width).toBeCloseTo(plan.top.dry.change, 1);
  });
  it("a flat-sawn rail moves more across than through, by its coefficients (derived: strain is a tensor)", () => {
    const { wet } = move("long-rail");
    const part = plan.parts.find((each) => each.id === "long-rail")!.finished;
    const { radial, tangential } = plan.species;
    expect(wet.width / part.width + wet.thickness / part.thickness).toBeCloseTo(
      (radial + tangential) * (plan.courses["long-rail"].wettest.moisture - plan.top.start.value),
      6,
    );
    expect(wet.width / part.width).toBeGreaterThan(wet.thickness / part.thickness);
  });
  it("an 80 mm oak leg at 45° and 4 % goes out of square by about 0.7 mm (derived in the handbook's way, white oak)", () =>
    expect(outOfSquare(findSpecies("white-oak-american")!, 45, 80, 4)).toBeCloseTo(0.59, 1));
  it("rings square to a face keep the section square", () => {
    expect(outOfSquare(plan.species, 0, 80, 4)).toBeCloseTo(0, 12);
    expect(outOfSquare(plan.species, 90, 80, 4)).toBeCloseTo(0, 12);
  });
  it("every part that is sawn out is there but buttons and blocks", () =>
    expect(plan.partMoves.map((each) => each.id)).toEqual(["top", "leg", "long-rail", "end-rail", "cross-rail"]));
});

describe("the record is held against the first moisture that is known", () => {
  const entry = (on: string, value: number) => ({
    kind: "moisture",
    id: on,
    on,
    value,
    text: "",
    what: "top",
    meter: null,
  });
  const width = (on: string, value: number) => ({
    kind: "width",
    id: `w${on}`,
    on,
    value,
    text: "",
    what: "top",
    moisture: null,
  });
  const log = [entry("2026-11-23", 8.5), width("2026-11-24", 851), width("2027-08-20", 856), entry("2027-08-20", 10.6)];
  const plan = planOf(tableWith(at("log", log), at("delivery", "2026-12-01")));
  it("though Movement goes on from the latest", () => {
    expect(plan.top.start.on).toBe("2027-08-20");
    expect(plan.records[0].moved.start.on).toBe("2026-11-23");
    expect(plan.records[0].moved.course.from).toBe("2026-11-23");
  });
  it("and widths count from the first that was taken", () => {
    expect(plan.records[0].predicted[0]).toEqual({ on: "2026-11-24", width: expect.closeTo(851, 6) });
    expect(plan.records[0].predicted[1].width).toBeGreaterThan(854);
    expect(plan.records[0].predicted[1].width).toBeLessThan(860);
  });
});
