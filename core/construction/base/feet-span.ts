/** From outside to outside of what stands on the floor, drawn where it stands: an odd number of feet reaches farther to one side. */
import { dimension, Item } from "../../drawing/scene";
import type { Footprint } from "../geometry";

/** Below each view: along the table from above and from the front, across it from the end, where the front lies to the left. mm */
export function feetSpans(feet: readonly Footprint[]): { plan: Item; front: Item; side: Item } {
  const span = (axis: "x" | "z", size: "length" | "width") => ({
    from: Math.min(...feet.map((foot) => foot[axis] - foot[size] / 2)),
    to: Math.max(...feet.map((foot) => foot[axis] + foot[size] / 2)),
  });
  const [x, z] = [span("x", "length"), span("z", "width")];
  const [long, wide] = [x.to - x.from, z.to - z.from];
  return {
    plan: dimension([x.from, -z.to], [x.to, -z.to], { offset: -30, value: long }),
    front: dimension([x.from, 0], [x.to, 0], { offset: -18, value: long }),
    side: dimension([-z.to, 0], [-z.from, 0], { offset: -18, value: wide }),
  };
}
