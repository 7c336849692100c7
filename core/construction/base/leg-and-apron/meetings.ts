/** Where legs, rails and cross-rails meet. */
import type { Meeting } from "../../../assembly/meeting";
import type { Place } from "../../../assembly/place";
import type { BaseFacts } from "../base";
import { blockMeetings } from "./corner-blocks";
import { railJoint } from "./joints";
import { legAt } from "./leg";
import { longRailAt } from "./long-rails";
import { lowMeetings } from "./low-parts";
import { middleLegMeetings } from "./middle-parts";
import { crossDepth, LegAndApron } from "./place";

const SIDES = [-1, 1] as const;
const numbered = (letter: string, side: number) => `${letter}${side > 0 ? 2 : 1}`;

export function legAndApronMeetings({ at, joints }: BaseFacts<LegAndApron>): Meeting[] {
  const { longRail, endRail, rail, crossRails } = at;
  const half = rail.thickness / 2;
  const [long, end, cross] = (["long-rail", "end-rail", "cross-rail"] as const).map((each) => railJoint(joints, each));
  /** the end of something that runs along the top, or across it, on the side it points to */
  const along = (x: number, y: number, z: number, side: number): Place => ({
    ...{ at: [x, y, z - side * half], x: [side, 0, 0], y: [0, 1, 0] },
  });
  const across = (x: number, y: number, z: number, side: number): Place => ({
    ...{ at: [x + side * half, y, z], x: [0, 0, side], y: [0, 1, 0] },
  });
  const rails = SIDES.flatMap((z) =>
    SIDES.flatMap((x): Meeting[] => [
      ...(long
        ? [
            {
              ...{ joint: long, enters: longRailAt(at, x, z), receives: legAt(x, z) },
              face: along((x * longRail.shoulder) / 2, rail.lowerEdge, z * longRail.z, x),
              outward: (x * z) as 1 | -1,
            },
          ]
        : []),
      ...(end
        ? [
            {
              ...{ joint: end, enters: numbered("E", x), receives: legAt(x, z) },
              face: across(x * endRail.x, rail.lowerEdge, (z * endRail.shoulder) / 2, z),
              outward: (-x * z) as 1 | -1,
            },
          ]
        : []),
    ]),
  );
  const crossing = crossRails.flatMap(({ x, shoulder }, i) =>
    SIDES.flatMap((z): Meeting[] =>
      cross
        ? [
            {
              ...{
                joint: cross,
                enters: crossRails.length > 1 ? `C${i + 1}` : "C",
                receives: longRailAt(at, x < 0 ? -1 : 1, z),
              },
              face: across(x, rail.upperEdge - cross.section.width, (z * shoulder) / 2, z),
            },
          ]
        : [],
    ),
  );
  return [
    ...rails,
    ...crossing,
    ...lowMeetings({ at, joints }),
    ...blockMeetings(at, joints),
    ...middleLegMeetings(at, joints, crossDepth(at)),
  ];
}
