import fc from "fast-check";
import Module, { ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { bodyOf } from "../../../assembly/part";
import { solidOf } from "../../../assembly/shape";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import type { Mitre } from "../../../joinery/mitred";
import type { Patch } from "../../../piece/patch";
import { USUAL_SHOP } from "../../../piece/shop";
import { bodiesOfParts, clashes } from "../../../testing/clashes";
import { at, find, planOf, strips, tableWith } from "../../../testing/plans";
import { preview } from "../../preview";
import { plank } from "./index";
import type { Plank } from "./place";

const SEED = Number(process.env.SEED ?? 20261126);
const set = (path: string, value: unknown) => at(`form.plank.${path}`, value);
/** A bench 1300 by 360, 450 high, its top 30 thick. */
const BENCH: Patch[] = [
  ...[at("form.kind", "plank"), at("form.use", "bench"), at("form.height", 450)],
  ...[at("form.top.length", 1300), at("form.top.width", 360), at("form.top.thickness", 30)],
  ...[at("form.overhang", { end: 100, side: 0 }), set("setIn", 20), set("thickness", 32)],
];
const bench = (...patches: Patch[]) => planOf(tableWith(...BENCH, ...patches));
const listed = (plan: ReturnType<typeof planOf>, id: string) => plan.parts.find((part) => part.id === id)!.finished;

describe("a bench on plank ends, worked by hand", () => {
  it("let in: 420 under the top and 8 in it, 320 wide, as thick as they are chosen", () => {
    const plan = bench();
    expect(listed(plan, "plank-end")).toMatchObject({
      length: expect.closeTo(428, 6),
      width: expect.closeTo(320, 6),
      thickness: expect.closeTo(32, 6),
    });
    // 1300 less two overhangs of 100 and two ends of 32, and both through tenons 6 proud
    expect(listed(plan, "stretcher").length).toBeCloseTo(1036 + 2 * 38, 6);
    expect(plan.cards.find(({ joint }) => joint === "top+plank-end")!.lines[0].setting).toBe("8 mm deep");
  });
  it("mitred: ends as high and as wide as the whole, long points 1300 apart, one blank of 2280", () => {
    const plan = bench(set("joint", "mitred"));
    expect(listed(plan, "plank-end")).toMatchObject({
      length: expect.closeTo(450, 6),
      width: expect.closeTo(360, 6),
      thickness: expect.closeTo(30, 6),
    });
    const end = plan.assembly.parts.find(({ id }) => id === "P1")!;
    const { least, most } = boundsOf(stood(bodyOf(end), end.place));
    expect([least[0], most[0], least[1], most[1]]).toEqual([-650, -620, 0, 450].map((each) => expect.closeTo(each, 6)));
    // 1300 + 2 · 450, and at each mitre 30 thick and 10 for kerf and tilt
    const said = plan.cards.find(({ joint }) => joint === "top+plank-end")!.lines[0].setting;
    expect(said).toContain("2280 mm by 360 mm");
  });
  it("a mitre takes half of the corner's square from the top and half from the end", () => {
    const plan = bench(set("joint", "mitred"), set("relief", 0), set("stretcher.kind", "none"));
    const joint = plan.joints.find(({ id }) => id === "top+plank-end") as Mitre;
    const slots = joint.tenons * joint.tenonWidth * joint.thickness * (joint.reach + 1);
    const volume = (id: string) => bulkOf(bodyOf(plan.assembly.parts.find((part) => part.id === id)!)).volume;
    const corner = (30 * 30 * 360) / 2;
    expect(volume("P1")).toBeCloseTo(450 * 360 * 30 - corner - slots, 1);
    expect(volume("T")).toBeCloseTo(1300 * 360 * 30 - 2 * corner - 2 * slots, 1);
  });
  it("its loose tenons lie inside both boards, 3 of wood at least between each and a face", () => {
    const plan = bench(set("joint", "mitred"), set("relief", 0), set("stretcher.kind", "none"));
    const tenons = plan.small.filter(({ by }) => by === "top+plank-end");
    expect(tenons.length).toBeGreaterThan(3);
    for (const each of tenons) {
      const corners = stood(solidOf(each.shape), each.place).flatMap((facet) => facet.corners);
      for (const [x, y] of corners) {
        // from the outer faces inward: the board's thickness is 30, whichever of the two it lies in
        const [out, up] = [650 - Math.abs(x), 450 - y];
        expect(Math.min(out, up)).toBeGreaterThan(3);
        expect(Math.min(out, up)).toBeLessThan(30 - 3);
      }
    }
  });
  it("its ends are panels: composed, moved and glued as the top is, and shrink with it without being stopped", () => {
    const plan = bench(
      at("panels.end-1", {
        strips: strips("B1", "B2", "B3"),
        pinned: [],
        banned: [],
        crosscutFirst: true,
        sawnFace: null,
      }),
    );
    expect(plan.panels.map(({ place }) => place.id)).toEqual(["end-1", "end-2"]);
    expect(plan.panels[0].laid.map(({ board }) => board.id)).toEqual(["B1", "B2", "B3"]);
    expect(plan.glueUp.some(({ id }) => id.startsWith("end-1-"))).toBe(true);
    expect(plan.verdicts.filter(({ id, level }) => id.startsWith("movement.stopped") && level !== "holds")).toEqual([]);
    expect(plan.fasteners).toEqual([]);
  });
  it("is closed with its top: joints before the dry fit, both sanded before the glue, nothing screwed on after", () => {
    const ids = bench().steps.map(({ id }) => id);
    for (const order of [
      ["plank-end-size", "corners", "stretcher", "dry-fit", "sand-base", "glue-base", "trim-wedges", "cut-feet"],
      ["flatten", "corners"],
      ["sand-top", "glue-base"],
    ]) {
      expect(
        order.every((id) => ids.includes(id)),
        order.join(),
      ).toBe(true);
      expect(order.map((id) => ids.indexOf(id))).toEqual(order.map((id) => ids.indexOf(id)).sort((a, b) => a - b));
    }
    expect(bench().steps.find(({ id }) => id === "attach")!.title).toBe("Set it up");
  });
});

describe("a cube stool, worked by hand: 400 outside from boards 36 thick", () => {
  const cube = (...patches: Patch[]) =>
    planOf(
      tableWith(
        ...[at("form.kind", "plank"), at("form.use", "stool"), at("form.height", 400)],
        ...[at("form.top.length", 400), at("form.top.width", 400), at("form.top.thickness", 36)],
        ...[set("joint", "mitred"), set("floor", "mitred"), set("stretcher.kind", "none"), ...patches],
      ),
    );
  const plan = cube();

  it("is four boards 400 by 400 by 36, a mitre at each of four corners, 328 by 328 inside", () => {
    expect(plan.parts.map(({ id, count, finished: f }) => [id, count, f.length, f.width, f.thickness])).toEqual([
      ["top", 1, 400, 400, 36],
      ["plank-end", 2, 400, 400, 36],
      ["bottom-board", 1, 400, 400, 36],
    ]);
    expect(plan.joints.map(({ kind, count }) => [kind, count])).toEqual([
      ["mitre", 2],
      ["mitre", 2],
    ]);
    expect(plank.sizes(tableWith().form, plan.geometry as Plank)).toContainEqual(["Inside", "328 mm by 328 mm"]);
  });

  it("weighs what its ring holds: outside less inside, less its slots", () => {
    const slots = plan.joints.reduce((sum, joint) => {
      const { tenons, tenonWidth, thickness, reach, count } = joint as Mitre;
      return sum + count * 2 * tenons * tenonWidth * thickness * (reach + 1);
    }, 0);
    const volume = plan.assembly.parts.reduce((sum, part) => sum + bulkOf(bodyOf(part)).volume, 0);
    expect(volume).toBeCloseTo((400 * 400 - 328 * 328) * 400 - slots, 0);
  });

  it("comes off one blank in a row: four boards and three mitres of 36 and 10 for kerf and tilt", () => {
    const said = plan.cards.find(({ joint }) => joint === "top+plank-end")!.lines[0];
    expect(said.what).toContain("end, top, end, bottom");
    expect(said.setting).toContain("1738 mm by 400 mm");
  });

  it("a blade that reaches 53 at 45° takes 36 on a sled 12 thick; 45 needs the board turned end for end", () => {
    const tilt = (thick: number) =>
      cube(at("form.top.thickness", thick))
        .cards.find(({ joint }) => joint === "top+plank-end")!
        .lines.find(({ what }) => what === "Saw tilt")!.setting;
    expect(tilt(36)).toMatch(/on the sled$/);
    expect(tilt(45)).toMatch(/only 41 mm over the sled’s base: .*turned end for end$/);
    expect(tilt(60)).toMatch(/reaches 53 mm of 60 mm: from both faces/);
  });

  it("stands square by its corners, and all four are glued at once", () => {
    expect(find(plan, "form.racking")).toMatchObject({ level: "holds" });
    expect(find(cube(at("form.top.length", 1000)), "form.racking").level).toBe("tight");
    expect(plan.steps.find(({ id }) => id === "glue-base")!.title).toBe("Glue all four corners");
    expect(
      plan.verdicts.filter(({ id }) => id.startsWith("form.touch")).filter(({ level }) => level === "fix"),
    ).toEqual([]);
    expect(find(cube(set("stretcher.kind", "blind"), set("stretcher.height", 20)), "form.stretcher").level).toBe("fix");
  });
});

describe("what is wrong is said", () => {
  it("slats over ends that are joined to one panel, a mitre under an oval, nothing that ties the ends", () => {
    expect(find(bench(at("form.field", "slats")), "form.plank-top")).toMatchObject({ level: "fix" });
    expect(find(bench(set("joint", "mitred"), at("form.top.outline", "ellipse")), "form.plank-top").level).toBe("fix");
    const loose = find(bench(set("stretcher.kind", "none")), "form.racking");
    expect([loose.level, loose.remedies[0].label]).toEqual(["fix", "Tie the ends by a stretcher"]);
    expect(find(bench(set("stretcher.kind", "none"), at("form.shelf.kind", "solid")), "form.racking").level).toBe(
      "holds",
    );
  });
  it("a stretcher that stands in the top", () =>
    expect(find(bench(set("stretcher.height", 400)), "form.stretcher").remedies[0].label).toBe("Set it 320 mm high"));
});

const choices = fc.record({
  ends: fc.constantFrom(2, 3),
  joint: fc.constantFrom("mitred", "housed", "loose", "through"),
  proud: fc.integer({ min: 0, max: 8 }),
  thickness: fc.integer({ min: 20, max: 50 }),
  setIn: fc.integer({ min: 0, max: 60 }),
  relief: fc.integer({ min: 0, max: 40 }),
  floor: fc.constantFrom("none", "mitred"),
  kind: fc.constantFrom("none", "wedged", "blind"),
  top: fc.integer({ min: 20, max: 45 }),
  width: fc.integer({ min: 300, max: 800 }),
});
const made = ({
  kind,
  top,
  width,
  ...given
}: Record<string, unknown> & { kind: string; top: number; width: number }) => {
  const piece = tableWith(
    ...[...BENCH, at("form.top.thickness", top), at("form.top.width", width), set("stretcher.kind", kind)],
    ...Object.entries(given).map(([path, value]) => set(path, value)),
  );
  const { geometry, assembly } = preview(piece.form, piece.joints, USUAL_SHOP);
  return { at: geometry as Plank, parts: assembly.parts };
};

describe(`plank ends of any choices (seed ${SEED})`, () => {
  let kit: ManifoldToplevel;
  beforeAll(async () => {
    kit = await Module();
    kit.setup();
  });
  it("joined, no two bodies share wood, and every tenon stands on its part", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { parts } = made(given);
        expect(clashes(parts, bodiesOfParts(parts))).toEqual([]);
        for (const { shape, adds } of parts)
          for (const each of adds) {
            const { least, most } = boundsOf(stood(solidOf(each.shape), each.place));
            const whole = [shape.length, shape.width, shape.thickness];
            // only along the grain does a joint reach out of a part
            for (const i of [1, 2]) {
              expect(least[i]).toBeGreaterThan(-1e-6);
              expect(most[i]).toBeLessThan(whole[i] + 1e-6);
            }
          }
      }),
      { numRuns: 40, seed: SEED },
    ));
  it("a mitred corner's two bodies fill its square between them, to a millionth (manifold-3d)", () =>
    fc.assert(
      fc.property(choices, (given) => {
        const { at: g, parts } = made({ ...given, joint: "mitred", kind: "none", relief: 0 });
        const t = g.top.thickness;
        const profile = kit.Manifold.extrude(
          [
            [
              [0, 0],
              // closed below, its foot is mitred too
              [t, g.floor],
              [t, g.under],
              [0, g.under + t],
            ],
          ],
          g.plank.width,
        );
        const end = parts.find(({ id }) => id === "P1")!;
        const plain = { ...end, cuts: end.cuts.filter(({ shows }) => shows) };
        expect(Math.abs(bulkOf(bodyOf(plain)).volume / profile.volume() - 1)).toBeLessThan(1e-6);
      }),
      { numRuns: 40, seed: SEED },
    ));
});
