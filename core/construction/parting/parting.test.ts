/** Tops in two halves: tables that open for leaves, long tops drawn together. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bodyOf, posed, standing } from "../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { smallList } from "../../assembly/small";
import { openedScene } from "../../drawing/opened";
import { applyPatches, Patch } from "../../piece/patch";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { findSpecies } from "../../wood/species";
import { topMass } from "../rules";
import { leavesAt } from "./parts";

const SEED = Number(process.env.SEED ?? 20261126);
const parting = (path: string, value: unknown) => at(`form.parting.${path}`, value);
/** 1300 by 870 of ash, 26 thick, legs of 70, 40 over all round; two leaves of 420. */
const OPENS: Patch[] = [
  ...[at("form.top.length", 1300), at("form.top.width", 870), at("form.top.thickness", 26), at("form.crossRails", 0)],
  ...[at("form.leg.section", 70), parting("kind", "leaves"), parting("leaves", 2), parting("leaf", 420)],
];
const opening = (...patches: Patch[]) => planOf(tableWith(...OPENS, ...patches));

describe("a table with two leaves, worked by hand", () => {
  const plan = opening();
  const size = (id: string) => {
    const { shape } = plan.assembly.parts.find((part) => part.id === id)!;
    return [shape.length, shape.width, shape.thickness].map((each) => Math.round(each * 10) / 10);
  };

  it("has two halves of 650, leaves of 420, and four half rails that meet half a millimetre off the middle", () => {
    expect([size("T1"), size("T2"), size("TL1"), size("TL2")]).toEqual([
      [650, 870, 26],
      [650, 870, 26],
      [420, 870, 26],
      [420, 870, 26],
    ]);
    // 1300 less two overhangs of 40 and two legs of 70 leave 1080 between the legs
    for (const id of ["A1", "A2", "A3", "A4"]) expect(size(id)).toEqual([539.5, 95, 25]);
    // a leaf's rails end a millimetre before its edges
    for (const id of ["LR1", "LR2", "LR3", "LR4"]) expect(size(id)).toEqual([418, 95, 25]);
    const long = plan.parts.find(({ id }) => id === "long-rail")!;
    const joint = plan.joints.find(({ id }) => id === "leg-long-rail")!;
    expect([long.count, long.finished.length, joint.count]).toEqual([4, 539.5 + joint.length, 4]);
  });

  it("comes in a row from one blank of 2158: halves side by side so that the grain runs on closed, or leaves between them", () => {
    // 1300 and 840, three cuts of 6
    expect(plan.geometry.row?.pieces.map(({ name }) => name)).toEqual(["left half", "right half", "leaf 1", "leaf 2"]);
    expect(plan.steps.find(({ id }) => id === "part")!.detail).toContain("From 2158 mm: left half, right half, leaf 1");
    const open = opening(parting("blank", "open"));
    expect(open.geometry.row?.pieces.map(({ name }) => name)).toEqual(["left half", "leaf 1", "leaf 2", "right half"]);
    const apart = opening(parting("blank", "apart"));
    expect(apart.panels.map(({ place }) => [place.id, place.part, Math.round(place.length)])).toEqual([
      ["half", "T2", 650],
      ["leaves", "TL", 846],
    ]);
  });

  it("opens to 2140 with every seam closed, and stands with nothing in the way", () => {
    const [pose] = plan.assembly.poses!;
    const open = posed(plan.assembly.parts, pose);
    const spans = ["T1", "TL1", "TL2", "T2"].map((id) => {
      const part = open.find((each) => each.id === id)!;
      const { least, most } = boundsOf(stood(bodyOf(part), part.place));
      return [least[0], most[0]].map((each) => Math.round(each * 10) / 10);
    });
    expect(spans).toEqual([
      [-1070, -420],
      [-420, 0],
      [0, 420],
      [420, 1070],
    ]);
    // legs go with their halves: 1040 from the middle to where the closed table's stood at 610, less 420
    const foot = open.find(({ id }) => id === "L1")!.place.at[0];
    expect(foot).toBeCloseTo(-610 - 420, 6);
    expect(find(plan, "form.opens")).toMatchObject({ level: "holds" });
    expect(standing(plan.assembly.parts).map(({ kind }) => kind)).not.toContain("leaf");
    expect(openedScene({ ...plan, form: tableWith(...OPENS).form })!.title).toContain("2140 mm");
  });

  it("seats four by its own length, and eight with its leaves in", () => {
    // 1300: two places of 600 a side and both ends; 2140: four of 500 a side and both ends
    expect(find(plan, "brief.seats-daily")).toMatchObject({ actual: 6 });
    expect(find(plan, "brief.seats-most")).toMatchObject({ actual: 10 });
  });

  it("keeps seams level by four pins of 10, a third of 26: holes meet in every seam, closed and open", () => {
    // 60 from the front, then (870 − 120)/3
    const card = plan.cards.find(({ joint }) => joint === "top+top")!;
    expect(card.lines.find(({ what }) => what === "From the front edge")!.setting).toBe(
      "60.0 mm, 310.0 mm, 560.0 mm, 810.0 mm",
    );
    const [pose] = plan.assembly.poses!;
    const holes = posed(plan.assembly.parts, pose)
      .filter(({ kind }) => kind === "top" || kind === "leaf")
      .flatMap((part) =>
        part.cuts
          .filter(({ by }) => by === "top+top")
          .map((cut) => {
            const { least, most } = boundsOf(bodyOf({ shape: cut.shape, adds: [], cuts: [] }));
            expect(most[0] - least[0]).toBe(22);
            const hole = stood(stood(bodyOf({ shape: cut.shape, adds: [], cuts: [] }), cut.place), part.place);
            const box = boundsOf(hole);
            return { x: [box.least[0], box.most[0]], z: (box.least[2] + box.most[2]) / 2 };
          }),
      );
    // three seams, four pins, a hole on each side; the outer ends of the halves keep none
    expect(holes.filter(({ x }) => Math.abs(Math.abs(x[0] + x[1]) / 2) < 500)).toHaveLength(24);
    for (const seam of [-420, 0, 420])
      for (const z of [375, 125, -125, -375])
        expect(
          holes.filter(({ x, z: at }) => Math.abs((x[0] + x[1]) / 2 - seam) < 12 && Math.abs(at - z) < 1e-6),
        ).toHaveLength(2);
    const pins = smallList(plan.small).find(({ name }) => name === "Seam pins")!;
    expect([pins.count, pins.width, pins.length]).toEqual([12, 10, 40]);
    expect(smallList(plan.small).find(({ name }) => name === "Table slides")).toMatchObject({ count: 2, length: 900 });
  });

  it("hangs on its slides by half of what lies between the legs, and what is set down", () => {
    const ash = findSpecies("european-ash", [])!;
    // 1080 between the closed legs and 840 more, 870 by 26 of top and two rails of 95 by 25
    const kg = ((1920 * (870 * 26 + 2 * 95 * 25)) / 1e9) * ash.density;
    expect(find(plan, "form.table-slides-load")).toMatchObject({
      level: "holds",
      actual: Math.round((kg / 2 + 20) * 10) / 10,
    });
    expect(find(plan, "form.table-slides-sag")!.actual).toBeCloseTo((4 * (kg / 2 + 20)) / 80, 1);
    const leaf = ((420 * (870 * 26 + 2 * 95 * 25)) / 1e9) * ash.density;
    expect(find(plan, "form.leaf-weight")!.actual).toBeCloseTo(leaf, 1);
  });

  it("weighs without its leaves what stands", () => {
    const stands = standing(plan.assembly.parts).reduce((sum, part) => sum + bulkOf(bodyOf(part)).volume, 0);
    expect(plan.weight).toBeCloseTo((stands / 1e9) * plan.species.density, 1);
    expect(plan.weight).toBeLessThan((bulkOf(bodyOf(plan.assembly.parts[0])).volume / 1e9) * 20 * plan.species.density);
    expect(topMass(plan.geometry, plan.species.density)).toBeCloseTo(
      ((1300 * 870 * 26) / 1e9) * plan.species.density,
      6,
    );
  });

  it("is held on its fixed line once in each half, and told half by half", () => {
    const fixed = (line: string) =>
      opening(at("choices.fixedLine", line)).steps.find(({ id }) => id === "attach")!.detail;
    expect(fixed("centre")).toContain("parts E2 and E1");
    expect(fixed("front-edge")).toMatch(/parts A3 and A4|parts A4 and A3/);
    expect(plan.steps.find(({ id }) => id === "glue-base")!.title).toBe("Glue the half rails to the ends");
    const order = plan.steps.map(({ id }) => id);
    for (const [a, b] of [
      ["flatten", "part"],
      ["part", "seam-pins"],
      ["attach", "slides"],
      ["slides", "lay-leaves"],
      ["lay-leaves", "deliver"],
    ])
      expect(order.indexOf(a), `${a} before ${b}`).toBeLessThan(order.indexOf(b));
  });
});

