import * as v from "valibot";
import { firstFault } from "../../../core/piece/fields";
import { shopSchema } from "../../../core/piece/shop";
import { currentWorkshop, saveShop } from "../../../store/workshops";
import { readJson, refuse } from "../answer";

/** Saves what the shop owns. */
export async function PUT(request: Request) {
  const body = await readJson(request, 100_000);
  if (!body.ok) return body.answer;
  const fault = firstFault(shopSchema, body.json);
  if (fault) return refuse(`${fault.message} (${fault.field})`);
  await saveShop((await currentWorkshop()).id, v.parse(shopSchema, body.json));
  return Response.json({});
}
