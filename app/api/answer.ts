import * as v from "valibot";
import { firstFault } from "../../core/piece/fields";

/** A sentence for the maker with a status; every route's refusal looks like this. */
export const refuse = (message: string, status = 422) => Response.json({ message }, { status });

/** Refuses what a schema does not take, in a sentence with the field's name. */
export function refuseFault(schema: v.GenericSchema, json: unknown): Response {
  const fault = firstFault(schema, json);
  return refuse(fault ? `${fault.message}${fault.field ? ` (${fault.field})` : ""}` : "This can't be read. Reload the page and try again.");
}

/** Reads a request's JSON, up to `most` bytes, without ever throwing. */
export async function readJson(request: Request, most: number): Promise<{ ok: true; json: unknown } | { ok: false; answer: Response }> {
  const length = Number(request.headers.get("content-length") ?? 0);
  const tooLarge = () => ({ ok: false as const, answer: refuse(`This is over ${Math.round(most / 1e6)} MB, more than Taller takes at once. Send less.`, 413) });
  if (length > most) return tooLarge();
  const text = await request.text();
  if (text.length > most) return tooLarge();
  try {
    return { ok: true, json: JSON.parse(text) };
  } catch {
    return { ok: false, answer: refuse("The request is not JSON. Reload the page and try again.", 400) };
  }
}

const uuid = v.pipe(v.string(), v.uuid());
/** Ids in an address are checked before the database sees them. */
export const isId = (id: string) => v.is(uuid, id);
export const noPiece = () => refuse("This piece is not here. It may have been removed; look on the bench.", 404);
/** Today, or the day the pictures and tests are taken on. */
export const isoToday = () => process.env.TALLER_TODAY ?? new Date().toISOString().slice(0, 10);
