/** The kinds of value a record of Taller holds, each with a message that says what is wrong and how to mend it. */
import * as v from "valibot";

const called = (name: string) => name[0].toUpperCase() + name.slice(1);

/** A length that must be there: from the least to the most that a maker could mean, mm. */
export const size = (name: string, least: number, most: number) =>
  v.pipe(
    v.number(`${called(name)} must be a number of mm.`),
    v.finite(`${called(name)} must be a number of mm.`),
    v.minValue(least, `${called(name)} must be ${least} mm at least.`),
    v.maxValue(most, `${called(name)} can be ${most} mm at most.`),
  );

/** A length that may be nothing: 0 to `most` mm. */
export const distance = (name: string, most: number) =>
  v.pipe(
    v.number(`${called(name)} must be a number of mm.`),
    v.finite(`${called(name)} must be a number of mm.`),
    v.minValue(0, `${called(name)} can't be less than 0 mm.`),
    v.maxValue(most, `${called(name)} can be ${most} mm at most.`),
  );

export const between = (name: string, low: number, high: number, unit = "") =>
  v.pipe(
    v.number(`${called(name)} must be a number.`),
    v.finite(`${called(name)} must be a number.`),
    v.minValue(low, `${called(name)} runs from ${low} to ${high}${unit}.`),
    v.maxValue(high, `${called(name)} runs from ${low} to ${high}${unit}.`),
  );

export const count = (name: string, low: number, high: number) =>
  v.pipe(between(name, low, high), v.integer(`${called(name)} must be a whole number.`));

export const text = (name: string, most = 400) =>
  v.pipe(
    v.string(`${called(name)} must be text.`),
    v.maxLength(most, `${called(name)} can be ${most} letters at most.`),
    v.check(isKeepable, `${called(name)} holds a character that can't be kept. Type it again.`),
  );

/** Text a database and a file can hold: no zero byte, no half of a character that is written as two. */
export const isKeepable = (typed: string) => !typed.includes("\u0000") && !/\p{Surrogate}/u.test(typed);

/** A list that ends somewhere. */
export const list = <const T extends v.GenericSchema>(name: string, item: T, most: number, least = 0) =>
  v.pipe(
    v.array(item, `${called(name)} must be a list.`),
    v.minLength(least, `${called(name)} must hold ${least} at least.`),
    v.maxLength(most, `${called(name)} can hold ${most} at most.`),
  );

export const name = (field: string) => v.pipe(text(field, 120), v.regex(/\S/, `${called(field)} can't be empty.`));

/** Days a maker could mean: within a century of when this was written, so that no year is computed that no one will see. */
export const FIRST_DAY = "1926-01-01";
export const LAST_DAY = "2126-12-31";

export const date = (field: string) =>
  v.pipe(
    v.string(`${called(field)} must be a date such as 2027-03-31.`),
    v.regex(/^\d{4}-\d{2}-\d{2}$/, `${called(field)} must be a date such as 2027-03-31.`),
    v.check(
      (day) => new Date(`${day}T00:00:00Z`).toJSON()?.slice(0, 10) === day,
      `${called(field)} is not a day of the calendar.`,
    ),
    v.minValue(FIRST_DAY, `${called(field)} can't be before ${FIRST_DAY}.`),
    v.maxValue(LAST_DAY, `${called(field)} can't be after ${LAST_DAY}.`),
  );

export const moisture = (field: string) => between(field, 1, 60, " %");

export const choice = <const T extends readonly [string, ...string[]]>(field: string, options: T) =>
  v.picklist(options, `${called(field)} must be one of: ${options.join(", ")}.`);

/** The first thing wrong with `input`, as the path of the field and a sentence; null when all is well. */
export function firstFault(schema: v.GenericSchema, input: unknown): { field: string; message: string } | null {
  const result = v.safeParse(schema, input, { abortEarly: true });
  if (result.success) return null;
  const issue = result.issues[0];
  return {
    field: fieldName((issue.path ?? []).map((step) => step.key as string | number)),
    message: plainMessage(issue),
  };
}

/** A path as it is read aloud: lists count from 1. */
export const fieldName = (path: readonly (string | number)[]) =>
  path
    .map((key) => (typeof key === "number" ? `[${key + 1}]` : key))
    .join(".")
    .replaceAll(".[", " [");

/** What an issue says, where the schema has no sentence of its own. */
export function plainMessage(issue: v.BaseIssue<unknown>): string {
  if (issue.type === "strict_object" && issue.received === "undefined") return "This field is missing.";
  if (issue.type === "strict_object" && issue.expected === "never") return "Taller has no such field; remove it.";
  return issue.message.startsWith("Invalid")
    ? `This must be ${KINDS[issue.expected ?? ""] ?? issue.expected ?? "another kind of value"}, not ${brief(issue.received)}.`
    : issue.message;
}

/** Kinds of values as a sentence calls them. */
const KINDS: Record<string, string> = {
  Object: "a record with named fields",
  Array: "a list",
  string: "a text",
  number: "a number",
  boolean: "true or false",
};
/** What was there instead, short enough to be read: a field may hold anything. */
const brief = (received: string) => (received.length > 60 ? `${received.slice(0, 60)}…` : received);
