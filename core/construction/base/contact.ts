/** Faces that parts share: from one list of them follow a construction's joints and where they are. */
import type { Meeting } from "../../assembly/meeting";
import type { Place } from "../../assembly/place";
import { blindTenon, Meets } from "../../joinery/blind-tenon";
import { dovetail, Slope } from "../../joinery/dovetail";
import { endJoint } from "../../joinery/end-joint";
import { glued } from "../../joinery/glued";
import { housing } from "../../joinery/housing";
import type { SettingCard } from "../../joinery/joint";
import type { KindOfJoint } from "../../joinery/kinds";
import { mitre } from "../../joinery/mitre";
import type { MitreHolding } from "../../joinery/mitred";
import { railEnd } from "../../joinery/rail-end";
import { rebated } from "../../joinery/rebated";
import { ScrewedInputs, screwed } from "../../joinery/screwed";
import { USUAL_TENON } from "../../piece/base-choices";
import type { JointChoices } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import { mm } from "../../verdict/verdict";

/**
 * A face two parts share: let in over the whole end, stopped before the front, on stub tenons, edge to edge along the grain, tenoned into a leg that another rail enters
 * beside it, dovetailed lapped or through, mitred, in a rebate with pins,
 * butted on loose tenons or dowels, glued face to face, screwed.
 */
export interface Contact {
  /** receives+enters, by kinds: all of it share one joint */
  group: string;
  name: string;
  enters: string;
  receives: string;
  how:
    | "let-in"
    | "stopped"
    | "stub"
    | "edge"
    | "rail"
    | "lapped"
    | "through"
    | "mitred"
    | "rebated"
    | "butted"
    | "glued"
    | "screws";
  section: { width: number; thickness: number };
  /** how far the part that receives goes on behind the face, and how much of that is its own */
  depth: number;
  most?: number;
  face: Place;
  /** where the side that looks outward counts, see `Meeting.outward` */
  outward?: 1 | -1;
  /** of rails that meet in a leg: set back from its face, which of two short ones passes, see `Meeting.outward` */
  rail?: { reveal: number; passes: boolean; outward: 1 | -1 };
  /** of edges and butted ends: a loose tenon for so much of their length, mm */
  every?: number;
  /** of dovetails; null or nothing: as the width asks for */
  tails?: number | null;
  /** of screws */
  screws?: Pick<ScrewedInputs, "screws" | "through" | "long" | "slot" | "slotWay" | "tight" | "spots">;
  /** of a mitre: what holds it; how its boards are cut */
  mitre?: { held: MitreHolding; set: SettingCard["lines"] };
}

/** Four boards that run round a box, from outside to outside and from their lower edges up. mm */
export interface Ring {
  x: { from: number; to: number };
  z: { from: number; to: number };
  y: { from: number; to: number };
}

/**
 * The face of a mitre at a corner of boards that run round, seen from the one that runs from front to back: square to the cut into it,
 * along the upright edge, from the outside corner inward.
 *
 * @param sx  −1 at the left, 1 at the right; `sz` −1 behind, 1 in front
 */
export function mitredCorner({ x, y, z }: Ring, sx: -1 | 1, sz: -1 | 1): Place {
  const half = Math.SQRT1_2;
  // along the edge up or down, as the corner turns
  const up = sx * sz < 0;
  return {
    at: [sx < 0 ? x.from : x.to, up ? y.from : y.to, sz < 0 ? z.from : z.to],
    ...{ x: [sx * half, 0, -sz * half], y: [0, up ? 1 : -1, 0] },
  };
}

/** Boards are thinner than legs: what stays beyond and beside a mortise, mm. @source common practice */
const WALL = { good: 4, least: 2.5 };
/** A housing stops so far short of the front edge, mm. @source common practice */
const STOPPED = 10;
/** Wood screws as they are sold, mm. @source common practice */
const SCREWS = [16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 120];

/** The longest screw that is sold and stays inside; the shortest where none does. mm */
export const screwFor = (most: number) => SCREWS.findLast((long) => long <= most) ?? SCREWS[0];

