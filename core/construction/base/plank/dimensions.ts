import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import type { Plank } from "./place";

/** What may be typed on the views of plank ends. */
export function plankDimensions(form: Form, at: Plank): { plan: Item[]; front: Item[]; side: Item[] } {
  const { plank, stretcher, bays, top, mitred, floor } = at;
  const left = -at.frame.length / 2;
  const half = plank.width / 2;
  return {
    plan: [],
    front: [
      ...(mitred
        ? []
        : [
            dimension([-top.length / 2, at.under], [left, at.under], {
              offset: -34,
              value: form.overhang.end,
              edit: formEdit("End overhang", "overhang", "end"),
            }),
            dimension([left, 0], [left + plank.thickness, 0], {
              offset: -18,
              value: plank.thickness,
              edit: formEdit("Thickness of the ends", "plank", "thickness"),
            }),
          ]),
      dimension([bays[0].from, 40 + floor], [bays[0].to, 40 + floor], { offset: 0, value: bays[0].to - bays[0].from }),
      ...(stretcher
        ? [
            dimension([bays[0].from + 60, stretcher.from], [bays[0].from + 60, 0], {
              offset: 0,
              value: stretcher.from,
              edit: formEdit("Stretcher height", "plank", "stretcher", "height"),
            }),
            dimension([bays[0].to - 60, stretcher.from + stretcher.depth], [bays[0].to - 60, stretcher.from], {
              offset: 0,
              value: stretcher.depth,
              edit: formEdit("Stretcher depth", "plank", "stretcher", "depth"),
            }),
          ]
        : []),
    ],
    side: mitred
      ? [dimension([-half, 0], [half, 0], { offset: -18, value: plank.width })]
      : [
          dimension([-half, 0], [half, 0], { offset: -18, value: plank.width }),
          dimension([-top.width / 2, at.under / 2], [-half, at.under / 2], {
            offset: 0,
            value: form.plank.setIn,
            edit: formEdit("Set-in of the ends", "plank", "setIn"),
          }),
        ],
  };
}
