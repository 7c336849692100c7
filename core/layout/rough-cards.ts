/** Cards of the rough cuts: boards crosscut, lanes ripped and crosscut. */
import type { Shop } from "../piece/shop";
import type { Board } from "../stock/board";
import { mm } from "../verdict/verdict";
import { CardRow, CutCard, descending, distinct, LaneLine } from "./card";
import { sectionMark, stripMark } from "./marks";
import { BoardCut } from "./sawing";
import { roughRip } from "./saws";

/** A strip this much narrower than its board is ripped before it is jointed, mm. Ours: less goes at the jointer. */
export const RIPPED_STRIP = 8;

export function crosscuts(cut: BoardCut, shop: Shop): CardRow[] {
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
export function rips(all: readonly LaneLine[], boards: readonly BoardCut[], shop: Shop): CutCard[] {
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
export function laneCuts(lanes: readonly LaneLine[], phase: "lane" | "short"): CutCard[] {
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
