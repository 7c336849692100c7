import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { boxed, boxOf, set } from "../../../testing/boxes";
import { at, find } from "../../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);

describe(`a solid bottom through a year, by the plain sum (seed ${SEED})`, () => {
  it("has behind it what it swells, or the verdict says by how much it lacks", () =>
    fc.assert(
      fc.property(
        fc.record({ width: fc.integer({ min: 300, max: 800 }), free: fc.integer({ min: 0, max: 9 }) }),
        ({ width, free }) => {
          const plan = boxed(
            ...[at("form.top.width", width), set("bottom.of", "solid"), set("bottom.thickness", 18)],
            ...[set("bottom.free", free), set("bottom.slot", 40)],
          );
          const { mean, wettest } = plan.courses["box-bottom"];
          const size = plan.parts.find(({ id }) => id === "box-bottom")!.finished.width;
          // flat-sawn until boards are chosen: the coefficient is the tangential one, or near it
          const grown = size * plan.species.tangential * (wettest.moisture - mean[0]);
          const verdict = find(plan, "movement.box-bottom");
          const spare = boxOf(plan).bottom.free - Math.max(0, grown);
          if (spare > 0.6) expect(verdict.level).toBe("holds");
          if (spare < -0.6) expect(verdict).toMatchObject({ level: "fix" });
        },
      ),
      { numRuns: 12, seed: SEED },
    ));
});
