import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import type { Splayed } from "./place";

/** What may be typed on the views of splayed legs. */
export function splayedDimensions(form: Form, at: Splayed): { plan: Item[]; front: Item[]; side: Item[] } {
  const { arm, under, frame, feet, star } = at;
  const [front, side] = [frame.length / 2, frame.width / 2];
  const right = feet.reduce((a, b) => (b.x + b.length / 2 > a.x + a.length / 2 ? b : a));
  return {
    plan: [dimension([-front, -frame.width / 2], [front, -frame.width / 2], { offset: -30, value: frame.length })],
    front: [
      dimension([-front, 0], [front, 0], { offset: -18, value: frame.length }),
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
    side: [dimension([-side, 0], [side, 0], { offset: -18, value: frame.width })],
  };
}
