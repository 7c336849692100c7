/** Where everything of a case stands, as its own files are told. mm */
import type { Bow } from "./bow-arc";
import type { SheetSize } from "../../../assembly/material";
import type { Filler } from "./alcove";
import type { CaseChoices, CaseRow } from "../../../piece/case-choices";
import type { PieceGeometry } from "../../geometry";
import type { LegFrame, Span } from "../leg-frame/place";

/** Between two openings of a bay: a rail with runners where both hold drawers, a shelf where one of them is open. */
export interface Division extends Span {
  kind: "rail" | "shelf";
}

export interface Opening extends Span {
  holds: CaseRow["holds"];
  /** on pins */
  shelves: number;
  /** what is typed, null where it takes its share */
  typed: number | null;
}

/** Between two neighbours that stand: x from and to, its openings and divisions from above. */
export interface Bay extends Span {
  typed: number | null;
  openings: Opening[];
  divisions: Division[];
}

/** Where everything of a case stands, mm. */
export interface Case extends PieceGeometry {
  kind: "case";
  /** its top is its own upper board, joined to the sides; "rails" where it lies on those */
  corners: Exclude<CaseChoices["corners"], "sub-top">;
  mitre: CaseChoices["mitre"];
  /** in the place of rails, a board from side to side and from front to back */
  subTop: boolean;
  /** thickness of the sides, of what stands and lies between them, of the back */
  side: number;
  inner: number;
  back: number;
  backed: CaseChoices["back"];
  /** from outside to outside along the piece; z of the back and the front; z from which the inside begins */
  outside: Span;
  deep: Span;
  insideBack: number;
  /** between the sides; heights between bottom and the rails under the top */
  inside: Span;
  high: Span;
  /** the bottom's underside, and the lower end of the sides: that of the bottom on a frame of legs, else the floor */
  lift: number;
  foot: number;
  legs: LegFrame | null;
  /** legs that are its corners */
  cornered: CornerPosts | null;
  /** how thick a side is where it ends in front: the side itself, or its post */
  edge: number;
  /** mitred to the sides like the top: as thick as they are, and rebated for the back */
  round: boolean;
  /** of the bottom */
  floor: number;
  /** where a back begins: its lower edge */
  backLow: number;
  /** cut from sheets and not glued up from boards; how thick the lipping of an edge is, 0 where there is none; z where boards end in front */
  sheet: Exclude<CaseChoices["of"], "solid"> | null;
  /** how large sheets are bought, where they are not as usually sold */
  sold: SheetSize | null;
  lip: number;
  face: number;
  /** what stands out before its straight front */
  bow: Bow | null;
  /** nothing of a side lies below the bottom: it is dovetailed from below */
  bottomBelow: boolean;
  plinth: Plinth | null;
  onWall: Hung | null;
  /** beside it, in an alcove */
  fillers: Filler[];
  /** across the piece, of the rails under the top and between drawers */
  rail: number;
  kick: boolean;
  /** what of the wall's skirting stands in its way at the back, with air; null where it stands clear of it */
  skirting: { height: number; depth: number } | null;
  /** thickness of the sheets between drawers; null where there are none */
  dust: number | null;
  relief: number;
  bays: Bay[];
  /** middle of each divider */
  dividers: number[];
  drawers: Drawer[];
  /** drawers run on bought slides: nothing of wood carries them; or hang by strips in their sides */
  slid: boolean;
  sideHung: boolean;
  pull: CaseChoices["drawers"]["pull"];
  doors: Door[];
  loose: LooseShelf[];
}

/** Square posts from the floor to the top, flush with the sides inside: how thick, z of the sides between them. */
export interface CornerPosts {
  post: number;
  between: Span;
}

/** A rail that the case hangs by: in which bay, how long between what stands beside it. */
export interface HangRail {
  id: string;
  bay: number;
  across: Span;
}

/** By what it hangs on a wall: rails of one height, where their screws go in, x from the middle. */
export interface Hung {
  rails: HangRail[];
  y: Span;
  z: Span;
  fixings: number[];
  /** screws at each of them, one above the other */
  each: number;
}

/** Four boards on the floor below the case, from outside to outside. */
export interface Plinth {
  x: Span;
  z: Span;
  height: number;
  thickness: number;
}

/** A leaf of a door in its opening, flush with the case: framed, a panel in grooves; or boards with battens behind. */
export interface Door {
  /** its number from above and the left, the class of its size, where it hangs */
  n: number;
  size: number;
  bay: number;
  row: number;
  hung: -1 | 1;
  across: Span;
  high: Span;
  thickness: number;
  stile: number;
  rail: number;
  /** closes before the case; z of its face */
  overlay: boolean;
  face: number;
  /** across the back of boards as wide as the door; null where it is framed */
  battens: { width: number; thickness: number; slot: number } | null;
  latch: CaseChoices["doors"]["latch"];
  /** the opening's upper end, below which its stop is glued */
  upper: number;
  /** of the panel: how thick it is, how deep its grooves are, how free it is in them beside */
  panel: { thickness: number; groove: number; free: number };
}

/** A shelf on four pins: how high its underside is, how far it reaches. */
export interface LooseShelf {
  n: number;
  bay: number;
  row: number;
  /** whether a door closes before it: those of one bay that reach alike share a kind */
  kind: string;
  y: number;
  across: Span;
  deep: Span;
}

export interface Drawer {
  /** its number from above and the left, and the class of its size */
  n: number;
  size: number;
  bay: number;
  row: number;
  /** drawn out behind: about which upright line it is turned from where its numbers have it */
  turned: { x: number; z: number } | null;
  /** from outside to outside: x from and to, y of its sides, z from behind to the front's face */
  across: Span;
  width: number;
  high: Span;
  deep: Span;
  /** the opening's height */
  opening: number;
  /** its front from side to side, and from its lower edge up: a board of its own before a box that runs on slides */
  front: { thickness: number; from: number; to: number; across: Span };
  /** what the sides enter in front: the front itself, or the box's own; its face toward the room */
  head: { thickness: number; face: number };
  /** bought ones beside it: from `y` up, as long as the box */
  slides: { thick: number; height: number; length: number; y: number } | null;
  /** by which it hangs: a groove outside in each side, from behind up to where it stops; from its lower edge up, so high, so deep */
  hanger: { y: number; height: number; depth: number; to: number } | null;
  side: number;
  back: { from: number; to: number };
  bottom: { thickness: number; from: number; groove: number };
}
