/** Cards of the last cuts: to width, to length, and thick parts made. */
import { fine, mm } from "../verdict/verdict";
import { CardFacts, CutCard, distinct, marksOf, partRow } from "./card";
import type { Part } from "./cut-list";
import { legSteps } from "./leg-stock";
import { ripToWidth, toLength } from "./saws";

export function sizing(
  { settings, parts, milled, shop }: CardFacts,
  machine: "table saw" | "crosscut stop",
): CutCard[] {
  const rip = machine === "table saw";
  const title = (size: number) => (rip ? `Rip to ${mm(size)} wide` : `Crosscut to ${mm(size)}`);
  return settings
    .filter((each) => each.machine === machine)
    .flatMap((each): CutCard[] => {
      const fits = (stock: Part["stock"][number]) => Math.abs(stock.width - each.setting) < 0.06;
      const rows = each.parts.map((named) => {
        const part = parts.find(({ id }) => id === named.id)!;
        const by = rip
          ? ripToWidth(Math.max(...part.stock.filter(fits).map(({ thickness }) => thickness)), shop)
          : toLength(part.finished, shop);
        const row = rip ? partRow(named, marksOf(parts, part.id, fits), milled) : partRow(named, named.marks, []);
        const said = [by.how, rip ? "" : leftLong(part)];
        return { by, row: { ...row, what: [row.what, ...said].filter(Boolean).join(", ") } };
      });
      const machines = distinct(rows.map(({ by }) => by.machine));
      return machines.map((name, i) => ({
        id: `${machine}:${each.setting}${i === 0 ? "" : `:${name}`}`,
        machine: name,
        setting: each.setting,
        title: title(each.setting),
        board: null,
        rows: rows.filter(({ by }) => by.machine === name).map(({ row }) => row),
      }));
    });
}

/** What stays over a part's length at the stop, and until when. */
function leftLong({ long, markedFrom }: Part): string {
  if (markedFrom) return `${mm(long)} over: marked from ${markedFrom}`;
  return long > 0 ? `head to the stop, ${mm(long)} over at the foot` : "";
}

/** Thick parts that are glued from several pieces, between their pieces and their length. */
export function legs({ parts, shop }: CardFacts): CutCard[] {
  return parts
    .filter((part) => part.stock.length > 1)
    .map((part): CutCard => {
      const { width, thickness } = part.finished;
      const pieces = marksOf(parts, part.id, () => true);
      const size = width === thickness ? `${fine(width)} square` : `${fine(width)} by ${fine(thickness)}`;
      return {
        id: part.role === "leg" ? "legs" : `make:${part.id}`,
        machine: "Bench and saw",
        setting: null,
        title: `Make the ${(part.plural ?? `${part.name}s`).toLowerCase()}`,
        board: null,
        rows: legSteps(part.make, part.finished, shop, part.name.toLowerCase()).map((what, i, all) => ({
          from: i === 0 ? pieces.join(" ") : "",
          what,
          to: i === all.length - 1 ? part.marks : [],
          check: i === all.length - 1 ? size : "",
        })),
      };
    });
}
