/** Dates as makers type them. Inside Taller a date is always an ISO day. */

export type ParsedDate = { ok: true; day: string } | { ok: false; message: string };

const MONTHS = "january february march april may june july august september october november december".split(" ");

/**
 * Reads a day: `23 November 2026`, `23 nov`, `November 23, 2026`, `2026-11-23`, `23.11.2026`, `23/11/26`, `11/23/2026`.
 *
 * @param order  which number the reader writes first where either could be the month
 * @param today  ISO day; a day without its year is the next such day
 */
export function parseDay(text: string, order: "day first" | "month first", today: string): ParsedDate {
  const typed = text.trim().toLowerCase();
  const words = typed.split(/[\s,./-]+/).filter(Boolean);
  const month = words.findIndex((word) => /^[a-z]{3,}$/.test(word));
  const numbers = words
    .filter((_, i) => i !== month)
    .map((word) => (/^\d{1,4}(?:st|nd|rd|th)?$/.test(word) ? parseInt(word, 10) : NaN));
  if (numbers.some(Number.isNaN) || numbers.length === 0) return no(text);
  if (month >= 0) {
    const at = MONTHS.findIndex((name) => name.startsWith(words[month]));
    const [day, year] = numbers;
    return at < 0 || numbers.length > 2 ? no(text) : dayOf({ year: year ?? null, month: at + 1, day }, text, today);
  }
  if (numbers.length < 2 || numbers.length > 3) return no(text);
  if (words[0].length === 4) return dayOf({ year: numbers[0], month: numbers[1], day: numbers[2] ?? NaN }, text, today);
  const [a, b, year = null] = numbers;
  // dots are written with the day first everywhere; a number over 12 is no month
  const monthFirst = order === "month first" && !typed.includes(".") ? b > 12 || a <= 12 : b > 12 && a <= 12;
  return dayOf(monthFirst ? { year, month: a, day: b } : { year, month: b, day: a }, text, today);
}

function dayOf(given: { year: number | null; month: number; day: number }, text: string, today: string): ParsedDate {
  const { month, day } = given;
  const written = (year: number) =>
    `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;
  const real = (iso: string) => {
    const at = Date.parse(`${iso}T00:00:00Z`);
    return !Number.isNaN(at) && new Date(at).toISOString().slice(0, 10) === iso;
  };
  const now = Number(today.slice(0, 4));
  const year = given.year === null ? now : given.year < 100 ? 2000 + given.year : given.year;
  const iso = given.year === null && written(now) < today ? written(now + 1) : written(year);
  return real(iso) ? { ok: true, day: iso } : no(text);
}

const no = (text: string): ParsedDate => ({
  ok: false,
  message: `“${text.trim()}” is not a day. Type it such as 23 November 2026 or 2026-11-23.`,
});
