import type { Base, JointSection } from "../base";
import { legRailCard } from "./cards";
import { legAndApronDimensions } from "./dimensions";
import { LEG_RAIL_RULES } from "./joint-rules";
import { legAndApronJoints, LegRailJoint } from "./joints";
import { legAndApronLinks } from "./links";
import { legAndApronParts } from "./parts";
import { LegAndApron, placeLegAndApron } from "./place";
import { LEG_AND_APRON_RULES } from "./rules";
import { legSectionScene, tenonSideScene } from "./sections";
import { legAndApronWork } from "./work";

/** Four legs and four rails, with cross-rails and corner blocks where they are wanted. */
export const legAndApron: Base<LegAndApron, LegRailJoint> = {
  kind: "leg-and-apron",
  name: "Legs and apron",
  place: placeLegAndApron,
  joints: (at, _, choices, shop) => legAndApronJoints(at, choices, shop),
  parts: legAndApronParts,
  links: legAndApronLinks,
  cards: (joints) => joints.map(legRailCard),
  formRules: LEG_AND_APRON_RULES,
  jointRules: LEG_RAIL_RULES,
  work: legAndApronWork,
  dimensions: legAndApronDimensions,
  sections: ({ at, joints, species }) =>
    joints.flatMap(({ id, rail }): JointSection[] =>
      rail === "cross-rail"
        ? []
        : [
            {
              joint: id,
              scene: legSectionScene({ at, joints, species }),
              caption: "A leg cut across, seen from above: the outer corner is at the upper left.",
            },
            {
              joint: id,
              scene: tenonSideScene({ at, joints, species }, rail),
              caption: `The ${rail === "long-rail" ? "long rail" : "end rail"}’s end from the side.`,
            },
          ],
    ),
  describe: (_, { longRail, endRail }) =>
    `Leg and apron: long rails ${Math.round(longRail.shoulder)} mm and end rails ${Math.round(endRail.shoulder)} mm between the legs.`,
  sizes: (form, { leg, rail }) => [
    ["Legs", `${leg.section} mm square${form.leg.taper === "none" ? "" : `, foot ${leg.foot} mm`}`],
    ["Rails", `${rail.depth} mm by ${rail.thickness} mm, ${rail.reveal} mm in from the legs`],
    ["Cross-rails", String(form.crossRails)],
  ],
};
