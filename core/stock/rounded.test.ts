import { describe, expect, it } from "vitest";
import { readRack, writeRack } from "../formats/rack-csv";
import { panelCandidates } from "../layout/candidates";
import { runsOf } from "../layout/runs";
import { USUAL_SHOP } from "../piece/shop";
import { demoBoard } from "../testing/boards";
import { SPECIES } from "../wood/species";
import { edgeLoss } from "./board";
import { millingYield } from "./milling";

const need = { length: 1200, width: 500, thickness: 30 };
const choice = { banned: [], crosscutFirst: true, sawnFace: null };
const flat = { bow: 0, crook: 0, cup: 0, twist: 0 };

describe("dressed timber with rounded corners", () => {
  const board = demoBoard({ id: "N1", width: 140, thickness: 38, length: 2400, rounded: 4, ...flat });
  const square = { ...board, rounded: 0 };
  it("gives a glued strip what is left between its corners, 140 less 4 at each edge", () => {
    expect(edgeLoss(board, USUAL_SHOP)).toBe(4);
    expect(edgeLoss(square, USUAL_SHOP)).toBe(1.5);
    const [{ width }] = panelCandidates([board], board.species, need, { shop: USUAL_SHOP, choice }).candidates;
    expect(width).toBe(132);
    expect(panelCandidates([square], board.species, need, { shop: USUAL_SHOP, choice }).candidates[0].width).toBe(137);
    expect(millingYield(board, USUAL_SHOP, 1200, 140).width).toBe(132);
  });
  it("is sawn into parts with square edges: 4 off both, all along it", () => {
    expect(runsOf(board, [], USUAL_SHOP)).toMatchObject([{ y: 4, width: 132 }]);
    expect(runsOf(square, [], USUAL_SHOP)).toMatchObject([{ y: 0, width: 140 }]);
    // a tapered one loses as much of its narrower end
    expect(runsOf({ ...board, widthEnd: 120 }, [], USUAL_SHOP)[0].width).toBeLessThanOrEqual(116.5);
  });
  it("comes from a list by its nominal size with 4, or with what the list says, and goes out with it", () => {
    const read = (text: string) => readRack(text, SPECIES, "2026-11-26").boards;
    const [dressed, said, sawn] = [
      "id,species,length,nominal\nN1,european-ash,2400,2x6",
      "id,species,length,nominal,rounded\nN1,european-ash,2400,2x6,3",
      "id,species,length,width,thickness\nN1,european-ash,2400,150,40",
    ].map((text) => read(text)[0]);
    expect([dressed.rounded, said.rounded, sawn.rounded]).toEqual([4, 3, 0]);
    expect(read(writeRack([said]))[0]).toEqual(said);
  });
});
