import * as v from "valibot";
import { firstFault, isKeepable } from "../../core/piece/fields";
import { PlanFailed } from "../../core/plan";
import { isAway } from "../../store/database";

/** A sentence for the maker with a status; every route's refusal looks like this. */
export const refuse = (message: string, status = 422) => Response.json({ message }, { status });

/** Refuses what a schema does not take, in a sentence with the field's name. */
export function refuseFault(schema: v.GenericSchema, json: unknown): Response {
  const fault = firstFault(schema, json);
  return refuse(
    fault
      ? `${fault.message}${fault.field ? ` (${fault.field})` : ""}`
      : "This can't be read. Reload the page and try again.",
  );
}

type Handler<C> = (request: Request, context: C) => Promise<Response>;

/** A route that always answers in a sentence: while the database is away, where a piece can't be planned, and where Taller is at fault. */
export function route<C>(handler: Handler<C>): Handler<C> {
  return async (request, context) => {
    try {
      return await handler(request, context);
    } catch (error) {
      if (isAway(error))
        return refuse("The database does not answer just now. Nothing was changed; it is tried again.", 503);
      if (error instanceof PlanFailed) return refuse(error.message);
      console.error(error);
      return refuse("Taller failed at this. It is written in the server's log; what was saved before is safe.", 500);
    }
  };
}

/** Reads a request's JSON, up to `most` bytes, counted as they come; what no one could keep is refused here once for all fields. Never throws but for a lost connection. */
export async function readJson(
  request: Request,
  most: number,
): Promise<{ ok: true; json: unknown } | { ok: false; answer: Response }> {
  const tooLarge = () => ({
    ok: false as const,
    answer: refuse(
      `This is over ${most >= 1e6 ? `${Math.round(most / 1e6)} MB` : `${Math.round(most / 1e3)} kB`}, more than Taller takes at once. Send less.`,
      413,
    ),
  });
  if (Number(request.headers.get("content-length") ?? 0) > most) return tooLarge();
  const text = await readText(request, most);
  if (text === null) return tooLarge();
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, answer: refuse("The request is not JSON. Reload the page and try again.", 400) };
  }
  const fault = unkeepable(json);
  return fault ? { ok: false, answer: refuse(fault, 400) } : { ok: true, json };
}

/** The body as text; null as soon as it is longer than `most` bytes. */
async function readText(request: Request, most: number): Promise<string | null> {
  if (!request.body) return "";
  const reader = request.body.getReader();
  const decoder = new TextDecoder();
  let [text, bytes] = ["", 0];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    bytes += value.byteLength;
    if (bytes > most) {
      await reader.cancel().catch(() => undefined);
      return null;
    }
    text += decoder.decode(value, { stream: true });
  }
}

/** Deeper than any record of Taller, by far. */
const DEEPEST = 60;

/** Why a value can't be kept, whatever field it is meant for: zero bytes and half characters, which no database takes, or no end of nesting. */
function unkeepable(json: unknown): string | null {
  const open: { value: unknown; deep: number }[] = [{ value: json, deep: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, deep } = next;
    if (typeof value === "string" && !isKeepable(value))
      return "A text holds a character that can't be kept. Type it again.";
    if (value === null || typeof value !== "object") continue;
    if (deep > DEEPEST) return "This is nested deeper than anything of Taller's. Reload the page and try again.";
    for (const [key, each] of Object.entries(value)) {
      if (!isKeepable(key)) return "The name of a field holds a character that can't be kept.";
      open.push({ value: each, deep: deep + 1 });
    }
  }
  return null;
}

const uuid = v.pipe(v.string(), v.uuid());
/** Ids in an address are checked before the database sees them. */
export const isId = (id: string) => v.is(uuid, id);
/** A board's name in an address, as the rack writes names. */
export const isBoardName = (id: string) => /^[\w.-]{1,40}$/.test(id);
export const noPiece = () => refuse("This piece is not here. It may have been removed; look on the bench.", 404);
/** Today, or the day the pictures and tests are taken on. */
export const isoToday = () => process.env.TALLER_TODAY ?? new Date().toISOString().slice(0, 10);
