/** Heads of splayed legs that stand outside a round rim, each with a rebate that takes the top's edge. mm, from the top's middle */
import type { Rebated } from "../../geometry";
import type { LegLean } from "../leaning";

/** What the legs take of the rim. */
export interface Beside {
  /** of each leg: from the middle to its rebate's wall, which is plumb and square to the arm */
  walls: number[];
  /** how much of a head lies under the top, at least */
  ledge: number;
  /** what is left outside the wall at the head's end, at least */
  left: number;
  /** how far the rim falls away from a wall at its ends, at most */
  curve: number;
  rebated: Rebated;
}

/** Rim points that are looked at across a leg, on each side of its middle. */
const LOOKS = 20;

interface Way {
  x: number;
  z: number;
}

/**
 * How far an ellipse reaches along a way, beside the line through its middle.
 *
 * @param aside  from that line, toward the way turned from x to z, mm
 * @returns mm from the middle along the way; null where the line passes the ellipse by
 * @source derived: the point p·way + t·side put into (x/a)² + (z/b)² = 1
 */
export function rimBeside({ x, z }: Way, { length, width }: { length: number; width: number }, aside: number) {
  const [aa, bb] = [(length / 2) ** 2, (width / 2) ** 2];
  const square = (x * x) / aa + (z * z) / bb;
  const half = aside * x * z * (1 / bb - 1 / aa);
  const free = aside * aside * ((z * z) / aa + (x * x) / bb) - 1;
  const under = half * half - square * free;
  return under < 0 ? null : (Math.sqrt(under) - half) / square;
}

/** Places each rebate's wall a gap outside the rim's farthest point within the leg's width. */
export function besideRim(
  arms: readonly (Way & { head: number })[],
  facts: {
    top: { length: number; width: number };
    section: number;
    lean: LegLean;
    rise: number;
    gap: number;
  },
): Beside {
  const { top, section, lean, rise, gap } = facts;
  const rims = arms.map((arm) => {
    const looks = Array.from({ length: 2 * LOOKS + 1 }, (_, i) => ((i - LOOKS) / LOOKS) * (section / 2));
    const seen = looks.flatMap((aside) => {
      const far = rimBeside(arm, top, aside);
      return far === null ? [] : [{ aside, far }];
    });
    const nearest = seen.reduce((a, b) => (b.far > a.far ? b : a));
    return { nearest, least: Math.min(...seen.map(({ far }) => far)), whole: seen.length === looks.length };
  });
  const walls = rims.map(({ nearest }) => nearest.far + gap);
  return {
    walls,
    ledge: Math.min(...arms.map(({ head }, i) => rims[i].least - (head - lean.level))),
    left: Math.min(...arms.map(({ head }, i) => head - rise * lean.tan - walls[i])),
    curve: Math.max(...rims.map(({ nearest, least, whole }) => (whole ? nearest.far - least : Infinity))),
    rebated: {
      ...{ kind: "splayed-leg", said: "legs", gap, path: ["form", "splayed", "rim", "gap"] },
      spots: arms.map(({ x, z }, i) => {
        const { far, aside } = rims[i].nearest;
        return { x: x * far - z * aside, z: z * far + x * aside, way: [x, z] };
      }),
    },
  };
}
