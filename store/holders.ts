/** Who has a board: whole, or stretches of it that pieces of one commission share. Parts of queries, and what their rows say. */
import type { Board, RackBoard } from "../core/stock/board";

/** A board as it is kept, with whoever has it. */
export interface Row {
  body: Board;
  /** written by a Taller that knew every bound: what is older is mended as it is read */
  checked: boolean;
  piece: string | null;
  name: string | null;
  /** the stretches that are kept, and whether all of them are for pieces of the commission that asks */
  held: NonNullable<RackBoard["held"]> | null;
  ours: boolean | null;
}

/** What a row says of who has a board. */
export const HOLDERS = "r.piece_id as piece, r.piece_name as name, r.held, r.ours";
const HELD = `(array_agg(h.piece_id order by h.reserved_at, h.piece_id))[1] as piece_id,
       string_agg(h.piece_name, ' and ' order by h.reserved_at, h.piece_id) as piece_name,
       jsonb_agg(jsonb_build_object('piece', h.piece_id, 'name', h.piece_name, 'from', lower(each), 'to', upper(each)) order by lower(each)) as held`;
/** The commission of a piece of workshop $1, by a parameter such as "$2". */
const commissionOf = (piece: string) =>
  `(select commission_of(s.body ->> 'commission', p.id) from piece p
      join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
     where p.workshop_id = $1 and p.id = ${piece}::uuid)`;
/**
 * Whoever has boards of workshop $1, once a board: for lists that are read through.
 *
 * @param asks  the parameter of a piece that asks, such as "$2": what it has itself counts as free
 */
export const reservations = (asks: string): string =>
  `left join (
     select h.board_id, ${HELD}, bool_and(h.commission = ${commissionOf(asks)}) as ours
       from (select *, unnest(stretch) as each from board_reservation where workshop_id = $1 and piece_id is distinct from ${asks}::uuid) h
      group by h.board_id) r on r.board_id = b.id`;
/** The same for a page or a single board, a row for each piece that has some of it: the quickest of all. */
export const EACH_HOLDER = "left join board_reservation r on r.workshop_id = b.workshop_id and r.board_id = b.id";
export interface HolderRow {
  body: Board;
  checked: boolean;
  piece: string | null;
  name: string | null;
  /** as PostgreSQL writes several ranges: {[0,903),[1200,)} */
  stretch: string | null;
}
export const EACH = "b.body, b.checked, r.piece_id as piece, r.piece_name as name, r.stretch::text as stretch";
const RANGE = /\[([\d.]+),([\d.]*)\)/g;

/** Rows of one board, one after another, as one; who has it in the order in which they lie on it. */
export function gathered(rows: readonly HolderRow[]): Row[] {
  const found: Row[] = [];
  for (const { body, checked, piece, name, stretch } of rows) {
    const held = [...(stretch ?? "").matchAll(RANGE)].map(([, from, to]) => ({
      ...{ piece: piece!, name: name ?? "", from: Number(from), to: to === "" ? null : Number(to) },
    }));
    const last = found.at(-1);
    if (last && last.body.id === body.id) {
      last.held = [...(last.held ?? []), ...held].sort((a, b) => a.from - b.from);
      last.name = [...new Set(last.held.map((each) => each.name))].join(" and ");
    } else found.push({ body, checked, piece, name, held: held.length > 0 ? held : null, ours: false });
  }
  return found;
}
