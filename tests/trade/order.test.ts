/** The order of work as the one at the bench reads it. */
import { describe, expect, it } from "vitest";
import { BASES } from "../../core/piece/base-choices";
import { AS_THE_PIECE } from "../../core/piece/kinds";
import { USUAL_SHOP } from "../../core/piece/shop";
import { scheduled } from "../../core/steps/schedule";
import { stepOf } from "../../core/steps/step";
import type { Patch } from "../../core/piece/patch";
import { demoBoard } from "../../core/testing/boards";
import { at, find, planOf, plainRack, strips, tableWith } from "../../core/testing/plans";

const stepsOf = (...patches: Patch[]) => planOf(tableWith(...patches)).steps;
const step = (id: string, ...patches: Patch[]) => stepsOf(...patches).find((each) => each.id === id)!;
const before = (steps: ReturnType<typeof stepsOf>, first: string, then: string) => {
  const ids = steps.map(({ id }) => id);
  expect(ids).toContain(first);
  expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
};

const OWN = {
  ...{ name: "Foot rest", length: 500, width: 60, thickness: 25, x: 120, z: 40, rests: "under-top", height: 0 },
  ...{ grain: "along", lean: 0, lies: "flat", times: "once" },
};

describe("2: two schools of a leg's length", () => {
  const crosscut = (...patches: Patch[]) => {
    const card = planOf(tableWith(...patches)).cutting.cards.find(
      ({ id, rows }) => id.startsWith("crosscut stop") && rows.some(({ to }) => to.includes("L1")),
    )!;
    return [card.setting, card.rows.find(({ to }) => to.includes("L1"))!.what];
  };
  it("left long: the stop stands 30 over, the head against it, and the feet are cut when the base stands", () => {
    expect(crosscut()).toEqual([752, expect.stringMatching(/head to the stop, 30 mm over at the foot/)]);
    expect(step("cut-feet").title).toBe("Cut the legs to height and ease the feet");
  });
  it("to length: the stop stands at 722 and the feet are only levelled", () => {
    const set = at("choices.legs", "to-length");
    expect(crosscut(set)[0]).toBe(722);
    expect(step("cut-feet", set).title).toBe("Level the feet and ease them");
  });
});

describe("3: a framed top can be made", () => {
  const framed = at("form.ends", "frame");
  it("the ends have their tenons: 0.6 of a frame 90 wide at each end", () => {
    const plan = planOf(tableWith(framed, at("form.frame.width", 80), at("form.frame.corners", "tenoned")));
    const end = plan.parts.find(({ id }) => id === "frame-end")!;
    // 850 less two sides of 80, and a tenon of 48 at each end
    expect(end.shoulder).toBe(690);
    expect(end.finished.length).toBe(690 + 2 * 48);
    const mitred = planOf(tableWith(framed, at("form.frame.corners", "mitred")));
    expect(mitred.parts.find(({ id }) => id === "frame-end")!.finished.length).toBe(850);
  });
  it("the panel is cut down to a tongue that fits the groove, after the groove is there", () => {
    const steps = stepsOf(framed);
    before(steps, "frame", "frame-tongue");
    before(steps, "frame-tongue", "frame-glue");
    expect(step("frame-tongue", framed).detail).toMatch(/until 9\.3 mm stay in the middle/);
    expect(step("frame", framed).detail).toMatch(/9\.3 mm wide/);
  });
});

describe("4: corner blocks clear the legs", () => {
  it.each([60, 75, 90])("of %i, and nothing stands in anything", (section) => {
    const plan = planOf(tableWith(at("form.cornerBlocks", true), at("form.leg.section", section)));
    expect(find(plan, "form.fit").level).toBe("holds");
  });
});

describe("12: feet are levelled and eased before anything is finished", () => {
  it.each([[[]], [[at("form.kind", "trestle")]], [[at("form.cornerBlocks", true)]]])("%#", (patches) => {
    const steps = stepsOf(...patches);
    before(steps, "cut-feet", "coat-1");
    expect(steps.find(({ id }) => id === "coat-1")!.after).toContain("cut-feet");
  });
});

describe("14: what is marked from something comes after it", () => {
  it("cross-rails are cut to the dry-fitted frame", () => {
    before(stepsOf(at("form.crossRails", 1)), "dry-fit", "cross");
    before(stepsOf(at("form.crossRails", 1)), "cross", "glue-base");
  });
  it("and left 5 long until then: its card says what from", () => {
    const plan = planOf(tableWith(at("form.crossRails", 1)));
    const part = plan.parts.find(({ id }) => id === "cross-rail")!;
    expect(part.markedFrom).toBe("the dry-fitted frame");
    const card = plan.cutting.cards.find(
      ({ id, rows }) => id.startsWith("crosscut stop") && rows.some(({ to }) => to.includes("C")),
    )!;
    expect(card.setting).toBeCloseTo(part.finished.length + 5, 6);
    expect(card.rows.find(({ to }) => to.includes("C"))!.what).toMatch(/5 mm over: marked from the dry-fitted frame/);
    expect(part.milled.length).toBeGreaterThan(part.finished.length + 5);
  });
  it("a tongue is planed to a groove that is there", () => {
    const steps = stepsOf(at("form.ends", "breadboards"));
    before(steps, "end-boards", "tongue");
    before(steps, "tongue", "end-mortises");
  });
});

