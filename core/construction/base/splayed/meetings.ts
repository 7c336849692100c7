/** Where splayed legs meet their arms, and arms one another. */
import type { Meeting } from "../../../assembly/meeting";
import type { Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { BaseFacts } from "../base";
import { mitreFace } from "./joints";
import { outward } from "./parts";
import type { Splayed } from "./place";

export function splayedMeetings({ at, joints }: BaseFacts<Splayed>): Meeting[] {
  const { arms, arm: size, section, lean, under } = at;
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  const out: Meeting[] = [];
  const armOf = (i: number) => `H${at.lapped ? (i % 2) + 1 : i + 1}`;
  const leg = byId.get("arm+splayed-leg") ?? byId.get("splayed-leg+arm");
  arms.forEach((arm, i) => {
    if (!leg) return;
    const [side, u] = [-arm.z, arm.x];
    if (at.forked) {
      // the leg's inner face, from the arm's lower edge up along the leg; across it from the near side of the arm
      const low = arm.head - lean.level + size.depth * lean.tan;
      const half = size.thickness / 2;
      out.push({
        joint: leg,
        ...{ enters: armOf(i), receives: `L${i + 1}` },
        face: {
          at: [arm.x * low - side * half, size.from, arm.z * low - u * half],
          x: [arm.x * lean.cos, lean.sin, arm.z * lean.cos],
          y: [-arm.x * lean.sin, lean.cos, -arm.z * lean.sin],
        },
      });
      return;
    }
    const inner = arm.head - lean.level;
    const half = section / 2;
    out.push({
      joint: leg,
      ...{ enters: `L${i + 1}`, receives: armOf(i) },
      face: {
        at: [arm.x * inner + side * half, size.from, arm.z * inner + u * half],
        x: [0, 1, 0],
        y: outward(arm),
      },
    });
  });
  const lap = byId.get("arm+arm");
  if (!lap) return out;
  if (at.lapped) {
    const [one] = arms;
    out.push({
      joint: lap,
      ...{ enters: "H1", receives: "H2" },
      face: { at: [0, under, 0], x: outward(one), y: [-one.z, 0, one.x] },
    });
    return out;
  }
  arms.forEach((arm, i) => {
    const angle = arm.angle + arm.after;
    const long = mitreFace(at, arm.after);
    const along: Vec = [Math.cos(angle), 0, Math.sin(angle)];
    out.push({
      joint: lap,
      ...{ enters: `H${i + 1}`, receives: `H${((i + 1) % arms.length) + 1}` },
      face: {
        at: [along[0] * long, size.from, along[2] * long],
        x: [-Math.sin(angle), 0, Math.cos(angle)],
        y: [0, 1, 0],
      },
    });
  });
  return out;
}
