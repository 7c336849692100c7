import { straightAt } from "../../../assembly/outline";
import type { Meeting } from "../../../assembly/meeting";
import type { AssemblyPart } from "../../../assembly/part";
import { Place, toPiece } from "../../../assembly/place";
import type { Vec } from "../../../assembly/vector";
import type { KindOfJoint } from "../../../joinery/kinds";
import type { BaseFacts } from "../base";
import { stretchersBetween } from "../stretchers";
import type { XFrame } from "./place";

export type XFrameFacts = BaseFacts<XFrame>;
type Plain = Omit<AssemblyPart, "adds" | "cuts">;

const SIDES = [1, -1] as const;
type Side = (typeof SIDES)[number];
/** How far parts are drawn off each other when the piece is pulled apart, mm. */
const PULL = { along: 220, apart: 90, up: 110 };

/** Where a leg of the X at `x` stands that rises toward `side`: its corner is the lower end of its lower edge's extent. */
function legPlace({ lean, strip, floor }: XFrame, x: number, side: Side): Place {
  const { sin, cos } = lean;
  const grain: Vec = [0, sin, side * cos];
  const width: Vec = [0, cos, -side * sin];
  // its upper edge stands on the floor at the outside, and reaches farthest back along the strip
  const foot: Vec = [x + (side * strip.thickness) / 2, 0, (-side * floor) / 2];
  const back = Math.max(0, -strip.width / Math.tan((lean.degrees * Math.PI) / 180));
  return { at: toPiece({ at: foot, x: grain, y: width }, [-back, -strip.width, 0]), x: grain, y: width };
}

/** Both legs of each X, its bearer, and the stretcher. */
export function xFrameSticks({ form, at }: XFrameFacts): AssemblyPart[] {
  const { frames, strip, lean, bearer, stretcher, bays } = at;
  const middle = (i: number) => frames.length === 3 && i === 1;
  const off = strip.width / Math.tan((lean.degrees * Math.PI) / 180);
  const shift = Math.max(0, off);
  const all: Plain[] = frames.flatMap((x, i): Plain[] => [
    ...SIDES.map((side, k): Plain => ({
      id: `L${2 * i + k + 1}`,
      kind: middle(i) ? "middle-x-leg" : "x-leg",
      name: middle(i) ? "Middle leg" : "Leg",
      said: middle(i) ? "middle leg" : "leg",
      letter: "L",
      role: "rail",
      make: "solid",
      note: `Both ends level, ${(90 - lean.degrees).toFixed(1)}° off square.`,
      markedFrom: form.xFrame.ends === "after-lap" ? "the glued X on its drawing" : "the full-size drawing",
      shape: {
        length: lean.length,
        width: strip.width,
        thickness: strip.thickness,
        face: {
          outer: [
            straightAt(shift, 0),
            straightAt(shift + lean.edge, 0),
            straightAt(shift - off + lean.edge, strip.width),
            straightAt(shift - off, strip.width),
          ],
          holes: [],
        },
      },
      place: legPlace(at, x, side),
      opens: [Math.sign(x) * PULL.along + side * PULL.apart, 0, 0],
    })),
    {
      id: `H${i + 1}`,
      kind: "bearer",
      name: "Bearer",
      letter: "H",
      role: "rail",
      make: "solid",
      note: "",
      shape: { length: bearer.length, width: bearer.height, thickness: bearer.thickness },
      place: { x: [0, 0, 1], y: [0, 1, 0], at: [x + bearer.thickness / 2, bearer.from, -bearer.length / 2] },
      opens: [Math.sign(x) * PULL.along, PULL.up, 0],
    },
  ]);
  if (stretcher)
    all.push(
      ...stretchersBetween({
        bays,
        stretcher,
        marked: "frames",
        opens: form.xFrame.stretcher.kind === "heads" ? [0, PULL.up, 0] : [0, 0, 0],
      }),
    );
  return all.map((part) => ({ ...part, adds: [], cuts: [] }));
}

/** Where the parts of X frames meet, and by which joint. */
export function xFrameMeetings({ form, at, joints }: XFrameFacts): Meeting[] {
  const { frames, strip, lean, bearer, stretcher, bays, head } = at;
  const byId = new Map<string, KindOfJoint>(joints.map((joint) => [joint.id, joint]));
  const out: Meeting[] = [];
  const meet = (id: string, who: Omit<Meeting, "joint">) => {
    const joint = byId.get(id);
    if (joint) out.push({ joint, ...who });
  };
  frames.forEach((x, i) => {
    const [rising, falling] = [`L${2 * i + 1}`, `L${2 * i + 2}`];
    const face = legPlace(at, x, 1);
    meet("x-leg+x-leg", {
      ...{ enters: rising, receives: falling },
      face: { ...face, at: [x + strip.thickness / 2, lean.crossing, 0] },
    });
    SIDES.forEach((side, k) =>
      meet("bearer+x-leg", {
        ...{ enters: `L${2 * i + k + 1}`, receives: `H${i + 1}` },
        // a leg that rises toward the front has its head there
        face: {
          at: [x - strip.thickness / 2, bearer.from, side > 0 ? head / 2 - lean.level : -head / 2],
          x: [0, 1, 0],
          y: [0, 0, 1],
        },
      }),
    );
  });
  if (!stretcher) return out;
  const heads = form.xFrame.stretcher.kind === "heads";
  const half = stretcher.thickness / 2;
  bays.forEach(({ from, to }, i) => {
    const mark = bays.length > 1 ? `R${i + 1}` : "R";
    const right: Place = { at: [to, stretcher.from, -half], x: [1, 0, 0], y: [0, 1, 0] };
    const left: Place = { at: [from, stretcher.from, half], x: [-1, 0, 0], y: [0, 1, 0] };
    for (const [frame, face] of [
      [i, left],
      [i + 1, right],
    ] as const) {
      const outer = frame === 0 || frame === frames.length - 1;
      if (heads) meet("bearer+stretcher", { enters: mark, receives: `H${frame + 1}`, face });
      else
        meet(outer ? "x-leg+stretcher" : "middle-x-leg+stretcher", {
          ...{ enters: mark, receives: `L${2 * frame + 1}`, also: `L${2 * frame + 2}` },
          face,
        });
    }
  });
  return out;
}
