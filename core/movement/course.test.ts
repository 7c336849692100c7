import { describe, expect, it } from "vitest";
import { dailyAir, moistureYear } from "../climate/year";
import { findSpecies } from "../wood/species";
import { COURSE_DAYS, equivalentThickness, moistureCourse, SAMPLE_DAYS, sampleOn } from "./course";
import { evenSlab, growthTable, meanMoisture, moistureMoment, nextStep, stepSlab } from "./diffusion";
import { exchangeAt, findFilm, FILMS, GROWTH, MEASURED_ON, STILL_AIR, transverseDiffusivity } from "./finish";

const DAY = 86400;

/** Steps as a course takes them: short after the jump, then whole days. */
function exposed({
  thickness,
  diffusivity,
  exchange,
  growth,
  from,
  to,
  days,
  warmth = 1,
}: {
  thickness: number;
  diffusivity: number;
  exchange: number;
  growth: Float64Array;
  from: number;
  to: number;
  days: readonly number[];
  warmth?: number;
}): number[] {
  const state = evenSlab(from);
  const faces = { above: to, below: to, exchangeAbove: exchange, exchangeBelow: exchange, warmth };
  let time = 0;
  return days.map((day) => {
    while (time < day - 1e-9) {
      const now = Math.min(nextStep(time), day - time);
      stepSlab(state, { thickness, diffusivity }, growth, { faces, seconds: now * DAY, fresh: time === 0 });
      time += now;
    }
    return meanMoisture(state);
  });
}

/** Uptake of a slab with surface resistance. @source Crank, The Mathematics of Diffusion: a slab in a medium of constant concentration */
function crank(fourier: number, biot: number): number {
  let sum = 0;
  for (let n = 0; n < 300; n += 1) {
    let [low, high] = [n * Math.PI, n * Math.PI + Math.PI / 2 - 1e-12];
    for (let i = 0; i < 80; i += 1) {
      const b = (low + high) / 2;
      if (b * Math.tan(b) < biot) low = b;
      else high = b;
    }
    const b = (low + high) / 2;
    sum += (2 * biot * biot * Math.exp(-b * b * fourier)) / (b * b * (b * b + biot * biot + biot));
  }
  return 1 - sum;
}

describe("diffusion against Crank's series for a slab with surface resistance, within 0.5 %", () => {
  const days = [0.25, 1, 3, 7, 30, 100, 365, 1000];
  const diffusivity = 1e-10;
  it.each([0.05, 0.5, 2, 10, 40, 200])("L = %s, from a quarter of a day to three years", (biot) => {
    for (const thickness of [0.012, 0.028, 0.075]) {
      const half = thickness / 2;
      const got = exposed({
        thickness,
        diffusivity,
        exchange: (biot * diffusivity) / half,
        growth: growthTable(0),
        from: 0,
        to: 1,
        days,
      });
      days.forEach((day, i) => {
        const fourier = (diffusivity * day * DAY) / half ** 2;
        // before the outermost cell has filled there is hardly an uptake to compare: a 75 mm leg in its first days
        if (fourier < 0.004) return;
        expect(Math.abs(got[i] / crank(fourier, biot) - 1), `${thickness * 1000} mm, day ${day}`).toBeLessThan(0.005);
      });
    }
  });
  it("is stable for any step: ten years at once lands on the air's moisture, and nothing oversteps it", () => {
    for (const seconds of [1, 3600, DAY, 30 * DAY, 365 * DAY, 3650 * DAY]) {
      const state = evenSlab(4);
      for (let i = 0; i < 30; i += 1) {
        stepSlab(state, { thickness: 0.006, diffusivity: 3e-10 }, growthTable(0.13), {
          faces: { above: 20, below: 20, exchangeAbove: STILL_AIR, exchangeBelow: STILL_AIR, warmth: 3 },
          seconds,
          fresh: i === 0,
        });
        expect(Math.max(...state.cells)).toBeLessThan(20.9);
        expect(Math.min(...state.cells)).toBeGreaterThan(3.99);
      }
      if (seconds >= 30 * DAY) expect(meanMoisture(state)).toBeCloseTo(20, 2);
    }
  });
});

