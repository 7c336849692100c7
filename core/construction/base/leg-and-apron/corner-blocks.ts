import { straight } from "../../../assembly/outline";
import type { AssemblyPart } from "../../../assembly/part";
import type { Vec } from "../../../assembly/vector";
import { cornerBlock, LegAndApron } from "./place";

/** Upright against the rails, this far below their upper edge so that it never lifts the top, mm. @source common practice */
const BELOW = 3;

/** Blocks across the four corners of the rails, sawn at 45° at both ends. */
export function cornerBlocks(at: LegAndApron): AssemblyPart[] {
  const [cx, cz] = [at.endRail.x - at.rail.thickness / 2, at.longRail.z - at.rail.thickness / 2];
  const { far, length, thickness } = cornerBlock(at);
  const width = Math.max(20, Math.min(70, at.rail.depth - 25));
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
