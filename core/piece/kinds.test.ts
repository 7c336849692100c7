import { describe, expect, it } from "vitest";
import { at, tableWith } from "../testing/plans";
import { arriving, Standing } from "./arrival";
import { AS_THE_PIECE, differing, edgesOf, speciesUsed } from "./kinds";
import { demoBoard } from "../testing/boards";

const own = (kind: string, change: Partial<typeof AS_THE_PIECE>) => at(`kinds.${kind}`, { ...AS_THE_PIECE, ...change });

describe("what differs from the piece", () => {
  it("nothing, where every choice is left to it", () => expect(differing(tableWith(own("leg", {})))).toEqual([]));
  it("a moisture of its own is a difference, and no other wood", () => {
    const piece = tableWith(own("leg", { moisture: 11 }));
    expect(differing(piece).map(([kind]) => kind)).toEqual(["leg"]);
    expect(speciesUsed(piece)).toEqual(["european-ash"]);
  });
  it("the top is what the piece's own wood speaks of", () =>
    expect(
      speciesUsed(tableWith(own("top", { species: "black-walnut" }), own("slat", { species: "black-walnut" }))),
    ).toEqual(["european-ash"]));
  it("each wood once, the piece's first", () =>
    expect(
      speciesUsed(
        tableWith(
          own("leg", { species: "black-walnut" }),
          own("shelf", { species: "black-walnut" }),
          own("end-rail", { species: "european-ash" }),
        ),
      ),
    ).toEqual(["european-ash", "black-walnut"]));
  it("edges are no difference in the wood, and the top's are its own", () => {
    const edges = { how: "eased", size: 1, raised: 0, when: "before" } as const;
    const piece = tableWith(own("leg", { edges }), own("top", { edges }));
    expect(differing(piece)).toEqual([]);
    expect(edgesOf(piece.kinds)).toEqual({ leg: edges });
  });
});

it("a piece that arrives keeps boards of every wood it is made from, and lets others go", () => {
  const standing = (id: string, species: string): Standing => ({
    id,
    body: demoBoard({ id, species }),
    state: "free",
    holder: null,
    orphan: false,
  });
  const section = (board: string) => ({ board, x: 20, y: 0, length: 700, lanes: [{ width: 90, pieces: ["L1"] }] });
  const piece = tableWith(
    own("leg", { species: "black-walnut" }),
    at("cutting.sections", ["A1", "W1", "C1"].map(section)),
  );
  const { piece: arrived, said } = arriving(
    piece,
    [standing("A1", "european-ash"), standing("W1", "black-walnut"), standing("C1", "black-cherry")],
    () => true,
  );
  expect(arrived.cutting.sections.map((each) => each.board)).toEqual(["A1", "W1"]);
  expect(said).toEqual([expect.stringMatching(/^C1 is of another wood here/)]);
});
