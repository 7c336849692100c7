import { describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { weighed } from "../../../assembly/weight";
import { bulkOf } from "../../../assembly/solid";
import type { BlindTenon } from "../../../joinery/blind-tenon";
import type { ThroughTenon } from "../../../joinery/through-tenon";
import type { Piece } from "../../../piece/schema";
import { clashes } from "../../../testing/clashes";
import { at, find, planOf, tableWith } from "../../../testing/plans";
import type { Plan } from "../../../plan";
import type { Patch } from "../../../piece/patch";

const trestle = (...patches: Patch[]): Piece => tableWith(at("form.kind", "trestle"), ...patches);
const trestles = (path: string, value: unknown) => at(`form.trestle.${path}`, value);
const joint = <J>(plan: Plan, id: string) => plan.joints.find((each) => each.id === id) as J;
const part = (plan: Plan, id: string) => plan.parts.find((each) => each.id === id)!;

const VARIANTS: [string, Piece][] = [
  ["the usual trestle", trestle()],
  ["two posts an end", trestle(trestles("post.count", 2))],
  ["three ends", trestle(trestles("ends", 3), at("form.top.length", 2600))],
  ["a plain through tenon, flush", trestle(trestles("stretcher.joint", "through"), trestles("stretcher.proud", 0))],
  ["a blind stretcher", trestle(trestles("stretcher.joint", "blind"))],
  ["lag screws", trestle(trestles("stretcher.joint", "lagged"))],
  ["an arched stretcher", trestle(trestles("stretcher.arch", 25))],
  ["tenoned struts", trestle(trestles("struts.joint", "tenoned"))],
  ["housed struts", trestle(trestles("struts.joint", "shouldered"))],
  ["two ties", trestle(trestles("ties.count", "two"))],
  [
    "two ties over three ends",
    trestle(trestles("ties.count", "two"), trestles("ends", 3), at("form.top.length", 2600)),
  ],
  ["uprights", trestle(trestles("uprights", 2))],
  ["pads and rounded feet", trestle(trestles("foot.pads", true), trestles("foot.ends", "rounded"))],
  ["square feet without relief", trestle(trestles("foot.ends", "square"), trestles("foot.relief", 0))],
  ["braces wider than the posts", trestle(trestles("brace.thickness", 80), trestles("ties.count", "two"))],
  [
    "twin tenons and loose ones",
    trestle(
      at("joints.groups", {
        "foot+post": { kind: "tenon", thickness: null, length: null, tenons: null, twin: true, pinned: true },
        "brace+post": { kind: "loose", thickness: null, length: null, tenons: 2, twin: false, pinned: false },
      }),
    ),
  ],
  ["under slats", trestle(at("form.field", "slats"))],
  ["under breadboards", trestle(at("form.ends", "breadboards"))],
];

describe("a trestle as parts that meet", () => {
  it.each(VARIANTS)("%s: joined, no wood is in two parts", (_, piece) => {
    expect(clashes(planOf(piece).assembly.parts)).toEqual([]);
  });

  it.each(VARIANTS)("%s: each part weighs the same by its pieces as by its whole body", (_, piece) => {
    for (const part of planOf(piece).assembly.parts)
      expect(weighed(part).volume / bulkOf(bodyOf(part)).volume).toBeCloseTo(1, 9);
  });

  it.each(VARIANTS)("%s: every setting of it is planned to the cards", (_, piece) => {
    const plan = planOf(piece);
    expect(plan.failures).toEqual([]);
    expect(plan.steps.map((each) => each.id)).toEqual(
      expect.arrayContaining(["mortise", "tenon", "glue-base", "cut-feet"]),
    );
    expect(new Set(plan.cards.map((each) => each.joint))).toEqual(new Set(plan.joints.map((each) => each.id)));
  });
});

describe("by hand (posts 64 thick with 1400 between their inside faces, tenons 6 proud)", () => {
  // a top of 2128 with posts 300 in from its ends: 2128 − 600 − 2 × 64 = 1400
  const plan = planOf(trestle(at("form.top.length", 2128), at("form.overhang.end", 300)));

  it("the stretcher is 1540", () => {
    expect(part(plan, "stretcher").shoulder).toBe(1400);
    expect(part(plan, "stretcher").finished.length).toBe(1540);
  });
  it("flush it is 1528, blind it holds two tenons, lagged two stubs of 12", () => {
    const of = (kind: string) =>
      planOf(
        trestle(
          at("form.top.length", 2128),
          at("form.overhang.end", 300),
          trestles("stretcher.joint", kind),
          trestles("stretcher.proud", 0),
        ),
      );
    expect(part(of("through"), "stretcher").finished.length).toBe(1528);
    const blind = of("blind");
    expect(part(blind, "stretcher").finished.length).toBe(1400 + 2 * joint<BlindTenon>(blind, "post+stretcher").length);
    expect(part(of("lagged"), "stretcher").finished.length).toBe(1424);
  });
  it("its tenon is half its thickness, rounded to a chisel: 20 of 40, with 10 of shoulder", () => {
    const tenon = joint<ThroughTenon>(plan, "post+stretcher");
    expect(tenon.thickness).toBe(20);
    expect(tenon.shoulders.face).toBe(10);
    // 110 deep less two shoulders of 8
    expect(tenon.tenonWidth).toBe(94);
    expect(tenon.length).toBe(70);
  });
  it("a post is what foot, brace and top leave of the height, and its two tenons", () => {
    const [foot, brace] = [joint<BlindTenon>(plan, "foot+post"), joint<BlindTenon>(plan, "brace+post")];
    // 750 high, a top of 28, a brace of 70, a foot of 80
    expect(part(plan, "post").shoulder).toBe(750 - 28 - 70 - 80);
    expect(part(plan, "post").finished.length).toBe(572 + foot.length + brace.length);
    // two thirds of the 68 that the relief leaves of the foot, to a half: 45; of the brace's 70: 46.5
    expect([foot.length, brace.length]).toEqual([45, 46.5]);
  });
  it("posts wider than 100 get two tenons with a gap", () => {
    const foot = joint<BlindTenon>(plan, "foot+post");
    expect(foot.tenons).toBe(2);
    expect(2 * foot.tenonWidth + foot.gap + 2 * foot.shoulders.end).toBeCloseTo(150, 9);
  });
  it("a laminated post is two leaves of 33, 2 wider", () =>
    expect(part(plan, "post").stock).toEqual([
      { suffix: "a", width: 152, thickness: 33, matched: false },
      { suffix: "b", width: 152, thickness: 33, matched: false },
    ]));
  it("struts that reach 180 are 254.6 from long point to long point, 84.9 of shoulder for 60 wide (derived: √2)", () => {
    const strutted = planOf(trestle(trestles("struts.joint", "shouldered")));
    expect(part(strutted, "strut").shoulder).toBeCloseTo(254.558, 3);
    expect(
      joint<{ section: { width: number } } & Plan["joints"][number]>(strutted, "post+strut").section.width,
    ).toBeCloseTo(84.853, 3);
  });
  it("a foot's arch takes its segment away, by closed form", () => {
    const foot = plan.assembly.parts.find((each) => each.kind === "foot")!;
    const square = planOf(trestle(trestles("foot.ends", "square"), trestles("foot.relief", 0))).assembly.parts.find(
      (each) => each.kind === "foot",
    )!;
    expect(bulkOf(bodyOf({ ...square, cuts: [] })).volume).toBeCloseTo(700 * 80 * 64, 0);
    // relief of 12 over 700 − 2 × 100: r = 500²/96 + 6; two bevels of 40 by 44
    const radius = 500 ** 2 / 96 + 6;
    const half = Math.asin(250 / radius);
    const segment = (radius ** 2 / 2) * (2 * half - Math.sin(2 * half));
    expect(bulkOf(bodyOf({ ...foot, cuts: [] })).volume / (64 * (700 * 80 - segment - 40 * 44))).toBeCloseTo(1, 3);
  });
});

describe("what can't be built is said, with the part's name and the fix", () => {
  const fixed = (piece: Piece, id: string) => {
    const verdict = find(planOf(piece), id);
    expect(verdict.level).toBe("fix");
    return verdict;
  };
  it("a foot shorter than its post is wide", () => {
    const verdict = fixed(trestle(trestles("foot.length", 120)), "form.foot");
    expect(verdict.text).toBe("The foot is 30 mm shorter than what stands on it");
    expect(verdict.remedies[0].label).toBe("Make feet 350 mm long");
  });
  it("a stretcher longer than any board", () => {
    const verdict = fixed(trestle(at("form.top.length", 4000)), "form.stretcher-long");
    expect(verdict.text).toMatch(/^The stretcher is .* long, longer than any board$/);
    expect(verdict.remedies[0].label).toBe("Stand it on three ends");
  });
  it("struts that meet each other", () => {
    const verdict = fixed(
      trestle(trestles("struts.joint", "tenoned"), trestles("post.count", 2), trestles("post.apart", 320)),
      "form.struts",
    );
    expect(verdict.text).toMatch(/^The struts of two posts meet each other by/);
  });
  it("a tenon thicker than its part", () => {
    const verdict = fixed(
      trestle(
        at("joints.groups", {
          "foot+post": { kind: "tenon", thickness: 70, length: null, tenons: null, twin: false, pinned: false },
        }),
      ),
      "joints.thickness",
    );
    expect(verdict.text).toBe("Post to foot: the tenon of 70 mm is thicker than its part");
  });
  it("a stretcher that misses the posts, and braces that don't bear", () => {
    fixed(trestle(trestles("stretcher.height", 20)), "form.stretcher");
    fixed(trestle(trestles("brace.length", 150)), "form.brace");
  });
  it("each remedy mends what it stands beside", () => {
    for (const [id, patch] of [
      ["form.foot", trestles("foot.length", 120)],
      ["form.stretcher", trestles("stretcher.height", 20)],
      ["form.brace", trestles("brace.length", 150)],
      ["form.tips", trestles("foot.length", 300)],
    ] as const) {
      const bad = trestle(patch);
      const verdict = find(planOf(bad), id);
      expect([id, verdict.level === "holds"]).toEqual([id, false]);
      const mended = trestle(patch, ...verdict.remedies[0].patches);
      expect([id, find(planOf(mended), id).level]).toEqual([id, "holds"]);
    }
  });
});

describe("what moves and what holds it", () => {
  it("a wide post in one tenon strains its foot; two tenons strain it less (derived: half the stretch)", () => {
    const one = (tenons: number) =>
      planOf(
        trestle(
          trestles("post.width", 260),
          at("joints.groups", {
            "foot+post": { kind: "tenon", thickness: null, length: null, tenons, twin: false, pinned: false },
          }),
        ),
      ).stopped.find((each) => each.link.a === "Q1" && each.slip > 0);
    const [whole, halved] = [one(1)!, one(2)!];
    expect(whole.axis).toBe(2);
    expect(whole.slip).toBeGreaterThan(2 * halved.slip);
  });
  it("fasteners sit on the braces, inside them", () => {
    const plan = planOf(trestle());
    expect(plan.fasteners.length).toBeGreaterThan(3);
    for (const each of plan.fasteners) expect(["H1", "H2"]).toContain(each.bearer);
    expect(Math.max(...plan.fasteners.map((each) => Math.abs(each.x)))).toBeLessThan(
      Math.max(...plan.geometry.bearers.map((each) => Math.abs(each.at))),
    );
  });
});
