import { BoardCut, RoughPiece, milledWhole } from "./sawing";
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";

import type { CutPanel } from "./cut-panel";
import type { MachineSetting, Part } from "./cut-list";
import { legSteps } from "./leg-stock";
import { laneMark, sectionMark, stripMark } from "./marks";
import type { Board } from "../stock/board";
import { MilledLane } from "./mill";
import { ripToWidth, roughRip, toLength } from "./saws";

/** One line on a card: from what, what is done, what it becomes, and what should be left or lie there after it. */
export interface CardRow {
  from: string;
  what: string;
  to: string[];
  check: string;
}

/** One machine, one setting; done from top to bottom and ticked off. `board` is sawn apart by it. */
export interface CutCard {
  id: string;
  machine: string;
  setting: number | null;
  title: string;
  rows: CardRow[];
  board: string | null;
}

/** What the cards are written from. `milled` says how each lane and strip is flattened. */
export interface CardFacts {
  boards: readonly BoardCut[];
  pieces: ReadonlyMap<string, RoughPiece>;
  milled: readonly MilledLane[];
  settings: readonly MachineSetting[];
  parts: readonly Part[];
  /** panels whose strips are sawn, the top first */
  panels: readonly CutPanel[];
  shop: Shop;
}

/** A strip this much narrower than its board is ripped before it is jointed, mm. Ours: less goes at the jointer. */
const RIPPED_STRIP = 8;

/**
 * The whole cutting in the order it is done, each machine set once a setting: boards crosscut, sections ripped widest first, long lanes crosscut,
 * faces flattened, planed, ripped to width, short lanes crosscut last of all, so that nothing too short is fed.
 */
export function cutCards(facts: CardFacts): CutCard[] {
  const lanes = facts.boards.flatMap((cut) =>
    cut.sections.flatMap((section) =>
      section.lanes.map((lane, i) => {
        const lengths = lane.pieces.map((id) => facts.pieces.get(id)?.length ?? 0);
        return {
          board: cut.board,
          from: sectionMark(cut, section),
          mark: laneMark(cut, section, i),
          width: lane.width,
          length: section.length,
          pieces: lane.pieces,
          lengths,
          whole: milledWhole(lengths),
        };
      }),
    ),
  );
  return [
    ...facts.boards.map((cut): CutCard => ({
      id: `board:${cut.board.id}`,
      machine: "Crosscut saw",
      setting: null,
      title: `Crosscut board ${cut.board.id}`,
      rows: crosscuts(cut, facts.shop),
      board: cut.board.id,
    })),
    ...rips(lanes, facts.boards, facts.shop),
    ...laneCuts(
      lanes.filter((each) => !each.whole),
      "lane",
    ),
    ...flattening(facts.milled),
    ...resawing(facts.milled),
    ...planing(facts),
    ...sizing(facts, "table saw"),
    ...laneCuts(
      lanes.filter((each) => each.whole),
      "short",
    ),
    ...legs(facts),
    ...sizing(facts, "crosscut stop"),
  ];
}

interface LaneLine {
  board: Board;
  from: string;
  mark: string;
  width: number;
  length: number;
  pieces: string[];
  lengths: number[];
  whole: boolean;
}

function crosscuts(cut: BoardCut, shop: Shop): CardRow[] {
  const rows: CardRow[] = [];
  let at = 0;
  const places = [
    ...cut.sections.map((section) => ({ x: section.x, length: section.length, mark: sectionMark(cut, section) })),
    ...(cut.strip ? [{ x: cut.strip.x, length: cut.strip.length, mark: stripMark(cut.board.id) }] : []),
  ].sort((a, b) => a.x - b.x);
  for (const { x, length, mark } of places) {
    if (x - at > shop.kerf + 0.5) {
      const offcut = offcutAt(cut, at, x);
      rows.push({
        from: cut.board.id,
        what: `${mm(x - at - (at > 0 ? 0 : shop.kerf))} off`,
        to: offcut ? [offcut] : ["scrap"],
        check: left(cut, x),
      });
    }
    rows.push({ from: cut.board.id, what: mm(length), to: [mark], check: left(cut, x + length + shop.kerf) });
    at = x + length + shop.kerf;
  }
  for (const offcut of cut.offcuts)
    if (!rows.some((row) => row.to.includes(offcut.id)))
      rows.push({
        from: cut.board.id,
        what: `${mm(offcut.length)} by ${mm(offcut.width)} left over`,
        to: [offcut.id],
        check: "back on the rack",
      });
  return rows;
}

const offcutAt = (cut: BoardCut, from: number, to: number) =>
  cut.offcuts.find(
    (each) =>
      each.length <= to - from + 1 && each.length >= to - from - 60 && Math.abs(each.width - cut.board.width) < 30,
  )?.id;
const left = (cut: BoardCut, at: number) =>
  `${mm(Math.max(0, Math.round(cut.board.length - at)))} of ${cut.board.id} left`;

