import { describe, expect, it } from "vitest";
import { at, planOf, tableWith } from "../testing/plans";
import type { AssemblyPart } from "./part";
import { HOME } from "./place";
import { touching } from "./touching";
import type { Vec } from "./vector";

const block = (id: string, from: Vec): AssemblyPart => ({
  ...{ id, kind: id, name: id, letter: id, role: "rail", make: "solid", note: "" },
  ...{ shape: { length: 100, width: 50, thickness: 20 }, place: { ...HOME, at: from }, adds: [], cuts: [] },
  opens: [0, 0, 0],
});
const NOTHING = { meetings: [], links: [] };

describe("parts that stand face to face", () => {
  it("are told with how much of their faces touches: half of a face 50 by 20", () =>
    expect(touching([block("a", [0, 0, 0]), block("b", [100, 0, 10])], NOTHING)).toEqual([
      { parts: ["a", "b"], area: expect.closeTo(50 * 10, 6) },
    ]));
  it("are not told when a tenth of a mm lies between them, or when they only meet at an edge", () => {
    expect(touching([block("a", [0, 0, 0]), block("b", [100.1, 0, 0])], NOTHING)).toEqual([]);
    expect(touching([block("a", [0, 0, 0]), block("b", [100, 0, 20])], NOTHING)).toEqual([]);
  });
  it("are not told when one lies on the other: its weight holds it", () =>
    expect(touching([block("a", [0, 0, 0]), block("b", [0, 50, 0])], NOTHING)).toEqual([]));
  it("are not told when something ties them", () =>
    expect(
      touching([block("a", [0, 0, 0]), block("b", [100, 0, 0])], { meetings: [], links: [{ a: "b", b: "a" }] }),
    ).toEqual([]));
});

it.each(["leg-and-apron", "trestle", "x-frame"])("a usual %s has no parts that touch and aren't joined", (kind) => {
  const plan = planOf(tableWith(at("form.kind", kind), at("form.cornerBlocks", true)));
  expect(plan.verdicts.filter(({ id }) => id === "form.touching")).toEqual([]);
  // corner blocks without their screws would be told
  const parts = plan.assembly.parts.map((part) => ({ ...part, adds: [], cuts: [] }));
  const meetings = plan.meetings.filter(({ joint }) => joint.kind !== "screwed");
  const without = touching(parts, { meetings, links: [] }).filter((each) =>
    each.parts.some((id) => id.startsWith("K")),
  );
  expect(without.length).toBe(kind === "leg-and-apron" ? 8 : 0);
});
