import { describe, expect, it } from "vitest";
import type { Patch } from "../../../piece/patch";
import { at, find, remediesThatFail, tableWith } from "../../../testing/plans";
import { ROUND, set, table } from "../../../testing/splays";

const round = (...patches: Patch[]) => table(...ROUND, ...patches);

describe("what is wrong in a round is said, and mended", () => {
  it.each([
    ["legs that meet", set("ring.setIn", 260), "form.ends-fit", /run into one another|of rail between/],
    ["splayed too far", set("ring.splay", 24), "form.splay", /splay 24\.0°/],
    ["feet past the rim", set("ring.setIn", 20), "form.feet-out", /past the top/],
    ["a rail thicker than its face", set("rail.thickness", 30), "form.rail-in-leg", /out of the leg|beside the rail/],
    [
      "stretchers thicker than feet",
      set("low", { kind: "box", height: 100, depth: 30, thickness: 26 }),
      "form.stretcher-in-leg",
      /beside the stretcher/,
    ],
    ["tenons with no room", set("section", 44), "joints.length", /mm long: rail to leg/],
    ["a rim that stands far out", set("ring.setIn", 150), "form.tips", /It tips at/],
  ])("%s", (_, patch, id, text) => {
    const piece = tableWith(...ROUND, patch as Patch);
    const { level, text: said } = find(round(patch as Patch), id);
    expect(level).not.toBe("holds");
    expect(said).toMatch(text);
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
  it("plates on rails aslant to the grain hold the top, unless it hardly goes", () => {
    const plates = (...more: Patch[]) =>
      find(
        round(at("joints.fastening", "figure-8"), at("form.top.length", 1200), at("form.top.width", 1200), ...more),
        "movement.plates-aslant",
      );
    expect(plates().level).not.toBe("holds");
    expect(
      round(
        at("form.top.length", 1200),
        at("form.top.width", 1200),
        ...(plates().remedies[0].patches as Patch[]),
      ).verdicts.some(({ id }) => id === "movement.plates-aslant"),
    ).toBe(false);
  });
});
