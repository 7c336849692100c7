import { USUAL_SHELF } from "../piece/base-choices";
import { describe, expect, it } from "vitest";
import { cuttingScene } from "../drawing/cutting";
import { USUAL_SHOP } from "../piece/shop";
import { clashes } from "../testing/clashes";
import { demoBoard } from "../testing/boards";
import { at, find, plainRack, planOf, strips, tableWith } from "../testing/plans";
import { boardsOf } from "../piece/copy";
import { applyPatches } from "../piece/patch";

const BOARDS = ["B1", "B2", "B3", "B4", "B5"];
/** A solid top, and the same panel as the shelf of a trestle. */
const size = { length: 1416, width: 620, thickness: 24 };
const chosen = { strips: strips(...BOARDS), pinned: [], banned: [], crosscutFirst: true, sawnFace: null };
const asTop = tableWith(
  at("form.top.length", size.length),
  at("form.top.width", size.width),
  at("form.top.thickness", size.thickness),
  at("form.overhang", { end: 0, side: 0 }),
  at("panels.top", chosen),
);
const asShelf = tableWith(
  at("form.kind", "trestle"),
  // 1400 between the posts: 2128 − 2 × 300 − 2 × 64
  at("form.top.length", 2128),
  at("form.overhang.end", 300),
  at("form.shelf", {
    ...USUAL_SHELF,
    kind: "solid",
    height: 180,
    width: size.width,
    thickness: size.thickness,
    gap: 3,
  }),
  at("panels.shelf", chosen),
);

describe("a panel is a panel: the top renamed to a shelf", () => {
  const [top, other] = [planOf(asTop), planOf(asShelf)];
  const shelf = other.panels[0];

  it("is as large", () => expect(shelf.place).toMatchObject(size));
  it("has the same strips at the same places", () => expect(shelf.laid).toEqual(top.panel.laid));
  it("is offered the same boards", () => expect(shelf.candidates).toEqual(top.panel.candidates));
  it("goes through the same years: its course, its width, its cup, its bow", () => {
    expect(shelf.top.course).toEqual(top.top.course);
    expect(shelf.top.changes).toEqual(top.top.changes);
    expect(shelf.top.bow).toEqual(top.top.bow);
    expect(shelf.top.strips).toEqual(top.top.strips);
  });
  it("is glued the same way", () => {
    const plain = (stages: typeof top.glueUp) => stages.map(({ id: _, name: __, ...rest }) => rest);
    expect(plain(other.glueUp.filter((stage) => stage.id.startsWith("shelf")))).toEqual(plain(top.glueUp));
  });
  it("is sawn from the same places of the same boards", () => {
    const cuts = (plan: typeof top) =>
      plan.cutting.strips.filter((each) => BOARDS.includes(each.board)).sort((a, b) => (a.board < b.board ? -1 : 1));
    expect(cuts(other)).toEqual(cuts(top));
  });
});

describe("what is sawn is called by its panel", () => {
  const plan = planOf({ ...asShelf, panels: { top: { ...chosen, strips: strips("B6", "B7") }, shelf: chosen } });
  const called = (board: string) => {
    const cut = plan.cutting.boards.find((each) => each.board.id === board)!;
    const pieces = new Map(plan.cutting.pieces.map((each) => [each.id, each]));
    const scene = cuttingScene(cut, plan.species.colour, { pieces, kerf: USUAL_SHOP.kerf, longest: 2400 });
    return scene.items.flatMap((item) => (item.kind === "text" ? [item.text.split(",")[0]] : []));
  };
  it("on the board's diagram", () => {
    expect(called("B6")).toContain("top");
    expect(called("B1")).toContain("shelf");
  });
  it("at the planer: each panel's strips at their own thickness", () => {
    const planed = plan.cutting.cards
      .filter((card) => card.machine === "Planer")
      .flatMap((card) => card.rows.map((row) => [card.setting, row.from]));
    expect(planed).toContainEqual([29.5, "Top"]);
    expect(planed).toContainEqual([25.5, "Shelf"]);
  });
  it("in the verdicts: what is said of a shelf's boards names the shelf, and never the top", () => {
    const empty = planOf({ ...asShelf, panels: { top: chosen } });
    expect(find(empty, "boards.chosen.shelf").text).toBe("Shelf: No boards are chosen for the shelf yet");
    for (const each of plan.verdicts.filter(({ id }) => /^boards.*\.shelf$/.test(id)))
      expect(each.text).not.toMatch(/the top/);
  });
});

