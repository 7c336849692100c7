/** Dates and times as loggers and spreadsheets write them. Milliseconds, as if in UTC: a shop's log needs no time zone. */

export type DayOrder = "day-first" | "month-first";

/** A date with or without a time, or null. Numbers with points are always day first; slashes follow `order`. */
export function readStamp(text: string, order: DayOrder): number | null {
  const given = text.trim();
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T\s,]+(.*))?$/.exec(given);
  if (iso) return at(+iso[1], +iso[2], +iso[3], iso[4]);
  const other = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4}|\d{2})(?:[T\s,]+(.*))?$/.exec(given);
  if (other) {
    const year = other[4].length === 2 ? 2000 + Number(other[4]) : Number(other[4]);
    const monthFirst = other[2] === "/" && order === "month-first";
    return monthFirst ? at(year, +other[1], +other[3], other[5]) : at(year, +other[3], +other[1], other[5]);
  }
  if (/^\d{10}$/.test(given)) return Number(given) * 1000;
  if (/^\d{13}$/.test(given)) return Number(given);
  return null;
}

/** Whether a column of dates with slashes has the month first: some second number is over 12. Day first when nothing tells. */
export function dayOrderOf(texts: readonly string[]): DayOrder {
  return texts.some((text) => {
    const found = /^\s*(\d{1,2})\/(\d{1,2})\//.exec(text);
    return found !== null && Number(found[2]) > 12;
  })
    ? "month-first"
    : "day-first";
}

export const isoDay = (ms: number) => new Date(ms).toISOString().slice(0, 10);

function at(year: number, month: number, day: number, time: string | undefined): number | null {
  let seconds = 0;
  if (time?.trim()) {
    const clock = /^(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*(am|pm)?\s*(?:z|utc|[+-]\d{2}:?\d{2})?$/i.exec(
      time.trim(),
    );
    if (!clock) return null;
    const half = clock[4]?.toLowerCase();
    const hour = half ? (Number(clock[1]) % 12) + (half === "pm" ? 12 : 0) : Number(clock[1]);
    if (hour > 24 || Number(clock[2]) > 59) return null;
    seconds = hour * 3600 + Number(clock[2]) * 60 + Number(clock[3] ?? 0);
  }
  const ms = Date.UTC(year, month - 1, day);
  const back = new Date(ms);
  return back.getUTCMonth() === month - 1 && back.getUTCDate() === day ? ms + seconds * 1000 : null;
}
