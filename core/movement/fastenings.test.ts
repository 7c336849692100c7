import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freshPiece } from "../piece/fresh";
import { at, find, planOf, tableWith } from "../testing/plans";
import { worstTravel } from "./buttons";
import { wayOf } from "../joinery/fastening";
import { LEAST_CLIP } from "../joinery/fastening/z-clip";
import type { JointChoices } from "../piece/schema";
import { pullIn } from "./fastenings";

const joints = (fastening: ReturnType<typeof freshPiece>["joints"]["fastening"], more: object = {}) => ({
  ...freshPiece("t", "2026-11-23").joints,
  fastening,
  ...more,
});
const need = { dry: 2, wet: 4 };

const playOf = (joints: JointChoices, rail: "long" | "across", need: { dry: number; wet: number }) =>
  wayOf(joints).play(joints, rail, need);

describe("what a fastener gives (geometry)", () => {
  it("a figure-8 plate swings s sin θ to the side; pointing along the movement it gives nothing", () => {
    const plate = joints("figure-8", { figure8: { centres: 20, swing: 30, lengthwise: "across" } });
    expect(playOf(plate, "across", need)).toEqual({
      dry: expect.closeTo(10, 9),
      wet: expect.closeTo(10, 9),
      setOff: 0,
    });
    expect(playOf(plate, "long", need).wet).toBe(0);
    expect(
      playOf(joints("figure-8", { figure8: { centres: 20, swing: 30, lengthwise: "along" } }), "long", need).wet,
    ).toBeCloseTo(10, 9);
  });
  it("it pulls in by s − √(s² − y²): the plate keeps its length (identity, 200 random)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (s, share) => {
          const y = s * share;
          expect(Math.hypot(y, s - pullIn(s, y))).toBeCloseTo(s, 6);
        },
      ),
      { numRuns: 200 },
    );
  });
  it("a slot gives half of what it is longer than its screw, shared by the travel when set off", () => {
    const slot = (setOff: boolean) =>
      playOf(joints("slotted", { slotted: { slot: 15, screw: 5, setOff } }), "across", need);
    expect(slot(false)).toEqual({ dry: 5, wet: 5, setOff: 0 });
    expect(slot(true)).toEqual({ dry: 4, wet: 6, setOff: 1 });
    expect(
      playOf(joints("slotted", { slotted: { slot: 6, screw: 5, setOff: true } }), "across", { dry: 0, wet: 9 }),
    ).toEqual({ dry: 0, wet: 1, setOff: 0.5 });
  });
  it("a clip slides along the end rails and goes in and out on the long ones", () => {
    const clip = joints("z-clip", { zClip: { groove: 11, engaged: 6 } });
    expect(playOf(clip, "across", need).wet).toBe(Infinity);
    expect(playOf(clip, "long", need)).toEqual({ wet: 5, dry: 6 - LEAST_CLIP, setOff: 0 });
  });
  it("screws driven tight give nothing, a loose top its tabs' gap", () => {
    expect(playOf(joints("screwed"), "across", need)).toEqual({ dry: 0, wet: 0, setOff: 0 });
    expect(playOf(joints("loose", { loose: { gap: 3 } }), "long", need).wet).toBe(3);
  });
});

describe("fasteners under a top", () => {
  it("travel by their distance from the fixed line (by hand: distance × coefficient × moisture)", () => {
    const plan = planOf(tableWith(at("joints.fastening", "slotted")));
    for (const each of plan.fasteners)
      expect(each.wet).toBeCloseTo(
        Math.abs(each.z) * plan.top.coefficient * (plan.top.wet.moisture - plan.top.start.value),
        6,
      );
  });
  it("fixed at the back edge, those at the front travel twice as far", () => {
    const far = (fixed: string) =>
      worstTravel(
        planOf(tableWith(at("joints.fastening", "slotted"), at("choices.fixedLine", fixed))).fasteners,
        "long",
      ).wet;
    expect(far("back-edge") / far("centre")).toBeGreaterThan(1.8);
    expect(far("back-edge") / far("centre")).toBeLessThan(2.3);
  });
  it("a framed panel's movement does not reach those under its frame, and slats need none", () => {
    const framed = planOf(
      tableWith(at("joints.fastening", "slotted"), at("form.ends", "frame"), at("form.frame.width", 150)),
    ).fasteners;
    const under = framed.filter((each) => each.under === "ends");
    expect(under.length).toBeGreaterThan(0);
    expect(under.every((each) => each.wet === 0 && each.dry === 0)).toBe(true);
    expect(planOf(tableWith(at("form.field", "slats"))).fasteners).toEqual([]);
  });
  it("no wooden buttons are cut for another fastening", () => {
    expect(planOf(tableWith(at("joints.fastening", "z-clip"))).parts.some((part) => part.id === "button")).toBe(false);
    expect(planOf(tableWith()).parts.some((part) => part.id === "button")).toBe(true);
  });
  it.each([
    ["figure-8", "movement.fastening-long", at("joints.figure8.lengthwise", "across")],
    ["slotted", "movement.fastening-across", at("joints.slotted", { slot: 5.5, screw: 5, setOff: false })],
    [
      "oversized",
      "movement.fastening-across",
      at("joints.oversized", { hole: 5.5, screw: 5, washer: 20, setOff: false }),
    ],
    ["z-clip", "movement.fastening-long", at("joints.zClip", { groove: 6.2, engaged: 6 })],
  ] as const)("%s that binds says so, and its first press mends it", (kind, id, patch) => {
    const patches = [at("joints.fastening", kind), patch];
    const verdict = find(planOf(tableWith(...patches)), id);
    expect(verdict.level).toBe("fix");
    expect(find(planOf(tableWith(...patches, ...verdict.remedies[0].patches)), id).level).toBe("holds");
  });
});
