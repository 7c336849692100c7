import { describe, expect, it } from "vitest";
import { at, planOf, strips, tableWith } from "../testing/plans";
import { FORMULAS } from "./formulas";
import { leaves, worked } from "./worked";

const seven = at("panels.top.strips", strips("B1", "B2", "B3", "B4", "B5", "B6", "B7"));

describe("every number can be done again by hand", () => {
  it("each line names a formula that is on the page", () => {
    const ids = FORMULAS.map((each) => each.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const piece of [
      tableWith(seven),
      tableWith(at("form.ends", "breadboards")),
      tableWith(at("moisture.value", 45)),
    ])
      for (const line of worked(planOf(piece), piece)) expect(ids).toContain(line.formula);
  });
  it("the arithmetic of the width line gives its result, within and beyond the linear range (evaluated as written)", () => {
    for (const patches of [[seven], [seven, at("brief.climate.id", "porch-temperate")], [at("moisture.value", 45)]]) {
      const piece = tableWith(...patches);
      const line = worked(planOf(piece), piece).find((each) => each.what.endsWith("by then"))!;
      const value = evaluate(line.sum);
      expect(value).toBeCloseTo(Number(line.result.replace(" mm", "")), 1);
    }
  });
  it("the strips of the next line add up to the whole", () => {
    const piece = tableWith(seven);
    const line = worked(planOf(piece), piece).find((each) => each.what === "All strips together")!;
    expect(evaluate(line.sum)).toBeCloseTo(Number(line.result.replace(" mm", "")), 1);
  });
});

describe("where a piece leaves a formula's range", () => {
  it("a usual table at home leaves none but the boards it lacks", () =>
    expect(leaves(planOf(tableWith(seven)), tableWith(seven))).toEqual([]));
  it.each([
    ["green wood", [at("moisture.value", 45)], /green/],
    ["a porch", [at("brief.climate.id", "porch-temperate")], /Rain is not counted/],
    ["a heater below", [at("faces.heater", "heater")], /upper bound/],
    ["no boards", [], /flat-sawn/],
  ] as const)("%s", (_, patches, text) => {
    const piece = tableWith(...patches);
    expect(
      leaves(planOf(piece), piece)
        .map((each) => each.text)
        .join(" "),
    ).toMatch(text);
  });
});

/** Plain arithmetic with · − and brackets, nothing else. */
function evaluate(sum: string): number {
  const tokens = sum
    .replaceAll("·", "*")
    .replaceAll("−", "-")
    .match(/\d+(\.\d+)?|[-+*/()]/g)!;
  let i = 0;
  const expression = (): number => {
    let value = term();
    while (tokens[i] === "+" || tokens[i] === "-") value = tokens[i++] === "+" ? value + term() : value - term();
    return value;
  };
  const term = (): number => {
    let value = factor();
    while (tokens[i] === "*" || tokens[i] === "/") value = tokens[i++] === "*" ? value * factor() : value / factor();
    return value;
  };
  const factor = (): number => {
    const token = tokens[i++];
    if (token === "(") {
      const value = expression();
      i += 1;
      return value;
    }
    return token === "-" ? -factor() : Number(token);
  };
  return expression();
}
