import { describe, expect, it } from "vitest";
import { at, planOf, strips, tableWith } from "../testing/plans";
import type { Item, Point } from "./scene";
import { movementScene } from "./top";

const areaOf = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nx, ny] = points[(i + 1) % points.length];
      return sum + x * ny - nx * y;
    }, 0),
  ) / 2;
const faces = (items: readonly Item[]) =>
  items.flatMap((each) => (each.kind === "face" ? [areaOf(each.points)] : [])).reduce((a, b) => a + b, 0);

describe("an oval top through its year", () => {
  const piece = tableWith(
    ...[at("form.top.outline", "ellipse"), at("form.top.length", 1600), at("form.top.width", 900)],
    at("form.overhang", { end: 250, side: 150 }),
  );
  const plan = planOf(piece);
  const whole = (Math.PI * 800 * 450) as number;
  it("is drawn as an oval, each board as far as the oval keeps it, and grows across alone", () => {
    // its corners are chords of the oval: a hair less than that
    expect(faces(movementScene(plan, piece, 0, 1).items) / whole).toBeCloseTo(1, 3);
    const wet = faces(movementScene(plan, piece, plan.top.wet.at, 1).items);
    expect(wet / faces(movementScene(plan, piece, 0, 1).items)).toBeCloseTo(1 + plan.top.wet.change / 900, 6);
  });
  it("boards that are laid share it out, none beyond its rim", () => {
    const laid = tableWith(
      ...[at("form.top.outline", "ellipse"), at("form.overhang", { end: 250, side: 150 })],
      at("panels.top.strips", strips("B1", "B2", "B3", "B4")),
    );
    const { items } = movementScene(planOf(laid), laid, 0, 1);
    const { length, width } = laid.form.top;
    expect(items.filter(({ kind }) => kind === "wood")).toEqual([]);
    for (const item of items)
      if (item.kind === "face")
        for (const [x, y] of item.points) expect(Math.hypot((2 * x) / length, (2 * y) / width)).toBeLessThan(1 + 1e-9);
  });
});

it("a piece across keeps its length while the halves beside it go out and in", () => {
  const piece = tableWith(at("form.parting.kind", "middle"), at("form.parting.middle.width", 140));
  const plan = planOf(piece);
  const wood = (sample: number) =>
    movementScene(plan, piece, sample, 8).items.flatMap((each) => (each.kind === "wood" ? [each] : []));
  const [today, wet] = [0, plan.top.wet.at].map((sample) => ({
    middle: wood(sample).find(({ id }) => id === "middle-piece")!,
    halves: wood(sample).filter(({ id }) => id !== "middle-piece"),
  }));
  expect(today.middle).toEqual(wet.middle);
  expect([today.middle.x, today.middle.w, today.middle.h]).toEqual([-70, 140, plan.geometry.core.width]);
  for (const { x, w } of wet.halves) expect(x + w <= -70 || x >= 70).toBe(true);
  const high = ({ halves }: typeof wet) =>
    Math.max(...halves.map(({ y, h }) => y + h)) - Math.min(...halves.map(({ y }) => y));
  expect(high(wet) - high(today)).toBeCloseTo(8 * plan.top.wet.change, 6);
});
