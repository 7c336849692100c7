import { describe, expect, it } from "vitest";
import { at, courseOf, find, planOf, plainRack, strips, tableWith } from "../testing/plans";
import { findSpecies } from "../wood/species";
import { playAlong, slotPlay, worstTravel } from "./buttons";
import { fixedLine, topMovement, travel } from "./year";
import { moistureYear } from "../climate/year";

const year = moistureYear({ kind: "typical", id: "heated-temperate" });
const ash = findSpecies("european-ash")!;
const bare = topMovement({
  width: 900,
  thickness: 28,
  species: ash,
  start: { value: 8.5, on: "2026-11-23", from: "piece" },
  course: courseOf(year.months.map((each) => each.moisture)),
  strips: [],
});

describe("travel from the fixed line (derived: what lies between adds up)", () => {
  it("is nothing at the line, half the change at each edge of a centred top", () => {
    expect(travel(bare, 450, 450)).toEqual({ dry: 0, wet: 0 });
    expect(travel(bare, 0, 450).wet).toBeCloseTo(bare.wet.change / 2, 9);
    expect(travel(bare, 900, 450).wet).toBeCloseTo(bare.wet.change / 2, 9);
  });
  it("is all of it at the far edge when an edge is fixed", () => {
    expect(travel(bare, 900, fixedLine("front-edge", 900)).wet).toBeCloseTo(bare.wet.change, 9);
    expect(travel(bare, 0, fixedLine("back-edge", 900)).dry).toBeCloseTo(bare.dry.change, 9);
  });
  it("strips of different rings add up to the whole", () => {
    const rack = plainRack().map((board, i) => ({ ...board, ringLeft: -10 * i, ringRight: 8 * i }));
    const plan = planOf(tableWith(at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"))), rack);
    const sum = plan.top.strips.reduce((total, strip) => total + strip.wet, 0);
    expect(sum).toBeCloseTo(plan.top.wet.change, 9);
    expect(plan.top.strips.reduce((total, strip) => total + strip.width, 0)).toBeCloseTo(850, 6);
    expect(travel(plan.top, 0, 850).wet).toBeCloseTo(plan.top.wet.change, 9);
  });
});

describe("a plain independent calculation of the buttons", () => {
  const piece = tableWith(at("form.top.width", 900));
  const plan = planOf(piece);
  const perPercent = plan.top.coefficient;
  const outer = Math.max(...plan.fasteners.filter((each) => each.run === "across").map((each) => Math.abs(each.z)));
  const expected = outer * perPercent * (plan.top.wet.moisture - 8.5);

  it("the outermost end button travels its distance × coefficient × moisture", () => {
    expect(worstTravel(plan.fasteners, "across").wet).toBeCloseTo(expected, 6);
  });
  it("a slot gives half of what it is longer than its button, each way", () => {
    expect(slotPlay({ ...piece.joints.buttons, slotLength: 45, width: 30 })).toBe(7.5);
  });
  it("a long-rail button may go in by the lesser of tip and shoulder, out to 4 mm engaged", () => {
    expect(playAlong({ ...piece.joints.buttons, tongue: 12, engaged: 8, grooveDepth: 13 })).toEqual({
      wet: 4,
      dry: 4,
    });
  });
});

describe("verdicts of the buttons", () => {
  it("a slot just long enough holds, one that is short binds in the wet month and its remedy mends it", () => {
    const short = tableWith(at("form.top.width", 1000), at("joints.buttons.slotLength", 31));
    const verdict = find(planOf(short), "movement.end-buttons");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toBe("End-rail buttons will bind in August");
    const mended = tableWith(
      at("form.top.width", 1000),
      at("joints.buttons.slotLength", 31),
      ...verdict.remedies[0].patches,
    );
    expect(find(planOf(mended), "movement.end-buttons").level).toBe("holds");
  });
  it("a shallow groove pushes the rails out", () => {
    const verdict = find(planOf(tableWith(at("joints.buttons.grooveDepth", 9))), "movement.long-buttons-wet");
    expect(verdict.level).toBe("fix");
    expect(verdict.actual).toBe(1);
  });
  it("a button barely set lets go in the dry month", () => {
    expect(find(planOf(tableWith(at("joints.buttons.engaged", 3))), "movement.long-buttons-dry").level).toBe("fix");
  });
  it("the log's moisture reading is where the year starts", () => {
    const log = [{ kind: "moisture", id: "1", on: "2026-11-24", value: 11, text: "", what: "top", meter: null }];
    const plan = planOf(tableWith(at("log", log)));
    expect(plan.top.start).toEqual({ value: 11, on: "2026-11-24", from: "log" });
    expect(find(plan, "movement.acclimatised").level).toBe("tight");
  });
  it("a reading two months old is doubted, one from tomorrow's tomorrow refused", () => {
    expect(find(planOf(tableWith(at("moisture.on", "2026-09-10"))), "movement.reading-age").level).toBe("tight");
    expect(find(planOf(tableWith(at("moisture.on", "2026-12-24"))), "movement.reading-age").level).toBe("fix");
  });
});
