/** What makes a square stick round: a cone, or a cylinder, about its middle. mm */
import type { Plane } from "../../assembly/shape";
import { turnOf } from "../../units/steady";
import { mm } from "../../verdict/verdict";
import { USUAL } from "../usual";

/** A round is drawn by so many faces, each touching it. Ours: a drawing shows no edge between them. */
const FACES = 32;

interface Cone {
  /** along the stick from where it is thin to where it is thick, as half its own section */
  from: number;
  to: number;
  low: number;
  high: number;
  /** of its axis from two sides of the stick; `high` where the round is as thick as that */
  middle?: number;
}

/** Planes that touch it all round; the stick is square. */
export function coneRound({ from, to, low, high, middle = high }: Cone): Plane[] {
  const grows = (high - low) / (to - from);
  return Array.from({ length: FACES }, (_, i): Plane => {
    const { cos: c, sin: s } = turnOf((360 * i) / FACES);
    return { through: [from, middle + low * c, middle + low * s], waste: [-grows, c, s] };
  });
}

/** How legs that are square at their joints are turned below them. `wide` at the shoulder, `foot` at the floor, mm */
export const turningSaid = ({ wide, foot, all }: { wide: number; foot: number; all: string }) => ({
  title: "Turn the legs below the rails",
  detail: `Centres on both ends, the mortises filled with offcuts. A knife line all round ${USUAL.taperBelow} mm below the rails’ lower edge, then the shoulder with the skew’s long point, down to ${mm(wide)}; from there straight to ${mm(foot)} at the foot, by calipers every 100 mm. One leg first; the others beside it.`,
  check: `A straightedge along each touches from shoulder to foot; ${all} alike by eye, side by side.`,
  caution: "Square corners that turn can’t be seen: the rest clear of them, turned round by hand first; a face shield.",
});
