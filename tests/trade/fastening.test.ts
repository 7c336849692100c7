/** What holds the top, as the one who screws it on reads it. */
import { describe, expect, it } from "vitest";
import type { Patch } from "../../core/piece/patch";
import { applyPatches } from "../../core/piece/patch";
import { at, find, planOf, tableWith } from "../../core/testing/plans";

const plan = (...patches: Patch[]) => planOf(tableWith(...patches));
const ids = (of: ReturnType<typeof plan>) => of.verdicts.map(({ id }) => id);
const attach = (...patches: Patch[]) => plan(...patches).steps.find(({ id }) => id === "attach")!.detail;

describe("8: a fastening knows what lies above it", () => {
  // end boards 120 wide, the end rails' buttons about 90 in from the ends: under the boards
  const ends = at("form.ends", "breadboards");
  it("buttons under an end board travel with it, which is not at all; those under the panel as it does", () => {
    const { fasteners } = plan(ends, at("form.breadboard.width", 150), at("form.overhang.end", 40));
    const under = fasteners.filter((each) => each.under === "ends");
    expect(under.length).toBeGreaterThan(0);
    for (const each of under) expect([each.dry, each.wet]).toEqual([0, 0]);
    expect(fasteners.some((each) => each.under === "field" && Math.abs(each.wet) > 0.3)).toBe(true);
  });
  it("that is told, and what mends it puts them under the panel", () => {
    const piece = tableWith(ends, at("form.breadboard.width", 150), at("form.overhang.end", 40));
    const verdict = find(planOf(piece), "movement.above");
    expect(verdict.level).toBe("tight");
    expect(find(planOf(applyPatches(piece, verdict.remedies[0].patches)), "movement.above").level).toBe("holds");
  });
  it("under a framed top the frame gives nothing, and what stands under its panel moves with it", () => {
    const wide = plan(at("form.ends", "frame"), at("form.frame.width", 60), at("joints.fastening", "slotted"));
    const field = wide.fasteners.filter((each) => each.under === "field");
    expect(field.some((each) => Math.abs(each.wet) > 0.3)).toBe(true);
    expect(find(wide, "movement.above").text).toMatch(/floating panel|hold the frame/);
  });
});

describe("9: holes leave a wall", () => {
  const holes = [
    at("joints.fastening", "oversized"),
    at("joints.oversized", { hole: 17, screw: 5, washer: 25, setOff: false }),
  ];
  it("25 washers want 27 in a rail of 25: nothing is left", () => {
    const verdict = find(plan(...holes, at("form.apron.thickness", 25)), "joints.holes");
    expect(verdict).toMatchObject({ level: "fix", actual: -1 });
    expect(verdict.text).toMatch(/takes the whole 25 mm/);
  });
  it("each remedy mends it", () => {
    const piece = tableWith(...holes, at("form.apron.thickness", 25));
    for (const { patches } of find(planOf(piece), "joints.holes").remedies) {
      const mended = planOf(applyPatches(piece, patches));
      expect(mended.verdicts.find(({ id }) => id === "joints.holes")?.level ?? "holds").toBe("holds");
    }
  });
  it("in 36 there are 4.5 at each side", () =>
    expect(find(plan(...holes, at("form.apron.thickness", 36)), "joints.holes")).toMatchObject({
      level: "holds",
      actual: 4.5,
    }));
});

describe("18: one panel of verdicts says one thing", () => {
  it("where buttons bind, nothing says that nothing is held", () => {
    const bound = plan(at("joints.buttons.slotLength", 31));
    expect(find(bound, "movement.end-buttons").level).toBe("fix");
    expect(find(bound, "movement.stopped").text).toBe("Only what runs out of room is held: buttons");
  });
  it("the fixed line is a screw in each end rail and cross-rail, with its hole and its step", () => {
    const given = plan(at("form.crossRails", 1));
    for (const id of ["E1", "E2", "C"]) {
      const part = given.assembly.parts.find((each) => each.id === id)!;
      const hole = part.cuts.find(({ by, shape }) => by === "fixed screw" && shape.width === 5);
      expect(hole, id).toBeDefined();
    }
    expect(attach(at("form.crossRails", 1))).toMatch(
      /^First the fixed line: one screw tight up through parts E2, E1 and C where it crosses them, from a counterbore that leaves 30 mm/,
    );
  });
  it("no fastener that must slide stands in its way", () => {
    for (const { run, z } of plan().fasteners) if (run === "across") expect(Math.abs(z)).toBeGreaterThanOrEqual(45);
  });
  it("a loose top has none", () => expect(attach(at("joints.fastening", "loose"))).not.toMatch(/fixed line/));
});

