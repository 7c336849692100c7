/** Cards of the milling: faces flattened, thick stock resawn, everything planed. */
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import { CardFacts, CardRow, count, CutCard, descending, marksOf, partRow } from "./card";
import { stripMark } from "./marks";
import { MilledLane } from "./mill";

const FLATTENED: Record<MilledLane["plan"]["machine"], { machine: string; title: string }> = {
  jointer: { machine: "Jointer", title: "Flatten a face, square an edge to it" },
  sled: { machine: "Planer with a sled", title: "Flatten a face on the sled" },
  halves: { machine: "Table saw, then jointer", title: "Rip in halves, flatten, glue again" },
  hand: { machine: "Hand plane or router sled", title: "Flatten a face by hand" },
};

/** A card for each way of flattening: shims and passes of every piece. */
export function flattening(milled: readonly MilledLane[]): CutCard[] {
  return (Object.keys(FLATTENED) as (keyof typeof FLATTENED)[]).flatMap((way): CutCard[] => {
    const mine = milled.filter((each) => each.plan.machine === way);
    if (mine.length === 0) return [];
    return [
      {
        id: `flat:${way}`,
        ...FLATTENED[way],
        setting: null,
        board: null,
        rows: mine.map(({ mark, thickness, plan: { faces, shim, resawn } }) => ({
          from: mark,
          what: `${faces.firstPasses} ${faces.firstPasses === 1 ? "pass" : "passes"}, ${fine(faces.first)}${shim >= 0.2 ? `; ${fine(shim)} of shim under two opposite corners` : ""}`,
          to: [mark],
          check: resawn === null ? `${fine(faces.second + thickness)} thick, one face flat` : "one face flat",
        })),
      },
    ];
  });
}

/** What is far thicker than it must be is opened at the bandsaw, its flat face to the fence. */
export function resawing(milled: readonly MilledLane[]): CutCard[] {
  const sizes = descending(milled.flatMap(({ plan }) => (plan.resawn === null ? [] : [plan.resawn])));
  return sizes.map((setting): CutCard => ({
    id: `resaw:${setting}`,
    machine: "Bandsaw",
    setting,
    title: `Resaw to ${mm(setting)}`,
    board: null,
    rows: milled
      .filter(({ plan }) => plan.resawn === setting)
      .map(({ mark }) => ({
        from: mark,
        what: "flat face to the fence",
        to: [mark],
        check: "the leaf back on the rack",
      })),
  }));
}

/** A board that tears is planed so much less, and sanded down, mm. @source common practice: keep 1 over */
export const TORN_OVER = 1;

/** Parts and the panels' strips, thickest first. */
export function planing({ boards, settings, parts, milled, panels, shop }: CardFacts): CutCard[] {
  const sawn = new Set(boards.flatMap((cut) => (cut.strip ? [cut.board.id] : [])));
  const torn = new Set(milled.flatMap((each) => (each.tears ? [each.mark, ...each.pieces] : [])));
  const strips = panels
    .map(({ name, laid, thickness }) => ({
      name,
      thickness,
      passes: laid[0]?.sawn ?? null,
      marks: laid.filter(({ board }) => sawn.has(board.id)).map(({ board }) => stripMark(board.id)),
    }))
    .filter(({ marks }) => marks.length > 0);
  const planer = settings.filter((each) => each.machine === "planer");
  return descending([...planer.map((each) => each.setting), ...strips.map((each) => each.thickness)]).map(
    (setting): CutCard => ({
      id: `planer:${setting}`,
      machine: "Planer",
      setting,
      title: `Plane to ${mm(setting)} thick`,
      board: null,
      rows: [
        ...strips
          .filter((each) => each.thickness === setting)
          .map(({ name, marks, passes }) => ({
            from: name,
            what: [String(marks.length), passes === null ? "" : fromBelow(passes)].filter(Boolean).join(", "),
            to: marks,
            check: count(marks.length),
          })),
        ...planer
          .filter((each) => each.setting === setting)
          .flatMap((each) =>
            each.parts.map((part) =>
              partRow(
                part,
                marksOf(parts, part.id, (stock) => Math.abs(stock.thickness - setting) < 0.06),
                milled,
              ),
            ),
          ),
      ].flatMap((row) => apart(row, torn, shop)),
    }),
  );
}

/** A panel's upper face stays sawn: its strips are planed from below, and only their highest places from above. */
const fromBelow = (passes: number) =>
  passes === 0
    ? "from below only: the upper face stays as it was sawn"
    : `from below, then ${passes} light ${passes === 1 ? "pass" : "passes"} above`;

/** What tears stops short on a row of its own. */
function apart(row: CardRow, torn: ReadonlySet<string>, shop: Shop): CardRow[] {
  const stopping = row.to.filter((mark) => torn.has(mark));
  if (stopping.length === 0) return [row];
  const rest = row.to.filter((mark) => !torn.has(mark));
  const how = shop.drumSander ? "through the drum sander" : "belt sander, then by hand";
  return [
    ...(rest.length > 0 ? [{ ...row, what: String(rest.length), to: rest, check: count(rest.length) }] : []),
    {
      ...row,
      what: `${stopping.length}, its grain tears: stop ${mm(TORN_OVER)} over`,
      to: stopping,
      check: `sanded down, ${how}`,
    },
  ];
}
