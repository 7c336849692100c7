/** Files no one should send: a good one with values cut out, swapped, swollen or turned into something else. */
import fc from "fast-check";

const WORDS = [
  "",
  "\u0000",
  "\ud800",
  "constructor",
  "__proto__",
  "../../etc",
  "<script>",
  "=1+1",
  "9999-12-31",
  "0000-00-00",
  "x".repeat(5000),
  "’; drop table piece; --",
];
/** Values that are at home nowhere. */
export const hostileValue: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(null, true, 0, -1, 1e-9, 0.02, 1e9, 1e308, -1e308, 2_000_000_000, [], {}, [[[[]]]], {
    kind: "none",
  }),
  fc.constantFrom(...WORDS),
  fc.integer({ min: 10, max: 3000 }).map((n) => Array.from({ length: n }, () => "B1")),
  fc.integer({ min: 5, max: 4000 }).map((n) => nested(n)),
  fc.jsonValue(),
);
const nested = (deep: number) => {
  let value: unknown = 1;
  for (let i = 0; i < deep; i += 1) value = [value];
  return value;
};

type Mutation = { kind: "set" | "nudge" | "delete" | "add" | "repeat"; at: number; value: unknown };
const mutation: fc.Arbitrary<Mutation> = fc.record({
  kind: fc.constantFrom("set", "nudge", "nudge", "delete", "add", "repeat"),
  at: fc.nat(),
  value: hostileValue,
});

/** A record with a few of its values mutated, anywhere in it. */
export const mutated = (bases: readonly unknown[]): fc.Arbitrary<unknown> =>
  fc
    .tuple(fc.constantFrom(...bases), fc.array(mutation, { minLength: 1, maxLength: 4 }))
    .map(([base, mutations]) => mutations.reduce(mutate, structuredClone(base)));

function mutate(record: unknown, { kind, at, value: drawn }: Mutation): unknown {
  // a value that is drawn twice must not be put into itself
  const value = isFlat(drawn) ? structuredClone(drawn) : drawn;
  const places = placesOf(record);
  if (places.length === 0) return value;
  const { holder, key } = places[at % places.length];
  const now: unknown = (holder as Record<string, unknown>)[key];
  // a nudge is what a slip of the hand makes of a number; some of those are taken
  if (kind === "nudge") {
    if (typeof now === "number") (holder as Record<string, unknown>)[key] = now * [0.5, 0.9, 1.1, 10, -1][at % 5];
    return record;
  }
  if (Array.isArray(holder)) {
    if (kind === "delete") holder.splice(Number(key), 1);
    else if (kind === "repeat" && isFlat(holder[0]) && JSON.stringify(holder[0] ?? 0).length < 600)
      holder.push(...Array.from({ length: 2000 }, () => holder[0]));
    else if (kind === "add") holder.push(value);
    else holder[Number(key)] = value;
  } else if (kind === "delete") delete holder[key];
  else if (kind === "add") holder[isFlat(value) ? JSON.stringify(value).slice(0, 20) : "deep"] = value;
  else holder[key] = value;
  return record;
}

/** Nested no deeper than a record is: what is can't be written out from deep in a draw. */
const isFlat = (value: unknown, deep = 0): boolean =>
  deep < 20 &&
  (value === null || typeof value !== "object" || Object.values(value).every((each) => isFlat(each, deep + 1)));

interface Place {
  holder: Record<string, unknown> | unknown[];
  key: string;
}
function placesOf(record: unknown, deep = 0): Place[] {
  if (record === null || typeof record !== "object" || deep > 12) return [];
  return Object.entries(record)
    .slice(0, 200)
    .flatMap(([key, each]): Place[] => [
      { holder: record as Record<string, unknown>, key },
      ...(Array.isArray(each) && each.length > 300 ? [] : placesOf(each, deep + 1)),
    ]);
}

/** The same as text, now and then cut short or with a byte gone wrong. */
export const hostileText = (bases: readonly unknown[]): fc.Arbitrary<string> =>
  fc
    .tuple(mutated(bases), fc.option(fc.nat(), { freq: 8 }), fc.constantFrom("", "", "", "\uFEFF", "}", "\u0000"))
    .map(([record, cut, before]) => {
      const text = before + JSON.stringify(record);
      return cut === null ? text : text.slice(0, cut % Math.max(1, text.length));
    });
