/**
 * What is left of two solids: together, one less the other, or what both fill. Each solid becomes a tree of planes that divide space,
 * and the facets of one are clipped by the tree of the other.
 *
 * @source Thibault and Naylor, Set operations on polyhedra using binary space partitioning trees, 1987, from memory
 */
import { Facet, inverted, Solid } from "./solid";
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
  if (a.length === 0 || b.length === 0) return [...a, ...b];
  return [
    ...clip(treeOf(b), a, { outside: true, alike: true, opposed: false }),
    ...clip(treeOf(a), b, { outside: true, alike: false, opposed: false }),
  ];
};

/** What is left of `a` when `b` is cut out of it. */
export const less = (a: Solid, b: Solid): Solid => {
  if (a.length === 0 || b.length === 0) return a;
  return [
    ...clip(treeOf(b), a, { outside: true, alike: false, opposed: true }),
    ...inverted(clip(treeOf(a), b, { outside: false, alike: false, opposed: false })),
  ];
};

/** What both fill. */
export const shared = (a: Solid, b: Solid): Solid => {
  if (a.length === 0 || b.length === 0) return [];
  return [
    ...clip(treeOf(b), a, { outside: false, alike: true, opposed: false }),
    ...clip(treeOf(a), b, { outside: false, alike: false, opposed: false }),
  ];
};

interface Tree {
  n: Vec;
  w: number;
  front: Tree | null;
  back: Tree | null;
}

function treeOf(solid: Solid): Tree {
  const [first, ...rest] = solid;
  return grow(first, rest);
}

function grow({ n, w }: Facet, rest: readonly Facet[]): Tree {
  const ahead: Facet[] = [];
  const behind: Facet[] = [];
  for (const each of rest) {
    const parts = split(each, n, w);
    ahead.push(...parts.ahead);
    behind.push(...parts.behind);
  }
  return {
    ...{ n, w },
    front: ahead.length > 0 ? grow(ahead[0], ahead.slice(1)) : null,
    back: behind.length > 0 ? grow(behind[0], behind.slice(1)) : null,
  };
}

/** The parts of facets that are kept against a solid. */
const clip = (tree: Tree, facets: Solid, kept: Kept): Facet[] => facets.flatMap((each) => clipOne(tree, each, kept));

function clipOne(tree: Tree, facet: Facet, kept: Kept): Facet[] {
  const { ahead, behind, on } = split(facet, tree.n, tree.w);
  // outside is in front of a plane with nothing before it, inside behind one with nothing behind
  const left = (parts: Facet[], next: Tree | null, outside: boolean) =>
    next ? parts.flatMap((part) => clipOne(next, part, kept)) : outside === kept.outside ? parts : [];
  return [
    ...left(ahead, tree.front, true),
    ...left(behind, tree.back, false),
    ...on.flatMap((part) => onPlane(tree, part, kept)),
  ];
}

/** A facet in the plane of a node: it lies on the skin where one side of it is inside and the other outside. */
function onPlane(tree: Tree, facet: Facet, kept: Kept): Facet[] {
  return sides(tree.front, facet, true).flatMap(({ part, outside: ahead }) =>
    sides(tree.back, part, false).flatMap(({ part: piece, outside: behind }) => {
      if (ahead === behind) return ahead === kept.outside ? [piece] : [];
      // the skin looks ahead where the room before the plane is outside
      const alike = dot(facet.n, tree.n) > 0 === ahead;
      return (alike ? kept.alike : kept.opposed) ? [piece] : [];
    }),
  );
}

/** Pieces of a facet with whether the room on that side of it is outside. */
function sides(tree: Tree | null, facet: Facet, outside: boolean): { part: Facet; outside: boolean }[] {
  if (!tree) return [{ part: facet, outside }];
  const { ahead, behind, on } = split(facet, tree.n, tree.w);
  return [
    ...ahead.flatMap((part) => sides(tree.front, part, true)),
    ...behind.flatMap((part) => sides(tree.back, part, false)),
    ...on.flatMap((part) => sides(tree.front, part, true)),
  ];
}

/** A facet's parts before and behind a plane, or the whole of it when it lies in the plane. */
function split(facet: Facet, n: Vec, w: number): { ahead: Facet[]; behind: Facet[]; on: Facet[] } {
  const { corners } = facet;
  const heights = corners.map((corner) => {
    const height = dot(n, corner) - w;
    return Math.abs(height) < ON ? 0 : height;
  });
  const some = { ahead: heights.some((each) => each > 0), behind: heights.some((each) => each < 0) };
  if (!some.ahead && !some.behind) return { ahead: [], behind: [], on: [facet] };
  if (!some.behind) return { ahead: [facet], behind: [], on: [] };
  if (!some.ahead) return { ahead: [], behind: [facet], on: [] };
  const [ahead, behind]: [Vec[], Vec[]] = [[], []];
  for (const [i, corner] of corners.entries()) {
    const j = (i + 1) % corners.length;
    if (heights[i] >= 0) ahead.push(corner);
    if (heights[i] <= 0) behind.push(corner);
    if (heights[i] * heights[j] < 0) {
      const meets = between(corner, corners[j], heights[i] / (heights[i] - heights[j]));
      ahead.push(meets);
      behind.push(meets);
    }
  }
  const part = (kept: Vec[]): Facet[] => (kept.length >= 3 ? [{ ...facet, corners: kept }] : []);
  return { ahead: part(ahead), behind: part(behind), on: [] };
}
