// Held against manifold-3d, a general geometry library, on the same polygons.
import fc from "fast-check";
import Module, { Manifold as Body, Mat4, ManifoldToplevel, SimplePolygon } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { less, shared, together } from "./carve";
import { circle, Loop, Outline, polygonOf, Spot, straight } from "./outline";
import { Place, placeOf } from "./place";
import { Shape, solidOf } from "./shape";
import { boundsOf, bulkOf, inverted, Solid, stood } from "./solid";
import { cross, dot, long, unit, Vec } from "./vector";

let kit: ManifoldToplevel;
beforeAll(async () => {
  kit = await Module();
  kit.setup();
});
const SEED = Number(process.env.SEED ?? 20261125);
const SAG = 0.5;

const within_ = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const share = within_(0.05, 0.95);
/** Outlines as parts have them: straight, tapered, arched, notched, with a round or square hole. */
const outline = (length: number, width: number): fc.Arbitrary<Outline> =>
  fc
    .record({
      kind: fc.constantFrom("taper", "arch", "notch", "skew"),
      a: share,
      b: share,
      hole: fc.constantFrom("none", "round", "square"),
      rise: within_(0.02, 0.4),
    })
    .map(({ kind, a, b, hole, rise }): Outline => {
      const flat = (spots: Spot[]): Loop => straight(spots);
      const outer: Record<string, Loop> = {
        taper: flat([
          [0, 0],
          [length, 0],
          [length, width * (0.4 + 0.5 * a)],
          [length * b, width],
          [0, width],
        ]),
        arch: [
          { at: [0, 0], rise: -Math.min(width * rise, length * 0.4) },
          ...flat([
            [length, 0],
            [length, width],
            [0, width],
          ]),
        ],
        notch: flat([
          [0, 0],
          [length, 0],
          [length, width * 0.7],
          [length * (0.5 + 0.4 * a), width * 0.7],
          [length * (0.5 + 0.4 * a), width],
          [0, width],
        ]),
        skew: flat([
          [length * 0.2 * a, 0],
          [length * (1 - 0.2 * b), 0],
          [length, width],
          [0, width],
        ]),
      };
      const r = Math.min(length, width) * 0.08;
      const middle: Spot = [length * 0.3, width * 0.58];
      const square: Loop = flat([
        [middle[0] - r, middle[1] - r],
        [middle[0] + r, middle[1] - r],
        [middle[0] + r, middle[1] + r],
        [middle[0] - r, middle[1] + r],
      ]);
      return { outer: outer[kind], holes: hole === "none" ? [] : [hole === "round" ? circle(middle, r) : square] };
    });
const direction = fc
  .tuple(within_(-1, 1), within_(-1, 1), within_(-1, 1))
  .filter((each) => long(each) > 0.2)
  .map(unit);
const shape: fc.Arbitrary<Shape> = fc
  .record({ length: within_(80, 2200), width: within_(20, 400), thickness: within_(12, 90) })
  .chain((size) =>
    fc.record({
      ...{ length: fc.constant(size.length), width: fc.constant(size.width), thickness: fc.constant(size.thickness) },
      face: fc.option(outline(size.length, size.width), { nil: undefined }),
      edge: fc.option(outline(size.length, size.thickness), { nil: undefined }),
      end: fc.option(outline(size.width, size.thickness), { nil: undefined }),
      planes: fc.array(
        fc.record({
          through: fc
            .tuple(share, share, share)
            .map(([x, y, z]): Vec => [x * size.length, y * size.width, z * size.thickness]),
          waste: direction,
        }),
        { maxLength: 2 },
      ),
    }),
  );
const place: fc.Arbitrary<Place> = fc
  .tuple(fc.tuple(within_(-50, 50), within_(-50, 50), within_(-50, 50)), direction, direction)
  .filter(([, a, b]) => long(cross(a, b)) > 0.2)
  .map(([at, a, b]) => placeOf(at as Vec, a, b));

/** The same shape built by the other library from the same polygons. */
function theirs({ length, width, thickness, face, edge, end, planes }: Shape): Body {
  const drawn = (view: Outline, height: number, columns: [Vec, Vec, Vec, Vec]) => {
    const loops = [polygonOf(view.outer, SAG), ...view.holes.map((hole) => polygonOf(hole, SAG).reverse())];
    const matrix = columns.flatMap((each, i) => [...each, i === 3 ? 1 : 0]) as unknown as Mat4;
    return kit.Manifold.extrude(loops as unknown as SimplePolygon[], height).transform(matrix);
  };
  let body = kit.Manifold.cube([length, width, thickness]);
  if (face)
    body = body.intersect(
      drawn(face, thickness, [
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
        [0, 0, 0],
      ]),
    );
  if (edge)
    body = body.intersect(
      drawn(edge, width, [
        [1, 0, 0],
        [0, 0, 1],
        [0, -1, 0],
        [0, width, 0],
      ]),
    );
  if (end)
    body = body.intersect(
      drawn(end, length, [
        [0, 1, 0],
        [0, 0, 1],
        [1, 0, 0],
        [0, 0, 0],
      ]),
    );
  for (const { through, waste } of planes ?? []) {
    const n = unit(waste);
    body = body.trimByPlane([-n[0], -n[1], -n[2]], -dot(n, through));
  }
  return body;
}

