/** A joint of any kind that is sized by itself, closed: the part that enters from its side and from its edge, against the one that receives it. */
import { polygonOf } from "../assembly/outline";
import type { HalfLap } from "../joinery/half-lap";
import type { JointBody } from "../joinery/joint";
import { bodiesOf, kindName, KindOfJoint } from "../joinery/kinds";
import type { Species } from "../wood/species";
import { dimension, Ink, Item, Point, rect, Scene, shifted } from "./scene";

/** Seen along z: x to the left into the part that receives, y up the face; or along y, with z up. */
type Side = "y" | "z";

/** Both sides of a joint next to each other, to one scale. */
export function jointScene(joint: KindOfJoint, species: Species): Scene {
  if (joint.kind === "half-lap") return lapScene(joint, species);
  const { section, behind } = joint;
  const stub = Math.max(50, section.width * 0.7);
  const around = Math.max(12, section.width * 0.12);
  const one = sideOf(joint, species, "y", { stub, around });
  const other = sideOf(joint, species, "z", { stub, around });
  const across = behind + stub + 70;
  return {
    id: `joint-${joint.id}`,
    title: `${joint.name}: ${kindName(joint).toLowerCase()}, from its side and from its edge.`,
    bounds: {
      x: -stub,
      y: -around,
      w: across + behind + stub,
      h: Math.max(section.width, section.thickness) + 2 * around,
    },
    margin: [26, 20, 34, 34],
    items: [...one, ...other.map((item) => shifted(item, across))],
  };
}

/** A half-lap from its face: the leg that goes in over the one it lies in, its shoulders, and its edge beside it. */
function lapScene(joint: HalfLap, species: Species): Scene {
  const { width, thickness, angle, lap } = joint;
  // as it stands: both lean alike from the floor
  const half = (angle * Math.PI) / 360;
  const long = lap * 1.6;
  const strip = (side: 1 | -1): Point[] => {
    const [x, y] = [side * Math.sin(half), Math.cos(half)];
    const corner = (along: number, across: number): Point => [x * along - y * across, y * along + x * across];
    return [corner(-long, -width / 2), corner(long, -width / 2), corner(long, width / 2), corner(-long, width / 2)];
  };
  const reach = long * Math.cos(half) + width / 2;
  const aside = long * Math.sin(half) + width;
  const edge = aside + 60;
  // grain runs along each strip
  const face = (side: 1 | -1, seed: number, id: string): Item => ({
    ...{ kind: "face", points: strip(side), colour: species.colour, seed, grain: side * (90 - angle / 2), id },
  });
  const outline = (side: 1 | -1, ink: Ink): Item => ({
    ...{ kind: "path", points: strip(side), closed: true, ink, id: joint.enters },
  });
  return {
    id: `joint-${joint.id}`,
    title: `${joint.name}: from its face, and from its edge with half of each cut away.`,
    bounds: { x: -aside, y: -reach, w: 2 * aside + 60 + thickness, h: 2 * reach },
    margin: [36, 44, 24, 24],
    items: [
      face(-1, 31, joint.receives),
      outline(-1, "hidden"),
      face(1, 23, joint.enters),
      outline(1, "outline"),
      outline(-1, "hidden"),
      rect(edge, -reach, thickness, 2 * reach, "outline", joint.enters),
      rect(edge + thickness / 2, -lap / 2, thickness / 2, lap, "void", joint.receives),
      dimension([edge, reach], [edge + thickness, reach], 10, thickness),
      dimension([edge + thickness, lap / 2], [edge + thickness, -lap / 2], 16, lap),
      dimension([edge, -lap / 2], [edge + thickness / 2, -lap / 2], -14, thickness / 2),
    ],
  };
}

function sideOf(
  joint: KindOfJoint,
  species: Species,
  side: Side,
  { stub, around }: { stub: number; around: number },
): Item[] {
  const { section, behind, length } = joint;
  const high = side === "y" ? section.width : section.thickness;
  const { adds, cuts, own } = bodiesOf(joint);
  const items: Item[] = [
    rect(0, -around, behind, high + 2 * around, "outline", joint.receives),
    {
      kind: "face",
      points: [
        [-stub, 0],
        [0, 0],
        [0, high],
        [-stub, high],
      ],
      colour: species.colour,
      seed: side === "y" ? 23 : 29,
      grain: 0,
      id: joint.enters,
    },
    rect(-stub, 0, stub, high, "outline", joint.enters),
    ...cuts.map((body) => drawn(body, side, "void", joint.receives)),
    ...adds.map((body) => drawn(body, side, "paper", joint.enters)),
    ...own.map((body) => drawn(body, side, "hole", joint.enters)),
  ];
  if (length > 0) items.push(dimension([0, high + around], [length, high + around], 12, length));
  items.push(dimension([0, -around], [behind, -around], -14, behind));
  const widest = adds[0] ?? cuts[0];
  const [, y, z] = widest.place.at;
  const [from, size] = side === "y" ? [y, widest.shape.width] : [z, widest.shape.thickness];
  items.push(dimension([-stub, from], [-stub, from + size], -14, size));
  return items;
}

/** A body of the joint in outline: what isn't a box shows its own. */
function drawn({ shape, place }: JointBody, side: Side, ink: Ink, id: string): Item {
  const [x, y, z] = place.at;
  const from = side === "y" ? y : z;
  const outline = side === "y" ? shape.face : shape.edge;
  if (outline) {
    const points = polygonOf(outline.outer, 0.1).map(([a, b]): Point => [x + a, from + b]);
    return { kind: "path", points, closed: true, ink, id };
  }
  return rect(x, from, shape.length, side === "y" ? shape.width : shape.thickness, ink, id);
}
