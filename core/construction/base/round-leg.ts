/** What makes a square stick round: a cone, or a cylinder, about its middle. mm */
import type { Plane } from "../../assembly/shape";
import { turnOf } from "../../units/steady";

/** A round is drawn by so many faces, each touching it. Ours: a drawing shows no edge between them. */
const FACES = 32;

interface Cone {
  /** along the stick from where it is thin to where it is thick, as half its own section */
  from: number;
  to: number;
  low: number;
  high: number;
}

/** Planes that touch it all round; the stick is twice `high` square. */
export function coneRound({ from, to, low, high }: Cone): Plane[] {
  const grows = (high - low) / (to - from);
  return Array.from({ length: FACES }, (_, i): Plane => {
    const { cos: c, sin: s } = turnOf((360 * i) / FACES);
    return { through: [from, high + low * c, high + low * s], waste: [-grows, c, s] };
  });
}
