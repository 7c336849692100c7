/** Where two parts stand face to face with nothing between them that holds: no joint, no screw, no weight that rests on the other. */
import { piecesOf } from "./clashes";
import type { Meeting } from "./meeting";
import { AssemblyPart, standing } from "./part";
import type { Piece } from "./pieces";
import { solidOf } from "./shape";
import { Facet, stood } from "./solid";
import { cross, dot, minus, unit, Vec } from "./vector";
import { ROUGH } from "./weight";

/** Two parts and how much of their faces lies against each other, mm². */
export interface Touch {
  parts: [string, string];
  area: number;
}

/** Faces nearer than this touch, mm; less of them in common than this is an edge, mm². Ours: a fine saw's set, a thumbnail. */
const TOUCH = 0.05;
const LEAST = 150;
/** A face that looks up or down by more than this bears: weight holds what lies on it. Ours: under 45°. */
const BEARS = Math.SQRT1_2;

/** What holds parts together: joints, links of the top's own parts. */
export interface Ties {
  meetings: readonly Pick<Meeting, "enters" | "receives" | "also" | "joint">[];
  links: readonly { a: string; b: string }[];
}

/** @example touching(plan.assembly.parts, { meetings: plan.meetings, links: [] }) // [] when all that touch are joined */
export function touching(parts: readonly AssemblyPart[], ties: Ties): Touch[] {
  const all = standing(parts).map((part) => ({ part, pieces: piecesOf(part) }));
  const tied = tiesOf(ties);
  return all.flatMap((a, i) =>
    all.slice(i + 1).flatMap((b): Touch[] => {
      if (!near(a.pieces, b.pieces) || tied(a.part, b.part)) return [];
      let area = 0;
      for (const one of a.pieces.wood) for (const other of b.pieces.wood) area += faceToFace(one, other);
      return area > LEAST ? [{ parts: [a.part.id, b.part.id], area }] : [];
    }),
  );
}

/** Whether a joint or a link holds two parts, or one is let into the other: a groove and its tongue have a name of their own, a shelf's room the shelf's. */
function tiesOf({ meetings, links }: Ties): (a: AssemblyPart, b: AssemblyPart) => boolean {
  const held = new Set<string>();
  const tie = (a: string, b: string) => held.add(`${a} ${b}`).add(`${b} ${a}`);
  for (const { enters, receives, also } of meetings) {
    tie(enters, receives);
    if (also !== undefined) tie(enters, also).add(`${receives} ${also}`).add(`${also} ${receives}`);
  }
  for (const { a, b } of links) tie(a, b);
  const joints = new Set(meetings.map(({ joint }) => joint.group).concat("edge"));
  const worked = ({ adds, cuts }: AssemblyPart) =>
    [...adds, ...cuts].map(({ by }) => by).filter((by) => !joints.has(by));
  return (a, b) => {
    if (held.has(`${a.id} ${b.id}`)) return true;
    const [mine, theirs] = [worked(a), worked(b)];
    return mine.some((by) => by === b.kind || theirs.includes(by)) || theirs.includes(a.kind);
  };
}

type Box = Pick<Piece, "least" | "most">;
const near = (a: Box, b: Box) =>
  [0, 1, 2].every((i) => a.least[i] < b.most[i] + TOUCH && b.least[i] < a.most[i] + TOUCH);

function faceToFace(one: Piece, other: Piece): number {
  if (!near(one, other)) return 0;
  const facets = ({ shape, place }: Piece) =>
    stood(solidOf(shape, ROUGH), place).filter(({ n }) => Math.abs(n[1]) < BEARS);
  const theirs = facets(other);
  let area = 0;
  for (const mine of facets(one))
    for (const each of theirs)
      if (dot(mine.n, each.n) < -0.9999 && Math.abs(mine.w + each.w) < TOUCH) area += inCommon(mine, each).area;
  return area;
}

/** What two facets of one plane have in common: its corners, and its area, mm². @source Sutherland and Hodgman 1974: a polygon clipped by each edge of a convex one */
export function inCommon({ corners, n }: Facet, by: Facet): { corners: readonly Vec[]; area: number } {
  let left: readonly Vec[] = corners;
  for (const [i, from] of by.corners.entries()) {
    const inward = unit(cross(by.n, minus(by.corners[(i + 1) % by.corners.length], from)));
    const inside = (p: Vec) => dot(minus(p, from), inward);
    left = left.flatMap((p, j): Vec[] => {
      const q = left[(j + 1) % left.length];
      const [a, b] = [inside(p), inside(q)];
      const meets = (): Vec => [0, 1, 2].map((k) => p[k] + ((q[k] - p[k]) * a) / (a - b)) as unknown as Vec;
      return [...(a >= 0 ? [p] : []), ...(a * b < 0 ? [meets()] : [])];
    });
    if (left.length < 3) return { corners: [], area: 0 };
  }
  const area = left.reduce(
    (sum, p, i) => sum + dot(cross(minus(p, left[0]), minus(left[(i + 1) % left.length], left[0])), n) / 2,
    0,
  );
  return { corners: left, area };
}
