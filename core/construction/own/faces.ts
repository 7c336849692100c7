/** The face two parts have in common, as a joint is laid on it. */
import { piecesOf } from "../../assembly/clashes";
import { settled } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import type { Place } from "../../assembly/place";
import { solidOf } from "../../assembly/shape";
import { stood } from "../../assembly/solid";
import { inCommon } from "../../assembly/touching";
import { add, cross, dot, times, unit, Vec } from "../../assembly/vector";
import { ROUGH } from "../../assembly/weight";

/** Where a part stands against another: x into the other, y along what they share. mm */
export interface SharedFace {
  face: Place;
  section: { width: number; thickness: number };
  /** how deep each is behind the face, and how thick the other is across it */
  own: number;
  other: number;
  across: number;
  /** whether the part's end grain lies on it, and the other's */
  end: boolean;
  otherEnd: boolean;
  /** how much of the rectangle round it really touches, 0 to 1 */
  full: number;
  /** the way the other swells across its grain, and how far from where it is held still, mm */
  slides: "along" | "across";
  reach: number;
}

/** Planes nearer than this are one, mm; smaller in common than this is an edge, mm². Ours, as of faces that touch. */
const TOUCH = 0.05;
const LEAST = 150;
/** A face is square to a way within this cosine. Ours: a quarter of a degree. */
const SQUARE = 0.99999;

/** Sizes to a millionth of a mm: no saw knows more, and engines agree. */
const fine = (size: number) => Math.round(size * 1e6) / 1e6;

interface Common {
  n: Vec;
  w: number;
  corners: readonly Vec[];
  area: number;
}

/** The largest face two parts have in common; null where they touch nowhere. */
export function sharedFace(part: AssemblyPart, other: AssemblyPart): SharedFace | null {
  const others = facetsOf(other);
  // a face stands as several facets of one plane: what they share is one
  const planes: Common[] = [];
  for (const { n, w, ...mine } of facetsOf(part))
    for (const theirs of others) {
      if (dot(n, theirs.n) > -0.9999 || Math.abs(w + theirs.w) > TOUCH) continue;
      const { corners, area } = inCommon({ n, w, ...mine }, theirs);
      const known = planes.find((each) => dot(each.n, n) > 0.9999 && Math.abs(each.w - w) < TOUCH);
      if (known) Object.assign(known, { corners: [...known.corners, ...corners], area: known.area + area });
      else planes.push({ n, w, corners, area });
    }
  const best = planes.reduce<Common | null>((a, b) => (b.area > Math.max(LEAST, a?.area ?? 0) ? b : a), null);
  return best && laidOn(best, part, other);
}

const facetsOf = (part: AssemblyPart) =>
  piecesOf(part).wood.flatMap(({ shape, place }) => stood(solidOf(shape, ROUGH), place));

function laidOn({ n, corners, area }: Common, part: AssemblyPart, other: AssemblyPart): SharedFace {
  // along the part's own grain, or its width where that stands on the face
  const inFace = ({ x, y }: Place): Vec => {
    const way = Math.abs(dot(x, n)) < Math.abs(dot(y, n)) ? x : y;
    return unit(add(way, times(n, -dot(way, n))));
  };
  const first = inFace(part.place);
  const span = (way: Vec) => {
    const values = corners.map((corner) => dot(corner, way));
    return { from: Math.min(...values), size: Math.max(...values) - Math.min(...values) };
  };
  // the longer side of what they share is the joint's width
  const longer = span(first).size >= span(cross(n, first)).size ? first : cross(n, first);
  const [y, z] = [longer, cross(n, longer)];
  const [along, across] = [span(y), span(z)];
  const at = add(add(times(n, dot(corners[0], n)), times(y, along.from)), times(z, across.from));
  const depth = (of: AssemblyPart, way: Vec) => {
    const { x, y: wide } = of.place;
    const third = cross(x, wide);
    const share = [
      [x, of.shape.length],
      [wide, of.shape.width],
      [third, of.shape.thickness],
    ] as const;
    return share.reduce((sum, [axis, size]) => sum + Math.abs(dot(axis, way)) * size, 0);
  };
  return {
    face: settled({ at, x: n, y }),
    section: { width: fine(along.size), thickness: fine(across.size) },
    ...{ own: fine(depth(part, n)), other: fine(depth(other, n)), across: fine(depth(other, z)) },
    end: Math.abs(dot(part.place.x, n)) > SQUARE,
    otherEnd: Math.abs(dot(other.place.x, n)) > SQUARE,
    full: area / (along.size * across.size),
    ...slidesOn(other, { y, z, middle: add(add(at, times(y, along.size / 2)), times(z, across.size / 2)) }),
  };
}

/** Square to the other's grain: a level way is reckoned from the piece's middle, up and down from the middle of the other. */
function slidesOn(
  other: AssemblyPart,
  { y, z, middle }: Record<"y" | "z" | "middle", Vec>,
): Pick<SharedFace, "slides" | "reach"> {
  const grain = other.place.x;
  const slides = Math.abs(dot(grain, y)) > Math.abs(dot(grain, z)) ? "across" : "along";
  const way = slides === "along" ? y : z;
  const level = Math.abs(way[1]) < Math.SQRT1_2;
  return { slides, reach: fine(level ? Math.abs(dot(middle, way)) : other.shape.width / 2) };
}
