/** What is cut into the boards of a case before it goes together: housings, and the joints above and below. */
import { Step, stepOf as step } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { Case } from "./case";
import type { cornerWords } from "./corners";
import { PIN } from "./loose-shelf";

interface Housed {
  parts: string[];
  posted: boolean;
  shelves: number;
  frames: number;
  after: string[];
}

export function housingsStep(at: Case, { parts, posted, shelves, frames, after }: Housed): Step {
  const { dividers, back, loose, skirting, bottomBelow, foot, subTop } = at;
  return step({
    id: "case-housings",
    title: `Cut the housings of sides${dividers.length > 0 ? `, bottom${subTop ? ", sub-top" : ""} and dividers` : ""}`,
    detail: [
      "Both sides from one fence setting, front edges together, so that left and right can't differ; stopped short of the front and squared with a chisel.",
      ...(at.sheet ? ["As wide as the sheet measures, not as it is called."] : []),
      ...(back > 0
        ? [`Then the back’s rebate, ${fine(back)} deep, along ${posted ? "both back posts" : "both sides"}.`]
        : []),
      ...(frames > 0 ? ["Stub mortises for the drawer rails from the same layout stick."] : []),
      ...(loose.length > 0
        ? [`Holes of ${PIN.diameter} mm for the shelves’ pins from one template, its foot always down.`]
        : []),
      ...(skirting && !bottomBelow && foot < skirting.height
        ? [
            `${posted ? "The back posts’ feet" : "The back corners of both feet"} are notched for the skirting, ${mm(skirting.height)} high and ${mm(skirting.depth)} deep.`,
          ]
        : []),
    ].join(" "),
    parts,
    after,
    hours: 1 + 0.3 * (2 + 2 * dividers.length + 2 * shelves),
    check: "Sides held together: every housing runs on from one to the other.",
  });
}

/** @param flat  what lies over the sides where the top lies on it: two rails, or a sub-top */
export function cornersStep(
  at: Case,
  crown: ReturnType<typeof cornerWords>,
  { flat, posted, after }: { flat: string; posted: boolean; after: string[] },
): Step {
  const { bottomBelow, dividers, legs, onWall, subTop, sheet } = at;
  const into = posted ? "posts" : "sides";
  const upper = subTop ? "sub-top" : "rails under the top";
  const below = bottomBelow || at.round;
  const hidden = onWall ? "it is seen from there only" : `the ${legs ? "frame" : "plinth"} hides it`;
  return step({
    id: "case-dovetails",
    parts: [crown ? "top" : flat, "case-side", ...(below ? ["case-bottom"] : [])],
    after,
    hours: (below ? 6 : 2.5) * (sheet ? 0.5 : 1) + (crown ? 3 : 0),
    ...(crown
      ? {
          title: `${crown.title}${bottomBelow ? ", and the bottom into the sides" : ""}`,
          detail: `${crown.detail}${dividers.length > 0 ? " The dividers’ housings in the top’s underside with it, from the bottom’s own setting." : ""}${bottomBelow ? ` The bottom’s, from edge to edge, go in from below: ${hidden}.` : ""}`,
          check: "Each corner goes together dry by half its depth, and no further: once is enough for the rest.",
        }
      : {
          ...(sheet
            ? {
                title: `Join the ${upper}${bottomBelow ? " and the bottom" : ""} to the ${into}`,
                detail: `No tails in sheet: mortises in both from one fence, its face on what ends flush, the first of each row tight and the others a hair long. ${subTop ? "The sub-top ends" : "The rails end"} between the ${into}; the top over ${subTop ? "it" : "them"} hides the joint.${bottomBelow ? ` The bottom’s likewise: ${hidden}.` : ""}`,
              }
            : {
                title: `Dovetail the ${upper}${bottomBelow ? " and the bottom" : ""} into the ${into}`,
                detail: `Tails first, ${subTop ? "on the sub-top’s ends" : "on both rails and to one gauge"}; the ${into}’ sockets are marked from the very tails that go there, each corner numbered. They go in from above: the top hides them.${bottomBelow ? ` The bottom’s, from edge to edge, go in from below: ${hidden}.` : ""}`,
              }),
          check: `${subTop ? "Sub-top" : "Rails"} flush with the ${posted ? "posts’ heads" : "sides’ upper edges"}, or a hair above.`,
        }),
  });
}
