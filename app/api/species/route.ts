import { firstFault } from "../../../core/piece/fields";
import { ownSpeciesSchema, toSpecies } from "../../../core/wood/own";
import { SPECIES } from "../../../core/wood/species";
import { addSpecies, currentWorkshop } from "../../../store/workshops";
import { readJson, refuse, route } from "../answer";

/** Adds a species of the maker's own. */
export const POST = route(async (request: Request) => {
  const body = await readJson(request, 10_000);
  if (!body.ok) return body.answer;
  const fault = firstFault(ownSpeciesSchema, body.json);
  if (fault) return refuse(fault.message);
  const species = toSpecies(body.json);
  if (SPECIES.some((each) => each.id === species.id) || !(await addSpecies((await currentWorkshop()).id, species)))
    return refuse(`A species called ${species.name} is here already. Give yours another name.`);
  return Response.json({ id: species.id });
});
