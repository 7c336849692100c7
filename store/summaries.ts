import type { PlanInputs } from "../core/plan";
import type { Failure } from "../core/stages";
import type { BenchPiece, BenchSum, Card, Companion } from "../core/summary";
import { pool } from "./database";

/** Pieces on one page of the bench. */
export const BENCH_PAGE = 9;

/** One page of the bench, what was touched last before others, from the `from`th piece on: nothing is planned for it. */
export async function benchPage(workshop: string, away: boolean, from: number): Promise<BenchPiece[]> {
  const { rows } = await pool().query<BenchPiece>(
    `select p.id, s.body ->> 'name' as name, s.body ->> 'commission' as commission, p.revision, p.put_away as "putAway", c.card, c.revision is distinct from p.revision as pending
       from (select * from piece where workshop_id = $1 and put_away = $2 order by saved_at desc, id limit ${BENCH_PAGE} offset $3) p
       join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
       left join piece_summary c on c.workshop_id = p.workshop_id and c.piece_id = p.id and c.card is not null
      order by p.saved_at desc, p.id`,
    [workshop, away, Math.max(0, Math.floor(from))],
  );
  return rows;
}

/** @param runner how runners call themselves to the database */
export async function benchSum(workshop: string, runner: string): Promise<BenchSum> {
  const { rows } = await pool().query<BenchSum>(
    `select count(*) filter (where not p.put_away)::int as "onBench", count(*) filter (where p.put_away)::int as away, coalesce(max((c.card #>> '{size,0}')::float), 0) as longest,
            exists (select 1 from pg_stat_activity where application_name = $2) as runners
       from piece p left join piece_summary c on c.workshop_id = p.workshop_id and c.piece_id = p.id where p.workshop_id = $1`,
    [workshop, runner],
  );
  return rows[0];
}

/** The other pieces of a piece's commission that were planned and are on the bench, by name; none of a piece that has no commission. */
export async function companyOf(workshop: string, id: string): Promise<Companion[]> {
  const { rows } = await pool().query<Companion>(
    `select p.id, s.body ->> 'name' as name, c.card -> 'size' as size
       from piece me join piece_state mine on mine.workshop_id = me.workshop_id and mine.piece_id = me.id and mine.n = me.head
       join piece p on p.workshop_id = me.workshop_id and p.id <> me.id and not p.put_away
       join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
       join piece_summary c on c.workshop_id = p.workshop_id and c.piece_id = p.id and c.card is not null
      where me.workshop_id = $1 and me.id = $2 and s.body ->> 'commission' = mine.body ->> 'commission' and s.body ->> 'commission' <> ''
      order by s.body ->> 'name', p.id limit 40`,
    [workshop, id],
  );
  return rows;
}

/** Pieces whose name or commission holds every word of `text`, a few, last touched first. */
export async function findPieces(
  workshop: string,
  text: string,
): Promise<{ id: string; name: string; commission: string }[]> {
  const words = text
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => `%${word.replace(/[\\%_]/g, "\\$&")}%`);
  if (words.length === 0) return [];
  const { rows } = await pool().query<{ id: string; name: string; commission: string }>(
    `select p.id, s.body ->> 'name' as name, s.body ->> 'commission' as commission
       from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where p.workshop_id = $1 and concat(s.body ->> 'name', ' ', s.body ->> 'commission') ilike all ($2::text[]) order by p.put_away, p.saved_at desc limit 8`,
    [workshop, words],
  );
  return rows;
}

/** A piece to plan again; `seen` is the oldest transaction that had not ended when it was taken, `renewal` whether only what it rests on has changed. */
export interface StalePiece {
  workshop: string;
  id: string;
  revision: number;
  seen: string;
  renewal: boolean;
}

/** A runner that has not kept a summary for so many seconds is taken for dead. Ours: planning takes a tenth of one. */
const HOLD = 20;

/**
 * Takes a piece whose summary is older than its last revision, newest first; failing that, one whose rack, shop, day or Taller has changed
 * since, oldest first. Two runners never get the same.
 *
 * @param taller  which Taller plans
 * @param today   ISO date
 */
