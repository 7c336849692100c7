/** Edges by typed points: lines and arcs from end to end, or to the middle and back. */
import { describe, expect, it } from "vitest";
import { bodyOf } from "../assembly/part";
import { bulkOf, stood } from "../assembly/solid";
import { AS_THE_PIECE, CurveChoice } from "../piece/kinds";
import { applyPatches } from "../piece/patch";
import { segmentArea as segment } from "../testing/arcs";
import { clashes } from "../testing/clashes";
import { at, find, planOf, tableWith } from "../testing/plans";
import { edgeLine } from "./edge-line";

const curve = (kind: string, choice: CurveChoice) => at(`kinds.${kind}`, { ...AS_THE_PIECE, curve: choice });
const LOWER: CurveChoice = { edge: "lower", rise: 20, straight: 60, way: "hollow", points: [], mirrored: true };
/** A table with a stretcher between two end stretchers: 60 by 25. */
const H = [at("form.low.kind", "h"), at("form.low.depth", 60)];

describe("an edge by points, worked by hand", () => {
  /** A step of 12 over 20 mm, 100 from each end, and straight between. */
  const STEP: CurveChoice = {
    ...{ ...LOWER, way: "points", mirrored: true },
    points: [
      { x: 100, y: 0, rise: 0 },
      { x: 120, y: 12, rise: 0 },
    ],
  };
  const plain = planOf(tableWith(...H));
  const stick = (from: typeof plain) => from.assembly.parts.find(({ kind }) => kind === "middle-stretcher")!;
  const withPoints = (choice: Partial<CurveChoice>) =>
    planOf(tableWith(...H, curve("middle-stretcher", { ...STEP, ...choice })));
  const gone = (plan: typeof plain) => bulkOf(bodyOf(stick(plain))).volume - bulkOf(bodyOf(stick(plan))).volume;

  it("loses a trapezoid 12 deep: all but 200 of its length below, all but 240 above", () => {
    const { length, thickness } = stick(plain).shape;
    expect(gone(withPoints({}))).toBeCloseTo(((length - 200 + length - 240) / 2) * 12 * thickness, 0);
  });
  it("at one end only it is drawn from there to the other end", () => {
    const { length, thickness } = stick(plain).shape;
    const only = withPoints({
      mirrored: false,
      points: [...STEP.points, { x: 320, y: 12, rise: 0 }, { x: 340, y: 0, rise: 0 }],
    });
    expect(gone(only)).toBeCloseTo(220 * 12 * thickness, 0);
    expect(length).toBeGreaterThan(340);
  });
  it("an arc to its own mirror image is one arc: a segment over what lies between", () => {
    const { length, thickness } = stick(plain).shape;
    const arc = withPoints({ points: [{ x: 60, y: 0, rise: -20 }] });
    expect(gone(arc) / (segment(length - 120, 20) * thickness)).toBeCloseTo(1, 2);
    expect(
      edgeLine({ ...STEP, points: [{ x: 60, y: 0, rise: -20 }] }, 1000).map(({ at: [x], rise }) => [x, rise]),
    ).toEqual([
      [0, 0],
      [60, -20],
      [940, 0],
      [1000, 0],
    ]);
  });
  it("what goes out of the edge wants a wider board", () => {
    const out = withPoints({ points: STEP.points.map((point) => ({ ...point, y: -point.y })) });
    expect(out.parts.find(({ id }) => id === "middle-stretcher")!.finished.width).toBe(60 + 12);
    expect(clashes(out.assembly.parts)).toEqual([]);
  });
  it.each([
    ["none", [], "wants a point"],
    [
      "back and forth",
      [
        { x: 200, y: 5, rise: 0 },
        { x: 100, y: 9, rise: 0 },
      ],
      "runs back",
    ],
    ["past the middle of a mirrored one", [{ x: 5000, y: 5, rise: 0 }], "runs back, or past its end"],
    [
      "too round",
      [
        { x: 100, y: 0, rise: 40 },
        { x: 120, y: 0, rise: 0 },
      ],
      "half a circle",
    ],
    ["into its shoulder", [{ x: 0, y: 8, rise: 0 }], "its very end"],
    ["right through", [{ x: 100, y: 70, rise: 0 }], "not wide enough"],
  ])("%s: it stays straight and is told", (_, points, words) => {
    const plan = withPoints({ points });
    expect(stick(plan).shape.face).toBeUndefined();
    const verdict = find(plan, "form.curves");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toContain(words);
    const mended = planOf(
      applyPatches(tableWith(...H, curve("middle-stretcher", { ...STEP, points })), verdict.remedies[0].patches),
    );
    expect(mended.verdicts.find(({ id }) => id === "form.curves")).toBeUndefined();
  });
  it("a steep step is short-grained, a gentle one is not", () => {
    const steep = find(
      withPoints({
        points: [
          { x: 100, y: 0, rise: 0 },
          { x: 130, y: 24, rise: 0 },
        ],
      }),
      "form.curve-grain",
    );
    // 24 over 40 mm
    expect(steep.actual).toBe(Math.round((Math.atan(24 / 40) * 180) / Math.PI));
    expect(steep.level).toBe("fix");
    expect(find(withPoints({}), "form.curve-grain").level).toBe("tight");
  });
  it("a post is curved toward the piece's middle or away from it", () => {
    const post = (edge: CurveChoice["edge"]) =>
      planOf(
        tableWith(
          ...[at("form.kind", "trestle"), at("form.trestle.post.count", 2)],
          curve("post", { ...LOWER, rise: 12, straight: 120, edge }),
        ),
      );
    const middles = (plan: ReturnType<typeof post>) =>
      plan.assembly.parts
        .filter(({ kind }) => kind === "post")
        .map((part) => {
          expect(part.shape.face).toBeDefined();
          return bulkOf(stood(bodyOf(part), part.place)).centre[2];
        });
    // wood is gone where it is curved: the rest lies the other way, on both sides of the middle
    const [outer, inner] = [middles(post("upper")), middles(post("lower"))];
    expect(outer).toHaveLength(4);
    outer.forEach((z, i) => expect(Math.abs(z)).toBeLessThan(Math.abs(inner[i])));
    expect(find(post("both"), "form.curves").level).toBe("holds");
  });
});
