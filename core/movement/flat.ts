/** Other ways a top is held flat or laid so that it may move: channels let in, slats, a panel in a frame. */
import type { Form } from "../piece/schema";
import type { PieceGeometry } from "../construction/geometry";
import { UNKNOWN_RINGS, TopMovement, travel, fixedLine } from "./year";
import { boardCoefficient } from "./coefficient";
import { widthChange } from "./width";
import type { Species } from "../wood/species";

/** A bolt of a steel channel and the room in its slot each way, mm; outward is away from the fixed bolt. */
export interface ChannelBolt {
  id: string;
  at: number;
  fixed: boolean;
  dry: number;
  wet: number;
  setOff: number;
  room: { dry: number; wet: number };
  need: number;
}
export interface Channels {
  length: number;
  groove: number;
  bolts: ChannelBolt[];
  ends: { need: number; has: number };
  x: number[];
}

/** Bolts of a channel, how far apart they stand at least and how far the outer ones from the edges, mm. @source common practice */
const BOLTS = { count: 5, apart: 60, fromEdge: 90, channelFromEdge: 50, clearance: 1 };

/** Channels across the underside: slots and bolts, and the groove longer than the steel by what the wood gives. */
export function channels(
  form: Form,
  at: PieceGeometry,
  top: TopMovement,
  fixed: "centre" | "front-edge" | "back-edge",
): Channels {
  const { channel: choice } = form;
  const line = fixedLine(fixed, top.width);
  const first = Math.min(top.width / 2, BOLTS.fromEdge);
  const places = evenPlaces(
    first,
    top.width - first,
    Math.min(BOLTS.count, 1 + Math.floor((top.width - 2 * first) / BOLTS.apart)),
  );
  const held = places.reduce((a, b) => (Math.abs(b - line) < Math.abs(a - line) - 1e-9 ? b : a));
  const bolts = places.map((place, i): ChannelBolt => {
    const { dry, wet } = travel(top, place, held);
    const [out, back] = [Math.max(0, dry, wet), Math.max(0, -dry, -wet)];
    const isFixed = place === held;
    // here the slot is in the steel and the bolt goes with the wood: set off the other way than a peg's
    const setOff = choice.setOff && !isFixed ? (out - back) / 2 : 0;
    const half = isFixed ? 0 : Math.max(0, (choice.slot - choice.bolt) / 2);
    return {
      id: `bolt-${i + 1}`,
      at: place,
      fixed: isFixed,
      dry,
      wet,
      setOff,
      room: { dry: half - setOff, wet: half + setOff },
      need: choice.bolt + out + back + BOLTS.clearance,
    };
  });
  const length = Math.max(50, top.width - 2 * BOLTS.channelFromEdge);
  const end = travel(top, BOLTS.channelFromEdge, held);
  const otherEnd = travel(top, top.width - BOLTS.channelFromEdge, held);
  return {
    length,
    groove: length + 2 * choice.endRoom,
    bolts,
    ends: { need: Math.max(0, -end.dry, -otherEnd.dry, -end.wet, -otherEnd.wet), has: choice.endRoom },
    x: Array.from({ length: choice.count }, (_, i) => -at.top.length / 2 + ((i + 0.5) * at.top.length) / choice.count),
  };
}

/** So many places from one end to the other, evenly; a single one stands in the middle. */
export function evenPlaces(from: number, to: number, count: number): number[] {
  return count < 2
    ? [(from + to) / 2]
    : Array.from({ length: count }, (_, i) => from + (i * (to - from)) / (count - 1));
}

/** Slats side by side: each moves on its own about its screws. mm; gaps between two neighbours. */
export interface Slats {
  width: number;
  gap: { today: number; dry: number; wet: number };
  screw: { need: number; has: number };
}

export function slats(form: Form, top: TopMovement): Slats {
  const { slats: choice } = form;
  const of = (change: number) => choice.gap - change;
  const most = Math.max(Math.abs(top.dry.change), Math.abs(top.wet.change)) / top.width;
  return {
    width: top.width,
    gap: { today: choice.gap, dry: of(top.dry.change), wet: of(top.wet.change) },
    screw:
      choice.screws === "one"
        ? { need: 0, has: choice.clearance }
        : { need: (most * choice.screwSpread) / 2, has: choice.clearance / 2 },
  };
}

/** A panel in its frame: room in the groove at each long side, and how far mitres open. mm */
export interface FramedTop {
  room: { wet: { need: number; has: number }; dry: { left: number } };
  mitre: { dry: number; wet: number };
  member: { dry: number; wet: number };
}

export function framedTop(form: Form, top: TopMovement, species: Species): FramedTop {
  const { frame: choice } = form;
  const perPercent = boardCoefficient(species, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  const member = (moisture: number) => widthChange(choice.width, perPercent, top.start.value, moisture);
  const [dry, wet] = [member(top.dry.moisture), member(top.wet.moisture)];
  return {
    // the long sides of the frame move across their own grain as well, but they carry the groove's floor with them: only the panel counts
    room: {
      wet: { need: Math.max(0, top.wet.change / 2), has: choice.gap },
      dry: { left: choice.groove - choice.gap + top.dry.change / 2 },
    },
    mitre: { dry: mitreGap(dry), wet: mitreGap(wet) },
    member: { dry, wet },
  };
}

/** Gap of a mitre at the end where it opens, mm, when a member changes by `change` across. @source derived: ε b √2 */
export const mitreGap = (change: number) => Math.abs(change) * Math.SQRT2;
