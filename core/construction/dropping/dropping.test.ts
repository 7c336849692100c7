import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shared } from "../../assembly/carve";
import { bodyOf, posed } from "../../assembly/part";
import type { Place } from "../../assembly/place";
import { smallList } from "../../assembly/small";
import { boundsOf, bulkOf, stood } from "../../assembly/solid";
import { add, times, Vec } from "../../assembly/vector";
import { openedScene } from "../../drawing/opened";
import type { Patch } from "../../piece/patch";
import { at, find, planOf, tableWith } from "../../testing/plans";
import { openTop } from "../parting/parting";
import { placed } from "../placed";
import { widthUp } from "./drop";
import { topEdges } from "./parts";

const SEED = Number(process.env.SEED ?? 20261126);
const set = (path: string, value: unknown) => at(`form.drop.${path}`, value);
/** 1200 by 600 of ash, 28 thick, legs 60 in from the sides; leaves of 280 at both, moulded. */
const TABLE: Patch[] = [
  ...[at("form.top.length", 1200), at("form.top.width", 600), at("form.top.thickness", 28), set("kind", "both")],
  ...[at("form.overhang.side", 60), set("leaf", 280), set("fillet", 3)],
];
const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));
type Planned = ReturnType<typeof table>;
const part = (plan: Planned, id: string) => plan.assembly.parts.find((each) => each.id === id)!;
const bounds = (plan: Planned, id: string) => boundsOf(stood(bodyOf(part(plan, id)), part(plan, id).place));

