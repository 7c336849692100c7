/** Screws drawn in at a slant from pockets in the part's own side, through its end into the other. */
import type { Shop } from "../piece/shop";
import { cross, times, Vec } from "../assembly/vector";
import { circle } from "../assembly/outline";
import { fine, mm } from "../verdict/verdict";
import type { TenonInputs } from "./blind-tenon";
import { Brought, Held, Joint, JointBodies, JointBody, SettingCard } from "./joint";

/**
 * The jig’s slant, degrees; its stepped bit and the holes of shank and thread, mm; wood from the pocket's bottom to the end as a share of the
 * thickness; a screw for so much of the width and so far from the edges; what a screw leaves over its point. @source common practice, from memory
 */
export const POCKET = {
  slant: 15,
  bore: 9.5,
  shank: 4,
  pilot: 3.2,
  seat: 0.75,
  every: 60,
  edge: 14,
  over: 3,
  most: 6,
};

export interface PocketScrewed extends Joint {
  kind: "pocket-screwed";
  screws: number;
  /** a screw's length, how much of it lies before the face, how much bites behind it; mm */
  long: number;
  seat: number;
  bite: number;
  first: number;
  pitch: number;
  /** how far up the part's side the pocket shows, from its end, mm */
  opens: number;
  section: { width: number; thickness: number };
  behind: number;
}

const RADIANS = (POCKET.slant * Math.PI) / 180;
const [COS, SIN] = [Math.cos(RADIANS), Math.sin(RADIANS)];

/**
 * Sizes pocket screws: their holes come out in the middle of the part's end, the longest screw that is sold bites as deep as the part is thick and
 * does not come through.
 *
 * @returns sizes that may be impossible: the rules of joints judge them
 */
export function pocketScrewed({ meets, section, into, setting, shop }: TenonInputs): PocketScrewed {
  const { width, thickness } = section;
  const seat = POCKET.seat * thickness;
  const deepest = Math.min(thickness, (into.depth - POCKET.over) / COS);
  const long = setting.length ?? screwOf(shop, seat, deepest);
  const screws = setting.tenons ?? Math.max(1, Math.min(POCKET.most, Math.round(width / POCKET.every) + 1));
  const edge = Math.min(POCKET.edge, width / 4);
  const pitch = screws > 1 ? (width - 2 * edge) / (screws - 1) : 0;
  const bite = Math.max(0, long - seat);
  return {
    ...meets,
    kind: "pocket-screwed",
    ...{ screws, long, seat, bite, pitch, section },
    first: screws > 1 ? edge : width / 2,
    opens: pocketOpens(thickness),
    behind: into.depth,
    length: 0,
    glueArea: 0,
    tool: shop.pocketScrews.length > 0 ? { kind: "drill", size: POCKET.bore } : { kind: "none", size: POCKET.bore },
    walls: [
      {
        where: "over the pockets, to the far side",
        left: thickness / 2 + seat * SIN - (POCKET.bore / 2) * COS,
        ...{ good: 4, least: 3 },
      },
      { where: "beyond the screws’ points", left: into.depth - bite * COS, good: POCKET.over, least: 1.5 },
      ...(screws > 1
        ? [{ where: "from one pocket to the next", left: pitch - POCKET.bore, good: POCKET.bore, least: 4 }]
        : []),
      { where: "from a pocket to the part’s edge", left: edge - POCKET.bore / 2, good: 6, least: 4 },
    ],
  };
}

/** How far up a part’s side from its end a pocket shows, mm. */
export const pocketOpens = (thickness: number) => openAt(thickness) * COS;

/** The longest screw that is sold and bites no deeper than it may; the shortest where none does. */
function screwOf({ pocketScrews }: Pick<Shop, "pocketScrews">, seat: number, deepest: number): number {
  const sold = [...pocketScrews].sort((a, b) => a - b);
  return sold.findLast((long) => long - seat <= deepest) ?? sold[0] ?? Math.round(seat + deepest);
}

/** How far along its axis from the end a bore lies wholly outside the part’s side, mm. */
const openAt = (thickness: number) => (thickness / 2 + (POCKET.bore / 2) * COS) / SIN;

/** How far along the face each screw comes out. mm */
export const screwsAlong = ({ screws, first, pitch }: Pick<PocketScrewed, "screws" | "first" | "pitch">): number[] =>
  Array.from({ length: screws }, (_, i) => first + i * pitch);

/** @param outward  1 where the part’s outer face lies at the far side of the face’s frame, −1 at the near one: pockets are inside */
export function pocketScrewedBodies(joint: PocketScrewed, outward: 1 | -1): JointBodies {
  const { seat, bite, section } = joint;
  const way: Vec = [COS, 0, outward * SIN];
  const from = openAt(section.thickness);
  // a hair over the face, where a slanted hole would leave a sliver
  const clear = POCKET.shank * SIN;
  const each = (diameter: number, begin: number, end: number): JointBody[] =>
    screwsAlong(joint).map((y) => slanted(diameter, { way, through: [0, y, section.thickness / 2] }, begin, end));
  return {
    adds: [],
    cuts: each(POCKET.pilot, -clear, bite),
    own: [...each(POCKET.bore, -from, -seat), ...each(POCKET.shank, -seat - 1, clear)],
    brings: each(POCKET.pilot, -seat, bite).map((body): Brought => ({
      ...body,
      ...{ name: "Pocket screw", of: "steel", sold: { diameter: POCKET.shank, length: joint.long } },
    })),
  };
}

/** A round body along a direction square to y, from one distance to another before and behind a point of its axis. mm */
function slanted(diameter: number, axis: { way: Vec; through: Vec }, from: number, to: number): JointBody {
  const { way, through } = axis;
  const radius = diameter / 2;
  const z = cross(way, [0, 1, 0]);
  const at = [0, 1, 2].map((i) => through[i] + from * way[i] - radius * ([0, 1, 0][i] + z[i]));
  return {
    shape: {
      ...{ length: to - from, width: diameter, thickness: diameter },
      end: { outer: circle([radius, radius], radius), holes: [] },
    },
    place: { at: [at[0], at[1], at[2]], x: times(way, 1), y: [0, 1, 0] },
  };
}

export const pocketScrewedHeld = (joint: PocketScrewed): Held[] =>
  screwsAlong(joint).map((y) => ({ kind: "screw", name: "its screw", from: y, to: y }));

export function pocketScrewedCard(joint: PocketScrewed): SettingCard {
  const { screws, long, seat, bite, section, opens, tool } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: "Pocket screws",
        setting:
          tool.kind === "none"
            ? "none in the shop"
            : `${screws} of ${mm(long)}: a coarse thread in soft wood, a fine one in hard`,
      },
      { what: "From the part’s edge", setting: screwsAlong(joint).map(fine).join(", ") },
      { what: "Jig set for stock", setting: fine(section.thickness) },
      { what: "Bit’s stop: wood from the pocket’s bottom to the end", setting: fine(seat) },
      { what: "It bites", setting: fine(bite) },
      { what: "Pockets show inside as far from the end as", setting: mm(opens) },
    ],
    marked:
      "Pockets on the inner face, bored before anything is glued; faces clamped flush while they are screwed, or the screw walks. Plugs where they are seen.",
  };
}
