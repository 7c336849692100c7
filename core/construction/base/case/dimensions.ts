import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { legFrameDimensions } from "../leg-frame/dimensions";
import type { Case } from "./case";

/** What may be typed on the views of a case: bays from the front, depth from the end. Heights of openings stand on their own drawing. */
export function caseDimensions(form: Form, at: Case): { plan: Item[]; front: Item[]; side: Item[] } {
  const { bays, under, outside, deep, lift, top, legs, corners } = at;
  const edit = (name: string, ...path: (string | number)[]) => formEdit(name, "case", ...path.map(String));
  return {
    plan: [],
    front: [
      ...bays.map(({ from, to }, i) =>
        dimension([from, 0], [to, 0], {
          offset: -16,
          value: to - from,
          edit: edit(`Width of bay ${i + 1}`, "bays", i, "width"),
        }),
      ),
      ...(legs ? legFrameDimensions(legs, outside.from, (name, key) => edit(name, "frame", key)) : []),
      ...(lift > 0
        ? [
            dimension([outside.from, lift], [outside.from, 0], {
              offset: legs ? -44 : -22,
              value: lift,
              edit: edit("Bottom above the floor", "lift"),
            }),
          ]
        : []),
      ...(corners === "rails"
        ? [
            dimension([-top.length / 2, under], [outside.from, under], {
              offset: -34,
              value: form.overhang.end,
              edit: formEdit("End overhang", "overhang", "end"),
            }),
          ]
        : []),
    ],
    side: [
      dimension([-deep.to, 0], [-deep.from, 0], { offset: -18, value: deep.to - deep.from }),
      ...(corners === "rails"
        ? [
            dimension([-top.width / 2, under / 2], [-deep.to, under / 2], {
              offset: 0,
              value: form.overhang.side,
              edit: formEdit("Overhang at the front", "overhang", "side"),
            }),
          ]
        : []),
    ],
  };
}
