import { dimension, Item } from "../../../drawing/scene";
import type { Form } from "../../../piece/schema";
import type { LegAndApron } from "./place";

/** What a maker may type on legs and rails, where they show. */
export function legAndApronDimensions(form: Form, at: LegAndApron): { plan: Item[]; front: Item[]; side: Item[] } {
  const [hx, hz] = [at.frame.length / 2, at.frame.width / 2];
  const { length, width } = at.top;
  const x = -at.longRail.shoulder / 2;
  const fifth = x + 0.22 * at.longRail.shoulder;
  const straight = form.leg.taper === "none";
  const section = { path: ["form", "leg", "section"], name: "Leg section" };
  const inset = form.leg.taper === "four-faces" ? (at.leg.section - at.leg.foot) / 2 : 0;
  return {
    plan: [
      dimension([-length / 2, -width / 2], [-hx, -width / 2], -20, form.overhang.end, {
        path: ["form", "overhang", "end"],
        name: "End overhang",
      }),
      dimension([-length / 2, -hz], [-length / 2, -width / 2], -24, form.overhang.side, {
        path: ["form", "overhang", "side"],
        name: "Side overhang",
      }),
    ],
    front: [
      dimension([fifth, at.rail.upperEdge], [fifth, at.rail.lowerEdge], 0, at.rail.depth, {
        path: ["form", "apron", "depth"],
        name: "Apron depth",
      }),
      dimension([0, at.rail.lowerEdge], [0, 0], 0, at.kneeRoom),
      dimension([x, at.rail.lowerEdge - 70], [-x, at.rail.lowerEdge - 70], 0, at.longRail.shoulder),
    ],
    side: straight
      ? [dimension([-hz, 0], [-hz + at.leg.section, 0], -18, at.leg.section, section)]
      : [
          dimension([-hz, at.rail.lowerEdge], [-hz + at.leg.section, at.rail.lowerEdge], -24, at.leg.section, section),
          dimension([hz - inset - at.leg.foot, 0], [hz - inset, 0], -18, at.leg.foot, {
            path: ["form", "leg", "foot"],
            name: "Leg foot",
          }),
        ],
  };
}
