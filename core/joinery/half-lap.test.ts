import { describe, expect, it } from "vitest";
import { less, shared } from "../assembly/carve";
import { solidOf } from "../assembly/shape";
import { bulkOf, Solid, stood } from "../assembly/solid";
import { halfLap, halfLapBodies, halfLapCard, halfLapHeld } from "./half-lap";

const meets = { id: "a+b", group: "a+b", name: "A across b", receives: "a", enters: "b", count: 2 };
const [WIDTH, THICKNESS] = [80, 40];
const lap = (angle: number) => halfLap({ meets, width: WIDTH, thickness: THICKNESS, angle, set: [] });
/** A strip through the middle of the crossing, its grain turned by so many degrees. */
const strip = (degrees: number): Solid => {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return stood(solidOf({ length: 800, width: WIDTH, thickness: THICKNESS }), {
    at: [-400 * cos + (WIDTH / 2) * sin, -400 * sin - (WIDTH / 2) * cos, 0],
    x: [cos, sin, 0],
    y: [-sin, cos, 0],
  });
};
const volume = (solid: Solid) => bulkOf(solid).volume;

describe.each([30, 45, 60, 78, 90, 110, 135, 150])("a half-lap of two strips at %i°", (angle) => {
  const joint = lap(angle);
  const { own, cuts, adds } = halfLapBodies(joint);
  const taken = (whole: Solid, bodies: typeof own) =>
    bodies.reduce((rest, { shape, place }) => less(rest, stood(solidOf(shape), place)), whole);
  const [enters, receives] = [taken(strip(0), own), taken(strip(angle), cuts)];
  const crossing = (WIDTH * WIDTH) / Math.sin((angle * Math.PI) / 180);
  it("takes half of the crossing from each: w² / sin of the angle, by half the thickness", () => {
    expect(volume(strip(0)) - volume(enters)).toBeCloseTo((crossing * THICKNESS) / 2, 2);
    expect(volume(strip(angle)) - volume(receives)).toBeCloseTo((crossing * THICKNESS) / 2, 2);
  });
  it("closes: what is left of one lies in what is gone from the other", () => {
    expect(adds).toEqual([]);
    expect(volume(shared(enters, receives))).toBeCloseTo(0, 3);
  });
  it("fills the crossing without a gap", () => {
    const both = volume(shared(strip(0), strip(angle)));
    const left = volume(shared(enters, strip(angle))) + volume(shared(receives, strip(0)));
    expect(left).toBeCloseTo(both, 2);
  });
  it("its shoulders are as far apart along the edge as the other strip cuts it", () =>
    expect(joint.lap).toBeCloseTo(WIDTH / Math.sin((angle * Math.PI) / 180), 9));
});

describe("what a half-lap says", () => {
  it("glue from corner to corner of the crossing: across the flat of an X at right angles it is √2 of the width", () => {
    const [held] = halfLapHeld(lap(90));
    expect(held.to - held.from).toBeCloseTo(WIDTH * Math.SQRT2, 9);
  });
  it("half the thickness, the shoulders' angle, and whatever it is set out from first", () => {
    const card = halfLapCard({ ...lap(110), set: [{ what: "Lean, from the floor", setting: "55.0°" }] });
    expect(card.lines[0]).toEqual({ what: "Lean, from the floor", setting: "55.0°" });
    expect(card.lines.map(({ setting }) => setting)).toContain("20.0 mm");
    expect(card.lines.at(-1)!.setting).toBe("20.0°");
  });
  it("thin strips leave no wall", () => {
    const [wall] = halfLap({ meets, width: WIDTH, thickness: 14, angle: 90, set: [] }).walls;
    expect(wall.left).toBeLessThan(wall.least);
  });
});
