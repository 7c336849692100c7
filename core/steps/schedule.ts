import type { DatedStep, Step } from "./step";

/** Hours at the bench in a working day. @source common practice */
export const HOURS_A_DAY = 7;
/**
 * Puts steps in an order one person can follow and gives them dates: of all that may begin, the one on the longest chain
 * first; while something waits, other work goes on.
 *
 * Clamps are shared out: a step waits until those it takes are off what was glued before.
 *
 * @param clamps  how many the shop has
 * @param from  ISO date of the first working day; Saturdays and Sundays rest, glue and finish do not
 * @throws Error when steps wait for each other in a circle: a programmer's mistake
 */
export function scheduled(
  steps: readonly Step[],
  from: string,
  done: readonly string[],
  clamps = Infinity,
): DatedStep[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const then = new Map<string, string[]>();
  for (const { id, after } of steps) for (const before of after) then.set(before, [...(then.get(before) ?? []), id]);
  const tail = new Map<string, number>();
  const following = (id: string): number => {
    const known = tail.get(id);
    if (known !== undefined) {
      if (Number.isNaN(known)) throw new Error(`Step ${id} waits for itself.`);
      return known;
    }
    tail.set(id, NaN);
    const me = byId.get(id)!;
    const length = me.hours * (24 / HOURS_A_DAY) + me.wait + Math.max(0, ...(then.get(id) ?? []).map(following));
    tail.set(id, length);
    return length;
  };
  steps.forEach((step) => following(step.id));
  const readyAt = new Map<string, number>();
  const out: DatedStep[] = [];
  const held: { count: number; until: number }[] = [];
  const clampsFree = (hour: number, need: number): number => {
    const inUse = held.filter(({ until }) => until > hour);
    const taken = inUse.reduce((sum, { count }) => sum + count, 0);
    return need === 0 || taken + need <= clamps ? hour : clampsFree(Math.min(...inUse.map(({ until }) => until)), need);
  };
  let now = 0; // clock hours since the first day's midnight
  const open = new Set(steps.map((step) => step.id));
  while (open.size > 0) {
    const able = [...open]
      .map((id) => byId.get(id)!)
      .filter((step) => step.after.every((id) => readyAt.has(id) || !byId.has(id)));
    const startOf = (step: Step) =>
      clampsFree(Math.max(now, ...step.after.map((id) => readyAt.get(id) ?? 0)), Math.min(step.clamps, clamps));
    const next = able
      .map((step) => ({ step, starts: startOf(step) }))
      .reduce((a, b) =>
        Math.abs(a.starts - b.starts) > 1e-9
          ? a.starts < b.starts
            ? a
            : b
          : tail.get(b.step.id)! > tail.get(a.step.id)!
            ? b
            : a,
      ).step;
    const start = workable(startOf(next), from);
    const end = work(start, next.hours, from);
    now = end;
    readyAt.set(next.id, end + next.wait);
    if (next.clamps > 0) held.push({ count: Math.min(next.clamps, clamps), until: end + next.clampHours });
    open.delete(next.id);
    out.push({
      ...next,
      starts: dateAt(from, start),
      ready: dateAt(from, end + next.wait),
      done: done.includes(next.id),
    });
  }
  return out;
}

const DAY_STARTS = 8;
/** The next moment at or after `hour` when someone is in the shop. */
function workable(hour: number, from: string): number {
  let day = Math.floor(hour / 24);
  let clock = hour - day * 24;
  if (clock < DAY_STARTS) clock = DAY_STARTS;
  if (clock >= DAY_STARTS + HOURS_A_DAY) {
    day += 1;
    clock = DAY_STARTS;
  }
  while (isWeekend(dateAt(from, day * 24))) {
    day += 1;
    clock = DAY_STARTS;
  }
  return day * 24 + clock;
}
function work(start: number, hours: number, from: string): number {
  let at = start;
  let left = hours;
  for (;;) {
    const endOfDay = Math.floor(at / 24) * 24 + DAY_STARTS + HOURS_A_DAY;
    if (left <= endOfDay - at + 1e-9) return at + left;
    left -= endOfDay - at;
    at = workable(endOfDay, from);
  }
}
const dateAt = (from: string, hours: number) =>
  new Date(Date.parse(`${from}T00:00:00Z`) + Math.floor(hours / 24) * 86400000).toISOString().slice(0, 10);
const isWeekend = (date: string) => [0, 6].includes(new Date(`${date}T00:00:00Z`).getUTCDay());
