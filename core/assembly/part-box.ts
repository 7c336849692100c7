import { Place, seenFrom, toPiece } from "./place";
import type { Shape } from "./shape";

export type Span = [from: number, to: number];

/** The box a body fills in the frame of a part. */
export function boxIn(frame: Place, { shape, place }: { shape: Shape; place: Place }): [Span, Span, Span] {
  const seen = seenFrom(frame, place);
  const corners = [0, shape.length].flatMap((a) =>
    [0, shape.width].flatMap((b) => [0, shape.thickness].map((c) => toPiece(seen, [a, b, c]))),
  );
  const span = (i: 0 | 1 | 2): Span => {
    const values = corners.map((corner) => corner[i]);
    return [Math.min(...values), Math.max(...values)];
  };
  return [span(0), span(1), span(2)];
}
