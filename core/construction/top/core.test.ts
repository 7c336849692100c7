import { describe, expect, it } from "vitest";
import { at, planOf, tableWith } from "../../testing/plans";
import { isWhole, slatLines, topOf } from "./core";

const core = (...patches: Parameters<typeof tableWith>) => topOf(tableWith(...patches).form, []).core;

describe("a top's field within its ends, by hand (1800 by 850 by 28)", () => {
  it("one panel with nothing at its ends is the whole top", () =>
    expect(core()).toEqual({ length: 1800, shoulder: 1800, width: 850, thickness: 28, count: 1 }));
  it("between breadboards of 90 it is 1620 from shoulder to shoulder, and goes 32 into each", () =>
    expect(core(at("form.ends", "breadboards"))).toMatchObject({ shoulder: 1620, length: 1684, width: 850 }));
  it("by loose tenons it ends at its shoulders", () =>
    expect(core(at("form.ends", "breadboards"), at("form.breadboard.joint", "loose-tenons"))).toMatchObject({
      length: 1620,
    }));
  it("in a frame of 80 with grooves of 14 it keeps a gap of 5 at its long edges and 1 at its ends", () =>
    expect(core(at("form.ends", "frame"))).toMatchObject({
      shoulder: 1640,
      length: 1640 + 26,
      width: 850 - 160 + 2 * 9,
    }));
  it("five slats share 850 less four gaps of 6", () =>
    expect(core(at("form.field", "slats"))).toMatchObject({ length: 1800, width: (850 - 24) / 5, count: 5 }));
  it("in a frame they have a gap at the long sides as well", () =>
    expect(core(at("form.field", "slats"), at("form.ends", "frame"))).toMatchObject({
      shoulder: 1640,
      width: (690 - 36) / 5,
    }));
  it("and between breadboards the panel's shoulders", () =>
    expect(core(at("form.field", "slats"), at("form.ends", "breadboards"))).toMatchObject({
      shoulder: 1620,
      length: 1684,
      width: (850 - 24) / 5,
    }));
});

describe("where slats lie", () => {
  const lines = (...patches: Parameters<typeof tableWith>) => {
    const { form } = tableWith(at("form.field", "slats"), ...patches);
    return { form, lines: slatLines(form, topOf(form, [])), core: topOf(form, []).core };
  };
  it("from the front, evenly, the outer ones at the edges", () => {
    const found = lines();
    expect(found.lines[0] + found.core.width / 2).toBeCloseTo(425, 9);
    expect(found.lines.at(-1)! - found.core.width / 2).toBeCloseTo(-425, 9);
    for (let i = 1; i < 5; i += 1) expect(found.lines[i - 1] - found.lines[i]).toBeCloseTo(found.core.width + 6, 9);
  });
  it("in a frame the outer ones keep their gap to its long sides", () => {
    const found = lines(at("form.ends", "frame"));
    expect(425 - 80 - (found.lines[0] + found.core.width / 2)).toBeCloseTo(6, 9);
  });
});

it("an outline is cut from a panel that nothing holds at its ends", () => {
  expect(isWhole({ field: "solid", ends: "none" })).toBe(true);
  expect(isWhole({ field: "solid", ends: "frame" })).toBe(false);
  expect(isWhole({ field: "slats", ends: "none" })).toBe(false);
});

describe("battens below a top", () => {
  const battens = (...patches: Parameters<typeof tableWith>) =>
    planOf(tableWith(at("form.stiffener", "battens"), ...patches));
  it("lie in the widest spaces between what bears the top across, and clear of what bears it along", () => {
    const plan = battens(at("form.crossRails", 1), at("form.batten.count", 2));
    const { x, length } = plan.stiffeners!;
    // end rails stand 850 less 7.5 + 25/2 from the middle: the two spaces beside the cross-rail are alike
    const end = 900 - 40 - 5 - 12.5;
    expect(x).toEqual([expect.closeTo(-end / 2, 9), expect.closeTo(end / 2, 9)]);
    // long rails: inside faces 355 from the middle, 8 clear of each
    expect(length).toBeCloseTo(2 * (355 - 8), 9);
  });
  it("a third goes where there is most room left", () =>
    expect(battens(at("form.crossRails", 1), at("form.batten.count", 3)).stiffeners!.x).toHaveLength(3));
  it("one screw holds, the others have the slot less the screw to go, half each way", () => {
    const { bolts, ends } = battens().stiffeners!;
    expect(bolts.filter((each) => each.fixed)).toHaveLength(1);
    for (const bolt of bolts.filter((each) => !each.fixed))
      expect(bolt.room.dry + bolt.room.wet).toBeCloseTo(16 - 5, 9);
    expect(ends).toBeNull();
  });
  it("slots too short for the year are found, and the remedy cuts them longer", () => {
    const tight = battens(at("form.batten.slot", 5.5), at("moisture.value", 6));
    const verdict = tight.verdicts.find((each) => each.id === "movement.channel-slots")!;
    expect([verdict.level, verdict.text]).toEqual(["fix", expect.stringMatching(/^Screws of the battens bind/)]);
    const [{ value }] = verdict.remedies[0].patches;
    const mended = battens(at("form.batten.slot", value), at("moisture.value", 6));
    expect(mended.verdicts.find((each) => each.id === "movement.channel-slots")!.level).toBe("holds");
  });
  it("a frame needs none, and slats have none", () => {
    expect(battens(at("form.ends", "frame")).stiffeners).toBeNull();
    expect(battens(at("form.field", "slats")).stiffeners).toBeNull();
  });
});
