/** Lists as CSV that no one should send: columns of all our readers, cells that are at home nowhere, quotes gone wrong, rows cut short. */
import fc from "fast-check";

const COLUMNS = [
  "id",
  "species",
  "length",
  "width (in)",
  "thickness",
  "qty",
  "bf",
  "nominal",
  "ring_left",
  "defects",
  "date",
  "moisture",
  "rh %",
  "temp °F",
  "price",
  "per",
  "currency",
  "what",
  "constructor",
  "__proto__",
  "",
];
const CELLS = [
  "B1",
  "European ash",
  "european-ash",
  "2400",
  "150",
  "38",
  "8/4",
  "7' 6\"",
  "5 1/2",
  "2x6",
  "500",
  "-1",
  "0",
  "1e308",
  "NaN",
  "Infinity",
  "2027-01-31",
  "31.01.2027 14:00",
  "9",
  "45",
  "m3",
  "EUR",
  "knot@1,2,3,4|knot@",
  "=1+1",
  "@x",
  "'=x",
  "constructor",
  "__proto__",
  "\u0000",
  "\ud800",
  "\uFEFF",
  " ".repeat(300),
  `1${" ".repeat(300)}x`,
  "wood ".repeat(200),
  "|".repeat(900),
  "1/".repeat(100),
  "°".repeat(60),
  '"',
  '"""',
  'a"b',
  ",,,",
  ";",
  "\t",
];
const cell = fc.oneof(
  { weight: 6, arbitrary: fc.constantFrom(...CELLS) },
  { weight: 1, arbitrary: fc.string({ maxLength: 40 }) },
  { weight: 1, arbitrary: fc.double().map(String) },
);
const row = fc.array(cell, { maxLength: 24 });
const SHAPE = {
  by: fc.constantFrom(",", ";", "\t", "|"),
  end: fc.constantFrom("\n", "\r\n", "\r", "\n\n"),
  repeat: fc.constantFrom(1, 1, 1, 1, 40, 400),
  quote: fc.boolean(),
  cut: fc.option(fc.nat(), { freq: 6 }),
};

/** Cells that are at home in a column. */
const GOOD: Record<string, readonly string[]> = {
  id: ["B1", "B2", "B3", "-B4"],
  species: ["European ash", "european-ash", "Elm"],
  length: ["2400", "2,4 m", "7' 6\""],
  width: ["150", "5 1/2"],
  "width (in)": ["6", "5 1/2"],
  thickness: ["38", "8/4"],
  qty: ["1", "3"],
  bf: ["4"],
  nominal: ["2x6"],
  ring_left: ["-20"],
  defects: ["knot@620,40,55,45", ""],
  date: ["2027-01-31", "31.01.2027 14:00"],
  moisture: ["9", "8,4"],
  "rh %": ["45"],
  humidity: ["45"],
  "temp °F": ["68"],
  temperature: ["20"],
  price: ["900"],
  per: ["m3", "bf"],
  currency: ["EUR"],
  what: ["top", "B1"],
};
const goodRow = (header: readonly string[]) =>
  fc.tuple(...header.map((name) => fc.constantFrom(...(Object.hasOwn(GOOD, name) ? GOOD[name] : ["", "x"]))));
const KNOWN: string[][] = [
  ["id", "species", "length", "width", "thickness"],
  ["date", "temperature", "humidity"],
  ["date", "what", "moisture"],
  ["species", "thickness", "price", "per"],
];

/** A list with a header of ours, more or less, and rows that are good or not. */
export const hostileList: fc.Arbitrary<string> = fc
  .oneof(fc.shuffledSubarray(COLUMNS, { minLength: 1 }), fc.constantFrom(...KNOWN), row)
  .chain((header) =>
    fc.record({
      header: fc.constant(header),
      rows: fc.array(header.length > 0 ? fc.oneof(row, goodRow(header)) : row, { maxLength: 30 }),
      ...SHAPE,
    }),
  )
  .map(({ header, rows, by, end, repeat, quote, cut }) => {
    const line = (cells: readonly string[]) =>
      cells.map((each) => (quote ? `"${each.replaceAll('"', '""')}"` : each)).join(by);
    const body = rows.map(line).join(end);
    const text = `${line(header)}${end}${Array.from({ length: repeat }, () => body).join(end)}`;
    return cut === null ? text : text.slice(0, cut % (text.length + 1));
  });
