import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { feetSpans } from "../feet-span";
import { footIn, innerAt, outerAt } from "./legs";
import { lowest, SplayedFrame } from "./place";

/** What may be typed on the views of splayed legs under rails. */
export function splayedFrameDimensions(form: Form, at: SplayedFrame): { plan: Item[]; front: Item[]; side: Item[] } {
  const { legs, rail, under, top, choices, feet } = at;
  const spans = feetSpans(feet);
  const low = under - rail.depth;
  const round = legs.ring;
  const view = (way: "end" | "side"): Item[] => {
    const whole = way === "end" ? top.length : top.width;
    const { head } = legs[way];
    const toward = way === "end" ? "ends" : "sides";
    const over = spans[way === "end" ? "front" : "side"];
    if (round) return [over];
    return [
      over,
      dimension([head, under], [whole / 2, under], {
        offset: -14,
        value: choices.setIn[way],
        edit: formEdit(`Set-in of the heads from the ${toward}`, "splayedFrame", "setIn", way),
      }),
    ];
  };
  const foot = outerAt(legs, legs.end, 60);
  const inside = footIn(legs, legs.end);
  const [first] = round?.spokes ?? [];
  return {
    plan: [
      spans.plan,
      ...(round
        ? [
            dimension(
              [first.x * round.lean.head, -first.z * round.lean.head],
              [first.x * (round.lean.head + choices.ring.setIn), -first.z * (round.lean.head + choices.ring.setIn)],
              {
                offset: 0,
                value: choices.ring.setIn,
                edit: formEdit("Set-in of the heads from the rim", "splayedFrame", "ring", "setIn"),
              },
            ),
          ]
        : []),
    ],
    front: [
      ...view("end"),
      dimension([0, under], [0, low], {
        offset: 0,
        value: rail.depth,
        edit: formEdit("Rail depth", "splayedFrame", "rail", "depth"),
      }),
      ...(round
        ? []
        : [
            dimension([innerAt(legs, legs.end, 60) + inside, 60], [foot - inside, 60], {
              offset: 0,
              value: form.splayedFrame.foot,
              edit: formEdit("Leg section at the foot", "splayedFrame", "foot"),
            }),
          ]),
      ...(at.lows.length > 0
        ? [
            dimension([40, lowest(at.lows)], [40, 0], {
              offset: 0,
              value: lowest(at.lows),
              edit: formEdit("Height of the low stretchers", "splayedFrame", "low", "height"),
            }),
          ]
        : []),
    ],
    side: view("side"),
  };
}
