import type { Board } from "../stock/board";
import { cubicMetres, SAWN_METRIC } from "../units/lumber";
import { seeded } from "../units/seeded";

/** The merchant that ships with Taller: it exists in this program only. */
export const MERCHANT = { name: "Simulated merchant", currency: "EUR", deliveryDays: 4, seed: 71 };
/** Boards in stock of each wood and thickness. */
const STACK = 9;
/** Price of a hardwood and a softwood, 27 mm thick, by the cubic metre; thicker is dearer. Invented. */
const BASE = { hardwood: 1450, softwood: 780 };
const DEARER = 0.006;

/**
 * The simulated merchant's stock of a wood: the same boards every time, but for those that were ordered.
 *
 * @param gone  names of boards that were sold
 */
export function merchantStock(
  species: { id: string; kind: "hardwood" | "softwood" },
  day: string,
  gone: readonly string[],
): Board[] {
  const letters = species.id
    .split("-")
    .map((word) => word[0])
    .join("")
    .toUpperCase();
  const seed = MERCHANT.seed + ([...species.id].reduce((sum, letter) => sum * 3 + letter.charCodeAt(0), 0) % 9973);
  const next = seeded(seed);
  return SAWN_METRIC.filter((thickness) => thickness >= 27)
    .flatMap((thickness) =>
      Array.from({ length: STACK }, (_, i): Board => {
        const length = 100 * Math.round(20 + 20 * next());
        const width = 5 * Math.round((110 + 170 * next()) / 5);
        return {
          id: `${letters}${thickness}-${i + 1}`,
          species: species.id,
          length,
          width,
          widthEnd: null,
          thickness: thickness + 1,
          ringLeft: Math.round(-45 + 35 * next()),
          ringRight: Math.round(10 + 35 * next()),
          bow: tenth(5 * next()),
          crook: tenth(4 * next()),
          cup: tenth(1.5 * next()),
          twist: tenth(2.5 * next()),
          moisture: tenth(9 + 2 * next()),
          measuredOn: day,
          tree: `${letters}-${1 + Math.floor(3 * next())}`,
          shelf: "",
          price:
            Math.round(
              cubicMetres(length, width, thickness) * BASE[species.kind] * (1 + DEARER * (thickness - 27)) * 100,
            ) / 100,
          defects: [],
          cutFrom: "",
          tears: false,
          rounded: 0,
        };
      }),
    )
    .filter((board) => !gone.includes(board.id));
}

const tenth = (n: number) => Math.round(n * 10) / 10;
