/** Parts a maker adds: boxes where they were put, with their mirror images. */
import type { AssemblyPart } from "../../assembly/part";
import { add, cross, times, Vec } from "../../assembly/vector";
import type { OwnPart } from "../../piece/own-choices";

const LETTER = "N";
/** How far each is drawn out when the piece is pulled apart, mm. */
const PULL = { out: 70, down: 120 };

interface Lying {
  /** its grain, and its width */
  x: Vec;
  y: Vec;
}

/** Which way grain and width point. @source derived: the grain turned in the upright plane it lies in */
export function lying({ grain, lean, lies }: Pick<OwnPart, "grain" | "lean" | "lies">): Lying {
  const [s, c] = [Math.sin((lean * Math.PI) / 180), Math.cos((lean * Math.PI) / 180)];
  const { x, up, level } = {
    along: { x: [c, s, 0] as Vec, up: [-s, c, 0] as Vec, level: [0, 0, 1] as Vec },
    across: { x: [0, s, c] as Vec, up: [0, c, -s] as Vec, level: [1, 0, 0] as Vec },
    upright: { x: [s, c, 0] as Vec, up: [c, -s, 0] as Vec, level: [0, 0, 1] as Vec },
  }[grain];
  // an upright's broad side looks to the front when it lies flat
  return { x, y: (lies === "flat") === (grain === "upright") ? up : level };
}

/** Its middle's height, mm. */
function middleOf(own: OwnPart, { x, y }: Lying, under: number): number {
  const z = cross(x, y);
  const half = (Math.abs(x[1]) * own.length + Math.abs(y[1]) * own.width + Math.abs(z[1]) * own.thickness) / 2;
  return own.rests === "floor" ? half : own.rests === "under-top" ? under - half : own.height + half;
}

const MIRRORED: Record<OwnPart["times"], readonly (readonly [1 | -1, 1 | -1])[]> = {
  once: [[1, 1]],
  sides: [
    [1, 1],
    [1, -1],
  ],
  ends: [
    [1, 1],
    [-1, 1],
  ],
  corners: [
    [1, 1],
    [-1, 1],
    [1, -1],
    [-1, -1],
  ],
};

/** @param under  height of the top's underside, mm */
export function ownParts(all: readonly OwnPart[], under: number): AssemblyPart[] {
  let count = 0;
  return all.flatMap((own) => {
    const way = lying(own);
    const middle = middleOf(own, way, under);
    return MIRRORED[own.times].map(([a, b]): AssemblyPart => {
      count += 1;
      // a box mirrored is a box turned: its width may point the other way
      const mirror = ([p, q, r]: Vec): Vec => [a * p + 0, q + 0, b * r + 0];
      const [x, y] = [mirror(way.x), mirror(way.y)];
      const z = cross(x, y);
      const at = [times(x, -own.length / 2), times(y, -own.width / 2), times(z, -own.thickness / 2)].reduce(add, [
        a * own.x,
        middle,
        b * own.z,
      ]);
      return {
        ...{ id: `${LETTER}${count}`, kind: own.id, name: own.name, letter: LETTER, role: "rail", make: "solid" },
        note: "A part of your own; fitted to what it meets.",
        shape: { length: own.length, width: own.width, thickness: own.thickness },
        place: { at: at.map((each) => each + 0) as unknown as Vec, x, y },
        ...{ adds: [], cuts: [] },
        opens: [Math.sign(a * own.x) * PULL.out + 0, -PULL.down, Math.sign(b * own.z) * PULL.out + 0],
      };
    });
  });
}
