import type { AssemblyPart, Worked } from "../../../assembly/part";
import { Place, seenFrom } from "../../../assembly/place";
import type { Plane } from "../../../assembly/shape";
import { UP, Vec } from "../../../assembly/vector";
import type { BaseFacts } from "../base";
import { leaningPlace, leaningRound, leaningShape } from "../leaning";
import { Facing, outAt } from "./lean";
import { Arm, armEnd, legFace, roundBy, Splayed, taperFrom } from "./place";
import { steady } from "../../../units/steady";

type Plain = Omit<AssemblyPart, "adds" | "cuts"> & { cuts?: Worked[] };
/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { out: 180, up: 60, down: 120 };

export const outward = ({ x, z }: Pick<Arm, "x" | "z">): Vec => [x, 0, z];

/** Sticks that point from the middle to the legs: the arms under the top, the star's below. */
interface Spokes {
  words: Pick<AssemblyPart, "kind" | "name" | "letter" | "role" | "make" | "note">;
  size: Splayed["arm"];
  /** how far one reaches, and the face it ends against: its place over the stick's lower edge; null where it is square, or hollowed to a round leg */
  tip: (arm: Arm) => { reach: number; face: Facing | null; hollowed?: true };
  lift: number;
}

/** Arms end along the inner face of a leg, or square beyond a head below them. */
const armSpokes = (at: Splayed): Spokes => ({
  words: armWords,
  size: at.arm,
  lift: 1,
  tip: (arm) => {
    const { lean, arm: size } = at;
    if (at.heads === "below") return { reach: armEnd(at, arm), face: null };
    if (at.round) return roundTip(at, arm, size);
    const upper = arm.head - lean.level;
    return {
      reach: upper + size.depth * lean.tan,
      face: { out: upper, up: size.depth, way: { out: lean.cos, up: lean.sin } },
    };
  },
});

/** Against a turned leg a stick reaches round it, and is hollowed to it. */
function roundTip(at: Splayed, arm: Arm, size: Splayed["arm"]): ReturnType<Spokes["tip"]> {
  const ends = [size.from, size.from + size.depth].map((up) => {
    const face = legFace(at, arm, up);
    return outAt(face, up) + roundBy(at, face.section, size.thickness);
  });
  return { reach: Math.max(...ends), face: null, hollowed: true };
}

/** What a turned leg takes of a stick that ends against it. */
const hollow = (at: Splayed, arm: Arm, stick: Place): Worked => ({
  ...{ by: "hollow", shape: leaningRound(at), place: seenFrom(stick, leaningPlace(at, arm)), shows: true },
});

/** The star ends along the inner faces of the legs. */
const starSpokes = (at: Splayed, star: NonNullable<Splayed["star"]>): Spokes => ({
  words: starWords,
  size: star,
  lift: -1,
  tip: (arm) => {
    if (at.round) return roundTip(at, arm, star);
    const face = legFace(at, arm, star.from + star.depth / 2);
    const reach = Math.max(outAt(face, star.from), outAt(face, star.from + star.depth));
    return { reach, face: { ...face, up: face.up - star.from } };
  },
});

const planeOf = ({ out, up, way }: Facing, from: number, side: 1 | -1): Plane => ({
  through: [from + side * out, up, 0],
  waste: [side * way.out, way.up, 0],
});

/** What the top's edge takes of a head that stands beside it. */
const rebateOf = ({ beside, arms, under, rise }: Splayed, i: number) =>
  beside ? { foot: arms[i].foot, from: under, to: under + rise, wall: beside.walls[i] } : undefined;

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
    note: `${at.round ? "Turned round; both" : "Both"} ends level, ${lean.degrees.toFixed(1)}° off square and parallel${at.footSection < at.section && !at.round ? "; tapered when its joint is cut" : ""}.`,
    shape: at.round ? leaningRound(at) : leaningShape(at, taperFrom(at), rebateOf(at, i)),
    place: leaningPlace(at, arm),
    opens: [arm.x * PULL.out, -PULL.down, arm.z * PULL.out],
  }));
  const spokes = [armSpokes(at), ...(at.star ? [starSpokes(at, at.star)] : [])];
  const all = [
    ...legs,
    ...spokes.flatMap((each) => (at.lapped ? throughSpokes(at, each) : arms.map((_, i) => pointedSpoke(at, each, i)))),
  ];
  return all.map(({ cuts = [], ...part }) => ({ ...part, adds: [], cuts }));
}

const stick = { role: "rail", make: "solid", note: "" } as const;
const armWords = { kind: "arm", name: "Arm", letter: "H", ...stick };
const starWords = { kind: "star", name: "Star stretcher", letter: "SR", ...stick };

/** Grain along the spoke, face upright: its thickness from side to side of its middle line. @param from  how far before the middle it begins */
function spokePlace(arm: Arm, { from: low, thickness }: Splayed["arm"], from: number): Place {
  const half = thickness / 2;
  return { at: [-arm.x * from + arm.z * half, low, -arm.z * from - arm.x * half], x: outward(arm), y: UP };
}

/** One from the middle out: its inner end is sawn along the middle lines to both its neighbours. */
function pointedSpoke(at: Splayed, { words, size, tip, lift }: Spokes, i: number): Plain {
  const arm = at.arms[i];
  const { reach, face, hollowed } = tip(arm);
  const place = spokePlace(arm, size, 0);
  const mitre = (half: number, side: 1 | -1): Plane => ({
    through: [0, 0, size.thickness / 2],
    waste: [-steady(Math.sin(half)), 0, side * steady(Math.cos(half))],
  });
  const off = [arm.after, arm.before].map((half) => `${(90 - (half * 180) / Math.PI).toFixed(1)}°`);
  return {
    ...words,
    id: `${words.letter}${i + 1}`,
    note: `Its inner end comes to a point in its middle: ${off[0] === off[1] ? `${off[0]} off square from both sides` : `${off.join(" and ")} off square`}.`,
    shape: {
      ...{ length: Math.max(1, reach), width: size.depth, thickness: size.thickness },
      planes: [mitre(arm.after, 1), mitre(arm.before, -1), ...(face ? [planeOf(face, 0, 1)] : [])],
    },
    place,
    ...(hollowed ? { cuts: [hollow(at, arm, place)] } : {}),
    opens: [(arm.x * PULL.out) / 2, lift < 0 ? -PULL.down / 2 : 0, (arm.z * PULL.out) / 2],
  };
}

/** Two from leg to leg, lapped in the middle. */
function throughSpokes(at: Splayed, { words, size, tip, lift }: Spokes): Plain[] {
  return [0, 1].map((i): Plain => {
    const [arm, other] = [at.arms[i], at.arms[i + 2]];
    const [near, far] = [tip(arm), tip(other)];
    const place = spokePlace(arm, size, far.reach);
    return {
      ...words,
      id: `${words.letter}${i + 1}`,
      note: "From leg to leg, lapped in the middle; what its joints add is included.",
      shape: {
        ...{ length: Math.max(1, far.reach + near.reach), width: size.depth, thickness: size.thickness },
        planes: [
          ...(near.face ? [planeOf(near.face, far.reach, 1)] : []),
          ...(far.face ? [planeOf(far.face, far.reach, -1)] : []),
        ],
      },
      place,
      ...(near.hollowed ? { cuts: [arm, other].map((each) => hollow(at, each, place)) } : {}),
      opens: [0, lift < 0 ? -PULL.down / 2 - i * PULL.up : i === 0 ? PULL.up : 0, 0],
    };
  });
}
