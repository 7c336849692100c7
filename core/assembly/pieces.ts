/** What parts are made of and what is cut from them, piece by piece, and how one lies to another: so that an answer found once serves again. */
import { Place, seenFrom, toPiece } from "./place";
import type { Shape } from "./shape";
import type { Vec } from "./vector";

/** A piece of wood, or of what is cut away: the box it fits in, wherever it stands. */
export interface Piece {
  shape: Shape;
  place: Place;
  least: Vec;
  most: Vec;
  /** fills that box */
  box: boolean;
}
export const piece = (shape: Shape, place: Place): Piece => {
  const ends = [toPiece(place, [0, 0, 0]), toPiece(place, [shape.length, shape.width, shape.thickness])];
  const square = isSquare(place.x) && isSquare(place.y);
  const corners = square
    ? ends
    : CORNERS.map(([x, y, z]) => toPiece(place, [x * shape.length, y * shape.width, z * shape.thickness]));
  const pick = (of: (...values: number[]) => number) =>
    [0, 1, 2].map((i) => of(...corners.map((corner) => corner[i]))) as unknown as Vec;
  return { shape, place, least: pick(Math.min), most: pick(Math.max), box: square && isBox(shape) };
};
const CORNERS = [0, 1].flatMap((x) => [0, 1].flatMap((y) => [0, 1].map((z) => [x, y, z] as const)));

export const isBox = ({ face, edge, end, planes }: Shape) => !face && !edge && !end && !planes?.length;
export const isSquare = (way: Vec) => way.filter((each) => Math.abs(each) < 1e-9).length === 2;

/** A shape in letters: a box by its three sizes. */
export const told = (shape: Shape) =>
  isBox(shape) ? `${shape.length},${shape.width},${shape.thickness}` : JSON.stringify(shape);

/** How one piece lies to another, to a millionth of a mm. */
export function lies(to: Piece, { shape, place }: Piece): string {
  const { at, x, y } = seenFrom(to.place, place);
  let text = told(shape);
  for (const way of [at, x, y]) for (const each of way) text += ` ${Math.round(each * 1e6)}`;
  return text;
}
