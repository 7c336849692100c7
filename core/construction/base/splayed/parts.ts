import { straight } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { Plane, Shape } from "../../../assembly/shape";
import { UP, Vec } from "../../../assembly/vector";
import { USUAL } from "../../usual";
import type { BaseFacts } from "../base";
import { Arm, armEnd, Splayed } from "./place";

type Plain = Omit<AssemblyPart, "adds" | "cuts">;
/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { out: 180, up: 60, down: 120 };

export const outward = ({ x, z }: Pick<Arm, "x" | "z">): Vec => [x, 0, z];

/** Where a leg stands: grain from foot to head, its width outward. */
export function legPlace({ lean, section }: Splayed, arm: Arm): Place {
  const { sin, cos } = lean;
  // its outer face stands on the floor at the foot's outside
  const out = arm.foot - section * cos;
  const half = section / 2;
  return {
    at: [arm.x * out - arm.z * half, -section * sin, arm.z * out + arm.x * half],
    x: [-arm.x * sin, cos, -arm.z * sin],
    y: [arm.x * cos, sin, arm.z * cos],
  };
}

/** Cut level at both ends; from below the arm it tapers on four sides. */
function legShape({ lean, section: s, footSection: f, arm }: Splayed): Shape {
  const { tan, edge, cos } = lean;
  const length = lean.length;
  const whole = { length, width: s, thickness: s };
  const head = s * tan + edge;
  const from = head - arm.depth / cos - USUAL.taperBelow;
  const [low, high] = [(s - f) / 2, (s + f) / 2];
  const tapers = f < s && from > s * tan + 1;
  const face = straight(
    tapers
      ? [
          [(s - low) * tan, low],
          [from, 0],
          [head, 0],
          [edge, s],
          [from, s],
          [(s - high) * tan, high],
        ]
      : [
          [s * tan, 0],
          [head, 0],
          [edge, s],
          [0, s],
        ],
  );
  const edgeView = straight([
    [0, low],
    [from, 0],
    [length, 0],
    [length, s],
    [from, s],
    [0, high],
  ]);
  return { ...whole, face: { outer: face, holes: [] }, ...(tapers ? { edge: { outer: edgeView, holes: [] } } : {}) };
}

/** The end of an arm against its leg: along the inner face of a fork, or square beyond a head below it. @param from  of the arm's own frame to the middle, mm */
function armTip(at: Splayed, arm: Arm, from: number): { reach: number; planes: Plane[] } {
  const { lean, arm: size } = at;
  if (!at.forked) return { reach: armEnd(at, arm), planes: [] };
  const upper = arm.head - lean.level;
  return {
    reach: upper + size.depth * lean.tan,
    planes: [{ through: [from + upper, size.depth, 0], waste: [lean.cos, lean.sin, 0] }],
  };
}

/** Legs, and arms that meet in the middle or run through it. */
export function splayedSticks({ at }: BaseFacts<Splayed>): AssemblyPart[] {
  const { arms, lean } = at;
  const legs = arms.map((arm, i): Plain => ({
    id: `L${i + 1}`,
    kind: "splayed-leg",
    name: "Leg",
    said: "leg",
    plural: "Legs",
    letter: "L",
    role: "leg",
    make: "solid",
    note: `Both ends level, ${lean.degrees.toFixed(1)}° off square and parallel${at.footSection < at.section ? "; tapered when its joint is cut" : ""}.`,
    shape: legShape(at),
    place: legPlace(at, arm),
    opens: [arm.x * PULL.out, -PULL.down, arm.z * PULL.out],
  }));
  const all = [...legs, ...(at.lapped ? throughArms(at) : arms.map((_, i) => pointedArm(at, i)))];
  return all.map((part) => ({ ...part, adds: [], cuts: [] }));
}

const armWords = { kind: "arm", name: "Arm", letter: "H", role: "rail", make: "solid" } as const;

/** Grain along the arm, face upright: its thickness from side to side of its middle line. @param from  how far before the middle it begins */
function armPlace(arm: Arm, { from: low, thickness }: Splayed["arm"], from: number): Place {
  const half = thickness / 2;
  return { at: [-arm.x * from + arm.z * half, low, -arm.z * from - arm.x * half], x: outward(arm), y: UP };
}

/** One arm from the middle out: its inner end is sawn along the middle lines to both its neighbours. */
function pointedArm(at: Splayed, i: number): Plain {
  const { arm: size } = at;
  const arm = at.arms[i];
  const { reach, planes } = armTip(at, arm, 0);
  const mitre = (half: number, side: 1 | -1): Plane => ({
    through: [0, 0, size.thickness / 2],
    waste: [-Math.sin(half), 0, side * Math.cos(half)],
  });
  const off = [arm.after, arm.before].map((half) => `${(90 - (half * 180) / Math.PI).toFixed(1)}°`);
  return {
    ...armWords,
    id: `H${i + 1}`,
    note: `Its inner end comes to a point in its middle: ${off[0] === off[1] ? `${off[0]} off square from both sides` : `${off.join(" and ")} off square`}.`,
    shape: {
      ...{ length: Math.max(1, reach), width: size.depth, thickness: size.thickness },
      planes: [mitre(arm.after, 1), mitre(arm.before, -1), ...planes],
    },
    place: armPlace(arm, size, 0),
    opens: [(arm.x * PULL.out) / 2, 0, (arm.z * PULL.out) / 2],
  };
}

/** Two arms from leg to leg, lapped in the middle. */
function throughArms(at: Splayed): Plain[] {
  const { arm: size } = at;
  return [0, 1].map((i): Plain => {
    const [arm, other] = [at.arms[i], at.arms[i + 2]];
    const far = armTip(at, other, 0);
    const near = armTip(at, arm, far.reach);
    const { lean } = at;
    const back: Plane[] = at.forked
      ? [{ through: [far.reach - (other.head - lean.level), size.depth, 0], waste: [-lean.cos, lean.sin, 0] }]
      : [];
    return {
      ...armWords,
      id: `H${i + 1}`,
      note: "From leg to leg, lapped in the middle; both tenons are included.",
      shape: {
        ...{ length: Math.max(1, far.reach + near.reach), width: size.depth, thickness: size.thickness },
        planes: [...near.planes, ...back],
      },
      place: armPlace(arm, size, far.reach),
      opens: [0, i === 0 ? PULL.up : 0, 0],
    };
  });
}
