import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { less, shared } from "../assembly/carve";
import { solidOf } from "../assembly/shape";
import { smallList } from "../assembly/small";
import { bulkOf, Solid, stood } from "../assembly/solid";
import { USUAL_TENON } from "../piece/base-choices";
import { Shop, USUAL_SHOP } from "../piece/shop";
import { bodiesOfParts, clashes } from "../testing/clashes";
import { at, find, planOf, tableWith } from "../testing/plans";
import type { Meets } from "./blind-tenon";
import { DOWEL, dowelled, Dowelled, dowelsAlong } from "./dowelled";
import { endJoint } from "./end-joint";
import type { JointBody } from "./joint";
import { bodiesOf, cardOf, heldBy } from "./kinds";
import { POCKET, pocketScrewed, PocketScrewed, screwsAlong } from "./pocket-screwed";

const SEED = Number(process.env.SEED ?? 20261126);
const meets: Meets = { id: "a+b", group: "a+b", name: "B to a", receives: "a", enters: "b", count: 4 };
const section = { width: 90, thickness: 22 };
const into = { depth: 60, thickness: 60 };
const setting = (kind: "dowels" | "pockets", change: Partial<typeof USUAL_TENON> = {}) => ({
  ...{ ...USUAL_TENON, kind },
  ...change,
});
const pegs = (change: Partial<typeof USUAL_TENON> = {}, shop: Shop = USUAL_SHOP, raised: boolean | null = null) =>
  dowelled({ meets, section, into, setting: setting("dowels", change), shop, raised });
const pockets = (change: Partial<typeof USUAL_TENON> = {}, shop: Shop = USUAL_SHOP) =>
  pocketScrewed({ meets, section, into, setting: setting("pockets", change), shop });
const volume = (bodies: readonly JointBody[]) =>
  bodies.reduce((sum, { shape, place }) => sum + bulkOf(stood(solidOf(shape), place)).volume, 0);
const bodies = (all: readonly JointBody[]): Solid[] => all.map(({ shape, place }) => stood(solidOf(shape), place));

describe("dowels by hand", () => {
  it("two of 8 by 40 in a rail of 90 by 22, 12 from its edges, in its middle", () => {
    // two fifths of 22 is 8.8; 90 / 40 is 2.25
    expect(pegs()).toMatchObject({ diameter: 8, hole: 8, dowels: 2, rows: 1, long: 40, reach: 20, first: 12 });
    expect(dowelsAlong(pegs())).toEqual([12, 78]);
    expect(pegs().across).toEqual([11]);
    expect(pegs().length).toBe(0);
  });
  it("holes are bored to what dowels measure, and the card says so", () => {
    const dowels = [{ diameter: 8, measured: 8.2, length: 40 }];
    const joint = pegs({}, { ...USUAL_SHOP, dowels });
    expect(joint.hole).toBe(8.2);
    expect(cardOf(joint).lines.find(({ what }) => what === "Drill")!.setting).toBe("8.2 mm, as they measure");
    expect(cardOf(pegs()).lines.find(({ what }) => what === "Drill")!.setting).toMatch(/^8 mm, tried in an offcut/);
  });
  it("what the part behind does not take is not asked: a shorter dowel that is owned, or one sawn off", () => {
    const thin = (depth: number, dowels: Shop["dowels"]) =>
      dowelled({
        ...{ meets, section, into: { depth, thickness: 60 }, setting: setting("dowels") },
        shop: { ...USUAL_SHOP, dowels },
      });
    const owned = [40, 60].map((length) => ({ diameter: 8, measured: null, length }));
    // 60 − 8 − 2 takes the long one; 34 only the short; 24 leaves 14 each side of one that is sawn off
    expect(thin(60, owned).long).toBe(60);
    expect(thin(34, owned).long).toBe(40);
    expect(thin(24, owned).long).toBe(28);
  });
  it("a narrow part takes one, and is told that it turns", () => {
    const leg = endJoint({
      meets,
      section: { width: 26, thickness: 22 },
      into,
      setting: setting("dowels"),
      shop: USUAL_SHOP,
    });
    expect((leg as Dowelled).dowels).toBe(1);
  });
});

describe("pocket screws by hand", () => {
  it("through 22 mm: 16.5 before the face, a screw of 38 bites 21.5", () => {
    // 22 × ¾; 50 would bite 33.5, deeper than the part is thick
    expect(pockets()).toMatchObject({ seat: 16.5, long: 38, bite: 21.5, length: 0, glueArea: 0 });
    // 90 / 60 is 1.5, rounded, and one more
    expect(screwsAlong(pockets())).toEqual([14, 45, 76]);
  });
  it("the screw comes out in the middle of the end, at the jig’s slant", () => {
    for (const outward of [1, -1] as const) {
      const screw = bodiesOf(pockets(), outward).brings![0];
      const middle = bulkOf(stood(solidOf(screw.shape), screw.place)).centre;
      // the middle of what lies between 16.5 before and 21.5 behind the face is 2.5 behind it
      expect(middle[0]).toBeCloseTo(2.5 * Math.cos((POCKET.slant * Math.PI) / 180), 6);
      expect(middle[2]).toBeCloseTo(11 + outward * 2.5 * Math.sin((POCKET.slant * Math.PI) / 180), 6);
    }
  });
  it("a part it would come through gets a shorter one", () => {
    const thin = pocketScrewed({
      ...{ meets, section, into: { depth: 16, thickness: 60 }, setting: setting("pockets"), shop: USUAL_SHOP },
    });
    expect([thin.long, thin.walls.find(({ where }) => where.startsWith("beyond"))!.left > 0]).toEqual([25, true]);
  });
});

