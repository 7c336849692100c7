/** Long tops of two halves that are drawn together in their middle. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { smallList } from "../../assembly/small";
import type { Patch } from "../../piece/patch";
import { at, find, planOf, tableWith } from "../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261126);
const parting = (path: string, value: unknown) => at(`form.parting.${path}`, value);

describe("a long top drawn together from two halves", () => {
  const drawn = (...patches: Patch[]) =>
    planOf(tableWith(at("form.top.length", 3200), parting("kind", "drawn"), parting("blank", "apart"), ...patches));

  it("has a seam with pins and connectors, each half from its own boards, and is drawn up before it is attached", () => {
    const plan = drawn();
    expect(plan.parts.find(({ id }) => id === "top")).toMatchObject({ count: 2 });
    expect(plan.panels.map(({ place }) => [place.id, place.length])).toEqual([["half", 1600]]);
    const joint = plan.joints.find(({ kind }) => kind === "seam")!;
    // 28 thick: pockets 22 deep, 8 over the bolt in its middle, leave 6
    expect(joint.walls.find(({ where }) => where === "over the connectors")!.left).toBe(6);
    expect(smallList(plan.small).find(({ name }) => name === "Seam connectors")).toMatchObject({
      count: 3,
      length: 120,
    });
    const order = plan.steps.map(({ id }) => id);
    expect(order.indexOf("draw")).toBeLessThan(order.indexOf("attach"));
    expect(plan.assembly.poses).toBeUndefined();
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.touching");
    expect(plan.failures).toEqual([]);
  });

  it("connectors stand clear of the pins", () => {
    fc.assert(
      fc.property(fc.integer({ min: 600, max: 1400 }), fc.integer({ min: 2, max: 5 }), (width, connectors) => {
        const plan = drawn(at("form.top.width", width), parting("connectors", connectors));
        const card = plan.cards.find(({ joint }) => joint === "top+top")!;
        const numbers = (what: string) =>
          card.lines
            .find((each) => each.what === what)!
            .setting.split(", ")
            .map((each) => Number.parseFloat(each));
        const pins = numbers("From the front edge");
        for (const at of numbers("Connectors, from the front edge"))
          expect(Math.min(...pins.map((pin) => Math.abs(pin - at)))).toBeGreaterThan(17.5 + 5);
      }),
      { seed: SEED, numRuns: 20 },
    );
  });

  it("goes on bought frames, held by the plates of its own half; a plate under the seam is told", () => {
    const two = drawn(at("form.kind", "bought"), at("form.crossRails", 0));
    expect(two.meetings.filter(({ joint }) => joint.id === "top+bought-leg").map(({ receives }) => receives)).toEqual([
      "T1",
      "T2",
    ]);
    expect(find(two, "form.parting-seam")).toMatchObject({ level: "holds" });
    const three = drawn(at("form.kind", "bought"), at("form.bought.count", 3));
    expect(find(three, "form.parting-seam")).toMatchObject({ level: "fix" });
  });
});
