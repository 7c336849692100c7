import { describe, expect, it } from "vitest";
import { at, planOf, railJoints, tableWith } from "../../../testing/plans";

const setting = (card: { lines: { what: string; setting: string }[] }, what: string) =>
  card.lines.find((line) => line.what.startsWith(what))?.setting;

describe("the card of settings says what the joint is", () => {
  const plan = planOf(tableWith());
  const [long, end, cross] = plan.cards;
  const [joint] = railJoints(plan);

  it("one for each kind of joint", () =>
    expect(plan.cards.map((card) => card.title)).toEqual([
      "Leg to long rail, 4 times",
      "Leg to end rail, 4 times",
      "Cross-rail to long rail, 2 times",
      "Corner block to long rail, 4 times",
      "Corner block to end rail, 4 times",
    ]));
  it("gauges both sides of the mortise from the outer face", () => {
    expect(setting(long, "Mortise gauge")).toBe(`${joint.offset} mm and ${joint.offset + joint.thickness} mm`);
  });
  it("leaves the cheeks thick enough to plane to fit", () =>
    expect(setting(long, "Tenon cheeks")).toBe(`${(joint.thickness + 0.3).toFixed(1)} mm`));
  it("names the cutter", () => expect(setting(long, "Cutter")).toBe("8 mm router bit"));
  it("the mitre only where tips meet", () => {
    expect(setting(end, "Mitre the tip")).toMatch(/^45°/);
    expect(setting(cross, "Mitre the tip")).toBeUndefined();
  });
  it("says truly what is marked from what: rails in pairs, cross-rails from the dry-fitted frame", () => {
    expect(long.marked).toMatch(/^Rails of a pair are marked together/);
    expect(cross.marked).toMatch(/from the dry-fitted frame/);
  });
  it("a cross-rail's places are measured along the rail, not from a leg", () => {
    // 1570 between the legs: one in the middle
    expect(setting(cross, "Lines from a long rail's left shoulder")).toBe("785 mm");
    expect(cross.lines.map(({ what }) => what).join()).not.toMatch(/leg/);
  });
  it("a loose tenon has its own length and a mortise in the rail, and no cheeks", () => {
    const [loose] = planOf(tableWith(at("joints.legRail.kind", "loose-tenon"))).cards;
    expect(setting(loose, "Loose tenon")).toMatch(/mm long$/);
    expect(setting(loose, "Mortise depth in the rail")).toBeDefined();
    expect(setting(loose, "Tenon cheeks")).toBeUndefined();
  });
  it("two tenons are two mortises with what stays between", () => {
    const [two] = planOf(tableWith(at("form.apron.depth", 120))).cards;
    expect(setting(two, "Mortise height")).toMatch(/^2 of .* between$/);
  });
  it("a leg that runs up through the top is mortised lower, by the top's thickness", () => {
    const starts = (plan: ReturnType<typeof planOf>) => setting(plan.cards[0], "Mortise starts");
    expect(starts(planOf(tableWith()))).toBe("15 mm");
    expect(starts(planOf(tableWith(at("form.leg.top", "through"))))).toBe("43 mm");
  });
  it("a cutter the shop lacks is said so", () => {
    const [card] = planOf(tableWith(at("joints.legRail.thickness", 9))).cards;
    expect(setting(card, "Cutter")).toBe("no cutter of 9 mm in the shop");
  });
});
