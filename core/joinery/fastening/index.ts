/** Every way to fasten a top. A new one is a file beside these, a line here and a name in `FASTENINGS` of the record. */
import { seenFrom } from "../../assembly/place";
import type { AssemblyPart } from "../../assembly/part";
import type { PieceGeometry } from "../../construction/geometry";
import type { Fastener } from "../../movement/buttons";
import type { JointChoices } from "../../piece/schema";
import { button } from "./button";
import { figure8 } from "./figure-8";
import { loose, oversized, screwed, slotted } from "./screws";
import type { FasteningWay } from "./way";
import { zClip } from "./z-clip";

export type FasteningKind = JointChoices["fastening"];

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

/** The same parts with what the fastening takes from what bears the top: grooves, slots and holes where its fasteners sit. */
export function fastened(
  parts: readonly AssemblyPart[],
  { bearers, under }: Pick<PieceGeometry, "bearers" | "under">,
  joints: JointChoices,
  fasteners: readonly Fastener[],
): AssemblyPart[] {
  if (fasteners.length === 0) return [...parts];
  const way = wayOf(joints);
  return parts.map((part) => {
    const bearer = bearers.find((each) => each.part === part.id);
    if (!bearer) return part;
    const along = fasteners
      .filter((each) => each.bearer === part.id)
      .map(({ x, z }) => (bearer.run === "along" ? x : z));
    const cuts = way
      .cuts(joints, { bearer, under, along })
      .map(({ shape, place }) => ({ by: "fastening", shape, place: seenFrom(part.place, place) }));
    return cuts.length === 0 ? part : { ...part, cuts: [...part.cuts, ...cuts] };
  });
}
