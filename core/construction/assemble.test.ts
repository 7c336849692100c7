import { describe, expect, it } from "vitest";
import { shared } from "../assembly/carve";
import { bodyOf } from "../assembly/part";
import { solidOf } from "../assembly/shape";
import { wholeWeight } from "../assembly/weight";
import { toPart, within } from "../assembly/place";
import { weighed } from "../assembly/weight";
import { boundsOf, bulkOf, facet, Solid, stood } from "../assembly/solid";
import type { Vec } from "../assembly/vector";
import type { Piece } from "../piece/schema";
import { bodiesOfParts, clashes } from "../testing/clashes";
import { at, legs, planOf, railJoints, tableWith } from "../testing/plans";

const built = (piece: Piece) => {
  const plan = planOf(piece);
  const { parts } = plan.assembly;
  return { plan, parts, bodies: bodiesOfParts(parts) };
};
const plain = at("form.cornerBlocks", false);

const TABLES: [string, Piece][] = [
  ["the usual table", tableWith(plain)],
  ["mitred tenons, two a rail", tableWith(plain, at("form.apron.depth", 120), at("joints.legRail.meeting", "mitred"))],
  ["tenons that stop short of one another", tableWith(plain, at("joints.legRail.meeting", "short"))],
  ["no haunch, one tenon", tableWith(plain, at("joints.legRail.haunch", false), at("joints.legRail.tenons", 1))],
  ["three tenons a rail", tableWith(plain, at("form.apron.depth", 160), at("joints.legRail.tenons", 3))],
  ["rails flush with the legs", tableWith(plain, at("form.apron.reveal", 0))],
  ["legs tapered on two faces", tableWith(plain, at("form.leg.taper", "two-faces"), at("form.leg.foot", 40))],
  ["legs tapered on four faces", tableWith(plain, at("form.leg.taper", "four-faces"), at("form.leg.foot", 40))],
  ["corner blocks", tableWith()],
  [
    "corner blocks under a thick leg and rails set far in",
    tableWith(at("form.leg.section", 110), at("form.apron.reveal", 30)),
  ],
  ["two cross-rails", tableWith(plain, at("form.crossRails", 2))],
  ["loose tenons", tableWith(plain, at("joints.legRail.kind", "loose-tenon"))],
  ["breadboards with tongues", tableWith(plain, at("form.ends", "breadboards"))],
  ["slats", tableWith(plain, at("form.field", "slats"))],
  ["a mitred frame", tableWith(plain, at("form.ends", "frame"), at("form.frame.corners", "mitred"))],
  ["a tenoned frame", tableWith(plain, at("form.ends", "frame"), at("form.frame.corners", "tenoned"))],
  [
    "rectangular legs, deeper than wide, tapered all round",
    tableWith(plain, at("form.leg.across", 95), at("form.leg.taper", "four-faces"), at("form.leg.foot", 40)),
  ],
  ["arched rails", tableWith(plain, at("form.apron.arch", 30), at("form.crossRails", 2))],
  ["stretchers all round", tableWith(plain, at("form.low.kind", "box"))],
  [
    "stretchers all round tapered legs, sawn to them",
    tableWith(plain, at("form.low.kind", "box"), at("form.leg.taper", "two-faces"), at("form.leg.foot", 45)),
  ],
  [
    "an H of stretchers between legs tapered all round",
    tableWith(plain, at("form.low.kind", "h"), at("form.leg.taper", "four-faces"), at("form.leg.foot", 45)),
  ],
  [
    "stretchers at the ends of rectangular legs",
    tableWith(plain, at("form.low.kind", "ends"), at("form.leg.across", 60)),
  ],
  [
    "legs up through the notched corners",
    tableWith(plain, at("form.leg.top", "through"), at("form.overhang", { end: 0, side: 0 })),
  ],
  [
    "a shelf on the stretchers of tapered legs",
    tableWith(
      ...[plain, at("form.low.kind", "h"), at("form.shelf.kind", "solid")],
      ...[at("form.leg.taper", "two-faces"), at("form.leg.foot", 45)],
    ),
  ],
  [
    "a shelf of slats on stretchers all round",
    tableWith(plain, at("form.low.kind", "box"), at("form.shelf.kind", "slats")),
  ],
  ["slats between breadboards", tableWith(plain, at("form.field", "slats"), at("form.ends", "breadboards"))],
  [
    "slats in a mitred frame",
    tableWith(plain, at("form.field", "slats"), at("form.ends", "frame"), at("form.frame.corners", "mitred")),
  ],
  ["battens below", tableWith(plain, at("form.stiffener", "battens"), at("form.batten.count", 3))],
  [
    "battens under breadboards",
    tableWith(plain, at("form.stiffener", "battens"), at("form.ends", "breadboards"), at("form.crossRails", 0)),
  ],
  [
    "a round top",
    tableWith(plain, at("form.top.length", 900), at("form.top.width", 900), at("form.top.outline", "ellipse")),
  ],
  [
    "soft sides and a cut-out",
    tableWith(
      plain,
      at("form.top.outline", "soft"),
      at("form.top.cutouts", [{ name: "A tap", x: 200, y: 100, length: 60, width: 40 }]),
    ),
  ],
];

