import { less, together } from "./carve";
import type { Place } from "./place";
import { Shape, solidOf } from "./shape";
import { bulkOf, Solid, stood } from "./solid";
import { add, times, Vec } from "./vector";

/** Where a joint adds wood to a part or takes it away: a body in the part's own frame. */
export interface Worked {
  /** the meeting it belongs to, such as "leg+long-rail" */
  by: string;
  shape: Shape;
  place: Place;
}

/** One piece of wood where it stands in the piece. */
export interface AssemblyPart {
  /** this one, such as "L1" */
  id: string;
  /** what identical ones share, such as "leg" */
  kind: string;
  name: string;
  shape: Shape;
  place: Place;
  /** tenons and tongues beyond its shoulders, and mortises, grooves and holes cut into it */
  adds: readonly Worked[];
  cuts: readonly Worked[];
  /** the way it leaves its joints when the piece is pulled apart, in the piece's frame; its length says how far before others */
  opens: Vec;
}

/** What a construction makes of choices: parts that meet, standing where they belong. */
export interface Assembly {
  parts: readonly AssemblyPart[];
}

/** The body of a part in its own frame, with its joints worked. */
export function bodyOf({ shape, adds, cuts }: AssemblyPart): Solid {
  const worked = ({ shape: form, place }: Worked) => stood(solidOf(form), place);
  const whole = adds.reduce((body, each) => together(body, worked(each)), solidOf(shape));
  return cuts.reduce((body, each) => less(body, worked(each)), whole);
}

/** A part's weight, kg, and where it pulls, in the piece's frame. @param density kg/m³ */
export function weightOf(part: AssemblyPart, density: number): { weight: number; centre: Vec } {
  const { volume, centre } = bulkOf(stood(bodyOf(part), part.place));
  return { weight: (volume / 1e9) * density, centre };
}

/** The weight of all parts together, kg, and where it pulls. @param densityOf of each part, kg/m³ */
export function wholeWeight(
  { parts }: Assembly,
  densityOf: (part: AssemblyPart) => number,
): { weight: number; centre: Vec } {
  let weight = 0;
  let moment: Vec = [0, 0, 0];
  for (const part of parts) {
    const one = weightOf(part, densityOf(part));
    weight += one.weight;
    moment = add(moment, times(one.centre, one.weight));
  }
  return { weight, centre: weight === 0 ? [0, 0, 0] : times(moment, 1 / weight) };
}
