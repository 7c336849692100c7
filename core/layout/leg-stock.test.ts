import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MAKES } from "../assembly/sort";
import { USUAL_SHOP } from "../piece/shop";
import { at, find, planOf, plainRack, tableWith } from "../testing/plans";
import { demoBoard } from "../testing/boards";
import { FACE, LEAF_EXTRA, legPieces, legsFrom, legSteps, legYield, resawnLeaves, thickestLeg } from "./leg-stock";

describe("ways to a thick leg", () => {
  it.each(MAKES)("%s: what is sawn for a leg yields that leg", (make) => {
    for (const section of [50, 75, 90]) {
      const [first] = legPieces(make, { width: section, thickness: section }, 2);
      expect(legYield(make, first.thickness, first.width)).toBeCloseTo(section, 9);
    }
  });
  it("sawn at 45°: the square turned on its corner lies inside the glued blank, the glue line on its diagonal (rotation)", () => {
    const section = 80;
    const [board] = legPieces("diagonal", { width: section, thickness: section }, 2);
    const corners = [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([x, y]) => {
      const c = Math.SQRT1_2;
      return [((x * section) / 2) * c - ((y * section) / 2) * c, ((x * section) / 2) * c + ((y * section) / 2) * c];
    });
    for (const [across, through] of corners) {
      expect(Math.abs(through)).toBeLessThanOrEqual(board.thickness);
      expect(Math.abs(across)).toBeLessThanOrEqual(board.width / 2);
    }
    // two corners lie on the glue line itself
    expect(corners.filter(([, through]) => Math.abs(through) < 1e-9)).toHaveLength(2);
    expect(board.thickness).toBeLessThan(section);
  });
  it("core and faces: the core with two leaves and truing is the section, each blank opens into two", () => {
    const [core, face] = legPieces("core-faces", { width: 75, thickness: 75 }, 2);
    expect(core.thickness - 1 + 2 * FACE.thickness).toBe(75);
    expect(resawnLeaves(face.thickness, FACE.thickness + FACE.cleaning, 2)).toBe(2);
    expect(face.width).toBe(75 + LEAF_EXTRA);
  });
  it("three or four leaves are glued to the section and 2 over it, planed off: no stock thicker than a third of it, or a quarter", () => {
    const thick = (make: (typeof MAKES)[number]) =>
      legPieces(make, { width: 120, thickness: 120 }, 2).map(({ suffix, thickness }) => [suffix, thickness]);
    expect(thick("three-leaves")).toEqual(["a", "b", "c"].map((suffix) => [suffix, 122 / 3]));
    expect(thick("four-leaves")).toEqual(["a", "b", "c", "d"].map((suffix) => [suffix, 30.5]));
    const plan = planOf(tableWith(at("form.leg.make", "four-leaves"), at("form.leg.section", 120)));
    expect(plan.parts.find(({ id }) => id === "leg")!.stock).toHaveLength(4);
    expect(plan.steps.find(({ id }) => id === "laminate")!.title).toBe("Glue the legs from four leaves");
    expect(plan.blanks.find(({ id }) => id === "blank-leg")!.pieces).toHaveLength(4);
  });
  it("leaves: n leaves hold n − 1 kerfs", () => {
    expect(resawnLeaves(32, 9, 2)).toBe(3);
    expect(resawnLeaves(31, 9, 2)).toBe(3);
    expect(resawnLeaves(30.9, 9, 2)).toBe(2);
    expect(resawnLeaves(5, 9, 2)).toBe(0);
  });
  it("a bandsaw that opens too little is said", () => {
    expect(
      legSteps("core-faces", { width: 75, thickness: 75 }, { ...USUAL_SHOP, bandsawHeight: 60 }).join(" "),
    ).toMatch(/opens only 60 mm/);
    expect(legSteps("core-faces", { width: 75, thickness: 75 }, USUAL_SHOP).join(" ")).not.toMatch(/opens only/);
  });
  it("each way has its own cut list: no thick stock, yet legs", () => {
    const thin = [
      ...plainRack().filter((board) => !board.id.startsWith("L")),
      ...Array.from({ length: 4 }, (_, i) => demoBoard({ id: `W${i}`, thickness: 65, width: 130, length: 2600 })),
      ...Array.from({ length: 3 }, (_, i) => demoBoard({ id: `V${i}`, thickness: 80, width: 90, length: 2000 })),
    ];
    const pieces = (make: string) =>
      planOf(tableWith(at("form.leg.make", make)), thin).cutting.pieces.filter((each) => each.part === "leg");
    expect(pieces("solid").map((each) => each.id)).toEqual(["L1", "L2", "L3", "L4"]);
    expect(pieces("laminated")).toHaveLength(8);
    expect(
      pieces("core-faces")
        .map((each) => each.id)
        .slice(0, 3),
    ).toEqual(["L1c", "L1f", "L1g"]);
    const plan = planOf(tableWith(at("form.leg.make", "diagonal")), thin);
    expect(find(plan, "cutting.legs").level).toBe("holds");
    // both boards of one leg come from one board of the rack
    for (const leg of ["L1", "L2", "L3", "L4"])
      expect(
        new Set(plan.cutting.placed.filter((each) => each.piece.matched === leg).map((each) => each.board)).size,
      ).toBe(1);
  });
});