describe("15: a cross-rail's joint is judged", () => {
  it("a stub of 12.5 in rails of 25 leaves 11.5", () =>
    expect(find(planOf(tableWith(at("form.crossRails", 1))), "joints.cross-rail")).toMatchObject({
      level: "holds",
      actual: 11.5,
    }));
  it("in rails of 12 it is too little to hold, and what mends it is offered", () => {
    const thin = tableWith(at("form.crossRails", 1), at("form.apron.thickness", 12));
    const verdict = find(planOf(thin), "joints.cross-rail");
    expect(verdict.level).toBe("fix");
    expect(verdict.remedies.map(({ label }) => label)).toContain("Make the rails 25 mm thick");
  });
});

describe("26: what every maker does", () => {
  const said = stepsOf()
    .map(({ title, detail, check }) => `${title} ${detail} ${check}`)
    .join("\n");
  it.each([
    ["tries a fit on the tenon's tip", /first 5 mm of the tip/],
    ["chamfers far edges against chip-out", /far edges chamfered/],
    ["eases what can't be reached later", /Ease the edges that can’t be reached when the frame is closed/],
    ["masks what takes glue", /taped where it takes glue/],
    ["dry-fits with square and diagonals", /diagonals equal, a square in every corner/],
    ["signs, dates and punches the mark", /Sign and date it below, with the shop’s mark punched in/],
  ])("%s", (_, words) => expect(said).toMatch(words));
  it("fills knots and checks once the panel is flat, and sands after", () => {
    const rack = [
      ...plainRack(),
      demoBoard({ id: "KN", width: 180, defects: [{ kind: "knot", x: 900, y: 60, length: 30, width: 30 }] }),
    ];
    const given = [strips("KN", "B1", "B2", "B3", "B4", "B5", "B6", "B7")].map((list) => [
      { ...list[0], slide: 100 },
      ...list.slice(1),
    ]);
    const { steps } = planOf(tableWith(at("panels.top.strips", given[0])), rack);
    const fill = steps.find(({ id }) => id === "fill")!;
    expect(fill.detail).toMatch(/^In KN:/);
    before(steps, "flatten", "fill");
    before(steps, "fill", "sand-top");
    expect(stepsOf().map(({ id }) => id)).not.toContain("fill");
  });
});

describe("20: clamps are counted, and shared out", () => {
  const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
  const withClamps = (count: number) => ({ ...USUAL_SHOP, clamps: [{ reach: 1250, count, force: 5 }] });
  it("force is that of the clamps there are, not of the places they should stand at", () => {
    const [few, many] = [4, 20].map((count) => planOf(tableWith(seven), plainRack(), withClamps(count)));
    const [stage] = few.glueUp;
    expect(stage.clamps.places.length).toBeGreaterThan(4);
    expect(find(few, "glueup.force").actual).toBe(4 * 5);
    expect(find(many, "glueup.force").actual).toBe(stage.clamps.places.length * 5);
  });
  it("cauls take two each of what is left", () => {
    const enough = planOf(tableWith(seven), plainRack(), withClamps(40));
    const { places, cauls } = enough.glueUp[0].clamps;
    expect(cauls).toBe(2 * enough.glueUp[0].cauls.length);
    expect(find(enough, "glueup.count").level).toBe("holds");
    const short = planOf(tableWith(seven), plainRack(), withClamps(places.length + cauls - 1));
    expect(find(short, "glueup.count")).toMatchObject({
      level: "tight",
      text: `${places.length} clamps and ${cauls} for the cauls, ${places.length + cauls - 1} in the shop`,
    });
  });
  it("three glue-ups of ten do not stand in eighteen at once: each waits for the one before to be taken out", () => {
    const glue = (id: string) => stepOf({ id, title: id, detail: "", hours: 0.5, wait: 24, clamps: 10, clampHours: 4 });
    const three = [glue("a"), glue("b"), glue("c")];
    const starts = (clamps: number) => scheduled(three, "2026-11-23", [], clamps).map((each) => each.starts);
    // from eight in the morning: half an hour's work and four in the clamps, so the third waits for tomorrow
    expect(starts(18)).toEqual(["2026-11-23", "2026-11-23", "2026-11-24"]);
    expect(starts(30)).toEqual(["2026-11-23", "2026-11-23", "2026-11-23"]);
    expect(starts(3)).toEqual(starts(18));
  });
});

describe("edges and what was added find their place in every order there is", () => {
  const own = { parts: [{ ...OWN, id: "own-1" }], joins: [{ own: "own-1", to: "top", how: "loose-tenons" }] };
  it.each(BASES)("%s", (kind) => {
    const base = [at("form.kind", kind), at("own", own)];
    const kinds = [...new Set(planOf(tableWith(...base)).assembly.parts.map((part) => part.kind))];
    for (const when of ["before", "after"]) {
      const edges = { how: "eased", size: 1, raised: 0, when };
      const plan = planOf(
        tableWith(...base, ...kinds.map((each) => at(`kinds.${each}`, { ...AS_THE_PIECE, edges } as never))),
      );
      expect(plan.failures).toEqual([]);
      const ids = plan.steps.map(({ id }) => id);
      for (const { id, after } of plan.steps)
        for (const each of after) expect(ids.indexOf(each), `${each} before ${id}`).toBeLessThan(ids.indexOf(id));
    }
  });
});
