/** A box whose grain runs round it, on the floor or on a leg frame, with the top as its lid. */
import type { BoxChoices } from "../../../piece/box-choices";
import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import { rebateDeep } from "../../../joinery/rebated";
import { CUT_LOST, MITRE_LOST, rowLength } from "../../../panels/row";
import { Footprint, frameRound, PanelPlace, PanelRow, PieceGeometry } from "../../geometry";
import { topOf } from "../../top/core";
import { LegFrame, legFrameFeet, placeLegFrame, Span } from "../leg-frame/place";

/** Where everything of a box stands, mm. */
export interface Box extends PieceGeometry {
  kind: "box";
  choices: BoxChoices;
  wall: number;
  /** from outside to outside, and between the walls */
  outside: { x: Span; z: Span };
  inside: { x: Span; z: Span };
  /** from the walls' lower edges to their upper ones */
  high: Span;
  bottom: BoxBottom;
  legs: LegFrame | null;
  brackets: Bracket[];
  ballast: Ballast | null;
  /** middles of the hinges along the back wall */
  hinges: number[];
}

/** In rebates all round, flush below: what it fills, how much of it lies on the walls, and what is free behind it. */
export interface BoxBottom {
  x: Span;
  z: Span;
  thickness: number;
  rest: number;
  free: number;
  solid: boolean;
  /** from front to back, from the left; none where it is in one */
  slats: Span[];
}

/** A bought bracket in the box, closed. */
export interface Bracket {
  id: string;
  x: Span;
  y: Span;
  z: Span;
}

/** A plate of steel under the lid. */
export interface Ballast {
  x: Span;
  z: Span;
  thickness: number;
  mass: number;
}

/** @source common practice; steel's density from any handbook, kg/mm³ */
export const BOX = {
  /** a bottom is let in so far at most, and is left so much short in its length */
  rest: 10,
  short: 0.5,
  /** hinges: long, wide, how thick closed; one for so much of the lid’s length, so far in from the walls’ ends */
  hinge: { long: 60, wide: 15, closed: 4, every: 500, inset: 0.15 },
  /** a ballast’s plate: thick, clear of what is beside it */
  plate: { thickness: 10, clear: 20 },
  steel: 7.85e-6,
  /** brackets stand off the back wall */
  bracketClear: 5,
};

/** @returns geometry; sizes may come out at or below 0, which its rules judge */
export function placeBox(form: Form, asBuilt: readonly AsBuilt[]): Box {
  const { top, core } = topOf(form, asBuilt);
  const { box: choices, overhang, height } = form;
  const wall = measuredOr(asBuilt, "box-front", "thickness", choices.wall);
  const under = height - top.thickness;
  const upper = under - choices.lid.gap;
  const half = top.length / 2 - overhang.end;
  const x = { from: -half, to: half };
  const z = { from: -top.width / 2 + choices.behind, to: top.width / 2 - overhang.side };
  const within = ({ from, to }: Span): Span => ({ from: from + wall, to: to - wall });
  const inside = { x: within(x), z: within(z) };
  const raised = choices.stands === "frame";
  const high = { from: raised ? upper - choices.high : 0, to: upper };
  const frame = raised ? placeLegFrame(choices.frame, { across: x, deep: z }, high.from) : null;
  const feet = frame ? legFrameFeet(frame) : wallFeet({ x, z }, wall);
  const bottom = bottomOf(choices, inside, wall);
  const brackets = bracketsOf(choices, { inside, under });
  return {
    kind: "box",
    keeps: { end: true, side: true },
    flush: true,
    ...{ top, core, under, choices, wall, inside, high, feet, brackets },
    outside: { x, z },
    bottom,
    legs: frame,
    ballast: ballastOf(choices, inside),
    hinges: choices.lid.way === "hinged" ? hingesOn(x) : [],
    frame: frameRound(feet),
    bearers: [],
    posts: [],
    through: null,
    sticks: frame ? [{ kind: "stand-leg", said: "Legs of the frame", section: frame.leg }] : [],
    seats: [],
    panels: panelsOf({ x, z }, { high, wall, bottom, choices }),
    kneeRoom: 0,
    ...(choices.lid.way === "hinged" ? { hung: "back-edge" as const } : {}),
    between: inside.x.to - inside.x.from,
  };
}

/** Whether its walls meet at half their angle; else those at the back and in front go in between the ends. */
export const isMitred = ({ corner }: Pick<BoxChoices, "corner">) => corner !== "dovetailed" && corner !== "rebated";

/** A frame of legs is screwed to a bottom in one piece: slats lie in a box that stands on the floor. */
export const isSlatted = ({ bottom, stands }: BoxChoices) => bottom.of === "slats" && stands === "floor";

/** As many as come nearest to their width, all alike. */
function slatsIn({ from, to }: Span, { width, gap }: BoxChoices["bottom"]["slats"]): Span[] {
  const count = Math.max(2, Math.round((to - from + gap) / (width + gap)));
  const each = (to - from - (count - 1) * gap) / count;
  return each <= 0
    ? []
    : Array.from({ length: count }, (_, i) => ({ from: from + i * (each + gap), to: from + i * (each + gap) + each }));
}

