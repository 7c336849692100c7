/**
 * Legs on a circle under rails from one to the next: each leans straight out, and has two faces planed on its inner side, each square to the
 * rail that ends there. Level cuts are houses whose ridge looks at the middle. mm, x along the top, y up, z across it
 */
import { add, times, unit, Vec } from "../../../assembly/vector";
import type { SplayedFrameChoices } from "../../../piece/splayed-frame-choices";
import { steady, turnOf } from "../../../units/steady";
import type { Footprint } from "../../geometry";
import { USUAL } from "../../usual";
import { Facet, innerAt, LegBody, outerAt, planedLeg, Ring, SplayedLegs, Way } from "./legs";

const deg = (radians: number) => (radians * 180) / Math.PI;

/**
 * What legs on a circle are, and the two ways of a leg as each of its rails has them: the way it runs (`end`), and along the face it ends at (`side`).
 *
 * @param radius  from the middle to the rim where that is nearest
 * @source derived: n legs lean s; a rail runs sin(180°/n) outward and looks cos(180°/n) outward; its face is planed atan(cot(180°/n) cos s) off the inner one
 */
export function ringOf(
  { ring: { legs: count, turn, splay, setIn }, section, foot, rail, shape }: SplayedFrameChoices,
  radius: number,
  under: number,
): SplayedLegs & { ring: Ring } {
  const { sin, cos, tan } = turnOf(splay);
  const half = turnOf(180 / count);
  const small = Math.min(section, foot);
  const below = Math.max(0, under - rail.depth - USUAL.taperBelow);
  const round = shape === "round";
  const taperFrom = small < section && !round ? below : 0;
  const backed = steady(Math.atan((half.cos / half.sin) * cos));
  const tapers = taperFrom > 0;
  const lean: Way = {
    ...{ tan, sin, cos, degrees: splay, head: radius - setIn, level: section / cos, foot: small / cos },
    taper: tapers ? tan + (section - small) / cos / taperFrom : tan,
  };
  const ridge = lean.head - lean.level;
  const as = (share: number, wide: { level: number; foot: number }): Way => {
    const slope = lean.tan * share;
    const angle = steady(Math.atan(slope));
    return {
      ...{ tan: slope, degrees: deg(angle), ...wide, head: ridge * share + wide.level, taper: lean.taper * share },
      ...{ sin: steady(Math.sin(angle)), cos: steady(Math.cos(angle)) },
    };
  };
  const face = as(half.cos, { level: section / 2 / half.sin, foot: small / 2 / half.sin });
  const narrows = tapers ? (section - small) / 2 / taperFrom : 0;
  return {
    ring: {
      ...{ lean, sin: half.sin, cos: half.cos },
      spokes: spokesOf(count, turn),
    },
    ...{ under, section, taperFrom, across: { end: section, side: section } },
    end: as(half.sin, { level: lean.level, foot: lean.foot }),
    // lines along that face run aslant to it: what is measured level is measured off them
    side: {
      ...face,
      cos: steady(Math.sqrt(1 - (sin * half.cos) ** 2)),
      outTaper: face.taper - narrows / half.sin,
    },
    backed: deg(backed),
    // as thick as both planed faces leave it
    turned: round && below > 0 ? { below, wide: section * steady(Math.cos(backed)), foot: small } : null,
    ...{ resultant: splay, stretch: 1 / cos },
  };
}

/** Which way each leg stands from the middle: the first by the turn, the others evenly on. @param turn  degrees from the right-hand end toward the front */
export const spokesOf = (count: number, turn: number): Ring["spokes"] =>
  Array.from({ length: count }, (_, i) => {
    const way = turnOf(turn + (360 * i) / count);
    return { id: `L${i + 1}`, x: way.cos, z: way.sin };
  });

/** Which way the rails look that stand between each leg and the next, and which way they run. */
export const railsRound = ({ spokes, cos }: Ring) =>
  spokes.map((from, i) => {
    const to = spokes[(i + 1) % spokes.length];
    const out = [steady((from.x + to.x) / 2 / cos), steady((from.z + to.z) / 2 / cos)] as const;
    return { out, way: [-out[1] + 0, out[0]] as const, holders: [from.id, to.id] as const };
  });

/** Half of how wide a leg is at a height. */
const halfWide = (legs: SplayedLegs & { ring: Ring }, y: number) =>
  (outerAt(legs, legs.side, y) - innerAt(legs, legs.side, y)) * legs.ring.sin;