/** What is judged of it; nothing where there is nothing to judge. */
const levelOf = (plan: ReturnType<typeof planOf>, id: string) =>
  plan.verdicts.find((each) => each.id === id)?.level ?? "holds";

describe("what keeps a table from opening is told, with a way out", () => {
  const cases: [string, string, Patch[]][] = [
    ["form.parting-can", "on a trestle", [at("form.kind", "trestle")]],
    ["form.parting-can", "with breadboards", [at("form.ends", "breadboards")]],
    ["form.parting-can", "of slats", [at("form.field", "slats")]],
    ["form.parting-free", "with a cross-rail", [at("form.crossRails", 1)]],
    [
      "form.parting-free",
      "with a shelf on stretchers all round",
      [at("form.shelf.kind", "solid"), at("form.low.kind", "box")],
    ],
    ["form.table-slides", "slides longer than the frame", [parting("slides.closed", 1500)]],
    ["form.table-slides-open", "slides that open too little", [parting("slides.opens", 500)]],
    ["form.table-slides-hidden", "slides deeper than the aprons", [parting("slides.height", 120)]],
    ["form.table-slides-load", "slides too weak", [parting("slides.carries", 20)]],
    ["form.table-slides-sag", "slides that sag", [parting("slides.sags", 20)]],
    [
      "form.leaf-weight",
      "leaves for two",
      [parting("leaf", 1200), at("form.top.width", 1200), at("form.top.thickness", 40)],
    ],
    ["brief.clear-open", "a room that takes one leaf", [at("brief.room.length", 3600)]],
    ["joints.seam", "a thin top", [at("form.top.thickness", 12)]],
    ["form.parting-seam", "channels under the seam", [at("form.stiffener", "channels"), at("form.channel.count", 3)]],
  ];
  it.each(cases)("%s: %s", (id, _, patches) => {
    const piece = tableWith(...OPENS, ...patches);
    const before = find(planOf(piece), id)!;
    expect(before.level).not.toBe("holds");
    expect(levelOf(opening(), id)).toBe("holds");
    expect(before.remedies.length).toBeGreaterThan(0);
    const [remedy] = before.remedies;
    expect(levelOf(planOf(applyPatches(piece, remedy.patches)), id), remedy.label).toBe("holds");
  });

  it("an inlay or a cut-out over the seam", () => {
    const outlet = (x: number) => at("form.top.cutouts", [{ name: "Outlet", x, y: 0, length: 120, width: 60 }]);
    expect(find(opening(outlet(10)), "form.parting-seam")).toMatchObject({ level: "fix" });
    // 60 of it and 40 to the seam
    expect(find(opening(outlet(101)), "form.parting-seam")).toMatchObject({ level: "holds" });
  });
});

