import { createHash } from "node:crypto";
import type { PoolClient } from "pg";
import { mendBoard } from "../core/piece/mend";
import type { Board, RackBoard } from "../core/stock/board";
import { RACK_PAGE, RackQuery, RackSum } from "../core/stock/rack-query";
import { pool, transaction } from "./database";
import { note } from "./history";
import { EACH, EACH_HOLDER, gathered, HolderRow, HOLDERS, reservations, Row } from "./holders";
import { handOver, lockBoards, lockRack } from "./reservations";

/** Boards on the rack, of one species or all, with whoever has reserved them. Boards reserved by `forPiece` itself count as free. */
export async function rack(
  workshop: string,
  forPiece: string | null,
  species: string | null = null,
): Promise<RackBoard[]> {
  const { rows } = await pool().query<Row>(
    `select b.body, b.checked, ${HOLDERS}
       from board b ${reservations("$2")}
      where b.workshop_id = $1 and b.left_at is null and ($3::text is null or b.species = $3)
      order by b.name_order`,
    [workshop, forPiece, species],
  );
  return rows.flatMap(asRackBoard);
}

const SORTS = { name: "b.name_order", length: "b.length desc, b.name_order", width: "b.width desc, b.name_order" };
/** One page of the rack: boards that match, from the `from`th on. Counting is a query of its own, so that the page itself stays quick. */
export async function rackPage(workshop: string, asked: RackQuery, from: number): Promise<RackBoard[]> {
  const { where, values } = matching(workshop, asked);
  const page = `select workshop_id, id, body, checked, name_order, length, width from board b where ${where} order by ${SORTS[asked.sort]} limit ${RACK_PAGE} offset $${values.length + 1}`;
  const text = `select ${EACH} from (${page}) b ${EACH_HOLDER} order by ${SORTS[asked.sort]}`;
  const { rows } = await pool().query<HolderRow>({
    name: prepared(text),
    text,
    values: [...values, Math.max(0, Math.floor(from))],
  });
  return gathered(rows).flatMap(asRackBoard);
}

/** How many boards match, how much wood that is, m³, and how many of each species there are at all. */
export async function rackSum(workshop: string, asked: RackQuery): Promise<RackSum> {
  const { where, values } = matching(workshop, asked);
  const [
    {
      rows: [sum],
    },
    { rows: species },
  ] = await Promise.all([
    pool().query<{ total: number; volume: number }>(
      `select count(*)::int as total, coalesce(sum(length * width * thickness) / 1e9, 0)::float as volume from board b where ${where}`,
      values,
    ),
    pool().query<{ id: string; count: number }>(
      "select species as id, count(*)::int as count from board where workshop_id = $1 and left_at is null group by species order by count(*) desc",
      [workshop],
    ),
  ]);
  return { ...sum, species };
}

/** A name for each kind of question, so that the database plans it once a connection; the same in every bundle that shares the connection. */
const prepared = (text: string) => `rack-${createHash("sha256").update(text).digest("hex").slice(0, 24)}`;

/** Only what is asked becomes a condition, so that each kind of question has its own plan. */
function matching(workshop: string, asked: RackQuery): { where: string; values: unknown[] } {
  const values: unknown[] = [workshop];
  const conditions = ["b.workshop_id = $1", "b.left_at is null"];
  const add = (condition: string, value: unknown) => {
    values.push(value);
    conditions.push(condition.replaceAll("?", `$${values.length}`));
  };
  if (asked.species) add("b.species = ?", asked.species);
  if (asked.text)
    add("(b.id ilike ? or b.tree ilike ? or b.shelf ilike ?)", `%${asked.text.replace(/[\\%_]/g, "\\$&")}%`);
  if (asked.longest > 0) add("b.length >= ?", asked.longest);
  if (asked.widest > 0) add("b.width >= ?", asked.widest);
  if (asked.thickest > 0) add("b.thickness >= ?", asked.thickest);
  if (asked.free)
    conditions.push(
      "not exists (select 1 from board_reservation f where f.workshop_id = b.workshop_id and f.board_id = b.id)",
    );
  return { where: conditions.join(" and "), values };
}

const asBoard = (body: Board): Board => ({
  ...body,
  cutFrom: body.cutFrom ?? "",
  tears: body.tears ?? false,
  rounded: body.rounded ?? 0,
});
/** A row as this Taller takes it; one that holds no sizes is no board. */
export function asRackBoard({ body, checked, piece, name, held, ours }: Row): RackBoard[] {
  const board = checked ? asBoard(body) : mendBoard(asBoard(body));
  if (!board) return [];
  return [
    {
      ...board,
      reservedBy: piece && !ours ? { piece, name: name || "another piece" } : null,
      ...(held ? { held } : {}),
    },
  ];
}

/** Which of these names are on the rack, and which are of boards that were cut. */
export async function standingOf(
  workshop: string,
  ids: readonly string[],
): Promise<{ there: string[]; cut: string[] }> {
  const { rows } = await pool().query<{ id: string; cut: boolean }>(
    "select id, left_why is not null as cut from board where workshop_id = $1 and id = any($2) and left_why is distinct from 'taken off' order by name_order",
    [workshop, ids],
  );
  return {
    there: rows.filter((row) => !row.cut).map((row) => row.id),
    cut: rows.filter((row) => row.cut).map((row) => row.id),
  };
}

