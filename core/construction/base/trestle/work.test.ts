import { describe, expect, it } from "vitest";
import { AS_THE_PIECE } from "../../../piece/kinds";
import type { Patch } from "../../../piece/patch";
import { at, planOf, tableWith } from "../../../testing/plans";

const trestle = (...patches: Patch[]) => planOf(tableWith(at("form.kind", "trestle"), ...patches));
const of = (path: string, value: unknown) => at(`form.trestle.${path}`, value);
const order = (plan: ReturnType<typeof planOf>) => plan.steps.map((each) => each.id);
const step = (plan: ReturnType<typeof planOf>, id: string) => {
  const found = plan.steps.find((each) => each.id === id);
  if (!found) throw new Error(`No step ${id}; there are ${order(plan).join(", ")}`);
  return found;
};
/** Each before the next, in the order the work is done. */
const inOrder = (plan: ReturnType<typeof planOf>, ids: readonly string[]) => {
  const places = ids.map((id) => order(plan).indexOf(id));
  expect(places).not.toContain(-1);
  expect(places).toEqual([...places].sort((a, b) => a - b));
};

describe("the order of a trestle", () => {
  it("joints while everything is square, a dry end to mark the stretcher from, shapes after the joints, the ends before what ties them", () =>
    inOrder(trestle(), [
      "mill",
      "laminate",
      "mortise",
      "tenon",
      "dry-fit-ends",
      "stretcher",
      "shape",
      "sand-base",
      "glue-ends",
    ]));
  it("posts in the solid wait for nothing to be glued", () => {
    const solid = trestle(of("post.make", "solid"));
    expect(order(solid)).not.toContain("laminate");
    expect(step(solid, "mortise").after).toEqual(["mill"]);
  });
  it("each step stands after all it waits for", () => {
    for (const plan of [
      trestle(of("ties.count", "two"), of("uprights", 2), of("struts.joint", "tenoned")),
      trestle(of("ends", 3), at("form.top.length", 2600)),
      trestle(at("form.shelf.kind", "solid"), of("foot.pads", true)),
      trestle(at("kinds.foot", { ...AS_THE_PIECE, edges: { how: "chamfered", size: 4, when: "before" } })),
    ]) {
      const ids = order(plan);
      for (const { id, after } of plan.steps)
        for (const before of after) expect(ids.indexOf(before), `${before} before ${id}`).toBeLessThan(ids.indexOf(id));
    }
  });
  it("struts are sawn and fitted before the end is put together dry", () => {
    const plan = trestle(of("struts.joint", "tenoned"));
    inOrder(plan, ["tenon", "struts", "dry-fit-ends"]);
    expect(step(plan, "struts").detail).toMatch(/254|255/);
  });
  it("a stretcher turned round from wedged to lagged changes what is bored and what is glued", () => {
    const [wedged, lagged] = [trestle(), trestle(of("stretcher.joint", "lagged"))];
    expect(step(wedged, "stretcher").detail).toMatch(/kerfs/);
    expect(step(lagged, "stretcher").detail).toMatch(/Stub tenons dry/);
    expect(step(lagged, "mortise").detail).toMatch(/lag screws, counterbore first/);
    expect(order(wedged)).not.toEqual(order(lagged));
  });
  it("what is cut to a shape is cut when its joints are done, and nothing is where all is square", () => {
    expect(step(trestle(of("stretcher.arch", 25)), "shape").parts).toContain("stretcher");
    const square = trestle(of("foot.ends", "square"), of("foot.relief", 0), of("brace.ends", "square"));
    expect(order(square)).not.toContain("shape");
  });
  it("a shelf is housed while posts are by themselves, and is in hand when the stretcher closes the base", () => {
    const plan = trestle(at("form.shelf.kind", "solid"));
    inOrder(plan, ["shelf-house", "glue-ends"]);
    const closing = plan.steps.find((each) => each.detail.includes("can't be put in afterwards"))!;
    expect(closing.parts).toContain("shelf");
    expect(closing.after).toContain("shelf-size");
  });
  it("all of the base is finished before the top goes on", () =>
    inOrder(trestle(), ["sand-base", "coat-1", "attach", "deliver"]));
});
