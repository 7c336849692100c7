/** Where plank ends meet the top and the stretcher. */
import type { Meeting } from "../../../assembly/meeting";
import type { Place } from "../../../assembly/place";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { BaseFacts } from "../base";
import { throughPlaces } from "./joints";
import type { Plank } from "./place";

export function plankMeetings({ form, at, joints }: BaseFacts<Plank>): Meeting[] {
  const { ends, plank, under, top, stretcher, bays, mitred, floor, wall } = at;
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  const out: Meeting[] = [];
  const meet = (id: string, who: Omit<Meeting, "joint">) => {
    const joint = byId.get(id);
    if (joint) out.push({ joint, ...who });
  };
  const whole = (form.field === "solid" || form.field === "stripes") && form.ends === "none";
  const half = Math.SQRT1_2;
  ends.forEach(({ x, outer }, i) => {
    const enters = `P${i + 1}`;
    // what lies over an end that is not one panel is not joined: a rule says so
    const side = x > 0 ? 1 : -1;
    if (floor > 0)
      if (outer)
        meet("bottom-board+plank-end", {
          ...{ enters, receives: "Y" },
          face: {
            at: [(side * top.length) / 2, 0, (-side * plank.width) / 2],
            x: [-side * half, -half, 0],
            y: [0, 0, side],
          },
        });
      else
        meet("bottom-board+middle-end", {
          ...{ enters, receives: "Y" },
          face: { at: [x + plank.thickness / 2, floor, -plank.width / 2], x: [0, -1, 0], y: [0, 0, 1] },
        });
    if (!whole) return;
    if (mitred && outer)
      meet("top+plank-end", {
        ...{ enters, receives: "T" },
        face: {
          at: [(side * top.length) / 2, under + top.thickness, (side * plank.width) / 2],
          x: [-side * half, half, 0],
          y: [0, 0, -side],
        },
      });
    else if (form.plank.joint === "through") {
      const { count, each } = throughPlaces(plank.width);
      for (let n = 0; n < count; n += 1)
        meet(outer ? "top+plank-end" : "top+middle-end", {
          ...{ enters, receives: "T" },
          face: {
            at: [x - plank.thickness / 2, under, -plank.width / 2 + n * each],
            x: [0, 1, 0],
            y: [0, 0, 1],
          },
        });
    } else
      meet(outer ? "top+plank-end" : "top+middle-end", {
        ...{ enters, receives: "T" },
        face: {
          at: [x - plank.thickness / 2, under, -plank.width / 2],
          x: [0, 1, 0],
          y: [0, 0, 1],
        },
      });
  });
  if (wall)
    bays.forEach(({ from, to }, i) => {
      const enters = bays.length > 1 ? `W${i + 1}` : "W";
      const front = wall.back + wall.thickness;
      for (const [end, face] of [
        [i, { at: [from, wall.from, front], x: [-1, 0, 0], y: [0, 1, 0] }],
        [i + 1, { at: [to, wall.from, wall.back], x: [1, 0, 0], y: [0, 1, 0] }],
      ] as const)
        meet(ends[end].outer ? "plank-end+wall" : "middle-end+wall", {
          ...{ enters, receives: `P${end + 1}` },
          face,
        });
    });
  if (!stretcher) return out;
  const thick = stretcher.thickness / 2;
  bays.forEach(({ from, to }, i) => {
    const enters = bays.length > 1 ? `R${i + 1}` : "R";
    const right: Place = { at: [to, stretcher.from, -thick], x: [1, 0, 0], y: [0, 1, 0] };
    const left: Place = { at: [from, stretcher.from, thick], x: [-1, 0, 0], y: [0, 1, 0] };
    for (const [end, face] of [
      [i, left],
      [i + 1, right],
    ] as const)
      meet(ends[end].outer ? "plank-end+stretcher" : "middle-end+stretcher", {
        ...{ enters, receives: `P${end + 1}` },
        face,
      });
  });
  return out;
}