describe("two panels never claim one board", () => {
  it("what the top has is not offered to the shelf, nor the other way round", () => {
    const plan = planOf({ ...asShelf, panels: { top: { ...chosen, strips: strips("B6", "B7") }, shelf: chosen } });
    const offered = plan.panels[0].candidates.map((each) => each.board);
    expect(offered).not.toContain("B6");
    expect(plan.panel.candidates.map((each) => each.board)).not.toContain("B1");
  });
  it("a piece needs the boards of all its panels", () =>
    expect(boardsOf({ ...asShelf, panels: { top: { ...chosen, strips: strips("B6") }, shelf: chosen } })).toEqual([
      "B6",
      ...BOARDS,
    ]));
});

describe("a shelf that stands in something", () => {
  const WITH: [string, ReturnType<typeof at>[]][] = [
    ["legs", [at("form.shelf.kind", "solid")]],
    ["tapered legs", [at("form.shelf.kind", "solid"), at("form.leg.taper", "two-faces"), at("form.leg.foot", 45)]],
    ["a trestle", [at("form.kind", "trestle"), at("form.shelf.kind", "solid")]],
    [
      "two posts",
      [
        at("form.kind", "trestle"),
        at("form.shelf.kind", "solid"),
        at("form.trestle.post.count", 2),
        at("form.shelf.width", 420),
      ],
    ],
    [
      "three ends",
      [
        at("form.kind", "trestle"),
        at("form.shelf.kind", "solid"),
        at("form.trestle.ends", 3),
        at("form.top.length", 2600),
      ],
    ],
  ];
  it.each(WITH)("%s: no wood is in two parts, and it is let in", (_, patches) => {
    const plan = planOf(tableWith(...patches));
    expect(plan.failures).toEqual([]);
    expect(clashes(plan.assembly.parts)).toEqual([]);
    expect(plan.assembly.parts.some((part) => part.cuts.some((cut) => cut.by === "shelf"))).toBe(true);
    const order = plan.steps.map((each) => each.id);
    expect(order.indexOf("shelf-house")).toBeLessThan(order.indexOf("glue-ends"));
    expect(order.indexOf("shelf-size")).toBeLessThan(order.indexOf("glue-base"));
  });
  it("between legs it must have room for its wet month: 780 wide with nothing left pushes them apart", () => {
    const tight = tableWith(
      at("form.shelf", { ...USUAL_SHELF, kind: "solid", height: 180, width: 240, thickness: 20, gap: 0 }),
    );
    const verdict = find(planOf(tight), "form.shelf-moves");
    expect(verdict.level).toBe("fix");
    expect(find(planOf(applyPatches(tight, verdict.remedies[0].patches)), "form.shelf-moves").level).not.toBe("fix");
  });
  it("a shelf 20 thick over 1570 sags; the thickness it is offered does not", () => {
    const thin = tableWith(
      at("form.shelf", { ...USUAL_SHELF, kind: "solid", height: 180, width: 240, thickness: 12, gap: 3 }),
    );
    const verdict = find(planOf(thin), "form.shelf-sag");
    expect(verdict.level).not.toBe("holds");
    expect(find(planOf(applyPatches(thin, verdict.remedies[0].patches)), "form.shelf-sag").level).toBe("holds");
  });
  it("a shelf wider than the room there is", () => {
    const wide = tableWith(
      at("form.kind", "trestle"),
      at("form.shelf", { ...USUAL_SHELF, kind: "solid", height: 180, width: 1200, thickness: 20, gap: 3 }),
    );
    expect(find(planOf(wide), "form.shelf").text).toBe(
      "The shelf of 1200 mm is wider than the 850 mm there are for it",
    );
  });
  it("what mends the top's boards mends the shelf's", () => {
    const rack = [...plainRack(), demoBoard({ id: "S1", thickness: 20, width: 160 })];
    const piece = { ...asShelf, panels: { ...asShelf.panels, shelf: { ...chosen, strips: strips("S1", "Z9") } } };
    const gone = find(planOf(piece, rack, USUAL_SHOP), "boards.gone.shelf");
    const mended = applyPatches(piece, gone.remedies[0].patches);
    expect(mended.panels.shelf.strips.map((each) => each.board)).toEqual(["S1"]);
    expect(mended.panels.top).toBe(piece.panels.top);
  });
});