/** The corners of a level cut, out from the middle and aside: outer ones, where a planed face begins, the ridge, where the other does. */
export function headFrom(legs: SplayedLegs & { ring: Ring }, y: number): [out: number, aside: number][] {
  const { lean, sin, cos } = legs.ring;
  const [out, ridge, half] = [outerAt(legs, lean, y), innerAt(legs, lean, y), halfWide(legs, y)];
  const begins = ridge + (half * cos) / sin;
  return [
    [out, -half],
    [out, half],
    [begins, half],
    [ridge, 0],
    [begins, -half],
  ];
}

/** Level cuts of all legs at a height, by the boxes they fit in. */
export const ringStands = (legs: SplayedLegs & { ring: Ring }, y: number): Footprint[] =>
  legs.ring.spokes.map((spoke) => {
    const { lean } = legs.ring;
    if (legs.turned && y === 0) {
      const middle = outerAt(legs, lean, 0) - lean.level / 2;
      const [long, wide] = [lean.foot, legs.turned.foot];
      return {
        ...{ x: spoke.x * middle, z: spoke.z * middle },
        ...{ length: Math.hypot(spoke.x * long, spoke.z * wide), width: Math.hypot(spoke.z * long, spoke.x * wide) },
      };
    }
    const corners = headFrom(legs, y).map(([far, aside]) => ({
      x: spoke.x * far - spoke.z * aside,
      z: spoke.z * far + spoke.x * aside,
    }));
    const span = (axis: "x" | "z") => {
      const all = corners.map((corner) => corner[axis]);
      return { from: Math.min(...all), to: Math.max(...all) };
    };
    const [x, z] = [span("x"), span("z")];
    return { corners, x: (x.from + x.to) / 2, z: (z.from + z.to) / 2, length: x.to - x.from, width: z.to - z.from };
  });

/** A leg in its own frame: out of a square blank, its outer face square to the way it leans. */
export function ringLegBody(legs: SplayedLegs & { ring: Ring }, spoke: Ring["spokes"][number]): LegBody {
  const { lean, sin, cos } = legs.ring;
  const { under, taperFrom, section, end } = legs;
  const out: Vec = [spoke.x, 0, spoke.z];
  const aside: Vec = [-spoke.z, 0, spoke.x];
  const up: Vec = [0, 1, 0];
  const grain = unit(add(up, times(out, -lean.tan)));
  const face = unit(add(out, times(up, lean.tan)));
  const at = (far: number, side: number, y: number): Vec => add(add(times(out, far), times(aside, side)), [0, y, 0]);
  const outside = (y: number) => outerAt({ under, taperFrom: 0 }, lean, y);
  // the blank before its inner side is planed: a square over the whole length
  const cornersAt = (y: number) =>
    [outside(y), outside(y) - lean.level].flatMap((far) => [-1, 1].map((side) => at(far, (side * section) / 2, y)));
  /** toward the rail on one side: inward, and aside */
  const planed = (y: number, slope: number): Facet[] =>
    [-1, 1].map((side): Facet => [
      at(innerAt(legs, lean, y), 0, y),
      add(add(times(out, -sin), times(aside, side * cos)), times(up, -slope)),
    ]);
  const narrows = taperFrom > 0 ? (section / 2 - halfWide(legs, 0)) / taperFrom : 0;
  const sides = (slope: number): Facet[] =>
    [-1, 1].map((side): Facet => [at(0, (side * section) / 2, taperFrom), add(times(aside, side), times(up, -slope))]);
  return planedLeg({ grain, face, legs, cornersAt }, [
    [at(0, 0, 0), [0, -1, 0]],
    [at(0, 0, under), up],
    [at(lean.head, 0, under), face],
    ...sides(0),
    ...planed(under, end.tan),
    ...(taperFrom > 0 ? [...sides(narrows), ...planed(taperFrom, end.taper)] : []),
  ]);
}

/** From a place on a planed face, so far from its ridge, level into the leg and square to that face until it comes out behind, mm. */
export function behindFace(
  legs: SplayedLegs & { ring: Ring },
  fromRidge: { least: number; most: number },
  y: number,
): number {
  const { lean, sin, cos } = legs.ring;
  const deep = outerAt(legs, lean, y) - innerAt(legs, lean, y);
  return Math.min((deep - fromRidge.most * cos) / sin, (halfWide(legs, y) + fromRidge.least * sin) / cos);
}
