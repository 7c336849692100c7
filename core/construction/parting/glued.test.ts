/** Halves of a top glued end grain to end grain: boards that are not long enough. */
import { describe, expect, it } from "vitest";
import type { BlindTenon } from "../../joinery/blind-tenon";
import { applyPatches, Patch } from "../../piece/patch";
import { clashesInPoses } from "../../testing/clashes";
import { at, find, planOf, tableWith } from "../../testing/plans";

/** A table 2600 by 800 and 30 thick of boards half as long. */
const LONG: Patch[] = [
  ...[at("form.top.length", 2600), at("form.top.width", 800), at("form.top.thickness", 30)],
  at("form.parting.kind", "glued"),
];
const table = (...patches: Patch[]) => planOf(tableWith(...LONG, ...patches));

describe("two halves glued end to end, worked by hand", () => {
  const plan = table();
  const joint = plan.joints.find(({ id }) => id === "top+top") as BlindTenon;
  it("are 1300 long each, from boards of their own", () => {
    const half = plan.parts.find(({ id }) => id === "top")!;
    expect([half.count, half.finished.length, half.finished.width]).toEqual([2, 1300, 800]);
    expect(plan.panels.map(({ place }) => place.name)).toEqual(["right half of the top"]);
  });
  it("have a loose tenon for every 110 of 800, seven, and no pins or connectors", () => {
    expect([joint.kind, joint.made, joint.tenons]).toEqual(["blind-tenon", "loose", 7]);
    expect(plan.small.filter(({ by }) => by === "top+top").map(({ name }) => name)).toEqual(
      Array(7).fill("Loose tenon"),
    );
    expect(
      table(
        at("joints.groups", {
          "top+top": { kind: "loose", thickness: null, length: null, tenons: 5, twin: false, pinned: false },
        }),
      ).joints.find(({ id }) => id === "top+top"),
    ).toMatchObject({ tenons: 5 });
  });
  it("is glued after its slots are cut and before it is sanded, and is one when it goes on its frame", () => {
    const order = plan.steps.map(({ id }) => id);
    expect(order.indexOf("seam-pins")).toBeLessThan(order.indexOf("seam-glue"));
    expect(order.indexOf("seam-glue")).toBeLessThan(order.indexOf("sand-top"));
    expect(order).not.toContain("draw");
    expect(plan.steps.find(({ id }) => id === "seam-pins")!.title).toBe("Slot both ends for their tenons");
  });
  it("long rails bear both halves; nothing stands in anything", () => {
    expect(find(plan, "form.parting-borne").level).toBe("holds");
    expect(find(plan, "form.parting-can").text).toBe("The top is two halves, glued together in the middle");
    expect(clashesInPoses(plan)).toEqual([]);
  });
  it("on two trestles nothing bears the seam, and it is told", () => {
    const piece = tableWith(...LONG, at("form.kind", "trestle"), at("form.trestle.ties.count", "none"));
    const verdict = find(planOf(piece), "form.parting-borne");
    expect(verdict.level).toBe("fix");
    const mended = planOf(applyPatches(piece, verdict.remedies[0].patches));
    expect(mended.verdicts.find(({ id }) => id === "form.parting-borne")).toBeUndefined();
    expect(mended.parts.find(({ id }) => id === "top")!.count).toBe(1);
  });
});