/** Volume and centre of the other library's body, from its triangles in double precision is not to be had: its own figures. */
function theirBulk(body: Body): { volume: number; centre: Vec } {
  const { triVerts, vertProperties, numProp } = body.getMesh();
  const at = (i: number): Vec => [
    vertProperties[i * numProp],
    vertProperties[i * numProp + 1],
    vertProperties[i * numProp + 2],
  ];
  let [volume, x, y, z] = [0, 0, 0, 0];
  for (let i = 0; i < triVerts.length; i += 3) {
    const [a, b, c] = [at(triVerts[i]), at(triVerts[i + 1]), at(triVerts[i + 2])];
    const six = dot(a, cross(b, c));
    volume += six / 6;
    x += (six * (a[0] + b[0] + c[0])) / 24;
    y += (six * (a[1] + b[1] + c[1])) / 24;
    z += (six * (a[2] + b[2] + c[2])) / 24;
  }
  return { volume: body.volume(), centre: [x / volume, y / volume, z / volume] };
}

const size = (solid: Solid) => {
  const { least, most } = boundsOf(solid);
  return long([most[0] - least[0], most[1] - least[1], most[2] - least[2]]);
};

describe(`solids of parts against manifold-3d (seed ${SEED})`, () => {
  it("200 random parts have the same volume and centre", () => {
    let left = 0;
    fc.assert(
      fc.property(shape, (drawn) => {
        const [ours, other] = [solidOf(drawn, SAG), theirs(drawn)];
        const [mine, their] = [bulkOf(ours), theirBulk(other)];
        const whole = drawn.length * drawn.width * drawn.thickness;
        expect(Math.abs(mine.volume - their.volume) / whole).toBeLessThan(1e-6);
        if (their.volume < whole * 1e-3) return;
        left += 1;
        // the other library hands its corners out in single precision
        for (const i of [0, 1, 2] as const)
          expect(Math.abs(mine.centre[i] - their.centre[i]) / size(ours)).toBeLessThan(1e-6);
      }),
      { numRuns: 200, seed: SEED },
    );
    expect(left).toBeGreaterThan(150);
  });
  it("200 random parts, wherever they stand, cover the same when they are seen along an axis", () => {
    fc.assert(
      fc.property(shape, place, (drawn, where) => {
        const columns = [where.x, where.y, cross(where.x, where.y), where.at].flatMap((each, i) => [
          ...each,
          i === 3 ? 1 : 0,
        ]);
        const faces = stood(solidOf(drawn, SAG), where).filter(({ n }) => n[2] > 0);
        const polygons = faces.map(({ corners }) => corners.map(([x, y]): [number, number] => [x, y]));
        const ours = polygons.length === 0 ? 0 : kit.CrossSection.ofPolygons(polygons, "NonZero").area();
        const their = theirs(drawn)
          .transform(columns as unknown as Mat4)
          .project();
        expect(Math.abs(ours - their.area()) / (drawn.length * drawn.width)).toBeLessThan(1e-6);
      }),
      { numRuns: 200, seed: SEED },
    );
  });
  it("cut out of one another, joined and shared, wherever they stand", () => {
    fc.assert(
      fc.property(shape, shape, place, (a, b, where) => {
        const [one, two] = [solidOf(a, SAG), stood(solidOf(b, SAG), where)];
        const columns = [where.x, where.y, cross(where.x, where.y), where.at].flatMap((each, i) => [
          ...each,
          i === 3 ? 1 : 0,
        ]);
        const [mine, other] = [theirs(a), theirs(b).transform(columns as unknown as Mat4)];
        const whole = bulkOf(one).volume + bulkOf(two).volume;
        for (const [ours, their] of [
          [less(one, two), mine.subtract(other)],
          [shared(one, two), mine.intersect(other)],
          [together(one, two), mine.add(other)],
        ] as const)
          expect(Math.abs(bulkOf(ours).volume - their.volume()) / whole).toBeLessThan(1e-6);
      }),
      { numRuns: 100, seed: SEED },
    );
  });
});

describe("what joins leaves no wood twice and none missing", () => {
  const box = (length: number, width: number, thickness: number, at: Vec = [0, 0, 0]) =>
    stood(solidOf({ length, width, thickness }), { at, x: [1, 0, 0], y: [0, 1, 0] });
  it("faces that touch, lie in one plane, or are the same", () => {
    const [a, b] = [box(100, 50, 20), box(100, 50, 20, [100, 0, 0])];
    expect(shared(a, b)).toEqual([]);
    expect(bulkOf(together(a, b)).volume).toBeCloseTo(200_000, 6);
    expect(bulkOf(less(a, b)).volume).toBeCloseTo(100_000, 6);
    expect(bulkOf(less(a, a)).volume).toBeCloseTo(0, 6);
    expect(bulkOf(shared(a, a)).volume).toBeCloseTo(100_000, 6);
    expect(bulkOf(together(a, a)).volume).toBeCloseTo(100_000, 6);
    expect(bulkOf(less(a, box(50, 50, 20))).volume).toBeCloseTo(50_000, 6);
    expect(bulkOf(less(a, box(30, 20, 20, [20, 10, 0]))).volume).toBeCloseTo(100_000 - 12_000, 6);
  });
  it("a tenon fills its mortise, and what was cut and what is left are the whole", () => {
    const leg = box(75, 75, 700);
    const tenon = box(40, 12, 60, [35, 20, 600]);
    expect(bulkOf(less(leg, tenon)).volume + bulkOf(shared(leg, tenon)).volume).toBeCloseTo(bulkOf(leg).volume, 3);
    expect(bulkOf(shared(less(leg, tenon), tenon)).volume).toBeCloseTo(0, 6);
    expect(bulkOf(together(less(leg, tenon), tenon)).volume).toBeCloseTo(bulkOf(leg).volume, 3);
  });
  it("inside out it holds as much less", () => expect(bulkOf(inverted(box(10, 10, 10))).volume).toBeCloseTo(-1000, 9));
});
