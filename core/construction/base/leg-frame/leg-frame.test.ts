import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clashesOf } from "../../../assembly/clashes";
import { joined } from "../../../assembly/meeting";
import { AssemblyPart, bodyOf, extentOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { freshPiece } from "../../../piece/fresh";
import { LegFrameChoices, USUAL_LEG_FRAME } from "../../../piece/leg-frame-choices";
import { USUAL_SHOP } from "../../../piece/shop";
import type { JointChoices } from "../../../piece/schema";
import { jointsOf, meetingsOf } from "../contact";
import { legFrameDimensions } from "./dimensions";
import { legFrameContacts, legFrameParts } from "./parts";
import { FRAME, legFrameFeet, placeLegFrame } from "./place";
import { frameFits, frameHeight, frameLegs } from "./rules";

const SEED = Number(process.env.SEED ?? 20261127);
const OUTSIDE = { across: { from: -400, to: 400 }, deep: { from: -250, to: 250 } };
const LEG_RAIL = freshPiece("Frame", "2026-11-23").joints;
const made = (choice: LegFrameChoices, under = 200, legRail: Partial<JointChoices["legRail"]> = {}) => {
  const at = placeLegFrame(choice, OUTSIDE, under);
  const contacts = legFrameContacts(at, { id: "Q", kind: "bottom", said: "Bottom", thickness: 18, slot: 12 });
  const choices = { ...LEG_RAIL, legRail: { ...LEG_RAIL.legRail, ...legRail } };
  const joints = jointsOf(contacts, { choices, shop: USUAL_SHOP, slope: "1:8" });
  // what it carries is a board as large as the outside
  const carried: AssemblyPart = {
    ...{ id: "Q", kind: "bottom", name: "Bottom", letter: "Q", role: "panel", make: "solid", note: "" },
    shape: { length: 800, width: 500, thickness: 18 },
    place: { at: [-400, under, 250], x: [1, 0, 0], y: [0, 0, -1] },
    ...{ adds: [], cuts: [], opens: [0, 1, 0] },
  };
  const parts = joined([...legFrameParts(at), carried], meetingsOf(contacts, joints));
  return { at, contacts, joints, parts };
};

describe("a frame of legs, worked by hand", () => {
  const { at, parts, joints } = made(USUAL_LEG_FRAME);
  const part = (id: string) => parts.find((each) => each.id === id)!;
  const bounds = (id: string) => boundsOf(stood(bodyOf({ ...part(id), adds: [], cuts: [] }), part(id).place));
  it("stands 192 high under a gap of 8, flush with what it carries", () => {
    expect(at.height).toBe(192);
    expect(bounds("FL1")).toEqual({ least: [-400, 0, -250], most: [-355, 192, -205] });
    expect(bounds("FL4")).toEqual({ least: [355, 0, 205], most: [400, 192, 250] });
  });
  it("rails 60 deep and 22 thick, 3 behind the legs’ faces", () => {
    expect(bounds("FA1")).toEqual({ least: [-355, 132, -247], most: [355, 192, -225] });
    expect(bounds("FB2")).toEqual({ least: [375, 132, -205], most: [397, 192, 205] });
    // tenons of 34 at both ends: 45 less 3, 7 to the cheek, 1 for the mitre
    expect(extentOf(part("FA1")).length).toBeCloseTo(710 + 68, 9);
    expect(extentOf(part("FB1")).length).toBeCloseTo(410 + 68, 9);
  });
  it("strips as high as the gap, 5 behind the rails’ faces, 32 past them inside", () => {
    expect(bounds("FF1")).toEqual({ least: [-355, 192, -242], most: [355, 200, -193] });
    expect(bounds("FF2")).toEqual({ least: [-355, 192, 193], most: [355, 200, 242] });
  });
  it("screws go down into the rails and up past them: a driver reaches those from below", () => {
    const rail = bounds("FA2");
    const spots = (by: string) =>
      part("FF2")
        .cuts.filter((cut) => cut.by === by)
        .map((cut) => boundsOf(stood(bodyOf({ shape: cut.shape, adds: [], cuts: [] }), cut.place)));
    // the strip lies with its width from its front edge back
    const z = (y: number) => 242 - y;
    for (const { least, most } of spots("stand-rail+stand-strip")) {
      expect(z(most[1])).toBeGreaterThan(rail.least[2]);
      expect(z(least[1])).toBeLessThan(rail.most[2]);
    }
    for (const { least } of spots("bottom+stand-strip")) expect(z(least[1])).toBeLessThan(rail.least[2]);
    expect(spots("bottom+stand-strip").length).toBe(spots("stand-rail+stand-strip").length);
  });
  it("what it carries is tight in front and let go behind", () => {
    expect(joints.find(({ id }) => id === "bottom+stand-strip")).toMatchObject({ slot: null });
    expect(joints.find(({ id }) => id === "bottom+stand-strip-back")).toMatchObject({ slot: 12, slotWay: "across" });
  });
  it("its gap and its rails are typed where they are drawn", () => {
    const items = legFrameDimensions(at, -400, (name, key) => ({ path: ["frame", key], name }));
    expect(items.map((item) => item.kind === "dimension" && [item.value, item.edit?.path[1]])).toEqual([
      [8, "gap"],
      [60, "depth"],
    ]);
  });
});

describe("what is wrong is said, with what mends it", () => {
  const of = (change: Partial<LegFrameChoices>, under = 200) =>
    placeLegFrame({ ...USUAL_LEG_FRAME, ...change }, OUTSIDE, under);
  it.each([
    ["thin legs", frameLegs(of({ leg: 26 }), ["frame"]), "tight", "Make it 32 mm"],
    ["rails deeper than its legs", frameHeight(of({}, 60), ["frame"]), "fix", null],
    [
      "rails that leave little below them",
      frameHeight(of({ depth: 160 }), ["frame"]),
      "tight",
      "Make its rails 152 mm deep",
    ],
    ["no height at all", frameHeight(of({}, 5), ["frame"]), "fix", null],
    [
      "legs that meet",
      frameFits(of({ leg: 120, setIn: 120 }), ["frame"]),
      "fix",
      "Make its legs 30 mm square, flush outside",
    ],
    [
      "rails thicker than their legs",
      frameFits(of({ leg: 24, thickness: 28 }), ["frame"]),
      "fix",
      "Make its rails 19 mm thick",
    ],
  ] as const)("%s", (_, verdict, level, label) => {
    expect(verdict.level).toBe(level);
    expect(verdict.remedies[0]?.label ?? null).toBe(label);
  });
});

describe(`frames of any sizes (seed ${SEED})`, () => {
  const choices = fc.record({
    leg: fc.integer({ min: 30, max: 80 }),
    depth: fc.integer({ min: 35, max: 110 }),
    thickness: fc.integer({ min: 15, max: 28 }),
    setIn: fc.integer({ min: 0, max: 60 }),
    gap: fc.integer({ min: 4, max: 30 }),
  });
  const meeting = fc.record({ meeting: fc.constantFrom("mitred" as const, "short" as const), haunch: fc.boolean() });
  it("no two parts fill the same room, whichever way the tenons meet in a leg", () =>
    fc.assert(
      fc.property(choices, meeting, (choice, legRail) => {
        // rails thicker than what they end in are their rule's to tell
        fc.pre(choice.thickness + FRAME.reveal <= choice.leg);
        expect(clashesOf(made(choice, 240, legRail).parts)).toEqual([]);
      }),
      { numRuns: 60, seed: SEED },
    ));
  it("it is its own mirror image: each part has one of the same bulk across the middle", () =>
    fc.assert(
      fc.property(choices, (choice) => {
        const { parts } = made(choice, 240);
        for (const [one, other] of [
          ["FL1", "FL4"],
          ["FL2", "FL3"],
          ["FA1", "FA2"],
          ["FB1", "FB2"],
        ]) {
          const [a, b] = [one, other].map((id) => bulkOf(bodyOf(parts.find((each) => each.id === id)!)).volume);
          expect(a).toBeCloseTo(b, 3);
        }
      }),
      { numRuns: 15, seed: SEED },
    ));
  it("its feet are its legs’, and its strips lie over their rails and go on inside", () =>
    fc.assert(
      fc.property(choices, (choice) => {
        const { at } = made(choice, 240);
        const feet = legFrameFeet(at);
        expect(feet).toHaveLength(4);
        for (const { x, z } of feet) {
          expect(Math.abs(x) + choice.leg / 2).toBeCloseTo(400 - choice.setIn, 9);
          expect(Math.abs(z) + choice.leg / 2).toBeCloseTo(250 - choice.setIn, 9);
        }
        at.strips.forEach(({ over, inside, z }, i) => {
          const rail = at.long.z[i];
          expect(over.from).toBeGreaterThanOrEqual(rail.from - 1e-9);
          expect(over.to).toBeLessThanOrEqual(rail.to + 1e-9);
          expect(inside.to - inside.from).toBe(FRAME.stripInside);
          expect(z.to - z.from).toBeCloseTo(over.to - over.from + FRAME.stripInside, 9);
        });
      }),
      { numRuns: 60, seed: SEED },
    ));
});
