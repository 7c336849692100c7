/** Dowels across a shoulder: round, bought, glued in holes bored in both parts to what the dowels measure. */
import type { TenonChoice } from "../piece/base-choices";
import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import type { TenonInputs } from "./blind-tenon";
import { TENON } from "./blind-tenon";
import { Brought, Held, Joint, JointBodies, JointBody, round, SettingCard } from "./joint";

/**
 * A dowel is so much of its part's thickness; one for so much of its width, two at least and so many at most; so far from the part's edges and
 * from one another, in diameters; a hole is so much deeper than the dowel goes in, mm. @source common practice
 */
export const DOWEL = { share: 0.4, every: 40, least: 2, most: 6, edge: 1.5, apart: 2.5, deeper: 2 };

export interface Dowelled extends Joint {
  kind: "dowelled";
  /** as it is sold, and the hole for what it measures, mm */
  diameter: number;
  hole: number;
  dowels: number;
  rows: number;
  /** whole, as it is bought or sawn off, and how far it goes into each part, mm */
  long: number;
  reach: number;
  /** the first from the part's edge and from one to the next along the face; the rows across it, mm */
  first: number;
  pitch: number;
  across: readonly number[];
  section: { width: number; thickness: number };
  behind: number;
}

export interface DowelInputs extends TenonInputs {
  /** where others come at them from the side: those of one stand half a pitch higher, so that all pass */
  raised?: boolean | null;
}

/**
 * Sizes dowels from those the shop has: about two fifths of the part's thickness, as long as both parts take.
 *
 * @returns sizes that may be impossible (negative walls): the rules of joints judge them
 */
export function dowelled({
  meets,
  section,
  into,
  setting,
  shop,
  most = Infinity,
  wall = { good: TENON.wall, least: TENON.wallLeast },
  raised = null,
}: DowelInputs): Dowelled {
  const { diameter, hole, owned } = dowelOf(shop, section.thickness, setting);
  const rows = setting.twin ? 2 : 1;
  const edge = DOWEL.edge * diameter;
  const wanted = Math.max(DOWEL.least, Math.min(DOWEL.most, Math.round(section.width / DOWEL.every)));
  // a part so narrow that two stand too near takes one
  const room = Math.max(1, Math.floor((section.width - 2 * edge) / (DOWEL.apart * diameter)) + 1);
  const dowels = setting.tenons ?? Math.min(wanted, room);
  // those that pass one another lie on two ladders, a half rung apart
  const rungs = raised === null ? dowels - 1 : dowels - 0.5;
  const pitch = rungs > 0 ? Math.max(0, section.width - 2 * edge) / rungs : 0;
  const longest = Math.max(1, Math.floor(Math.min(into.depth - wall.good - DOWEL.deeper, most) * 2) / 2);
  const sold = shop.dowels.filter((each) => each.diameter === diameter).map(({ length }) => length);
  const fits = sold.filter((length) => length / 2 <= longest);
  const reach = setting.length ?? (fits.length > 0 ? Math.max(...fits) / 2 : longest);
  const first = rungs > 0 ? edge + (raised ? pitch / 2 : 0) : section.width / 2;
  const across = Array.from({ length: rows }, (_, i) => (section.thickness * (i + 1)) / (rows + 1));
  return {
    ...meets,
    kind: "dowelled",
    ...{ diameter, hole, dowels, rows, reach, first, pitch, across, section },
    long: 2 * reach,
    behind: into.depth,
    length: 0,
    glueArea: Math.PI * hole * reach * dowels * rows,
    tool: owned ? { kind: "drill", size: hole } : { kind: "none", size: hole },
    walls: [
      { where: "beyond the dowels’ holes", left: into.depth - reach - DOWEL.deeper, ...wall },
      { where: "beside the dowels", left: across[0] - hole / 2, good: TENON.leastShoulder, least: 2.5 },
      {
        where: "beside the dowels in what receives them",
        left: (into.thickness - section.thickness) / 2 + across[0] - hole / 2,
        ...{ good: TENON.leastShoulder, least: 2.5 },
      },
      ...(dowels > 1
        ? [{ where: "from one dowel to the next", left: pitch - hole, good: diameter, least: diameter / 2 }]
        : []),
      ...(raised !== null && dowels > 1
        ? [{ where: "between dowels that pass each other", left: pitch / 2 - hole, good: 3, least: 1.5 }]
        : []),
    ],
  };
}

/** The dowel nearest to what the part's thickness asks for, or the one that is set, and the hole for what it measures. */
export function dowelOf(shop: Shop, thickness: number, { thickness: set }: Pick<TenonChoice, "thickness">) {
  const asked = set ?? thickness * DOWEL.share;
  const far = ({ diameter }: Shop["dowels"][number]) => Math.abs(diameter - asked);
  const nearest = shop.dowels.reduce<Shop["dowels"][number] | null>((a, b) => (!a || far(b) < far(a) ? b : a), null);
  const owned = nearest !== null && (set === null || far(nearest) < 0.05);
  const diameter = owned ? nearest.diameter : asked;
  return { diameter, hole: owned ? (nearest.measured ?? nearest.diameter) : asked, owned };
}

/** How far along the face each dowel of a row stands. mm */
export const dowelsAlong = ({ dowels, first, pitch }: Pick<Dowelled, "dowels" | "first" | "pitch">): number[] =>
  Array.from({ length: dowels }, (_, i) => first + i * pitch);

export function dowelledBodies(joint: Dowelled): JointBodies {
  const { hole, reach, across } = joint;
  const each = (from: number, to: number): JointBody[] =>
    across.flatMap((z) => dowelsAlong(joint).map((y) => round("x", hole, [from, y, z], to - from)));
  return {
    adds: [],
    cuts: each(0, reach + DOWEL.deeper),
    own: each(-reach - DOWEL.deeper, 0),
    brings: each(-reach, reach).map((body): Brought => ({
      ...body,
      ...{ name: "Dowel", of: "wood", sold: { diameter: joint.diameter, length: joint.long } },
    })),
  };
}

/** Each dowel's glue is a stretch along the face. */
export const dowelledHeld = (joint: Dowelled): Held[] =>
  dowelsAlong(joint).map((y) => ({
    ...{ kind: "glue", name: "its dowel" },
    ...{ from: y - joint.hole / 2, to: y + joint.hole / 2 },
  }));

export function dowelledCard(joint: Dowelled): SettingCard {
  const { dowels, rows, diameter, hole, long, reach, across, tool } = joint;
  return {
    joint: joint.id,
    title: `${joint.name}, ${joint.count} times`,
    lines: [
      {
        what: "Dowels",
        setting: `${rows > 1 ? `${rows} rows of ${dowels}` : dowels} of ${mm(diameter)} by ${mm(long)}`,
      },
      {
        what: "Drill",
        setting:
          tool.kind === "none"
            ? `no dowels of ${mm(diameter)} in the shop`
            : hole === diameter
              ? `${mm(hole)}, tried in an offcut: dowels are seldom what they are sold as`
              : `${fine(hole)}, as they measure`,
      },
      { what: "Hole depth in both parts", setting: mm(reach + DOWEL.deeper) },
      { what: "From the part’s edge", setting: dowelsAlong(joint).map(fine).join(", ") },
      { what: "From the part’s face", setting: across.map(fine).join(" and ") },
    ],
    marked:
      "Both parts from their face sides against one jig or one fence. Holes countersunk a little, dowels fluted or with a flat: glue must get out.",
  };
}
