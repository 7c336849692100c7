import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { courseOf, at, find, planOf, tableWith } from "../testing/plans";
import { findSpecies } from "../wood/species";
import { USUAL_TOP } from "../piece/movement-choices";
import { freshPiece } from "../piece/fresh";
import { breadboards } from "./breadboard";
import { topMovement } from "./year";

const form = (choice: Partial<typeof USUAL_TOP.breadboard>) => ({
  ...freshPiece("t", "2026-11-23").form,
  ends: "breadboards" as const,
  breadboard: { ...USUAL_TOP.breadboard, ...choice },
});

describe("breadboard slots against a plain independent calculation, 500 random tops", () => {
  const oak = findSpecies("european-oak")!;
  it("the slot is peg + wet travel + dry travel + clearance, set off by half their difference", () => {
    fc.assert(
      fc.property(
        fc.record({
          width: fc.integer({ min: 400, max: 1300 }),
          pegs: fc.integer({ min: 2, max: 9 }),
          today: fc.double({ min: 6, max: 13, noNaN: true }),
          dry: fc.double({ min: 6, max: 8.9, noNaN: true }),
          wet: fc.double({ min: 9, max: 14, noNaN: true }),
          fixed: fc.constantFrom("centre" as const, "front-edge" as const, "back-edge" as const),
          peg: fc.integer({ min: 6, max: 12 }),
        }),
        ({ width, pegs, today, dry, wet, fixed, peg }) => {
          const top = topMovement({
            width,
            thickness: 30,
            species: oak,
            start: { value: today, on: "2026-11-23", from: "piece" },
            course: courseOf([today, dry, wet]),
            strips: [],
            fitted: [{ what: "top", coefficient: 0.003 }],
          });
          const found = breadboards(form({ pegs, peg }), top, fixed);
          // by hand: 0.003 a percent, less a fiftieth of it in the end board; extremes are the driest and wettest of the three
          const [low, high] = [Math.min(today, dry, wet), Math.max(today, dry, wet)];
          const line = { centre: width / 2, "front-edge": 0, "back-edge": width }[fixed];
          const held = found.pegs.find((each) => each.fixed)!;
          for (const each of found.pegs)
            expect(Math.abs(held.at - line)).toBeLessThanOrEqual(Math.abs(each.at - line) + 1e-6);
          for (const each of found.pegs) {
            const lever = Math.abs(each.at - held.at) * 0.003 * 0.98;
            const [out, back] = [lever * (high - today), lever * (today - low)];
            // days within 5 µm of each other count as one: the first of them is named
            expect(Math.abs(each.wet - out)).toBeLessThan(0.005);
            expect(Math.abs(each.dry + back)).toBeLessThan(0.005);
            if (each.fixed) continue;
            expect(each.slot).toBeGreaterThanOrEqual(peg + out + back + 1 - 0.01);
            expect(each.slot).toBeLessThan(peg + out + back + 1.5 + 0.01);
            expect(Math.abs(each.setOff - (back - out) / 2)).toBeLessThan(0.005);
            // when it is widest the peg still has room at the slot's inner end, when narrowest at its outer
            expect(each.room.wet - out).toBeGreaterThanOrEqual(0.5 - 0.01);
            expect(each.room.dry - back).toBeGreaterThanOrEqual(0.5 - 0.01);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
  it("a slot that is not set off is as long both ways as its longer travel, and both remedies let the pegs go", () => {
    const bread = [at("form.ends", "breadboards"), at("form.breadboard.setOff", false), at("moisture.value", 7)];
    const plan = planOf(tableWith(...bread));
    for (const peg of plan.breadboards!.pegs.filter((each) => !each.fixed))
      expect(peg.need).toBeCloseTo(10 + 2 * Math.max(Math.abs(peg.wet), Math.abs(peg.dry)) + 1, 9);
    expect(find(plan, "movement.pegs").level).toBe("holds");
  });
  it("schools: left long is never shy, flush today is flush today, flush at mid-season is proud as much as it is shy", () => {
    const top = topMovement({
      width: 900,
      thickness: 30,
      species: oak,
      start: { value: 8.5, on: "2026-11-23", from: "piece" },
      course: courseOf([8.5, 7, 11]),
      strips: [],
    });
    const of = (school: "long" | "flush-today" | "flush-mid") => breadboards(form({ school }), top, "centre");
    expect(of("long").proud.wet).toBeGreaterThanOrEqual(-0.1);
    expect(of("long").proud.dry).toBeGreaterThan(2);
    expect(of("flush-today").length).toBe(900);
    expect(of("flush-today").proud.wet).toBeLessThan(-2);
    expect(of("flush-mid").proud.wet + of("flush-mid").proud.dry).toBeCloseTo(0, 0);
  });
});

describe("a breadboard fixed at an edge", () => {
  const oak = findSpecies("european-oak")!;
  it.each(["centre", "front-edge", "back-edge"] as const)(
    "left long is never shy, whichever line is fixed: %s",
    (fixed) => {
      const top = topMovement({
        width: 900,
        thickness: 30,
        species: oak,
        start: { value: 8.5, on: "2026-11-23", from: "piece" },
        course: courseOf([8.5, 7, 11]),
        strips: [],
      });
      const { proud, length } = breadboards(form({ school: "long" }), top, fixed);
      expect(proud.wet).toBeGreaterThanOrEqual(-0.1);
      expect(proud.dry).toBeGreaterThan(proud.wet);
      expect(length).toBeGreaterThanOrEqual(900 + top.wet.change);
    },
  );
});

describe("verdicts of a breadboard top", () => {
  const bread = at("form.ends", "breadboards");
  it("slots cut to what is computed let the pegs travel, short ones bind and say when", () => {
    expect(find(planOf(tableWith(bread)), "movement.pegs").level).toBe("holds");
    const short = find(
      planOf(tableWith(bread, at("form.breadboard.slots", "given"), at("form.breadboard.slot", 11))),
      "movement.pegs",
    );
    expect(short.level).toBe("fix");
    expect(short.text).toMatch(/^Outer pegs will bind in [A-Z]/);
    expect(short.remedies[0].label).toBe("Cut each slot as long as it needs");
  });
  it("setting slots off is offered where it is enough, and then mends them", () => {
    const wrong = [
      bread,
      at("form.breadboard.slots", "given"),
      at("form.breadboard.slot", 17),
      at("form.breadboard.setOff", false),
      at("moisture.value", 7),
    ];
    const label = "Set the slots off to the side they travel";
    const remedy = find(planOf(tableWith(...wrong)), "movement.pegs").remedies.find((each) => each.label === label)!;
    expect(find(planOf(tableWith(...wrong, ...remedy.patches)), "movement.pegs").level).not.toBe("fix");
    expect(
      find(planOf(tableWith(...wrong, at("form.breadboard.slot", 11))), "movement.pegs").remedies.map(
        (each) => each.label,
      ),
    ).not.toContain(label);
  });
  it("pegs tight without slots are found by the graph alone", () => {
    const plan = planOf(tableWith(bread, at("form.breadboard.slots", "none")));
    expect(plan.stopped.some((stop) => stop.link.name === "pegs driven tight" && stop.load > 0.5)).toBe(true);
    expect(planOf(tableWith(bread)).stopped.some((stop) => stop.link.kind === "slot")).toBe(false);
  });
  it("the panel is cut longer by its tongues and the end boards join the cut list", () => {
    const plan = planOf(tableWith(bread));
    const part = (id: string) => plan.parts.find((each) => each.id === id)!;
    expect(part("top").finished.length).toBe(1800 - 2 * 90 + 2 * 32);
    expect(part("end-board").finished.length).toBe(plan.breadboards!.length);
    expect(part("end-board").count).toBe(2);
  });
});
