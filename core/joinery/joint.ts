/**
 * A joint as every kind of it is seen: which parts meet, how long it makes the one that enters, what is glued, what it leaves standing.
 * A kind is a file of this folder and a line in `kinds.ts`.
 */
import { circle } from "../assembly/outline";
import type { When } from "../assembly/part";
import type { Place } from "../assembly/place";
import type { Shape } from "../assembly/shape";
import { add, times, Vec } from "../assembly/vector";
import type { Remedy } from "../verdict/verdict";

/** What cuts it: a cutter or a loose tenon of the shop, or none that it owns. */
export interface Cutter {
  kind: "router bit" | "chisel" | "loose tenon" | "drill" | "none";
  size: number;
}

/** Wood that is left somewhere, and how much it should be, mm. */
export interface Wall {
  where: string;
  left: number;
  good: number;
  least: number;
}

/** What a joint of any kind says of itself. mm, mm² */
export interface Joint {
  /** such as "foot+post": all that share one choice */
  id: string;
  group: string;
  /** such as "Post to foot" */
  name: string;
  /** kinds of the parts that meet */
  receives: string;
  enters: string;
  /** times it is cut */
  count: number;
  /** added to the entering part at this end */
  length: number;
  glueArea: number;
  tool: Cutter;
  walls: Wall[];
  /** its group may as well be dowelled or screwed from pockets */
  anyEnd?: true;
  /** what its construction can give a tenon that is too short */
  longer?: Remedy[];
  /** where its choices are kept, when not by its group */
  setAt?: readonly string[];
  /** what the parts are sawn to before it is cut, where that is not square: first on its card */
  sawnTo?: SettingCard["lines"];
}

/** A body of a joint in the frame of the face where two parts meet: x into the part that receives, y along the face, z across it. */
export interface JointBody {
  shape: Shape;
  place: Place;
  /** comes out on the far side */
  shows?: boolean;
  /** see `Worked` */
  when?: When;
  markedFrom?: string;
}

/** A small part that a joint brings with it, which belongs to neither: a loose tenon, a pin, a wedge, a screw. */
export interface Brought extends JointBody {
  name: string;
  plural?: string;
  of: "wood" | "steel" | "felt";
  /** as it is bought, where its body is drawn to fit its hole: its diameter and its whole length, mm */
  sold?: { diameter: number; length: number };
}

/** What a joint adds to the part that enters and takes from both. */
export interface JointBodies {
  adds: JointBody[];
  cuts: JointBody[];
  /** taken from the part that enters: kerfs, holes, slots of loose tenons */
  own: JointBody[];
  brings?: Brought[];
}

/** A round body along x, y or z of the face, its axis through a point: a hole, a pin, a bolt. @param through  where its axis begins; mm */
export function round(way: "x" | "y" | "z", diameter: number, through: Vec, long: number): JointBody {
  const [at, x, y] = TURNED[way];
  const radius = diameter / 2;
  return {
    shape: {
      ...{ length: long, width: diameter, thickness: diameter },
      end: { outer: circle([radius, radius], radius), holes: [] },
    },
    place: { at: add(through, times(at, radius)), x, y },
  };
}
/** From a point of the axis to the corner of the box round it, in radii; where its length and its width point. */
const TURNED: Record<"x" | "y" | "z", readonly [Vec, Vec, Vec]> = {
  x: [
    [0, -1, -1],
    [1, 0, 0],
    [0, 1, 0],
  ],
  y: [
    [-1, 0, -1],
    [0, 1, 0],
    [0, 0, 1],
  ],
  z: [
    [-1, -1, 0],
    [0, 0, 1],
    [1, 0, 0],
  ],
};

/** A stretch along the face that is glued or held, for what moves across it. */
export interface Held {
  kind: "glue" | "screw" | "slot";
  name: string;
  /** along the face, from the corner, mm */
  from: number;
  to: number;
  /** room each way, mm, along the face or across it; none where it is rigid */
  play?: number;
  way?: "along" | "across";
  mend?: Remedy[];
}

/** A card for the bench: what to set, and on what. */
export interface SettingCard {
  joint: string;
  title: string;
  lines: { what: string; setting: string }[];
  marked: string;
}
