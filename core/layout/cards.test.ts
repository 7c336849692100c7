import { describe, expect, it } from "vitest";
import type { Strip } from "../piece/schema";
import { at, find, planOf, plainRack, strips, tableWith } from "../testing/plans";
import { demoBoard } from "../testing/boards";
import { USUAL_SHOP } from "../piece/shop";
import { millLanes } from "./mill";
import { prizedBoards } from "../stock/prized";
import { panelScores } from "./scores";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
const piece = tableWith(seven);
const plan = planOf(piece);
const { cards, pieces, boards } = plan.cutting;
const PHASES = ["board", "rip", "lane", "flat", "resaw", "planer", "table saw", "short", "legs", "crosscut stop"];
const phase = (id: string) => PHASES.indexOf(id.split(":")[0]);

describe("cutting cards", () => {
  it("follow every piece from its board to its finished length: it becomes itself once on the way, and is sized three times", () => {
    const rough = cards
      .filter((card) => /^(rip|lane|short):/.test(card.id))
      .flatMap((card) => card.rows.filter((row) => !row.from.startsWith("strip")).flatMap((row) => row.to));
    for (const { id } of pieces)
      expect(
        rough.filter((mark) => mark === id),
        id,
      ).toHaveLength(1);
    const lane = (mark: string) => plan.cutting.milled.find((each) => each.pieces.includes(mark))?.mark ?? mark;
    const sized = (mark: string, machines: RegExp) =>
      cards.filter(
        (card) =>
          machines.test(card.id) && card.rows.some((row) => row.to.includes(mark) || row.to.includes(lane(mark))),
      );
    for (const part of plan.parts.filter(({ role }) => role !== "panel")) {
      for (const mark of part.sticks?.map((stick) => stick.mark) ?? part.marks)
        expect(sized(mark, /^(planer|table saw):/), mark).toHaveLength(2);
      for (const mark of part.marks) expect(sized(mark, /^crosscut stop:/), mark).toHaveLength(1);
    }
  });
  it("set each machine once a setting, boards first, widest rip first, sizes last", () => {
    const keys = cards.map((card) => card.id);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.map(phase)).not.toContain(-1);
    expect(keys.map(phase)).toEqual(keys.map(phase).sort((a, b) => a - b));
    const rips = cards.filter((card) => card.id.startsWith("rip:")).map((card) => card.setting!);
    expect(rips).toEqual(rips.slice().sort((a, b) => b - a));
  });
  it("flatten everything that is planed, the panel's strips too, and say what is left after it", () => {
    const flat = cards.filter((card) => card.id.startsWith("flat:")).flatMap((card) => card.rows);
    for (const strip of ["B1", "B7"]) {
      expect(flat.filter((row) => row.to.includes(`strip ${strip}`))).toHaveLength(1);
      expect(
        cards.find((card) => card.id === `planer:${plan.geometry.core.thickness + USUAL_SHOP.panelOver}`)!.rows[0].to,
      ).toContain(`strip ${strip}`);
    }
    for (const row of flat) {
      const lane = plan.cutting.milled.find((each) => each.mark === row.from)!;
      expect(row.check).toBe(`${(lane.thickness + lane.plan.faces.second).toFixed(1)} mm thick, one face flat`);
    }
  });
  it("feed nothing shorter than 300 mm through jointer or planer: short lanes are crosscut after it (common practice)", () => {
    const short = pieces.filter((each) => each.length < 300);
    expect(short.length).toBeGreaterThan(1);
    for (const { id } of short) {
      const cut = cards.findIndex(
        (card) => /^(lane|short):/.test(card.id) && card.rows.some((row) => row.to.includes(id)),
      );
      expect(cut, id).toBeGreaterThan(cards.findIndex((card) => card.id.startsWith("planer:")));
      expect(plan.cutting.milled.find((each) => each.pieces.includes(id))!.length).toBeGreaterThanOrEqual(300);
    }
  });
  it("name the pieces of a glued leg one by one, and make the legs before they are cut to length", () => {
    const glued = planOf(tableWith(seven, at("form.leg.make", "core-faces")));
    const made = glued.cutting.cards;
    const planed = made
      .filter((card) => card.id.startsWith("planer:"))
      .flatMap((card) => card.rows.flatMap((row) => row.to));
    for (const mark of ["L1c", "L1f", "L1g"])
      expect(
        planed.filter((each) => each === mark),
        mark,
      ).toHaveLength(1);
    const legs = made.findIndex((card) => card.id === "legs");
    expect(made[legs].rows.at(-1)!.to).toEqual(["L1", "L2", "L3", "L4"]);
    expect(made.slice(legs + 1).every((card) => card.id.startsWith("crosscut stop:"))).toBe(true);
    expect(made.map((card) => phase(card.id))).toEqual(made.map((card) => phase(card.id)).sort((a, b) => a - b));
  });
  it("check what should be left of a board after each cut: less and less, and true at the end", () => {
    for (const cut of boards) {
      const card = cards.find((each) => each.board === cut.board.id)!;
      const left = card.rows.flatMap((row) => {
        const match = row.check.match(/^([\d.]+) mm of/);
        return match ? [Number(match[1])] : [];
      });
      expect(left).toEqual(left.slice().sort((a, b) => b - a));
      const ends = [...cut.sections, ...(cut.strip ? [cut.strip] : [])].map(({ x, length }) => x + length);
      expect(left.at(-1)!).toBeCloseTo(Math.max(0, cut.board.length - Math.max(0, ...ends) - USUAL_SHOP.kerf), 0);
      for (const offcut of cut.offcuts) expect(card.rows.some((row) => row.to.includes(offcut.id))).toBe(true);
    }
  });
});