/** Sections into lanes, and strips that are narrower than their board out of it. */
function rips(all: readonly LaneLine[], boards: readonly BoardCut[], shop: Shop): CutCard[] {
  const every = boards.flatMap(({ board, strip }) =>
    strip && board.width - strip.width >= RIPPED_STRIP
      ? [{ board, width: Math.round(strip.width * 2) / 2, mark: stripMark(board.id), y: strip.y, length: strip.length }]
      : [],
  );
  const sawOf = ({ board }: { board: Board }) => roughRip(board.thickness, shop);
  const machines = distinct([...all, ...every].map((each) => sawOf(each).machine));
  const sizes = descending([...all, ...every].map((each) => each.width)).flatMap((width) =>
    machines
      .map((machine) => ({
        width,
        machine,
        lanes: all.filter((each) => each.width === width && sawOf(each).machine === machine),
        strips: every.filter((each) => each.width === width && sawOf(each).machine === machine),
      }))
      .filter(({ lanes, strips }) => lanes.length + strips.length > 0),
  );
  const once = (width: number) => sizes.filter((each) => each.width === width).length === 1;
  return sizes.map(({ width, machine, lanes: mine, strips }): CutCard => {
    const how = distinct([...mine, ...strips].map((each) => sawOf(each).how)).filter(Boolean);
    return {
      id: once(width) ? `rip:${width}` : `rip:${width}:${machine}`,
      machine,
      setting: width,
      title: `Rip to ${mm(width)}${how.length > 0 ? `: ${how.join("; ")}` : ""}`,
      board: null,
      rows: [
        ...distinct(mine.map((each) => each.from)).map((from): CardRow => {
          const here = mine.filter((each) => each.from === from);
          return {
            from,
            what: `${here.length} of ${mm(width)}`,
            to: here.map((each) => each.mark),
            check: `${mm(here[0].length)} long`,
          };
        }),
        ...strips.map((each): CardRow => ({
          from: each.mark,
          what: each.y > 0 ? `${mm(each.y)} off its lower edge, then to width` : "to width",
          to: [each.mark],
          check: `${mm(each.length)} long`,
        })),
      ],
    };
  });
}

/** Lanes of several pieces, one stop a length. */
function laneCuts(lanes: readonly LaneLine[], phase: "lane" | "short"): CutCard[] {
  const several = lanes.filter((each) => each.pieces.length > 1);
  return descending(several.flatMap((each) => each.lengths)).map((length): CutCard => ({
    id: `${phase}:${length}`,
    machine: "Crosscut stop",
    setting: length,
    title: `Crosscut lanes at ${mm(length)}`,
    board: null,
    rows: several.flatMap((each) => {
      const to = each.pieces.filter((_, i) => each.lengths[i] === length);
      return to.length > 0
        ? [
            {
              from: each.mark,
              what: `${to.length} of ${mm(length)}`,
              to,
              check: `${each.pieces.length - to.length} of the lane after it`,
            },
          ]
        : [];
    }),
  }));
}

const FLATTENED: Record<MilledLane["plan"]["machine"], { machine: string; title: string }> = {
  jointer: { machine: "Jointer", title: "Flatten a face, square an edge to it" },
  sled: { machine: "Planer with a sled", title: "Flatten a face on the sled" },
  halves: { machine: "Table saw, then jointer", title: "Rip in halves, flatten, glue again" },
  hand: { machine: "Hand plane or router sled", title: "Flatten a face by hand" },
};

/** A card for each way of flattening: shims and passes of every piece. */
function flattening(milled: readonly MilledLane[]): CutCard[] {
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
function resawing(milled: readonly MilledLane[]): CutCard[] {
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
function planing({ boards, settings, parts, milled, panels, shop }: CardFacts): CutCard[] {
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

function sizing({ settings, parts, milled, shop }: CardFacts, machine: "table saw" | "crosscut stop"): CutCard[] {
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
function legs({ parts, shop }: CardFacts): CutCard[] {
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

/** Marks of the pieces of a part that are of this size, as they are written on the wood. */
function marksOf(parts: readonly Part[], id: string, fits: (stock: Part["stock"][number]) => boolean): string[] {
  const part = parts.find((each) => each.id === id)!;
  const pieces = part.sticks?.map(({ mark }) => mark) ?? part.marks;
  return pieces.flatMap((mark) => part.stock.filter(fits).map((stock) => `${mark}${stock.suffix}`));
}

/** Pieces of a lane that goes through whole stand under the lane's mark: they are not cut apart yet. */
function partRow({ name }: { name: string }, marks: readonly string[], milled: readonly MilledLane[]): CardRow {
  const to = distinct(
    marks.map((mark) => milled.find((each) => each.pieces.length > 1 && each.pieces.includes(mark))?.mark ?? mark),
  );
  return { from: name, what: String(to.length), to, check: count(to.length) };
}

const count = (n: number) => (n === 1 ? "1 piece" : `${n} pieces`);
const distinct = <T>(list: readonly T[]) => [...new Set(list)];
const descending = (sizes: readonly number[]) => distinct(sizes).sort((a, b) => b - a);
