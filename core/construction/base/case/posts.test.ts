import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clashesOf } from "../../../assembly/clashes";
import { extentOf } from "../../../assembly/part";
import { bays, caseOf, chest, eight, listed, rows, set } from "../../../testing/cases";
import { boxOfPart as bounds, partOf as part } from "../../../testing/clashes";
import { find } from "../../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const POSTED = [set("stands", "posts"), set("lift", 150)];

describe("a chest on posts that are its corners, worked by hand", () => {
  // the top of 900 by 400 overhangs 10 at the ends and in front: 880 by 390 outside
  const plan = chest(...POSTED);
  it("posts 45 square reach from the floor to the top, at the corners", () => {
    expect(bounds(plan, "PO1")).toEqual({ least: [-440, 0, -200], most: [-395, 680, -155] });
    expect(bounds(plan, "PO4")).toEqual({ least: [395, 0, 145], most: [440, 680, 190] });
    expect(listed(plan, "case-post")).toEqual([680, 45, 45]);
  });
  it("sides stand between them, flush inside and 25 behind their faces outside, 15 below the bottom", () => {
    expect(bounds(plan, "P1")).toEqual({ least: [-415, 135, -155], most: [-395, 680, 145] });
    expect(bounds(plan, "P2")).toEqual({ least: [395, 135, -155], most: [415, 680, 145] });
  });
  it("the bottom is let 6 into posts and sides in one pass, stopped before the front", () => {
    for (const kind of ["case-post-back", "case-side", "case-post"])
      expect(plan.joints.find(({ id }) => id === `${kind}+case-bottom`)).toMatchObject({ kind: "housing", length: 6 });
    expect(listed(plan, "case-bottom")).toEqual([790 + 2 * 6, 384, 18]);
    // the back post less the back of 6, the side, the front post less the stop of 10, at both ends
    expect(
      part(plan, "Q")
        .adds.map((add) => add.shape.width)
        .sort((a, b) => a - b),
    ).toEqual([35, 35, 39, 39, 300, 300]);
  });
  it("rails under the top are dovetailed into the posts, those of drawers tenoned: each as wide as a back post less the rebate", () => {
    expect(plan.joints.find(({ id }) => id === "case-post+case-rail")).toMatchObject({ kind: "dovetail", count: 2 });
    expect(plan.joints.find(({ id }) => id === "case-post-back+case-rail")).toMatchObject({ count: 2 });
    expect(extentOf(part(plan, "A1")).width).toBe(39);
    // 45 less 13 to the face and 2 at the bottom of the mortise
    expect(listed(plan, "drawer-rail")).toEqual([790 + 2 * 30, 39, 18]);
  });
  it("the back's screws end short of the holes for the top's", () => {
    // 39 wide, the top's in its middle: 10 into it and no more
    const screws = part(plan, "A2").cuts.filter(({ by }) => by === "case-rail+case-back");
    expect(screws.map(({ shape }) => shape.length)).toEqual([10, 10, 10, 10, 10]);
    expect(find(plan, "joints.cuts-meet").level).toBe("holds");
  });
  it("glued along the grain, they move as one: nothing is held", () => {
    expect(plan.stopped.filter(({ load }) => load > 0.3)).toEqual([]);
    expect(plan.joints.find(({ id }) => id === "case-post+case-side")).toMatchObject({ made: "loose", tenons: 3 });
  });
  it("the rebate for the back is in the back posts: 6 by 10 over 530", () => {
    const taken = (id: string) =>
      part(plan, id)
        .cuts.filter(({ by }) => by === "case-back")
        .reduce((sum, { shape }) => sum + shape.length * shape.width * shape.thickness, 0);
    expect(taken("PO1")).toBe(6 * 10 * 530);
    expect(taken("PO2")).toBe(6 * 10 * 530);
    expect(taken("PO3") + taken("P1")).toBe(0);
  });
  it("sides are glued to their posts before anything is cut across them", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("case-side-size")).toBeLessThan(of("post-slots"));
    expect(of("post-slots")).toBeLessThan(of("glue-posts"));
    expect(of("glue-posts")).toBeLessThan(of("case-housings"));
    expect(plan.steps[of("case-dovetails")].title).toBe("Dovetail the rails under the top into the posts");
    expect(plan.steps[of("cut-feet")].parts).toEqual(["case-post", "case-post-back"]);
  });
  it("the whole weighs on four feet", () => {
    expect(caseOf(plan).feet.map(({ x, z, length, width }) => [x, z, length, width])).toEqual([
      [-417.5, -177.5, 45, 45],
      [417.5, -177.5, 45, 45],
      [-417.5, 167.5, 45, 45],
      [417.5, 167.5, 45, 45],
    ]);
  });
});

