/** Where splayed legs meet their arms, and arms one another. */
import type { Meeting } from "../../../assembly/meeting";
import type { Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { BaseFacts } from "../base";
import { mitreFace } from "./joints";
import { outward } from "./parts";
import { outAt } from "./lean";
import { legFace, Splayed } from "./place";
import { steady } from "../../../units/steady";

export function splayedMeetings({ at, joints }: BaseFacts<Splayed>): Meeting[] {
  const { arms, arm: size, section, lean, under } = at;
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  const out: Meeting[] = [];
  const armOf = (i: number) => `H${at.lapped ? (i % 2) + 1 : i + 1}`;
  const leg = byId.get("arm+splayed-leg") ?? byId.get("splayed-leg+arm");
  arms.forEach((arm, i) => {
    if (!leg) return;
    const [side, u] = [-arm.z, arm.x];
    if (at.heads !== "below") {
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
  const sticks = [{ kind: "arm", letter: "H", size, top: under }];
  if (at.star) sticks.push({ kind: "star", letter: "SR", size: at.star, top: at.star.from + at.star.depth });
  return [
    ...out,
    ...sticks.flatMap(({ kind, letter, size: spoke, top }) =>
      inMiddle(at, byId.get(`${kind}+${kind}`), { letter, spoke, top }),
    ),
    ...starMeetings(at, byId.get("splayed-leg+star")),
  ];
}

/** Where sticks that point to the legs meet: lapped, or each at its neighbour's mitre. */
function inMiddle(
  { arms, lapped }: Splayed,
  joint: KindOfJoint | undefined,
  { letter, spoke, top }: { letter: string; spoke: Splayed["arm"]; top: number },
): Meeting[] {
  if (!joint) return [];
  if (lapped) {
    const [one] = arms;
    return [
      {
        joint,
        ...{ enters: `${letter}1`, receives: `${letter}2` },
        face: { at: [0, top, 0], x: outward(one), y: [-one.z, 0, one.x] },
      },
    ];
  }
  return arms.map((arm, i): Meeting => {
    const angle = arm.angle + arm.after;
    const long = mitreFace(spoke, arm.after);
    const along: Vec = [steady(Math.cos(angle)), 0, steady(Math.sin(angle))];
    return {
      joint,
      ...{ enters: `${letter}${i + 1}`, receives: `${letter}${((i + 1) % arms.length) + 1}` },
      face: {
        at: [along[0] * long, spoke.from, along[2] * long],
        x: [-along[2], 0, along[0]],
        y: [0, 1, 0],
      },
    };
  });
}

/** At a leg's inner face, from the star's lower edge up it. */
function starMeetings(at: Splayed, joint: KindOfJoint | undefined): Meeting[] {
  const { star, arms, lapped } = at;
  if (!star || !joint) return [];
  return arms.map((arm, i): Meeting => {
    const { way, ...face } = legFace(at, arm, star.from + star.depth / 2);
    const low = outAt({ ...face, way }, star.from);
    const [side, u] = [-arm.z, arm.x];
    const half = star.thickness / 2;
    return {
      joint,
      ...{ enters: `SR${lapped ? (i % 2) + 1 : i + 1}`, receives: `L${i + 1}` },
      face: {
        at: [arm.x * low - side * half, star.from, arm.z * low - u * half],
        x: [arm.x * way.out, way.up, arm.z * way.out],
        y: [-arm.x * way.up, way.out, -arm.z * way.up],
      },
    };
  });
}