export async function takeStale(taller: string, today: string): Promise<StalePiece | null> {
  const { rows } = await pool().query<StalePiece & { held: string }>(
    `with due as (
       select p.workshop_id, p.id, p.revision, c.revision is not distinct from p.revision as renewal
         from piece p left join piece_summary c on c.workshop_id = p.workshop_id and c.piece_id = p.id
        where c.held_until is null or (c.held_until < now() and (
              c.revision <> p.revision or c.card is null or c.taller <> $1 or c.today is distinct from $2::date
              or exists (select 1 from workshop w where w.id = p.workshop_id and w.changed >= c.seen)
              or exists (select 1 from board_event e where e.workshop_id = p.workshop_id and e.species = c.species and e.xid >= c.seen)))
        order by renewal, case when c.revision is not distinct from p.revision then c.planned_at end, p.saved_at desc limit 1)
     insert into piece_summary (workshop_id, piece_id, revision, held_until)
     select workshop_id, id, 0, now() + make_interval(secs => $3) from due
     on conflict (workshop_id, piece_id) do update set held_until = excluded.held_until where piece_summary.held_until < now()
     returning workshop_id as workshop, piece_id as id, (select revision from due) as revision, (select renewal from due) as renewal, pg_snapshot_xmin(pg_current_snapshot())::text as seen`,
    [taller, today, HOLD],
  );
  return rows[0] ?? null;
}

/** Keeps what was planned and lets go of the piece. */
export async function keepSummary(
  { workshop, id, seen }: StalePiece,
  planned: { revision: number; card: Card; species: string; taller: string; today: string },
): Promise<void> {
  await pool().query(
    `update piece_summary set revision = $3, card = $4, species = $5, taller = $6, today = $7, seen = $8::xid8, planned_at = now(), held_until = '-infinity' where workshop_id = $1 and piece_id = $2`,
    [workshop, id, planned.revision, planned.card, planned.species, planned.taller, planned.today, seen],
  );
}

/** Keeps what failed in a plan, with what it takes to repeat it: once a state, stage and message. */
export async function keepFailures(
  workshop: string,
  piece: string,
  { state, failures, inputs }: { state: number; failures: readonly Failure[]; inputs: PlanInputs },
): Promise<void> {
  for (const { stage, message, stack } of failures) {
    await pool().query(
      "insert into plan_failure (workshop_id, piece_id, state, stage, message, stack, inputs) values ($1, $2, $3, $4, $5, $6, $7) on conflict do nothing",
      [workshop, piece, state, stage, message.slice(0, 1000), stack.slice(0, 8000), JSON.stringify(inputs)],
    );
  }
}

/** Everything that failed and has not been cleared, newest first. */
export async function failuresOf(
  workshop: string,
): Promise<
  { piece: string; state: number; stage: string; message: string; stack: string; inputs: PlanInputs; at: Date }[]
> {
  const { rows } = await pool().query<{
    piece: string;
    state: number;
    stage: string;
    message: string;
    stack: string;
    inputs: PlanInputs;
    at: Date;
  }>(
    "select piece_id as piece, state, stage, message, stack, inputs, at from plan_failure where workshop_id = $1 order by at desc",
    [workshop],
  );
  return rows;
}

/** Pieces of one commission that are drawn together, at most. Ours: each is planned while the page is waited for. */
const TOGETHER = 16;

/** The pieces on the bench of a commission, by name, and how many more there are than are drawn together. */
export async function piecesOfCommission(
  workshop: string,
  commission: string,
): Promise<{ ids: string[]; more: number }> {
  const { rows } = await pool().query<{ id: string }>(
    `select p.id from piece p join piece_state s on s.workshop_id = p.workshop_id and s.piece_id = p.id and s.n = p.head
      where p.workshop_id = $1 and not p.put_away and lower(btrim(s.body ->> 'commission')) = lower(btrim($2))
      order by s.body ->> 'name', p.id`,
    [workshop, commission],
  );
  const ids = rows.map(({ id }) => id);
  return { ids: ids.slice(0, TOGETHER), more: Math.max(0, ids.length - TOGETHER) };
}
