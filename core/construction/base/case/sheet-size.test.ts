/** Sheets that are not as large as the case wants them: strips added in front, backs of several. */
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { usable } from "../../../assembly/material";
import type { Patch } from "../../../piece/patch";
import { bays, caseOf, EIGHT, eight, listed, rows, set } from "../../../testing/cases";
import { boxOfPart as bounds, clashesInPoses } from "../../../testing/clashes";
import { at, find, planOf, remediesThatFail, tableWith } from "../../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const PLY = [set("of", "plywood"), set("lip", 8)];
const sold = (length: number, width: number) => at("form.sheetSold", { length, width });
const open = rows([null, "nothing"], [null, "nothing"]);

describe("a case of plywood 390 deep from sheets 360 wide, worked by hand", () => {
  // 350 of a sheet’s width can be used: 40 of solid wood in front make it 390
  const plan = eight(...PLY, sold(2500, 360));
  it("every board is 350 and less, its strip in front 40", () => {
    expect(listed(plan, "case-side")).toEqual([680, 350, 20]);
    expect(listed(plan, "case-side-lip")).toEqual([680, 40, 20]);
    expect(listed(plan, "case-bottom")).toEqual([852, 390 - 6 - 40, 18]);
    expect(bounds(plan, "LP1")).toEqual({ least: [-440, 0, 150], most: [-420, 680, 190] });
  });
  it("is told as a strip, holds, and all comes out of such sheets", () => {
    expect(find(plan, "form.case-strip")).toMatchObject({ level: "holds", actual: 40 });
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("form.case-lip");
    const carcass = plan.sheets.find(({ thickness }) => thickness === 20)!;
    expect(carcass).toMatchObject({ sold: { length: 2500, width: 360 }, tooLarge: [] });
    expect(clashesInPoses(plan)).toEqual([]);
  });
  it.each([
    ["form.case-strip", [sold(2500, 220)]],
    ["form.case-strip", [sold(2500, 360), set("behind", 0), at("form.top.width", 900), at("form.overhang.side", 5)]],
    ["cutting.sheets", [sold(700, 420)]],
  ] as [string, Patch[]][])("%s is told, and its remedies mend it", (id, patches) => {
    const piece = tableWith(...EIGHT, ...PLY, ...patches);
    expect(find(planOf(piece), id).level).toBe("fix");
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
});

describe("a back larger than a sheet", () => {
  it("as high as a sheet is long its grain runs upright", () => {
    const plan = eight(at("form.height", 1500), at("brief.topHeight", 1500));
    // 840 between the sides and 10 in each rebate; from 60 to 1480
    expect(listed(plan, "case-back")).toEqual([1420, 860, 6]);
    expect(bounds(plan, "M")).toEqual({ least: [-430, 60, -200], most: [430, 1480, -194] });
    expect(find(plan, "cutting.sheets").level).toBe("holds");
    expect(clashesInPoses(plan)).toEqual([]);
  });
  it("is of two that meet in the middle of the divider nearest to a sheet's end, each screwed into its half", () => {
    const plan = eight(bays(open, open, open), sold(640, 800));
    // three bays of 268 with dividers of 18 between them: their middles at −143 and 143
    expect(bounds(plan, "M1")).toEqual({ least: [-430, 60, -200], most: [143, 680, -194] });
    expect(bounds(plan, "M2")).toEqual({ least: [143, 60, -200], most: [430, 680, -194] });
    expect(listed(plan, "case-back")).toEqual([573, 620, 6]);
    expect(listed(plan, "case-back-2")).toEqual([287, 620, 6]);
    const halves = plan.joints.filter(({ id }) => id.startsWith("divider+case-back"));
    expect(halves.map(({ id }) => id)).toEqual([
      "divider+case-back",
      "divider+case-back+seam",
      "divider+case-back-2+seam",
    ]);
    // where they meet each has half of a divider’s edge; the other divider lies behind one of them whole
    const edges = plan.meetings.filter(({ joint }) => joint.id.startsWith("divider+case-back"));
    const wide = edges.map(({ enters, receives, joint }) => [enters, receives, joint.section.thickness]);
    expect(wide.sort()).toEqual([
      ["M1", "DV1", 18],
      ["M1", "DV2", 9],
      ["M2", "DV2", 9],
    ]);
    expect(find(plan, "form.back-seams").level).toBe("holds");
    expect(find(plan, "cutting.sheets").level).toBe("holds");
    expect(clashesInPoses(plan)).toEqual([]);
  });
  it.each([
    ["form.back-seams", [bays(open, open), set("inner", 14), sold(640, 800)]],
    ["cutting.sheets", [sold(640, 800)]],
  ] as [string, Patch[]][])("%s is told, and its remedies mend it", (id, patches) => {
    const piece = tableWith(...EIGHT, ...patches);
    expect(find(planOf(piece), id).level).toBe("fix");
    expect(remediesThatFail(piece, id)).toEqual([]);
  });
  it("from any sheets: the pieces close the whole back, none larger than a sheet where dividers allow it", () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 300, max: 1300 }),
        fc.integer({ min: 300, max: 1300 }),
        fc.constantFrom("rails", "through", "sub-top"),
        (count, length, width, corners) => {
          const plan = eight(
            bays(...Array.from({ length: count }, () => open)),
            sold(length, width),
            set("corners", corners),
          );
          const backs = plan.assembly.parts.filter(({ kind }) => kind.startsWith("case-back"));
          const { inside } = caseOf(plan);
          const wide = inside.to - inside.from + 20;
          const boxes = backs.map(({ id }) => bounds(plan, id));
          expect(boxes.reduce((sum, { least, most }) => sum + most[0] - least[0], 0)).toBeCloseTo(wide, 6);
          for (const [i, { least }] of boxes.entries())
            if (i > 0) expect(least[0]).toBeCloseTo(boxes[i - 1].most[0], 9);
          const room = usable({ length, width });
          const bay = (wide - 20 - (count - 1) * 18) / count + 30;
          if (boxes[0].most[1] - boxes[0].least[1] <= room.width && bay <= room.length)
            expect(
              plan.sheets.flatMap(({ tooLarge }) => tooLarge.filter(({ part }) => part.startsWith("case-back"))),
            ).toEqual([]);
          expect(clashesInPoses(plan)).toEqual([]);
        },
      ),
      { numRuns: 20, seed: SEED },
    ));
});
