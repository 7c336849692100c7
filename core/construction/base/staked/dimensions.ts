import { dimension, formEdit, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { feetSpans } from "../feet-span";
import type { StakedLegs } from "./place";

/** What may be typed on the views of legs in the top. */
export function stakedDimensions(
  { staked: { stand, setIn, section } }: Form,
  at: StakedLegs,
): { plan: Item[]; front: Item[]; side: Item[] } {
  const { top, under, lean, legs, feet } = at;
  const spans = feetSpans(feet);
  const [half, wide] = [top.length / 2, top.width / 2];
  const [first] = legs;
  const corners = stand === "corners";
  const out = Math.hypot(first.from.x, first.from.z);
  return {
    plan: corners
      ? [
          dimension([-half, wide * 0.2], [-half + setIn.end, wide * 0.2], {
            offset: 0,
            value: setIn.end,
            edit: formEdit("Set-in of the mortises from the ends", "staked", "setIn", "end"),
          }),
          dimension([-half * 0.3, -wide], [-half * 0.3, -wide + setIn.side], {
            offset: 0,
            value: setIn.side,
            edit: formEdit("Set-in of the mortises from the sides", "staked", "setIn", "side"),
          }),
        ]
      : [
          dimension([first.from.x, -first.from.z], [first.x * (out + setIn.rim), -first.z * (out + setIn.rim)], {
            offset: 0,
            value: setIn.rim,
            edit: formEdit("Set-in of the mortises from the rim", "staked", "setIn", "rim"),
          }),
        ],
    front: [
      spans.front,
      ...(corners
        ? [
            dimension([first.from.x - lean.level / 2, under - 30], [first.from.x + lean.level / 2, under - 30], {
              offset: 0,
              value: section,
              edit: formEdit("Leg section", "staked", "section"),
            }),
          ]
        : []),
    ],
    side: [spans.side],
  };
}
