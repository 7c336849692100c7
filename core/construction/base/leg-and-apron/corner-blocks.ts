import { longRailAt } from "./long-rails";
import { straight } from "../../../assembly/outline";
import type { Meeting } from "../../../assembly/meeting";
import type { AssemblyPart } from "../../../assembly/part";
import type { Place } from "../../../assembly/place";
import { cross, dot, Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import { screwed } from "../../../joinery/screwed";
import { cornerBlock, LegAndApron } from "./place";

/** Screws of a block in each rail: through so much of it they reach as far into the rail as they are longer, mm. @source common practice */
const SCREWS = { count: 2, long: 40, through: 30 };

/** How wide a block is, upright against the rails. */
const widthOf = ({ rail }: LegAndApron) => Math.max(20, Math.min(70, rail.depth - 25));

/** A block is screwed to both rails of its corner. */
export function blockJoints(at: LegAndApron): KindOfJoint[] {
  const { thickness } = cornerBlock(at);
  // the face it is sawn to; across it, the block is as thick as a screw passes so far from its near corner
  const section = { width: widthOf(at), thickness: thickness * Math.SQRT2 };
  return ["long-rail", "end-rail"].map((receives) =>
    screwed({
      meets: {
        ...{ id: `${receives}+corner-block`, group: `${receives}+corner-block`, receives, enters: "corner-block" },
        ...{ name: `Corner block to ${receives === "long-rail" ? "long" : "end"} rail`, count: 4 },
      },
      ...{ section, into: { depth: at.rail.thickness }, screws: SCREWS.count, long: SCREWS.long },
      ...{ through: SCREWS.through, at: Math.max(3, section.thickness - SCREWS.through) },
    }),
  );
}

/** Each block against both of its rails: across the face from the end nearest the leg. */
export function blockMeetings(at: LegAndApron, joints: readonly KindOfJoint[]): Meeting[] {
  const [cx, cz] = [at.endRail.x - at.rail.thickness / 2, at.longRail.z - at.rail.thickness / 2];
  const { near } = cornerBlock(at);
  const low = at.rail.upperEdge - BELOW - widthOf(at);
  const [long, end] = ["long-rail", "end-rail"].map((rail) => joints.find(({ id }) => id === `${rail}+corner-block`));
  let count = 0;
  return [1, -1].flatMap((z) =>
    [-1, 1].flatMap((x): Meeting[] => {
      count += 1;
      const enters = `K${count}`;
      const up: Vec = [0, 1, 0];
      return [
        ...(long
          ? [
              blockAgainst(
                { joint: long, enters, receives: longRailAt(at, x, z) },
                { at: [x * (cx - near), low, z * cz], x: [0, 0, z], y: up },
                [-x, 0, 0],
              ),
            ]
          : []),
        ...(end
          ? [
              blockAgainst(
                { joint: end, enters, receives: x > 0 ? "E2" : "E1" },
                { at: [x * cx, low, z * (cz - near)], x: [x, 0, 0], y: up },
                [0, 0, -z],
              ),
            ]
          : []),
      ];
    }),
  );
}

/** The face's third axis runs from the leg outward: turned upside down where right-handedness asks for it. */
function blockAgainst(who: Omit<Meeting, "face">, face: Place, across: Vec): Meeting {
  const third = cross(face.x, face.y);
  const width = who.joint.section.width;
  return dot(third, across) > 0
    ? { ...who, face }
    : { ...who, face: { at: [face.at[0], face.at[1] + width, face.at[2]], x: face.x, y: [0, -1, 0] } };
}

/** Upright against the rails, this far below their upper edge so that it never lifts the top, mm. @source common practice */
const BELOW = 3;

/** Blocks across the four corners of the rails, sawn at 45° at both ends. */
export function cornerBlocks(at: LegAndApron): AssemblyPart[] {
  const [cx, cz] = [at.endRail.x - at.rail.thickness / 2, at.longRail.z - at.rail.thickness / 2];
  const { far, length, thickness } = cornerBlock(at);
  const width = widthOf(at);
  let count = 0;
  return [1, -1].flatMap((z) =>
    [-1, 1].map((x): AssemblyPart => {
      count += 1;
      // from its far point on the end rail to its far point on the long rail; its outer, longer face looks into the room
      const a: Vec = [x * cx, at.rail.upperEdge - BELOW - width, z * (cz - far)];
      const b: Vec = [x * (cx - far), a[1], z * cz];
      // its thickness runs from the far face toward the corner
      const from = x * z > 0 ? b : a;
      const to = x * z > 0 ? a : b;
      const grain: Vec = [(to[0] - from[0]) / length, 0, (to[2] - from[2]) / length];
      return {
        id: `K${count}`,
        kind: "corner-block",
        name: "Corner block",
        letter: "K",
        role: "block",
        make: "solid",
        note: "Sawn at 45° both ends; drilled before the glue-up.",
        shape: {
          length,
          width,
          thickness,
          edge: {
            outer: straight([
              [0, 0],
              [length, 0],
              [length - thickness, thickness],
              [thickness, thickness],
            ]),
            holes: [],
          },
        },
        place: { at: from, x: grain, y: [0, 1, 0] },
        adds: [],
        cuts: [],
        opens: [0, -140, 0],
      };
    }),
  );
}