describe("what hangs, lies and is notched at its posts", () => {
  const plan = eight(
    ...POSTED,
    set("skirting", { height: 80, depth: 15 }),
    bays([{ height: null, holds: "doors", shelves: 1 }], [{ height: null, holds: "nothing", shelves: 1 }]),
  );
  const cutsOf = (id: string, by: string) => part(plan, id).cuts.filter((cut) => cut.by === by).length;
  it("hinges are let into the front posts, pins into the sides", () => {
    expect(cutsOf("PO3", "hinge")).toBe(2);
    expect(cutsOf("P1", "hinge")).toBe(0);
    expect(cutsOf("P1", "loose-shelf") + cutsOf("PO1", "loose-shelf")).toBe(6);
  });
  it("no pin is bored into a line between post and side", () => {
    for (const id of ["P1", "P2"]) {
      const { width } = extentOf(part(plan, id));
      for (const { shape, place } of part(plan, id).cuts.filter(({ by }) => by === "loose-shelf")) {
        const z = place.at[1];
        expect(z).toBeGreaterThanOrEqual(shape.width / 2);
        expect(z).toBeLessThanOrEqual(width - shape.width / 2);
      }
    }
  });
  it("the skirting is notched out of the back posts' feet: 17 deep, 83 high", () => {
    const [notch] = part(plan, "PO1").cuts.filter(({ by }) => by === "skirting");
    expect([notch.shape.length, notch.shape.width]).toEqual([83, 17]);
    expect(find(plan, "form.skirting").text).toContain("back posts are notched");
    expect(caseOf(plan).feet[0].z).toBe(-200 + 17 + 22.5);
  });
  it("doors before the case cover the posts but for 2", () => {
    const over = eight(...POSTED, set("doors.mount", "overlay"), bays([{ height: null, holds: "doors", shelves: 0 }]));
    expect(caseOf(over).doors[0].across.from).toBe(-438);
  });
});

describe("what is wrong with posts is said, with what mends it", () => {
  it.each([
    ["hardly thicker than the sides", [set("post", 28)], "form.case-posts", "tight"],
    ["thinner than the sides", [set("post", 22)], "form.case-posts", "fix"],
    ["with little between them", [set("post", 130)], "form.case-posts", "tight"],
    ["under a top that is dovetailed to sides", [set("corners", "through")], "form.case-posts", "fix"],
    ["very heavy", [set("post", 100)], "form.case-post", "fix"],
  ] as const)("%s", (_, patches, id, level) => {
    const found = find(chest(...POSTED, ...patches), id);
    expect(found.level).toBe(level);
    expect(find(chest(...POSTED, ...patches, ...found.remedies[0].patches), id).level).toBe("holds");
  });
});

describe(`posts of any size (seed ${SEED})`, () => {
  it("no part is in another, whatever the openings hold", () =>
    fc.assert(
      fc.property(
        fc.record({
          post: fc.integer({ min: 35, max: 70 }),
          side: fc.integer({ min: 16, max: 25 }),
          back: fc.constantFrom("none", "sheet", "boards", "framed"),
          corners: fc.constantFrom("rails", "sub-top"),
          on: fc.constantFrom("runners", "slides", "hung"),
          mount: fc.constantFrom("inset", "overlay"),
          skirting: fc.integer({ min: 0, max: 20 }),
        }),
        ({ post, side, back, corners, on, mount, skirting }) => {
          const plan = eight(
            ...POSTED,
            ...[set("post", post), set("thickness", side), set("back", back), set("corners", corners)],
            ...[set("drawers.on", on), set("doors.mount", mount), set("skirting", { height: 90, depth: skirting })],
            bays(rows([140, "drawer"], [null, "doors"]), [{ height: null, holds: "nothing", shelves: 1 }]),
          );
          expect(clashesOf(plan.assembly.parts)).toEqual([]);
        },
      ),
      { numRuns: 25, seed: SEED },
    ));
});
