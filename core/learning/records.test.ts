import { describe, expect, it } from "vitest";
import { sampleOn } from "../movement/course";
import { WORKED_AT } from "../movement/courses";
import { USUAL_SHELF } from "../piece/base-choices";
import type { LogEntry } from "../piece/schema";
import { at, planOf, strips, tableWith } from "../testing/plans";

const shelf = [
  at("form.kind", "trestle"),
  at("form.shelf", { ...USUAL_SHELF, kind: "solid", height: 180, width: 420, thickness: 24, gap: 3 }),
  at("panels.shelf", { strips: strips("B1", "B2", "B3", "B4"), pinned: [], banned: [], crosscutFirst: true }),
];
const reading = (what: string, on: string, value: number): LogEntry => ({
  ...{ kind: "moisture", id: `${what} ${on}`, on, value, text: "", what, meter: null },
});
const width = (what: string, on: string, value: number): LogEntry => ({
  ...{ kind: "width", id: `${what} ${on} w`, on, value, text: "", what, moisture: null },
});
const withLog = (...log: LogEntry[]) => planOf(tableWith(...shelf, at("log", log)));
const plain = withLog();
const began = plain.top.start;
/** MC of the shelf on a day as the plan has it. */
const shelfOn = (plan: typeof plain, on: string) => plan.courses.shelf.mean[sampleOn(plan.courses.shelf, on)];
const later = (days: number) => new Date(Date.parse(began.on) + days * 86_400_000).toISOString().slice(0, 10);

describe("a shelf that is read by itself", () => {
  it("begins with what was read on the day the piece begins; the top stays where it is", () => {
    const plan = withLog(reading("shelf", began.on, 11));
    expect(plan.panels[0].top.start.value).toBe(11);
    expect(plan.courses.shelf.mean[0]).toBe(11);
    expect(plan.top.start).toEqual(began);
    expect(plan.top.course).toEqual(plain.top.course);
  });
  it("began with what leads to a reading that comes later", () => {
    for (const value of [7.5, 9, 12]) {
      const plan = withLog(reading("shelf", later(5), value));
      expect(shelfOn(plan, later(5))).toBeCloseTo(value, 1);
    }
  });
  it("began no drier than wood is worked where the air alone can't explain a reading", () => {
    expect(withLog(reading("shelf", later(20), 7.5)).courses.shelf.mean[0]).toBe(WORKED_AT.driest);
  });
  it("keeps what it began with where a reading comes too late to tell", () => {
    expect(withLog(reading("shelf", later(300), 7)).courses.shelf).toEqual(plain.courses.shelf);
  });
  it("goes on from a reading that came before", () => {
    const plan = withLog(reading("shelf", later(-40), 14));
    const start = plan.courses.shelf.mean[0];
    // wetter than the shop's air: it has dried since, and not yet to the bottom
    expect(start).toBeLessThan(14);
    expect(start).toBeGreaterThan(plain.courses.shelf.mean[0]);
  });
  it("goes by its latest reading, and a plan needs none", () => {
    const plan = withLog(reading("shelf", began.on, 11), reading("shelf", later(5), 9));
    expect(shelfOn(plan, later(5))).toBeCloseTo(9, 1);
    expect(plain.panels[0].top.start.value).toBe(began.value);
  });
});

describe("widths of a shelf", () => {
  const taken = [width("shelf", later(1), 420), width("shelf", later(200), 421)];
  const plan = withLog(...taken);
  const record = plan.records.find(({ id }) => id === "shelf")!;
  it("are held against its own years, from the first that was taken", () => {
    expect(record.predicted.map(({ on }) => on)).toEqual([later(1), later(200)]);
    expect(record.predicted[0].width).toBe(420);
    const { course, changes } = plan.panels[0].top;
    const change = changes[sampleOn(course, later(200))] - changes[sampleOn(course, later(1))];
    expect(record.predicted[1].width).toBeCloseTo(420 + change, 9);
  });
  it("say so in a verdict of the shelf's own, and nothing of the top", () => {
    const of = (id: string) => plan.verdicts.find((each) => each.id === id);
    expect(of("log.width.shelf")!.text).toMatch(/shelf/);
    expect(of("log.width")).toBeUndefined();
  });
  it("teach the shelf its coefficient, and the top keeps its own", () => {
    const { table } = plan.learned.find((each) => each.what === "shelf")!;
    const fitted = { what: "shelf", coefficient: table * 2, uncertainty: 0, on: began.on };
    const taught = planOf(tableWith(...shelf, at("fitted", [fitted])));
    const swing = ({ changes }: typeof plan.top) => Math.max(...changes) - Math.min(...changes);
    expect(swing(taught.panels[0].top) / swing(plain.panels[0].top)).toBeCloseTo(2, 2);
    expect(taught.top.changes).toEqual(plain.top.changes);
    const top = planOf(tableWith(...shelf, at("fitted", [{ ...fitted, what: "top" }])));
    expect(top.panels[0].top.changes).toEqual(plain.panels[0].top.changes);
  });
});
