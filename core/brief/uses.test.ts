import { describe, expect, it } from "vitest";
import { applyPatches, Patch } from "../piece/patch";
import { USES } from "../piece/brief-choices";
import { at, find, planOf, tableWith } from "../testing/plans";
import { madeAs, placesAt, useOf } from "./uses";

/** A piece of this use at the middle of its usual height. */
const as = (use: (typeof USES)[number], ...patches: Patch[]) => {
  const { height } = useOf({ use });
  const middle = (height.low + height.high) / 2;
  return planOf(tableWith(at("form.use", use), at("form.height", middle), at("brief.topHeight", middle), ...patches));
};

describe("a use", () => {
  it.each(USES)("%s has its height, and a piece that stands so holds", (use) =>
    expect(find(as(use), "form.height")).toMatchObject({ level: "holds" }),
  );
  it.each(USES.filter((use) => !["table", "meeting", "desk"].includes(use)))(
    "%s: nothing is said of chairs, knees or dining",
    (use) => {
      const plan = as(use);
      const ids = plan.verdicts.map(({ id }) => id);
      for (const id of ["brief.tucked", "form.knee-room"]) expect(ids).not.toContain(id);
      const words = plan.verdicts.map(({ text, why }) => `${text} ${why}`).join("\n");
      expect(words).not.toMatch(/\bchairs?\b|\bknees?\b|dining/i);
    },
  );
  it.each(["low", "side", "stand", "standing"] as const)("%s: nobody's place is counted", (use) =>
    expect(as(use).verdicts.some(({ id }) => id.startsWith("brief.seats"))).toBe(false),
  );
  it("outside its height it says which, and what to try it with", () => {
    const plan = planOf(tableWith(at("form.use", "low"), at("form.height", 300), at("brief.topHeight", 300)));
    expect(find(plan, "form.height")).toMatchObject({
      level: "tight",
      why: "Outside the 350 to 480 mm of low tables: try it with the seat beside it: it stands as high, or 50 lower.",
    });
  });
  it("a desk of 1800 seats one along its front, and a chair goes under; its sides want 750 to push it back", () => {
    const plan = as("desk", at("brief.seats", { daily: 1, most: 1 }));
    expect(find(plan, "brief.seats-daily")).toMatchObject({
      actual: 1,
      why: "1000 mm of edge a place: 1 along its front.",
    });
    expect(find(plan, "brief.tucked").text).toBe("A chair slides between the legs");
    expect(find(plan, "brief.clear-side").why).toMatch(/1000 mm/);
  });
  it.each([
    ["table", 1800, 850, 8],
    ["meeting", 2800, 1200, 10],
    ["desk", 2000, 700, 2],
    ["bench", 1500, 360, 2],
    ["stool", 400, 320, 1],
    ["low", 1200, 600, 0],
  ] as const)("%s of %i by %i has %i places", (use, length, width, places) =>
    expect(placesAt(useOf({ use }), { length, width }, "daily").total).toBe(places),
  );
});

describe("a piece made as something else", () => {
  const table = tableWith(at("brief.seats", { daily: 4, most: 6 }));
  const made = (use: (typeof USES)[number]) => applyPatches(table, madeAs(use, table));
  it.each(USES)("%s stands as high as such a thing does, and its brief asks for it", (use) => {
    const { form, brief } = made(use);
    const { low, high } = useOf({ use }).height;
    expect(form.use).toBe(use);
    expect(form.height).toBe(brief.topHeight);
    expect(form.height).toBeGreaterThanOrEqual(low);
    expect(form.height).toBeLessThanOrEqual(high);
  });
  it("a height that is of that use too stays as it was typed", () => expect(made("desk").form.height).toBe(750));
  it("a desk is asked no more places than it has; a table round which people sit keeps what was asked", () => {
    expect(made("desk").brief.seats).toEqual({ daily: 1, most: 2 });
    expect(made("bench").brief.seats).toEqual({ daily: 3, most: 3 });
    expect(made("meeting").brief.seats).toEqual({ daily: 4, most: 6 });
    expect(made("low").brief.seats).toEqual({ daily: 4, most: 6 });
  });
  it("there and back asks for a table's height again", () => {
    const low = made("low");
    expect(applyPatches(low, madeAs("table", low)).form.height).toBe(720);
  });
});

describe("things a piece makes room for", () => {
  const thing = (given: object) =>
    at("brief.things", [
      { name: "The bench", how: "under-side", length: 1500, width: 340, height: 450, gap: 30, ...given },
    ]);
  const judged = (given: object, ...patches: Patch[]) =>
    find(planOf(tableWith(thing(given), ...patches)), "brief.thing-1");

  it("a bench of 1500 with 30 free each side needs 1560, and the legs of an 1800 table leave 1570", () => {
    expect(judged({})).toMatchObject({ level: "holds", limit: 1560, actual: 1570 });
  });
  it("40 free each side are 10 too many: it is tight, and a top 10 longer mends it", () => {
    const verdict = judged({ gap: 40 });
    expect(verdict).toMatchObject({ level: "tight", limit: 1580, actual: 1570 });
    expect(verdict.remedies[0].label).toBe("Make the top 1810 mm long");
    expect(judged({ gap: 40 }, ...verdict.remedies[0].patches).level).toBe("holds");
  });
  it("one longer than the room between the legs does not go in at all", () => {
    expect(judged({ length: 1600 })).toMatchObject({
      level: "fix",
      text: expect.stringMatching(/1600 mm long, and 1570 mm are free/),
    });
  });
  it("from an end it meets the end's legs: 850 less two overhangs and two legs are 620", () => {
    expect(judged({ how: "under-end", length: 560 })).toMatchObject({ level: "holds", limit: 620, actual: 620 });
    expect(judged({ how: "under-end", length: 570 }).level).toBe("tight");
  });
  it("a box of 640 is higher than the 627 under the rails", () => {
    expect(judged({ length: 600, height: 640, gap: 0 })).toMatchObject({
      level: "fix",
      limit: 640,
      actual: 627,
      text: "The bench is 640 mm high, and the long rail leaves 627 mm",
    });
  });
  it("a box of 600 goes under, but not with the 30 it wants above it", () => {
    expect(judged({ length: 600, height: 600, gap: 27 })).toMatchObject({ level: "holds" });
    expect(judged({ length: 600, height: 600, gap: 30 })).toMatchObject({ level: "tight", limit: 630, actual: 627 });
  });
  it("what stands on it wants its gap of top all round", () => {
    expect(judged({ how: "on", length: 600, width: 800 })).toMatchObject({ level: "tight", limit: 860, actual: 850 });
    expect(judged({ how: "on", length: 600, width: 900 }).level).toBe("fix");
    expect(judged({ how: "on", length: 600, width: 700 }).level).toBe("holds");
  });
  it("a bed that folds down to 753 clears a top of 750 by 3, and not one of 755", () => {
    expect(judged({ how: "down", height: 753, gap: 3 })).toMatchObject({ level: "holds", actual: 3 });
    const meets = judged({ how: "down", height: 753, gap: 3 }, at("form.height", 755));
    expect(meets).toMatchObject({ level: "fix", actual: -2 });
    expect(
      judged({ how: "down", height: 753, gap: 3 }, at("form.height", 755), ...meets.remedies[0].patches),
    ).toMatchObject({ level: "holds" });
  });
});
