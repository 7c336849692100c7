/** Inlays: pockets that are filled, keys across the grain, plugs and patches of their own woods. */
import fc from "fast-check";
import Module, { ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { shared } from "../../assembly/carve";
import { bodyOf } from "../../assembly/part";
import { solidOf } from "../../assembly/shape";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { INLAY_SHAPES, inlayOutline } from "../../joinery/inlaid";
import { clashes, bodiesOfParts } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { within } from "../../assembly/place";
import { bodiesOf } from "../../joinery/kinds";

const KEY = {
  name: "Key",
  shape: "key",
  length: 80,
  width: 40,
  deep: 12,
  turn: 90,
  places: [
    { x: -500, y: 20 },
    { x: -380, y: 25 },
  ],
};
const inlaid = (...inlays: object[]) => planOf(tableWith(at("form.top.inlays", inlays)));

describe("two keys across a check, worked by hand", () => {
  const plan = inlaid(KEY);
  const keys = plan.assembly.parts.filter(({ kind }) => kind === "inlay-1");

  it("stand in the top's face: 12 deep under 750, 80 across it and 40 along it", () => {
    expect(keys.map(({ id }) => id)).toEqual(["IN1", "IN2"]);
    const { least, most } = boundsOf(stood(bodyOf(keys[0]), keys[0].place));
    [-520, 738, -60].forEach((each, i) => expect(least[i]).toBeCloseTo(each, 6));
    [-480, 750, 20].forEach((each, i) => expect(most[i]).toBeCloseTo(each, 6));
  });

  it("half as wide in the waist: an outline of six corners, three quarters of its box", () => {
    const outline = inlayOutline("key", 80, 40);
    expect(outline.outer).toHaveLength(6);
    // two trapezia 40 long, 40 and 20 wide
    expect(bulkOf(bodyOf(keys[0])).volume).toBeCloseTo(2 * 40 * 30 * 12, 6);
  });

  it("are let in: the top weighs less by what they fill, and nothing stands in anything", () => {
    const bare = planOf(tableWith()).assembly.parts.find(({ id }) => id === "T")!;
    const top = plan.assembly.parts.find(({ id }) => id === "T")!;
    const volume = (part: typeof top) =>
      bulkOf(bodyOf({ ...part, cuts: part.cuts.filter(({ by }) => by.includes("inlay")) })).volume;
    expect(volume({ ...bare, cuts: [] }) - volume(top)).toBeCloseTo(2 * 2 * 40 * 30 * 12, 3);
    expect(clashes([top, ...keys], bodiesOfParts([top, ...keys]))).toEqual([]);
  });

  it("has a card, a step after the top is flat and before it is sanded, and one to choose from", () => {
    const card = plan.cards.find(({ joint }) => joint === "top+inlay-1")!;
    expect(card.title).toBe("Key in the top, 2 times");
    expect(card.lines[0].setting).toBe("12.0 mm deep");
    const ids = plan.steps.map(({ id }) => id);
    expect(ids.indexOf("flatten")).toBeLessThan(ids.indexOf("inlays"));
    expect(ids.indexOf("inlays")).toBeLessThan(ids.indexOf("sand-top"));
    expect(keys[0].note).toContain("1 more to choose from");
  });

  it("across the top's grain each holds it over its length: 80 mm are few enough", () => {
    const held = plan.stopped.filter(({ link }) => link.a === "T" && link.b.startsWith("IN"));
    expect(held.length).toBeGreaterThan(0);
    expect(plan.verdicts.filter(({ id, level }) => id.startsWith("movement.stopped") && level === "fix")).toEqual([]);
    const long = inlaid({ ...KEY, length: 500, places: [{ x: 0, y: 0 }] });
    expect(long.verdicts.some(({ id, level }) => id.startsWith("movement.stopped") && level !== "holds")).toBe(true);
  });
});

describe("what is wrong is said", () => {
  it("one over the edge, two in each other, one deeper than the top, one in slats", () => {
    expect(find(inlaid({ ...KEY, places: [{ x: 880, y: 0 }] }), "boards.inlays")).toMatchObject({ level: "fix" });
    expect(
      find(
        inlaid({
          ...KEY,
          places: [
            { x: 0, y: 0 },
            { x: 44, y: 0 },
          ],
        }),
        "boards.inlays",
      ).level,
    ).toBe("tight");
    expect(
      find(
        inlaid({
          ...KEY,
          places: [
            { x: 0, y: 0 },
            { x: 30, y: 0 },
          ],
        }),
        "boards.inlays",
      ).level,
    ).toBe("fix");
    expect(find(inlaid({ ...KEY, deep: 27 }), "boards.inlay-depth").level).toBe("fix");
    const slats = planOf(tableWith(at("form.field", "slats"), at("form.top.inlays", [KEY])));
    expect(find(slats, "boards.inlays").remedies[0].label).toBe("Make the top one panel");
  });
  it("its woods are its own", () => {
    const plan = planOf(
      tableWith(
        at("form.top.inlays", [KEY]),
        at("kinds.inlay-1", { species: "black-walnut", moisture: null, finish: null, edges: null }),
      ),
    );
    expect(plan.cutting.pieces.filter(({ part }) => part === "inlay-1").map(({ species }) => species)).toEqual([
      "black-walnut",
      "black-walnut",
    ]);
  });
});

describe("any inlay", () => {
  let kit: ManifoldToplevel;
  beforeAll(async () => {
    kit = await Module();
    kit.setup();
  });
  const any = fc.record({
    shape: fc.constantFrom(...INLAY_SHAPES),
    length: fc.integer({ min: 20, max: 200 }),
    width: fc.integer({ min: 15, max: 120 }),
    deep: fc.integer({ min: 2, max: 20 }),
    turn: fc.integer({ min: -180, max: 180 }),
    x: fc.integer({ min: -600, max: 600 }),
    y: fc.integer({ min: -200, max: 200 }),
  });
  it("fills its pocket: the two bodies are one", () =>
    fc.assert(
      fc.property(any, ({ x, y, ...given }) => {
        const plan = inlaid({ name: "Any", ...given, places: [{ x, y }] });
        const part = plan.assembly.parts.find(({ kind }) => kind === "inlay-1")!;
        const meeting = plan.meetings.find(({ enters }) => enters === part.id)!;
        const [pocket] = bodiesOf(meeting.joint).cuts;
        const hole = stood(solidOf(pocket.shape), within(meeting.face, pocket.place));
        const body = stood(bodyOf(part), part.place);
        const both = bulkOf(shared(hole, body)).volume;
        expect(both / bulkOf(body).volume).toBeCloseTo(1, 4);
        expect(both / bulkOf(hole).volume).toBeCloseTo(1, 4);
      }),
      { numRuns: 60 },
    ));
  it("is as large as its outline says (manifold-3d)", () =>
    fc.assert(
      fc.property(any, ({ shape, length, width }) => {
        fc.pre(shape !== "plug");
        const spots = inlayOutline(shape, length, width).outer.map((each) => ("at" in each ? [...each.at] : each)) as [
          number,
          number,
        ][];
        const volume = kit.Manifold.extrude([spots], 1).volume();
        const share = { key: 0.75, patch: 1, lozenge: 0.5 }[shape as "key"];
        expect(volume / (length * width)).toBeCloseTo(share, 6);
      }),
    ));
});