/** What came of boards that were put on the rack. `cut` were sawn for a piece, and stay sawn. */
export interface Put {
  added: number;
  replaced: number;
  cut: string[];
}

/** Puts boards on the rack; one whose name is there already is replaced, one that has been cut is left as it is. */
export async function putBoards(
  workshop: string,
  boards: readonly Board[],
  how: "added" | "bought" = "added",
): Promise<Put> {
  return transaction((client) => addBoards(client, workshop, boards, { how }));
}

/** The same within a transaction that does more. */
export async function addBoards(
  client: PoolClient,
  workshop: string,
  boards: readonly Board[],
  { how, facts = {} }: { how: "added" | "bought"; facts?: object },
): Promise<Put> {
  const ids = boards.map((board) => board.id);
  await lockRack(client, workshop);
  await lockBoards(client, workshop, ids);
  const { rows } = await client.query<{ id: string; fresh: boolean }>(
    `insert into board (workshop_id, id, checked, body)
     select $1, item ->> 'id', true, item from jsonb_array_elements($2::jsonb) as item order by item ->> 'id'
     on conflict (workshop_id, id) do update set body = excluded.body, checked = true, left_at = null, left_why = null where board.left_why is distinct from 'cut'
     returning id, xmax = 0 as fresh`,
    [workshop, JSON.stringify(boards)],
  );
  const fresh = rows.filter((row) => row.fresh).map((row) => row.id);
  await note(client, workshop, fresh, { kind: how, body: facts });
  await note(
    client,
    workshop,
    rows.filter((row) => !row.fresh).map((row) => row.id),
    { kind: "changed", body: {} },
  );
  const put = new Set(rows.map((row) => row.id));
  await handOver(client, workshop, [...put]);
  return { added: fresh.length, replaced: rows.length - fresh.length, cut: ids.filter((id) => !put.has(id)) };
}

/** Puts one new board on the rack; false when a board of that name is there, or was cut: of several at once one is told yes. */
export async function addBoard(workshop: string, board: Board): Promise<boolean> {
  return transaction(async (client) => {
    await lockRack(client, workshop);
    const { rowCount } = await client.query(
      `insert into board (workshop_id, id, checked, body) values ($1, $2, true, $3)
       on conflict (workshop_id, id) do update set body = excluded.body, checked = true, left_at = null, left_why = null where board.left_why = 'taken off'`,
      [workshop, board.id, JSON.stringify(board)],
    );
    if (rowCount !== 1) return false;
    await note(client, workshop, [board.id], { kind: "added", body: {} });
    await handOver(client, workshop, [board.id]);
    return true;
  });
}

/** One board, on the rack or gone; `at` says which version this is. */
export async function boardOf(workshop: string, id: string): Promise<{ board: RackBoard; left: string | null } | null> {
  const { rows } = await pool().query<HolderRow & { left_why: string | null }>(
    `select ${EACH}, b.left_why from board b ${EACH_HOLDER} where b.workshop_id = $1 and b.id = $2`,
    [workshop, id],
  );
  const [board] = gathered(rows).flatMap(asRackBoard);
  return board ? { board, left: rows[0].left_why } : null;
}

/** Keeps a changed board if it still stands as `before`; false when someone changed or cut it meanwhile. */
export async function changeBoard(workshop: string, before: Board, after: Board): Promise<boolean> {
  return transaction(async (client) => {
    const { rows } = await client.query<{ body: Board }>(
      "select body from board where workshop_id = $1 and id = $2 and left_at is null for update",
      [workshop, before.id],
    );
    const stands = rows[0] && mendBoard(asBoard(rows[0].body));
    if (!stands || !sameBoard(stands, before)) return false;
    await client.query("update board set body = $3, checked = true where workshop_id = $1 and id = $2", [
      workshop,
      before.id,
      after,
    ]);
    await note(client, workshop, [before.id], { kind: "changed", body: {} });
    return true;
  });
}

const sorted = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(sorted)
    : value !== null && typeof value === "object"
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, each]) => [key, sorted(each)]),
        )
      : value;
/** Whether two boards say the same, in whatever order their fields stand. */
export const sameBoard = (a: Board, b: Board): boolean =>
  JSON.stringify(sorted(asBoard(a))) === JSON.stringify(sorted(asBoard(b)));

/** Takes a board off the rack; false when it was not there or a piece has it. */
export async function removeBoard(workshop: string, id: string): Promise<boolean> {
  return transaction(async (client) => {
    await lockBoards(client, workshop, [id]);
    const { rowCount } = await client.query(
      "update board set left_at = now(), left_why = 'taken off' where workshop_id = $1 and id = $2 and left_at is null and not exists (select 1 from board_reservation where workshop_id = $1 and board_id = $2)",
      [workshop, id],
    );
    if (rowCount === 1) await note(client, workshop, [id], { kind: "taken off", body: {} });
    return rowCount === 1;
  });
}
