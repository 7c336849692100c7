/** A blind tenon that is foxed: wedges started in its end are driven by the mortise's floor and spread it into a flare. mm */
import { straight } from "../assembly/outline";
import { HOME } from "../assembly/place";
import { fine, mm } from "../verdict/verdict";
import type { Brought, JointBody, SettingCard } from "./joint";

/**
 * Kerfs so far from the tenon's edges, ending so far before its shoulder; a wedge shorter than its kerf by so much, that it never stands on
 * the kerf's bottom; the most each edge is spread, and the least that holds.
 *
 * @source common practice
 */
export const FOX = { strip: 5, stops: 6, short: 3, most: 2.5, least: 0.6, good: 1 };
/** Dry wood bent along its grain takes so much strain at its faces before it breaks. @source from memory: bending strength over stiffness, some 0.9 % */
export const BENDS = 0.009;

/** What spreads it: how deep its kerfs are and how wide, how far each edge goes out at the tip. */
export interface Fox {
  depth: number;
  kerf: number;
  spread: number;
}

/**
 * The strip beyond each kerf is a beam held at the kerf's bottom and bent at its tip: its faces are strained 3·t·d / 2·l², which says how far
 * it may go out.
 *
 * @param length  of the tenon
 */
export function foxOf(length: number, kerf: number): Fox {
  const depth = Math.max(1, length - FOX.stops);
  const bends = (2 * BENDS * depth ** 2) / (3 * FOX.strip);
  return { depth, kerf, spread: Math.floor(10 * Math.min(FOX.most, bends)) / 10 };
}

type Tenon = Record<"length" | "mortiseDepth" | "tenonWidth" | "thickness", number>;

/** A mortise wider at its floor by the spread of both edges. @param at  its corner at the face */
export function flared(
  { mortiseDepth: depth, tenonWidth, thickness }: Tenon,
  { spread }: Fox,
  at: JointBody["place"]["at"],
): JointBody {
  const width = tenonWidth + 2 * spread;
  return {
    shape: {
      ...{ length: depth, width, thickness },
      face: {
        outer: straight([
          [0, spread],
          [depth, 0],
          [depth, width],
          [0, width - spread],
        ]),
        holes: [],
      },
    },
    place: { ...HOME, at: [at[0], at[1] - spread, at[2]] },
  };
}

/** Both kerfs of a tenon, and a wedge in each. @param at  the tenon's corner at the shoulder */
export function foxed(
  { length, tenonWidth, thickness }: Tenon,
  { depth, kerf }: Fox,
  at: JointBody["place"]["at"],
): { own: JointBody[]; brings: Brought[] } {
  const slits = [FOX.strip, tenonWidth - FOX.strip - kerf].map((y): JointBody => ({
    shape: { length: depth, width: kerf, thickness },
    place: { ...HOME, at: [at[0] + length - depth, at[1] + y, at[2]] },
  }));
  return {
    own: slits,
    brings: slits.map((slit): Brought => ({
      ...{ name: "Wedge", of: "wood" },
      shape: { ...slit.shape, length: wedgeLong({ depth }) },
      place: { ...slit.place, at: [at[0] + length - wedgeLong({ depth }), slit.place.at[1], at[2]] },
    })),
  };
}

const wedgeLong = ({ depth }: Pick<Fox, "depth">) => Math.max(1, depth - FOX.short);

export function foxLines(joint: Tenon, fox: Fox): SettingCard["lines"] {
  const deeper = joint.mortiseDepth - joint.length;
  return [
    { what: "Two kerfs, from its edges", setting: `${mm(FOX.strip)}, ${mm(fox.depth)} deep` },
    { what: "Mortise wider at its floor, each end", setting: fine(fox.spread) },
    {
      what: "Wedges, driven by the floor",
      setting: `${mm(wedgeLong(fox) + deeper)} long, ${fine(fox.kerf + fox.spread)} at the thick end`,
    },
  ];
}
export const FOX_MARKED =
  " There is no second try: mortises alike in depth by a gauge, every wedge by one pattern, the shoulder closed dry without wedges; a kerf opened by a spare wedge shows that the strip bends. Then glue, and driven home in one go.";
