import { describe, expect, it } from "vitest";
import { at, planOf, tableWith } from "../testing/plans";

const order = (...patches: Parameters<typeof tableWith>) => planOf(tableWith(...patches)).steps.map((each) => each.id);
const step = (id: string, ...patches: Parameters<typeof tableWith>) =>
  planOf(tableWith(...patches)).steps.find((each) => each.id === id);
const inOrder = (ids: readonly string[], expected: readonly string[]) => {
  const places = expected.map((id) => ids.indexOf(id));
  expect(places, expected.join(", ")).not.toContain(-1);
  expect(places).toEqual([...places].sort((a, b) => a - b));
};

describe("from the glued panel, or the milled slats, to a top that can be sanded", () => {
  it.each([
    ["one panel", [], ["flatten", "sand-top"]],
    ["channels", [at("form.stiffener", "channels")], ["flatten", "channels", "sand-top"]],
    ["battens", [at("form.stiffener", "battens")], ["flatten", "battens", "sand-top"]],
    [
      "breadboards",
      [at("form.ends", "breadboards")],
      ["flatten", "tongue", "end-mortises", "pegs", "fit-ends", "sand-top"],
    ],
    [
      "breadboards over battens",
      [at("form.ends", "breadboards"), at("form.stiffener", "battens")],
      ["flatten", "fit-ends", "battens", "sand-top"],
    ],
    ["a frame", [at("form.ends", "frame")], ["flatten", "frame-glue", "sand-top"]],
    ["slats", [at("form.field", "slats")], ["mill", "slats", "sand-top"]],
    [
      "slats between breadboards",
      [at("form.field", "slats"), at("form.ends", "breadboards")],
      ["slats", "end-boards", "fit-ends", "sand-top"],
    ],
    ["slats in a frame", [at("form.field", "slats"), at("form.ends", "frame")], ["slats", "frame-glue", "sand-top"]],
  ] as const)("%s", (_, patches, expected) => inOrder(order(...patches), expected));

  it("slats have no panel to flatten and no pegs in slots", () => {
    const ids = order(at("form.field", "slats"), at("form.ends", "breadboards"));
    for (const id of ["flatten", "tongue", "pegs"]) expect(ids).not.toContain(id);
  });
});

describe("an outline is sawn when the top is flat", () => {
  it("a rectangle has nothing to saw", () => expect(order()).not.toContain("outline"));
  it("an oval is set out from its axes", () => {
    const found = step("outline", at("form.top.outline", "ellipse"))!;
    expect([found.title, found.after]).toEqual(["Cut the top’s outline", ["flatten"]]);
    expect(found.detail).toMatch(/two axes/);
  });
  it("holes are named", () =>
    expect(
      step("outline", at("form.top.cutouts", [{ name: "A tap", x: 0, y: 0, length: 60, width: 40 }]))!.detail,
    ).toMatch(/A tap/));
  it("notches for legs that run through are marked from the dry frame", () => {
    const found = step("outline", at("form.leg.top", "through"), at("form.overhang", { end: 0, side: 0 }))!;
    expect(found.after).toEqual(["flatten", "dry-fit"]);
    expect(found.detail).toMatch(/78 by 78 mm/);
  });
  it("a panel held at its ends keeps them straight", () =>
    expect(order(at("form.top.outline", "ellipse"), at("form.ends", "breadboards"))).not.toContain("outline"));
});
