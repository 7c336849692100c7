/** Splayed legs at the corners: drawn from two sides, mirrored in pairs, glued as two end frames and the rails between. */
import { FRAME_CLAMPS, stepOf as step, TIME } from "../../../steps/step";
import { mm } from "../../../verdict/verdict";
import type { WorkFacts } from "../base";
import { legCut } from "./legs";
import { OwnWork, taperSaid } from "./own-work";
import { cutSaid, degrees } from "./parts";
import type { SplayedFrame } from "./place";

export function cornerWork({ at, fullHours, clampHours }: WorkFacts<SplayedFrame>): OwnWork {
  const { legs, rails, lows, under } = at;
  const [rail, endRail] = [rails.find(({ run }) => run === "along")!, rails.find(({ run }) => run === "across")!];
  const { gauge, blade } = legCut(legs);
  const lowKinds = [...new Set(lows.map(({ kind }) => kind))];
  return {
    setOut: {
      title: "Draw one corner full size, from the front and from the end",
      detail: `Floor and underside of the top ${mm(under)} apart; ${degrees(legs.end.degrees)} from upright seen from the front, ${degrees(legs.side.degrees)} from the end. The saw is not set to these where a leg leans both ways: its ends take ${degrees(gauge)} at the fence and ${degrees(blade)} at the blade.`,
      check: "A square scrap cut to both settings stands on the bench and leans as both drawings say.",
    },
    backed: {
      title: "Plane two faces of each leg to the rails",
      detail: `The faces toward the ends, ${degrees(legs.backed)} off square, parallel: the inner one runs square to its rail’s cut, the outer one with the end rail. Front and back stay. Two legs are the mirror of the other two: mark heads, fronts and insides first.`,
      check: `A bevel set to ${degrees(90 - legs.backed)} lies close on all four, from the front.`,
    },
    ends: {
      detail: `Front or back on the table, ${degrees(gauge)} off square and the blade ${degrees(blade)} over; both ends parallel, ${mm(legs.under * legs.stretch)} along every edge. Two legs one way, two the other: the fence is turned over for those.`,
      check: "Stood on a flat board each leans outward both ways, all four alike in height.",
    },
    shoulders: `Rails ${cutSaid(rail)}; end rails ${cutSaid(endRail)}; two from each stop`,
    bevels: `${degrees(legs.side.degrees)} on the rails, ${degrees(legs.end.degrees)} on the end rails`,
    taper: { title: "Taper the legs’ inner faces", detail: `${taperSaid(at)}, on the two inner faces only.` },
    dryCheck: "From foot to foot the same on both sides, and both diagonals alike, within 2 mm.",
    glued: [
      step({
        id: "glue-ends",
        title: "Glue the two end frames",
        detail: `Two legs, an end rail${lowKinds.includes("splay-end-stretcher") ? " and its stretcher" : ""} at a time. A clamp slides on legs that lean: glue on or clamp on wedges of ${degrees(legs.side.degrees)} so that jaws pull square to the rail.`,
        parts: ["splayed-leg", "splay-end-rail", ...lowKinds.filter((kind) => kind === "splay-end-stretcher")],
        after: ["sand-base"],
        hours: TIME.glueFrame,
        wait: fullHours,
        waitFor: "the end frames to cure",
        ...{ clamps: FRAME_CLAMPS, clampHours },
        check: "Both frames laid on one another: feet and heads cover.",
      }),
      step({
        id: "glue-base",
        title: "Glue the rails between the end frames",
        detail: `Heads down on the flat board, wedges of ${degrees(legs.end.degrees)} under the clamps.`,
        parts: ["splayed-leg", "splay-rail", ...lowKinds.filter((kind) => kind !== "splay-end-stretcher")],
        after: ["glue-ends"],
        hours: TIME.glueFrame,
        wait: fullHours,
        waitFor: "the base to cure",
        ...{ clamps: FRAME_CLAMPS, clampHours },
        check: "Diagonals alike at the feet and at the heads.",
      }),
    ],
  };
}
