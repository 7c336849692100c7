import type { Meeting } from "../assembly/meeting";
import type { Vec } from "../assembly/vector";
import { heldBy } from "../joinery/kinds";
import { USUAL_TENON } from "../piece/base-choices";
import type { JointChoices } from "../piece/schema";
import { Remedy, set } from "../verdict/verdict";
import { Axis, Link, point } from "./restraint";

/** What the joints of these meetings hold, along the piece's axes. */
export function linksOf(meetings: readonly Meeting[], choices: JointChoices): Link[] {
  return meetings.flatMap((meeting, n) => {
    const { joint, face, enters, receives } = meeting;
    const depth = joint.length / 2;
    return heldBy(joint).map(({ kind, name, from, to, mend, play, way }, i): Link => {
      const hold: Link["hold"] = [null, null, null];
      const along = mainAxis(face.y);
      const ends = [from, to].map((at) => face.at[along.axis] + along.sign * at);
      hold[along.axis] = [Math.min(...ends), Math.max(...ends)];
      // the second tenon's tie to the first is the part itself: only its own glue is judged
      if (i === 0)
        for (const { axis, sign, by } of [
          { ...mainAxis(face.x), by: depth },
          { ...acrossAxis(face.x, face.y), by: joint.section.thickness / 2 },
        ])
          hold[axis] = point(face.at[axis] + sign * by);
      return {
        id: `${joint.id}-${n + 1}-${i + 1}`,
        name,
        a: receives,
        b: enters,
        kind,
        hold,
        mend: mend ?? mends(meeting, choices),
        stretched: true,
        ...(play === undefined
          ? {}
          : { play: { axis: way === "across" ? acrossAxis(face.x, face.y).axis : along.axis, range: [-play, play] } }),
      };
    });
  });
}

/** One wide tenon is mended by two with a gap. */
function mends({ joint }: Meeting, choices: JointChoices): Remedy[] {
  if (joint.kind !== "blind-tenon" || joint.tenons > 1) return [];
  const now = choices.groups[joint.group] ?? USUAL_TENON;
  return [set("Cut two tenons with a gap", ["joints", "groups", joint.group], { ...now, tenons: 2 })];
}

function mainAxis(way: Vec): { axis: Axis; sign: number } {
  const axis = ([0, 1, 2] as const).reduce<Axis>(
    (most, each) => (Math.abs(way[each]) > Math.abs(way[most]) ? each : most),
    0,
  );
  return { axis, sign: Math.sign(way[axis]) };
}

function acrossAxis(x: Vec, y: Vec): { axis: Axis; sign: number } {
  return mainAxis([x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]]);
}
