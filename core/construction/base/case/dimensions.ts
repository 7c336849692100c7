import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { legFrameDimensions } from "../leg-frame/dimensions";
import type { Case } from "./case";

/** What may be typed on the views of a case: bays from the front, depth from the end. Heights of openings stand on their own drawing. */
export function caseDimensions(form: Form, at: Case): { plan: Item[]; front: Item[]; side: Item[] } {
  const { bays, under, outside, deep, lift, top, legs } = at;
  const edit = (name: string, ...path: (string | number)[]) => formEdit(name, "case", ...path.map(String));
  return {
    plan: [],
    front: [
      ...bays.map(({ from, to }, i) =>
        dimension([from, 0], [to, 0], -16, to - from, edit(`Width of bay ${i + 1}`, "bays", i, "width")),
      ),
      ...(legs ? legFrameDimensions(legs, outside.from, (name, key) => edit(name, "frame", key)) : []),
      ...(lift > 0
        ? [
            dimension(
              [outside.from, lift],
              [outside.from, 0],
              legs ? -44 : -22,
              lift,
              edit("Bottom above the floor", "lift"),
            ),
          ]
        : []),
      dimension(
        [-top.length / 2, under],
        [outside.from, under],
        -34,
        form.overhang.end,
        formEdit("End overhang", "overhang", "end"),
      ),
    ],
    side: [
      dimension([-deep.to, 0], [-deep.from, 0], -18, deep.to - deep.from),
      dimension(
        [-top.width / 2, under / 2],
        [-deep.to, under / 2],
        0,
        form.overhang.side,
        formEdit("Overhang at the front", "overhang", "side"),
      ),
    ],
  };
}
