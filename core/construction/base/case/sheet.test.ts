import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clashesOf } from "../../../assembly/clashes";
import { bodyOf } from "../../../assembly/part";
import { boundsOf, bulkOf, stood } from "../../../assembly/solid";
import { bays, chest, eight, listed, set } from "../../../testing/cases";
import { boxOfPart as bounds, partOf as part } from "../../../testing/clashes";
import { at, find } from "../../../testing/plans";

const SEED = Number(process.env.SEED ?? 20261127);
const PLY = [set("of", "plywood"), set("lip", 8)];

describe("a case of eight parts of plywood, worked by hand", () => {
  // 880 by 390 outside, 680 under the top; sides 20, what lies between 18, a back of 6
  const plan = eight(...PLY);
  it("sides, bottom and shelf are narrower by their lippings, let 6 into the sides at both ends", () => {
    expect(listed(plan, "case-side")).toEqual([680, 390 - 8, 20]);
    expect(listed(plan, "case-bottom")).toEqual([840 + 2 * 6, 390 - 6 - 8, 18]);
    expect(listed(plan, "case-shelf")).toEqual([840 + 2 * 6, 390 - 6 - 8, 18]);
    expect(listed(plan, "case-side-lip")).toEqual([680, 8, 20]);
    expect(listed(plan, "case-bottom-lip")).toEqual([840, 8, 18]);
  });
  it("a lipping ends flush in front and covers its board's edge", () => {
    expect(bounds(plan, "P1")).toEqual({ least: [-440, 0, -200], most: [-420, 680, 182] });
    expect(bounds(plan, "LP1")).toEqual({ least: [-440, 0, 182], most: [-420, 680, 190] });
    expect(bounds(plan, "Q")).toEqual({ least: [-420, 60, -194], most: [420, 78, 182] });
    expect(bounds(plan, "LP3")).toEqual({ least: [-420, 60, 182], most: [420, 78, 190] });
  });
  it("no tails: what would be dovetailed is on loose tenons, what is let in stays let in", () => {
    const kinds = new Map(plan.joints.map(({ id, kind }) => [id, kind]));
    expect(kinds.get("case-side+case-rail")).toBe("blind-tenon");
    expect(kinds.get("case-side+case-bottom")).toBe("housing");
    // stopped before its own edge in front, as in a case of boards
    expect(plan.joints.find(({ id }) => id === "case-side+case-bottom")).toMatchObject({ stops: { to: 10 } });
    expect(kinds.get("case-side+case-side-lip")).toBe("glued");
    expect([...kinds.values()]).not.toContain("dovetail");
    expect(plan.verdicts.map(({ id }) => id)).not.toContain("joints.slope");
  });
  it("its glued edges are 680 by 20 and 840 by 18", () => {
    const areas = plan.joints.filter(({ kind }) => kind === "glued").map(({ glueArea }) => glueArea);
    expect(areas).toEqual([680 * 20, 840 * 18, 840 * 18]);
  });
  it("only the top is glued up from boards; the sheets' diagrams hold sides, bottom, shelf and back", () => {
    expect(plan.verdicts.map(({ id }) => id).filter((id) => id.startsWith("boards.chosen"))).toEqual(["boards.chosen"]);
    const sheets = plan.parts.filter(({ role }) => role === "sheet").map(({ id }) => id);
    expect(sheets).toEqual(["case-side", "case-bottom", "case-shelf", "case-back"]);
  });
  it("sheets keep their width: what holds them holds nothing back, and a lipping goes with its edge", () => {
    expect(plan.stopped.filter(({ load }) => load > 0.3)).toEqual([]);
  });
  it("lipped before anything is cut into it, and not against the open time of one glue-up", () => {
    const of = (id: string) => plan.steps.findIndex((step) => step.id === id);
    expect(of("cut-carcass")).toBeLessThan(of("lippings"));
    expect(of("lippings")).toBeLessThan(of("case-housings"));
    expect(plan.steps[of("case-dovetails")].title).toBe("Join the rails under the top to the sides");
    expect(plan.steps.some(({ id }) => id === "case-side-size")).toBe(false);
  });
  it("sags by what plywood bends with: 7 of beech's stiffness", () => {
    const [ply, fibre] = ["plywood", "fibreboard"].map((of) => find(eight(set("of", of)), "form.case-sag"));
    expect(Number(fibre.actual) / Number(ply.actual)).toBeCloseTo(7 / 3, 1);
  });
  it("a side's feet end at its lipping: relieved below, its outline is as wide as it is", () => {
    const relieved = eight(...PLY, set("relief", 12));
    const { shape } = part(relieved, "P1");
    expect(Math.max(...shape.face!.outer.map(({ at: [, y] }) => y))).toBe(382);
    const { least, most } = boundsOf(stood(bodyOf(part(relieved, "P1")), part(relieved, "P1").place));
    expect([least[2], most[2]]).toEqual([expect.closeTo(-200, 6), expect.closeTo(182, 6)]);
  });
  it("hinges as wide as a leaf go through the lipping into the side", () => {
    const hung = eight(...PLY, bays([{ height: null, holds: "doors", shelves: 0 }]));
    const leaf = ({ cuts }: ReturnType<typeof part>) => cuts.filter(({ by }) => by === "hinge").length;
    expect([leaf(part(hung, "P1")), leaf(part(hung, "LP1"))]).toEqual([2, 2]);
    const lip = part(hung, "LP1");
    expect(bulkOf(bodyOf(lip)).volume).toBeLessThan(680 * 20 * 8);
  });
});

