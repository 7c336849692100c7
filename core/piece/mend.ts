import * as v from "valibot";
import { Board, boardSchema } from "../stock/board";
import { fieldName, isKeepable, plainMessage } from "./fields";
import { freshPiece } from "./fresh";
import { Piece, pieceSchema } from "./schema";
import { Shop, shopSchema, USUAL_SHOP } from "./shop";
import { upgraded } from "./upgrade";

/** A value that was stored before Taller knew a bound, and what it reads now. */
export interface Mended {
  field: string;
  was: string;
  message: string;
}

/** A record of the database as the schema takes it: what lies outside a bound is brought to it, what can't be is as in a fresh one. */
export interface Whole<T> {
  value: T;
  mended: Mended[];
}

/** A stored piece of any version. @throws never: a record that is no piece at all comes back fresh, and says so */
export const mendPiece = (body: unknown): Whole<Piece> =>
  mend(pieceSchema, upgraded(body), () => freshPiece(nameOf(body), dayOf(body)));

/** A stored shop; fields that a later Taller added get their usual value. */
export const mendShop = (body: unknown): Whole<Shop> =>
  mend<Shop>(shopSchema, isRecord(body) ? { ...USUAL_SHOP, ...body } : USUAL_SHOP, () => USUAL_SHOP);

/** A stored board; null when it holds no sizes to go by. */
export function mendBoard(body: unknown): Board | null {
  if (v.is(boardSchema, body)) return body as Board;
  const usual = {
    id: "B",
    species: "european-ash",
    length: NaN,
    width: NaN,
    widthEnd: null,
    thickness: NaN,
    ringLeft: -20,
    ringRight: 20,
    bow: 0,
    crook: 0,
    cup: 0,
    twist: 0,
    moisture: 9,
    measuredOn: "2026-01-01",
    tree: "",
    shelf: "",
    price: 0,
    defects: [],
    cutFrom: "",
    tears: false,
    rounded: 0,
  };
  const { value } = mend(boardSchema, body, () => usual);
  return v.is(boardSchema, value) ? value : null;
}

/** Passes before a record is given up: each mends one value. */
const PASSES = 500;

function mend<T>(schema: v.GenericSchema<unknown, T>, given: unknown, fresh: () => T): Whole<T> {
  const mended: Mended[] = [];
  let json = given;
  for (let pass = 0; pass < PASSES; pass += 1) {
    const read = v.safeParse(schema, json, { abortEarly: true });
    if (read.success) return { value: read.output, mended };
    const issue = read.issues[0];
    const path = (issue.path ?? []).map((step) => step.key as string | number);
    if (path.length === 0) break;
    mended.push({ field: fieldName(path), was: brief(issue.input), message: plainMessage(issue) });
    json = withMended(json, path, issue, fresh);
  }
  return {
    value: fresh(),
    mended: [
      ...mended,
      { field: "", was: brief(given), message: "The record could not be read; a fresh one stands in for it." },
    ],
  };
}

/** The record with the value at `path` brought inside its bound, as in a fresh record, or taken out of its list. */
function withMended(
  json: unknown,
  path: readonly (string | number)[],
  issue: v.BaseIssue<unknown>,
  fresh: () => unknown,
): unknown {
  const bound = boundOf(issue);
  if (bound !== undefined) return changed(json, path, () => bound);
  if (issue.type === "strict_object" && issue.expected === "never") return changed(json, path, () => GONE);
  const usual = path.reduce<unknown>((at, key) => (isRecord(at) ? at[key] : undefined), fresh());
  if (usual !== undefined) return changed(json, path, () => usual);
  const item = path.findLastIndex((key) => typeof key === "number");
  return changed(json, item < 0 ? path.slice(0, 1) : path.slice(0, item + 1), () =>
    item < 0 ? (fresh() as Record<string, unknown>)[path[0]] : GONE,
  );
}

function boundOf({ type, input, requirement }: v.BaseIssue<unknown> & { requirement?: unknown }): unknown {
  switch (type) {
    case "min_value":
    case "max_value":
      return requirement;
    case "max_length":
      return typeof input === "string"
        ? input.slice(0, Number(requirement))
        : Array.isArray(input)
          ? input.slice(0, Number(requirement))
          : undefined;
    case "integer":
      return typeof input === "number" ? Math.round(input) : undefined;
    case "check":
      return typeof input === "string" && !isKeepable(input) ? keepable(input) : undefined;
    default:
      return undefined;
  }
}

const GONE = Symbol("gone");
function changed(at: unknown, [key, ...rest]: readonly (string | number)[], to: () => unknown): unknown {
  const now = rest.length === 0 ? to() : changed((at as Record<string, unknown>)?.[key as string], rest, to);
  if (Array.isArray(at) && typeof key === "number")
    return now === GONE ? at.filter((_, i) => i !== key) : at.map((each, i) => (i === key ? now : each));
  const record = isRecord(at) ? { ...at } : {};
  if (now === GONE) delete record[key];
  else record[key] = now;
  return record;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === "object" && !Array.isArray(value);
const brief = (value: unknown) => {
  if (value !== null && typeof value === "object")
    return Array.isArray(value) ? `a list of ${value.length}` : "a record";
  const text = value === undefined ? "nothing" : String(value);
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
};
/** What of a text can be kept. */
const keepable = (text: string) => text.replace(/\u0000|\p{Surrogate}/gu, "");
/** Its own name, if anything of it can be read. */
function nameOf(body: unknown): string {
  const name = isRecord(body) && typeof body.name === "string" ? keepable(body.name.slice(0, 120)) : "";
  return /\S/.test(name) ? name : "A piece that could not be read";
}
const dayOf = (body: unknown) =>
  isRecord(body) && typeof body.day === "string" && /^20\d\d-(0[1-9]|1[0-2])-(0[1-9]|1\d|2[0-8])$/.test(body.day)
    ? body.day
    : "2026-01-01";