interface JointFacts {
  choices: JointChoices;
  shop: Shop;
  slope: Slope;
}

/** The joints of a list of contacts, a group at a time: each is sized by its first and counted. */
export function jointsOf(contacts: readonly Contact[], facts: JointFacts): KindOfJoint[] {
  const groups = new Map<string, Contact[]>();
  for (const each of contacts) groups.set(each.group, [...(groups.get(each.group) ?? []), each]);
  return [...groups].map(([group, [first, ...others]]): KindOfJoint => {
    const [receives, enters] = group.split("+");
    const meets: Meets = { ...{ id: group, group, receives, enters, name: first.name }, count: 1 + others.length };
    return jointOf(meets, first, facts);
  });
}

/** Where they are, each by the joint of its group. */
export function meetingsOf(contacts: readonly Contact[], joints: readonly KindOfJoint[]): Meeting[] {
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  return contacts.flatMap(({ group, enters, receives, face, rail, outward = rail?.outward }): Meeting[] => {
    const joint = byId.get(group);
    return joint ? [{ joint, enters, receives, face, ...(outward ? { outward } : {}) }] : [];
  });
}

function jointOf(
  meets: Meets,
  { how, section, depth, most, every, tails = null, screws, mitre: corner, rail }: Contact,
  { choices, shop, slope }: JointFacts,
): KindOfJoint {
  switch (how) {
    case "let-in":
      return housing({ meets, section, into: { depth, thickness: section.width }, glued: true });
    case "stopped": {
      const to = Math.min(STOPPED, section.width / 4);
      const into = { depth, thickness: section.width };
      return housing({ meets, section, into, glued: true, stops: { from: 0, to } });
    }
    case "stub":
      return blindTenon({
        ...{ meets, section, into: { depth, thickness: section.thickness }, shop },
        ...{ setting: choices.groups[meets.group] ?? USUAL_TENON, pushed: true, wall: WALL, most },
      });
    case "edge": {
      const tenons = Math.max(2, Math.round(section.width / every!));
      const joint = blindTenon({
        ...{ meets, section, into: { depth, thickness: section.thickness }, shop, wall: WALL, most },
        setting: choices.groups[meets.group] ?? { ...USUAL_TENON, kind: "loose", tenons },
      });
      // the edges themselves are glued; its tenons only keep them level
      return { ...joint, pushed: true, glueArea: joint.glueArea + section.width * section.thickness };
    }
    case "rail":
      return railEnd({
        meets: { ...meets, setAt: ["joints", "legRail"] },
        ...{ section, into: { depth, reveal: rail!.reveal }, choice: choices.legRail, shop, passes: rail!.passes },
        marks: (offset, thickness) => ({
          gauge: [
            {
              what: "Mortise gauge, from the leg's outer face",
              setting: `${mm(offset)} and ${mm(offset + thickness)}`,
            },
          ],
          starts: "Mortise starts below the leg's head",
          above: 0,
          marked: "Rails of a pair are marked together, with a knife: what counts is that both are of one length.",
        }),
      });
    case "lapped":
    case "through":
      return dovetail({
        ...{ meets, section, into: { depth }, slope, lapped: how === "lapped", kerf: shop.kerf, tails },
        row: choices.dovetails[meets.group],
      });
    case "mitred":
      return mitre({
        ...{ meets, width: section.width, board: section.thickness, shop, held: corner!.held, set: corner!.set },
        setting: choices.groups[meets.group] ?? { ...USUAL_TENON, kind: "loose" },
      });
    case "rebated":
      return rebated({ meets, section, into: { depth }, setting: choices.groups[meets.group] ?? USUAL_TENON, shop });
    case "butted": {
      const tenons = Math.max(2, Math.round(section.width / every!));
      return endJoint({
        ...{ meets, section, into: { depth, thickness: section.thickness }, shop, pushed: true, wall: WALL },
        setting: choices.groups[meets.group] ?? { ...USUAL_TENON, kind: "loose", tenons },
      });
    }
    case "glued":
      return glued(meets, section, depth);
    case "screws":
      return screwed({ meets, section, into: { depth }, ...screws! });
  }
}