describe(`of any size (seed ${SEED})`, () => {
  const drawn = fc.record({
    width: fc.integer({ min: 20, max: 200 }),
    thickness: fc.integer({ min: 12, max: 60 }),
    depth: fc.integer({ min: 12, max: 120 }),
    tenons: fc.option(fc.integer({ min: 1, max: 6 })),
    twin: fc.boolean(),
    kind: fc.constantFrom("dowels" as const, "pockets" as const),
  });
  it("what is brought fills its holes and nothing else; glue and screws lie on the face", () =>
    fc.assert(
      fc.property(drawn, ({ width, thickness, depth, kind, tenons, twin }) => {
        const joint = endJoint({
          ...{ meets, section: { width, thickness }, into: { depth, thickness: thickness + 20 }, shop: USUAL_SHOP },
          setting: setting(kind, { tenons, twin }),
        }) as Dowelled | PocketScrewed;
        const { cuts, own, brings = [] } = bodiesOf(joint);
        const holes = [...bodies(cuts), ...bodies(own)];
        for (const each of bodies(brings))
          expect(bulkOf(holes.reduce<Solid>(less, each)).volume).toBeLessThan(1e-3 * bulkOf(each).volume);
        for (const { from, to } of heldBy(joint)) {
          expect(from).toBeGreaterThan(-joint.section.width);
          expect(to).toBeLessThan(2 * joint.section.width);
        }
        if (joint.kind !== "dowelled") return;
        // a cylinder each: what is drilled is deeper than what goes in by what glue needs, both sides
        const round = (long: number) => Math.PI * (joint.hole / 2) ** 2 * long * joint.dowels * joint.rows;
        expect(volume([...cuts, ...own]) / round(2 * (joint.reach + DOWEL.deeper))).toBeCloseTo(1, 1);
        expect(volume(brings) / round(joint.long)).toBeCloseTo(1, 1);
      }),
      { numRuns: 40, seed: SEED },
    ));
  it("dowels of two rails that meet in a leg pass each other, or the wall between them says they can't", () =>
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 200 }), fc.integer({ min: 18, max: 40 }), (width, thickness) => {
        const of = (raised: boolean) =>
          dowelled({
            ...{ meets, section: { width, thickness }, into: { depth: 200, thickness: 200 }, raised, shop: USUAL_SHOP },
            setting: setting("dowels"),
          });
        const [long, end] = [of(false), of(true)];
        const apart = Math.min(
          ...dowelsAlong(long).flatMap((a) => dowelsAlong(end).map((b) => Math.abs(a - b) - long.hole)),
        );
        const said = long.walls.find(({ where }) => where.startsWith("between dowels"));
        if (said) expect(said.left).toBeCloseTo(apart, 6);
      }),
      { numRuns: 60, seed: SEED },
    ));
});

