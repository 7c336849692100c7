import { straight } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import type { Vec } from "../../../assembly/vector";
import type { Meeting } from "../../../assembly/meeting";
import { mitre } from "../../../joinery/mitre";
import type { KindOfJoint } from "../../../joinery/kinds";
import { USUAL_TENON } from "../../../piece/base-choices";
import type { Form, JointChoices } from "../../../piece/schema";
import type { Shop } from "../../../piece/shop";
import { fine } from "../../../verdict/verdict";
import type { BaseFacts } from "../base";
import type { Bend, Bent } from "./place";

/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { out: 160, down: 90 };

/** Across the plane of the bend, to the right of whoever looks outward along it. */
const aside = ({ way }: Bend): Vec => [-way[1] + 0, 0, way[0] + 0];
const from = ({ x, z, way }: Bend, height: number, out: number, side: number): Vec => [
  x + way[0] * out - way[1] * side,
  height,
  z + way[1] * out + way[0] * side,
];

/** Arms and legs, both with their mitres: the outer corner of each bend lies under the top. */
export function bentParts({ at }: BaseFacts<Bent>): AssemblyPart[] {
  const { bends, shape, under } = at;
  const { section: t, foot, thickness, inner, outside, inside, sin, cos, arm } = shape;
  const same = { make: "solid" as const, adds: [], cuts: [] };
  const arms = bends.map((bend, i): AssemblyPart => ({
    ...{ ...same, id: `H${i + 1}`, kind: "bent-arm", name: "Arm", letter: "H", role: "rail" },
    note: "Two nest end for end in one blank; slotted for the top before it is glued.",
    shape: {
      ...{ length: Math.max(1, arm.length), width: t, thickness },
      face: {
        outer: straight([
          [0, t - arm.end],
          [arm.length - inner, 0],
          [arm.length, t],
          [0, t],
        ]),
        holes: [],
      },
    },
    place: { at: from(bend, under - t, -arm.length, -thickness / 2), x: [bend.way[0], 0, bend.way[1]], y: [0, 1, 0] },
    opens: [0, 0, 0],
  }));
  const legs = bends.map((bend, i): AssemblyPart => ({
    ...{ ...same, id: `L${i + 1}`, kind: "bent-leg", name: "Leg", letter: "L", role: "post" },
    note: "Two nest end for end in one blank; mitred square, then tapered on its inner side.",
    shape: {
      ...{ length: Math.max(1, outside), width: t, thickness },
      face: {
        outer: straight([
          [0, 0],
          [outside, 0],
          [inside, foot],
          [inner, t],
        ]),
        holes: [],
      },
    },
    // from the bend down along its outer edge, its width inward
    place: {
      at: from(bend, under, 0, thickness / 2),
      x: [bend.way[0] * sin + 0, -cos, bend.way[1] * sin + 0],
      y: [-bend.way[0] * cos + 0, -sin + 0, -bend.way[1] * cos + 0],
    },
    opens: [bend.way[0] * PULL.out + 0, -PULL.down, bend.way[1] * PULL.out + 0],
  }));
  return [...arms, ...legs];
}

const GROUP = "bent-arm+bent-leg";

export function bentJoints(
  { shape, bends, choices: { joint } }: Bent,
  _: Form,
  choices: JointChoices,
  shop: Shop,
): KindOfJoint[] {
  const { section, thickness, angle, inner, outside } = shape;
  return [
    mitre({
      meets: {
        id: GROUP,
        group: GROUP,
        name: "Leg to arm",
        receives: "bent-arm",
        enters: "bent-leg",
        count: bends.length,
      },
      ...{ width: thickness, board: section, angle, held: joint, shop },
      setting: { ...(choices.groups[GROUP] ?? USUAL_TENON), kind: "loose" },
      set: [
        { what: "Jig", setting: "one setting for all: leg and arm against the same fence, turned over between them" },
        { what: "Short of the long point, on the inner edge", setting: fine(inner) },
        { what: "Leg, on its outer edge", setting: fine(outside) },
      ],
    }),
  ];
}

/** The cut lies between the outer corner under the top and the inner one. */
export function bentMeetings({ at, joints }: BaseFacts<Bent>): Meeting[] {
  const { bends, shape, under } = at;
  const joint = joints.find(({ id }) => id === GROUP);
  if (!joint) return [];
  const half = ((shape.angle / 2) * Math.PI) / 180;
  // square to the cut, into the arm: inward and up
  return bends.map((bend, i): Meeting => ({
    joint,
    ...{ enters: `L${i + 1}`, receives: `H${i + 1}` },
    face: {
      at: from(bend, under, 0, shape.thickness / 2),
      x: [-bend.way[0] * Math.sin(half) + 0, Math.cos(half), -bend.way[1] * Math.sin(half) + 0],
      y: aside(bend).map((each) => -each + 0) as unknown as Vec,
    },
  }));
}
