import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import type { Splayed } from "./place";

/** What may be typed on the views of splayed legs. */
export function splayedDimensions(form: Form, at: Splayed): { plan: Item[]; front: Item[]; side: Item[] } {
  const { arm, under, frame, feet } = at;
  const [front, side] = [frame.length / 2, frame.width / 2];
  const right = feet.reduce((a, b) => (b.x + b.length / 2 > a.x + a.length / 2 ? b : a));
  return {
    plan: [dimension([-front, -frame.width / 2], [front, -frame.width / 2], -30, frame.length)],
    front: [
      dimension([-front, 0], [front, 0], -18, frame.length),
      dimension([0, under], [0, arm.from], 0, arm.depth, formEdit("Arm depth", "splayed", "arm", "depth")),
      dimension(
        [right.x + right.length / 2 - at.footSection, 60],
        [right.x + right.length / 2, 60],
        0,
        form.splayed.foot,
        formEdit("Leg section at the foot", "splayed", "foot"),
      ),
    ],
    side: [dimension([-side, 0], [side, 0], -18, frame.width)],
  };
}
