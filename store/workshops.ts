import { cache } from "react";
import { Shop, USUAL_SHOP } from "../core/piece/shop";
import type { Species } from "../core/wood/species";
import { pool } from "./database";

export interface Workshop { id: string; shop: Shop; ownSpecies: Species[] }

/** The workshop of this request. Until there is sign-in there is one. */
export const currentWorkshop = cache(async (): Promise<Workshop> => {
  const { rows } = await pool().query<{ id: string; shop: Shop }>("select id, shop from workshop order by created_at limit 1");
  if (!rows[0]) throw new Error("No workshop yet: npm run demo loads one.");
  const own = await pool().query<{ body: Species }>("select body from species where workshop_id = $1 order by id", [rows[0].id]);
  // fields that a later Taller added get their usual value
  return { ...rows[0], shop: { ...USUAL_SHOP, ...rows[0].shop }, ownSpecies: own.rows.map((row) => row.body) };
});

export async function saveShop(workshop: string, shop: Shop): Promise<void> {
  await pool().query("update workshop set shop = $2, name = $3 where id = $1", [workshop, shop, shop.name]);
}

export async function addWorkshop(name: string, shop: Shop): Promise<string> {
  const { rows } = await pool().query<{ id: string }>("insert into workshop (name, shop) values ($1, $2) returning id", [name, shop]);
  return rows[0].id;
}

/** Adds a species of the maker's own; false when that id is taken. */
export async function addSpecies(workshop: string, species: Species): Promise<boolean> {
  const { rowCount } = await pool().query("insert into species (workshop_id, id, body) values ($1, $2, $3) on conflict do nothing", [workshop, species.id, species]);
  return rowCount === 1;
}
