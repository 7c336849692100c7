/** Lengths as makers type and read them. Inside Taller a length is always a number of mm. */

export const MM_PER_INCH = 25.4; // exact by definition, international inch (1959)
export const MM_PER_FOOT = 304.8;

export type Unit = "mm" | "inch";

/** Either the length in mm, or a sentence that says what is wrong and what to type instead. */
export type ParsedLength = { ok: true; mm: number } | { ok: false; message: string };

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const FRACTION = String.raw`(\d+)\s*[/⁄]\s*(\d+)`;
const UNICODE_FRACTIONS: Record<string, string> = {
  "½": " 1/2",
  "¼": " 1/4",
  "¾": " 3/4",
  "⅛": " 1/8",
  "⅜": " 3/8",
  "⅝": " 5/8",
  "⅞": " 7/8",
};

/**
 * Reads a length: `44.5`, `44,5`, `1 3/4`, `1-3/4"`, `5' 6 1/2"`, `120 cm`, `2 m`, `1 m 20 cm`. A bare number is in `unit`.
 *
 * @param text  what was typed
 * @param unit  the unit of a number that names none; a bare fraction such as `1 3/4` is read as inches
 * @returns mm, or a message; zero and negative lengths are read, judging them is the field's business
 */
export function parseLength(text: string, unit: Unit): ParsedLength {
  const typed = text.trim();
  if (typed === "") return no("Type a length, such as 44.5 or 1 3/4.");
  let rest = typed
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => UNICODE_FRACTIONS[c])
    .replace(/[′’]/g, "'")
    .replace(/''|[″”“]/g, '"')
    .replace(/\s+/g, " ")
    .trim();
  const negative = /^[-−]/.test(rest);
  rest = rest.replace(/^[-−]\s*/, "");
  const sign = negative ? -1 : 1;

  const metric = rest.match(new RegExp(`^(${NUMBER})\\s*(mm|cm|m)$`));
  if (metric) return yes(sign * decimal(metric[1]) * { mm: 1, cm: 10, m: 1000 }[metric[2] as "mm"]);

  // a rule read aloud: metres, then centimetres, then millimetres
  const several = rest.match(new RegExp(`^(?:(\\d+)\\s*m\\s*)?(?:(${NUMBER})\\s*cm\\s*)?(?:(${NUMBER})\\s*mm)?$`));
  if (several && several.slice(1).filter(Boolean).length > 1) {
    const [metres, centimetres, millimetres] = several.slice(1).map((each) => (each ? decimal(each) : 0));
    return yes(sign * (1000 * metres + 10 * centimetres + millimetres));
  }

  const feet = rest.match(new RegExp(`^(${NUMBER})\\s*(?:'|ft|feet|foot)\\s*(.*)$`));
  if (feet) {
    const inches = feet[2] === "" ? { ok: true as const, value: 0 } : readInches(feet[2].replace(/^-\s*/, ""));
    if (!inches.ok) return no(inches.message);
    return yes(sign * (decimal(feet[1]) * MM_PER_FOOT + inches.value * MM_PER_INCH));
  }
  const marked = /("|in|inch|inches)$/.test(rest);
  if (marked || rest.includes("/") || rest.includes("⁄")) {
    const inches = readInches(rest);
    return inches.ok ? yes(sign * inches.value * MM_PER_INCH) : no(inches.message);
  }
  if (new RegExp(`^(${NUMBER})$`).test(rest)) return yes(sign * decimal(rest) * (unit === "mm" ? 1 : MM_PER_INCH));
  return no(
    `“${typed}” is not a length. Type a number such as 44.5, a fraction such as 1 3/4, or feet and inches such as 5' 6".`,
  );
}

/**
 * Writes a length as a maker would mark it: 0.5 mm, or 1/32 in.
 *
 * @param mm    the length
 * @param unit  mm or inch
 * @param fine  true for movement and fits: 0.1 mm, or 0.004 in as a decimal
 */
export function formatLength(mm: number, unit: Unit, fine = false): string {
  if (!Number.isFinite(mm)) return "–";
  if (unit === "mm") return tidy(fine ? Math.round(mm * 10) / 10 : Math.round(mm * 2) / 2);
  if (fine) return tidy(Math.round((mm / MM_PER_INCH) * 1000) / 1000);
  return formatInches(mm / MM_PER_INCH, 32);
}

/** `69 1/2`, `3/4`, `0`: inches to the nearest 1/`denominator`, in lowest terms. */
export function formatInches(inches: number, denominator: number): string {
  const parts = Math.round(Math.abs(inches) * denominator);
  const whole = Math.floor(parts / denominator);
  let top = parts - whole * denominator;
  let bottom = denominator;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const sign = inches < 0 && parts > 0 ? "−" : "";
  if (top === 0) return `${sign}${whole}`;
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`;
}

function readInches(text: string): { ok: true; value: number } | { ok: false; message: string } {
  const bare = text.replace(/\s*("|inches|inch|in)$/, "").trim();
  const mixed = bare.match(new RegExp(`^(?:(\\d+)[\\s-]+)?${FRACTION}$`));
  if (mixed) {
    if (Number(mixed[3]) === 0)
      return { ok: false, message: `The fraction ${mixed[2]}/${mixed[3]} divides by nothing. Write it like 7/8.` };
    return { ok: true, value: Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]) };
  }
  if (new RegExp(`^(${NUMBER})$`).test(bare)) return { ok: true, value: decimal(bare) };
  return { ok: false, message: `“${text.trim()}” is not a number of inches. Write it like 6, 6.5 or 6 1/2.` };
}

const decimal = (text: string) => Number(text.replace(",", "."));
const tidy = (n: number) => (Object.is(n, -0) ? "0" : String(n).replace("-", "−"));
const yes = (mm: number): ParsedLength => ({ ok: true, mm });
const no = (message: string): ParsedLength => ({ ok: false, message });
