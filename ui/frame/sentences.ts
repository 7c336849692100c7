import { formatLength, Unit } from "../../core/units/length";

/** Below this, a decimal length in a sentence is a fit or a travel and is shown to thousandths of an inch. */
const FINE_UNDER = 15;

/** A sentence of the core, whose lengths are always “N mm” or “N by M mm” or “N to M mm”, in the unit on the screen. */
export function toUnit(sentence: string, unit: Unit): string {
  if (unit === "mm") return sentence;
  return sentence.replace(/((?:−?\d+(?:\.\d+)?(?:, | by | to | and )?)*)(−?\d+(?:\.\d+)?) mm\b/g, (whole) => {
    const numbers = whole.slice(0, -3);
    return `${numbers.replace(/−?\d+(?:\.\d+)?/g, (n) => inches(n))} in`;
  });
}

function inches(text: string): string {
  const mm = Number(text.replace("−", "-"));
  return formatLength(mm, "inch", text.includes(".") && Math.abs(mm) < FINE_UNDER);
}
