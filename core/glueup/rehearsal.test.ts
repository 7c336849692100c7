import { describe, expect, it } from "vitest";
import { freshPiece } from "../piece/fresh";
import { at, planOf, strips, tableWith } from "../testing/plans";
import { ADHESIVES } from "./adhesives";
import { ALIGN_CLEAR, ALIGN_SPACING, alignmentPlaces } from "./alignment";
import { rehearse } from "./rehearsal";
import { runNote, runTimers } from "./run";
import { caulCrown, CAUL_DEPTH, CAUL_WIDTH } from "./stages";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));
const [stage] = planOf(tableWith(seven)).glueUp;

describe("the rehearsal", () => {
  it.each([1, 2, 3])(
    "%i people: nobody does two things at once, every move is done once, none before what it needs",
    (people) => {
      const { moves, minutes } = rehearse(stage, "none", people);
      const work = moves.reduce((sum, move) => sum + move.to - move.from, 0);
      for (let p = 0; p < people; p += 1) {
        const mine = moves.filter((move) => move.person === p).sort((a, b) => a.from - b.from);
        for (let i = 1; i < mine.length; i += 1) expect(mine[i].from).toBeGreaterThanOrEqual(mine[i - 1].to - 1e-9);
      }
      const end = (what: string) => moves.find((move) => move.what === what)!.to;
      const begin = (what: string) => moves.find((move) => move.what === what)!.from;
      for (let line = 1; line <= 6; line += 1) {
        expect(begin(`Lay strip ${line + 1}`)).toBeGreaterThanOrEqual(end(`Spread line ${line}`) - 1e-9);
        expect(begin("Tighten clamp 1")).toBeGreaterThanOrEqual(end(`Lay strip ${line + 1}`) - 1e-9);
      }
      expect(minutes).toBeGreaterThanOrEqual(work / people - 1e-9);
      expect(new Set(moves.map((move) => move.what)).size).toBe(moves.length);
    },
  );
  it("alone it takes all the work; more hands are never slower and never hold a line open longer", () => {
    const [one, two, three] = [1, 2, 3].map((people) => rehearse(stage, "none", people));
    expect(one.minutes).toBeCloseTo(
      one.moves.reduce((sum, move) => sum + move.to - move.from, 0),
      9,
    );
    expect(two.minutes).toBeLessThan(one.minutes);
    expect(three.minutes).toBeLessThanOrEqual(two.minutes + 1e-9);
    expect(two.longestOpen).toBeLessThan(one.longestOpen);
  });
  it("the line spread first waits longest when one person does it all", () =>
    expect(rehearse(stage, "none", 1).openLine).toBe(1));
  it("clamps go on from the middle out", () => {
    const order = rehearse(stage, "none", 1)
      .moves.filter((move) => move.what.startsWith("Tighten"))
      .map((move) => Math.abs(stage.clamps.places[Number(move.what.match(/\d+/)![0]) - 1].x));
    expect(order).toEqual(order.slice().sort((a, b) => a - b));
  });
});

