/** Values drawn from a Valibot schema: whatever the schema takes, its bounds among the likeliest. A field added to a record is drawn from that day on. */
import fc from "fast-check";
import * as v from "valibot";
import { FIRST_DAY, LAST_DAY } from "../../core/piece/fields";

/** The parts of a schema this reads; Valibot's own types hide them behind generics. */
export interface Looked {
  type: string;
  entries?: Record<string, Looked>;
  item?: Looked;
  value?: Looked;
  rest?: Looked;
  wrapped?: Looked;
  options?: unknown[];
  literal?: unknown;
  pipe?: { type: string; kind: string; requirement?: unknown }[];
}
/** Draws of its own for fields whose values mean something elsewhere, by the last step of their path. */
export type Hints = Record<string, fc.Arbitrary<unknown>>;

/** A field that is drawn whole: no plain record of further fields. */
export interface Unit {
  path: string[];
  schema: Looked;
}

/** Every field of a record, down to what is not a plain record itself. */
export function unitsOf(schema: v.GenericSchema): Unit[] {
  const walk = (at: Looked, path: string[]): Unit[] =>
    at.type === "strict_object" && !at.pipe
      ? Object.entries(at.entries!).flatMap(([key, each]) => walk(each, [...path, key]))
      : at.type === "literal"
        ? []
        : [{ path, schema: at }];
  return walk(schema as unknown as Looked, []);
}

/** Anything the schema takes. */
export function valuesOf(schema: v.GenericSchema | Looked, hints: Hints = {}, name = ""): fc.Arbitrary<unknown> {
  const at = schema as unknown as Looked;
  const hint = hints[name];
  const drawn = drawOf(at, hints, name);
  return (
    hint && at.type === "string" ? fc.oneof({ weight: 5, arbitrary: hint }, { weight: 1, arbitrary: drawn }) : drawn
  ).filter((value) => v.is(schema as v.GenericSchema, value));
}

function drawOf(at: Looked, hints: Hints, name: string): fc.Arbitrary<unknown> {
  switch (at.type) {
    case "strict_object":
      return fc.record(
        Object.fromEntries(Object.entries(at.entries!).map(([key, each]) => [key, valuesOf(each, hints, key)])),
      );
    case "variant":
      return fc.oneof(...(at.options as Looked[]).map((each) => valuesOf(each, hints, name)));
    case "array": {
      const [least, most] = [limit(at, "min_length", 0), limit(at, "max_length", 6)];
      return fc.array(valuesOf(at.item!, hints, name), {
        minLength: limit(at, "length", least),
        maxLength: limit(at, "length", Math.min(most, Math.max(least, 6))),
      });
    }
    case "object_with_rest": {
      const known = Object.entries(at.entries!);
      return fc
        .tuple(
          fc.record(Object.fromEntries(known.map(([key, each]) => [key, valuesOf(each, hints, key)]))),
          fc.option(valuesOf(at.rest!, hints, name), { freq: 2 }),
        )
        .map(([fixed, other]) => (other === null ? fixed : { ...fixed, shelf: other }));
    }
    case "record":
      return fc.dictionary(
        fc.constantFrom("foot+post", "post+stretcher", "elsewhere"),
        valuesOf(at.value!, hints, name),
        { maxKeys: 3 },
      ) as fc.Arbitrary<unknown>;
    case "nullable":
      return fc.option(valuesOf(at.wrapped!, hints, name), { nil: null, freq: 2 });
    case "optional":
      return valuesOf(at.wrapped!, hints, name);
    case "picklist":
      return fc.constantFrom(...at.options!);
    case "literal":
      return fc.constant(at.literal);
    case "boolean":
      return fc.boolean();
    case "number":
      return numbersOf(at);
    case "string":
      return textsOf(at);
    default:
      throw new Error(`The generator knows no ${at.type}: teach it in tests/generators/from-schema.ts.`);
  }
}

const limit = (at: Looked, type: string, other: number) =>
  Number(at.pipe?.find((each) => each.type === type)?.requirement ?? other);
const has = (at: Looked, type: string): boolean => flat(at).some((each) => each.type === type);
/** A pipe may begin with a pipe. */
const flat = (at: Looked): { type: string; requirement?: unknown }[] =>
  (at.pipe ?? []).flatMap((each) => ("pipe" in each ? flat(each as unknown as Looked) : [each]));
const bound = (at: Looked, type: string) => {
  const found = flat(at)
    .filter((each) => each.type === type)
    .map((each) => Number(each.requirement));
  return found.length ? (type === "min_value" ? Math.max(...found) : Math.min(...found)) : null;
};

function numbersOf(at: Looked): fc.Arbitrary<number> {
  const [min, max] = [bound(at, "min_value"), bound(at, "max_value")];
  if (min === null || max === null) throw new Error("Every number of a record has a least and a most.");
  if (has(at, "integer")) return fc.integer({ min, max });
  const round = Math.ceil(min) <= Math.floor(max) ? [fc.integer({ min: Math.ceil(min), max: Math.floor(max) })] : [];
  return fc.oneof(fc.constantFrom(min, max), ...round, fc.double({ min, max, noNaN: true }));
}

const DAY = 86_400_000;
const days = fc.oneof(
  fc.constantFrom(FIRST_DAY, LAST_DAY, "2026-11-23", "2028-02-29"),
  fc
    .integer({ min: Date.parse(FIRST_DAY) / DAY, max: Date.parse(LAST_DAY) / DAY })
    .map((day) => new Date(day * DAY).toISOString().slice(0, 10)),
);

function textsOf(at: Looked): fc.Arbitrary<string> {
  if (has(at, "iso_timestamp")) return days.map((day) => `${day}T08:30:00Z`);
  const pattern = flat(at).find((each) => each.type === "regex")?.requirement;
  if (String(pattern).includes("\\d{4}")) return days;
  if (String(pattern).includes("own-")) return fc.stringMatching(/^own-[1-9]$/);
  if (String(pattern).includes("[\\w.-]")) return fc.stringMatching(/^[A-Z][0-9]{1,3}$/);
  if (String(pattern).includes("[A-Z]{3}")) return fc.constantFrom("EUR", "CHF", "SEK");
  const most = Math.min(40, limit({ type: "", pipe: flat(at) as Looked["pipe"] }, "max_length", 40));
  return fc
    .oneof(fc.constantFrom("a", "Ash", "<b>", "=1+1", "Größe 12 “x”"), fc.string({ maxLength: most, unit: "grapheme" }))
    .map((text) => text.slice(0, most));
}
