import type { Shop } from "../piece/shop";
import { mm } from "../verdict/verdict";
import type { BoardCut, RoughPiece } from "./cutting";
import type { MachineSetting, Part } from "./cut-list";
import type { LaidSection } from "./search";

/** One line on a card: from what, what is cut, what it becomes, and what should be left or lie there after it. */
export interface CardRow { from: string; what: string; to: string[]; check: string }

/** One machine, one setting; done from top to bottom and ticked off. `board` is sawn apart by it. */
export interface CutCard { id: string; machine: string; setting: number | null; title: string; rows: CardRow[]; board: string | null }

/** A section's name, written on it as it leaves the saw: the board's and its number from the left. */
export const sectionMark = (cut: BoardCut, section: LaidSection) => `${cut.board.id}-${cut.sections.indexOf(section) + 1}`;

/**
 * The whole cutting in the order it is done, each machine set once a setting: boards crosscut, sections ripped widest first, lanes crosscut
 * longest first, then planed, ripped and crosscut to size.
 */
export function cutCards(boards: readonly BoardCut[], pieces: ReadonlyMap<string, RoughPiece>, settings: readonly MachineSetting[], parts: readonly Part[], shop: Shop): CutCard[] {
  const boardCards = boards.map((cut): CutCard => ({ id: `board:${cut.board.id}`, machine: "Crosscut saw", setting: null, title: `Crosscut ${cut.board.id}`, rows: crosscuts(cut, shop), board: cut.board.id }));
  const lanes = boards.flatMap((cut) => cut.sections.flatMap((section) => section.lanes.map((lane, i) => ({ cut, section, lane, i }))));
  const name = ({ cut, section, i }: (typeof lanes)[number]) => (section.lanes.length > 1 ? `${sectionMark(cut, section)}${letter(i)}` : sectionMark(cut, section));
  const rips = distinct(lanes.map((each) => each.lane.width)).map((width): CutCard => {
    const mine = lanes.filter((each) => each.lane.width === width);
    const from = distinctBy(mine, (each) => sectionMark(each.cut, each.section));
    return {
      id: `rip:${width}`, machine: "Table saw", setting: width, title: `Rip to ${mm(width)}`, board: null,
      rows: from.map((mark) => {
        const here = mine.filter((each) => sectionMark(each.cut, each.section) === mark);
        return { from: mark, what: `${here.length} of ${mm(width)}`, to: here.map((each) => (each.lane.pieces.length > 1 ? name(each) : each.lane.pieces[0])), check: `${mm(here[0].section.length)} long` };
      }),
    };
  });
  const several = lanes.filter((each) => each.lane.pieces.length > 1);
  const lengths = distinct(several.flatMap((each) => each.lane.pieces.map((id) => pieces.get(id)?.length ?? 0)));
  const shorts = lengths.map((length): CutCard => ({
    id: `lane:${length}`, machine: "Crosscut stop", setting: length, title: `Crosscut lanes at ${mm(length)}`, board: null,
    rows: several.flatMap((each) => {
      const to = each.lane.pieces.filter((id) => pieces.get(id)?.length === length);
      return to.length > 0 ? [{ from: name(each), what: `${to.length} of ${mm(length)}`, to, check: `${each.lane.pieces.length - to.length} of the lane after it` }] : [];
    }),
  }));
  return [...boardCards, ...rips, ...shorts, ...sizes(settings, parts)];
}

function crosscuts(cut: BoardCut, shop: Shop): CardRow[] {
  const rows: CardRow[] = [];
  let at = 0;
  const places = [...cut.sections.map((section) => ({ x: section.x, length: section.length, section })), ...(cut.strip ? [{ x: cut.strip.x, length: cut.strip.length, section: null }] : [])].sort((a, b) => a.x - b.x);
  for (const { x, length, section } of places) {
    if (x - at > shop.kerf + 0.5) {
      const offcut = offcutAt(cut, at, x);
      rows.push({ from: cut.board.id, what: `${mm(x - at - (at > 0 ? 0 : shop.kerf))} off`, to: offcut ? [offcut] : ["scrap"], check: left(cut, x) });
    }
    rows.push({ from: cut.board.id, what: mm(length), to: section ? [sectionMark(cut, section)] : [`strip ${cut.board.id}`], check: left(cut, x + length + shop.kerf) });
    at = x + length + shop.kerf;
  }
  for (const offcut of cut.offcuts) if (!rows.some((row) => row.to.includes(offcut.id))) rows.push({ from: cut.board.id, what: `${mm(offcut.length)} by ${mm(offcut.width)} left over`, to: [offcut.id], check: "back on the rack" });
  return rows;
}

const offcutAt = (cut: BoardCut, from: number, to: number) => cut.offcuts.find((each) => each.length <= to - from + 1 && each.length >= to - from - 60 && Math.abs(each.width - cut.board.width) < 30)?.id;
const left = (cut: BoardCut, at: number) => `${mm(Math.max(0, Math.round(cut.board.length - at)))} of ${cut.board.id} left`;

const MACHINES: Record<MachineSetting["machine"], { name: string; title: (size: number) => string }> = {
  planer: { name: "Planer", title: (size) => `Plane to ${mm(size)} thick` }, "table saw": { name: "Table saw", title: (size) => `Rip to ${mm(size)} wide` },
  "crosscut stop": { name: "Crosscut stop", title: (size) => `Crosscut to ${mm(size)}` },
};

function sizes(settings: readonly MachineSetting[], parts: readonly Part[]): CutCard[] {
  return settings.map((each): CutCard => ({
    id: `${each.machine}:${each.setting}`, machine: MACHINES[each.machine].name, setting: each.setting, title: MACHINES[each.machine].title(each.setting), board: null,
    rows: each.parts.map((part) => ({ from: part.name, what: `${part.marks.length}`, to: part.marks, check: `${part.marks.length * stock(parts, part.id)} pieces` })),
  }));
}

const stock = (parts: readonly Part[], id: string) => parts.find((each) => each.id === id)?.leaves ?? 1;
const letter = (i: number) => "abcdefghijkl"[i];
const distinct = (sizes: readonly number[]) => [...new Set(sizes)].sort((a, b) => b - a);
const distinctBy = <T>(list: readonly T[], key: (each: T) => string) => [...new Set(list.map(key))];
