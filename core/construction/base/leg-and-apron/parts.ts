import type { AssemblyPart, Worked } from "../../../assembly/part";
import { stretchOf } from "../../../assembly/clip";
import { straight } from "../../../assembly/outline";
import { HOME, Place } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";
import type { Make } from "../../../assembly/sort";
import type { Vec } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import { cornerBlocks } from "./corner-blocks";
import { railJoint as joint } from "./joints";
import type { RailEnd } from "../../../joinery/rail-end";
import { LongRail, longRailsOf } from "./long-rails";
import { lowParts } from "./low-parts";
import { middleLegParts } from "./middle-parts";
import { crossDepth, LegAndApron } from "./place";
import { turnedLeg } from "./turned";
import { archedRail } from "../arch";
import type { BaseFacts } from "../base";
import { USUAL } from "../../usual";

/** What its parts are made from. */
type Facts = BaseFacts<LegAndApron>;

const SIDES = [-1, 1] as const;
type Side = (typeof SIDES)[number];

/** Legs, rails, cross-rails and corner blocks where they stand, without their joints. */
export function legAndApronParts(facts: Facts): AssemblyPart[] {
  const { at, form } = facts;
  const legs = SIDES.flatMap((z) => SIDES.map((x) => leg(facts, x, z)));
  const long = longRailsOf(at).map((each) => longRail(facts, each));
  const end = SIDES.map((x) => endRail(facts, x));
  const cross = at.crossRails.map((_, i) => crossRail(facts, i));
  const low = at.low ? lowParts(at.low) : [];
  return [
    ...numbered(legs),
    ...numbered(long),
    ...numbered(end),
    ...numbered(cross),
    ...(form.cornerBlocks ? cornerBlocks(at) : []),
    ...low,
    ...middleLegParts(at),
  ];
}

type Plain = Omit<AssemblyPart, "id" | "adds" | "cuts"> & { adds?: Worked[] };
const numbered = (parts: readonly Plain[]): AssemblyPart[] =>
  parts.map((part, i) => ({
    ...part,
    id: parts.length > 1 ? `${part.letter}${i + 1}` : part.letter,
    adds: part.adds ?? [],
    cuts: [],
  }));

/** What the cut list says of a rail: the tenons it holds. */
function railNote(joint: RailEnd | null): string {
  if (joint?.kind === "dowelled") return "Shoulder to shoulder: dowels, nothing added.";
  if (joint?.kind === "pocket-screwed") return "Shoulder to shoulder: screwed from pockets inside.";
  if (joint?.made === "loose-tenon") return "Shoulder to shoulder: loose tenons, nothing added.";
  return joint && joint.reach > 0
    ? `Two tenons of ${joint.reach} mm included; shoulders marked from the dry frame.`
    : "";
}
const rail = (joint: RailEnd | null) => ({ role: "rail" as const, make: "solid" as const, note: railNote(joint) });

const LEG_NOTES: Record<Make, string> = {
  solid: "Left long until the base is glued.",
  laminated: "Two leaves glued, then trued square.",
  "three-leaves": "Three leaves glued, then trued square.",
  "four-leaves": "Four leaves glued, then trued square.",
  "core-faces": "A core and four resawn faces, trued square.",
  diagonal: "Two leaves glued, then trued square.",
};

const box = (length: number, width: number, thickness: number): Shape => ({ length, width, thickness });
/** How far a leg is drawn off each of its rails along their tenons when the piece is pulled apart, and a cross-rail lowered, mm. */
const PULL = { leg: 150, cross: 90 };

function longRail(facts: Facts, { side, from, to }: LongRail): Plain {
  const { at } = facts;
  const { shoulder, split, z } = at.longRail;
  const tenoned = joint(facts.joints, "long-rail");
  const whole = archedRail(box(shoulder, at.rail.depth, at.rail.thickness), at.rail.arch);
  return {
    kind: "long-rail",
    name: split ? "Half of a long rail" : "Long rail",
    ...(split ? { said: "half of a long rail", plural: "halves of long rails" } : {}),
    letter: "A",
    ...rail(tenoned),
    ...(split ? { note: halfNote(tenoned) } : {}),
    shape: split ? stretchOf(whole, from + shoulder / 2, to + shoulder / 2) : whole,
    place: { ...HOME, at: [from, at.rail.lowerEdge, side * z - at.rail.thickness / 2] },
    opens: [0, 0, side * PULL.leg],
  };
}

