/** A joint of any kind that is sized by itself, closed: the part that enters from its side and from its edge, against the one that receives it. */
import { polygonOf } from "../assembly/outline";
import type { JointBody } from "../joinery/joint";
import { bodiesOf, kindName, KindOfJoint } from "../joinery/kinds";
import type { Species } from "../wood/species";
import { dimension, Ink, Item, Point, rect, Scene, shifted } from "./scene";

/** Seen along z: x to the left into the part that receives, y up the face; or along y, with z up. */
type Side = "y" | "z";

/** Both sides of a joint next to each other, to one scale. */
export function jointScene(joint: KindOfJoint, species: Species): Scene {
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
