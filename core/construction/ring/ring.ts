/** A ring under a round top: as many boards as it has sides, mitred, glued, sawn round. mm; angles from the right end, anticlockwise from above */
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";

/** One ring and what its segments are sawn from. */
export interface Ring {
  count: number;
  /** half the angle of one segment, radians */
  half: number;
  /** outside, and inside at the mitres */
  radius: number;
  inner: number;
  /** how far the straight inside of a segment lies from the middle */
  near: number;
  /** of the board a segment is sawn from: from long point to long point, and how wide */
  long: number;
  wide: number;
  thickness: number;
  /** middles of the segments */
  angles: number[];
}

/** Whether a ring can lie under this top: one that is round, and one panel. */
export const isRound = ({ top, field, ends, parting, slabs: _slabs }: Form): boolean =>
  top.outline === "ellipse" &&
  Math.abs(top.length - top.width) < 1 &&
  (field === "solid" || field === "stripes") &&
  ends === "none" &&
  parting.kind === "none";

/**
 * The ring that is chosen; null where none is, or the top is not round.
 *
 * @source derived: boards R − (R − w) cos(180°/n) wide, 2 R tan(180°/n) from long point to long point
 */
export function ringOf(form: Form, { top }: Pick<PieceGeometry, "top">): Ring | null {
  if (form.stiffener !== "ring" || !isRound(form)) return null;
  const { segments, width, thickness, setIn } = form.ring;
  const count = Number(segments);
  const half = Math.PI / count;
  const radius = top.length / 2 - setIn;
  const inner = radius - width;
  if (inner <= width) return null;
  const near = inner * Math.cos(half);
  return {
    ...{ count, half, radius, inner, near, thickness },
    long: 2 * radius * Math.tan(half),
    wide: radius - near,
    angles: Array.from({ length: count }, (_, i) => 2 * i * half),
  };
}

/** A screw of the ring: its segment, where it stands from the middle of the top, whether it is tight. */
export interface RingScrew {
  segment: number;
  x: number;
  z: number;
  tight: boolean;
}

/**
 * One tight screw in the middle of both segments that lie over the line which stays, those at the ends of the grain; two in slots in every other.
 * All stand on the middle of the ring's width.
 */
export function ringScrews(ring: Ring): RingScrew[] {
  const along = (ring.radius + ring.inner) / 2;
  return ring.angles.flatMap((angle, segment): RingScrew[] => {
    const tight = Math.abs(Math.sin(angle)) < 1e-9;
    const places = tight ? [0] : [-ring.half / 2, ring.half / 2];
    return places.map((off) => ({
      ...{ segment, tight },
      x: along * Math.cos(angle + off),
      z: 0 - along * Math.sin(angle + off),
    }));
  });
}
