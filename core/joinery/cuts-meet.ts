/** Where what is cut in a part for the top runs into what is cut there for a joint. */
import { shared } from "../assembly/carve";
import type { AssemblyPart, Worked } from "../assembly/part";
import { Piece, piece } from "../assembly/pieces";
import { solidOf } from "../assembly/shape";
import { bulkOf, stood } from "../assembly/solid";
import type { Piece as Record } from "../piece/schema";
import { Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { wayOf } from "./fastening";
import type { FasteningFacts } from "./fastening/facts";

/** Two cuts that share less only graze each other, mm³. Ours: a shaving. */
const GRAZES = 30;
const FASTENING = "fastening";

/** The first pair of cuts that meet in a part: what was cut for the top, and for the joint with which part. */
export function cutsThatMeet(parts: readonly AssemblyPart[]): { part: AssemblyPart; by: string } | null {
  for (const part of parts) {
    const forTop = part.cuts.filter(({ by }) => by === FASTENING).map(boxed);
    if (forTop.length === 0) continue;
    for (const each of part.cuts) {
      if (each.by === FASTENING || each.by === "fixed screw") continue;
      const one = boxed(each);
      if (forTop.some((other) => meet(one, other))) return { part, by: each.by };
    }
  }
  return null;
}

/** A cut with the box it fits in. */
const boxed = ({ shape, place }: Worked) => piece(shape, place);

function meet(a: Piece, b: Piece): boolean {
  if ([0, 1, 2].some((i) => a.least[i] >= b.most[i] || b.least[i] >= a.most[i])) return false;
  const body = ({ shape, place }: Piece) => stood(solidOf(shape), place);
  return bulkOf(shared(body(a), body(b))).volume > GRAZES;
}

/** A groove that runs into a dowel or a mortise leaves neither whole. */
export function cutsMeet({ piece: made, parts }: FasteningFacts): Verdict | null {
  if (!parts.some(({ cuts }) => cuts.some(({ by }) => by === FASTENING))) return null;
  const found = cutsThatMeet(parts);
  const { names } = wayOf(made.joints);
  const other = found && parts.find(({ id }) => id === found.by);
  const with_ = other ? `the joint with ${other.said ?? other.name.toLowerCase()} ${other.id}` : "a joint";
  return verdict({
    id: "joints.cuts-meet",
    stage: "joints",
    subject: found ? [found.part.kind] : [],
    level: found ? "fix" : "holds",
    text: found
      ? `What is cut for the ${names.many.toLowerCase()} runs into ${with_}, in ${found.part.said ?? found.part.name.toLowerCase()} ${found.part.id}`
      : `What is cut for the ${names.many.toLowerCase()} keeps clear of every joint`,
    why: "Where two cuts meet, neither has the wall it was reckoned with: a dowel lies bare in the groove, a mortise opens into it.",
    source: "derived: both bodies, where they stand",
    remedies: found ? otherwise(made) : [],
  });
}

/** Rails joined by what is not bored so deep, or a top held by what is not cut. */
function otherwise({ joints }: Record): Remedy[] {
  return [
    ...(joints.legRail.kind === "mortise-tenon"
      ? []
      : [
          set("Tenon the rails to the legs", ["joints", "legRail"], {
            ...joints.legRail,
            kind: "mortise-tenon",
            thickness: null,
            length: null,
            tenons: null,
          }),
        ]),
    ...(joints.fastening === "slotted"
      ? []
      : [set("Hold the top by slotted cleats", ["joints", "fastening"], "slotted")]),
  ];
}
