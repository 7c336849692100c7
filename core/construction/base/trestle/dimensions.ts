import { dimension, formEdit as edit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import type { Trestle } from "./place";

/** What a maker may type on a trestle, where it shows. */
export function trestleDimensions(form: Form, at: Trestle): { plan: Item[]; front: Item[]; side: Item[] } {
  const { foot, post, brace, stretcher, bays, top, ends } = at;
  const outer = ends[0] - post.thickness / 2;
  const first = bays[0];
  const middle = (first.from + first.to) / 2;
  const row = at.rows.at(-1)!;
  const across = row + post.width / 2;
  return {
    plan: [
      dimension([-top.length / 2, -top.width / 2], [outer, -top.width / 2], {
        offset: -20,
        value: form.overhang.end,
        edit: edit("End overhang", "overhang", "end"),
      }),
      dimension([ends[0], -brace.length / 2], [ends[0], brace.length / 2], {
        offset: -34,
        value: brace.length,
        edit: edit("Brace length", "trestle", "brace", "length"),
      }),
    ],
    front: [
      dimension([middle, stretcher.height], [middle, 0], {
        offset: 0,
        value: stretcher.height,
        edit: edit("Stretcher height", "trestle", "stretcher", "height"),
      }),
      dimension(
        [middle + 0.18 * (first.to - first.from), stretcher.height + stretcher.depth],
        [middle + 0.18 * (first.to - first.from), stretcher.height],
        { offset: 0, value: stretcher.depth, edit: edit("Stretcher depth", "trestle", "stretcher", "depth") },
      ),
      dimension(
        [first.from, stretcher.height + stretcher.depth + 90],
        [first.to, stretcher.height + stretcher.depth + 90],
        { offset: 0, value: first.to - first.from },
      ),
    ],
    side: [
      dimension([-foot.length / 2, 0], [foot.length / 2, 0], {
        offset: -20,
        value: foot.length,
        edit: edit("Foot length", "trestle", "foot", "length"),
      }),
      dimension([foot.length / 2, foot.base + foot.height], [foot.length / 2, foot.base], {
        offset: 20,
        value: foot.height,
        edit: edit("Foot height", "trestle", "foot", "height"),
      }),
      dimension([across - post.width, (post.from + brace.from) / 2], [across, (post.from + brace.from) / 2], {
        offset: 0,
        value: post.width,
        edit: edit("Post width", "trestle", "post", "width"),
      }),
      dimension([brace.length / 2, at.under], [brace.length / 2, brace.from], {
        offset: 26,
        value: brace.height,
        edit: edit("Brace height", "trestle", "brace", "height"),
      }),
    ],
  };
}
