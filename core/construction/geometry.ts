/**
 * What stands downstream of every construction: the top, what bears it, and the room it leaves. mm; x along the top from its middle,
 * y up from the floor, z across the top toward the viewer.
 */
import type { Vec } from "../assembly/vector";

/** Something under the top that bears it and that it is fastened to: a rail, a brace, a tie. */
export interface Bearer {
  /** the part it is, such as "A1", and its kind */
  part: string;
  kind: string;
  /** how a sentence calls it: "long rail" */
  said: string;
  /** begins the names of its fasteners, such as "long-front" */
  name: string;
  /** how it runs against the top's grain */
  run: "along" | "across" | "aslant";
  /** of one that runs aslant: its middle, and which way it points along the top and across it */
  aslant?: { x: number; z: number; way: readonly [number, number] };
  /** aslant, one of those that run round the base: what holds the top sits on its inner side, and works it as it works one that runs along */
  round?: true;
  /** its middle line: z of one that runs along, x of one that runs across */
  at: number;
  /** how long it is where fasteners can sit, and how thick and deep */
  length: number;
  thickness: number;
  depth: number;
  /** the side its fasteners sit on */
  inside: 1 | -1;
  /** how far its faces go outward for each mm down, where it leans with the legs it stands between */
  slope?: number;
  /** where its middle lies along it, when not in the top's middle */
  middle?: number;
  /** its ends are joined as `joints.legRail` says */
  inLegs?: true;
  /** where its fasteners sit along it, when not spread by their spacing */
  spots?: readonly number[];
  /** carried by what moves across as the top does, so that the top has nowhere to go against it */
  alike?: boolean;
  /** what enters it on that side: its middle along the bearer, and how wide a stretch it takes */
  entered?: { at: number; width: number }[];
}

/** A place on a bearer: so far along it from its middle, so far beside its middle line. x and z from the middle of the top, mm */
export function onBearer({ run, at, aslant, middle = 0 }: Bearer, along: number, aside = 0): { x: number; z: number } {
  if (aslant) {
    const { x, z, way } = aslant;
    return { x: x + way[0] * along - way[1] * aside, z: z + way[1] * along + way[0] * aside };
  }
  const far = middle + along;
  return run === "along" ? { x: far, z: at + aside } : { x: at + aside, z: far };
}

/** How far along a bearer something sits, from its middle, mm. */
export function alongBearer({ run, aslant, middle = 0 }: Bearer, { x, z }: { x: number; z: number }): number {
  if (aslant) return (x - aslant.x) * aslant.way[0] + (z - aslant.z) * aslant.way[1];
  return (run === "along" ? x : z) - middle;
}

/** Where something stands under the top, from above: its middle and its size along x and z. */
export interface Footprint {
  x: number;
  z: number;
  length: number;
  width: number;
  /** its own, where it stands aslant in that box */
  corners?: readonly { x: number; z: number }[];
}

/** A base from above by what touches the floor: as far as it reaches from the middle, on both sides alike. */
export function frameRound(feet: readonly Footprint[]): { length: number; width: number } {
  const reach = (axis: "x" | "z", size: "length" | "width") =>
    Math.max(...feet.map((foot) => Math.abs(foot[axis]) + foot[size] / 2));
  return { length: 2 * reach("x", "length"), width: 2 * reach("z", "width") };
}

/** How far a shelf is let into what holds it, mm. @source common practice */
export const LET_IN = 8;

/** Where a base can carry a low shelf: between what stands, on what lies there or let in. */
export interface Seat {
  from: number;
  to: number;
  back: number;
  front: number;
  height: number;
  /** kinds of part it is let into at its ends, and how far; 0 where it lies on what it has at its ends */
  holders: string[];
  letIn: number;
  /** what it lies on at its ends, where that is no stretcher */
  on?: "brackets";
  /** whether a shelf is as wide as the room between what stands, or as wide as the maker says */
  width: "between" | "free";
}

/** The rim lies in rebates of what stands beside it: where it comes nearest to their walls, which way those face away, and the gap there on the day. */
export interface Rebated {
  kind: string;
  said: string;
  gap: number;
  spots: { x: number; z: number; way: readonly [number, number] }[];
  /** what is typed for the gap */
  path: string[];
}

/** What a base offers and leaves, whichever it is. */
export interface Standing {
  /** height of the top's underside */
  under: number;
  /** whether it stands in from the top's ends and sides by the overhangs that are chosen, or by choices of its own */
  keeps: { end: boolean; side: boolean };
  /** it hangs on a wall: its height is where it is hung */
  hangs?: true;
  /** the top may end with what stands below it, as that of a case does */
  flush?: boolean;
  /** the base from above, from outside to outside */
  frame: { length: number; width: number };
  bearers: Bearer[];
  /** what comes up to the top and would show beside a joint line */
  posts: Footprint[];
  /** what touches the floor */
  feet: Footprint[];
  seats: Seat[];
  /** panels of its own that are glued up from boards: ends that stand */
  panels?: PanelPlace[];
  /** the top is the first that is named of a blank for several parts */
  row?: PanelRow;
  /** what posts that run up level with the top take from each of its corners, and the gap beside them in that; null where none do */
  through: { length: number; width: number; gap: number } | null;
  /** heads beside the rim, with rebates for it */
  rebated?: Rebated;
  /** thick stock that stands on its end or its edge, the widest first: its kind, how a sentence begins with it, its widest side */
  sticks: { kind: string; said: string; section: number }[];
  /** free height for knees, and free length for chairs along a side */
  kneeRoom: number;
  /** a lid: by which edge it hangs, whatever line of a top is held otherwise */
  hung?: "back-edge";
  between: number;
}

