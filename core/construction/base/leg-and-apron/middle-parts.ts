/** Middle legs as parts: what they are screwed to, what judges them, when they are cut. */
import type { Meeting } from "../../../assembly/meeting";
import type { AssemblyPart } from "../../../assembly/part";
import type { KindOfJoint } from "../../../joinery/kinds";
import { screwed } from "../../../joinery/screwed";
import { Step, stepOf as step } from "../../../steps/step";
import { fine, grade, mm, set, Verdict, verdict, round1 } from "../../../verdict/verdict";
import { screwFor } from "../contact";
import type { Facts } from "./facts";
import type { LegAndApron } from "./place";

/** Two screws in each rail; so much of them bites, and at least so much; what stays over their points; mm. @source common practice */
const SCREWS = { count: 2, bite: 20, least: 12, most: 30, over: 4 };

export function middleLegParts({ middleLegs, leg, under }: LegAndApron): AssemblyPart[] {
  const { section, across } = leg;
  return middleLegs.map(({ id, from, face, side }) => ({
    ...{ id, kind: "middle-leg", name: "Middle leg", letter: "M", role: "leg", make: "solid" },
    note: "Cut to the base as it stands, once the feet are level.",
    markedFrom: "the base as it stands",
    shape: { length: under, width: section, thickness: across },
    place: { at: [from, 0, side > 0 ? face : face + across], x: [0, 1, 0], y: [1, 0, 0] },
    ...{ adds: [], cuts: [], opens: [0, -under / 2, 0] },
  }));
}

/** The screw through a middle leg into its long rail, and through a cross-rail into the leg. */
const screwsOf = ({ leg, rail }: Pick<LegAndApron, "leg" | "rail">) => {
  const bite = (depth: number) => Math.max(SCREWS.least / 2, Math.min(SCREWS.most, depth - SCREWS.over));
  return {
    toLong: screwFor(leg.across + bite(rail.thickness)),
    fromCross: screwFor(rail.thickness + bite(leg.section)),
  };
};

export function middleLegJoints(at: LegAndApron, crossDepth: number): KindOfJoint[] {
  const { middleLegs, leg, rail } = at;
  if (middleLegs.length === 0) return [];
  const { toLong, fromCross } = screwsOf(at);
  const known = (receives: string, enters: string, name: string) => ({
    ...{ id: `${receives}+${enters}`, group: `${receives}+${enters}`, receives, enters, name },
    count: middleLegs.length,
  });
  return [
    screwed({
      meets: known("long-rail", "middle-leg", "Middle leg to long rail"),
      ...{ section: { width: rail.depth, thickness: leg.section }, into: { depth: rail.thickness } },
      ...{ screws: SCREWS.count, long: toLong, through: leg.across },
    }),
    ...(middleLegs[0].cross === null
      ? []
      : [
          screwed({
            meets: known("middle-leg", "cross-rail", "Cross-rail to middle leg"),
            ...{ section: { width: crossDepth, thickness: leg.across }, into: { depth: leg.section } },
            ...{ screws: SCREWS.count, long: fromCross, through: rail.thickness },
          }),
        ]),
  ];
}

export function middleLegMeetings(at: LegAndApron, joints: readonly KindOfJoint[], crossDepth: number): Meeting[] {
  const { leg, rail, middleLegs } = at;
  const of = (id: string) => joints.find((joint) => joint.id === id);
  const [toLong, fromCross] = [of("long-rail+middle-leg"), of("middle-leg+cross-rail")];
  return middleLegs.flatMap(({ id, from, face, side, rail: long, cross }): Meeting[] => [
    ...(toLong
      ? [
          {
            ...{ joint: toLong, enters: id, receives: long },
            face: {
              at: [side > 0 ? from + leg.section : from, rail.lowerEdge, face] as const,
              ...{ x: [0, 0, side] as const, y: [0, 1, 0] as const },
            },
          },
        ]
      : []),
    ...(fromCross && cross
      ? [
          {
            ...{ joint: fromCross, enters: cross, receives: id },
            face: {
              at: [from + leg.section, rail.upperEdge - crossDepth, side > 0 ? face : face + leg.across] as const,
              ...{ x: [-1, 0, 0] as const, y: [0, 1, 0] as const },
            },
          },
        ]
      : []),
  ]);
}

/** Screws bite in what holds the middle legs, and the legs stand inside the piece. */
export function middleLegsHold({ at }: Facts): Verdict | null {
  const { middleLegs, leg, rail } = at;
  if (middleLegs.length === 0) return null;
  const bite = screwsOf(at).toLong - leg.across;
  const apart = 2 * (Math.abs(middleLegs[0].face) - leg.across);
  const level = apart < 0 ? "fix" : grade(bite, "at least", SCREWS.bite, SCREWS.least);
  return verdict({
    id: "form.middle-legs",
    stage: "form",
    subject: ["middle-leg", "long-rail"],
    level,
    text:
      apart < 0
        ? `The middle legs run into each other by ${mm(-apart)}`
        : level === "holds"
          ? `${middleLegs.length} middle legs, screws ${fine(bite)} in the long rails`
          : `Screws of the middle legs bite only ${fine(bite)} in the long rails`,
    why: `Through ${mm(leg.across)} of leg into ${mm(rail.thickness)} of rail; the top’s weight stands on the leg, the screws keep it there.`,
    limit: SCREWS.bite,
    actual: round1(bite),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            ...(apart >= 0 && rail.thickness < SCREWS.bite + SCREWS.over + 4
              ? [
                  set(
                    `Make the rails ${SCREWS.bite + SCREWS.over + 4} mm thick`,
                    ["form", "apron", "thickness"],
                    SCREWS.bite + SCREWS.over + 4,
                  ),
                ]
              : []),
            set("Leave the middle legs out", ["form", "middleLegs"], false),
          ],
  });
}

/** They are cut and screwed in when the base stands on its feet. */
export const middleLegStep = ({ middleLegs, leg }: LegAndApron, after: string[]): Step[] =>
  middleLegs.length === 0
    ? []
    : [
        step({
          id: "middle-legs",
          title: "Cut the middle legs and screw them in",
          detail: `Each as long as it is from the floor to a straightedge over the rails, a shaving less: a middle leg that is long lifts the others. Bored through ${mm(leg.across)} on the bench, their upper ends level with the rails: to the long rail from inside${middleLegs[0].cross ? ", then through the cross-rail into them" : ""}.`,
          ...{ parts: ["middle-leg"], after, hours: 0.4 * middleLegs.length },
          check: "Paper slides under a middle foot with the piece empty, and not with one on it.",
        }),
      ];
