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
      dimension(
        [-top.length / 2, -half],
        [outer, -half],
        -20,
        form.overhang.end,
        edit("End overhang", "overhang", "end"),
      ),
      dimension(
        [frames[0], -half],
        [frames[0], -bearer.length / 2],
        -34,
        form.xFrame.bearer.setIn,
        edit("Set-in of the bearer", "xFrame", "bearer", "setIn"),
      ),
    ],
    front: [
      ...(stretcher
        ? [
            dimension(
              [(first.from + first.to) / 2, stretcher.from + stretcher.depth],
              [(first.from + first.to) / 2, stretcher.from],
              0,
              stretcher.depth,
              edit("Stretcher depth", "xFrame", "stretcher", "depth"),
            ),
          ]
        : []),
      dimension([first.from, lean.crossing + 140], [first.to, lean.crossing + 140], 0, first.to - first.from),
    ],
    side: [
      dimension([-half, 0], [-floor / 2, 0], -20, inBelow, edit("Set-in on the floor", "xFrame", "inBelow")),
      dimension([-floor / 2, 0], [floor / 2, 0], -20, floor),
      dimension(
        [-half, bearer.from],
        [-head / 2, bearer.from],
        -14,
        inAbove,
        edit("Set-in under the top", "xFrame", "inAbove"),
      ),
      dimension([0, lean.crossing], [0, 0], 0, lean.crossing),
      dimension(
        [bearer.length / 2, at.under],
        [bearer.length / 2, bearer.from],
        26,
        bearer.height,
        edit("Bearer height", "xFrame", "bearer", "height"),
      ),
    ],
  };
}