describe("any table that opens", () => {
  const some = fc.record({
    length: fc.integer({ min: 900, max: 2200 }),
    width: fc.integer({ min: 600, max: 1100 }),
    leaves: fc.integer({ min: 1, max: 4 }),
    leaf: fc.integer({ min: 250, max: 600 }),
    outline: fc.constantFrom("rectangle", "ellipse", "soft"),
    blank: fc.constantFrom("apart", "open", "closed"),
    through: fc.boolean(),
  });
  it("has halves and leaves that add up to the open top, no part in another, closed and open", () => {
    fc.assert(
      fc.property(some, ({ length, width, leaves, leaf, outline, blank, through }) => {
        const patches = [
          ...[at("form.top.length", length), at("form.top.width", width), parting("leaves", leaves)],
          ...[parting("leaf", leaf), parting("blank", blank), at("form.leg.top", through ? "through" : "under")],
          ...(through ? [at("form.overhang", { end: 0, side: 0 })] : [at("form.top.outline", outline)]),
        ];
        const plan = opening(...patches);
        const whole = opening(...patches, parting("kind", "none"));
        expect(plan.failures).toEqual([]);
        const area = (all: typeof plan, kinds: string[]) =>
          all.assembly.parts
            .filter(({ kind }) => kinds.includes(kind))
            .reduce((sum, part) => sum + bulkOf(bodyOf({ ...part, cuts: [] })).volume / part.shape.thickness, 0);
        // an oval's chords are cut once more where it parts
        expect(area(plan, ["top"]) / area(whole, ["top"])).toBeCloseTo(1, 4);
        expect(area(plan, ["leaf"])).toBeCloseTo(leaves * leaf * width, 3);
        expect(leavesAt(plan.geometry).at(-1)!.to).toBeCloseTo((leaves * leaf) / 2, 6);
        if (outline === "rectangle" || through) {
          expect(levelOf(plan, "form.fit")).toBe("holds");
          expect(levelOf(plan, "form.opens")).toBe("holds");
        }
      }),
      { seed: SEED, numRuns: 25 },
    );
  });
});
