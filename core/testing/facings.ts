/** Facings at random, whatever they lie on. */
import fc from "fast-check";

export const anyFacing = fc.record({
  kind: fc.constantFrom("cork", "leather", "linoleum"),
  thickness: fc.integer({ min: 1, max: 12 }),
  width: fc.integer({ min: 20, max: 900 }),
  from: fc.integer({ min: -400, max: 400 }),
  proud: fc.integer({ min: 0, max: 12 }),
  wraps: fc.integer({ min: 0, max: 60 }),
});