function bottomOf(choices: BoxChoices, { x, z }: Box["inside"], wall: number): BoxBottom {
  const { of, thickness, free, slats } = choices.bottom;
  const rest = Math.min(BOX.rest, wall / 2);
  const solid = of === "solid";
  const across = { from: x.from - rest + BOX.short, to: x.to + rest - BOX.short };
  return {
    x: across,
    slats: isSlatted(choices) ? slatsIn(across, slats) : [],
    // a solid one is held in front and goes behind
    z: { from: z.from - rest + (solid ? Math.min(free, rest - 1) : BOX.short), to: z.to + rest - BOX.short },
    ...{ thickness, rest, solid, free: solid ? Math.min(free, rest - 1) : BOX.short },
  };
}

/** Walls on the floor touch it along their whole length. */
function wallFeet({ x, z }: Box["outside"], wall: number): Footprint[] {
  return [z.from + wall / 2, z.to - wall / 2].map((middle) => ({
    ...{ x: 0, z: middle, length: x.to - x.from, width: wall },
  }));
}

/** One at each end, screwed to the wall there. */
function bracketsOf({ lid }: BoxChoices, { inside, under }: Pick<Box, "inside" | "under">): Bracket[] {
  if (lid.way !== "lift") return [];
  const { length, height, width } = lid.bracket;
  const y = { from: under - height, to: under };
  const z = { from: inside.z.from + BOX.bracketClear, to: inside.z.from + BOX.bracketClear + length };
  return [
    { id: "Y1", x: { from: inside.x.from, to: inside.x.from + width }, y, z },
    { id: "Y2", x: { from: inside.x.to - width, to: inside.x.to }, y, z },
  ];
}

/** In the lid's middle, between the brackets: as long as there is room, as wide as its mass then asks for. */
function ballastOf({ lid }: BoxChoices, { x, z }: Box["inside"]): Ballast | null {
  if (lid.ballast <= 0) return null;
  const beside = (lid.way === "lift" ? lid.bracket.width : 0) + BOX.plate.clear;
  const area = lid.ballast / (BOX.steel * BOX.plate.thickness);
  const length = Math.max(1, Math.min(x.to - x.from - 2 * beside, Math.sqrt(area * 6)));
  const width = area / length;
  const middle = (z.from + z.to) / 2;
  return {
    x: { from: -length / 2, to: length / 2 },
    z: { from: middle - width / 2, to: middle + width / 2 },
    thickness: BOX.plate.thickness,
    mass: lid.ballast,
  };
}

function hingesOn({ from, to }: Span): number[] {
  const length = to - from;
  const count = Math.max(2, Math.round(length / BOX.hinge.every) + 1);
  const inset = Math.max(BOX.hinge.long / 2, length * BOX.hinge.inset);
  return Array.from({ length: count }, (_, i) => from + inset + (i * (length - 2 * inset)) / (count - 1));
}

/** Walls and a solid bottom are glued up from boards like any panel. */
function panelsOf(
  { x, z }: Box["outside"],
  { high, wall, bottom, choices }: Pick<Box, "high" | "wall" | "bottom" | "choices">,
): PanelPlace[] {
  const sizesAt = ["form", "box"];
  const { corner, blank } = choices;
  // what lies over a rebate is the end walls’
  const back = x.to - x.from - (corner === "rebated" ? 2 * (wall - rebateDeep(wall)) : 0);
  const size = { width: high.to - high.from, thickness: wall, sizesAt };
  const end = z.to - z.from;
  const row: PanelRow = {
    lost: isMitred(choices) ? wall + MITRE_LOST : CUT_LOST,
    pieces: [
      { name: "back wall", kind: "box-back", length: back },
      { name: "left end wall", kind: "box-end", length: end },
      { name: "front wall", kind: "box-front", length: back },
      { name: "right end wall", kind: "box-end", length: end },
    ],
  };
  const walls: PanelPlace[] =
    blank === "one"
      ? [
          {
            id: "walls",
            kind: "box-front",
            part: "W",
            name: "blank of the walls",
            length: rowLength(row),
            ...size,
            row,
          },
        ]
      : [
          { id: "end-1", kind: "box-end", part: "P1", name: "left end wall", length: z.to - z.from, ...size },
          { id: "end-2", kind: "box-end", part: "P2", name: "right end wall", length: z.to - z.from, ...size },
          { id: "back", kind: "box-back", part: "W1", name: "back wall", length: back, ...size },
          { id: "front", kind: "box-front", part: "W2", name: "front wall", length: back, ...size },
        ];
  return [
    ...walls,
    ...(bottom.solid
      ? [
          {
            ...{ id: "bottom", kind: "box-bottom", part: "Q", name: "bottom", sizesAt },
            ...{ length: bottom.x.to - bottom.x.from, width: bottom.z.to - bottom.z.from },
            thickness: bottom.thickness,
          },
        ]
      : []),
  ];
}
