import { describe, expect, it } from "vitest";
import { bodiesOfParts, clashes } from "../testing/clashes";
import { at, find, planOf, tableWith } from "../testing/plans";
import { clashesOf } from "./clashes";
import type { AssemblyPart } from "./part";

const pairs = (parts: readonly AssemblyPart[]) => clashesOf(parts).map(({ parts: both }) => both.join(" and "));
const byWholeBodies = (parts: readonly AssemblyPart[]) =>
  clashes(parts, bodiesOfParts(parts)).map((each) => each.split(" share")[0]);
/** The same parts with one moved, mm. */
const moved = (parts: readonly AssemblyPart[], id: string, by: [number, number, number]) =>
  parts.map((part) =>
    part.id === id
      ? { ...part, place: { ...part.place, at: part.place.at.map((each, i) => each + by[i]) as unknown as typeof by } }
      : part,
  );

describe("parts that fill the same room, piece by piece against their whole bodies (derived)", () => {
  const { parts } = planOf(tableWith(at("form.leg.taper", "four-faces"), at("form.low.kind", "box"))).assembly;
  it("a table as it was placed has none", () => expect(pairs(parts)).toEqual([]));
  it.each([
    ["a rail pushed up into the top", "A1", [0, 4, 0]],
    ["a leg pushed in along its rail", "L4", [-6, 0, 0]],
    ["a corner block pushed into its corner", "K1", [-8, 0, 8]],
    ["a stretcher that stands a little higher than its mortises", "R2", [0, 3, 0]],
    ["a cross-rail moved along", "C", [5, 0, 0]],
  ] as const)("%s is found, and nothing else", (_, id, by) => {
    const wrong = moved(parts, id, [...by]);
    expect(pairs(wrong).length).toBeGreaterThan(0);
    expect(pairs(wrong)).toEqual(byWholeBodies(wrong));
  });
  it("how much they share is what their whole bodies share", () => {
    const wrong = moved(parts, "A1", [0, 4, 0]);
    const [found] = clashesOf(wrong);
    const [said] = clashes(wrong, bodiesOfParts(wrong));
    expect(found.volume).toBeCloseTo(Number(/share (\d+)/.exec(said)![1]), -1);
  });
});

describe("the verdict", () => {
  it("counts the parts that fit", () =>
    expect(find(planOf(tableWith()), "form.fit")).toMatchObject({
      level: "holds",
      text: "14 parts, and none stands in another",
    }));
  it("names two that do not, and says so of a table nobody could build", () => {
    const plan = planOf(tableWith(at("form.shelf.kind", "solid"), at("form.shelf.height", 640)));
    const verdict = find(plan, "form.fit");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toMatch(/ and .* fill the same room$/);
    expect(verdict.subject).toContain("shelf");
  });
});
