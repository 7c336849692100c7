import type { RoughPiece } from "../layout/sawing";
import { seeded } from "../units/seeded";

import type { Problem } from "../layout/problem";
import { USUAL_SHOP } from "../piece/shop";
import type { RackBoard } from "../stock/board";
import { demoBoard } from "./boards";

/** A seeded rack and cut list: 10 to 60 boards, 10 to 80 parts, a few of them matched, defects on a third of the boards. The rack holds enough for the list. */
export function randomCutting(seed: number): {
  rack: RackBoard[];
  pieces: RoughPiece[];
  groups: Record<string, string>;
} {
  const next = seeded(seed * 31 + 5);
  const pick = <T>(list: readonly T[]) => list[Math.floor(list.length * next())];
  const pieces: RoughPiece[] = [];
  const groups: Record<string, string> = {};
  const wanted = 10 + Math.floor(70 * next());
  for (let kind = 0; pieces.length < wanted; kind += 1) {
    const [length, width, thickness] = [
      Math.round(140 + 1300 * next() * next()),
      pick([40, 56, 66, 81, 96, 106, 126]),
      pick([22, 25, 25, 40]),
    ];
    const hidden = next() < 0.15;
    const matched = kind === 1;
    for (let n = matched ? 2 : 1 + Math.floor(8 * next()); n > 0 && pieces.length < wanted; n -= 1) {
      const id = `P${pieces.length + 1}`;
      pieces.push({
        id,
        part: `p${kind}`,
        label: id,
        length: length + 40,
        width: width + 6,
        thickness,
        net: length * width * thickness,
        hidden,
      });
      if (matched) groups[id] = "pair";
    }
  }
  const need = pieces.reduce((sum, each) => sum + each.length * each.width, 0);
  const rack: RackBoard[] = [];
  const count = 10 + Math.floor(50 * next());
  let area = 0;
  for (let i = 0; i < count || (area < 2.2 * need && i < 60); i += 1) {
    const thickness = i % 3 === 2 ? pick([52, 54]) : pick([32, 34]);
    const board = demoBoard({
      id: `R${i + 1}`,
      length: Math.round(1900 + 1900 * next()),
      width: Math.round(120 + 170 * next()),
      thickness,
      bow: 4 * next(),
      cup: next(),
      twist: 2 * next(),
      crook: 3 * next(),
    });
    if (next() < 0.33)
      board.defects = [
        {
          kind: next() < 0.3 ? "sap" : "knot",
          x: Math.round(board.length * (0.2 + 0.5 * next())),
          y: Math.round(board.width * 0.4),
          length: Math.round(40 + 200 * next()),
          width: 40,
        },
      ];
    rack.push(board);
    area += board.length * board.width;
  }
  return { rack, pieces, groups };
}

export const CUTTING_SHOP = USUAL_SHOP;

/** The search's own problem for a mixed-integer solver, in the LP format; cost in litres of rough wood, a missing piece as the search charges it. */
export function cuttingModel({ kinds, runs, sections, fits, kerf, keep }: Problem, missing: number): string {
  const cost: string[] = [];
  const demand = kinds.map((kind, k): string[] => {
    cost.push(`${(missing * kind.net) / 1e6} m${k}`);
    return [`m${k}`];
  });
  const rows: string[] = [];
  const integers: string[] = [];
  const binaries: string[] = [];
  const home = new Map<string, string[]>();
  const boards = [...new Set(runs.map((run) => run.board.id))];
  fits.forEach((list, r) => {
    if (list.length === 0) return;
    const area = (runs[r].board.width * runs[r].board.thickness) / 1e6;
    const b = boards.indexOf(runs[r].board.id);
    for (const s of list) {
      integers.push(`u${s}_${r}`);
      for (const [kind, count] of sections[s].need) {
        demand[kind].push(`${count} u${s}_${r}`);
        if (kinds[kind].group !== null) {
          const key = `${kind} ${b}`;
          home.set(key, [...(home.get(key) ?? []), `${count} u${s}_${r}`]);
        }
      }
    }
    const whole = runs[r].length + kerf;
    // sections, the rest that is kept and what is lost fill a run that is used
    rows.push(
      `l${r}: ${Array.from(list, (s) => `${sections[s].length + kerf} u${s}_${r}`).join(" + ")} + e${r} - ${whole} z${r} <= 0`,
    );
    rows.push(`k${r}: e${r} - ${whole} k${r} <= 0`, `a${r}: e${r} - ${keep} k${r} >= 0`, `y${r}: k${r} - z${r} <= 0`);
    cost.push(`${area * whole} z${r}`, `- ${area} e${r}`);
    binaries.push(`z${r}`, `k${r}`);
  });
  demand.forEach((terms, k) => rows.push(`d${k}: ${terms.join(" + ")} = ${kinds[k].pieces.length}`));
  for (const [key, terms] of home) {
    const [k, b] = key.split(" ");
    rows.push(
      `g${k}_${b}: ${terms.join(" + ")} - ${kinds[Number(k)].pieces.length} h${groupIndex(kinds, Number(k))}_${b} <= 0`,
    );
  }
  for (const g of new Set(kinds.flatMap((kind, k) => (kind.group !== null ? [groupIndex(kinds, k)] : [])))) {
    rows.push(`o${g}: ${boards.map((_, b) => `h${g}_${b}`).join(" + ")} <= 1`);
    binaries.push(...boards.map((_, b) => `h${g}_${b}`));
  }
  return `Minimize\n cost: ${cost.join(" + ").replaceAll("+ -", "-")}\nSubject To\n ${rows.map(wrapped).join("\n ")}\nGeneral\n ${wrapped(integers.join(" "))}\n${demand.map((_, k) => `m${k}`).join(" ")}\nBinary\n ${wrapped(binaries.join(" "))}\nEnd`;
}

/** The same model with parts of sections allowed. */
export const relaxed = (model: string): string => model.replace(/General[\s\S]*/, "End");

const groupIndex = (kinds: Problem["kinds"], k: number) => kinds.findIndex((each) => each.group === kinds[k].group);
/** Lines of the LP format stay under 500 letters. */
const wrapped = (text: string) => text.replace(/(.{300,400}?) /g, "$1\n ");
