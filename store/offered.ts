import type { RackBoard } from "../core/stock/board";
import { asRackBoard } from "./boards";
import { HOLDERS, reservations, Row } from "./holders";
import { pool } from "./database";

/** Boards of one wood that a piece looks through, and how many of that wood there are. */
export interface Offered {
  boards: RackBoard[];
  total: number;
}
/** Boards that come with a piece's page, and the most it looks through: a fair sample of a longer rack. Ours: plans stay quick, and a page small. */
export const AT_ONCE = 120;
export const OFFERED = 1000;

/**
 * The boards a piece uses, what is left of those that were cut, and up to `most` others of its wood: free ones first, then in no order, so that what is left out is like what is taken.
 *
 * @param uses  boards it names, on the rack or not
 */
export async function offeredBoards(
  workshop: string,
  piece: string,
  { species, uses, most }: { species: readonly string[]; uses: readonly string[]; most: number },
): Promise<Offered> {
  const values = [workshop, piece, species, uses];
  const [
    { rows },
    {
      rows: [{ total }],
    },
  ] = await Promise.all([
    pool().query<Row>(
      `with taken as (
         select b.body, b.checked, b.name_order, ${HOLDERS}
           from board b ${reservations("$2")}
          where b.workshop_id = $1 and b.left_at is null and (b.id = any($4) or b.cut_from = any($4))),
       others as (
         select b.body, b.checked, b.name_order, ${HOLDERS}
           from board b ${reservations("$2")}
          where b.workshop_id = $1 and b.left_at is null and b.species = any($3) and not (b.id = any($4)) and not coalesce(b.cut_from = any($4), false)
          order by r.piece_id is not null and not r.ours, b.shuffle limit ${Math.floor(most)})
       select body, checked, piece, name, held, ours from (select * from taken union all select * from others) each order by name_order`,
      values,
    ),
    pool().query<{ total: number }>(
      "select count(*)::int as total from board where workshop_id = $1 and species = any($2) and left_at is null",
      [workshop, species],
    ),
  ]);
  return { boards: rows.flatMap(asRackBoard), total };
}
