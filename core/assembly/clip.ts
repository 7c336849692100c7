/** Shapes cut square to their length: the stretch of an outline from one place along it to another. */
import { Outline, polygonOf, Spot, straight } from "./outline";
import { SAG, Shape } from "./shape";

/** Everything from one place along an outline to another, its left end moved to 0; arcs as chords. @source Sutherland and Hodgman 1974, for two lines */
export function between(outline: Outline, from: number, to: number): Outline {
  const kept = (spots: readonly Spot[], inside: (x: number) => number): Spot[] =>
    spots.flatMap((p, i): Spot[] => {
      const q = spots[(i + 1) % spots.length];
      const [a, b] = [inside(p[0]), inside(q[0])];
      const met = (): Spot => [p[0] + ((q[0] - p[0]) * a) / (a - b), p[1] + ((q[1] - p[1]) * a) / (a - b)];
      return [...(a >= 0 ? [p] : []), ...(a * b < 0 ? [met()] : [])];
    });
  const cut = (loop: Outline["outer"]) => {
    const right = kept(polygonOf(loop, SAG), (x) => x - from);
    return kept(right, (x) => to - x).map(([x, y]): Spot => [x - from, y]);
  };
  return {
    outer: straight(cut(outline.outer)),
    holes: outline.holes.map(cut).flatMap((spots) => (spots.length > 2 ? [straight(spots)] : [])),
  };
}

const turnedOver = ({ at: [x, y], rise }: Spotted): Spotted => ({ at: [y, x], rise: -rise });
type Spotted = Outline["outer"][number];

/** The stretch of a part from one place across it to another, its lower edge moved to 0. mm */
export function across(shape: Shape, from: number, to: number): Shape {
  // seen along instead of across, which turns every loop round
  const swapped = ({ outer, holes }: Outline): Outline => ({
    outer: outer.map(turnedOver),
    holes: holes.map((hole) => hole.map(turnedOver)),
  });
  return {
    ...shape,
    width: to - from,
    ...(shape.face ? { face: swapped(between(swapped(shape.face), from, to)) } : {}),
  };
}

/** The same of a part that has an outline seen from its face, or none. mm */
export const stretchOf = (shape: Shape, from: number, to: number): Shape => ({
  ...shape,
  length: to - from,
  ...(shape.face ? { face: between(shape.face, from, to) } : {}),
});