describe("a table with a leaf at each long side, worked by hand", () => {
  const plan = table();
  it("the round is 28 less a step of 3 and 3 below the knuckle: 22, about a line 278 from the middle", () => {
    expect(plan.geometry.drop).toMatchObject({ round: 22, axis: { y: 722 + 3, out: 278 } });
    expect(find(plan, "form.drop-rule").text).toBe("The joint’s round is 22 mm, under a step of 3 mm");
  });
  it("leaves hang with their inner face 275 from the middle, half a millimetre below the knuckle, to 444.5", () => {
    for (const [id, side] of [
      ["DL1", 1],
      ["DL2", -1],
    ] as const) {
      const { least, most } = bounds(plan, id);
      const z = [least[2] * side, most[2] * side].sort((a, b) => a - b);
      expect(z).toEqual([expect.closeTo(275, 6), expect.closeTo(303, 6)]);
      expect([least[1], most[1]]).toEqual([expect.closeTo(444.5, 6), expect.closeTo(724.5, 6)]);
    }
    // legs stand 240 from the middle
    expect(find(plan, "form.drop-clear").actual).toBe(35);
    expect(find(plan, "form.drop-floor").actual).toBe(445);
  });
  it("up they lie level with the top, 1117 over both, and nothing stands in their way", () => {
    const [both, front] = plan.assembly.poses!;
    const up = (pose: typeof both) => posed(plan.assembly.parts, pose).filter(({ kind }) => kind === "drop-leaf");
    for (const leaf of up(both)) {
      const { least, most } = boundsOf(stood(bodyOf(leaf), leaf.place));
      expect([least[1], most[1]]).toEqual([expect.closeTo(722, 6), expect.closeTo(750, 6)]);
      expect(Math.max(most[2], -least[2])).toBeCloseTo(278 + 0.5 + 280, 6);
    }
    expect(front.places.DL2).toBeUndefined();
    expect(find(plan, "brief.clear-up").text).toMatch(/^Leaves up it is 1117 mm wide/);
    expect(find(plan, "form.opens").level).toBe("holds");
    expect(find(plan, "form.fit").level).toBe("holds");
  });
  it("is drawn from above with its leaves up, each as wide as its board, 1117 over all", () => {
    const scene = openedScene({ ...plan, form: tableWith(...TABLE).form })!;
    expect(scene.title).toBe("The table with both leaves up: 1117 mm wide.");
    expect([scene.bounds.y, scene.bounds.h]).toEqual([expect.closeTo(-558.5, 6), expect.closeTo(1117, 6)]);
    const values = scene.items.flatMap((item) => (item.kind === "dimension" ? [item.value] : []));
    expect(values).toEqual([expect.closeTo(1117, 6), 280, 280]);
    const one = table(set("kind", "front"));
    const front = openedScene({ ...one, form: tableWith(...TABLE, set("kind", "front")).form })!;
    // the back edge stays where the top ends
    expect([front.bounds.y, front.bounds.h]).toEqual([expect.closeTo(-558.5, 6), expect.closeTo(858.5, 6)]);
    expect(one.geometry.drop!.sides).toEqual([1]);
  });
  it("the mould takes a step and what stands outside a quarter circle from the top, a cove from the leaf", () => {
    const whole = 1200 * 600 * 28;
    const edge = 3 * 22 + 22 * 22 * (1 - Math.PI / 4);
    const bare = { ...part(plan, "T"), cuts: topEdges(plan.geometry) };
    // arcs are drawn as chords, 0.02 off at most
    expect((whole - bulkOf(bodyOf(bare)).volume) / 1200 / 2).toBeCloseTo(edge, 0);
    const leaf = part(plan, "DL1");
    const R = 22.5;
    // a quarter of a circle beyond the half millimetre the leaf stands off, and the strip below the knuckle
    const cove = 0.5 * (R * R * Math.acos(0.5 / R) - 0.5 * Math.sqrt(R * R - 0.25)) + (R - 0.5) * 3;
    expect((1200 * 280 * 28 - bulkOf(bodyOf(leaf)).volume) / 1200).toBeCloseTo(cove, 0);
  });
  it("brackets carry a leaf and whoever leans on it, by moments about the hinges", () => {
    const mass = ((1200 * 280 * 28) / 1e9) * plan.species.density;
    const moment = mass * 140 + (400 / 9.81) * (280 - 50);
    expect(find(plan, "form.drop-held").actual).toBe(Math.round(moment / 2 / 250));
    const feet = Math.max(...plan.geometry.feet.map(({ z, width }) => z + width / 2));
    const push = (plan.weight * 9.81 * feet) / (558.5 - feet);
    expect(find(plan, "form.drop-tips").actual).toBe(Math.round(push));
  });
  it("wants three hinges and two brackets a leaf, a panel for each, and seats more with its leaves up", () => {
    const of = (name: string) => smallList(plan.small).find((each) => each.name === name)!;
    expect([of("Drop-leaf hinges").count, of("Folding brackets").count]).toEqual([6, 4]);
    expect(plan.panels.map(({ place }) => [place.id, place.length, place.width])).toEqual([
      ["drop-1", 1200, 280],
      ["drop-2", 1200, 280],
    ]);
    expect(find(plan, "brief.seats-most").why).toContain("at the ends");
    expect(table(set("kind", "front")).assembly.parts.filter(({ kind }) => kind === "drop-leaf")).toHaveLength(1);
  });
  it("is moulded flat, finished, attached, then hinged and propped", () => {
    const ids = plan.steps.map(({ id }) => id);
    for (const [first, then] of [
      ["flatten", "drop-edges"],
      ["drop-leaf-size", "drop-edges"],
      ["drop-edges", "sand-top"],
      ["attach", "drop-hinges"],
      ["drop-hinges", "drop-brackets"],
    ])
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
    expect(plan.steps.find(({ id }) => id === "drop-edges")!.detail).toContain(
      "a cove of 22.5 mm about the same middle",
    );
  });
});

/** A leaf turned down from level by so many degrees about its knuckle. */
function turnedDown(plan: Planned, id: string, degrees: number): Place {
  const { axis } = plan.geometry.drop!;
  const up = posed(plan.assembly.parts, plan.assembly.poses![0]).find((each) => each.id === id)!.place;
  const side = up.at[2] > 0 ? 1 : -1;
  const [s, c] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  // outward goes down, up goes outward
  const turn = ([x, y, z]: Vec): Vec => [x, y * c - z * side * s, side * (z * side * c + y * s)];
  const from: Vec = [0, axis.y, side * axis.out];
  return { at: add(from, turn(add(up.at, times(from, -1)))), x: turn(up.x), y: turn(up.y) };
}

