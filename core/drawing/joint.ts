/**
 * A joint as it is closed, sawn through its middle: from its side and from its edge, each part in its own wood. Everything that reaches
 * into the same part there is seen with it, so that tenons which meet show how they pass.
 */
import { less, shared, together } from "../assembly/carve";
import type { Meeting } from "../assembly/meeting";
import type { AssemblyPart, Worked } from "../assembly/part";
import { piece } from "../assembly/pieces";
import { HOME, Place, seenFrom, turned, within } from "../assembly/place";
import { loopsIn } from "../assembly/section";
import { solidOf } from "../assembly/shape";
import { coloursOf, STEEL } from "../assembly/material";
import type { SmallPart } from "../assembly/small";
import { boundsOf, Solid, stood } from "../assembly/solid";
import { cross, dot, Vec } from "../assembly/vector";
import type { JointBody } from "../joinery/joint";
import { bodiesOf, kindName, KindOfJoint } from "../joinery/kinds";
import type { Species } from "../wood/species";
import { projected, View } from "./projection";
import { dimension, Item, Point, Scene, seedOf, shifted } from "./scene";
import { hull, nearest } from "./silhouette";

export interface JointFacts {
  parts: readonly AssemblyPart[];
  meetings: readonly Meeting[];
  small: readonly SmallPart[];
  wood: (kind: string) => Species;
}

/** A joint's drawing and what it shows. */
export interface JointSection {
  joint: string;
  scene: Scene;
  caption: string;
}

/** Sections of every joint that parts meet by, in the order of the joints. */
export const jointSections = (joints: readonly KindOfJoint[], facts: JointFacts): JointSection[] =>
  joints.flatMap((joint) => {
    const meeting = facts.meetings.find((each) => each.joint.id === joint.id);
    return meeting
      ? [
          {
            joint: joint.id,
            scene: jointScene(joint, meeting, facts),
            caption: `${kindName(joint)}, sawn through its middle: from its side, and from its edge.`,
          },
        ]
      : [];
  });

/** Arcs are drawn so fine, mm. */
const FINE = 0.2;
type Range = readonly [from: number, to: number];
/** What no saw would see, mm. */
const HAIR = 0.013;
/** How far a drawing reaches in the frame of the face, and where it is sawn. */
interface Window {
  x: Range;
  y: Range;
  z: Range;
  /** seen from its side it is sawn at this z, from its edge at this y */
  side: number;
  edge: number;
}

function windowOf(joint: KindOfJoint): Window {
  const { section, behind } = joint;
  if (joint.kind === "half-lap") {
    const long = joint.lap * 1.3;
    return { x: [-long, long], y: [-long, long], z: [0, joint.thickness], side: joint.thickness, edge: 0 };
  }
  const { least, most } = reachOf(shownBody(joint), section);
  const stub = Math.max(50, section.width * 0.7);
  const around = Math.max(16, section.width * 0.14);
  // a mitre's face runs aslant through both boards: there is as much to see on either side
  const beyond = joint.kind === "mitre" ? stub : 4;
  return {
    x: [-stub, Math.max(behind, joint.length) + beyond],
    y: [-around, section.width + around],
    z: [-around, section.thickness + around],
    // a hair beside the middle: a groove may end just there
    side: (least[2] + most[2]) / 2 + HAIR,
    edge: (least[1] + most[1]) / 2 + HAIR,
  };
}

/** The box of a joint's body; one that can't be cut has none, and its section stands for it. */
function reachOf(
  { shape, place }: JointBody,
  section: { width: number; thickness: number },
): { least: Vec; most: Vec } {
  const solid = stood(solidOf({ ...shape, planes: [] }, 1), place);
  return solid.length > 0 ? boundsOf(solid) : { least: [0, 0, 0], most: [1, section.width, section.thickness] };
}

/** What a joint is known by: its tenon, the loose tenon in its place, what is cut for it. */
function shownBody(joint: KindOfJoint): JointBody {
  const { adds, cuts, brings = [] } = bodiesOf(joint);
  const { width, thickness } = joint.section;
  // dovetails without a whole tail have none: their section stands for them
  const none: JointBody = { shape: { length: 1, width, thickness }, place: HOME };
  return adds[0] ?? brings.find(({ of }) => of === "wood") ?? cuts[0] ?? none;
}

