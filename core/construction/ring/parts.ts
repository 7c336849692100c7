/** Segments of a ring, their mitres with loose tenons, the screws that hold it to the top. */
import type { Meeting } from "../../assembly/meeting";
import { straightAt } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import { UP, Vec } from "../../assembly/vector";
import { blindTenon } from "../../joinery/blind-tenon";
import type { KindOfJoint } from "../../joinery/kinds";
import { screwed } from "../../joinery/screwed";
import { USUAL_TENON } from "../../piece/base-choices";
import type { Form } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import { screwFor } from "../base/contact";
import type { PieceGeometry } from "../geometry";
import { Ring, ringOf, ringScrews } from "./ring";

/** Of both segments over the fixed line, and of the others. */
export const RING_KINDS = { held: "ring-end", free: "ring-segment" };
const MITRE = "ring-segment+ring-segment";
/** How far the ring is lowered when the piece is pulled apart, mm; a screw ends so far below the top's face; what of the face one screw is set in. */
const DROP = 120;
const UNDER_FACE = 6;
const SPOT = 8;
/** A loose tenon in a mitre reaches so far into each side at the most, mm. @source common practice */
const TENON_MOST = 25;

export interface RingAdded {
  parts: AssemblyPart[];
  joints: KindOfJoint[];
  meetings: Meeting[];
}
const NONE: RingAdded = { parts: [], joints: [], meetings: [] };

const held = (ring: Ring, segment: number) => Math.abs(Math.sin(ring.angles[segment])) < 1e-9;
/** How a screw of the ring goes through it and into the top. */
export const ringScrew = ({ thickness }: Pick<Ring, "thickness">, top: number) =>
  screwFor(thickness + top - UNDER_FACE);

/** Everything of a ring below the top; nothing where there is none. */
export function ringAdded({ form, at, shop }: { form: Form; at: PieceGeometry; shop: Shop }): RingAdded {
  const ring = ringOf(form, at);
  if (!ring) return NONE;
  const low = at.under - ring.thickness;
  const parts = ring.angles.map((angle, i) => segment(ring, { angle, low, i }));
  const id = (i: number) => `RG${(i % ring.count) + 1}`;
  const mitre = blindTenon({
    meets: {
      ...{ id: MITRE, group: MITRE, receives: RING_KINDS.free, enters: RING_KINDS.free, count: ring.count },
      name: "Ring: segment to segment",
    },
    // along the mitre no more than the ring keeps when it is round, so that no saw meets a tenon
    section: { width: ring.radius - ring.inner, thickness: ring.thickness },
    into: { depth: ring.long / 2, thickness: ring.thickness },
    setting: { ...USUAL_TENON, kind: "loose" },
    ...{ shop, pushed: true, most: TENON_MOST, wall: { good: 6, least: 4 } },
  });
  const corners = ring.angles.map((angle, i): Meeting => {
    const [c, s] = [Math.cos(angle + ring.half), Math.sin(angle + ring.half)];
    // the mitre between this segment and the next: on along the ring, outward, up
    const on: Vec = [-s, 0, -c];
    const out: Vec = [c, 0, -s];
    return {
      joint: mitre,
      ...{ enters: id(i), receives: id(i + 1) },
      // its third axis points down: from its upper, inner corner
      face: { at: [ring.inner * c, low + ring.thickness, -ring.inner * s], x: on, y: out },
    };
  });
  const screws = (tight: boolean) => {
    const enters = tight ? RING_KINDS.held : RING_KINDS.free;
    const all = ringScrews(ring).filter((each) => each.tight === tight);
    const joint = screwed({
      meets: {
        ...{ id: `top+${enters}`, group: `top+${enters}`, receives: "top", enters, count: all.length },
        name: tight ? "Ring to top, on the fixed line" : "Ring to top",
      },
      section: { width: SPOT, thickness: SPOT },
      into: { depth: at.top.thickness },
      ...{ screws: 1, through: ring.thickness, long: ringScrew(ring, at.top.thickness) },
      ...(tight ? {} : { slot: form.ring.slot, slotWay: "along" as const }),
      spots: {
        where: tight
          ? "in the middle of the two segments at the ends of the grain, half the ring’s width in"
          : `two to a segment, ${Math.round((90 / ring.count) * 10) / 10}° to each side of its middle, half the ring’s width in`,
        slots: "across the top’s grain, however its segment lies",
      },
    });
    const meetings = all.map((each): Meeting => ({
      joint,
      ...{ enters: id(each.segment), receives: "T" },
      face: { at: [each.x - SPOT / 2, at.under, each.z - SPOT / 2], x: UP, y: [0, 0, 1] },
    }));
    return { joint, meetings };
  };
  const [tight, loose] = [screws(true), screws(false)];
  return {
    parts,
    joints: [mitre, tight.joint, loose.joint],
    meetings: [...corners, ...tight.meetings, ...loose.meetings],
  };
}

/** Grain along its straight inside, width outward, thickness up: sawn round when the ring is glued. */
function segment(ring: Ring, { angle, low, i }: { angle: number; low: number; i: number }): AssemblyPart {
  const { half, radius, inner, near, long, wide, thickness } = ring;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const middle = long / 2;
  const [short, arc] = [inner * Math.sin(half), radius * Math.sin(half)];
  const shoulder = radius * Math.cos(half) - near;
  // to its left as seen from the middle of the top, outward
  const along: Vec = [s, 0, c];
  const out: Vec = [c, 0, -s];
  const kind = held(ring, i) ? RING_KINDS.held : RING_KINDS.free;
  return {
    ...{ id: `RG${i + 1}`, kind, name: "Segment of the ring", plural: "Segments of the ring", letter: "RG" },
    ...{ role: "frame", make: "solid", ringed: true },
    note: `From long point to long point; mitred by ${(180 / ring.count).toFixed(1)}° at both ends, sawn round when the ring is glued.`,
    shape: {
      ...{ length: long, width: wide, thickness },
      face: {
        outer: [
          straightAt(middle - short, 0),
          straightAt(middle + short, 0),
          { at: [middle + arc, shoulder], rise: radius * (1 - Math.cos(half)) },
          straightAt(middle - arc, shoulder),
        ],
        holes: [],
      },
    },
    place: {
      at: [near * c - middle * along[0], low, -near * s - middle * along[2]],
      x: along,
      y: out,
    },
    ...{ adds: [], cuts: [], opens: [0, -DROP, 0] },
  };
}
