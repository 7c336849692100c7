/** A dry seam between two halves of a top, or a half and a leaf: pins keep their faces level, connectors let in below may draw it shut. */
import { fine, mm } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import { Brought, Held, Joint, JointBodies, JointBody, round, SettingCard } from "./joint";

/**
 * A pin is so much of the thickness, of those that are sold; one for so much of the width, two at least; so far from the sides; it goes so far
 * into each edge, and its hole is so much deeper; mm. @source common practice
 */
export const PINS = { share: 0.35, sold: [6, 8, 10, 12], every: 260, least: 2, edge: 60, reach: 20, deeper: 2 };
/**
 * A bolt across a seam with a half-round plate in a pocket at each end: the pocket's diameter, its middle from the seam, how far its floor lies over the
 * bolt, how wide the way between; wood over it; mm. @source common practice, from memory
 */
export const CONNECTOR = { pocket: 35, from: 60, over: 8, way: 8, bolt: 6, wall: { good: 6, least: 4 } };

export interface Seam extends Joint {
  kind: "seam";
  pins: number;
  pin: number;
  /** how far one goes into each edge, and how far it stands apart from its neighbour; mm */
  reach: number;
  pitch: number;
  first: number;
  /** bolts that draw it shut; 0 where it opens */
  connectors: number;
  /** how deep their pockets are, from below, mm */
  pocket: number;
  section: { width: number; thickness: number };
  behind: number;
}

export interface SeamInputs {
  meets: Meets;
  /** as wide as the top, as thick as the halves are */
  section: { width: number; thickness: number };
  /** along the top, of what receives */
  into: number;
  connectors: number;
}

/** Sizes pins by the thickness, and places them and the connectors. */
export function seam({ meets, section, into, connectors }: SeamInputs): Seam {
  const { width, thickness } = section;
  const asked = PINS.share * thickness;
  const pin = PINS.sold.reduce((a, b) => (Math.abs(b - asked) < Math.abs(a - asked) ? b : a));
  const edge = Math.min(PINS.edge, width / 6);
  const pins = Math.max(PINS.least, Math.round((width - 2 * edge) / PINS.every) + 1);
  const pocket = connectors === 0 ? 0 : Math.min(thickness - 1, thickness / 2 + CONNECTOR.over);
  return {
    ...meets,
    kind: "seam",
    ...{ pins, pin, connectors, pocket, section, reach: PINS.reach },
    first: edge,
    pitch: (width - 2 * edge) / (pins - 1),
    behind: into,
    length: 0,
    glueArea: 0,
    tool: { kind: "drill", size: pin },
    walls: [
      { where: "over and under the pins", left: (thickness - pin) / 2, good: 6, least: 4 },
      ...(connectors > 0 ? [{ where: "over the connectors", left: thickness - pocket, ...CONNECTOR.wall }] : []),
    ],
  };
}

/** How far along the seam each pin stands, and each connector: those between the pins, mm. */
export const pinsAlong = ({ pins, first, pitch }: Pick<Seam, "pins" | "first" | "pitch">): number[] =>
  Array.from({ length: pins }, (_, i) => first + i * pitch);
export function connectorsAlong(joint: Pick<Seam, "pins" | "first" | "pitch" | "connectors" | "section">): number[] {
  const { connectors, section } = joint;
  const pins = pinsAlong(joint);
  const least = CONNECTOR.pocket / 2 + PINS.edge / 2;
  return Array.from({ length: connectors }, (_, i) => {
    const even = ((i + 0.5) * section.width) / connectors;
    const near = pins.find((pin) => Math.abs(pin - even) < least);
    // beside a pin it would stand in, toward the middle
    return near === undefined ? even : near + (near > section.width / 2 + 1e-6 ? -least : least);
  });
}

export function seamBodies(joint: Seam): JointBodies {
  const { pin, reach, section, pocket } = joint;
  const middle = section.thickness / 2;
  const holes = (from: number, to: number): JointBody[] =>
    pinsAlong(joint).map((y) => round("x", pin, [from, y, middle], to - from));
  const { pocket: across, from, way, bolt } = CONNECTOR;
  const at = connectorsAlong(joint);
  const pockets = (side: 1 | -1): JointBody[] =>
    at.flatMap((y): JointBody[] => [
      round("z", across, [side * from, y, 0], pocket),
      {
        shape: { length: from, width: way, thickness: pocket },
        place: { at: [side > 0 ? 0 : -from, y - way / 2, 0], x: [1, 0, 0], y: [0, 1, 0] },
      },
    ]);
  const named = { name: "Seam pin", of: "wood" as const };
  return {
    adds: [],
    cuts: [...holes(0, reach + PINS.deeper), ...pockets(1)],
    own: [...holes(-reach - PINS.deeper, 0), ...pockets(-1)],
    brings: [
      ...holes(-reach, reach).map((body): Brought => ({
        ...{ ...body, ...named },
        sold: { diameter: pin, length: 2 * reach },
      })),
      ...at.map((y): Brought => ({
        ...round("x", bolt, [-from, y, middle], 2 * from),
        ...{ name: "Seam connector", of: "steel", sold: { diameter: bolt, length: 2 * from } },
      })),
    ],
  };
}

/** Its pins keep the halves from sliding past one another: they move alike, so that it is asked of them only when their woods differ. */
export const seamHeld = (joint: Seam): Held[] =>
  pinsAlong(joint).map((y) => ({ kind: "slot", name: "its pin", from: y, to: y, play: PIN_PLAY }));
/** A pin that is to slide in has so much room, mm. @source common practice */
const PIN_PLAY = 0.3;

export function seamCard(joint: Seam): SettingCard {
  const { pins, pin, reach, connectors, pocket, section, count } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${count} ${count > 1 ? "times" : "time"}`,
    lines: [
      { what: "Pins in each seam", setting: `${pins} of ${mm(pin)} by ${mm(2 * reach)}` },
      { what: "From the front edge", setting: pinsAlong(joint).map(fine).join(", ") },
      { what: "Up from the lower face", setting: fine(section.thickness / 2) },
      { what: "Holes", setting: `${mm(reach + PINS.deeper)} deep in both edges` },
      ...(connectors > 0
        ? [
            { what: "Connectors, from the front edge", setting: connectorsAlong(joint).map(fine).join(", ") },
            {
              what: "Their pockets, from below",
              setting: `${mm(CONNECTOR.pocket)} across, ${fine(pocket)} deep, ${mm(CONNECTOR.from)} from the seam; a way ${mm(CONNECTOR.way)} wide between`,
            },
          ]
        : []),
    ],
    marked: `Every edge from one jig laid on the upper face, its end at the front: any half then meets any leaf. Pins are glued in ${connectors > 0 ? "the left half" : "the edge that looks right"} only, their tips rounded and waxed.`,
  };
}
