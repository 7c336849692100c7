import { checkShop } from "../core/formats/shop-file";
import { readPiece } from "../core/formats/piece-file";
import { readRack } from "../core/formats/rack-csv";
import { Plan, planPiece } from "../core/plan";
import { USUAL_SHOP } from "../core/piece/shop";
import { SPECIES } from "../core/wood/species";
import { unknownWoods } from "../core/wood/unknown-rules";

type Planned = { ok: true; plan: Plan; faults: { line: number; message: string }[] } | { ok: false; message: string };

/** From the texts of a piece, and of a rack and a shop if given, to the plan; without a rack it plans on an empty one. */
export function planFile(given: {
  text: string;
  rackText: string | null;
  shopText: string | null;
  today: string;
}): Planned {
  const piece = readPiece(given.text);
  if (!piece.ok) return piece;
  const shop = given.shopText === null ? { ok: true as const, shop: USUAL_SHOP } : checkShop(given.shopText);
  if (!shop.ok) return shop;
  if (!/^\d{4}-\d{2}-\d{2}$/.test(given.today))
    return { ok: false, message: "--today should be a date such as 2027-03-31." };
  const rack = given.rackText === null ? { boards: [], faults: [] } : readRack(given.rackText, SPECIES, given.today);
  const [unknown] = unknownWoods({ ...piece.piece, own: [] });
  if (unknown)
    return {
      ok: false,
      message: `The wood of ${unknown.of}, "${unknown.id}", is not known. ${nearest(unknown.id)}`,
    };
  const plan = planPiece({
    piece: piece.piece,
    shop: shop.shop,
    rack: rack.boards.map((board) => ({ ...board, reservedBy: null })),
    ownSpecies: [],
    today: given.today,
  });
  return { ok: true, plan, faults: rack.faults };
}

/** What may have been meant: names that share a word. */
function nearest(id: string): string {
  const words = id.toLowerCase().split(/[^a-z]+/);
  const like = SPECIES.filter((each) => each.id.split("-").some((word) => words.includes(word))).map((each) => each.id);
  return like.length > 0
    ? `Did you mean ${like.slice(0, 3).join(" or ")}?`
    : `Woods are named such as ${SPECIES[0].id}.`;
}

/** What was wrong in the rack's file, a line each. */
export function checkRack(result: { faults: { line: number; message: string }[] }): string[] {
  return result.faults.map((fault) => `Rack, line ${fault.line}: ${fault.message}`);
}
