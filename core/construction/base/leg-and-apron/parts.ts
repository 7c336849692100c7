import { joined } from "../../../assembly/meeting";
import type { AssemblyPart, Worked } from "../../../assembly/part";
import { straight } from "../../../assembly/outline";
import { HOME, Place } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";
import type { Make } from "../../../assembly/sort";
import type { Vec } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import { cornerBlocks } from "./corner-blocks";
import { LegAndApronJoint, LegRailJoint, railJoint as joint } from "./joints";
import { lowMeetings, lowParts } from "./low-parts";
import { crossDepth, LegAndApron } from "./place";
import { archedRail } from "../arch";
import { USUAL } from "../../usual";

/** What its parts are made from. */
export interface LegAndApronFacts {
  form: Form;
  at: LegAndApron;
  joints: readonly LegAndApronJoint[];
}

const SIDES = [-1, 1] as const;
type Side = (typeof SIDES)[number];

/** Legs, rails, cross-rails and corner blocks where they stand, with their tenons and mortises. */
export function legAndApronParts(facts: LegAndApronFacts): AssemblyPart[] {
  const { at, form } = facts;
  const legs = SIDES.flatMap((z) => SIDES.map((x) => leg(facts, x, z)));
  const long = SIDES.map((z) => longRail(facts, z));
  const end = SIDES.map((x) => endRail(facts, x));
  const cross = at.crossRails.map((_, i) => crossRail(facts, i));
  const low = at.low ? lowParts(at.low) : [];
  return joined(
    [
      ...numbered(legs),
      ...numbered(long),
      ...numbered(end),
      ...numbered(cross),
      ...(form.cornerBlocks ? cornerBlocks(at) : []),
      ...low,
    ],
    lowMeetings(facts),
  );
}

const numbered = (parts: readonly Omit<AssemblyPart, "id">[]): AssemblyPart[] =>
  parts.map((part, i) => ({ ...part, id: parts.length > 1 ? `${part.letter}${i + 1}` : part.letter }));

/** What the cut list says of a rail: the tenons it holds. */
function railNote(joint: LegRailJoint | null): string {
  if (joint?.kind === "loose-tenon") return "Shoulder to shoulder: loose tenons, nothing added.";
  return joint && joint.length > 0
    ? `Two tenons of ${joint.length} mm included; shoulders marked from the dry frame.`
    : "";
}
const rail = (joint: LegRailJoint | null) => ({ role: "rail" as const, make: "solid" as const, note: railNote(joint) });

const LEG_NOTES: Record<Make, string> = {
  solid: "Left long until the base is glued.",
  laminated: "Two leaves glued, then trued square.",
  "core-faces": "A core and four resawn faces, trued square.",
  diagonal: "Two leaves glued, then trued square.",
};

const box = (length: number, width: number, thickness: number): Shape => ({ length, width, thickness });
const there = (at: Vec): Place => ({ ...HOME, at });

/** Tenons of a rail at one end, in the rail's frame; `depth` deeper they are the mortises. `outward` is the face toward the outside. */
function tenons(rail: LegRailJoint, thickness: number, end: { at: number; way: Side }, outward: Side, depth: number) {
  const { shoulders, tenonWidth, gap, length, thickness: size, haunch, mitre } = rail;
  const reach = length + depth;
  const cheek = (thickness - size) / 2;
  const from = end.way > 0 ? end.at : end.at - reach;
  const shape = (width: number): Shape => {
    // the tip is cut at 45° so that the tenon of the other rail can pass
    const tip: Vec = [end.way > 0 ? reach : 0, 0, outward > 0 ? mitre : size - mitre];
    const waste: Vec = [end.way, 0, -outward];
    return { ...box(reach, width, size), planes: mitre > 0 ? [{ through: tip, waste }] : [] };
  };
  const all: Omit<Worked, "by">[] = Array.from({ length: rail.tenons }, (_, i) => ({
    shape: shape(tenonWidth),
    place: there([from, shoulders.lower + i * (tenonWidth + gap), cheek]),
  }));
  const top = shoulders.lower + rail.tenons * tenonWidth + (rail.tenons - 1) * gap;
  if (haunch)
    all.push({
      shape: box(haunch.depth + depth, haunch.width, size),
      place: there([end.way > 0 ? end.at : end.at - haunch.depth - depth, top, cheek]),
    });
  return all;
}

/** What a rail and a leg share: the tenons are the rail's, or loose, and the mortises the leg's. */
function railWork(
  facts: LegAndApronFacts,
  rail: LegRailJoint,
  shoulder: number,
  outward: Side,
): Pick<AssemblyPart, "adds"> {
  const { thickness } = facts.at.rail;
  if (rail.kind !== "mortise-tenon") return { adds: [] };
  const ends = [
    { at: 0, way: -1 as Side },
    { at: shoulder, way: 1 as Side },
  ];
  return {
    adds: ends.flatMap((end) =>
      tenons(rail, thickness, end, outward, 0).map((each) => ({ ...each, by: `leg+${rail.rail}` })),
    ),
  };
}

/** How far a leg is drawn off each of its rails along their tenons when the piece is pulled apart, and a cross-rail lowered, mm. */
const PULL = { leg: 150, cross: 90 };

