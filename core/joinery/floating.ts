/** Two grains that cross, glued at one place only: loose tenons that sit tight in the part across and, but for the middle one, slide in the other. */
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import type { Meets } from "./blind-tenon";
import { looseTenonsOf, ownedSize } from "./cutters";
import { Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";

/** A loose tenon’s share of the thickness; how far it reaches each way and how much deeper its mortise is; how wide it is; one for so much; its end from the edge; glue either side of the middle; wood beyond and beside it; mm. @source common practice */
export const FLOAT = {
  ...{ share: 1 / 3, reach: 25, deeper: 2, wide: 40, every: 140, edge: 20, glued: 25 },
  ...{ wall: { good: 6, least: 4 }, beyond: { good: 12, least: 6 } },
};

export interface Floating extends Joint {
  kind: "floating";
  /** an odd number: the middle one stays */
  tenons: number;
  thickness: number;
  tenonWidth: number;
  reach: number;
  pitch: number;
  /** what a mortise is longer than its tenon each way, where it slides */
  slot: number;
  section: { width: number; thickness: number };
  behind: number;
}

export interface FloatingInputs {
  meets: Meets;
  /** as wide as both are along the seam, as thick as they are */
  section: { width: number; thickness: number };
  /** of the part across, square to the seam */
  into: number;
  slot: number;
  shop: Shop;
}

/** An odd number of tenons, evenly about the middle of a seam so wide. */
export function spread(width: number, slot: number) {
  const tenonWidth = Math.min(FLOAT.wide, width / 6);
  const half = Math.max(0, width / 2 - FLOAT.edge - slot - tenonWidth / 2);
  const sides = Math.max(1, Math.round(half / FLOAT.every));
  return { tenonWidth, tenons: 2 * sides + 1, pitch: half / sides, section: { width } };
}

/** Sizes and spreads the tenons evenly about the middle. */
export function floating({ meets, section, into, slot, shop }: FloatingInputs): Floating {
  const { width, thickness } = section;
  const { size, tool } = ownedSize(looseTenonsOf(shop), thickness * FLOAT.share, null);
  const reach = Math.min(FLOAT.reach, into / 2 - FLOAT.deeper - 1);
  const { tenons, tenonWidth, pitch } = spread(width, slot);
  const beyond = width / 2 - (pitch * (tenons - 1)) / 2 - tenonWidth / 2 - slot;
  return {
    ...meets,
    kind: "floating",
    ...{ tenons, thickness: size, tenonWidth, reach, pitch, slot, section },
    ...{ behind: into, length: 0, tool },
    glueArea: FLOAT.glued * 2 * thickness,
    walls: [
      { where: "over and under the tenons", left: (thickness - size) / 2, ...FLOAT.wall },
      { where: "between the tenons from both sides", left: into - 2 * (reach + FLOAT.deeper), ...FLOAT.wall },
      { where: "beyond the outermost slot", left: beyond, ...FLOAT.beyond },
    ],
  };
}

/** Where the tenons’ middles stand along the seam, from its corner, mm. */
export const floatsAlong = ({
  tenons,
  pitch,
  section,
}: Pick<Floating, "tenons" | "pitch"> & {
  section: { width: number };
}): number[] => Array.from({ length: tenons }, (_, i) => section.width / 2 + (i - (tenons - 1) / 2) * pitch);

const isMiddle = ({ tenons }: Floating, i: number) => i === (tenons - 1) / 2;

export function floatingBodies(joint: Floating): JointBodies {
  const { thickness, tenonWidth, reach, slot, section } = joint;
  const low = (section.thickness - thickness) / 2;
  const body = (x: number, long: number, y: number, wide: number): JointBody => ({
    shape: { length: long, width: wide, thickness },
    place: { at: [x, y - wide / 2, low], x: [1, 0, 0], y: [0, 1, 0] },
  });
  const deep = reach + FLOAT.deeper;
  const places = floatsAlong(joint);
  return {
    adds: [],
    cuts: places.map((y) => body(0, deep, y, tenonWidth)),
    own: places.map((y, i) => body(-deep, deep, y, tenonWidth + (isMiddle(joint, i) ? 0 : 2 * slot))),
    brings: places.map((y) => ({
      ...body(-reach, 2 * reach, y, tenonWidth),
      ...{ name: "Loose tenon", of: "wood" as const },
    })),
  };
}

/** Glue about the middle, and tenons that slide so far. */
export function floatingHeld(joint: Floating): Held[] {
  const middle = joint.section.width / 2;
  const glue: Held = {
    kind: "glue",
    name: "the glue in its middle",
    from: middle - FLOAT.glued,
    to: middle + FLOAT.glued,
  };
  const slid = floatsAlong(joint).filter((_, i) => !isMiddle(joint, i));
  return [glue, ...slid.map((y): Held => ({ kind: "slot", name: "its tenon", from: y, to: y, play: joint.slot }))];
}

export function floatingCard(joint: Floating): SettingCard {
  const { tenons, thickness, tenonWidth, reach, slot, section, count } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${count} ${count > 1 ? "times" : "time"}`,
    lines: [
      {
        what: "Loose tenons in each seam",
        setting: `${tenons} of ${fine(thickness)} by ${mm(tenonWidth)} by ${mm(2 * reach)}`,
      },
      { what: "Their middles from the front edge", setting: floatsAlong(joint).map(fine).join(", ") },
      { what: "Middle of the slot, up from the lower face", setting: fine(section.thickness / 2) },
      { what: "Mortises", setting: `${mm(reach + FLOAT.deeper)} deep in both` },
      { what: "In the piece across, and in the middle of the half", setting: `${mm(tenonWidth)} wide, tight` },
      { what: "Elsewhere in the half", setting: `${fine(tenonWidth + 2 * slot)} wide, the tenon in its middle` },
      { what: "Glue", setting: `${mm(2 * FLOAT.glued)} of the seam in the middle, and its tenon` },
    ],
    marked:
      "Both from the upper face, by lines drawn across the closed seam; the other tenons are glued in the piece across only, their free ends waxed.",
  };
}
