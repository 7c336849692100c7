/** A merchant's price list as CSV: species, thickness, price, per what, currency. */
import { Bounds, quoted, readTable, squeezed } from "../formats/csv";
import { readSize } from "../formats/rack-columns";
import { M3_PER_BOARD_FOOT } from "../units/lumber";

/** One price: wood of a species sawn to a thickness, mm, by the cubic metre. */
export interface Price {
  species: string;
  thickness: number;
  perCubicMetre: number;
}
export interface PriceList {
  currency: string;
  prices: Price[];
  faults: { line: number; message: string }[];
}

const PER = new Map([
  ["m3", 1],
  ["m³", 1],
  ["cbm", 1],
  ["bf", 1 / M3_PER_BOARD_FOOT],
  ["board foot", 1 / M3_PER_BOARD_FOOT],
  ["mbf", 1 / (1000 * M3_PER_BOARD_FOOT)],
]);
/** What a price list may hold: every species in every thickness, several times. Ours. */
const BOUNDS: Bounds = { letters: 400_000, rows: 3000, columns: 60, cell: 400 };
/** The highest price of a cubic metre that is no slip of the pen, in any currency. Ours. */
const DEAREST = 10_000_000;
const REQUIRED = ["species", "thickness", "price"];

/**
 * Reads a price list. A list in another currency is refused as a whole: Taller changes no money.
 *
 * @param currency  the shop's
 */
export function readPriceList(
  text: string,
  species: readonly { id: string; name: string }[],
  currency: string,
): PriceList {
  const fails = (message: string): PriceList => ({ currency, prices: [], faults: [{ line: 1, message }] });
  const table = readTable(text, BOUNDS);
  if (!table.ok) return fails(table.message);
  const header = (table.rows[0] ?? []).map((each) => each.trim().toLowerCase());
  const missing = REQUIRED.filter((each) => !header.includes(each));
  if (missing.length > 0)
    return fails(
      `The column${missing.length > 1 ? "s" : ""} ${missing.map((each) => `“${each}”`).join(", ")} ${missing.length > 1 ? "are" : "is"} missing. A price list names: species, thickness, price, per, currency.`,
    );
  const prices: Price[] = [];
  const faults: PriceList["faults"] = [];
  for (const [i, cells] of table.rows.slice(1).entries()) {
    if (cells.every((cell) => cell.trim() === "")) continue;
    const line = i + 2;
    const cell = (name: string) => (cells[header.indexOf(name)] ?? "").trim();
    const money = cell("currency").toUpperCase() || currency;
    if (money !== currency)
      return fails(
        `Line ${line} is in ${money.slice(0, 12)}; this shop reckons in ${currency}. Convert the prices, or set the shop's currency.`,
      );
    const wood = species.find(
      (each) => each.id === cell("species") || each.name.toLowerCase() === cell("species").toLowerCase(),
    );
    const size = readSize(cell("thickness"), { column: "thickness", unit: null });
    const amount = Number(squeezed(cell("price")).replace(/\s/g, "").replace(",", "."));
    const per = PER.get(cell("per").toLowerCase() || "m3");
    const wrong = !wood
      ? `${quoted(cell("species"))} is no species Taller knows.`
      : !size.ok
        ? size.message
        : !(amount > 0 && amount * (per ?? 1) < DEAREST)
          ? `${quoted(cell("price"))} in the column price is not a price.`
          : per === undefined
            ? `${quoted(cell("per"))} in the column per should be m3, bf or mbf.`
            : null;
    if (wrong !== null) faults.push({ line, message: wrong });
    else prices.push({ species: wood!.id, thickness: (size as { mm: number }).mm, perCubicMetre: amount * per! });
  }
  return { currency, prices, faults };
}

/** What a volume costs at the list's price for the next thickness sold; null when the list has none. */
export function priceOf(
  list: readonly Price[],
  species: string,
  thickness: number,
  cubicMetres: number,
): number | null {
  const fit = list
    .filter((each) => each.species === species && each.thickness >= thickness - 0.5)
    .sort((a, b) => a.thickness - b.thickness)[0];
  return fit ? fit.perCubicMetre * cubicMetres : null;
}
