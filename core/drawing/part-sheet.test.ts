import { describe, expect, it } from "vitest";
import { at, planOf, railJoints, tableWith } from "../testing/plans";
import type { ThroughTenon } from "../joinery/through-tenon";
import { cutPlaces, partSheet } from "./part-sheet";

describe("a part by itself", () => {
  const table = planOf(tableWith());
  const trestle = planOf(tableWith(at("form.kind", "trestle")));

  it("a leg's mortises stand where its joint says, from its foot", () => {
    const [long] = railJoints(table);
    const leg = table.assembly.parts.find((part) => part.kind === "leg")!;
    const cuts = cutPlaces(leg).filter((cut) => cut.by === "leg+long-rail");
    // the haunch is the last of them: it ends flush with the leg's top
    expect(cuts.at(-1)!.end + cuts.at(-1)!.long).toBeCloseTo(leg.shape.length, 6);
    expect(cuts[0].wide).toBeCloseTo(long.mortiseDepth, 6);
    expect(cuts[0].deep).toBeCloseTo(long.thickness, 6);
  });
  it("a post's through mortise goes from face to face, as long as the tenon is wide", () => {
    const tenon = trestle.joints.find((each) => each.id === "post+stretcher") as ThroughTenon;
    const post = trestle.assembly.parts.find((part) => part.kind === "post")!;
    const [cut] = cutPlaces(post).filter((each) => each.by === "post+stretcher");
    expect(cut.deep).toBeCloseTo(64, 6);
    expect(cut.long).toBeCloseTo(tenon.tenonWidth, 6);
    expect(cut.wide).toBeCloseTo(tenon.thickness, 6);
    // the stretcher's lower edge at 260, its shoulder 8 higher; the post stands on a foot of 80, its tenon below that
    const foot = trestle.joints.find((each) => each.id === "foot+post")!.length;
    expect(cut.end).toBeCloseTo(260 + 8 - 80 + foot, 6);
  });
  it("its drawing is as long as it is cut, and shows what lies inside dashed", () => {
    for (const part of [...table.assembly.parts, ...trestle.assembly.parts]) {
      const scene = partSheet(part, table.species);
      const listed = [...table.parts, ...trestle.parts].find((each) => each.marks.includes(part.id))!;
      if (part.kind === listed.id && part.adds.length > 0) expect(scene.bounds.w).toBeGreaterThan(part.shape.length);
      if (part.kind === "leg")
        expect(scene.items.some((item) => item.kind === "path" && item.ink === "hidden")).toBe(true);
    }
  });
});