/** Both sections of a joint next to each other, to one scale. */
export function jointScene(joint: KindOfJoint, meeting: Meeting, facts: JointFacts): Scene {
  const window = windowOf(joint);
  const side: View = { right: [1, 0, 0], up: [0, 1, 0] };
  const edge: View = { right: [1, 0, 0], up: [0, 0, 1] };
  const near = standing(meeting, facts, window);
  const one = [
    ...sawn(near, { ...window, z: [window.z[0], window.side] }, side, { n: [0, 0, 1], w: window.side }),
    ...sizesOf(joint, window, "y"),
  ];
  const other = [
    ...sawn(near, { ...window, y: [window.edge, window.y[1]] }, edge, { n: [0, -1, 0], w: -window.edge }),
    ...sizesOf(joint, window, "z"),
  ];
  const across = window.x[1] - window.x[0] + 130;
  const low = Math.min(window.y[0], window.z[0]);
  return {
    id: `joint-${joint.id}`,
    title: `${joint.name}: ${kindName(joint).toLowerCase()}, from its side and from its edge.`,
    bounds: {
      x: window.x[0],
      y: low,
      w: across + window.x[1] - window.x[0],
      h: Math.max(window.y[1], window.z[1]) - low,
    },
    margin: [30, 26, 38, 86],
    items: [...one, ...other.map((item) => shifted(item, across))],
  };
}

/** A part in the frame of the face, as far as the drawing reaches. */
interface Standing {
  id: string;
  name: string;
  colour: readonly [string, string];
  grain: Vec | null;
  shape: Worked;
  adds: Worked[];
  cuts: Worked[];
  place: Place;
}

/** Whatever meets the part that receives, and what their joints bring. */
function standing({ face, receives, enters, also }: Meeting, facts: JointFacts, window: Window): Standing[] {
  const names = new Set([receives, enters, ...(also === undefined ? [] : [also])]);
  for (const each of facts.meetings) if (each.receives === receives) names.add(each.enters);
  const parts = facts.parts
    .filter(({ id }) => names.has(id))
    .map((part): Standing => {
      const place = seenFrom(face, part.place);
      return {
        ...{ id: part.kind, name: part.id, colour: coloursOf(part, (kind) => facts.wood(kind).colour), place },
        grain: part.bought ? null : turned({ ...place, at: [0, 0, 0] }, [1, 0, 0]),
        shape: { by: part.id, shape: part.shape, place: HOME },
        adds: [...part.adds],
        cuts: [...part.cuts],
      };
    });
  // what is laid away is seen with its own only
  const away = facts.parts.find(({ id }) => id === receives)?.away;
  const near = facts.small.filter((each) => away || !each.away);
  const small = near.map((each): Standing => {
    const place = seenFrom(face, each.place);
    const steel = each.of !== "wood";
    return {
      ...{ id: each.name, name: each.id, colour: steel ? STEEL : facts.wood("").colour, place },
      grain: steel ? null : turned({ ...place, at: [0, 0, 0] }, [1, 0, 0]),
      ...{ shape: { by: each.by, shape: each.shape, place: HOME }, adds: [], cuts: [] },
    };
  });
  const reached = ({ shape: { shape }, place }: Standing) => reachesInto(window, piece(shape, place));
  return [...parts, ...small.filter(reached)];
}

/** A plane that a joint is sawn along: all points p with n·p = w. */
interface Cut {
  n: Vec;
  w: number;
}

