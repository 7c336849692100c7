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
/** Channels let in, or battens below: where each lies along the top, how long it is, its bolts or screws. */
export interface Stiffeners {
  kind: "channels" | "battens";
  length: number;
  groove: number;
  bolts: ChannelBolt[];
  /** room beyond the steel in its groove; battens lie free */
  ends: { need: number; has: number } | null;
  x: number[];
}

/** Bolts of a channel, how far apart they stand at least and how far the outer ones from the edges, mm. @source common practice */
const BOLTS = { count: 5, apart: 60, fromEdge: 90, channelFromEdge: 50, clearance: 1 };
/** A batten stays so far inside what bears the top along its grain, and its outer screws so far from its ends, mm. @source common practice */
const BATTEN = { clear: 8, screw: 40 };

/** What keeps a solid top flat; null where nothing does, and in a frame, which does it itself. */
export function stiffeners(
  form: Form,
  at: PieceGeometry,
  top: TopMovement,
  fixed: "centre" | "front-edge" | "back-edge",
): Stiffeners | null {
  if (form.field === "slats" || form.field === "slabs" || form.ends === "frame") return null;
  // a ring is judged by its own screws
  if (form.stiffener === "none" || form.stiffener === "ring") return null;
  const battens = form.stiffener === "battens";
  const { slot, bolt, setOff: off } = battens ? { ...form.batten, bolt: form.batten.screw } : form.channel;
  const line = fixedLine(fixed, top.width);
  const length = battens ? battenLength(at) : Math.max(50, top.width - 2 * BOLTS.channelFromEdge);
  const from = battens ? (top.width - length) / 2 + BATTEN.screw : BOLTS.fromEdge;
  const first = Math.min(top.width / 2, from);
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
    const setOff = off && !isFixed ? (out - back) / 2 : 0;
    const half = isFixed ? 0 : Math.max(0, (slot - bolt) / 2);
    return {
      id: `bolt-${i + 1}`,
      at: place,
      fixed: isFixed,
      dry,
      wet,
      setOff,
      room: { dry: half - setOff, wet: half + setOff },
      need: bolt + out + back + BOLTS.clearance,
    };
  });
  if (battens) return { kind: "battens", length, groove: length, bolts, ends: null, x: battenPlaces(form, at) };
  const end = travel(top, BOLTS.channelFromEdge, held);
  const otherEnd = travel(top, top.width - BOLTS.channelFromEdge, held);
  const { count, endRoom } = form.channel;
  return {
    kind: "channels",
    length,
    groove: length + 2 * endRoom,
    bolts,
    ends: { need: Math.max(0, -end.dry, -otherEnd.dry, -end.wet, -otherEnd.wet), has: endRoom },
    x: Array.from({ length: count }, (_, i) => -at.top.length / 2 + ((i + 0.5) * at.top.length) / count),
  };
}

/** As long as there is room between what bears the top along its grain, or nearly the top's width. */
export function battenLength({ bearers, core }: Pick<PieceGeometry, "bearers" | "core">): number {
  const along = bearers.filter(({ run }) => run === "along");
  const inside = along.map(({ at, thickness }) => 2 * (Math.abs(at) - thickness / 2 - BATTEN.clear));
  return Math.max(50, Math.min(core.width - 2 * BOLTS.channelFromEdge, ...inside));
}

/** Each batten in the middle of the widest space that is left between what bears the top across. */
function battenPlaces({ batten }: Form, { bearers, core }: PieceGeometry): number[] {
  const across = bearers.filter(({ run }) => run === "across").map(({ at }) => at);
  const lines = [-core.shoulder / 2, ...across, core.shoulder / 2].sort((a, b) => a - b);
  const spaces = lines.slice(1).map((to, i) => ({ from: lines[i], to, count: 0 }));
  const share = ({ from, to, count }: (typeof spaces)[number]) => (to - from) / (count + 1);
  for (let i = 0; i < batten.count; i += 1) spaces.reduce((a, b) => (share(b) > share(a) + 1e-9 ? b : a)).count += 1;
  return spaces.flatMap((space) => Array.from({ length: space.count }, (_, i) => space.from + (i + 1) * share(space)));
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
