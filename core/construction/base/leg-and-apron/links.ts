import { LegAndApronJoint, LegRailJoint, railJoint } from "./joints";
import { legAt } from "./leg";
import { lowMeetings } from "./low-parts";
import type { LegAndApron } from "./place";
import { linksOf } from "../../../movement/meetings";
import { Link, point } from "../../../movement/restraint";
import type { JointChoices } from "../../../piece/schema";
import { Remedy, set } from "../../../verdict/verdict";
import type { BaseFacts } from "../base";

/** Marks of the rails on a side, numbered from the back and from the left. */
const railAt = (letter: string, side: number) => `${letter}${side > 0 ? 2 : 1}`;

/** Legs and rails: each tenon's glue is a stretch up the leg. */
export function legAndApronLinks({
  at,
  joints,
  choices,
}: BaseFacts<LegAndApron, LegAndApronJoint> & { choices: JointChoices }): Link[] {
  const fewer: Remedy[] =
    (choices.legRail.tenons ?? (at.rail.depth > 100 ? 2 : 1)) >= 2
      ? []
      : [set("Cut two tenons with a gap", ["joints", "legRail", "tenons"], 2)];
  const tenons = (
    joint: LegRailJoint | null,
    id: string,
    name: string,
    a: string,
    b: string,
    x: number,
    z: number,
  ): Link[] =>
    Array.from({ length: joint?.tenons ?? 1 }, (_, i): Link => {
      const width = joint?.tenonWidth ?? at.rail.depth;
      const upper = at.rail.upperEdge - (joint?.shoulders.top ?? 0) - i * (width + (joint?.gap ?? 0));
      // the second tenon's joint to the first is the rail itself: only its own glue is judged
      return {
        id: `${id}-${i + 1}`,
        name,
        a,
        b,
        kind: "glue",
        hold: [i === 0 ? point(x) : null, [upper - width, upper], i === 0 ? point(z) : null],
        mend: fewer,
        stretched: true,
      };
    });
  const long = railJoint(joints, "long-rail");
  const end = railJoint(joints, "end-rail");
  const cross = railJoint(joints, "cross-rail");
  const legX = at.frame.length / 2 - at.leg.section / 2;
  const legZ = at.frame.width / 2 - at.leg.across / 2;
  return [1, -1]
    .flatMap((x) =>
      [1, -1].flatMap((z) => [
        ...tenons(long, `long-${x}-${z}`, "its tenon", legAt(x, z), railAt("A", z), x * legX, z * at.longRail.z),
        ...tenons(end, `end-${x}-${z}`, "its tenon", legAt(x, z), railAt("E", x), x * at.endRail.x, z * legZ),
      ]),
    )
    .concat(
      at.crossRails.flatMap((rail, i) =>
        [1, -1].flatMap((z) =>
          tenons(
            cross,
            `cross-${i + 1}-${z}`,
            "its tenon",
            railAt("A", z),
            at.crossRails.length > 1 ? `C${i + 1}` : "C",
            rail.x,
            z * at.longRail.z,
          ),
        ),
      ),
    )
    .concat(linksOf(lowMeetings({ at, joints }), choices));
}
