import { less, together } from "./carve";
import type { SheetName } from "./material";
import { polygonOf } from "./outline";
import { Place, toPiece } from "./place";
import { SAG, Shape, solidOf } from "./shape";
import { Solid, stood } from "./solid";
import type { Make, Role } from "./sort";
import type { Vec } from "./vector";

/**
 * When wood goes: from the blank, before the part has its shape; or once what it belongs to is closed, such as edges rounded over a glued frame.
 * Where nothing is said, from the part by itself.
 */
export type When = "blank" | "closed";

/** Where a joint adds wood to a part or takes it away: a body in the part's own frame. */
export interface Worked {
  /** the meeting it belongs to, such as "foot+post" */
  by: string;
  shape: Shape;
  place: Place;
  /** shows when the piece stands: comes out of the part it enters, or is cut from the outside */
  shows?: boolean;
  when?: When;
  /** the mate it is marked from, such as "the plates that came": where it lies in the list is a guide */
  markedFrom?: string;
}

/** One piece of wood where it stands in the piece. */
export interface AssemblyPart {
  /** this one, such as "L1" */
  id: string;
  /** what identical ones share, such as "leg" */
  kind: string;
  name: string;
  /** how a sentence calls it, where that is not its name; several of them, where that is not its name with an s */
  said?: string;
  plural?: string;
  /** before its number on the wood */
  letter: string;
  role: Role;
  /** how it is made when it is glued up from several pieces */
  make: Make;
  /** what the cut list says of it beside its sizes */
  note: string;
  /** the mate its shoulders are scribed from, such as "the dry-fitted frame": the list's length is a guide, and it stays long until then */
  markedFrom?: string;
  shape: Shape;
  place: Place;
  /** tenons and tongues beyond its shoulders, and mortises, grooves and holes cut into it */
  adds: readonly Worked[];
  cuts: readonly Worked[];
  /** bought or made of metal to order: its own mass, kg; how long it is waited for, weeks; whether what came was measured */
  bought?: { mass: number; weeks: number; measured: boolean };
  /** bought by the sheet, in the thickness it was measured at: it does not move across, and comes from no board */
  sheet?: {
    material: SheetName;
    thickness: number;
    /** nobody sees which way its face's grain runs */
    turns?: boolean;
  };
  /** as wide as its board grew: never ripped, its edges never jointed */
  ownEdges?: true;
  /** all that name the same group come from one board */
  fromOne?: string;
  /** of several glued in a ring: it is held along its grain all round, and keeps its size there */
  ringed?: true;
  /** glued from strips side by side, each a kind of part with its own wood: from where y is 0, how wide each is */
  strips?: readonly { kind: string; mark: string; from: number; width: number }[];
  /** lies elsewhere until a pose brings it, such as a table's leaf: its place is the one it then has */
  away?: true | undefined;
  /** the way it leaves its joints when the piece is pulled apart, in the piece's frame; its length says how far before others */
  opens: Vec;
}

/** How a piece stands when something of it is opened, drawn out or turned: which parts go where, the others stay. */
export interface Pose {
  id: string;
  /** how a sentence calls it, such as "the lid up" */
  name: string;
  places: Readonly<Record<string, Place>>;
}

/** What a construction makes of choices: parts that meet, standing where they belong, and how else they may stand. */
export interface Assembly {
  parts: readonly AssemblyPart[];
  poses?: readonly Pose[];
}

/** What stands when nothing is opened: all that isn't laid away. */
export const standing = <P extends { away?: true | undefined }>(parts: readonly P[]): P[] =>
  parts.filter(({ away }) => !away);

/** Every part as it stands in a pose; what is laid away and not brought by it is not there. */
export const posed = (parts: readonly AssemblyPart[], { places }: Pick<Pose, "places">): AssemblyPart[] =>
  parts.flatMap((part) =>
    places[part.id] ? [{ ...part, place: places[part.id], away: undefined }] : part.away ? [] : [part],
  );

/** The box a part needs with what its joints add, in its own frame: what is milled for it, mm. */
export function extentOf({ shape, adds }: Pick<AssemblyPart, "shape" | "adds">): {
  length: number;
  width: number;
  thickness: number;
} {
  // what has no length of its own can't be cut: it is told by the size it lacks
  if (!(shape.length > 0)) return { length: shape.length, width: shape.width, thickness: shape.thickness };
  const least = [0, 0, 0];
  const most = [shape.length, shape.width, shape.thickness];
  for (const { shape: one, place } of adds)
    for (const corner of cornersOf(one))
      toPiece(place, corner).forEach((value, i) => {
        least[i] = Math.min(least[i], value);
        most[i] = Math.max(most[i], value);
      });
  return { length: most[0] - least[0], width: most[1] - least[1], thickness: most[2] - least[2] };
}

/** The corners that say how far a shape reaches: of its outline seen from its face where it has one, else two of its box. */
const cornersOf = ({ length, width, thickness, face }: Shape): Vec[] =>
  face
    ? polygonOf(face.outer, SAG).flatMap(([a, b]): Vec[] => [
        [a, b, 0],
        [a, b, thickness],
      ])
    : [
        [0, 0, 0],
        [length, width, thickness],
      ];

/** The body of a part in its own frame, with its joints worked. @param sag  how far a chord may lie from its arc, mm */
export function bodyOf({ shape, adds, cuts }: Pick<AssemblyPart, "shape" | "adds" | "cuts">, sag = SAG): Solid {
  const worked = ({ shape: form, place }: Worked) => stood(solidOf(form, sag), place);
  const whole = adds.reduce((body, each) => together(body, worked(each)), solidOf(shape, sag));
  return cuts.reduce((body, each) => less(body, worked(each)), whole);
}

/** What can be seen of a part when the piece stands, in its own frame: its shape, tenons that come through, mitres. */
export function standingBody({ shape, adds, cuts }: Pick<AssemblyPart, "shape" | "adds" | "cuts">, sag = SAG): Solid {
  const seen = (all: readonly Worked[]) =>
    all.filter((each) => each.shows).map((each) => stood(solidOf(each.shape, sag), each.place));
  return seen(cuts).reduce(less, seen(adds).reduce(together, solidOf(shape, sag)));
}