function sawn(all: readonly Standing[], window: Window, view: View, cut: Cut): Item[] {
  const room = boxOf(window);
  const toward = cross(view.right, view.up);
  const flat = (p: Vec): Point => [dot(p, view.right), dot(p, view.up)];
  const bodies = all
    .map((each) => ({ each, solid: clipped(each, room, window) }))
    .filter(({ solid }) => solid.length > 0)
    .map((body) => ({ ...body, near: nearest(body.solid, view), loops: loopsIn(body.solid, cut.n, cut.w) }))
    .sort((a, b) => a.near - b.near);
  const grainOf = ({ grain }: Standing) =>
    !grain || Math.abs(dot(grain, toward)) > 0.9
      ? ("end" as const)
      : (Math.atan2(dot(grain, view.up), dot(grain, view.right)) * 180) / Math.PI;
  const beyond = bodies
    .filter(({ loops }) => loops.length === 0)
    .map(({ each, solid }): Item => ({
      ...{ kind: "face", points: hull(solid.flatMap(({ corners }) => corners.map(flat))), colour: each.colour },
      ...{ seed: seedOf(each.name), grain: grainOf(each), id: each.id },
    }));
  const cutFaces = bodies.flatMap(({ each, loops }): Item[] => {
    const outlines = loops.map((loop) => loop.map(flat));
    if (outlines.length === 0) return [];
    const [points, ...more] = outlines;
    return [
      { kind: "face", points, more, colour: each.colour, seed: seedOf(each.name), grain: grainOf(each), id: each.id },
    ];
  });
  const edges = projected(
    bodies.map(({ each, solid }) => ({ id: each.id, solid })),
    view,
  )
    .filter(({ hidden }) => !hidden)
    .map(({ id, from, to }): Item => ({ kind: "path", points: [from, to], closed: false, ink: "outline", id }));
  return [...beyond, ...cutFaces, ...edges];
}

const boxOf = ({ x, y, z }: Window): Solid =>
  stood(solidOf({ length: x[1] - x[0], width: y[1] - y[0], thickness: z[1] - z[0] }), {
    ...HOME,
    at: [x[0], y[0], z[0]],
  });

/** What of a part lies in a box, with its joints worked: what doesn't reach into the box is not built. */
function clipped({ shape, adds, cuts, place }: Standing, room: Solid, window: Window): Solid {
  const near = (each: Worked) => reachesInto(window, piece(each.shape, within(place, each.place)));
  const put = (each: Worked) => stood(solidOf(each.shape, FINE), within(place, each.place));
  const wood = [shape, ...adds]
    .filter(near)
    .map((each) => shared(put(each), room))
    .reduce(together, [] as Solid);
  return wood.length === 0 ? wood : cuts.filter(near).map(put).reduce<Solid>(less, wood);
}

const reachesInto = ({ x, y, z }: Window, { least, most }: { least: Vec; most: Vec }) =>
  [x, y, z].every(([from, to], i) => least[i] < to && most[i] > from);

/** Their holes are measured on the card, from the edges of what is drilled. */
const DRILLED: readonly KindOfJoint["kind"][] = ["bolted", "screwed", "dowelled", "pocket-screwed"];

/** What a maker sets from: how far it goes in, how much is behind the face, and the tenon with its shoulder. `up` is y or z. */
function sizesOf(joint: KindOfJoint, window: Window, up: "y" | "z"): Item[] {
  if (joint.kind === "half-lap") return up === "z" ? lapSizes(joint.lap, joint.thickness, window) : [];
  const { section, behind, length } = joint;
  const { shape, place } = shownBody(joint);
  const [low, high] = window[up];
  const whole = up === "y" ? section.width : section.thickness;
  const { least, most } = reachOf({ shape: { ...shape, face: undefined }, place }, section);
  // where it drops as it goes in, its section at the face is what is set
  const sloped = shape.face !== undefined;
  const i = up === "y" ? 1 : 2;
  const [from, size] = sloped && up === "y" ? [0, whole] : [least[i], most[i] - least[i]];
  const reach = length > 0 ? length : most[0];
  return [
    dimension([0, high], [reach, high], { offset: 12, value: reach }),
    dimension([0, low], [behind, low], { offset: -14, value: behind }),
    ...(DRILLED.includes(joint.kind)
      ? []
      : [dimension([window.x[0], from], [window.x[0], from + size], { offset: 14, value: size })]),
    // set off further: a thin tenon's number and its shoulder's would lie on one another
    ...(!DRILLED.includes(joint.kind) && from > 1 && from + size < whole - 1
      ? [dimension([window.x[0], 0], [window.x[0], from], { offset: 46, value: from })]
      : []),
  ];
}

const lapSizes = (lap: number, thickness: number, { x }: Window): Item[] => [
  dimension([-lap / 2, thickness], [lap / 2, thickness], { offset: 12, value: lap }),
  dimension([x[0], 0], [x[0], thickness / 2], { offset: 14, value: thickness / 2 }),
  dimension([x[1], thickness], [x[1], 0], { offset: 14, value: thickness }),
];
