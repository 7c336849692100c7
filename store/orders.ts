import type { Price } from "../core/buying/price-list";
import type { Board } from "../core/stock/board";
import { addBoards } from "./boards";
import { pool, transaction } from "./database";

export interface Order {
  id: string;
  piece: string | null;
  merchant: string;
  boards: Board[];
  total: number;
  currency: string;
  orderedOn: string;
  dueOn: string;
  received: boolean;
}

const COLUMNS =
  'id, piece_id as piece, merchant, boards, total::float, currency, ordered_on::text as "orderedOn", due_on::text as "dueOn", received_at is not null as received';

/** Every order, newest first. */
export async function ordersOf(workshop: string): Promise<Order[]> {
  const { rows } = await pool().query<Order>(
    `select ${COLUMNS} from merchant_order where workshop_id = $1 order by ordered_on desc, id`,
    [workshop],
  );
  return rows;
}

/** Names of boards that were ordered from a merchant and are no longer in its stock. */
export async function soldBy(workshop: string, merchant: string): Promise<string[]> {
  const { rows } = await pool().query<{ id: string }>(
    "select item ->> 'id' as id from merchant_order o, jsonb_array_elements(o.boards) item where o.workshop_id = $1 and o.merchant = $2",
    [workshop, merchant],
  );
  return rows.map((row) => row.id);
}

/** Keeps an order; null when another has bought one of its boards meanwhile. */
export async function placeOrder(workshop: string, order: Omit<Order, "id" | "received">): Promise<Order | null> {
  return transaction(async (client) => {
    await client.query("select 1 from workshop where id = $1 for update", [workshop]);
    const { rowCount } = await client.query(
      "select 1 from merchant_order o, jsonb_array_elements(o.boards) item where o.workshop_id = $1 and o.merchant = $2 and item ->> 'id' = any($3)",
      [workshop, order.merchant, order.boards.map((board) => board.id)],
    );
    if (rowCount) return null;
    const { rows } = await client.query<Order>(
      `insert into merchant_order (workshop_id, piece_id, merchant, boards, total, currency, ordered_on, due_on) values ($1, $2, $3, $4, $5, $6, $7, $8) returning ${COLUMNS}`,
      [
        workshop,
        order.piece,
        order.merchant,
        JSON.stringify(order.boards),
        order.total,
        order.currency,
        order.orderedOn,
        order.dueOn,
      ],
    );
    return rows[0];
  });
}

/** Boards of an order come onto the rack, once however often it is said; false when there is no such order that is still open. */
export async function receiveOrder(workshop: string, id: string): Promise<boolean> {
  return transaction(async (client) => {
    const { rows } = await client.query<{ boards: Board[]; merchant: string }>(
      "update merchant_order set received_at = now() where workshop_id = $1 and id = $2 and received_at is null returning boards, merchant",
      [workshop, id],
    );
    if (!rows[0]) return false;
    await addBoards(client, workshop, rows[0].boards, { how: "bought", facts: { merchant: rows[0].merchant } });
    return true;
  });
}

/** Receives every order that is due by `today`; returns how many came. */
export async function receiveDue(workshop: string, today: string): Promise<number> {
  const { rows } = await pool().query<{ id: string }>(
    "select id from merchant_order where workshop_id = $1 and received_at is null and due_on <= $2",
    [workshop, today],
  );
  let came = 0;
  for (const { id } of rows) if (await receiveOrder(workshop, id)) came += 1;
  return came;
}

export async function priceListOf(workshop: string): Promise<Price[]> {
  const { rows } = await pool().query<{ price_list: Price[] | null }>("select price_list from workshop where id = $1", [
    workshop,
  ]);
  return rows[0]?.price_list ?? [];
}

export async function savePriceList(workshop: string, prices: readonly Price[]): Promise<void> {
  await pool().query("update workshop set price_list = $2 where id = $1", [workshop, JSON.stringify(prices)]);
}