/** One end in a leg, the other free in the middle of the table. */
const halfNote = (joint: RailEnd | null): string =>
  joint && joint.kind === "rail-tenon" && joint.made !== "loose-tenon" && joint.reach > 0
    ? `One tenon of ${joint.reach} mm included; the other end meets its neighbour when the table is closed.`
    : "Joined at one end; the other meets its neighbour when the table is closed.";

/** Grain along z, its face upright, its thickness toward −x. */
const ALONG_Z = { x: [0, 0, 1] as Vec, y: [0, 1, 0] as Vec };

function endRail(facts: Facts, x: Side): Plain {
  const { at } = facts;
  const { shoulder } = at.endRail;
  const tenoned = joint(facts.joints, "end-rail");
  return {
    kind: "end-rail",
    name: "End rail",
    letter: "E",
    ...rail(tenoned),
    shape: archedRail(box(shoulder, at.rail.depth, at.rail.thickness), at.rail.arch),
    place: { ...ALONG_Z, at: [x * at.endRail.x + at.rail.thickness / 2, at.rail.lowerEdge, -shoulder / 2] },
    opens: [x * PULL.leg, 0, 0],
  };
}

function crossRail(facts: Facts, i: number): Plain {
  const { at } = facts;
  const { x, shoulder } = at.crossRails[i];
  const depth = crossDepth(at);
  const stub = joint(facts.joints, "cross-rail");
  return {
    kind: "cross-rail",
    markedFrom: "the dry-fitted frame",
    name: "Cross-rail",
    letter: "C",
    ...rail(stub),
    shape: box(shoulder, depth, at.rail.thickness),
    place: { ...ALONG_Z, at: [x + at.rail.thickness / 2, at.rail.upperEdge - depth, -shoulder / 2] },
    opens: [0, -PULL.cross, 0],
  };
}

/** Grain upright, its width along x, its thickness toward −z: marked from its foot. */
const UPRIGHT = { x: [0, 1, 0] as Vec, y: [1, 0, 0] as Vec };

function leg(facts: Facts, x: Side, z: Side): Plain {
  const { at, form } = facts;
  const { section, across } = at.leg;
  const [fx, fz] = [at.frame.length / 2, at.frame.width / 2];
  const turned = form.leg.taper === "turned" ? turnedLeg(at) : null;
  const place: Place = { ...UPRIGHT, at: [x > 0 ? fx - section : -fx, 0, z > 0 ? fz : -fz + across] };
  return {
    kind: "leg",
    name: "Leg",
    letter: "L",
    role: "leg",
    make: form.leg.make,
    note: `${LEG_NOTES[form.leg.make]}${turned ? ` Turned round from ${Math.round(turned.from)} mm above its foot, square above.` : ""}`,
    ...(turned ? { shape: turned.shape, adds: [turned.head] } : { shape: legShape(form, at, x, z) }),
    place,
    opens: [x * PULL.leg, 0, z * PULL.leg],
  };
}

/** A leg tapers toward its outer corner, or all round: by as much from one side as from the other. */
function legShape(form: Form, at: LegAndApron, x: Side, z: Side): Shape {
  const { section, across, length, foot, footAcross } = at.leg;
  const whole = box(length, section, across);
  const from = at.rail.lowerEdge - USUAL.taperBelow;
  if (form.leg.taper === "none" || foot >= section || from <= 0) return whole;
  // seen along the grain from the foot: what each side of the section loses there
  const view = (size: number, lost: number, outerIsHigh: boolean) => {
    const outer = form.leg.taper === "four-faces" ? lost / 2 : 0;
    const [low, high] = outerIsHigh ? [lost - outer, size - outer] : [outer, size - (lost - outer)];
    return {
      outer: straight([
        [0, low],
        [from, 0],
        [length, 0],
        [length, size],
        [from, size],
        [0, high],
      ]),
      holes: [],
    };
  };
  return { ...whole, face: view(section, section - foot, x > 0), edge: view(across, across - footAcross, z < 0) };
}
