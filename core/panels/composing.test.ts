import { describe, expect, it } from "vitest";
import { composePanel } from "../layout/compose";
import { composeAll } from "../layout/compose-all";
import { USUAL_SHELF } from "../piece/base-choices";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import { at, planOf, plainRack, tableWith } from "../testing/plans";
import { panelsToCompose } from "./composing";

const shelf = { ...USUAL_SHELF, kind: "solid" as const, height: 180, width: 420, thickness: 24 };
const trestle = [at("form.kind", "trestle"), at("form.shelf", shelf)];
const rack = [
  ...plainRack(),
  ...Array.from({ length: 8 }, (_, i) => demoBoard({ id: `E${i + 1}`, width: 140 + 7 * i })),
];
const asked = (...patches: ReturnType<typeof at>[]) => {
  const piece = tableWith(...trestle, ...patches);
  const plan = planOf(piece, rack);
  return { plan, panels: panelsToCompose(piece, plan, rack, USUAL_SHOP) };
};

describe("what the search for every panel reads", () => {
  const { plan, panels } = asked();
  const [top, other] = panels;
  it("is the top and the shelf, each as large as it is planned", () => {
    expect(panels.map(({ id, name }) => [id, name])).toEqual([
      ["top", "top"],
      ["shelf", "shelf"],
    ]);
    const { length, width, thickness } = plan.panels[0].place;
    expect(other.inputs.need).toMatchObject({ length, width, thickness });
    expect(top.inputs.need.width).toBe(plan.geometry.core.width);
  });
  it("legs stand under the top alone: the shelf's lines are free of them", () => {
    expect(other.inputs.frame.leg).toBe(0);
    expect(other.inputs.frame.width).toBe(420);
  });
  it("goes by each panel's own wood and its own pinned boards", () => {
    const own = asked(
      at("kinds.shelf", { species: "black-walnut", moisture: null, finish: null, edges: null }),
      at("panels.shelf", { strips: [], pinned: ["E3"], banned: [], crosscutFirst: true, sawnFace: null }),
    );
    expect(own.panels.map(({ inputs }) => inputs.species)).toEqual([own.plan.species.id, "black-walnut"]);
    expect(own.panels.map(({ inputs }) => inputs.choice.pinned)).toEqual([[], ["E3"]]);
  });
  it("slats are sawn one by one: only the shelf is composed", () =>
    expect(asked(at("form.field", "slats")).panels.map(({ id }) => id)).toEqual(["shelf"]));
  it("finds for one panel alone what its own search finds", () => {
    const [alone] = asked(at("form.field", "slats")).panels;
    const [single, all] = [[...composePanel(alone.inputs)].at(-1)!, [...composeAll([alone])].at(-1)!];
    expect("strips" in single && single.strips).toEqual(all.panels[0].strips);
  });
  it("finds both their boards, and none for a panel whose wood is not there", () => {
    expect([...composeAll(panels)].at(-1)!.without).toEqual([]);
    const walnut = asked(at("kinds.shelf", { species: "black-walnut", moisture: null, finish: null, edges: null }));
    const all = [...composeAll(walnut.panels)].at(-1)!;
    expect(all.panels.map(({ id }) => id)).toEqual(["top"]);
    expect(all.without).toMatchObject([{ id: "shelf", none: expect.stringContaining("No board of this species") }]);
  });
});