describe("finishes against the handbook's moisture-excluding effectiveness (Wood Handbook ch. 16, from memory), within 5 points", () => {
  const PUBLISHED: [string, number[]][] = [
    ["varnish", [90, 64, 44]],
    ["shellac", [91, 64, 42]],
    ["lacquer", [79, 37, 19]],
    ["tung-oil", [52, 6, 2]],
    ["oil", [33, 2, 0]],
    ["wax", [17, 0, 0]],
    ["varnish-one", [55, 10, 2]],
  ];
  const pine = { density: MEASURED_ON.density };
  const uptake = (id: string) =>
    exposed({
      thickness: MEASURED_ON.thickness / 1000,
      diffusivity: transverseDiffusivity(pine),
      exchange: exchangeAt(findFilm(id), pine, { temperature: MEASURED_ON.temperature, low: 0.3, high: 0.9 }),
      growth: growthTable(GROWTH.perPercent),
      from: 6.1,
      to: 20.2,
      days: [1, 7, 14],
      warmth: (1 + GROWTH.perDegree) ** (MEASURED_ON.temperature - 20),
    }).map((m) => m - 6.1);
  const bare = uptake("bare");
  it.each(PUBLISHED)("%s %j after 1, 7 and 14 days", (id, published) => {
    uptake(id).forEach((took, i) => expect(Math.abs(100 * (1 - took / bare[i]) - published[i])).toBeLessThanOrEqual(5));
  });
  it("a film on denser wood is slower by its density, and no film is faster than still air", () => {
    const air = { temperature: 20, low: 0.35, high: 0.6 };
    const [pineSpeed, oakSpeed] = [400, 800].map((density) => exchangeAt(findFilm("varnish"), { density }, air));
    expect(pineSpeed / oakSpeed).toBeCloseTo(2, 1);
    for (const film of FILMS) expect(exchangeAt(film, pine, air)).toBeLessThanOrEqual(STILL_AIR);
  });
  it("diffusivity keeps to its orders: 2 to 3e-10 in pine, 0.5 to 1e-10 in oak and beech (common practice)", () => {
    for (const id of ["eastern-white-pine", "yellow-poplar", "ponderosa-pine"]) {
      const d = transverseDiffusivity(findSpecies(id)!);
      expect(d).toBeGreaterThan(2e-10);
      expect(d).toBeLessThan(3.2e-10);
    }
    for (const id of ["european-oak", "european-beech", "red-oak"]) {
      const d = transverseDiffusivity(findSpecies(id)!);
      expect(d).toBeGreaterThan(0.5e-10);
      expect(d).toBeLessThan(1e-10);
    }
  });
});

