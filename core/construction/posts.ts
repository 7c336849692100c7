/** Where what comes up to a top stands, as the front edge and the left end see it. mm */
import type { Footprint, PieceGeometry } from "./geometry";

/** How far from the top's front edge whatever comes up to it stands, from and to; null where nothing does. */
export function postBand({ posts, top }: Pick<PieceGeometry, "posts" | "top">): { from: number; to: number } | null {
  if (posts.length === 0) return null;
  const front = posts.reduce((a, b) => (b.z > a.z ? b : a));
  return { from: top.width / 2 - front.z - front.width / 2, to: top.width / 2 - front.z + front.width / 2 };
}

/** How far from the top's left end what stands below it reaches, so that writing can begin clear of it. */
export function standsTo({ posts, bearers, top }: Pick<PieceGeometry, "posts" | "bearers" | "top">): number {
  // a rail between legs ends short of them: where there are legs they reach farthest
  const ends = (
    posts.length > 0
      ? posts.map(({ x, length }) => ({ x, half: length / 2 }))
      : bearers.filter(({ run }) => run === "across").map(({ at, thickness }) => ({ x: at, half: thickness / 2 }))
  ).filter(({ x }) => x < 0);
  return ends.length === 0 ? 0 : Math.max(0, Math.min(...ends.map(({ x, half }) => top.length / 2 + x + half)));
}

/** Where legs stand under the panel that is composed, from its own edge, as the search for panels has it; far outside where none do. */
export function legBand(at: PieceGeometry): { overhang: number; leg: number } {
  const band = postBand(at);
  if (!band) return { overhang: -2 * at.core.width, leg: 0 };
  return { overhang: Math.max(0, band.from - (at.top.width - at.core.width) / 2), leg: band.to - band.from };
}

/** The corners of what stands there: its own, or its box's. */
export const cornersOf = ({ x, z, length, width, corners }: Footprint): readonly { x: number; z: number }[] =>
  corners ?? [-1, 1].flatMap((a) => [-1, 1].map((b) => ({ x: x + (a * length) / 2, z: z + (b * width) / 2 })));