function longRail(facts: LegAndApronFacts, z: Side): Omit<AssemblyPart, "id"> {
  const { at } = facts;
  const { shoulder } = at.longRail;
  const tenoned = joint(facts.joints, "long-rail");
  const cross = joint(facts.joints, "cross-rail");
  const drop = at.rail.depth - crossDepth(at);
  return {
    kind: "long-rail",
    name: "Long rail",
    letter: "A",
    ...rail(tenoned),
    shape: archedRail(box(shoulder, at.rail.depth, at.rail.thickness), at.rail.arch),
    place: { ...HOME, at: [-shoulder / 2, at.rail.lowerEdge, z * at.longRail.z - at.rail.thickness / 2] },
    ...(tenoned ? railWork(facts, tenoned, shoulder, z) : { adds: [] }),
    cuts: cross
      ? at.crossRails.map(({ x }) => ({
          by: "long-rail+cross-rail",
          shape: box(cross.thickness, cross.tenonWidth, cross.mortiseDepth),
          place: there([
            x + shoulder / 2 - cross.thickness / 2,
            drop + cross.shoulders.lower,
            z > 0 ? 0 : at.rail.thickness - cross.mortiseDepth,
          ]),
        }))
      : [],
    opens: [0, 0, z * PULL.leg],
  };
}

/** Grain along z, its face upright, its thickness toward −x. */
const ALONG_Z = { x: [0, 0, 1] as Vec, y: [0, 1, 0] as Vec };

function endRail(facts: LegAndApronFacts, x: Side): Omit<AssemblyPart, "id"> {
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
    // its thickness runs toward −x, so the outside of the right-hand rail is at its low side
    ...(tenoned ? railWork(facts, tenoned, shoulder, x > 0 ? -1 : 1) : { adds: [] }),
    cuts: [],
    opens: [x * PULL.leg, 0, 0],
  };
}

function crossRail(facts: LegAndApronFacts, i: number): Omit<AssemblyPart, "id"> {
  const { at } = facts;
  const { x, shoulder } = at.crossRails[i];
  const depth = crossDepth(at);
  const stub = joint(facts.joints, "cross-rail");
  const tenon = (from: number): Worked => ({
    by: "long-rail+cross-rail",
    shape: box(stub!.length, stub!.tenonWidth, stub!.thickness),
    place: there([from, stub!.shoulders.lower, (at.rail.thickness - stub!.thickness) / 2]),
  });
  return {
    kind: "cross-rail",
    markedFrom: "the dry-fitted frame",
    name: "Cross-rail",
    letter: "C",
    ...rail(stub),
    shape: box(shoulder, depth, at.rail.thickness),
    place: { ...ALONG_Z, at: [x + at.rail.thickness / 2, at.rail.upperEdge - depth, -shoulder / 2] },
    adds: stub ? [tenon(-stub.length), tenon(shoulder)] : [],
    cuts: [],
    opens: [0, -PULL.cross, 0],
  };
}

/** Grain upright, its width along x, its thickness toward −z: marked from its foot. */
const UPRIGHT = { x: [0, 1, 0] as Vec, y: [1, 0, 0] as Vec };

function leg(facts: LegAndApronFacts, x: Side, z: Side): Omit<AssemblyPart, "id"> {
  const { at, form } = facts;
  const { section, across } = at.leg;
  const [fx, fz] = [at.frame.length / 2, at.frame.width / 2];
  const place: Place = { ...UPRIGHT, at: [x > 0 ? fx - section : -fx, 0, z > 0 ? fz : -fz + across] };
  return {
    kind: "leg",
    name: "Leg",
    letter: "L",
    role: "leg",
    make: form.leg.make,
    note: LEG_NOTES[form.leg.make],
    shape: legShape(form, at, x, z),
    place,
    adds: [],
    cuts: [
      ...mortises(facts, joint(facts.joints, "long-rail"), "face", x, z),
      ...mortises(facts, joint(facts.joints, "end-rail"), "side", x, z),
    ],
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

/** Mortises for a rail in a leg: `face` for the long rail, which comes along x, `side` for the end rail, along z. */
function mortises(
  facts: LegAndApronFacts,
  rail: LegRailJoint | null,
  into: "face" | "side",
  x: Side,
  z: Side,
): Worked[] {
  if (!rail) return [];
  const { at } = facts;
  const { section, across } = at.leg;
  const deeper = rail.mortiseDepth - rail.length;
  const { thickness } = at.rail;
  // as the rail sees them beyond its shoulder at 0, then turned into the leg's frame
  const seen = tenons({ ...rail, mitre: 0 }, thickness, { at: 0, way: 1 }, 1, deeper);
  return seen.map(({ shape, place: { at: from } }) => {
    const low = at.rail.lowerEdge + from[1];
    const cheek = at.rail.reveal + (thickness - rail.thickness) / 2;
    // measured from the leg's outer face inward
    const deep = shape.length;
    const size: Shape = {
      length: shape.width,
      width: into === "face" ? deep : rail.thickness,
      thickness: into === "face" ? rail.thickness : deep,
    };
    const y = into === "face" ? (x > 0 ? 0 : section - deep) : x > 0 ? section - cheek - rail.thickness : cheek;
    const zz = into === "face" ? (z > 0 ? cheek : across - cheek - rail.thickness) : z > 0 ? across - deep : 0;
    return { by: `leg+${rail.rail}`, shape: size, place: there([low, y, zz]) };
  });
}