it("any leaf swings from level to plumb without touching the top, the frame or the floor, and ends where it hangs", () => {
  const some = fc.record({
    thickness: fc.integer({ min: 18, max: 40 }),
    fillet: fc.integer({ min: 0, max: 5 }),
    joint: fc.constantFrom("rule", "square"),
    leaf: fc.integer({ min: 150, max: 500 }),
    side: fc.integer({ min: 55, max: 90 }),
  });
  fc.assert(
    fc.property(some, ({ thickness, fillet, joint, leaf, side }) => {
      const plan = table(
        ...[at("form.top.thickness", thickness), set("fillet", fillet), set("joint", joint), set("leaf", leaf)],
        at("form.overhang.side", side),
      );
      expect(plan.failures).toEqual([]);
      const others = plan.assembly.parts.filter(({ kind }) => kind === "top" || kind === "leg" || kind === "long-rail");
      const bodies = others.map((each) => stood(bodyOf({ ...each, adds: [] }), each.place));
      for (const degrees of [0, 2, 15, 40, 70, 88, 90])
        for (const body of bodies) {
          const place = turnedDown(plan, "DL1", degrees);
          const met = bulkOf(shared(body, stood(bodyOf(part(plan, "DL1")), place))).volume;
          expect(met, `${degrees}°`).toBeLessThan(1);
        }
      const hangs = turnedDown(plan, "DL1", 90);
      hangs.at.forEach((each, i) => expect(each).toBeCloseTo(part(plan, "DL1").place.at[i], 6));
    }),
    { seed: SEED, numRuns: 12 },
  );
});

it("is as wide as it is sat at: one number of what leaves add, whatever their joint, none where they can't hang", () => {
  const some = fc.record({
    kind: fc.constantFrom("both", "front"),
    joint: fc.constantFrom("rule", "square"),
    leaf: fc.integer({ min: 100, max: 400 }),
    thickness: fc.integer({ min: 18, max: 35 }),
  });
  fc.assert(
    fc.property(some, ({ kind, joint, leaf, thickness }) => {
      const { form } = tableWith(
        ...[...TABLE, set("kind", kind), set("joint", joint), set("leaf", leaf)],
        at("form.top.thickness", thickness),
      );
      const geometry = placed(form, []);
      expect(openTop(form).width).toBeCloseTo(widthUp(geometry), 9);
      // a square leaf shows whole, with a gap of a millimetre; a moulded one loses what lies over the round
      const each = (widthUp(geometry) - form.top.width) / geometry.drop!.sides.length;
      expect(each).toBeCloseTo(joint === "square" ? leaf + 1 : leaf + 0.5 - (thickness - 6), 9);
    }),
    { seed: SEED, numRuns: 40 },
  );
  const round = tableWith(...TABLE, at("form.top.outline", "ellipse")).form;
  expect(openTop(round).width).toBe(600);
});

describe("what is wrong is said, and mended", () => {
  it.each([
    ["on a trestle", at("form.kind", "trestle"), "form.drop-can", /No leaf can hang/],
    ["at a round top", at("form.top.outline", "ellipse"), "form.drop-can", /No leaf can hang/],
    ["at a parted top", at("form.parting.kind", "leaves"), "form.drop-can", /No leaf can hang/],
    ["legs in its way", at("form.overhang.side", 20), "form.drop-clear", /inside the legs/],
    ["legs under its hinges", at("form.overhang.side", 45), "form.drop-hinges", /reaches 5 mm over/],
    ["longer than the floor is away", set("leaf", 760), "form.drop-floor", /longer than the floor/],
    ["a thin top", at("form.top.thickness", 13), "form.drop-rule", /leave a round of 7 mm/],
    ["no step", set("fillet", 0), "form.drop-rule", /chips/],
    ["thick brackets", set("brackets.folded", 60), "form.drop-folds", /thicker than the room/],
    ["tall brackets", set("brackets.height", 120), "form.drop-folds", /25 mm below its rail/],
    ["weak brackets", set("brackets.carries", 8), "form.drop-held", /would carry 21 kg each/],
    ["short brackets", set("brackets.reach", 150), "form.drop-held", /end 150 mm under/],
    ["wide leaves", set("leaf", 420), "form.drop-tips", /tips at/],
    ["a narrow room", at("brief.room.width", 2550), "brief.clear-up", /to the wall/],
  ] as [string, Patch, string, RegExp][])("%s", (_, patch, id, text) => {
    const { level, text: said, remedies } = find(table(patch), id);
    expect(level).not.toBe("holds");
    expect(said).toMatch(text);
    expect(remedies.length).toBeGreaterThan(0);
    const mended = table(patch, ...remedies[0].patches);
    expect(["holds", undefined]).toContain(mended.verdicts.find((each) => each.id === id)?.level);
  });
});