describe("the thickest leg a rack gives", () => {
  const boards = [
    demoBoard({ id: "A", thickness: 52, width: 160 }),
    demoBoard({ id: "B", thickness: 90, width: 100, length: 700 }),
    demoBoard({ id: "C", thickness: 60, width: 80 }),
  ];
  it("comes from the board that is thick and wide enough, flattened at the leg's length (by hand)", () => {
    // 60 less two cleanings; C is 80 wide, less two jointed edges
    expect(thickestLeg("solid", boards, 750, USUAL_SHOP)).toEqual({ section: 58, board: "C" });
    // twice 58.4, less 2, but only 77 less 2 wide; A is twice 50.4, less 2
    expect(thickestLeg("laminated", boards, 750, USUAL_SHOP)).toEqual({ section: 98.5, board: "A" });
    expect(thickestLeg("diagonal", boards, 750, USUAL_SHOP)).toEqual({
      section: Math.floor((100.8 / Math.SQRT2 - 3) * 2) / 2,
      board: "A",
    });
  });
  it("is none where no board is long enough", () => expect(thickestLeg("solid", boards, 2500, USUAL_SHOP)).toBeNull());
});

describe("how many legs a rack gives", () => {
  const board = demoBoard({ thickness: 52, width: 160, length: 2400 });
  const legs = { section: { width: 45, thickness: 45 }, length: 750 };
  it("counts whole pieces along and across: 3 of 750 in 2360, 3 of 48 and a kerf in 160", () => {
    expect(legsFrom("solid", legs, [board], USUAL_SHOP)).toBe(9);
    expect(legsFrom("solid", legs, [board, board], USUAL_SHOP)).toBe(18);
  });
  it("a board too thin or too short gives none", () => {
    expect(legsFrom("solid", { ...legs, section: { width: 60, thickness: 60 } }, [board], USUAL_SHOP)).toBe(0);
    expect(legsFrom("solid", { ...legs, length: 2500 }, [board], USUAL_SHOP)).toBe(0);
  });
  it("never more than their wood would make, and never fewer for one board more", () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...MAKES),
        fc.array(
          fc.record({ thickness: fc.integer({ min: 20, max: 110 }), width: fc.integer({ min: 60, max: 320 }) }),
          {
            maxLength: 6,
          },
        ),
        fc.integer({ min: 40, max: 100 }),
        (make, sizes, side) => {
          const boards = sizes.map((size) => demoBoard({ ...size, length: 2400 }));
          const leg = { section: { width: side, thickness: side }, length: 750 };
          const count = legsFrom(make, leg, boards, USUAL_SHOP);
          const wood = legPieces(make, leg.section, USUAL_SHOP.kerf).reduce(
            (sum, each) => sum + each.width * each.thickness * leg.length,
            0,
          );
          expect(count * wood).toBeLessThanOrEqual(
            sizes.reduce((sum, each) => sum + each.width * each.thickness * 2400, 0),
          );
          if (make === "solid")
            expect(legsFrom(make, leg, [...boards, board], USUAL_SHOP)).toBeGreaterThanOrEqual(count);
        },
      ),
      { numRuns: 200, seed: 20261125 },
    ));
  it("two leaves want two pieces a leg: 3 along by 2 of 65 across are 6, for 3 legs", () =>
    expect(legsFrom("laminated", { section: { width: 60, thickness: 60 }, length: 750 }, [board], USUAL_SHOP)).toBe(3));
  it("a board that gives the core gives no faces, so that none is counted twice", () => {
    const core = { section: { width: 50, thickness: 50 }, length: 750 };
    const thin = demoBoard({ thickness: 27, width: 160, length: 2400 });
    expect(legsFrom("core-faces", core, [board], USUAL_SHOP)).toBe(0);
    expect(legsFrom("core-faces", core, [board, thin], USUAL_SHOP)).toBeGreaterThan(0);
  });
});
