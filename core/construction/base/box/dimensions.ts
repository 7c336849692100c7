import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { legFrameDimensions } from "../leg-frame/dimensions";
import type { Box } from "./place";

/** What may be typed on the views of a box: how high it is, what it stands on, what stands over. */
export function boxDimensions(form: Form, at: Box): { plan: Item[]; front: Item[]; side: Item[] } {
  const { outside, high, under, top, legs } = at;
  const edit = (name: string, ...path: string[]) => formEdit(name, "box", ...path);
  const { from: left, to: right } = outside.x;
  return {
    plan: [],
    front: [
      dimension([left, 0], [right, 0], -16, right - left),
      dimension(
        [left, high.to],
        [left, high.from],
        -22,
        high.to - high.from,
        legs ? edit("Height of the box", "high") : undefined,
      ),
      ...(legs
        ? [
            dimension([left, legs.height], [left, 0], -22, legs.height),
            ...legFrameDimensions(legs, left, (name, key) => edit(name, "frame", key)),
          ]
        : []),
      dimension(
        [-top.length / 2, under],
        [left, under],
        -34,
        form.overhang.end,
        formEdit("End overhang", "overhang", "end"),
      ),
    ],
    side: [
      dimension([-outside.z.to, 0], [-outside.z.from, 0], -18, outside.z.to - outside.z.from),
      dimension(
        [-top.width / 2, under / 2],
        [-outside.z.to, under / 2],
        0,
        form.overhang.side,
        formEdit("Overhang at the front", "overhang", "side"),
      ),
    ],
  };
}
