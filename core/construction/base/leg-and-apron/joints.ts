import type { Meets } from "../../../joinery/blind-tenon";
import type { EndJoint } from "../../../joinery/end-joint";
import type { KindOfJoint } from "../../../joinery/kinds";
import { isRailEnd, RailEnd, railEnd } from "../../../joinery/rail-end";
import { RailMarks, RailTenon, railTenon, stubTenon } from "../../../joinery/rail-tenon";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { mm } from "../../../verdict/verdict";
import { blockJoints } from "./corner-blocks";
import { lowJoints } from "./low-joints";
import { middleLegJoints } from "./middle-parts";
import { crossDepth, LegAndApron } from "./place";

const isRail = (joint: KindOfJoint): joint is RailTenon => joint.kind === "rail-tenon";
export const railsOf = (joints: readonly KindOfJoint[]): RailTenon[] => joints.filter(isRail);
/** Those of low stretchers. */
export const lowOf = (joints: readonly KindOfJoint[]): EndJoint[] =>
  joints.filter(
    (each): each is EndJoint =>
      LOW.includes(each.enters) &&
      (each.kind === "blind-tenon" || each.kind === "dowelled" || each.kind === "pocket-screwed"),
  );
const LOW: readonly string[] = ["end-stretcher", "stretcher", "middle-stretcher"];

type Rail = "long-rail" | "end-rail" | "cross-rail";
/** The joint of one of the rails; null where there is none. */
export const railJoint = (joints: readonly KindOfJoint[], rail: Rail): RailEnd | null =>
  joints.filter(isRailJoint).find(({ enters }) => enters === rail) ?? null;

const RAILS: readonly string[] = ["long-rail", "end-rail", "cross-rail"];
const isRailJoint = (joint: KindOfJoint): joint is RailEnd => isRailEnd(joint) && RAILS.includes(joint.enters);
/** Of long and end rails in their legs, whatever they are. */
export const legJoints = (joints: readonly KindOfJoint[]): RailEnd[] =>
  joints.filter(isRailJoint).filter(({ receives }) => receives === "leg");
/** How much of a leg lies before a rail's tenon. */
export const legBefore = ({ leg }: Pick<LegAndApron, "leg">, rail: string) =>
  rail === "long-rail" ? leg.section : leg.across;

/** The joints of legs, rails and cross-rails, and of low stretchers. */
export function legAndApronJoints(at: LegAndApron, form: Form, choices: JointChoices, shop: Shop): KindOfJoint[] {
  const { legRail } = choices;
  return [
    railEnd(inLeg(at, legRail, shop, "long-rail")),
    railEnd(inLeg(at, legRail, shop, "end-rail")),
    ...(at.crossRails.length > 0 ? [crossRailJoint(at, shop)] : []),
    ...(at.low ? lowJoints(at.low, choices, shop) : []),
    ...(form.cornerBlocks ? blockJoints(at) : []),
    ...middleLegJoints(at, crossDepth(at)),
  ];
}

const legMeets = (which: "long-rail" | "end-rail"): Meets => ({
  ...{ id: `leg-${which}`, group: `leg+${which}`, receives: "leg", enters: which, count: 4 },
  name: which === "long-rail" ? "Leg to long rail" : "Leg to end rail",
  setAt: ["joints", "legRail"],
});

/** The joint between a leg and one of its rails; both rails meet in the leg, and the long one passes where one is cut short. */
const inLeg = (at: LegAndApron, choice: JointChoices["legRail"], shop: Shop, which: "long-rail" | "end-rail") => ({
  meets: legMeets(which),
  section: { width: at.rail.depth, thickness: at.rail.thickness },
  into: { depth: legBefore(at, which), reveal: at.rail.reveal },
  ...{ choice, shop, passes: which === "long-rail" },
  marks: (offset: number, thickness: number): RailMarks => ({
    gauge: [
      { what: "Mortise gauge, from the leg's outer face", setting: `${mm(offset)} and ${mm(offset + thickness)}` },
    ],
    starts: "Mortise starts below the leg's top",
    // a leg that runs up through the top goes on above its rails
    above: at.leg.length - at.under,
    marked: "Rails of a pair are marked together, with a knife: what counts is that both are of one length.",
  }),
});

/** The same as a mortise and tenon, whatever was chosen. */
export const legRailJoint = (...given: Parameters<typeof inLeg>): RailTenon => railTenon(inLeg(...given));

/** A cross-rail sits in the long rails by a stub tenon half their thickness deep. */
export const crossRailJoint = (at: LegAndApron, shop: Shop): RailTenon =>
  stubTenon({
    meets: {
      id: "long-rail-cross-rail",
      group: "long-rail+cross-rail",
      receives: "long-rail",
      enters: "cross-rail",
      name: "Cross-rail to long rail",
      count: 2 * at.crossRails.length,
    },
    section: { width: crossDepth(at), thickness: at.rail.thickness },
    into: at.rail.thickness,
    shop,
    marks: (_, thickness): RailMarks => ({
      gauge: [
        { what: "Mortises beside the line squared down the rail", setting: `${mm(thickness / 2)} each side of it` },
        {
          what: "Lines from a long rail's left shoulder",
          setting: at.crossRails.map(({ x }) => mm(at.longRail.shoulder / 2 + x)).join(", "),
        },
      ],
      starts: "Mortise starts below the rail's top",
      above: 0,
      marked: "Shoulders and places are marked from the dry-fitted frame; the list is their guide.",
    }),
  });
