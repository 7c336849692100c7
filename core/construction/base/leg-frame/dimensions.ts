import { dimension, Edit, Item } from "../../../drawing/scene";
import type { LegFrame } from "./place";

/** What may be typed of a leg frame seen from the front: its shadow gap at the left of what it carries, its rails at the right. */
export function legFrameDimensions(legs: LegFrame, left: number, edit: (name: string, key: string) => Edit): Item[] {
  const { height, gap, rail, across } = legs;
  return [
    dimension([left, height + gap], [left, height], { offset: -22, value: gap, edit: edit("Shadow gap", "gap") }),
    dimension([across.to, height], [across.to, height - rail.depth], {
      offset: 22,
      value: rail.depth,
      edit: edit("Depth of the frame's rails", "depth"),
    }),
  ];
}
