import { dimension, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import { isEven } from "./leg";
import type { LegAndApron } from "./place";

/** What a maker may type on legs and rails, where they show. */
export function legAndApronDimensions(form: Form, at: LegAndApron): { plan: Item[]; front: Item[]; side: Item[] } {
  const [hx, hz] = [at.frame.length / 2, at.frame.width / 2];
  const { length, width } = at.top;
  const x = -at.longRail.shoulder / 2;
  const fifth = x + 0.22 * at.longRail.shoulder;
  const straight = form.leg.taper === "none";
  const square = form.leg.across === null;
  const along = { path: ["form", "leg", "section"], name: "Leg section" };
  const section = square ? along : { path: ["form", "leg", "across"], name: "Leg section across" };
  const { across, foot, footAcross } = at.leg;
  const inset = isEven(form.leg.taper) ? (across - footAcross) / 2 : 0;
  const { low } = at;
  const middle = at.middleLegs.length > 0 ? -x / 2 : 0;
  return {
    plan: [
      dimension([-length / 2, -width / 2], [-hx, -width / 2], {
        offset: -20,
        value: form.overhang.end,
        edit: {
          path: ["form", "overhang", "end"],
          name: "End overhang",
        },
      }),
      dimension([-length / 2, -hz], [-length / 2, -width / 2], {
        offset: -24,
        value: form.overhang.side,
        edit: {
          path: ["form", "overhang", "side"],
          name: "Side overhang",
        },
      }),
    ],
    front: [
      dimension([fifth, at.rail.upperEdge], [fifth, at.rail.lowerEdge], {
        offset: 0,
        value: at.rail.depth,
        edit: {
          path: ["form", "apron", "depth"],
          name: "Apron depth",
        },
      }),
      // beside the legs in the middle
      dimension([middle, at.rail.lowerEdge], [middle, 0], { offset: 0, value: at.kneeRoom }),
      dimension([x, at.rail.lowerEdge - 70], [-x, at.rail.lowerEdge - 70], { offset: 0, value: at.longRail.shoulder }),
      ...(square
        ? []
        : [
            dimension([-hx, 0], [-hx + (straight ? at.leg.section : foot), 0], {
              offset: -18,
              value: straight ? at.leg.section : foot,
              edit: straight ? along : { path: ["form", "leg", "foot"], name: "Leg foot" },
            }),
          ]),
      ...(low
        ? [
            dimension([-0.3 * hx, low.height], [-0.3 * hx, 0], {
              offset: 0,
              value: low.height,
              edit: {
                path: ["form", "low", "height"],
                name: "Height of the low stretchers",
              },
            }),
            dimension([-0.18 * hx, low.height + low.depth], [-0.18 * hx, low.height], {
              offset: 0,
              value: low.depth,
              edit: {
                path: ["form", "low", "depth"],
                name: "Low stretcher depth",
              },
            }),
          ]
        : []),
    ],
    side: [
      ...leafDimension(at),
      ...(straight
        ? [dimension([-hz, 0], [-hz + across, 0], { offset: -18, value: across, edit: section })]
        : [
            dimension([-hz, at.rail.lowerEdge], [-hz + across, at.rail.lowerEdge], {
              offset: -24,
              value: across,
              edit: section,
            }),
            dimension([hz - inset - footAcross, 0], [hz - inset, 0], {
              offset: -18,
              value: footAcross,
              edit: square ? { path: ["form", "leg", "foot"], name: "Leg foot" } : undefined,
            }),
          ]),
    ],
  };
}

/** A leaf that hangs, beside it. */
function leafDimension({ drop, top }: LegAndApron): Item[] {
  if (!drop) return [];
  // as seen from the right-hand end, the front is on the left
  const x = -(drop.axis.out + top.thickness);
  return [
    dimension([x, drop.axis.y - drop.leaf], [x, drop.axis.y], {
      offset: 16,
      value: drop.leaf,
      edit: { path: ["form", "drop", "leaf"], name: "A leaf across the table" },
    }),
  ];
}
