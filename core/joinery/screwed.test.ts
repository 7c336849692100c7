import { describe, expect, it } from "vitest";
import { solidOf } from "../assembly/shape";
import { boundsOf, bulkOf, stood } from "../assembly/solid";
import { screwed, screwedBodies, screwedCard, screwedHeld } from "./screwed";

const meets = { id: "a+b", group: "a+b", name: "B to a", receives: "a", enters: "b", count: 1 };
const made = (change: Partial<Parameters<typeof screwed>[0]> = {}) =>
  screwed({
    ...{ meets, section: { width: 200, thickness: 30 }, into: { depth: 40 }, screws: 2, long: 45, through: 20 },
    ...change,
  });

describe("screws in slots", () => {
  it("a slot is as long as it is said, round at its ends: a stadium by its closed form", () => {
    const [slot] = screwedBodies(made({ slot: 14 })).own;
    const area = 9 * 5 + Math.PI * 2.5 ** 2;
    expect(bulkOf(solidOf(slot.shape, 0.001)).volume / (20 * area)).toBeCloseTo(1, 3);
  });
  it.each(["along", "across"] as const)("%s the face, its middle where the screw stands", (slotWay) => {
    const [slot] = screwedBodies(made({ slot: 14, slotWay })).own;
    const { least, most } = boundsOf(stood(solidOf(slot.shape, 0.0005), slot.place));
    // two screws on 200: at 50 and 150; on the middle of 30
    const [y, z] = slotWay === "along" ? [14, 5] : [5, 14];
    expect([least[1], most[1]]).toEqual([expect.closeTo(50 - y / 2, 2), expect.closeTo(50 + y / 2, 2)]);
    expect([least[2], most[2]]).toEqual([expect.closeTo(15 - z / 2, 2), expect.closeTo(15 + z / 2, 2)]);
    expect(screwedHeld(made({ slot: 14, slotWay }))[0]).toMatchObject({ kind: "slot", play: 4.5, way: slotWay });
  });
  it("without one they hold still, and the card speaks of a hole", () => {
    expect(screwedHeld(made())[0]).not.toHaveProperty("play");
    const says = (joint: ReturnType<typeof made>) => screwedCard(joint).lines.map(({ what }) => what);
    expect(says(made())).toContain("Hole through the part");
    expect(says(made({ slot: 14, slotWay: "across" }))).toContain("Slot through the part, across it");
  });
});
