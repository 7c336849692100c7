/** Closed outlines of lines and arcs, as a maker draws them on a face: mm. */
import { steady } from "../units/steady";

export type Spot = readonly [a: number, b: number];

/** A corner, and how far the edge to the next one bows out of its chord: 0 is straight, to the right of the way is positive. */
export interface Corner {
  at: Spot;
  rise: number;
}

/** Corners anticlockwise round what is kept. @example a circle of radius 5: [{ at: [5, 0], rise: 5 }, { at: [-5, 0], rise: 5 }] */
export type Loop = readonly Corner[];

/** A shape on a face: inside `outer`, outside every hole. Holes run anticlockwise too. */
export interface Outline {
  outer: Loop;
  holes: readonly Loop[];
}

export const straight = (spots: readonly Spot[]): Loop => spots.map((at) => ({ at, rise: 0 }));
/** A corner from which a straight edge goes on. */
export const straightAt = (a: number, b: number): Corner => ({ at: [a, b], rise: 0 });
export const rectangle = (length: number, width: number): Outline => ({
  outer: straight([
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ]),
  holes: [],
});
export const circle = ([a, b]: Spot, radius: number): Loop => [
  { at: [a + radius, b], rise: radius },
  { at: [a - radius, b], rise: radius },
];

/** Edges that bow less are straight, mm: no saw cuts the difference. */
const FLATTEST = 1e-6;

/** Area, mm², and its first moments about the axes, mm³; arcs by their closed form. @source circular segment: r²(θ − sin θ)/2 */
export function areaOf(outline: Outline): { area: number; moments: Spot } {
  const loops = [{ loop: outline.outer, sign: 1 }, ...outline.holes.map((loop) => ({ loop, sign: -1 }))];
  return loops.reduce(
    (sum, { loop, sign }) => {
      const { area, moments } = loopArea(loop);
      return {
        area: sum.area + sign * area,
        moments: [sum.moments[0] + sign * moments[0], sum.moments[1] + sign * moments[1]] as Spot,
      };
    },
    { area: 0, moments: [0, 0] as Spot },
  );
}

function loopArea(loop: Loop): { area: number; moments: Spot } {
  let [area, a, b] = [0, 0, 0];
  for (const [i, { at: p, rise }] of loop.entries()) {
    const q = loop[(i + 1) % loop.length].at;
    const twice = p[0] * q[1] - q[0] * p[1];
    area += twice / 2;
    a += (twice * (p[0] + q[0])) / 6;
    b += (twice * (p[1] + q[1])) / 6;
    if (Math.abs(rise) <= FLATTEST) continue;
    const { radius, half, centre, out } = arcOf(p, q, rise);
    const segment = ((radius * radius) / 2) * (2 * half - Math.sin(2 * half));
    // from the circle's centre out to the middle of the segment's weight
    const reach = (2 * radius ** 3 * Math.sin(half) ** 3) / (3 * segment);
    const signed = Math.sign(rise) * segment;
    area += signed;
    a += signed * (centre[0] + out[0] * reach);
    b += signed * (centre[1] + out[1] * reach);
  }
  return { area, moments: [a, b] };
}

/** The circle of an edge: its radius, half the angle it runs through, its centre, and the way from there to the arc's middle. */
function arcOf(p: Spot, q: Spot, rise: number): { radius: number; half: number; centre: Spot; out: Spot } {
  const chord = Math.hypot(q[0] - p[0], q[1] - p[1]);
  const high = Math.abs(rise);
  const radius = (chord * chord) / (8 * high) + high / 2;
  const half = 2 * Math.atan((2 * high) / chord);
  const right: Spot = [(q[1] - p[1]) / chord, -(q[0] - p[0]) / chord];
  const out: Spot = [right[0] * Math.sign(rise), right[1] * Math.sign(rise)];
  const back = high - radius;
  return {
    ...{ radius, half, out },
    centre: [(p[0] + q[0]) / 2 + out[0] * back, (p[1] + q[1]) / 2 + out[1] * back],
  };
}

/** From this radius on, mm, chords meet by so little that a drawing takes them for one round face. Ours: less than 22°. */
const ROUND = { from: 8, step: Math.PI / 9 };

/**
 * The loop as a polygon that leaves its arcs by no more than `sag`, mm, with its corners on the arcs.
 *
 * @param sag  how far a chord may lie from its arc
 */
export function polygonOf(loop: Loop, sag: number): Spot[] {
  return loop.flatMap(({ at: p, rise }, i): Spot[] => {
    const q = loop[(i + 1) % loop.length].at;
    // so flat an arc is its own chord
    if (Math.abs(rise) <= sag) return [p];
    const { radius, half, centre, out } = arcOf(p, q, rise);
    const coarse = 2 * Math.acos(Math.max(0, 1 - sag / radius));
    const step = radius >= ROUND.from ? Math.min(coarse, ROUND.step) : coarse;
    const pieces = Math.max(2, Math.ceil((2 * half) / step));
    const middle = Math.atan2(out[1], out[0]);
    // an arc to the right of the way is run through anticlockwise
    const turn = Math.sign(rise) * half;
    return Array.from({ length: pieces }, (_, k): Spot => {
      if (k === 0) return p;
      const angle = middle - turn + (2 * turn * k) / pieces;
      return [steady(centre[0] + radius * Math.cos(angle)), steady(centre[1] + radius * Math.sin(angle))];
    });
  });
}