describe("22: a figure-8 plate's angle", () => {
  const plates = [
    at("joints.fastening", "figure-8"),
    at("joints.figure8", { centres: 20, swing: 40, lengthwise: "along" }),
  ];
  it("is told along the rail and across it: asin of the travel over the centres", () => {
    const given = plan(...plates);
    for (const rail of ["long", "across"]) {
      const verdict = find(given, `movement.fastening-${rail}`);
      const angle = Math.round((Math.asin(verdict.limit! / 20) * 180) / Math.PI);
      const said = Number(verdict.why.match(/swings (\d+)°/)![1]);
      expect(Math.abs(said - angle)).toBeLessThanOrEqual(1);
      expect(verdict.why).toMatch(rail === "long" ? /lies along the rail/ : /lies square to the rail/);
    }
  });
  it("and how each lies stands in its step: it gives square to its line, never along it", () =>
    expect(attach(...plates)).toMatch(
      /on the long rails each lies along the rail, on the end rails each stands square/,
    ));
});

describe("24: buttons are parts with wood from a board", () => {
  it("come off sticks long enough to be fed, of up to eight, and every button is on one", () => {
    const given = plan();
    const button = given.parts.find(({ id }) => id === "button")!;
    const sticks = given.cutting.pieces.filter(({ part }) => part === "button");
    expect(sticks.map(({ id }) => id)).toEqual(button.sticks!.map(({ mark }) => mark));
    // 58 long and a kerf each, and 10 over
    for (const { id, length, thickness } of sticks) {
      const [from, to] = id.slice(1).split("-").map(Number);
      expect(to - from + 1).toBeLessThanOrEqual(8);
      expect(length).toBeGreaterThanOrEqual(Math.max(300, (to - from + 1) * (button.finished.length + 3) + 10));
      expect(thickness).toBe(24);
    }
    expect(new Set(sticks.map(({ length }) => length)).size).toBe(1);
    expect(sticks.every(({ id }) => given.cutting.placed.some(({ piece }) => piece.id === id))).toBe(true);
  });
  it("and so are cleats: a slot of 18 with 30 at each end", () => {
    const given = plan(at("joints.fastening", "slotted"), at("joints.slotted.slot", 18));
    const cleat = given.parts.find(({ id }) => id === "cleat")!;
    expect(cleat).toMatchObject({ count: given.fasteners.length, finished: { length: 78, width: 32, thickness: 24 } });
    expect(given.cutting.pieces.filter(({ part }) => part === "cleat").map(({ id }) => id)).toEqual(
      cleat.sticks!.map(({ mark }) => mark),
    );
  });
  it("are planed and ripped as sticks, and crosscut one by one", () => {
    const { cards } = plan().cutting;
    const rows = (machine: RegExp) => cards.filter(({ id }) => machine.test(id)).flatMap((card) => card.rows);
    expect(rows(/^planer/).some(({ to }) => to.includes("N1-6") || to.some((mark) => mark.startsWith("N1-")))).toBe(
      true,
    );
    expect(rows(/^crosscut stop/).some(({ to }) => to.includes("N1"))).toBe(true);
  });
});

describe("24: a button's groove", () => {
  it("has its width, its tongue's thickness, and stops before every joint", () => {
    const groove = plan().steps.find(({ id }) => id === "groove")!.detail;
    expect(groove).toMatch(/^10 mm wide and 13 mm deep .* stopped 10 mm before every joint.*Tongues are 9 mm thick/);
  });
});

it("what none of this asks about is not told", () => expect(ids(plan())).not.toContain("joints.holes"));
