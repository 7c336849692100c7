import * as v from "valibot";
import { shopSchema } from "../../../core/piece/shop";
import { currentWorkshop, saveShop } from "../../../store/workshops";
import { readJson, refuseFault, route } from "../answer";

/** Saves what the shop owns. */
export const PUT = route(async (request: Request) => {
  const body = await readJson(request, 100_000);
  if (!body.ok) return body.answer;
  const read = v.safeParse(shopSchema, body.json);
  if (!read.success) return refuseFault(shopSchema, body.json);
  await saveShop((await currentWorkshop()).id, read.output);
  return Response.json({});
});
