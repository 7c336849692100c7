import { stripChord } from "../construction/top/outline";
import type { Form } from "../piece/schema";
import { Candidate, jointLines } from "./candidates";

/** What makers look at in a panel, mm. @source common practice */
export const LINES = { offCentre: 30, offLeg: 12 };
/** How much each fault counts against the others when orders are compared: ours, a judgement of looks and not of strength. */
const WEIGHT = { centre: 6, leg: 4, uneven: 3, mirrored: 2, strangers: 0.3, prized: 3 };
/** Sets of so few strips have all their orders looked at. Ours: beyond it swaps are quicker. */
const ALL_ORDERS = 6;

/** `curve`: a curved outline, and how long over its chord a strip is left; `prized`: boards that are better spared. */
export interface PanelFrame {
  width: number;
  overhang: number;
  leg: number;
  prized?: readonly string[];
  curve?: { outline: Form["top"]; over: number };
}

/** A strip that does not reach over its chord: no order with one will do. */
export const TOO_SHORT = 1000;

/** How good an order looks; 0 is perfect, more is worse. */
export function arrangementFault(
  strips: readonly Pick<Candidate, "width" | "board" | "slide">[],
  frame: PanelFrame,
): number {
  const widths = strips.map((each) => each.width);
  const lines = jointLines(widths, frame.width);
  const mean = frame.width / strips.length;
  let fault = 0;
  if (frame.curve) fault += TOO_SHORT * shortStrips(strips, lines, frame.width, frame.curve);
  if (frame.prized) for (const each of strips) if (frame.prized.includes(each.board.id)) fault += WEIGHT.prized;
  for (const line of lines) {
    fault += WEIGHT.centre * Math.max(0, 1 - Math.abs(line - frame.width / 2) / LINES.offCentre);
    const fromEdge = Math.min(line, frame.width - line);
    const offLeg = Math.max(frame.overhang - fromEdge, fromEdge - frame.overhang - frame.leg);
    fault += WEIGHT.leg * Math.max(0, Math.min(1, 1 - offLeg / LINES.offLeg));
  }
  for (let i = 0; i < strips.length; i += 1) {
    fault += (WEIGHT.uneven * Math.abs(widths[i] - mean)) / mean / strips.length;
    fault += (WEIGHT.mirrored * Math.abs(widths[i] - widths[strips.length - 1 - i])) / mean / strips.length;
    if (i > 0 && strips[i].board.tree !== strips[i - 1].board.tree) fault += WEIGHT.strangers / strips.length;
  }
  return fault;
}

function shortStrips(
  strips: readonly Pick<Candidate, "board" | "slide">[],
  lines: readonly number[],
  width: number,
  { outline, over }: NonNullable<PanelFrame["curve"]>,
): number {
  return strips.filter(
    ({ board, slide }, i) =>
      stripChord(outline, (lines[i - 1] ?? 0) - width / 2, (lines[i] ?? width) - width / 2) + over >
      board.length - slide + 1e-9,
  ).length;
}

/**
 * The best order of a set of strips: of a few strips the best there is, of more the best found by steepest swaps from a few seeded starts.
 *
 * @returns the order, its fault and how many orders were looked at
 */
export function bestOrder(
  set: readonly Candidate[],
  frame: PanelFrame,
  random: () => number,
  starts = 3,
): { order: Candidate[]; fault: number; tried: number } {
  return set.length <= ALL_ORDERS ? bestOfAll(set, frame) : bestBySwaps(set, frame, random, starts);
}

function bestOfAll(set: readonly Candidate[], frame: PanelFrame): { order: Candidate[]; fault: number; tried: number } {
  const order = set.slice().sort((a, b) => b.width - a.width);
  const best = { order: order.slice(), fault: Infinity, tried: 0 };
  const walk = (from: number) => {
    if (from >= order.length - 1) {
      const fault = arrangementFault(order, frame);
      best.tried += 1;
      if (fault < best.fault - 1e-9) {
        best.order = order.slice();
        best.fault = fault;
      }
      return;
    }
    for (let i = from; i < order.length; i += 1) {
      swap(order, from, i);
      walk(from + 1);
      swap(order, from, i);
    }
  };
  walk(0);
  return best;
}

function bestBySwaps(
  set: readonly Candidate[],
  frame: PanelFrame,
  random: () => number,
  starts: number,
): { order: Candidate[]; fault: number; tried: number } {
  let best = set.slice().sort((a, b) => b.width - a.width);
  let fault = arrangementFault(best, frame);
  let tried = 1;
  for (let start = 0; start < starts; start += 1) {
    const order = best.slice();
    if (start > 0) for (let i = order.length - 1; i > 0; i -= 1) swap(order, i, Math.floor(random() * (i + 1)));
    let here = arrangementFault(order, frame);
    for (let improved = true; improved;) {
      improved = false;
      let pair: [number, number] | null = null;
      for (let i = 0; i < order.length; i += 1)
        for (let j = i + 1; j < order.length; j += 1) {
          swap(order, i, j);
          const next = arrangementFault(order, frame);
          tried += 1;
          if (next < here - 1e-9) {
            here = next;
            pair = [i, j];
          }
          swap(order, i, j);
        }
      if (pair) {
        swap(order, pair[0], pair[1]);
        improved = true;
      }
    }
    if (here < fault - 1e-9) {
      fault = here;
      best = order;
    }
  }
  return { order: best, fault, tried };
}

function swap<T>(list: T[], i: number, j: number): void {
  [list[i], list[j]] = [list[j], list[i]];
}
