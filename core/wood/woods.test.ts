import { describe, expect, it } from "vitest";
import { unplaced, weighed } from "../assembly/weight";
import { coefficientAt } from "../movement/coefficient";
import { widthChange } from "../movement/width";
import { AS_THE_PIECE } from "../piece/kinds";
import { at, plainRack, planOf, tableWith } from "../testing/plans";
import { findSpecies } from "./species";

const MAPLE = findSpecies("sycamore-maple", [])!;
const legs = (choice: Partial<typeof AS_THE_PIECE>) => at("kinds.leg", { ...AS_THE_PIECE, ...choice });
const maple = tableWith(legs({ species: MAPLE.id }));
const board = (id: string, species: string, length: number) => ({
  ...plainRack()[0],
  ...{ id, species, length, width: 220, widthEnd: null, thickness: 90 },
});

describe("legs of another wood than their piece", () => {
  const plan = planOf(maple);
  it("weigh what their wood weighs, by hand", () => {
    const hand = plan.assembly.parts.reduce(
      (sum, part) =>
        sum + (weighed(unplaced(part)).volume / 1e9) * (part.kind === "leg" ? MAPLE : plan.species).density,
      0,
    );
    expect(plan.weight / hand).toBeCloseTo(1, 3);
    expect(plan.weight).not.toBeCloseTo(planOf(tableWith()).weight, 1);
  });
  it("move by their own coefficient, from their own course", () => {
    const moved = plan.partMoves.find((each) => each.id === "leg")!;
    const course = plan.courses.leg;
    const across = coefficientAt(MAPLE, 45);
    expect(moved.wet.width).toBeCloseTo(widthChange(75, across, course.mean[0], course.wettest.moisture), 9);
    expect(course).not.toBe(planOf(tableWith()).courses.leg);
  });
  it("are sawn from boards of that wood alone, and asked for by its name", () => {
    const rack = [board("M1", MAPLE.id, 3400), ...plainRack(), board("A9", plan.species.id, 3400)];
    const cut = planOf(maple, rack).cutting;
    const from = (part: string) =>
      new Set(cut.placed.filter(({ piece }) => piece.part === part).map((each) => each.board));
    expect([...from("leg")]).toEqual(["M1"]);
    expect([...from("long-rail")]).not.toContain("M1");
    const without = planOf(maple, rack.slice(1)).cutting;
    expect(without.missing.map((each) => each.part)).toEqual(expect.arrayContaining(["leg"]));
    expect(without.shopping.find((line) => line.species === MAPLE.id)?.pieces).toBe(4);
  });
  it("a wood that no library knows stays the piece's", () =>
    expect(planOf(tableWith(legs({ species: "no-such-wood" }))).woods).toEqual({}));
});

describe("legs of another moisture or finish", () => {
  it("begin with what the meter read of them", () => {
    const plan = planOf(tableWith(legs({ moisture: 12 })));
    expect(plan.courses.leg.mean[0]).toBeCloseTo(12, 9);
    expect(plan.courses["long-rail"].mean[0]).toBeCloseTo(plan.top.start.value, 9);
  });
  it("are finished by themselves, and the top waits for the last coat of both", () => {
    const plan = planOf(tableWith(legs({ finish: "varnish" })));
    const step = (id: string) => plan.steps.find((each) => each.id === id)!;
    expect(step("coat-varnish-1").parts).toEqual(["leg"]);
    expect(step("coat-varnish-3").title).toBe("Coat 3 of varnish on the legs");
    expect(step("coat-1").parts).not.toContain("leg");
    expect(step("attach").after).toEqual(expect.arrayContaining(["coat-2", "coat-varnish-3"]));
    expect(plan.courses.leg.half).toBeGreaterThan(planOf(tableWith()).courses.leg.half);
  });
});

it("a shelf of its own wood is composed from that wood's boards", () => {
  const piece = tableWith(at("form.shelf.kind", "solid"), at("kinds.shelf", { ...AS_THE_PIECE, species: MAPLE.id }));
  const rack = [...plainRack(), ...["M1", "M2"].map((id) => board(id, MAPLE.id, 2400))];
  const [shelf] = planOf(piece, rack).panels;
  expect(shelf.candidates.map((each) => each.board)).toEqual(["M1", "M2"]);
});
