/** Several parts from one blank, so that the grain runs on over their corners. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Patch } from "../piece/patch";
import { at, find, planOf, strips, tableWith } from "../testing/plans";
import { demoBoard } from "../testing/boards";
import { laidFor } from "./planned";
import { asBlank, rowCuts, rowLength } from "./row";

const chosen = (...boards: string[]) => ({
  ...{ strips: strips(...boards), pinned: [], banned: [], crosscutFirst: true, sawnFace: null },
});
const LONG = Array.from({ length: 5 }, (_, i) => demoBoard({ id: `W${i + 1}`, length: 3000, width: 150 }));
const bench = (...patches: Patch[]) =>
  planOf(
    tableWith(
      ...[at("form.kind", "plank"), at("form.use", "bench"), at("form.height", 450), at("form.plank.joint", "mitred")],
      ...[at("form.top.length", 1300), at("form.top.width", 360), at("form.top.thickness", 30)],
      ...[at("form.plank.blank", "one"), ...patches],
    ),
    LONG,
  );

describe("a bench whose grain runs over both corners", () => {
  it("one blank: 450 + 1300 + 450, and 40 lost at each mitre of a board 30 thick: 2280", () => {
    const { geometry, panels } = bench();
    expect(rowLength(geometry.row!)).toBe(450 + 1300 + 450 + 2 * 40);
    expect(panels).toEqual([]);
    // left end to the first mitre's middle: 450 + 20 from the blank's left end
    expect(rowCuts(geometry.row!)).toEqual([-1140 + 470, 1140 - 470]);
    expect(asBlank(geometry).core).toMatchObject({ length: 2280, width: 360 });
  });

  it("is composed, glued and sawn once; ends and top say the same boards", () => {
    const plan = bench(at("panels.top", chosen("W1", "W2", "W3")));
    expect(plan.glueUp.map(({ id, length }) => [id, length])).toEqual([["panel", 2320]]);
    expect(plan.cutting.strips.map(({ length }) => length)).toEqual([2320, 2320, 2320]);
    for (const kind of ["top", "plank-end"])
      expect(laidFor(plan, kind).map(({ board }) => board.id)).toEqual(["W1", "W2", "W3"]);
    const step = plan.steps.find(({ id }) => id === "flatten")!;
    expect(step.title).toBe("Flatten the blank and true its edges");
    expect(step.detail).toContain("left end, top and right end, in this order");
    expect(plan.steps.map(({ id }) => id)).not.toContain("plank-end-size");
    expect(plan.cutting.yieldShare).toBeGreaterThan(0.5);
  });

  it("moves as a top 360 wide, whichever blank it comes from", () => {
    expect(bench().top.dry).toEqual(bench(at("form.plank.blank", "apart")).top.dry);
  });

  it("aids keep off every line that will be cut", () => {
    const plan = bench(at("choices.alignment", "loose-tenons"), at("panels.top", chosen("W1", "W2", "W3")));
    const places = plan.glueUp.flatMap(({ alignment }) => alignment);
    expect(places.length).toBeGreaterThan(6);
    for (const { x } of places)
      for (const cut of rowCuts(plan.geometry.row!)) expect(Math.abs(x - cut)).toBeGreaterThanOrEqual(50 + 20);
  });

  it("an end of another wood can't come off it", () => {
    const walnut = bench(at("kinds.plank-end", { species: "black-walnut", moisture: null, finish: null, edges: null }));
    const told = find(walnut, "form.one-wood");
    expect([told.level, told.remedies[0].label]).toEqual(["fix", "Make the left end of the blank’s own"]);
    expect(find(bench(), "form.one-wood").level).toBe("holds");
    const apart = bench(at("form.plank.blank", "apart"));
    expect(apart.verdicts.map(({ id }) => id)).not.toContain("form.one-wood");
  });
  it("boards that are too short are told, with the way out", () => {
    const piece = tableWith(
      ...[at("form.kind", "plank"), at("form.plank.joint", "mitred"), at("form.plank.blank", "one")],
      at("form.top.length", 2400),
    );
    const told = find(planOf(piece, LONG), "form.one-blank");
    expect([told.level, told.remedies[0].label]).toEqual(["fix", "Compose each from its own boards"]);
  });
});

describe("a box whose grain runs round it", () => {
  const box = (...patches: Patch[]) =>
    planOf(
      tableWith(
        ...[at("form.kind", "box"), at("form.top.length", 640), at("form.top.width", 440), at("form.height", 420)],
        ...[
          at("form.overhang", { end: 20, side: 20 }),
          at("form.box.behind", 20),
          at("form.box.blank", "one"),
          ...patches,
        ],
      ),
      LONG,
    );

  it("back, left end, front and right end, 30 lost at each of three mitres of walls 20 thick", () => {
    const plan = box();
    const [place] = plan.panels.map((each) => each.place);
    expect(place.row!.pieces.map(({ name, length }) => [name, length])).toEqual([
      ["back wall", 600],
      ["left end wall", 400],
      ["front wall", 600],
      ["right end wall", 400],
    ]);
    expect(place.length).toBe(2000 + 3 * 30);
    expect(plan.panels).toHaveLength(1);
  });

  it("is glued once and parted at its corners", () => {
    const plan = box(at("panels.walls", chosen("W1", "W2")));
    expect(plan.glueUp.map(({ length }) => length)).toEqual([2130]);
    const { title, detail } = plan.steps.find(({ id }) => id === "box-front-size")!;
    expect(title).toBe("Flatten the blank of the walls and true its edges");
    expect(detail).toContain("it stays 2090 mm long until its corners part it");
    for (const kind of ["box-front", "box-back", "box-end"]) expect(laidFor(plan, kind)).toHaveLength(2);
  });

  it("dovetailed, a saw's cut is lost between walls", () =>
    expect(box(at("form.box.corner", "dovetailed")).panels[0].place.length).toBe(2000 + 3 * 6));
});

it("lengths and losses add up, and no cut lies within a part, whatever the row", () =>
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 50, max: 2000 }), { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 0, max: 60 }),
      (lengths, lost) => {
        const row = { lost, pieces: lengths.map((length, i) => ({ name: `${i}`, kind: "k", length })) };
        const whole = rowLength(row);
        expect(whole).toBe(lengths.reduce((a, b) => a + b, 0) + (lengths.length - 1) * lost);
        let from = -whole / 2;
        const spans = lengths.map((length) => {
          const span = [from, from + length];
          from += length + lost;
          return span;
        });
        for (const cut of rowCuts(row))
          for (const [a, b] of spans) expect(cut <= a + 1e-9 || cut >= b - 1e-9).toBe(true);
      },
    ),
  ));
