import { describe, expect, it } from "vitest";
import type { Piece } from "../piece/schema";
import { at, planOf, tableWith } from "../testing/plans";
import { jointDrawings } from "./joints";
import type { Item, Point } from "./scene";

/** What is sawn through in the first of a joint's sections, by kind of part: its outlines, x into the part that receives, y up the face. */
function sawn(piece: Piece, id: string): Record<string, Point[][]> {
  const plan = planOf(piece);
  const section = jointDrawings({ ...plan, form: piece.form }).find(
    ({ joint, scene }) => joint === id && scene.id === `joint-${id}`,
  )!;
  const faces = section.scene.items.filter((item): item is Extract<Item, { kind: "face" }> => item.kind === "face");
  // the second section stands to the right of the first
  const half = section.scene.bounds.x + section.scene.bounds.w / 2;
  const first = faces.filter(({ points }) => points.every(([x]) => x < half));
  return Object.fromEntries(first.map(({ id: kind, points, more = [] }) => [kind, [points, ...more]]));
}
const reach = (loops: readonly Point[][], i: 0 | 1) => {
  const values = loops.flat().map((point) => point[i]);
  return [Math.min(...values), Math.max(...values)];
};

describe("a joint sawn through its middle", () => {
  it("a blind tenon reaches as far as it is long, and its mortise 2 further", () => {
    const piece = tableWith(at("form.kind", "trestle"));
    const joint = planOf(piece).joints.find((each) => each.id === "foot+post")!;
    const { foot, post } = sawn(piece, "foot+post");
    expect(reach(post, 0)[1]).toBeCloseTo(joint.length, 6);
    // the foot is open from its face to the mortise's bottom: no wood of it before that, between the tenon's edges
    const bottom = foot.flat().filter(([x, y]) => x > joint.length && x < joint.length + 5 && y > 0);
    expect(Math.min(...bottom.map(([x]) => x))).toBeCloseTo(joint.length + 2, 6);
  });

  it("shows a mitred tenon's neighbour that comes from the side: three parts in one leg", () => {
    const seen = sawn(tableWith(), "leg-long-rail");
    expect(Object.keys(seen)).toEqual(expect.arrayContaining(["leg", "long-rail"]));
    const { leg } = seen;
    expect(reach(leg, 0)[0]).toBeCloseTo(0, 6);
  });

  it("a strut enters its post at 45°: its edges in the section run at that angle", () => {
    const { strut } = sawn(
      tableWith(at("form.kind", "trestle"), at("form.trestle.struts.joint", "tenoned")),
      "post+strut",
    );
    const [loop] = strut;
    const slopes = loop.map(([x, y], i) => {
      const [nx, ny] = loop[(i + 1) % loop.length];
      return Math.abs((Math.atan2(ny - y, nx - x) * 180) / Math.PI) % 90;
    });
    expect(slopes.filter((each) => Math.abs(each - 45) < 0.01).length).toBeGreaterThanOrEqual(2);
  });

  it("what a joint brings is drawn in it: wedges in their kerfs, a pin across its tenon", () => {
    expect(Object.keys(sawn(tableWith(at("form.kind", "trestle")), "post+stretcher"))).toContain("Wedge");
    const pinned = { kind: "tenon", thickness: null, length: null, tenons: null, twin: false, pinned: true };
    const { post, Pin } = sawn(
      tableWith(at("form.kind", "trestle"), at("joints.groups", { "foot+post": pinned })),
      "foot+post",
    );
    expect(Pin).toBeDefined();
    // the tenon's hole lies a mm nearer the shoulder than the pin stands
    const hole = post.slice(1).map((loop) => reach([loop], 0)[0]);
    expect(reach(Pin, 0)[0] - Math.min(...hole)).toBeCloseTo(1, 1);
  });
});
