import type { Base } from "../base";
import { legAndApronDimensions } from "./dimensions";
import type { Facts } from "./facts";
import { KIND_RULES } from "../../../joinery/joint-rules";
import { BESIDE_RULES, LEG_RAIL_RULES } from "./joint-rules";
import { legAndApronJoints, legJoints, railsOf } from "./joints";
import { LOW_RULES } from "./low-rules";
import { legAndApronMeetings } from "./meetings";
import { legAndApronParts } from "./parts";
import { LegAndApron, placeLegAndApron } from "./place";
import { LEG_AND_APRON_RULES } from "./rules";
import { legSectionScene } from "./sections";
import { legAndApronWork } from "./work";

/** Four legs and four rails, with cross-rails and corner blocks where they are wanted. */
export const legAndApron: Base<LegAndApron> = {
  kind: "leg-and-apron",
  name: "Legs and apron",
  place: placeLegAndApron,
  joints: legAndApronJoints,
  parts: legAndApronParts,
  meetings: legAndApronMeetings,
  formRules: LEG_AND_APRON_RULES,
  jointRules: [
    ...LEG_RAIL_RULES.map((rule) => (facts: Facts) => {
      const joints = railsOf(facts.joints);
      return joints.some(({ receives }) => receives === "leg") ? rule({ ...facts, joints }) : null;
    }),
    ...BESIDE_RULES.map((rule) => (facts: Facts) => rule({ ...facts, joints: railsOf(facts.joints) })),
    // dowels and pocket screws, where the rails have no tenons
    ...KIND_RULES.map((rule) => (facts: Facts) => {
      const joints = legJoints(facts.joints).filter(({ kind }) => kind !== "rail-tenon");
      return joints.length > 0 ? rule({ ...facts, joints }) : null;
    }),
    ...LOW_RULES,
  ],
  shorter: ({ overhang }, kind, by) =>
    kind === "long-rail"
      ? [{ path: ["form", "overhang", "end"], value: overhang.end + by / 2 }]
      : kind === "end-rail"
        ? [{ path: ["form", "overhang", "side"], value: overhang.side + by / 2 }]
        : [],
  work: legAndApronWork,
  dimensions: legAndApronDimensions,
  // both tenons that meet in a leg are on one drawing, which stands with each of the two joints
  setOuts: ({ at, joints, species }) =>
    railsOf(joints)
      .filter(({ receives }) => receives === "leg")
      .map(({ id }, _, legs) => ({
        joint: id,
        scene: legSectionScene({ at, joints: legs, species }),
        caption: "A leg cut across, seen from above: the outer corner is at the upper left.",
      })),
  describe: (_, { longRail, endRail, drop, turn }) =>
    `Leg and apron: long rails ${Math.round(longRail.shoulder)} mm and end rails ${Math.round(endRail.shoulder)} mm between the legs.${drop ? ` ${drop.sides.length > 1 ? "A leaf hangs at each long side." : "A leaf hangs in front."}` : ""}${turn ? " Its top is folded, turns a quarter and opens." : ""}`,
  sizes: (form, { leg, rail, low, through, middleLegs }) => [
    [
      "Legs",
      `${leg.section === leg.across ? `${leg.section} mm square` : `${leg.section} mm by ${leg.across} mm`}${form.leg.taper === "none" ? "" : `, foot ${leg.foot} mm`}${through ? ", up through the top" : ""}`,
    ],
    [
      "Rails",
      `${rail.depth} mm by ${rail.thickness} mm, ${rail.reveal} mm in from the legs${rail.arch > 0 ? `, arched ${rail.arch} mm` : ""}`,
    ],
    ...(low
      ? [
          ["Low stretchers", `${low.depth} mm by ${low.thickness} mm, ${low.height} mm above the floor`] as [
            string,
            string,
          ],
        ]
      : []),
    ["Cross-rails", String(form.crossRails)],
    ...(middleLegs.length > 0
      ? [
          [
            "Middle legs",
            `${middleLegs.length}, ${form.crossRails > 0 ? "beside the cross-rails" : "in the middle"}`,
          ] as [string, string],
        ]
      : []),
  ],
};
