import { describe, expect, it } from "vitest";
import type { Patch } from "../../../piece/patch";
import { at, find } from "../../../testing/plans";
import { set, table } from "../../../testing/splays";

describe("what is wrong is said, and mended", () => {
  it.each([
    ["legs that leave no rail", set("setIn.side", 210), "form.ends-fit", /run into one another/],
    ["splayed too far", set("splay.side", 24), "form.splay-side", /splay 24\.0°/],
    ["hardly splayed", set("splay.end", 1), "form.splay-end", /splay 1\.0°/],
    ["feet past the top", set("setIn.end", 30), "form.feet-out", /44\.5 mm past/],
    [
      "upright rails that legs walk away from",
      set("rail", { depth: 110, thickness: 26, reveal: 4, stands: "plumb" }),
      "form.rail-in-leg",
      /stands .* out of the leg/,
    ],
    ["a rail as thick as its leg", set("rail.thickness", 38), "form.rail-in-leg", /out of the leg|beside the rail/],
    ["a slight leg", set("section", 30), "form.leg", /30 mm is slight/],
    ["a shallow rail", set("rail.depth", 40), "form.rail-depth", /40 mm is slight/],
    [
      "stretchers on the floor",
      set("low", { kind: "box", height: 20, depth: 30, thickness: 18 }),
      "form.stretcher",
      /20 mm above/,
    ],
    [
      "stretchers in the rails",
      set("low", { kind: "h", height: 440, depth: 30, thickness: 18 }),
      "form.stretcher",
      /lie in the rails/,
    ],
    [
      "tenons cut on aslant rails",
      at("joints.groups.splayed-leg+splay-rail", {
        kind: "tenon",
        thickness: null,
        length: null,
        tenons: null,
        twin: false,
        pinned: false,
      }),
      "joints.tenon-grain",
      /8\.0° off/,
    ],
  ])("%s", (_, patch, id, text) => {
    const { level, text: said, remedies } = find(table(patch), id);
    expect(level).not.toBe("holds");
    expect(said).toMatch(text);
    expect(remedies.length).toBeGreaterThan(0);
    const mended = table(patch, ...(remedies[0].patches as Patch[]));
    expect(["holds", undefined]).toContain(mended.verdicts.find((each) => each.id === id)?.level);
  });
});