/** What is glued up from boards and moves as one: the whole top, the panel between ends or in a frame, or one slat; `length` counts its tongues. */
export interface PanelCore {
  length: number;
  width: number;
  thickness: number;
  shoulder: number;
  count: number;
  /** its strips are sawn to their widths, not composed from boards as they are */
  striped?: true;
  /** of slabs with their own edges, each cut from one board */
  slabs?: true;
}

/** Whether it is composed from whole boards: slats and stripes are sawn one by one, a slab is one. */
export const isComposed = ({ count, striped, slabs }: PanelCore) => count === 1 && !striped && !slabs;

/** Something glued up from boards beside the top: its name in the record, its kind and mark, how a sentence calls it. */
export interface PanelPlace {
  id: string;
  kind: string;
  part: string;
  name: string;
  length: number;
  width: number;
  thickness: number;
  /** where its sizes are kept in the record; null where they follow from others */
  sizesAt: readonly string[] | null;
  /** what is crosscut from it, where it is one blank for several parts */
  row?: PanelRow;
  /** its ends stay long until it is trimmed with what it is glued to */
  endsLong?: true;
}

/** Parts that come off one blank end to end, so that the grain runs on from each to the next: in their order, with what is lost at each cut. */
export interface PanelRow {
  pieces: readonly { name: string; kind: string; length: number }[];
  lost: number;
}

/** A piece whose parts have their places. */
export interface PieceGeometry extends Standing {
  top: { length: number; width: number; thickness: number };
  core: PanelCore;
  /** the top is of two halves; none where it is whole */
  parting?: Parting;
  /** the top is of two halves and a strip of its own wood along it between them; none where it is of one panel */
  inserted?: Inserted;
  /** leaves that hang at its long sides; none where none do */
  drop?: Drop;
  /** it is folded over itself and turns; none where it doesn't */
  turn?: Turn;
  /** bought feet lift its wood so far off the floor: heights are from the wood's underside; where they are, and how wide the wood is there */
  lifted?: { by: number; spots: readonly { x: number; z: number; wood: number }[] };
  /** of a top seen as the blank it is cut from: how long the top itself is, mm */
  blankOf?: number;
  /** the same of one that is sawn apart along its grain: how wide the top itself is, and what comes up to it */
  wideOf?: { width: number; posts: Footprint[] };
}

/** A strip along the top: from its front edge to the strip's, how wide and thick that is, and what is lost where what is glued from boards is sawn apart for it. mm */
export interface Inserted {
  front: number;
  width: number;
  thickness: number;
  lost: number;
}

/** A top that turns: its pivot from the middle, the rails it lies on, what crosses them, the flat rail its pivot goes through. mm */
export interface Turn {
  pivot: { x: number; z: number };
  rails: { front: Bearer; back: Bearer };
  crossed: { x: number; width: number }[];
  /** along the table, and low to high */
  rail: { from: number; to: number; low: number; high: number };
}

/** A top in two halves that part across its grain in its middle: drawn or glued together for good, apart to let leaves in, or with a piece across between them. mm */
export interface Parting {
  kind: "leaves" | "drawn" | "glued" | "middle";
  /** of the piece across, along the table; 0 where there is none */
  middle: number;
  leaves: number;
  /** one leaf along the table, and how far all of them open it */
  leaf: number;
  opens: number;
}

/** Leaves that hang at a top's long sides: in front 1, behind −1; the line each turns about, from the top's middle and above the floor. mm */
export interface Drop {
  sides: readonly (1 | -1)[];
  leaf: number;
  joint: "rule" | "square";
  /** of a rule joint: the step above, the round about the knuckle */
  fillet: number;
  round: number;
  axis: { y: number; out: number };
  /** bearers that are drawn out under them; none where brackets hold them */
  lopers: Loper[];
  /** what swings out under them from the rails; none where something else holds them */
  gates: Gate[];
}

/** A leg on an arm that swings out from a rail: the line it turns about as x and z, where its arm points folded, and which way it goes out. */
export interface Gate {
  n: number;
  side: 1 | -1;
  rail: string;
  axis: readonly [x: number, z: number];
  arm: Vec;
  out: Vec;
  /** how high the floor is, from the wood's own underside */
  floor: number;
}

/** A wooden bearer that slides along a guide and through its rail: for the leaf in front 1, behind −1. */
export interface Loper {
  id: string;
  side: 1 | -1;
  /** the guide it slides along, and which side of it it lies on */
  guide: string;
  x: { from: number; to: number };
  y: { from: number; to: number };
  /** z as it lies drawn in */
  z: { from: number; to: number };
  /** the rail it passes, and what kind of part that is */
  rail: string;
  kind: string;
}
