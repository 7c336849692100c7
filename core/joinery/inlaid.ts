/** A piece let into a face by a template: a key across a check, a plug, a patch. Glued round its edges and below, then planed flush. */
import { Outline, Spot, straight, circle } from "../assembly/outline";
import { HOME } from "../assembly/place";
import { fine, mm } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import { cuttersOf } from "./cutters";
import type { Shop } from "../piece/shop";
import type { Cutter, Held, Joint, JointBodies, SettingCard } from "./joint";

/** What an inlay is: a key with a waist, a round plug, a patch with square corners, a lozenge. */
export const INLAY_SHAPES = ["key", "plug", "patch", "lozenge"] as const;
export type InlayShape = (typeof INLAY_SHAPES)[number];

/** @source common practice */
export const INLAID = {
  /** a key's waist, as a share of its width */
  waist: 0.5,
  /** left below, mm */
  wall: { good: 5, least: 3 },
  /** proud until the glue is dry, mm */
  proud: 1,
};

export interface Inlaid extends Joint {
  kind: "inlaid";
  shape: InlayShape;
  /** along its grain, and across it; how deep it lies */
  section: { width: number; thickness: number };
  deep: number;
  behind: number;
}

/** Its outline seen from above, along its grain and across it, from its corner. */
export function inlayOutline(shape: InlayShape, length: number, width: number): Outline {
  const middle: Spot = [length / 2, width / 2];
  const waist = (width * (1 - INLAID.waist)) / 2;
  switch (shape) {
    case "plug":
      return { outer: circle(middle, length / 2), holes: [] };
    case "patch":
      return corners([0, 0], [length, 0], [length, width], [0, width]);
    case "lozenge":
      return corners([length / 2, 0], [length, width / 2], [length / 2, width], [0, width / 2]);
    case "key":
      return corners(
        ...([
          [0, 0],
          [length / 2, waist],
          [length, 0],
          [length, width],
          [length / 2, width - waist],
          [0, width],
        ] as Spot[]),
      );
  }
}
const corners = (...spots: Spot[]): Outline => ({ outer: straight(spots), holes: [] });

export interface InlaidInputs {
  meets: Meets;
  shape: InlayShape;
  size: { length: number; width: number };
  deep: number;
  into: number;
  shop: Shop;
}

/** Sizes the pocket: as deep as it is asked for, whatever that leaves below. */
export function inlaid({ meets, shape, size: { length, width }, deep, into, shop }: InlaidInputs): Inlaid {
  return {
    ...meets,
    kind: "inlaid",
    ...{ shape, deep, behind: into, length: 0, section: { width: length, thickness: width } },
    tool: smallest(shop),
    glueArea: length * width,
    walls: [{ where: "below the inlay", left: into - deep, ...INLAID.wall }],
  };
}

/** The narrowest straight cutter of the shop: what it leaves round in a corner is cut by a chisel. */
function smallest(shop: Shop): Cutter {
  const bits = cuttersOf(shop).filter(({ kind }) => kind === "router bit");
  return bits.length === 0 ? { kind: "none", size: 0 } : bits.reduce((a, b) => (b.size < a.size ? b : a));
}

/** Seen from the pocket's floor: down into the part, along the inlay's grain, across it. */
export function inlaidBodies({ shape, section, deep }: Inlaid): JointBodies {
  const size = { length: deep, width: section.width, thickness: section.thickness };
  const end = inlayOutline(shape, section.width, section.thickness);
  return {
    adds: [],
    cuts: [{ shape: { ...size, end }, place: { ...HOME, at: [-deep, 0, 0] }, shows: true }],
    own: [],
  };
}

export const inlaidHeld = ({ section }: Inlaid): Held[] => [
  { kind: "glue", name: "its glue", from: 0, to: section.width },
];

export function inlaidCard(joint: Inlaid): SettingCard {
  const { section, deep, tool, shape } = joint;
  const round = shape === "plug";
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      { what: "Pocket", setting: `${fine(deep)} deep` },
      {
        what: round ? "Across" : "Long and across",
        setting: round ? mm(section.width) : `${mm(section.width)} by ${mm(section.thickness)}`,
      },
      {
        what: "Cutter",
        setting:
          tool.kind === "none"
            ? "no straight cutter in the shop: chopped by hand to a knife line"
            : `${mm(tool.size)}${round ? "" : `: it leaves corners round by ${fine(tool.size / 2)}, squared by chisel to the knife line`}`,
      },
      ...(tool.kind === "none"
        ? []
        : [
            {
              what: "Template for both",
              setting: `a bush with a collar for the pocket, wider than the bush by two cutters, ${mm(2 * tool.size)}; without it for the inlay`,
            },
          ]),
      { what: "Inlay", setting: `${fine(deep + INLAID.proud)} thick, planed flush when the glue is dry` },
    ],
    marked: "Each pocket is knifed round its own inlay, and both are numbered.",
  };
}