describe("milling of the lanes", () => {
  it("covers every piece and every strip, thick enough where the plan holds", () => {
    const lanes = millLanes(
      boards,
      new Map(pieces.map((each) => [each.id, each])),
      [
        {
          name: "Top",
          kinds: ["top"],
          laid: plan.panel.laid,
          thickness: plan.geometry.core.thickness + USUAL_SHOP.panelOver,
        },
      ],
      USUAL_SHOP,
    );
    expect(
      lanes
        .flatMap((lane) => lane.pieces)
        .filter((id) => id !== "top")
        .sort(),
    ).toEqual(pieces.map((each) => each.id).sort());
    expect(lanes.filter((lane) => lane.pieces[0] === "top")).toHaveLength(7);
    for (const lane of lanes) expect(lane.plan.milled.thickness).toBeGreaterThanOrEqual(lane.thickness);
  });
});

describe("what makers look at in a panel", () => {
  const score = (id: string, rack = plainRack(), given = piece) => {
    const made = planOf(given, rack);
    return panelScores(made.panel.laid, made.geometry, given, { rack, species: "european-ash", shop: USUAL_SHOP }).find(
      (each) => each.id === id,
    )!;
  };
  it("counts joints of one tree, rings by the school, defects that show", () => {
    expect(score("tree").said).toBe("0 of 6 joints");
    expect(
      score(
        "tree",
        plainRack().map((board) => ({ ...board, tree: "E1" })),
      ).said,
    ).toBe("6 of 6 joints");
    expect(score("rings")).toMatchObject({ said: "6 of 6 joints", share: 1 });
    expect(score("rings", plainRack(), tableWith(seven, at("choices.rings", "best-face"))).said).toBe(
      "4 of 7 bark side up",
    );
    expect(score("clear").share).toBe(1);
    const knotted = plainRack().map((board) =>
      board.id === "B3"
        ? { ...board, defects: [{ kind: "knot" as const, x: 600, y: 40, length: 40, width: 30 }] }
        : board,
    );
    expect(score("clear", knotted).said).toBe("no defect in it");
    // slid by hand, it is no longer ripped beside the knot
    expect(
      score(
        "clear",
        knotted,
        tableWith(
          at(
            "panels.top.strips",
            (seven.value as Strip[]).map((each) => (each.board === "B3" ? { ...each, slide: 20 } : each)),
          ),
        ),
      ).said,
    ).toBe("1 defect in it");
  });
  it("names a wide board that is spared, or used up", () => {
    const rack = [...plainRack(), demoBoard({ id: "W1", width: 310 })];
    expect(prizedBoards(rack, "european-ash").map((board) => board.id)).toEqual(["W1"]);
    expect(score("prized", rack)).toMatchObject({ said: "W1, 310.0 mm", share: 1 });
    expect(score("prized", rack, tableWith(at("panels.top.strips", strips("W1", "B2", "B3", "B4", "B5")))).share).toBe(
      0,
    );
  });
  it("waste is what is used up of the boards less what the panel holds, as the search counts it (by hand)", () => {
    // of 2400 mm 557 are left after 1840 and the kerf: enough to keep
    const used = planOf(piece).panel.laid.reduce((sum, each) => sum + 1843 * each.board.width * 38, 0);
    expect(score("waste").share).toBeCloseTo((1800 * 850 * 28) / used, 6);
  });
});

it("a curved top takes strips only as long as their chord, and their boards keep the rest", () => {
  const round = planOf(tableWith(seven, at("form.top.outline", "ellipse")));
  const [outer, middle] = [round.panel.laid[0], round.panel.laid[3]];
  expect(middle.length).toBe(1800);
  expect(outer.length).toBeLessThan(1400);
  const kept = (id: string, of: typeof plan) =>
    of.cutting.boards.find((cut) => cut.board.id === id)!.offcuts.reduce((sum, each) => sum + each.length, 0);
  expect(kept(outer.board.id, round)).toBeGreaterThan(kept(outer.board.id, plan));
  expect(find(round, "boards.outline").level).toBe("fix");
});
