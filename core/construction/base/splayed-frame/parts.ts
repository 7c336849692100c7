import type { Meeting } from "../../../assembly/meeting";
import type { AssemblyPart } from "../../../assembly/part";
import { cross, dot } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import { fine } from "../../../verdict/verdict";
import type { BaseFacts } from "../base";
import { CORNERS, legBody, legCut, SplayedLegs } from "./legs";
import { isRing, SplayedFrame } from "./place";
import { ringLegBody } from "./ring";
import { endCut, shoulderOf, Stick, stickBody } from "./sticks";

/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { out: 170, down: 110, low: 60 };

type Words = Pick<AssemblyPart, "name" | "said" | "plural" | "letter">;
const WORDS: Record<string, Words> = {
  "splay-rail": { name: "Rail", letter: "A" },
  "splay-end-rail": { name: "End rail", letter: "E" },
  "splay-stretcher": { name: "Stretcher", letter: "R" },
  "splay-end-stretcher": { name: "End stretcher", letter: "U" },
  "splay-middle-stretcher": { name: "Middle stretcher", letter: "R" },
};

/** How its part is called. */
export const nameOf = ({ kind }: Pick<Stick, "kind">): string => WORDS[kind].name;

export const degrees = (value: number) => `${value.toFixed(1)}°`;

/** How the saw stands for a stick's ends, in words. */
export function cutSaid(stick: Stick): string {
  const { gauge, blade } = endCut(stick);
  if (gauge < 0.05) return "square";
  return blade < 0.05
    ? `${degrees(gauge)} off square, the blade upright`
    : `${degrees(gauge)} off square, the blade ${degrees(blade)} over`;
}

/** Each leg where it stands. */
const standing = (legs: SplayedLegs) =>
  isRing(legs)
    ? legs.ring.spokes.map((spoke) => ({ ...spoke, body: ringLegBody(legs, spoke) }))
    : CORNERS.map((corner) => ({ ...corner, body: legBody(legs, corner) }));

function legNote(legs: SplayedLegs): string {
  const { gauge, blade } = legCut(legs);
  const turned = legs.turned
    ? ` Turned round below the rails, from ${fine(legs.turned.wide)} to ${fine(legs.turned.foot)}.`
    : "";
  return `${endsSaid()}${turned}`;

  function endsSaid() {
    return isRing(legs)
      ? `Ends level and parallel: ${degrees(gauge)} off square; two faces planed ${degrees(legs.backed)} off the inner one, to a ridge in its middle.`
      : `Ends level and parallel: ${degrees(gauge)} off square, the blade ${degrees(blade)} over; two are the mirror of the other two.`;
  }
}

/** Legs, rails under the top and stretchers low between them, without their joints. */
export function splayedFrameParts({ at }: BaseFacts<SplayedFrame>): AssemblyPart[] {
  const { legs, rails, lows } = at;
  const same = { make: "solid" as const, adds: [], cuts: [] };
  const note = legNote(legs);
  const leg = standing(legs).map(({ x, z, id, body }): AssemblyPart => ({
    ...{ ...same, id, kind: "splayed-leg", name: "Leg", letter: "L", role: "leg", note },
    ...body,
    opens: [x * PULL.out, -PULL.down, z * PULL.out],
  }));
  const sticks = [...rails, ...lows].map((stick): AssemblyPart => {
    const low = lows.includes(stick);
    const out = (stick.outer > stick.thickness ? 1 : 0) * (PULL.out / 2);
    return {
      ...{ ...same, id: stick.id, kind: stick.kind, ...WORDS[stick.kind], role: "rail" },
      note: `Ends ${cutSaid(stick)}${stick.slope > 0 ? `; both edges bevelled ${degrees((Math.atan(stick.slope) * 180) / Math.PI)}` : ""}.`,
      // tapered legs say how long it is once they stand
      ...(low ? { markedFrom: "the dry-fitted legs" } : {}),
      ...stickBody(stick),
      opens: [stick.out[0] * out + 0, low ? -PULL.low : 0, stick.out[1] * out + 0],
    };
  });
  return [...leg, ...sticks];
}

/** Both ends of every rail and stretcher. */
export function splayedFrameMeetings({ at, joints }: BaseFacts<SplayedFrame>): Meeting[] {
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  return [...at.rails, ...at.lows].flatMap((stick) =>
    ([-1, 1] as const).flatMap((sign): Meeting[] => {
      const joint = byId.get(groupOf(stick));
      if (!joint) return [];
      const { face } = shoulderOf(stick, sign);
      return [
        {
          joint,
          ...{ enters: stick.id, receives: stick.holders[sign < 0 ? 0 : 1], face },
          // pockets are bored on the face that looks inward
          outward: outwardOf(stick, face),
        },
      ];
    }),
  );
}

/** A stick's joint is its group: by what it enters. */
export const groupOf = ({ kind, holders }: Pick<Stick, "kind" | "holders">): string =>
  `${holders[0].startsWith("U") ? "splay-end-stretcher" : "splayed-leg"}+${kind}`;

const outwardOf = ({ out }: Stick, { x, y }: Meeting["face"]): 1 | -1 =>
  dot(cross(x, y), [out[0], 0, out[1]]) > 0 ? 1 : -1;
