import { describe, expect, it } from "vitest";
import { CommissionMember, CommissionOrder, composedPieces, givenBack, isBegun, wantedBy } from "./commission-boards";
import { AllComposed, composeAll } from "./layout/compose-all";
import { applyPatches, Patch } from "./piece/patch";
import { USUAL_SHOP } from "./piece/shop";
import type { RackBoard } from "./stock/board";
import { demoBoard } from "./testing/boards";
import { at, strips, tableWith, TODAY } from "./testing/plans";

/** Twelve boards that make two tops of 600 by 400, eight of 105 and four of 160. */
const RACK: RackBoard[] = [
  ...Array.from({ length: 8 }, (_, i) => demoBoard({ id: `N${i + 1}`, width: 105, length: 900 })),
  ...Array.from({ length: 4 }, (_, i) => demoBoard({ id: `W${i + 1}`, width: 160, length: 900 })),
];
const small = (name: string, ...patches: Patch[]) =>
  applyPatches(
    tableWith(at("form.top.length", 600), at("form.top.width", 400), at("form.top.thickness", 24), ...patches),
    [at("name", name)],
  );
const order = (...members: CommissionMember[]): CommissionOrder => ({
  members,
  ...{ shop: USUAL_SHOP, ownSpecies: [], today: TODAY },
});
const found = (of: CommissionOrder) => {
  const wanted = wantedBy(of);
  let best: AllComposed | null = null;
  for (const each of composeAll(wanted.panels)) best = each;
  return { wanted, best: best!, pieces: composedPieces(of, wanted, best!) };
};
const used = (piece: { panels: Record<string, { strips: { board: string }[] }> }) =>
  Object.values(piece.panels).flatMap((panel) => panel.strips.map(({ board }) => board));

describe("one search for two side tables of a commission", () => {
  const both = order({ id: "a", piece: small("Left"), rack: RACK }, { id: "b", piece: small("Right"), rack: RACK });
  const { wanted, best, pieces } = found(both);
  it("asks for both tops, by their pieces' names", () => {
    expect(wanted.panels.map(({ id, name }) => [id, name])).toEqual([
      ["a/top", "top of the Left"],
      ["b/top", "top of the Right"],
    ]);
  });
  it("gives each its boards, and none to both", () => {
    expect(best.without).toEqual([]);
    expect(pieces.map(({ id }) => id)).toEqual(["a", "b"]);
    const [left, right] = pieces.map(({ piece }) => used(piece));
    expect(left.length).toBeGreaterThan(0);
    expect(right.length).toBeGreaterThan(0);
    expect(left.filter((board) => right.includes(board))).toEqual([]);
  });
  it("searched again with what it found it changes nothing", () => {
    const again = order(
      ...pieces.map(({ id, piece }) => ({
        ...{ id, piece },
        rack: RACK.map((board): RackBoard => {
          const owner = pieces.find((each) => used(each.piece).includes(board.id));
          return {
            ...board,
            reservedBy: owner && owner.id !== id ? { piece: owner.id, name: owner.piece.name } : null,
          };
        }),
      })),
    );
    expect(found(again).pieces).toEqual([]);
  });
});

describe("what stays as it is", () => {
  const holds = small("Left", at("panels.top.strips", strips("W1", "W2", "N1")));
  const seen = (by: string): RackBoard[] =>
    RACK.map((board) =>
      ["W1", "W2", "N1"].includes(board.id) ? { ...board, reservedBy: { piece: by, name: "Left" } } : board,
    );
  it("boards that another of them holds are free to be divided anew", () => {
    const { best } = found(
      order({ id: "a", piece: holds, rack: RACK }, { id: "b", piece: small("Right"), rack: seen("a") }),
    );
    const inputs = best.panels.map(({ strips: all }) => all.length);
    expect(inputs).toHaveLength(2);
    const wanted = wantedBy(
      order({ id: "a", piece: holds, rack: RACK }, { id: "b", piece: small("Right"), rack: seen("a") }),
    );
    expect(wanted.panels[1].inputs.rack.find(({ id }) => id === "W1")!.reservedBy).toBeNull();
  });
  it("but not those of a piece outside, nor of one whose boards are sawn", () => {
    const outside = wantedBy(order({ id: "b", piece: small("Right"), rack: seen("z") }));
    expect(outside.panels[0].inputs.rack.find(({ id }) => id === "W1")!.reservedBy).not.toBeNull();
    const begun = applyPatches(holds, [at("done", ["rough-cut"])]);
    expect(isBegun(begun)).toBe(true);
    const sawn = wantedBy(
      order({ id: "a", piece: begun, rack: RACK }, { id: "b", piece: small("Right"), rack: seen("a") }),
    );
    expect(sawn.panels.map(({ id }) => id)).toEqual(["b/top"]);
    expect(sawn.panels[0].inputs.rack.find(({ id }) => id === "W1")!.reservedBy).not.toBeNull();
  });
  it("a panel that finds none gives back what it had", () => {
    const few = RACK.slice(0, 5);
    const left = applyPatches(holds, [at("panels.top.strips", strips("N1", "N2", "N3", "N4"))]);
    const of = order({ id: "a", piece: left, rack: few }, { id: "b", piece: small("Right"), rack: few });
    const { best, pieces } = found(of);
    expect(best.without).toHaveLength(1);
    const all = of.members.map(({ id, piece }) => pieces.find((each) => each.id === id)?.piece ?? piece);
    expect(all.map((piece) => used(piece).length).sort()).toEqual([0, 4]);
  });
  it("who holds a board that another is to have lets go of it first", () => {
    const of = order({ id: "a", piece: holds, rack: RACK }, { id: "b", piece: small("Right"), rack: RACK });
    const next = [
      { id: "a", piece: small("Left", at("panels.top.strips", strips("N2", "N3"))) },
      { id: "b", piece: small("Right", at("panels.top.strips", strips("W1", "W2"))) },
    ];
    expect(givenBack(of, next).map(({ id, piece }) => [id, used(piece)])).toEqual([["a", []]]);
    expect(givenBack(of, [next[0]])).toEqual([]);
  });
});