describe("a table whose rails are dowelled, or screwed from pockets", () => {
  const of = (kind: string, ...more: ReturnType<typeof at>[]) =>
    planOf(tableWith(at("joints.legRail.kind", kind), ...more));
  it.each(["dowels", "pockets"])("%s: rails end at their shoulders, nothing fills the same room", (kind) => {
    const plan = of(kind);
    expect(plan.failures).toEqual([]);
    const [rail] = plan.parts.filter(({ id }) => id === "long-rail");
    const tenoned = planOf(tableWith()).parts.find(({ id }) => id === "long-rail")!;
    const reach = planOf(tableWith()).joints.find(({ id }) => id === "leg-long-rail")!.length;
    expect(rail.finished.length).toBeCloseTo(tenoned.finished.length - 2 * reach, 6);
    expect(clashes(plan.assembly.parts, bodiesOfParts(plan.assembly.parts))).toEqual([]);
  });
  it("dowels are wanted by their number, the rails' holes stand on two ladders", () => {
    const plan = of("dowels");
    const dowels = plan.small.filter(({ name }) => name === "Dowel");
    const [long, end] = ["leg-long-rail", "leg-end-rail"].map(
      (id) => plan.joints.find((each) => each.id === id) as Dowelled,
    );
    expect(dowels).toHaveLength(4 * (long.dowels + end.dowels));
    expect(dowelsAlong(end)[0] - dowelsAlong(long)[0]).toBeCloseTo(long.pitch / 2, 9);
    // bought by what they are sold as, not made from offcuts
    expect(smallList(plan.small).find(({ name }) => name === "Dowels")).toMatchObject({
      ...{ width: long.diameter, length: long.long, bought: true, thickness: null },
    });
    const solids = dowels.map(({ shape, place }) => stood(solidOf(shape), place));
    for (const [i, a] of solids.entries())
      for (const b of solids.slice(i + 1)) expect(bulkOf(shared(a, b)).volume).toBe(0);
    expect(find(plan, "joints.dowels").level).toBe("holds");
    expect(plan.steps.find(({ id }) => id === "mortise")!.title).toBe("Bore legs and rail ends for the dowels");
  });
  it("pockets open on the inside of every rail", () => {
    const plan = of("pockets");
    const rails = plan.assembly.parts.filter(({ kind }) => kind === "long-rail" || kind === "end-rail");
    for (const part of rails) {
      const bores = part.cuts.filter(({ shape }) => Math.abs(shape.width - POCKET.bore) < 1e-9);
      expect(bores).toHaveLength(2 * (plan.joints.find(({ enters }) => enters === part.kind) as PocketScrewed).screws);
      for (const { shape, place } of bores) {
        // where the bore begins lies nearer the middle of the piece than the rail's own middle plane
        const flat = part.kind === "long-rail" ? 2 : 0;
        const solid = stood(stood(solidOf(shape), place), part.place);
        const body = stood(solidOf({ ...part.shape, face: undefined }), part.place);
        const side = Math.sign(bulkOf(body).centre[flat]);
        expect(side * bulkOf(solid).centre[flat]).toBeLessThan(side * bulkOf(body).centre[flat]);
      }
    }
    const step = plan.steps.find(({ id }) => id === "glue-base")!;
    expect([step.title, step.wait]).toEqual(["Screw the long rails between the ends", 0]);
    expect(find(plan, "joints.pocket-screws").level).toBe("holds");
  });
  it("what the shop lacks is said, and can be mended", () => {
    const shop = { ...USUAL_SHOP, dowels: [], pocketScrews: [] };
    for (const [kind, id] of [
      ["dowels", "joints.dowels"],
      ["pockets", "joints.pocket-screws"],
    ]) {
      const verdict = find(planOf(tableWith(at("joints.legRail.kind", kind)), [], shop), id);
      expect(verdict.level).toBe("fix");
      expect(verdict.remedies.map(({ label }) => label)).toContain("Tenon it");
    }
  });
  it.each(["box", "h"] as const)(
    "low stretchers as %s: pockets of both ends open on one face, the inner one",
    (kind) => {
      const groups = ["leg+stretcher", "leg+end-stretcher", "end-stretcher+middle-stretcher"];
      const plan = of(
        "mortise-tenon",
        at("form.low.kind", kind),
        at("joints.groups", Object.fromEntries(groups.map((group) => [group, setting("pockets")]))),
      );
      const low = plan.assembly.parts.filter((part) => part.kind.endsWith("stretcher"));
      expect(low.length).toBeGreaterThan(2);
      for (const part of low) {
        const flat = part.kind === "end-stretcher" ? 0 : 2;
        const body = bulkOf(stood(solidOf(part.shape), part.place)).centre[flat];
        const bores = part.cuts
          .filter(({ shape }) => Math.abs(shape.width - POCKET.bore) < 1e-9)
          .map(({ shape, place }) => bulkOf(stood(stood(solidOf(shape), place), part.place)).centre[flat] - body);
        expect(bores.length).toBeGreaterThan(1);
        expect(new Set(bores.map(Math.sign)).size).toBe(1);
        if (Math.abs(body) > 1) expect(Math.sign(bores[0])).toBe(-Math.sign(body));
      }
    },
  );
  it("low stretchers and plank ends may be dowelled too; a leg's head that stands aslant keeps loose tenons", () => {
    const low = of(
      "mortise-tenon",
      at("form.low.kind", "box"),
      at("joints.groups", { "leg+stretcher": setting("dowels") }),
    );
    expect(low.joints.find(({ group }) => group === "leg+stretcher")!.kind).toBe("dowelled");
    expect(low.failures).toEqual([]);
    const plank = planOf(
      tableWith(
        ...[at("form.kind", "plank"), at("form.plank.joint", "loose")],
        at("joints.groups", { "top+plank-end": setting("dowels") }),
      ),
    );
    expect(plank.joints.find(({ group }) => group === "top+plank-end")!.kind).toBe("dowelled");
    expect(plank.steps.find(({ id }) => id === "corners")!.title).toBe("Bore the ends and the top for dowels");
    const x = planOf(
      tableWith(at("form.kind", "x-frame"), at("joints.groups", { "bearer+x-leg": setting("pockets") })),
    );
    expect(x.joints.find(({ group }) => group === "bearer+x-leg")).toMatchObject({
      kind: "blind-tenon",
      made: "loose",
    });
  });
});
