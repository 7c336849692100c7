import { arrangementFault, PanelFrame } from "../layout/arrange";
import type { Candidate } from "../layout/candidates";

/** Every panel there is, one by one: the least cost of a set that covers the width, and the least fault of any order of any set that costs at most `budget(least)`. For few candidates only. */
export function allPanels(
  candidates: readonly Candidate[],
  width: number,
  frame: PanelFrame,
  budget: (least: number) => number,
): { cost: number; fault: number; orders: number } {
  const sets: { set: Candidate[]; cost: number }[] = [];
  for (let mask = 1; mask < 1 << candidates.length; mask += 1) {
    const set = candidates.filter((_, i) => mask & (1 << i));
    const covers = (list: readonly Candidate[]) =>
      list.reduce((sum, each) => sum + Math.floor(each.width * 2) / 2, 0) >= width - 1e-9;
    // a set with a strip too many is another set with wood wasted
    if (covers(set) && set.every((each) => !covers(set.filter((other) => other !== each))))
      sets.push({ set, cost: set.reduce((sum, each) => sum + each.cost, 0) });
  }
  const cost = Math.min(...sets.map((each) => each.cost));
  let [fault, orders] = [Infinity, 0];
  const walk = (left: Candidate[], order: Candidate[]): void => {
    if (left.length === 0) {
      orders += 1;
      fault = Math.min(fault, arrangementFault(order, frame));
    }
    left.forEach((each, i) => walk([...left.slice(0, i), ...left.slice(i + 1)], [...order, each]));
  };
  for (const each of sets) if (each.cost <= budget(cost) + 1e-6) walk(each.set, []);
  return { cost, fault, orders };
}

/** A panel so small that {@link allPanels} can try them all. */
export const SMALL_PANEL = {
  need: { length: 1500, width: 520, thickness: 28 },
  frame: { width: 520, overhang: 40, leg: 75 },
  boards: 16,
};
