import { formatLength, Unit } from "../../core/units/length";

/** Below this, a decimal length in a sentence is a fit or a travel and is shown to thousandths of an inch. */
const FINE_UNDER = 15;

const DAYS = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric", timeZone: "UTC" });
const SHORT = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" });

/** `23 November 2026`, from an ISO date. */
export const dayName = (date: string) => DAYS.format(new Date(`${date}T00:00:00Z`));
/** `Mon 23 Nov`, from an ISO date. */
export const shortDay = (date: string) => SHORT.format(new Date(`${date}T00:00:00Z`)).replace(",", "");

/** A sentence of the core, whose dates are ISO and whose lengths are always “N mm” or “N by M mm” or “N to M mm”, in the unit on the screen. */
export function toUnit(sentence: string, unit: Unit): string {
  const dated = sentence.replace(/\d{4}-\d{2}-\d{2}/g, dayName);
  if (unit === "mm") return dated;
  return dated.replace(/((?:−?\d+(?:\.\d+)?(?:, | by | to | and )?)*)(−?\d+(?:\.\d+)?) mm\b/g, (whole) => {
    const numbers = whole.slice(0, -3);
    return `${numbers.replace(/−?\d+(?:\.\d+)?/g, (n) => inches(n))} in`;
  });
}

function inches(text: string): string {
  const mm = Number(text.replace("−", "-"));
  return formatLength(mm, "inch", text.includes(".") && Math.abs(mm) < FINE_UNDER);
}
