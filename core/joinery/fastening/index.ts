/** Every way to fasten a top. A new one is a file beside these, a line here and a name in `FASTENINGS` of the record. */
import { Piece, piece } from "../../assembly/pieces";
import { seenFrom, within } from "../../assembly/place";
import type { AssemblyPart } from "../../assembly/part";
import { alongBearer, Bearer, PieceGeometry } from "../../construction/geometry";
import type { Fastener } from "../../movement/buttons";
import type { FixedScrew } from "../../movement/fixed";
import type { JointChoices } from "../../piece/schema";
import { button } from "./button";
import { figure8 } from "./figure-8";
import { COUNTERBORED, loose, oversized, screwed, slotted } from "./screws";
import { CutBody, FasteningWay, holeIn } from "./way";
import { zClip } from "./z-clip";

export type FasteningKind = JointChoices["fastening"];

/** A screw that is driven tight goes through a hole of its own size, mm. @source common practice */
const FIXED = { diameter: 5, head: 12 };

export const WAYS: Record<FasteningKind, FasteningWay> = {
  button,
  "figure-8": figure8,
  "z-clip": zClip,
  slotted,
  oversized,
  loose,
  screwed,
};

/** The chosen way. */
export const wayOf = ({ fastening }: Pick<JointChoices, "fastening">): FasteningWay => WAYS[fastening];

/** A bearer with the joints in it that what is cut for the top would run into: it stops before them. */
function enteredBy(part: AssemblyPart, bearer: Bearer, forTop: readonly CutBody[]): Bearer {
  const boxes = forTop.map(({ shape, place }) => piece(shape, place));
  const met = part.cuts
    .map(({ shape, place }) => piece(shape, within(part.place, place)))
    .filter((joint) => boxes.some((box) => [0, 1, 2].every((i) => overlap(box, joint, i))));
  if (met.length === 0) return bearer;
  const entered = met.map(({ least, most }) => {
    const ends = [least, most].flatMap(([x]) => [least, most].map(([, , z]) => alongBearer(bearer, { x, z })));
    const [from, to] = [Math.min(...ends), Math.max(...ends)];
    return { at: (from + to) / 2, width: to - from };
  });
  return { ...bearer, entered: [...(bearer.entered ?? []), ...entered] };
}

const overlap = (a: Piece, b: Piece, i: number) => a.least[i] < b.most[i] - 1e-6 && b.least[i] < a.most[i] - 1e-6;

/** Of several rows in one board, the one a fastener sits in. */
const nearestRow = (rows: readonly Bearer[], at: { x: number; z: number }): Bearer =>
  rows.length === 1
    ? rows[0]
    : rows.reduce((a, b) => {
        const off = ({ run, at: line }: Bearer) => Math.abs((run === "along" ? at.z : at.x) - line);
        return off(b) < off(a) ? b : a;
      });

/** The same parts with what the fastening takes from what bears the top: grooves, slots and holes where its fasteners sit. */
export function fastened(
  parts: readonly AssemblyPart[],
  { bearers, under }: Pick<PieceGeometry, "bearers" | "under">,
  joints: JointChoices,
  { fasteners, fixed }: { fasteners: readonly Fastener[]; fixed: readonly FixedScrew[] },
): AssemblyPart[] {
  if (fasteners.length + fixed.length === 0) return [...parts];
  const way = wayOf(joints);
  return parts.map((part) => {
    const rows = bearers.filter((each) => each.part === part.id);
    // the holes of what is bought are its own
    if (rows.length === 0 || part.bought) return part;
    const taken = (by: string, bodies: readonly CutBody[]) =>
      bodies.map((body) => ({ by, shape: body.shape, place: seenFrom(part.place, body.place) }));
    const cuts = rows.flatMap((bearer) => {
      const mine = <F extends { bearer: string; x: number; z: number }>(all: readonly F[]) =>
        all.filter((each) => each.bearer === part.id && nearestRow(rows, each) === bearer);
      const along = mine(fasteners).map((each) => alongBearer(bearer, each));
      const place = { bearer: enteredBy(part, bearer, way.cuts(joints, { bearer, under, along })), under, along };
      const held = mine(fixed).flatMap((screw) => {
        const along = alongBearer(bearer, screw);
        // no screw is as long as a rail is deep
        const head = Math.min(bearer.depth, COUNTERBORED);
        const through = holeIn(place, { along, diameter: FIXED.diameter, from: head, to: 0 });
        return bearer.depth > head
          ? [through, holeIn(place, { along, diameter: FIXED.head, from: bearer.depth, to: head })]
          : [through];
      });
      return [...taken("fastening", along.length > 0 ? way.cuts(joints, place) : []), ...taken("fixed screw", held)];
    });
    return cuts.length === 0 ? part : { ...part, cuts: [...part.cuts, ...cuts] };
  });
}
