/** A board's end in a rebate along another's end, glued, and pinned through from outside into the wood beyond its shoulder. */
import { HOME } from "../assembly/place";
import type { TenonChoice } from "../piece/base-choices";
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import { dowelOf } from "./dowelled";
import { Brought, Held, Joint, JointBodies, JointBody, round, SettingCard } from "./joint";

/**
 * The rebate goes so far through the board that has it; a pin for so much of the width, two at least, of the dowel nearest to so much of the
 * rebate's depth, so far into the wood beyond the shoulder; what stays over the rebate. Shares and mm. @source common practice
 */
const REBATE = { deep: 2 / 3, every: 80, least: 2, pin: 0.45, into: 25, wall: { good: 6, least: 3 } };

/** How deep the rebate is in a board of a thickness, mm. */
export const rebateDeep = (thickness: number) => Math.max(1, Math.round(thickness * REBATE.deep));

export interface Rebated extends Joint {
  kind: "rebated";
  section: { width: number; thickness: number };
  behind: number;
  pins: number;
  pin: number;
  hole: number;
  /** how far a pin goes on beyond the shoulder, mm */
  into: number;
}

export interface RebatedInputs {
  meets: Meets;
  section: { width: number; thickness: number };
  /** how thick the board with the rebate is */
  into: { depth: number };
  setting: TenonChoice;
  shop: Shop;
}

/** Sizes the rebate and its pins; pins thicker than the rebate is deep are its walls' to tell. */
export function rebated({ meets, section, into: { depth }, setting, shop }: RebatedInputs): Rebated {
  const length = setting.length ?? rebateDeep(depth);
  const { diameter, hole } = dowelOf(shop, (length * REBATE.pin) / 0.4, setting);
  return {
    ...meets,
    kind: "rebated",
    ...{ section, length, pin: diameter, hole, into: REBATE.into, behind: depth },
    pins: setting.tenons ?? Math.max(REBATE.least, Math.round(section.width / REBATE.every)),
    tool: { kind: "drill", size: hole },
    glueArea: section.width * (section.thickness + length),
    walls: [
      { where: "over the rebate", left: depth - length, ...REBATE.wall },
      { where: "over and under the pins", left: (length - hole) / 2, good: 3, least: 2 },
    ],
  };
}

/** Middles of the pins along the edge: half a pitch in from both ends. */
export const rebatePins = ({ section: { width }, pins }: Pick<Rebated, "section" | "pins">): number[] =>
  Array.from({ length: pins }, (_, i) => ((i + 0.5) * width) / pins);

/** @param outward  1: the pins come from far along z; −1: from z 0 */
export function rebatedBodies(joint: Rebated, outward: 1 | -1): JointBodies {
  const { section, length, pin, hole, into } = joint;
  const whole: JointBody = { shape: { length, ...section }, place: HOME };
  const bored = (diameter: number, from: number, to: number) =>
    rebatePins(joint).map((y) => round("z", diameter, [length / 2, y, from], to - from));
  const [beyond, all] =
    outward > 0
      ? [
          [-into, 0],
          [-into, section.thickness],
        ]
      : [
          [section.thickness, section.thickness + into],
          [0, section.thickness + into],
        ];
  return {
    adds: [whole],
    cuts: [whole, ...bored(hole, beyond[0], beyond[1])],
    own: bored(hole, 0, section.thickness).map((body) => ({ ...body, when: "closed", shows: true })),
    brings: bored(pin, all[0], all[1]).map((body): Brought => ({
      ...body,
      ...{ name: "Dowel", of: "wood", sold: { diameter: pin, length: Math.ceil(section.thickness + into) } },
    })),
  };
}

/** Glued from edge to edge: both boards move alike along it. */
export const rebatedHeld = ({ section }: Rebated): Held[] => [
  { kind: "glue", name: "its rebate", from: 0, to: section.width },
];

export function rebatedCard(joint: Rebated): SettingCard {
  const { section, length, behind, pins, pin, hole, into, count } = joint;
  const pitch = section.width / pins;
  return {
    joint: joint.id,
    title: `${joint.name}, ${count} times`,
    lines: [
      { what: "Rebate", setting: `${mm(length)} deep, ${fine(section.thickness)} wide: set to the board itself` },
      { what: "What stays over it", setting: fine(behind - length) },
      {
        what: "Pins, once it is glued",
        setting: `${pins} of ${mm(pin)}, ${mm(Math.ceil(section.thickness + into))} long, the first ${fine(pitch / 2)} from the edge, ${fine(pitch)} from one to the next`,
      },
      {
        what: "Their holes",
        setting: `${fine(hole)}, ${fine(length / 2)} from the shoulder, ${mm(section.thickness + into)} deep from outside`,
      },
    ],
    marked:
      "The rebate’s shoulder is knifed from the board that stands in it; pins a hair off square by turns hold like nails.",
  };
}
