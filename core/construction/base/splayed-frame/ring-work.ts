/** Splayed legs in a round: one drawing for all, two faces planed to the rails, a band that pulls the whole round at once. */
import { FRAME_CLAMPS, stepOf as step, TIME } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { WorkFacts } from "../base";
import { legCut, Ring, SplayedLegs } from "./legs";
import { OwnWork, taperSaid } from "./own-work";
import { cutSaid, degrees } from "./parts";
import type { SplayedFrame } from "./place";

/** So many legs are glued with their rails in one go: more joints than theirs set before the last is home. @source common practice */
const AT_ONCE = 4;
/** A saw leans no further: what is planed off at more is sawn with the leg on its side. degrees */
const BLADE = 45;

export function ringWork(
  { at, fullHours, clampHours }: WorkFacts<SplayedFrame>,
  { ring, ...legs }: SplayedLegs & { ring: Ring },
): OwnWork {
  const { rails, lows, under } = at;
  const count = ring.spokes.length;
  const { gauge } = legCut({ ring, ...legs });
  const lowKinds = [...new Set(lows.map(({ kind }) => kind))];
  const all = ["splayed-leg", "splay-rail", ...lowKinds];
  const tilt =
    legs.backed > BLADE
      ? `a side on the table, blade ${degrees(90 - legs.backed)} over`
      : `the inner face on the table, blade ${degrees(legs.backed)} over`;
  const wide = legs.section / 2 / Math.cos((legs.backed * Math.PI) / 180);
  const odd = count % 2;
  const pairs = count > AT_ONCE;
  return {
    setOut: {
      title: "Draw one leg full size from its side, and its head from above",
      detail: `Floor and underside of the top ${mm(under)} apart, the leg ${degrees(gauge)} from upright; from above, ${degrees(360 / count)} from one leg to the next and both rails square to their faces. All ${count} legs are alike.`,
      check: "The bevels set on the drawing fit the saw’s gauge.",
    },
    backed: {
      title: "Plane two faces of each leg to the rails",
      detail: `On the inner side, ${degrees(legs.backed)} off it, each ${fine(wide)} wide, meeting in a ridge on its middle line; ripped a little proud (${tilt}), then planed to the lines on both ends. Outer face and sides stay square: what is sawn next is laid on them.`,
      check: `A bevel set to ${degrees(180 - 2 * legs.backed)} lies close over the ridge, from end to end.`,
    },
    ends: {
      detail: `A side on the table, ${degrees(gauge)} off square; both ends parallel, ${mm(legs.under * legs.stretch)} along every edge, against one stop. The long point is the ridge at the head, the outer face at the foot.`,
      check: "Stood on a flat board each leans straight out, all alike in height.",
    },
    shoulders: `All alike, ${cutSaid(rails[0])}, from one stop`,
    bevels: `${degrees((Math.atan(rails[0].slope) * 180) / Math.PI)} on all`,
    taper: {
      title: "Taper the legs’ sides and planed faces",
      detail: `${taperSaid(at)}, both ways: the sides first, then the two planed faces, so that the ridge stays on the middle line. The outer face stays.`,
    },
    dryCheck: `From each foot to the next the same all round, within 2 mm.`,
    glued: [
      ...(pairs
        ? [
            step({
              id: "glue-ends",
              title: "Glue the legs in pairs",
              detail: `Two neighbours and the rail between them at a time, ${Math.floor(count / 2)} of these${odd ? "; one leg is left over" : ""}. A block cut to the leg’s section turns each clamp square to its rail.`,
              parts: all,
              after: ["sand-base"],
              hours: TIME.glueFrame,
              wait: fullHours,
              waitFor: "the pairs to cure",
              ...{ clamps: FRAME_CLAMPS, clampHours },
              check: "All pairs laid on one another: feet and heads cover.",
            }),
          ]
        : []),
      step({
        id: "glue-base",
        title: pairs ? "Glue the rails between the pairs" : "Glue the whole round",
        detail: `Heads down on the flat board. A band round the legs’ outer faces just below the heads pulls every joint alike${lows.length > 0 ? ", another where the stretchers lie" : ""}; all joints are started by hand before it is drawn.`,
        parts: all,
        after: [pairs ? "glue-ends" : "sand-base"],
        hours: TIME.glueFrame + (pairs ? 0 : TIME.glueFrame / 2),
        wait: fullHours,
        waitFor: "the base to cure",
        ...{ clamps: FRAME_CLAMPS, clampHours },
        check: "From each foot to the next, and from each head, the same all round.",
      }),
    ],
  };
}
