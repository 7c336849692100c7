import { describe, expect, it } from "vitest";
import { moistureYear } from "../climate/year";
import { at, planOf, tableWith } from "../testing/plans";
import { FACE_WARMTH, filmsOf } from "./faces";

const year = moistureYear({ kind: "typical", id: "heated-cold" });

describe("faces that differ", () => {
  it("a heater warms in the six driest months, the sun most in the warmest", () => {
    const heater = FACE_WARMTH.heater("heater", year);
    expect(heater.filter((each) => each > 0)).toHaveLength(6);
    expect(heater[year.driest.month]).toBeGreaterThan(0);
    expect(heater[year.wettest.month]).toBe(0);
    const sun = FACE_WARMTH.sun("sun", year);
    expect(sun[6]).toBeGreaterThan(sun[0]);
    expect(FACE_WARMTH.sun("room", year).every((each) => each === 0)).toBe(true);
  });
  it("one coat below holds back less than three above; bare wood has no film; alike is alike", () => {
    const one = filmsOf("varnish", { below: "one-coat", sun: "room", heater: "room" });
    expect(one.below.exchange!).toBeGreaterThan(5 * one.above.exchange!);
    expect(filmsOf("varnish", { below: "bare", sun: "room", heater: "room" }).below.exchange).toBeNull();
    const alike = filmsOf("oil", { below: "alike", sun: "room", heater: "room" });
    expect(alike.below).toBe(alike.above);
  });
  it("a heater below hollows the underside's way: the drier face is the hollow one, so the top crowns", () => {
    const bow = planOf(tableWith(at("faces.heater", "heater"), at("finish", "varnish"))).top.bow;
    expect(Math.max(...bow)).toBeGreaterThan(0.5);
    expect(Math.max(...bow)).toBeGreaterThan(-3 * Math.min(...bow));
  });
  it("one side finished bends far more than one's rings do (domain: unlike faces are the larger)", () => {
    const worst = (...patches: Parameters<typeof tableWith>) =>
      Math.max(...planOf(tableWith(at("finish", "varnish"), ...patches)).top.bow.map(Math.abs));
    expect(worst(at("faces.below", "bare"))).toBeGreaterThan(5 * worst());
  });
});