describe("alignment aids", () => {
  const aided = (...more: Parameters<typeof tableWith>) => {
    const piece = tableWith(seven, at("choices.alignment", "loose-tenons"), ...more);
    const plan = planOf(piece);
    return { piece, plan, places: alignmentPlaces(plan.panel.laid, plan.geometry, piece) };
  };
  it.each([["rectangle"], ["soft"], ["notched"]])(
    "%s: never within 50 mm of a cut or the edge, at most 300 apart",
    (outline) => {
      const { plan, places, piece } = aided(at("form.top.outline", outline));
      expect(places.length).toBeGreaterThan(20);
      for (const place of places) {
        expect(Math.abs(place.x)).toBeLessThanOrEqual(900 - ALIGN_CLEAR - piece.form.top.edge.size + 0.1);
        expect(plan.panel.lines.some((line) => Math.abs(line - place.y) < 0.01)).toBe(true);
      }
      for (const line of plan.panel.lines) {
        const xs = places
          .filter((each) => Math.abs(each.y - line) < 0.01)
          .map((each) => each.x)
          .sort((a, b) => a - b);
        for (let i = 1; i < xs.length; i += 1) expect(xs[i] - xs[i - 1]).toBeLessThanOrEqual(ALIGN_SPACING + 1e-6);
      }
    },
  );
  it("none shows in an ellipse or a cut-out: each lies 50 mm inside what is kept", () => {
    const { places } = aided(
      at("form.top.outline", "ellipse"),
      at("form.top.cutouts", [{ name: "Outlet", x: 0, y: 0, length: 200, width: 120 }]),
    );
    expect(places.length).toBeGreaterThan(6);
    for (const { x, y } of places) {
      const [a, b] = [900 - ALIGN_CLEAR, 425 - ALIGN_CLEAR];
      expect((x / a) ** 2 + ((y - 425) / b) ** 2).toBeLessThan(1.02);
      expect(Math.abs(x) >= 100 + ALIGN_CLEAR || Math.abs(y - 425) >= 60 + ALIGN_CLEAR).toBe(true);
    }
  });
  it("keep clear of the tongue of a breadboard's panel", () => {
    const { places, plan } = aided(at("form.ends", "breadboards"));
    for (const { x } of places)
      expect(Math.abs(x)).toBeLessThanOrEqual(plan.geometry.core.shoulder / 2 - ALIGN_CLEAR + 0.1);
  });
  it("each seam's are fitted in the stage that closes it, none twice, and bare edges have none", () => {
    const { plan, places } = aided(at("choices.stages", "halves"));
    expect(plan.glueUp.reduce((sum, each) => sum + each.alignment.length, 0)).toBe(places.length);
    expect(stage.alignment).toEqual([]);
  });
});

it("a caul's crown is what an even load bends it by (integrated numerically; beam on two ends)", () => {
  const [width, n] = [900, 4000];
  const load = 4000 / width;
  const stiffness = (11000 * CAUL_WIDTH * CAUL_DEPTH ** 3) / 12;
  // slope and deflection by two sums of the bending moment from the middle outward
  let [slope, sag] = [0, 0];
  const step = width / 2 / n;
  for (let i = 0; i < n; i += 1) {
    const x = (i + 0.5) * step;
    slope += (((load / 2) * (width ** 2 / 4 - x ** 2)) / stiffness) * step;
    sag += slope * step;
  }
  expect(caulCrown(width)).toBeCloseTo(sag, 3);
  expect(caulCrown(1200) / caulCrown(600)).toBeCloseTo(8, 9);
});

describe("a glue-up that runs", () => {
  const started = "2026-11-24T09:00:00.000Z";
  const run = { stage: "panel", people: 2, started, clamped: null, scraped: null, unclamped: null, machined: null };
  const pva = ADHESIVES[0];
  it("open time runs from the first glue; the rest waits for the clamps", () => {
    const [open, scrape, clamps] = runTimers(run, pva, "scrape-rubbery");
    expect(open.due).toBe(Date.parse("2026-11-24T09:06:00Z"));
    expect([scrape.due, clamps.due]).toEqual([null, null]);
  });
  it("scraping after half an hour, clamps off after an hour, planing after a day, counted from the clamps (typical, common practice)", () => {
    const [, scrape, clamps, plane] = runTimers({ ...run, clamped: "2026-11-24T09:05:00.000Z" }, pva, "scrape-rubbery");
    expect([scrape.due, clamps.due, plane.due]).toEqual(
      ["2026-11-24T09:35:00Z", "2026-11-24T10:05:00Z", "2026-11-25T09:05:00Z"].map(Date.parse),
    );
  });
  it("what reaches the log says whether the clock was kept", () => {
    expect(runNote(run, "clamped", { name: "The panel", adhesive: pva, now: "2026-11-24T09:05:00Z" })).toBe(
      "The panel glued with white or yellow PVA: clamps on after 5.0 min of 6 min open time, 2 people.",
    );
    expect(runNote(run, "clamped", { name: "The panel", adhesive: pva, now: "2026-11-24T09:09:00Z" })).toMatch(
      /Over the open time/,
    );
    expect(runNote(run, "unclamped", { name: "The panel", adhesive: pva, now: "2026-11-24T09:35:00Z" })).toMatch(
      /before the 1 h/,
    );
    expect(runNote(run, "machined", { name: "The panel", adhesive: pva, now: "2026-11-25T10:00:00Z" })).toMatch(/done/);
  });
  it("is a valid record", () => expect(freshPiece("t", "2026-11-23").glueUp.runs).toEqual([]));
});
