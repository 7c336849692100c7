/** Low stretchers as parts, and where they meet the legs and one another. */
import type { Meeting } from "../../../assembly/meeting";
import type { AssemblyPart } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import type { Shape } from "../../../assembly/shape";
import type { Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import { lowOf } from "./joints";
import { legAt } from "./leg";
import type { LowStretcher, LowStretchers } from "./low";
import type { LegAndApron } from "./place";

/** How far each is drawn off when the piece is pulled apart, mm. */
const PULL = 150;

const NAMES: Record<LowStretcher["kind"], Pick<AssemblyPart, "name" | "letter">> = {
  stretcher: { name: "Stretcher", letter: "R" },
  "end-stretcher": { name: "End stretcher", letter: "U" },
  "middle-stretcher": { name: "Middle stretcher", letter: "R" },
};

/** Its ends sawn to the legs where they taper away from it. */
function shapeOf({ half }: LowStretcher, { depth, thickness }: LowStretchers): Shape {
  const longest = Math.max(half.upper, half.lower);
  const drop = half.lower - half.upper;
  const shape = { length: 2 * longest, width: depth, thickness };
  if (drop <= 0) return shape;
  return {
    ...shape,
    planes: [
      { through: [0, 0, 0], waste: [-depth, drop, 0] },
      { through: [2 * longest, 0, 0], waste: [depth, drop, 0] },
    ],
  };
}

export function lowParts(low: LowStretchers): AssemblyPart[] {
  return low.all.map((each): AssemblyPart => {
    const { kind, run, at, half } = each;
    const longest = Math.max(half.upper, half.lower);
    const along = run === "along";
    const place: Place = along
      ? { at: [-longest, low.height, at - low.thickness / 2], x: [1, 0, 0], y: [0, 1, 0] }
      : { at: [at + low.thickness / 2, low.height, -longest], x: [0, 0, 1], y: [0, 1, 0] };
    const opens: Vec = along ? [0, 0, Math.sign(at) * PULL] : [Math.sign(at) * PULL, 0, 0];
    return {
      id: each.id,
      kind,
      ...NAMES[kind],
      role: "rail",
      make: "solid",
      note:
        half.lower > half.upper ? "Ends sawn to the legs’ taper; its tenons are included." : "Its tenons are included.",
      // between tapered legs nothing but the legs themselves says how long it is
      ...(half.lower > half.upper ? { markedFrom: "the dry-fitted legs" } : {}),
      shape: shapeOf(each, low),
      place,
      adds: [],
      cuts: [],
      opens,
    };
  });
}

/** Each end of each stretcher against what it meets. */
export function lowMeetings({ at, joints }: { at: LegAndApron; joints: readonly KindOfJoint[] }): Meeting[] {
  const { low } = at;
  if (!low) return [];
  const byId = new Map(lowOf(joints).map((joint) => [joint.id, joint]));
  const t = low.thickness / 2;
  return low.all.flatMap(({ id, kind, run, at: line, half }) =>
    ([-1, 1] as const).flatMap((side): Meeting[] => {
      const joint = byId.get(kind === "middle-stretcher" ? "end-stretcher+middle-stretcher" : `leg+${kind}`);
      if (!joint) return [];
      const near = side * half.upper;
      const [x, z] = run === "along" ? [side, line] : [line, side];
      // pockets are bored on the face that looks inward, of one in the middle on one and the same
      const outward = ((run === "along" ? 1 : -1) * side * (Math.sign(line) || 1)) as 1 | -1;
      const face: Place =
        run === "along"
          ? { at: [near, low.height, line - side * t], x: [side, 0, 0], y: [0, 1, 0] }
          : { at: [line + side * t, low.height, near], x: [0, 0, side], y: [0, 1, 0] };
      return [
        {
          ...{ joint, enters: id, receives: kind === "middle-stretcher" ? `U${side > 0 ? 2 : 1}` : legAt(x, z) },
          ...{ face, outward },
        },
      ];
    }),
  );
}
