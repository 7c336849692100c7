/** Splayed legs that are turned round, each under its arm. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shared } from "../../../assembly/carve";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { BlindTenon } from "../../../joinery/blind-tenon";
import { applyPatches, Patch } from "../../../piece/patch";
import { clashesInPoses, partOf } from "../../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../../testing/plans";
import { outAt } from "./lean";
import { legFace, Splayed } from "./place";

const set = (path: string, value: unknown) => at(`form.splayed.${path}`, value);
/** A round top of 1000, 740 high and 26 thick, three round legs of 52 that end at 34, splayed 9° under arms 50 deep. */
const ROUND: Patch[] = [
  ...[
    at("form.kind", "splayed"),
    at("form.height", 740),
    at("form.top.outline", "ellipse"),
    at("form.top.thickness", 26),
  ],
  ...[at("form.top.length", 1000), at("form.top.width", 1000), at("joints.fastening", "oversized")],
  ...[set("legs", 3), set("turn", 90), set("hub", "mitred"), set("joint", "loose"), set("splay", 9)],
  ...[set("shape", "round"), set("section", 52), set("foot", 34), set("arm", { depth: 50, thickness: 45 })],
];
const table = (...patches: Patch[]) => planOf(tableWith(...ROUND, ...patches));

describe("three round legs under arms, worked by hand", () => {
  const plan = table();
  it("each is a frustum from 17 to 26 in radius, 664 / cos 9° long in its middle, and stands on the floor under its arm", () => {
    const leg = partOf(plan, "L1");
    const bare = bodyOf({ ...leg, adds: [], cuts: [] });
    const { least, most } = boundsOf(stood(bare, leg.place));
    expect(least[1]).toBeCloseTo(0, 6);
    expect(most[1]).toBeCloseTo(740 - 26 - 50, 6);
    const long = 664 / Math.cos((9 * Math.PI) / 180);
    // its ends are cut aslant: what one loses the other gains, but for the taper; 32 planes round it are a little more than a circle
    const frustum = (Math.PI * long * (26 ** 2 + 26 * 17 + 17 ** 2)) / 3;
    expect(Math.abs(bulkOf(bare).volume / frustum - 1)).toBeLessThan(0.012);
  });
  it("the head's loose tenon lies within the round, and nothing stands in anything", () => {
    for (const section of [30, 34, 40, 46, 52, 60, 72]) {
      const joint = table(set("section", section)).joints.find(({ id }) => id === "arm+splayed-leg") as BlindTenon;
      // the head is an ellipse, a level cut of the round: the slot’s corners lie in it
      const [half, side] = [(joint.tenonWidth / 2) * Math.cos((9 * Math.PI) / 180), joint.thickness / 2];
      expect(Math.hypot(half, side), `${section}`).toBeLessThan(section / 2);
    }
    expect(find(plan, "joints.walls").level).not.toBe("fix");
    expect(clashesInPoses(plan)).toEqual([]);
    expect(find(plan, "form.turned").level).toBe("holds");
  });
  it("is turned once its slots are cut", () => {
    const order = plan.steps.map(({ id }) => id);
    expect(plan.steps.find(({ id }) => id === "taper")!.title).toBe("Turn the legs");
    expect(order.indexOf("heads")).toBeLessThan(order.indexOf("taper"));
    expect(table(set("foot", 52)).steps.some(({ id }) => id === "taper")).toBe(true);
  });
  it.each([
    ["a fork", [set("joint", "bridle")], "A fork is sawn in a square head"],
    [
      "a rebate",
      [set("joint", "tenon"), set("rim", { kind: "beside", proud: 18, above: 0, gap: 4 })],
      "A rebate is sawn",
    ],
  ] as [string, Patch[], string][])("%s wants square legs: they stay so, and it is told", (_, patches, words) => {
    const piece = tableWith(...ROUND, ...patches);
    const now = planOf(piece);
    expect(partOf(now, "L1").shape.planes).toBeUndefined();
    const verdict = find(now, "form.turned");
    expect(verdict.level).toBe("fix");
    expect(verdict.text).toContain(words);
    for (const { patches: mend } of verdict.remedies) {
      const mended = planOf(applyPatches(piece, mend)).verdicts.find(({ id }) => id === "form.turned");
      expect(mended?.level ?? "holds").toBe("holds");
    }
  });
  it("a star is hollowed round them: its middle ends on the line nearest to the middle, its lips 26/2 beside that", () => {
    const star = table(set("star", { kind: "star", height: 160, depth: 45, thickness: 26 }));
    expect(find(star, "form.turned").level).toBe("holds");
    expect(clashesInPoses(star)).toEqual([]);
    // half way up the star the leg’s axis has leant in by its height; its radius there is the cone’s
    const { lean, arms } = star.geometry as Splayed;
    const up = 160 + 22.5;
    const face = legFace(star.geometry as Splayed, arms[0], up);
    const along = up / lean.cos + 26 * lean.tan;
    const r = 17 + (9 * along) / lean.length;
    expect(face.section / 2).toBeCloseTo(r, 0);
    const body = stood(bodyOf(partOf(star, "SR1")), partOf(star, "SR1").place);
    const reach = Math.max(...body.flatMap(({ corners }) => corners.map(([x, , z]) => x * arms[0].x + z * arms[0].z)));
    const low = legFace(star.geometry as Splayed, arms[0], 160);
    const r0 = low.section / 2;
    // the cone's own line, point by point along the leg: 160 high it lies there
    const { sin, cos } = { sin: Math.sin((9 * Math.PI) / 180), cos: Math.cos((9 * Math.PI) / 180) };
    const onCone = (x: number) => {
      const y = 26 - (17 + (9 * x) / lean.length);
      return { out: arms[0].foot - 52 * cos - x * sin + y * cos, up: -52 * sin + x * cos + y * sin };
    };
    const spots = Array.from({ length: 20_000 }, (_, i) => onCone((lean.length * i) / 20_000));
    const there = spots.reduce((a, b) => (Math.abs(b.up - 160) < Math.abs(a.up - 160) ? b : a));
    expect(outAt(low, 160)).toBeCloseTo(there.out, 1);
    expect(reach).toBeCloseTo(outAt(low, 160) + r0 - Math.sqrt(r0 * r0 - 13 * 13), 0);
    // lips hug the leg: nothing is left between that a card would go into
    const leg = stood(bodyOf({ ...partOf(star, "L1"), cuts: [] }), partOf(star, "L1").place);
    const fat = stood(
      bodyOf({ ...partOf(star, "SR1"), cuts: partOf(star, "SR1").cuts.filter(({ by }) => by !== "hollow") }),
      partOf(star, "SR1").place,
    );
    expect(bulkOf(shared(fat, leg)).volume).toBeGreaterThan(500);
  });
  it("arms tenoned into them are hollowed too; what is too thick for that is told", () => {
    const arms = table(set("joint", "tenon"), set("arm", { depth: 50, thickness: 34 }));
    expect(find(arms, "form.turned").level).toBe("holds");
    expect(clashesInPoses(arms)).toEqual([]);
    const piece = tableWith(...ROUND, set("joint", "tenon"), set("arm", { depth: 50, thickness: 50 }));
    expect(find(planOf(piece), "form.turned").text).toBe("The arms are too thick to be hollowed round the legs");
    expect(remediesThatFail(piece, "form.turned")).toEqual([]);
  });
  it("any star under any turned legs shares wood with none", () =>
    fc.assert(
      fc.property(
        fc.record({
          legs: fc.integer({ min: 3, max: 6 }),
          splay: fc.integer({ min: 0, max: 14 }),
          section: fc.integer({ min: 40, max: 70 }),
          thickness: fc.integer({ min: 14, max: 24 }),
          height: fc.integer({ min: 60, max: 400 }),
          joint: fc.constantFrom("loose", "tenon"),
        }),
        ({ legs, thickness, height, ...rest }) => {
          const plan = table(
            ...Object.entries(rest).map(([key, value]) => set(key, value)),
            ...[set("legs", legs), set("foot", 34), set("arm", { depth: 50, thickness: 26 })],
            set("star", { kind: "star", height, depth: 40, thickness }),
          );
          if (find(plan, "form.turned").level === "holds") expect(clashesInPoses(plan)).toEqual([]);
        },
      ),
      { numRuns: 6, seed: 20261127 },
    ));
});
