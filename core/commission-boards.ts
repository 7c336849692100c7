/** One search for the boards of every panel of a commission: no board is asked for by two pieces, and what is over is least for all of them. */
import type { AllComposed, PanelToCompose } from "./layout/compose-all";
import { panelsToCompose } from "./panels/composing";
import { changed } from "./panels/lens";
import { applyPatches, Patch } from "./piece/patch";
import type { Piece } from "./piece/schema";
import type { Shop } from "./piece/shop";
import { Plan, planPiece } from "./plan";
import type { RackBoard } from "./stock/board";
import type { Species } from "./wood/species";

/** A piece of the commission as it is saved, and the boards it looks through. */
export interface CommissionMember {
  id: string;
  piece: Piece;
  rack: readonly RackBoard[];
}
export interface CommissionOrder {
  members: readonly CommissionMember[];
  shop: Shop;
  ownSpecies: readonly Species[];
  today: string;
}

/** What a commission is searched with, and what each of its pieces is saved on. */
export interface CommissionAnswer {
  order: CommissionOrder;
  heads: { id: string; name: string; revision: number; head: number; newest: number }[];
}

/** A piece whose boards lie sawn keeps them. */
export const isBegun = ({ cutting, done }: Piece): boolean => cutting.sawn.length > 0 || done.includes("rough-cut");

/** Boards that panels of these pieces are composed of now, and nothing else of theirs: the search may give them to another. */
function freed(members: readonly CommissionMember[]): Map<string, string> {
  return new Map(
    members
      .filter(({ piece }) => !isBegun(piece))
      .flatMap(({ id, piece }) => {
        const cut = new Set(piece.cutting.sections.map(({ board }) => board));
        return Object.values(piece.panels)
          .flatMap(({ strips }) => strips.map(({ board }) => board))
          .filter((board) => !cut.has(board))
          .map((board) => [board, id] as const);
      }),
  );
}

/** What is searched for: every panel of every piece that is not begun, each with its plan. Their names say whose they are. */
export interface Wanted {
  panels: PanelToCompose[];
  plans: Map<string, Plan>;
}

export function wantedBy({ members, shop, ownSpecies, today }: CommissionOrder): Wanted {
  const free = freed(members);
  const plans = new Map<string, Plan>();
  const panels = members
    .filter(({ piece }) => !isBegun(piece))
    .flatMap(({ id, piece, rack: seen }): PanelToCompose[] => {
      const rack = seen.map((board) =>
        board.reservedBy && free.get(board.id) === board.reservedBy.piece ? { ...board, reservedBy: null } : board,
      );
      const plan = planPiece({ piece, shop, rack, ownSpecies, today });
      plans.set(id, plan);
      return panelsToCompose(piece, plan, rack, shop).map((each) => {
        const name = `${each.name} of the ${piece.name}`;
        return { id: `${id}/${each.id}`, name, inputs: { ...each.inputs, name } };
      });
    });
  return { panels, plans };
}

/** The pieces as they are with what was found; those whose boards stay what they were are left out. */
export function composedPieces(
  { members }: Pick<CommissionOrder, "members">,
  { plans }: Pick<Wanted, "plans">,
  { panels }: Pick<AllComposed, "panels">,
): { id: string; piece: Piece }[] {
  return members.flatMap(({ id, piece }) => {
    const plan = plans.get(id);
    if (!plan) return [];
    const mine = panels.flatMap((each) =>
      each.id.startsWith(`${id}/`) ? [{ ...each, id: each.id.slice(id.length + 1) }] : [],
    );
    const found = mine.flatMap(({ id: panel, strips }): Patch[] => {
      const patch: Patch = { path: ["panels", "top", "strips"], value: strips };
      const place = plan.panels.find((each) => each.place.id === panel)?.place;
      const own = place ? changed(patch, place, piece) : patch;
      return own ? [own] : [];
    });
    // what found no boards gives back those it had: another panel may have them now
    const emptied = Object.entries(piece.panels).flatMap(([panel, { strips }]): Patch[] =>
      strips.length > 0 && !mine.some((each) => each.id === panel)
        ? [{ path: ["panels", panel, "strips"], value: [] }]
        : [],
    );
    const next = applyPatches(piece, [...emptied, ...found]);
    return boardsOf(next) === boardsOf(piece) ? [] : [{ id, piece: next }];
  });
}

/**
 * Pieces that must let go of boards before another can take them, as they are until then: the panels that hold such a board without any. Boards
 * are held by whoever saved them last.
 */
export function givenBack(
  { members }: Pick<CommissionOrder, "members">,
  pieces: readonly { id: string; piece: Piece }[],
): { id: string; piece: Piece }[] {
  return pieces.flatMap(({ id }) => {
    const now = members.find((each) => each.id === id)!.piece;
    const wanted = new Set(pieces.flatMap((each) => (each.id === id ? [] : namedIn(each.piece))));
    const patches = Object.entries(now.panels).flatMap(([panel, { strips }]): Patch[] =>
      strips.some(({ board }) => wanted.has(board)) ? [{ path: ["panels", panel, "strips"], value: [] }] : [],
    );
    return patches.length > 0 ? [{ id, piece: applyPatches(now, patches) }] : [];
  });
}

const namedIn = ({ panels }: Piece) => Object.values(panels).flatMap(({ strips }) => strips.map(({ board }) => board));

const boardsOf = ({ panels }: Piece): string =>
  JSON.stringify(
    Object.entries(panels)
      .map(([id, { strips }]) => [id, strips])
      .sort(),
  );
