import { AssemblyPart, standingBody } from "../assembly/part";
import { Solid, stood } from "../assembly/solid";
import { EdgeLine, linesOf } from "./edges";

/** Arcs are drawn so fine, mm. */
export const DRAWN = 0.4;

const known = new WeakMap<AssemblyPart, { solid: Solid; lines: EdgeLine[] }>();
/** What is seen of a part, in the piece's frame, with its edges. A part that stays what it was is not built again. */
export function bodyWhereItStands(part: AssemblyPart) {
  const before = known.get(part);
  if (before) return before;
  const solid = stood(standingBody(part, DRAWN), part.place);
  const body = { solid, lines: linesOf(solid) };
  known.set(part, body);
  return body;
}
