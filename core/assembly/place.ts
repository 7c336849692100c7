import { add, cross, dot, minus, times, unit, Vec } from "./vector";

/**
 * Where a part stands: a rigid motion from its own frame (x along the grain, y across the face, z through it, from a corner) to the
 * piece's (x right, y up from the floor, z toward the viewer).
 */
export interface Place {
  /** where the part's corner comes to lie, mm */
  at: Vec;
  /** where its grain and its width point, at right angles and of length 1; its thickness points along x × y */
  x: Vec;
  y: Vec;
}

/** The part's own frame. */
export const HOME: Place = { at: [0, 0, 0], x: [1, 0, 0], y: [0, 1, 0] };

/**
 * A place from where the corner lies and where grain and width point, near enough: the width is made square to the grain.
 *
 * @throws RangeError when both point the same way
 */
export function placeOf(at: Vec, grain: Vec, width: Vec): Place {
  const x = unit(grain);
  const square = minus(width, times(x, dot(width, x)));
  if (dot(square, square) < 1e-18) throw new RangeError("A part's grain and its width can't point the same way.");
  return { at, x, y: unit(square) };
}

/** A direction of the part as the piece sees it. */
export const turned = ({ x, y }: Place, [a, b, c]: Vec): Vec => {
  const z = cross(x, y);
  return [x[0] * a + y[0] * b + z[0] * c, x[1] * a + y[1] * b + z[1] * c, x[2] * a + y[2] * b + z[2] * c];
};

/** A point of the part where it stands in the piece. */
export const toPiece = (place: Place, point: Vec): Vec => add(place.at, turned(place, point));

/** A point of the piece as the part measures it. */
export function toPart(place: Place, point: Vec): Vec {
  const from = minus(point, place.at);
  return [dot(from, place.x), dot(from, place.y), dot(from, cross(place.x, place.y))];
}

/** The place of something that stands at `inner` in a part that stands at `outer`. */
export const within = (outer: Place, inner: Place): Place => ({
  at: toPiece(outer, inner.at),
  x: turned(outer, inner.x),
  y: turned(outer, inner.y),
});

/** The other way round: something that stands at `place` in the piece, as a part that stands at `outer` has it. */
export const seenFrom = (outer: Place, place: Place): Place => {
  const direction = (way: Vec): Vec => toPart({ ...outer, at: [0, 0, 0] }, way);
  return { at: toPart(outer, place.at), x: direction(place.x), y: direction(place.y) };
};
