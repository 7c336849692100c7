/** Points and directions in space, mm. */
export type Vec = readonly [x: number, y: number, z: number];

/** The ways a piece's frame points: x right, y up from the floor, z toward the viewer. */
export const RIGHT: Vec = [1, 0, 0];
export const LEFT: Vec = [-1, 0, 0];
export const UP: Vec = [0, 1, 0];
export const DOWN: Vec = [0, -1, 0];
export const FRONT: Vec = [0, 0, 1];
export const BACK: Vec = [0, 0, -1];

export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const long = (a: Vec): number => Math.hypot(a[0], a[1], a[2]);
/** A direction of length 1; the zero vector stays what it is. */
export const unit = (a: Vec): Vec => {
  const length = long(a);
  return length === 0 ? a : times(a, 1 / length);
};
/** The point `share` of the way from `a` to `b`. */
export const between = (a: Vec, b: Vec, share: number): Vec => add(a, times(minus(b, a), share));
