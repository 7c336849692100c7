import { describe, expect, it } from "vitest";
import { steady, turnOf } from "./steady";

describe("numbers that are the same on every engine", () => {
  it("the last digits of a sine are gone, and nothing that a saw could see", () => {
    const [least, most] = [0.1, 1.5];
    for (let i = 0; i <= 200; i += 1) {
      const angle = least + ((most - least) * i) / 200;
      const sine = Math.sin(angle);
      // an engine that is one step of a double off gives the same
      for (const near of [sine, sine + 2 ** -53, sine - 2 ** -53]) expect(steady(near)).toBe(steady(sine));
      expect(Math.abs(steady(sine) - sine)).toBeLessThan(1e-12);
    }
  });
  it("right angles are exact", () => {
    expect(turnOf(90)).toMatchObject({ sin: 1, cos: 0 });
    expect(turnOf(180)).toMatchObject({ sin: 0, cos: -1 });
    expect(turnOf(45).tan).toBe(1);
  });
});
