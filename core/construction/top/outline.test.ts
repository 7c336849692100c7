import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freshPiece } from "../../piece/fresh";
import { chordAt, distanceToLoop, keptAt, outlineOf, stripChord } from "./outline";

const top = {
  ...freshPiece("t", "2026-11-23").form.top,
  length: 1800,
  width: 900,
  bulge: 60,
  notch: { length: 80, width: 90 },
};
const shape = (outline: typeof top.outline) => ({ ...top, outline });
const kinds = ["rectangle", "ellipse", "soft", "notched"] as const;

/** Area inside a closed line of points (shoelace). */
const area = (loop: readonly (readonly [number, number])[]) =>
  Math.abs(
    loop.reduce((sum, [x, y], i) => {
      const [a, b] = loop[(i + 1) % loop.length];
      return sum + x * b - a * y;
    }, 0),
  ) / 2;

describe("outlines of a top (identities)", () => {
  it.each(kinds)("%s: its chords, summed across it, hold the area of its points", (kind) => {
    const n = 20000;
    const summed =
      Array.from({ length: n }, (_, i) => chordAt(shape(kind), -450 + (900 * (i + 0.5)) / n)).reduce(
        (a, b) => a + b,
        0,
      ) *
      (900 / n);
    expect(summed / area(outlineOf(shape(kind)))).toBeCloseTo(1, 3);
  });
  it("an ellipse holds π a b, and a circle's chord is 2√(R² − y²)", () => {
    expect(area(outlineOf(shape("ellipse"))) / (Math.PI * 900 * 450)).toBeCloseTo(1, 3);
    const circle = { ...shape("ellipse"), length: 900 };
    for (const y of [0, 100, 300, 440]) expect(chordAt(circle, y)).toBeCloseTo(2 * Math.sqrt(450 ** 2 - y ** 2), 9);
  });
  it("soft sides are arcs of c²/8h + h/2: full width in the middle, narrower by the bow at the ends", () => {
    const points = outlineOf(shape("soft"));
    expect(Math.max(...points.map(([, y]) => y))).toBeCloseTo(450, 6);
    const ends = points.filter(([x]) => Math.abs(Math.abs(x) - 900) < 1e-6).map(([, y]) => Math.abs(y));
    for (const end of ends) expect(end).toBeCloseTo(390, 6);
    const radius = 1800 ** 2 / (8 * 60) + 30;
    for (const [x, y] of points.filter(([, each]) => each > 0))
      expect(Math.hypot(x, y - (450 - radius))).toBeCloseTo(radius, 6);
  });
  it("a strip is as long as its chord at the edge nearer the middle, the whole length over it (property)", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.double({ min: -450, max: 450, noNaN: true }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        (kind, from, width) => {
          const to = Math.min(450, from + width);
          const longest = Math.max(
            ...Array.from({ length: 101 }, (_, i) => chordAt(shape(kind), from + ((to - from) * i) / 100)),
          );
          expect(stripChord(shape(kind), from, to)).toBeGreaterThanOrEqual(longest - 1e-6);
          if (kind !== "soft")
            expect(stripChord(shape(kind), from, to)).toBeLessThanOrEqual(longest + (kind === "ellipse" ? 60 : 1e-6));
        },
      ),
    );
  });
  it("beyond the edge nothing is kept", () => {
    for (const kind of kinds) expect(chordAt(shape(kind), 451)).toBe(0);
  });
});

it("distance to a square's sides and corners, by hand", () => {
  const square = outlineOf({ ...shape("rectangle"), length: 200, width: 200 });
  expect(distanceToLoop(square, 0, 0)).toBeCloseTo(100, 9);
  expect(distanceToLoop(square, 90, 40)).toBeCloseTo(10, 9);
  expect(distanceToLoop(square, 103, 104)).toBeCloseTo(5, 9);
});

it("what is kept lies clear of the edge and of cut-outs by the margin asked", () => {
  const cut = { ...shape("ellipse"), cutouts: [{ name: "Outlet", x: 0, y: 200, length: 100, width: 60 }] };
  expect(keptAt(cut, 0, 0, 50)).toBe(true);
  expect(keptAt(cut, 0, 200, 50)).toBe(false);
  expect(keptAt(cut, 0, 125, 50)).toBe(false);
  expect(keptAt(cut, 0, 115, 50)).toBe(true);
  expect(keptAt(cut, 860, 0, 50)).toBe(false);
  expect(keptAt(cut, 840, 0, 50)).toBe(true);
  expect(keptAt(cut, 700, 400, 0)).toBe(false);
});
