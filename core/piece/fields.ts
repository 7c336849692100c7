/** The kinds of value a record of Taller holds, each with a message that says what is wrong and how to mend it. */
import * as v from "valibot";

const called = (name: string) => name[0].toUpperCase() + name.slice(1);

/** A length that must be there: above 0, at most 20 m. */
export const size = (name: string, most = 20000) => v.pipe(
  v.number(`${called(name)} must be a number of mm.`),
  v.finite(`${called(name)} must be a number of mm.`),
  v.gtValue(0, `${called(name)} must be more than 0 mm.`),
  v.maxValue(most, `${called(name)} can be ${most} mm at most.`));

/** A length that may be nothing: 0 to `most` mm. */
export const distance = (name: string, most = 20000) => v.pipe(
  v.number(`${called(name)} must be a number of mm.`),
  v.finite(`${called(name)} must be a number of mm.`),
  v.minValue(0, `${called(name)} can't be less than 0 mm.`),
  v.maxValue(most, `${called(name)} can be ${most} mm at most.`));

export const between = (name: string, low: number, high: number, unit = "") => v.pipe(
  v.number(`${called(name)} must be a number.`),
  v.finite(`${called(name)} must be a number.`),
  v.minValue(low, `${called(name)} runs from ${low} to ${high}${unit}.`),
  v.maxValue(high, `${called(name)} runs from ${low} to ${high}${unit}.`));

export const count = (name: string, low: number, high: number) => v.pipe(between(name, low, high), v.integer(`${called(name)} must be a whole number.`));

export const text = (name: string, most = 400) => v.pipe(
  v.string(`${called(name)} must be text.`), v.maxLength(most, `${called(name)} can be ${most} letters at most.`),
  v.check((typed) => !typed.includes("\u0000"), `${called(name)} holds a character that can't be kept. Type it again.`));

export const name = (field: string) => v.pipe(text(field, 120), v.regex(/\S/, `${called(field)} can't be empty.`));

export const date = (field: string) => v.pipe(
  v.string(`${called(field)} must be a date such as 2027-03-31.`),
  v.regex(/^\d{4}-\d{2}-\d{2}$/, `${called(field)} must be a date such as 2027-03-31.`),
  v.check((day) => new Date(`${day}T00:00:00Z`).toJSON()?.slice(0, 10) === day, `${called(field)} is not a day of the calendar.`));

export const moisture = (field: string) => between(field, 1, 60, " %");

export const choice = <const T extends readonly [string, ...string[]]>(field: string, options: T) =>
  v.picklist(options, `${called(field)} must be one of: ${options.join(", ")}.`);

/** The first thing wrong with `input`, as the path of the field and a sentence; null when all is well. */
export function firstFault(schema: v.GenericSchema, input: unknown): { field: string; message: string } | null {
  const result = v.safeParse(schema, input, { abortEarly: true });
  if (result.success) return null;
  const issue = result.issues[0];
  const field = (issue.path ?? []).map((step) => (typeof step.key === "number" ? `[${step.key + 1}]` : String(step.key))).join(".").replaceAll(".[", " [");
  const plain = issue.type === "strict_object"
    ? issue.received === "undefined" ? "This field is missing." : "Taller has no such field; remove it."
    : issue.message.startsWith("Invalid") ? `This must be ${issue.expected ?? "another kind of value"}, not ${issue.received}.` : issue.message;
  return { field, message: plain };
}
