/** Fillers beside a case in its alcove: boards scribed to the wall, screwed from inside the sides. */
import { straight } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import { LEFT, RIGHT, UP } from "../../../assembly/vector";
import { fine } from "../../../verdict/verdict";
import { Contact, screwFor } from "../contact";
import type { Case } from "./case";
import { PULL } from "./cut";
import { uprightAt } from "./posts";

/** They stand so far behind the front; a screw for so much of their height. mm @source common practice */
const FILLER = { back: 2, every: 350, over: 4 };

/** SF1 at the left wall, SF2 at the right one. */
export function fillerParts({ fillers, outside, deep, foot, under, inner }: Case): AssemblyPart[] {
  return fillers.map(({ side, edge }): AssemblyPart => {
    const long = under - foot;
    const seen = edge.filter(({ y }) => y > foot && y < under);
    const width = Math.max(...edge.map(({ wide }) => wide));
    const at = (y: number) => {
      const i = Math.max(0, edge.findIndex((each) => each.y >= y) - 1);
      const [a, b] = [edge[i], edge[Math.min(i + 1, edge.length - 1)]];
      return b.y === a.y ? a.wide : a.wide + ((y - a.y) / (b.y - a.y)) * (b.wide - a.wide);
    };
    const wall: [number, number][] = [
      [long, at(under)],
      ...seen.toReversed().map(({ y, wide }): [number, number] => [y - foot, wide]),
      [0, at(foot)],
    ];
    return {
      ...{ id: `SF${side < 0 ? 1 : 2}`, kind: "filler", name: "Filler", letter: "SF", make: "solid", role: "rail" },
      note: `Scribed to the wall: ${edge.map(({ y, wide }) => `${fine(wide)} at ${Math.round(y)}`).join(", ")}; sawn 10 mm over until then.`,
      markedFrom: "the wall, with the case in its place",
      shape: {
        ...{ length: long, width, thickness: inner },
        face: { outer: straight([[0, 0], [long, 0], ...wall]), holes: [] },
      },
      place: {
        at: side < 0 ? [outside.from, foot, deep.to - FILLER.back - inner] : [outside.to, foot, deep.to - FILLER.back],
        ...{ x: UP, y: side < 0 ? LEFT : RIGHT },
      },
      ...{ adds: [], cuts: [], opens: [side * PULL.along, 0, 0] },
    };
  });
}

/** Screws through the sides, from inside the case. */
export function fillerContacts(place: Case): Contact[] {
  const { fillers, outside, deep, foot, under, inner, edge: thick } = place;
  return fillers.map(({ side, edge }): Contact => {
    const least = Math.min(...edge.map(({ wide }) => wide));
    const width = under - foot;
    const z = deep.to - FILLER.back;
    const stands = uprightAt(place, side, z - inner / 2);
    return {
      ...{ group: `filler+${stands.kind}`, name: `${place.cornered ? "Post" : "Side"} to filler`, enters: stands.id },
      ...{ receives: `SF${side < 0 ? 1 : 2}`, how: "screws", section: { width, thickness: inner }, depth: least },
      screws: {
        screws: Math.max(2, Math.round(width / FILLER.every)),
        ...{ through: thick, long: screwFor(thick + Math.max(2, least - FILLER.over)) },
      },
      face:
        side < 0
          ? { at: [outside.from, foot, z], x: LEFT, y: UP }
          : { at: [outside.to, foot, z - inner], x: RIGHT, y: UP },
    };
  });
}