describe("the years of a piece", () => {
  const year = moistureYear({ kind: "typical", id: "heated-temperate" });
  const shop = dailyAir(moistureYear({ kind: "typical", id: "shop-cold" }), Array(12).fill(0));
  const air = dailyAir(year, Array(12).fill(0));
  const oak = findSpecies("european-oak")!;
  const course = (
    thickness: number,
    film: string,
    {
      delivered = "2026-11-23",
      below = air,
      value = 9,
    }: { delivered?: string; below?: typeof air; value?: number } = {},
  ) =>
    moistureCourse({
      thickness,
      species: oak,
      start: { value, on: "2026-11-23" },
      delivered,
      shop,
      room: { above: air, below },
      films: { above: findFilm(film), below: findFilm(film) },
      year,
    });
  const swing = (each: ReturnType<typeof course>) => {
    const last = each.mean.slice(-74);
    return Math.max(...last) - Math.min(...last);
  };
  it("covers three years and keeps within what its air allows", () => {
    const top = course(28, "oil-wax");
    expect(top.mean.length).toBe(COURSE_DAYS / SAMPLE_DAYS + 1);
    expect(top.driest.moisture).toBeGreaterThan(year.driest.moisture - 0.05);
    expect(top.wettest.moisture).toBeLessThan(year.wettest.moisture + 0.05);
  });
  it("a thin bare board follows its room within days, a thick varnished one swings less and later", () => {
    const [thin, top, thick] = [course(6, "bare"), course(28, "oil-wax"), course(45, "varnish")];
    const room = Math.max(...air.moisture) - Math.min(...air.moisture);
    expect(swing(thin) / room).toBeGreaterThan(0.97);
    expect(swing(top)).toBeLessThan(swing(thin));
    expect(swing(thick)).toBeLessThan(0.6 * swing(top));
    expect(thick.half).toBeGreaterThan(3 * top.half);
  });
  it("a 25 mm bare board follows a month, a 45 mm varnished top a season (common practice)", () => {
    expect(course(25, "bare").most).toBeGreaterThan(15);
    expect(course(25, "bare").most).toBeLessThan(62);
    expect(course(45, "varnish").most).toBeGreaterThan(90);
    expect(course(45, "varnish").most).toBeLessThan(400);
  });
  it("forgets where it began: two starts end alike, and says when", () => {
    const [dry, wet] = [
      course(28, "varnish", { delivered: undefined, below: air, value: 6 }),
      course(28, "varnish", { delivered: undefined, below: air, value: 12 }),
    ];
    expect(dry.mean.at(-1)).toBeCloseTo(wet.mean.at(-1)!, 1);
    expect(wet.follows).toBeGreaterThan(30);
    expect(wet.follows).toBeLessThan(900);
  });
  it("stays in the shop's air until it is delivered, then turns to the room's", () => {
    const moved = course(20, "bare", { delivered: "2027-03-23" });
    expect(moved.delivered).toBe(120);
    expect(moved.mean[24]).toBeGreaterThan(11);
    expect(moved.mean[sampleOn(moved, "2027-05-23")]).toBeLessThan(9.5);
  });
  it("a jump at delivery is stepped as finely as one at the start (against steps of 17 seconds)", () => {
    const constant = (humidity: number) =>
      moistureYear({ kind: "own", months: Array.from({ length: 12 }, () => ({ temperature: 20, humidity })) });
    const [damp, dry] = [constant(65), constant(35)];
    const still = (of: typeof damp) => dailyAir(of, Array(12).fill(0));
    const moved = moistureCourse({
      thickness: 12,
      species: oak,
      start: { value: damp.mean, on: "2026-11-23" },
      delivered: "2027-01-16",
      shop: still(damp),
      room: { above: still(dry), below: still(dry) },
      films: { above: findFilm("bare"), below: findFilm("bare") },
      year: dry,
    });
    const state = evenSlab(damp.mean);
    const growth = growthTable(GROWTH.perPercent);
    for (let i = 0; i < 5000; i += 1)
      stepSlab(state, { thickness: 0.012, diffusivity: transverseDiffusivity(oak) }, growth, {
        faces: { above: dry.mean, below: dry.mean, exchangeAbove: STILL_AIR, exchangeBelow: STILL_AIR, warmth: 1 },
        seconds: DAY / 5000,
        fresh: i === 0,
      });
    const went = (moisture: number) => (damp.mean - moisture) / (damp.mean - dry.mean);
    expect(went(moved.mean[11])).toBeGreaterThan(0.15);
    expect(Math.abs(went(moved.mean[11]) / went(meanMoisture(state)) - 1)).toBeLessThan(0.005);
  });
  it("a heater below dries that face and bends the slab; alike faces never do", () => {
    const warm = dailyAir(year, Array(12).fill(6));
    expect(Math.max(...course(28, "oil-wax").moment.map(Math.abs))).toBeLessThan(1e-9);
    const over = course(28, "oil-wax", { delivered: undefined, below: warm });
    expect(over.moment.at(-1)).toBeGreaterThan(0.3);
    expect(moistureMoment(evenSlab(9))).toBeCloseTo(0, 12);
  });
  it("a bar open on four sides is as slow as its slowest mode: a square is its side over √2", () => {
    expect(equivalentThickness(80, 80)).toBeCloseTo(80 / Math.SQRT2, 9);
    expect(equivalentThickness(20, 2000)).toBeCloseTo(20, 2);
  });
});
