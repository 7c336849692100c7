import { describe, expect, it } from "vitest";
import type { Form, Piece } from "../../piece/schema";
import { at, tableWith } from "../../testing/plans";
import { ROUND, set } from "../../testing/splays";
import { baseOf } from ".";

describe("what is written below the views", () => {
  const measured = ({ form }: Piece, view: "front" | "side") =>
    baseOf(form.kind)
      .dimensions(form, placeOf(form))
      [view].flatMap((item) => (item.kind === "dimension" && item.from[1] === 0 && item.to[1] === 0 ? [item] : []))[0];
  const placeOf = (form: Form) => baseOf(form.kind).place(form, []);
  const reach = ({ form }: Piece, axis: "x" | "z", size: "length" | "width") => {
    const all = placeOf(form).feet.flatMap((foot) => [foot[axis] - foot[size] / 2, foot[axis] + foot[size] / 2]);
    return Math.max(...all) - Math.min(...all);
  };
  it.each([
    ["three legs under rails", tableWith(...ROUND)],
    ["five of them", tableWith(...ROUND, set("ring.legs", 5))],
    [
      "three under arms",
      tableWith(at("form.kind", "splayed"), at("form.splayed.legs", 3), at("form.splayed.turn", 90)),
    ],
    ["three in the top", tableWith(at("form.kind", "staked"), at("form.staked.stand", "round"))],
  ])("%s: from outside to outside where the feet are", (_, piece) => {
    expect(measured(piece, "front").value).toBeCloseTo(reach(piece, "x", "length"), 6);
    expect(measured(piece, "side").value).toBeCloseTo(reach(piece, "z", "width"), 6);
    // the front lies to the left
    const front = Math.max(...placeOf(piece.form).feet.map((foot) => foot.z + foot.width / 2));
    expect(-measured(piece, "side").from[0]).toBeCloseTo(front, 6);
  });
});
