import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { wayUnder } from "./things";

const TOP = { length: 1800, width: 900, thickness: 30 };
const SEED = Number(process.env.SEED ?? 20261125);
/** A part that stands somewhere below the top, in a box. */
const part = fc
  .record({
    x: fc.integer({ min: -880, max: 780 }),
    z: fc.integer({ min: -440, max: 380 }),
    y: fc.constantFrom(0, 0, 300, 600),
    long: fc.integer({ min: 20, max: 400 }),
    deep: fc.integer({ min: 20, max: 300 }),
    high: fc.integer({ min: 20, max: 400 }),
  })
  .map(({ x, y, z, long, deep, high }) => ({
    name: "Leg",
    least: [x, y, z],
    most: [x + long, y + high, z + deep],
  }));
const thing = fc.record({
  how: fc.constantFrom("under-side" as const, "under-end" as const),
  length: fc.integer({ min: 50, max: 900 }),
  width: fc.integer({ min: 50, max: 700 }),
  height: fc.integer({ min: 50, max: 700 }),
  gap: fc.integer({ min: 0, max: 40 }),
});

type Way = Parameters<typeof wayUnder>[0];
/** Whether something so wide goes in anywhere, tried every five mm: as plain as can be. */
function goesIn(given: Way, parts: readonly { least: number[]; most: number[] }[], wide: number): boolean {
  const side = given.how === "under-side";
  const [a, b] = side ? [0, 2] : [2, 0];
  const [long, deep] = side ? [TOP.length, TOP.width] : [TOP.width, TOP.length];
  const [from, to] = side ? [deep / 2 - given.width, deep / 2] : [-deep / 2, given.width - deep / 2];
  for (let at = -long / 2; at + wide <= long / 2 + 1e-9; at += 1)
    if (
      parts.every(
        ({ least, most }) =>
          most[a] <= at + 1e-9 ||
          least[a] >= at + wide - 1e-9 ||
          most[b] <= from + 1e-9 ||
          least[b] >= to - 1e-9 ||
          least[1] >= given.height + given.gap - 1e-9,
      )
    )
      return true;
  return false;
}

describe(`the free way under a piece, against every place tried (seed ${SEED})`, () => {
  it("what it calls free goes in, and a millimetre more does not", () =>
    fc.assert(
      fc.property(thing, fc.array(part, { maxLength: 8 }), (given, parts) => {
        const { wide } = wayUnder(given, TOP, parts);
        if (wide > 0) expect(goesIn(given, parts, wide)).toBe(true);
        expect(goesIn(given, parts, wide + 1)).toBe(false);
      }),
      { numRuns: 150, seed: SEED },
    ));
  it("with nothing below, the whole side is free, and no height is", () => {
    const free = wayUnder({ how: "under-side", length: 400, width: 300, height: 500, gap: 10 }, TOP, []);
    expect(free).toEqual({ wide: 1800, free: Infinity, beside: [], above: "" });
  });
  it("names what stands on either side of the way, and what lies lowest over its middle", () => {
    const leg = (x: number) => ({ name: `Leg ${x}`, least: [x, 0, 300], most: [x + 80, 700, 400] });
    const rail = { name: "Rail", least: [-800, 620, 380], most: [800, 700, 400] };
    const found = wayUnder({ how: "under-side", length: 400, width: 300, height: 500, gap: 10 }, TOP, [
      leg(-700),
      leg(620),
      rail,
    ]);
    expect(found).toEqual({ wide: 1240, free: 620, beside: ["Leg -700", "Leg 620"], above: "rail" });
  });
  it("from the end it looks from the left end in, as deep as the thing is wide", () => {
    const far = { name: "Leg", least: [500, 0, -100], most: [600, 700, 100] };
    const given = { how: "under-end" as const, length: 300, width: 400, height: 500, gap: 0 };
    expect(wayUnder(given, TOP, [far]).wide).toBe(900);
    expect(wayUnder({ ...given, width: 1500 }, TOP, [far]).wide).toBe(350);
  });
});
