import { describe, expect, it } from "vitest";
import type { Screwed } from "../../joinery/screwed";
import type { OwnPart } from "../../piece/own-choices";
import type { Patch } from "../../piece/patch";
import { at, planOf, tableWith } from "../../testing/plans";

const added = (over: Partial<OwnPart>) =>
  at("own.parts", [
    {
      ...{ id: "own-1", name: "Batten", length: 400, width: 60, thickness: 25, x: 300, z: 0 },
      ...{ rests: "under-top", height: 0, grain: "across", lean: 0, lies: "flat", times: "once", ...over },
    },
  ]);
const joined = (to: string, how: string) => at("own.joins", [{ own: "own-1", to, how }]);
const plan = (...patches: Patch[]) => planOf(tableWith(...patches));

describe("screws in slots", () => {
  it("a batten across the top's grain: screws hold it until it splits, slots along the batten let it go", () => {
    const batten = added({ length: 500, width: 40, thickness: 20, lies: "flat", x: 150 });
    const over = (made: ReturnType<typeof plan>) =>
      Math.max(
        0,
        ...made.stopped.filter(({ link }) => link.id.startsWith("own-1")).map(({ excess }) => Math.abs(excess)),
      );
    const tight = plan(batten, joined("top", "screwed"));
    const free = plan(batten, joined("top", "slotted"));
    expect(over(tight)).toBeGreaterThan(2);
    expect(over(free)).toBe(0);
    const joint = free.joints.find(({ group }) => group === "own-1+top") as Screwed;
    // 500 from the middle line on both sides: the farthest screw is a quarter of a spacing from the end
    expect([joint.slotWay, joint.slot]).toEqual(["along", 10]);
    expect(free.cards.find(({ joint: id }) => id === "own-1+top")!.lines.some(({ what }) => /Slot/.test(what))).toBe(
      true,
    );
  });
  it("a cleat along the top's grain slides across its own length, in slots that leave wood on both sides of it", () => {
    const cleat = added({ grain: "along", length: 300, width: 40, thickness: 20, lies: "flat", x: 0, z: 300 });
    const made = plan(cleat, joined("top", "slotted"));
    const joint = made.joints.find(({ group }) => group === "own-1+top") as Screwed;
    // 300 from the middle: 1.2 % of it each way and a screw of 5, to the next even mm
    expect([joint.slotWay, joint.slot]).toEqual(["across", 14]);
    const narrow = plan(added({ grain: "along", length: 300, width: 18, lies: "flat", z: 300 }));
    const fits = narrow.ownPairs.find(({ to }) => to === "top")!.fits;
    expect(fits.find(({ how }) => how === "slotted")!.not).toBe(
      "The face they share is 18 mm wide: a slot across it breaks out.",
    );
  });
  it("buttons and what was added carry marks of their own", () => {
    const { parts } = plan(added({ length: 300 }), joined("top", "slotted"));
    const marks = parts.flatMap((part) => part.marks);
    expect(new Set(marks).size).toBe(marks.length);
    expect(parts.find(({ id }) => id === "button")!.marks[0]).toBe("NN1");
  });
});