describe("what a sheet can't have is said, with what mends it", () => {
  it.each([
    ["a solid top joined to its sides", [set("corners", "through")], "form.case-sheet", "fix"],
    ["the back's screws in thin plywood", [set("inner", 12)], "form.case-sheet", "tight"],
    ["the back's screws in fibreboard of 16", [set("of", "fibreboard"), set("inner", 16)], "form.case-sheet", "tight"],
    ["an edge as thin as a shaving", [set("lip", 4)], "form.case-lip", "tight"],
    ["an edge as thick as a board", [set("lip", 22)], "form.case-lip", "tight"],
  ] as const)("%s", (_, patches, id, level) => {
    const found = find(eight(...PLY, ...patches), id);
    expect(found.level).toBe(level);
    for (const remedy of found.remedies) {
      const mended = eight(...PLY, ...patches, ...remedy.patches).verdicts.find((each) => each.id === id);
      expect(mended?.level ?? "holds").toBe("holds");
    }
    expect(found.remedies.length).toBeGreaterThan(0);
  });
  it("a case of boards hears nothing of sheets", () => {
    expect(eight().verdicts.filter(({ id }) => /case-(sheet|lip)/.test(id))).toEqual([]);
  });
});

describe(`cases of sheet of any kind (seed ${SEED})`, () => {
  it("no part is in another, and sheets are what their lippings leave", () =>
    fc.assert(
      fc.property(
        fc.record({
          of: fc.constantFrom("plywood", "fibreboard"),
          lip: fc.integer({ min: 4, max: 18 }),
          side: fc.integer({ min: 15, max: 25 }),
          stands: fc.constantFrom("sides", "plinth", "frame", "posts", "wall"),
          corners: fc.constantFrom("rails", "sub-top"),
          back: fc.constantFrom("none", "sheet", "boards", "framed"),
          on: fc.constantFrom("runners", "slides", "hung"),
          mount: fc.constantFrom("inset", "overlay"),
          kick: fc.boolean(),
        }),
        ({ of, lip, side, stands, corners, back, on, mount, kick }) => {
          const plan = chest(
            ...[set("of", of), set("lip", lip), set("thickness", side), set("stands", stands), set("lift", 150)],
            ...[set("corners", corners), set("back", back), set("drawers.on", on), set("doors.mount", mount)],
            ...[set("kick", kick), at("joints.fastening", "oversized")],
            bays(
              [
                { height: 140, holds: "drawer", shelves: 0 },
                { height: null, holds: "doors", shelves: 1 },
              ],
              [
                { height: null, holds: "nothing", shelves: 2 },
                { height: 200, holds: "nothing", shelves: 0 },
              ],
            ),
          );
          expect(clashesOf(plan.assembly.parts)).toEqual([]);
          const { parts } = plan.assembly;
          for (const [i, one] of parts.entries()) {
            if (!one.kind.endsWith("-lip")) continue;
            const board = parts[i - 1];
            expect(one.kind).toBe(`${board.kind}-lip`);
            expect(one.shape).toEqual({ length: board.shape.length, width: lip, thickness: board.shape.thickness });
          }
        },
      ),
      { numRuns: 12, seed: SEED },
    ));
});
