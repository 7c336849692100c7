import { dimension, Edit, Item } from "../../../drawing/scene";
import type { LegFrame } from "./place";

/** What may be typed of a leg frame seen from the front: its shadow gap at the left of what it carries, its rails at the right. */
export function legFrameDimensions(legs: LegFrame, left: number, edit: (name: string, key: string) => Edit): Item[] {
  const { height, gap, rail, across } = legs;
  return [
    dimension([left, height + gap], [left, height], -22, gap, edit("Shadow gap", "gap")),
    dimension(
      [across.to, height],
      [across.to, height - rail.depth],
      22,
      rail.depth,
      edit("Depth of the frame's rails", "depth"),
    ),
  ];
}
