/**
 * What is left of two solids: together, one less the other, or what both fill. Each solid becomes a tree of planes that divide space,
 * and the facets of one are clipped by the tree of the other.
 *
 * @source Thibault and Naylor, Set operations on polyhedra using binary space partitioning trees, 1987, from memory
 */
import { boundsOf, Facet, inverted, Solid } from "./solid";
import { between, dot, Vec } from "./vector";

/** Nearer than this to a plane is on it, mm: far finer than any saw, far coarser than the arithmetic. Ours. */
const ON = 1e-6;

/** Which facets are kept: those in the room that is kept, and of those on the other's skin the ones that look its way, or against it. */
interface Kept {
  outside: boolean;
  alike: boolean;
  opposed: boolean;
}

export const together = (a: Solid, b: Solid): Solid => {
  if (a.length === 0 || b.length === 0 || apart(a, b)) return [...a, ...b];
  const kept: Facet[] = [];
  clip({ solid: b, of: a, kept: { outside: true, alike: true, opposed: false } }, kept);
  clip({ solid: a, of: b, kept: { outside: true, alike: false, opposed: false } }, kept);
  return kept;
};

/** What is left of `a` when `b` is cut out of it. */
export const less = (a: Solid, b: Solid): Solid => {
  if (a.length === 0 || b.length === 0 || apart(a, b)) return a;
  const kept: Facet[] = [];
  clip({ solid: b, of: a, kept: { outside: true, alike: false, opposed: true } }, kept);
  const cut: Facet[] = [];
  clip({ solid: a, of: b, kept: { outside: false, alike: false, opposed: false } }, cut);
  for (const each of inverted(cut)) kept.push(each);
  return kept;
};

/** What both fill. */
export const shared = (a: Solid, b: Solid): Solid => {
  if (a.length === 0 || b.length === 0 || apart(a, b)) return [];
  const kept: Facet[] = [];
  clip({ solid: b, of: a, kept: { outside: false, alike: true, opposed: false } }, kept);
  clip({ solid: a, of: b, kept: { outside: false, alike: false, opposed: false } }, kept);
  return kept;
};

interface Tree {
  n: Vec;
  w: number;
  front: Tree | null;
  back: Tree | null;
}

/** A tree of planes that divide space as a solid's facets do. */
function treeOf(facets: readonly Facet[]): Tree {
  const { n, w } = facets[0];
  const ahead: Facet[] = [];
  const behind: Facet[] = [];
  for (let i = 1; i < facets.length; i += 1) {
    const parts = split(facets[i], n, w);
    if (parts.ahead) ahead.push(parts.ahead);
    if (parts.behind) behind.push(parts.behind);
  }
  return {
    ...{ n, w },
    front: ahead.length > 0 ? treeOf(ahead) : null,
    back: behind.length > 0 ? treeOf(behind) : null,
  };
}

interface Clipping {
  solid: Solid;
  of: Solid;
  kept: Kept;
}

/** Puts the parts of facets that are kept against a solid into `into`; what lies beyond the solid’s box is outside whole. */
function clip({ solid, of, kept }: Clipping, into: Facet[]): void {
  const bounds = boundsOf(solid);
  let tree: Tree | null = null;
  for (const facet of of) {
    if (!beyond(facet, bounds)) clipOne((tree ??= treeOf(solid)), facet, kept, into);
    else if (kept.outside) into.push(facet);
  }
}

type Bounds = ReturnType<typeof boundsOf>;

/** Two solids whose boxes have nothing in common, not even a face. */
function apart(a: Solid, b: Solid): boolean {
  const [one, other] = [boundsOf(a), boundsOf(b)];
  return [0, 1, 2].some((axis) => one.most[axis] < other.least[axis] - ON || one.least[axis] > other.most[axis] + ON);
}

/** Whether a facet lies on one side of a box, and does not touch it. */
function beyond({ corners }: Facet, { least, most }: Bounds): boolean {
  for (let axis = 0; axis < 3; axis += 1) {
    let [below, above] = [true, true];
    for (const corner of corners) {
      if (corner[axis] >= least[axis] - ON) below = false;
      if (corner[axis] <= most[axis] + ON) above = false;
    }
    if (below || above) return true;
  }
  return false;
}

function clipOne(tree: Tree, facet: Facet, kept: Kept, into: Facet[]): void {
  const { ahead, behind } = split(facet, tree.n, tree.w);
  // outside is in front of a plane with nothing before it, inside behind one with nothing behind
  if (ahead) {
    if (tree.front) clipOne(tree.front, ahead, kept, into);
    else if (kept.outside) into.push(ahead);
  }
  if (behind) {
    if (tree.back) clipOne(tree.back, behind, kept, into);
    else if (!kept.outside) into.push(behind);
  }
  if (!ahead && !behind) onPlane(tree, facet, kept, into);
}

/** A facet in the plane of a node: it lies on the skin where one side of it is inside and the other outside. */
function onPlane(tree: Tree, facet: Facet, kept: Kept, into: Facet[]): void {
  for (const { part, outside: ahead } of sides(tree.front, facet, true))
    for (const { part: piece, outside: behind } of sides(tree.back, part, false)) {
      if (ahead === behind) {
        if (ahead === kept.outside) into.push(piece);
        continue;
      }
      // the skin looks ahead where the room before the plane is outside
      const alike = dot(facet.n, tree.n) > 0 === ahead;
      if (alike ? kept.alike : kept.opposed) into.push(piece);
    }
}

/** Pieces of a facet with whether the room on that side of it is outside. */
function sides(tree: Tree | null, facet: Facet, outside: boolean): { part: Facet; outside: boolean }[] {
  if (!tree) return [{ part: facet, outside }];
  const { ahead, behind } = split(facet, tree.n, tree.w);
  if (!ahead && !behind) return sides(tree.front, facet, true);
  return [...(ahead ? sides(tree.front, ahead, true) : []), ...(behind ? sides(tree.back, behind, false) : [])];
}

interface Parts {
  ahead: Facet | null;
  behind: Facet | null;
}

/** Of a facet in the plane itself. */
const ON_IT: Parts = { ahead: null, behind: null };

/** A facet's parts before and behind a plane; neither when it lies in the plane. */
function split(facet: Facet, n: Vec, w: number): Parts {
  const { corners } = facet;
  let [most, least] = [0, 0];
  for (const corner of corners) {
    const height = dot(n, corner) - w;
    if (height > most) most = height;
    if (height < least) least = height;
  }
  const [before, back] = [most >= ON, least <= -ON];
  if (!before && !back) return ON_IT;
  if (!back) return { ahead: facet, behind: null };
  if (!before) return { ahead: null, behind: facet };
  const heights = corners.map((corner) => {
    const height = dot(n, corner) - w;
    return Math.abs(height) < ON ? 0 : height;
  });
  const [ahead, behind]: [Vec[], Vec[]] = [[], []];
  for (let i = 0; i < corners.length; i += 1) {
    const j = (i + 1) % corners.length;
    if (heights[i] >= 0) ahead.push(corners[i]);
    if (heights[i] <= 0) behind.push(corners[i]);
    if (heights[i] * heights[j] < 0) {
      const meets = between(corners[i], corners[j], heights[i] / (heights[i] - heights[j]));
      ahead.push(meets);
      behind.push(meets);
    }
  }
  const part = (kept: Vec[]): Facet | null => (kept.length >= 3 ? { ...facet, corners: kept } : null);
  return { ahead: part(ahead), behind: part(behind) };
}
