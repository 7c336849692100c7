import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { goldenFile, goldenOf, heldPlan, NAMES } from "./golden";

describe("what plans gave before the assembly, number by number", () => {
  it("is held for the demo's five pieces and twenty others", () => expect(NAMES).toHaveLength(25));
  it.each(NAMES)("%s", (name) => {
    // a difference is mended, or argued in the note and written down by `npm run goldens`
    expect(goldenOf(heldPlan(name))).toEqual(JSON.parse(readFileSync(goldenFile(name), "utf8")));
  });
});
