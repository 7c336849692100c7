import * as v from "valibot";
import { firstFault } from "../piece/fields";
import { Shop, shopSchema } from "../piece/shop";

/** Reads a shop's JSON; what is wrong comes back as a sentence. */
export function checkShop(text: string): { ok: true; shop: Shop } | { ok: false; message: string } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, message: "The shop's file is not JSON." };
  }
  const fault = firstFault(shopSchema, json);
  return fault
    ? { ok: false, message: `In the shop's field “${fault.field}”: ${fault.message}` }
    : { ok: true, shop: v.parse(shopSchema, json) };
}