describe("a leg-and-apron table as parts that meet", () => {
  it.each(TABLES)("%s: joined, no wood is in two parts", (_, piece) => {
    const { parts, bodies } = built(piece);
    expect(clashes(parts, bodies)).toEqual([]);
  });

  it.each(TABLES)("%s: each part weighs the same by its pieces as by its whole body", (_, piece) => {
    for (const part of built(piece).parts) {
      const [pieces, whole] = [weighed(part), bulkOf(bodyOf(part))];
      expect(pieces.volume / whole.volume).toBeCloseTo(1, 9);
      for (const i of [0, 1, 2]) expect(pieces.centre[i]).toBeCloseTo(whole.centre[i], 6);
    }
  });

  it.each(TABLES)("%s: it has the cut list's parts, as long, wide and thick as they are cut", (_, piece) => {
    const { plan, parts } = built(piece);
    for (const listed of plan.parts) {
      if (listed.role === "button") continue;
      const mine = parts.filter((each) => each.kind === listed.id);
      expect([listed.id, mine.length]).toEqual([listed.id, listed.count]);
      if (listed.role === "frame" || (listed.role === "panel" && piece.form.ends === "frame")) continue;
      const { least, most } = boundsOf(bodyOf(mine[0]));
      const size = [0, 1, 2].map((i) => most[i] - least[i]);
      expect(size[0], `${listed.id} is as long`).toBeCloseTo(listed.finished.length, 1);
      expect(size[1], `${listed.id} is as wide`).toBeCloseTo(listed.finished.width, 1);
      expect(size[2], `${listed.id} is as thick`).toBeCloseTo(listed.finished.thickness, 1);
    }
  });

  it.each(TABLES)("%s: it stands on the floor, as high and as large as it was asked for", (_, piece) => {
    const { bodies } = built(piece);
    const { least, most } = boundsOf([...bodies.values()].flat());
    expect(least[1]).toBeCloseTo(0, 6);
    expect(most[1]).toBeCloseTo(piece.form.height, 6);
    expect(most[0] - least[0]).toBeCloseTo(piece.form.top.length, 4);
    if (piece.form.ends !== "breadboards") expect(most[2] - least[2]).toBeCloseTo(piece.form.top.width, 4);
  });

  it("corner blocks lie against both rails and clear the leg", () => {
    const { parts, bodies } = built(tableWith());
    const block = bodies.get("K1")!;
    for (const kind of ["leg", "long-rail", "end-rail"])
      for (const part of parts.filter((each) => each.kind === kind))
        expect(bulkOf(shared(block, bodies.get(part.id)!)).volume, part.id).toBeLessThan(0.5);
    // pushed 1 mm toward its corner's rails it is in both of them, 8 mm and it is in the leg
    const pushed = (by: number) =>
      block.flatMap(({ corners }) => facet(corners.map(([x, y, z]): Vec => [x - by, y, z + by])) ?? []);
    const meets = (solid: Solid) =>
      parts
        .filter((part) => part.kind !== "corner-block" && bulkOf(shared(solid, bodies.get(part.id)!)).volume > 0.5)
        .map((part) => part.kind)
        .sort();
    expect(meets(pushed(1))).toEqual(["end-rail", "long-rail"]);
    expect(meets(pushed(8))).toEqual(["end-rail", "leg", "long-rail"]);
  });

  it("it weighs what its wood weighs, by hand, and stands over its middle", () => {
    const piece = tableWith(
      ...[plain, at("form.crossRails", 0), at("joints.legRail.kind", "loose-tenon"), at("joints.fastening", "loose")],
    );
    const { plan, parts } = built(piece);
    const g = legs(plan);
    const mortises = bulkOf(bodyOf(parts.find((each) => each.kind === "leg")!)).volume;
    const hand =
      g.top.length * g.top.width * g.top.thickness +
      4 * mortises +
      2 * (g.longRail.shoulder + g.endRail.shoulder) * g.rail.depth * g.rail.thickness -
      // a slot for each loose tenon in the rails' ends, 2 deeper than it goes in
      railJoints(plan).reduce(
        (sum, { count, tenons, tenonWidth, thickness, reach }) =>
          sum + count * tenons * tenonWidth * thickness * (reach + 2),
        0,
      );
    expect(mortises).toBeLessThan(g.leg.section ** 2 * g.leg.length);
    const { weight, centre } = wholeWeight({ parts }, () => 700);
    expect(weight).toBeCloseTo((hand / 1e9) * 700, 6);
    expect(centre[0]).toBeCloseTo(0, 6);
    expect(centre[2]).toBeCloseTo(0, 6);
    expect(centre[1]).toBeGreaterThan(g.rail.lowerEdge);
  });

  it("a tenon's place in the leg is the joint's own: walls, cheek and tip as its card says", () => {
    const { plan, parts } = built(tableWith(plain));
    const joint = railJoints(plan).find((each) => each.enters === "long-rail")!;
    const leg = parts.find((each) => each.kind === "leg" && each.place.at[0] > 0 && each.place.at[2] > 0)!;
    const rail = parts.find((each) => each.kind === "long-rail" && each.place.at[2] > 0)!;
    const tip = boundsOf(stood(bodyOf(rail), rail.place)).most[0];
    const outer = boundsOf(stood(bodyOf(leg), leg.place)).most;
    expect(outer[0] - tip).toBeCloseTo(joint.left.tip + joint.mortiseDepth - joint.length, 6);
    const [tenon] = rail.adds;
    const cheek = boundsOf(stood(solidOf(tenon.shape), within(rail.place, tenon.place))).most[2];
    expect(outer[2] - cheek).toBeCloseTo(joint.offset, 6);
    expect(toPart(leg.place, [outer[0], 0, outer[2]])).toEqual([
      0,
      expect.closeTo(legs(plan).leg.section, 6),
      expect.closeTo(0, 6),
    ]);
  });
});
