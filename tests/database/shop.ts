import { inject } from "vitest";
import { freshPiece } from "../../core/piece/fresh";
import type { Piece } from "../../core/piece/schema";
import { USUAL_SHOP } from "../../core/piece/shop";
import type { Board } from "../../core/stock/board";
import { demoBoard } from "../../core/testing/boards";
import { plainRack, strips } from "../../core/testing/plans";
import { putBoards } from "../../store/boards";
import { pool } from "../../store/database";
import { migrate } from "../../store/migrate";
import type { Change } from "../../store/pieces";
import { addWorkshop } from "../../store/workshops";

export const DAY = "2026-11-23";
export const piece = freshPiece("Table", DAY);
export const plain = ({ reservedBy: _, ...board }: ReturnType<typeof demoBoard>): Board => board;
export const withBoards = (...ids: string[]): Piece => ({
  ...piece,
  panels: { top: { ...piece.panels.top, strips: strips(...ids) } },
});
export const edit = (n: number, parent: number, body: Piece, label = "Edit"): Change => ({
  kind: "edit",
  n,
  parent,
  label,
  piece: body,
});

export async function findDatabase(): Promise<void> {
  process.env.DATABASE_URL = inject("databaseUrl");
  await migrate(process.env.DATABASE_URL);
}

/** The only workshop there is, with the plain rack. */
export async function onlyShop(): Promise<string> {
  await pool().query("delete from workshop");
  const shop = await addWorkshop("Ground", USUAL_SHOP);
  await putBoards(shop, [...plainRack(), demoBoard({ id: "R9", thickness: 32, width: 130, length: 2300 })].map(plain));
  return shop;
}
