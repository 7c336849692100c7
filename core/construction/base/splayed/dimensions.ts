import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { feetSpans } from "../feet-span";
import type { Splayed } from "./place";

/** What may be typed on the views of splayed legs. */
export function splayedDimensions(form: Form, at: Splayed): { plan: Item[]; front: Item[]; side: Item[] } {
  const { arm, under, feet, star } = at;
  const spans = feetSpans(feet);
  const right = feet.reduce((a, b) => (b.x + b.length / 2 > a.x + a.length / 2 ? b : a));
  return {
    plan: [spans.plan],
    front: [
      spans.front,
      dimension([0, under], [0, arm.from], {
        offset: 0,
        value: arm.depth,
        edit: formEdit("Arm depth", "splayed", "arm", "depth"),
      }),
      ...(star
        ? [
            dimension([30, star.from], [30, 0], {
              offset: 0,
              value: star.from,
              edit: formEdit("Height of the star", "splayed", "star", "height"),
            }),
            dimension([-30, star.from + star.depth], [-30, star.from], {
              offset: 0,
              value: star.depth,
              edit: formEdit("Depth of the star", "splayed", "star", "depth"),
            }),
          ]
        : []),
      dimension([right.x + right.length / 2 - at.footSection, 60], [right.x + right.length / 2, 60], {
        offset: 0,
        value: form.splayed.foot,
        edit: formEdit("Leg section at the foot", "splayed", "foot"),
      }),
    ],
    side: [spans.side],
  };
}
