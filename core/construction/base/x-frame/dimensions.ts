import { dimension, formEdit as edit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import type { XFrame } from "./place";

/** What a maker may type on X frames, where it shows. */
export function xFrameDimensions(form: Form, at: XFrame): { plan: Item[]; front: Item[]; side: Item[] } {
  const { strip, bearer, stretcher, bays, top, frames, floor, head, lean } = at;
  const { inBelow, inAbove } = form.xFrame;
  const outer = frames[0] - strip.thickness / 2;
  const [first] = bays;
  const half = top.width / 2;
  return {
    plan: [
      dimension([-top.length / 2, -half], [outer, -half], {
        offset: -20,
        value: form.overhang.end,
        edit: edit("End overhang", "overhang", "end"),
      }),
      dimension([frames[0], -half], [frames[0], -bearer.length / 2], {
        offset: -34,
        value: form.xFrame.bearer.setIn,
        edit: edit("Set-in of the bearer", "xFrame", "bearer", "setIn"),
      }),
    ],
    front: [
      ...(stretcher
        ? [
            dimension(
              [(first.from + first.to) / 2, stretcher.from + stretcher.depth],
              [(first.from + first.to) / 2, stretcher.from],
              { offset: 0, value: stretcher.depth, edit: edit("Stretcher depth", "xFrame", "stretcher", "depth") },
            ),
          ]
        : []),
      dimension([first.from, lean.crossing + 140], [first.to, lean.crossing + 140], {
        offset: 0,
        value: first.to - first.from,
      }),
    ],
    side: [
      dimension([-half, 0], [-floor / 2, 0], {
        offset: -20,
        value: inBelow,
        edit: edit("Set-in on the floor", "xFrame", "inBelow"),
      }),
      dimension([-floor / 2, 0], [floor / 2, 0], { offset: -20, value: floor }),
      dimension([-half, bearer.from], [-head / 2, bearer.from], {
        offset: -14,
        value: inAbove,
        edit: edit("Set-in under the top", "xFrame", "inAbove"),
      }),
      dimension([0, lean.crossing], [0, 0], { offset: 0, value: lean.crossing }),
      dimension([bearer.length / 2, at.under], [bearer.length / 2, bearer.from], {
        offset: 26,
        value: bearer.height,
        edit: edit("Bearer height", "xFrame", "bearer", "height"),
      }),
    ],
  };
}
