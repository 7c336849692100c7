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
      dimension([left, 0], [right, 0], { offset: -16, value: right - left }),
      dimension([left, high.to], [left, high.from], {
        offset: -22,
        value: high.to - high.from,
        edit: legs ? edit("Height of the box", "high") : undefined,
      }),
      ...(legs
        ? [
            dimension([left, legs.height], [left, 0], { offset: -22, value: legs.height }),
            ...legFrameDimensions(legs, left, (name, key) => edit(name, "frame", key)),
          ]
        : []),
      dimension([-top.length / 2, under], [left, under], {
        offset: -34,
        value: form.overhang.end,
        edit: formEdit("End overhang", "overhang", "end"),
      }),
    ],
    side: [
      dimension([-outside.z.to, 0], [-outside.z.from, 0], { offset: -18, value: outside.z.to - outside.z.from }),
      dimension([-top.width / 2, under / 2], [-outside.z.to, under / 2], {
        offset: 0,
        value: form.overhang.side,
        edit: formEdit("Overhang at the front", "overhang", "side"),
      }),
    ],
  };
}
