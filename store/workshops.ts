import { cache } from "react";
import { mendShop } from "../core/piece/mend";
import type { Shop } from "../core/piece/shop";
import type { Species } from "../core/wood/species";
import { pool, transaction } from "./database";

export interface Workshop {
  id: string;
  shop: Shop;
  ownSpecies: Species[];
}

/** The workshop of this request. Until there is sign-in there is one. */
export const currentWorkshop = cache(async (): Promise<Workshop> => {
  const { rows } = await pool().query<{ id: string; shop: Shop }>(
    "select id, shop from workshop order by created_at limit 1",
  );
  if (!rows[0]) throw new Error("No workshop yet: npm run demo loads one.");
  return { id: rows[0].id, shop: mendShop(rows[0].shop).value, ownSpecies: await ownSpeciesOf(rows[0].id) };
});

/** A workshop by its id, for a runner. */
export async function workshopOf(id: string): Promise<Workshop | null> {
  const { rows } = await pool().query<{ shop: Shop }>("select shop from workshop where id = $1", [id]);
  return rows[0] ? { id, shop: mendShop(rows[0].shop).value, ownSpecies: await ownSpeciesOf(id) } : null;
}

async function ownSpeciesOf(workshop: string): Promise<Species[]> {
  const { rows } = await pool().query<{ body: Species }>(
    "select body from species where workshop_id = $1 order by id",
    [workshop],
  );
  return rows.map((row) => row.body);
}

export async function saveShop(workshop: string, shop: Shop): Promise<void> {
  await pool().query("update workshop set shop = $2, name = $3, changed = pg_current_xact_id() where id = $1", [
    workshop,
    shop,
    shop.name,
  ]);
}

export async function addWorkshop(name: string, shop: Shop): Promise<string> {
  const { rows } = await pool().query<{ id: string }>(
    "insert into workshop (name, shop) values ($1, $2) returning id",
    [name, shop],
  );
  return rows[0].id;
}

/** Adds a species of the maker's own; false when that id is taken. */
export async function addSpecies(workshop: string, species: Species): Promise<boolean> {
  return transaction(async (client) => {
    const { rowCount } = await client.query(
      "insert into species (workshop_id, id, body) values ($1, $2, $3) on conflict do nothing",
      [workshop, species.id, species],
    );
    if (rowCount === 1)
      await client.query("update workshop set changed = pg_current_xact_id() where id = $1", [workshop]);
    return rowCount === 1;
  });
}
