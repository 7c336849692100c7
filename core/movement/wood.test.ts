import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findSpecies } from "../wood/species";
import { boardCoefficient, coefficientAt, pith } from "./coefficient";
import { boardCup, boardRotation } from "./cup";
import { shrinkageChange, widthChange } from "./width";

const beech = findSpecies("american-beech")!;

describe("width change against Wood Handbook ch. 13 (from memory)", () => {
  it("flat-sawn white fir, 232 mm, 8 to 11 %: 1.705 mm (worked example)", () => {
    expect(widthChange(232, coefficientAt(findSpecies("white-fir")!, 0), 8, 11)).toBeCloseTo(1.705, 3);
  });
  it("swells one way and shrinks the other", () => {
    expect(widthChange(900, 0.00274, 8, 11)).toBeGreaterThan(0);
    expect(widthChange(900, 0.00274, 11, 8)).toBeCloseTo(-widthChange(900, 0.00274, 8, 11), 9);
  });
  it("above 14 % it uses the total shrinkage, and nothing changes above saturation", () => {
    expect(widthChange(100, 0.00274, 20, 10)).toBeCloseTo(shrinkageChange(100, 3000 / (1 / 0.00274 + 20), 20, 10), 12);
    expect(widthChange(100, 0.00274, 8, 20)).toBeCloseTo(shrinkageChange(100, 3000 / (1 / 0.00274 + 20), 8, 20), 12);
    expect(widthChange(100, 0.00274, 8, 20)).not.toBeCloseTo(12 * 0.274, 3);
    expect(widthChange(100, 0.00274, 45, 30)).toBeCloseTo(0, 12);
    expect(shrinkageChange(100, 7.8, 30, 0)).toBeCloseTo(-7.8, 9);
  });
  it("the two forms meet at 10 % (identity)", () => {
    const small = 1e-6;
    expect(shrinkageChange(100, 3000 / (1 / 0.00274 + 20), 10, 10 + small) / small).toBeCloseTo(100 * 0.00274, 6);
  });
});

describe("ring angle (derived: strain is a tensor)", () => {
  it("is tangential flat-sawn, radial quarter-sawn, the mean at 45°", () => {
    expect(coefficientAt(beech, 0)).toBeCloseTo(beech.tangential, 12);
    expect(coefficientAt(beech, 90)).toBeCloseTo(beech.radial, 12);
    expect(coefficientAt(beech, 45)).toBeCloseTo((beech.radial + beech.tangential) / 2, 12);
  });
  it("the mean over a board equals the integral over its width (numeric quadrature)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: -80, max: 80, noNaN: true }),
        (a, b) => {
          const [t1, t2] = [Math.tan((a * Math.PI) / 180), Math.tan((b * Math.PI) / 180)];
          let sum = 0;
          for (let i = 0; i < 2000; i += 1)
            sum += coefficientAt(beech, (Math.atan(t1 + ((i + 0.5) / 2000) * (t2 - t1)) * 180) / Math.PI);
          expect(boardCoefficient(beech, a, b)).toBeCloseTo(sum / 2000, 5);
        },
      ),
    );
  });
  it("finds the pith of a heart-side board under its middle", () => {
    const centre = pith(200, -45, 45)!;
    expect(centre.distance).toBeCloseTo(100, 9);
    expect(centre.offset).toBeCloseTo(100, 9);
    expect(pith(200, 30, 30)).toBeNull();
  });
});

describe("cup (derived: circular rings)", () => {
  it("approaches (CT − CR) ΔM w²/(4r) for a narrow board far from the pith", () => {
    const r = 500;
    const angle = (Math.atan(50 / r) * 180) / Math.PI;
    expect(boardCup(beech, 100, { left: -angle, right: angle, change: -3 })).toBeCloseTo(
      ((beech.tangential - beech.radial) * 3 * 100 ** 2) / (4 * r),
      3,
    );
  });
  it("changes side with the moisture", () =>
    expect(boardCup(beech, 150, { left: -30, right: 30, change: 3 })).toBeLessThan(0));
});

describe("a board's edges turn (derived: the field u_r = CR ΔM r, u_θ = (CT − CR) ΔM r θ, differentiated numerically)", () => {
  it("by what the field says, for any rings", () => {
    const [change, r] = [2.5, 400];
    const sideways = (x: number, z: number) =>
      beech.radial * change * x + (beech.tangential - beech.radial) * change * Math.atan2(x, z) * z;
    const turn = (degrees: number) => {
      const x = r * Math.tan((degrees * Math.PI) / 180);
      return (sideways(x, r + 0.5) - sideways(x, r - 0.5)) / 1;
    };
    fc.assert(
      fc.property(fc.integer({ min: -70, max: 0 }), fc.integer({ min: 0, max: 70 }), (left, right) => {
        expect(boardRotation(beech, left, right, change)).toBeCloseTo(turn(right) - turn(left), 5);
      }),
      { numRuns: 100 },
    );
  });
});
