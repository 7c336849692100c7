import { measuredOr } from "../../../piece/measured";
import type { AsBuilt, Form } from "../../../piece/schema";
import { Bearer, Footprint, LET_IN, PieceGeometry, Seat } from "../../geometry";
import { letsLeavesIn } from "../../parting/parting";
import { topOf } from "../../top/core";
import { Drawn, drawnBack, LegSizes } from "./leg";
import { LongRail, longRailsOf } from "./long-rails";
import { LowStretchers, lowStretchers } from "./low";
import { middleFeet, MiddleLeg, middleLegsOf } from "./middle-legs";

/** Where everything of a leg-and-apron table stands, mm. */
export interface LegAndApron extends PieceGeometry {
  kind: "leg-and-apron";
  leg: LegSizes;
  /** from leg to leg; where the table opens each is in two that meet in the middle */
  longRail: { shoulder: number; z: number; split: boolean };
  endRail: { shoulder: number; x: number };
  /** `arch` is what is cut from the middle of its lower edge */
  rail: { depth: number; thickness: number; reveal: number; lowerEdge: number; upperEdge: number; arch: number };
  crossRails: { x: number; shoulder: number }[];
  middleLegs: MiddleLeg[];
  low: LowStretchers | null;
}

/**
 * Places the parts of a leg-and-apron table.
 *
 * @param form     its dimensions
 * @param asBuilt  sizes taken from the work, which count before planned ones
 * @returns geometry; sizes may come out at or below 0 when legs don't fit the top, which its rules judge
 */
export function placeLegAndApron(form: Form, asBuilt: readonly AsBuilt[]): LegAndApron {
  const { top, core } = topOf(form, asBuilt);
  const section = measuredOr(asBuilt, "leg", "width", form.leg.section);
  const across = form.leg.across === null ? section : measuredOr(asBuilt, "leg", "thickness", form.leg.across);
  const frame = { length: top.length - 2 * form.overhang.end, width: top.width - 2 * form.overhang.side };
  const up = form.leg.top === "through";
  const legLength = measuredOr(asBuilt, "leg", "length", up ? form.height : form.height - top.thickness);
  const under = up ? legLength - top.thickness : legLength;
  const { depth, reveal } = form.apron;
  const arch = Math.min(form.apron.arch, depth / 2);
  const thickness = measuredOr(asBuilt, "long-rail", "thickness", form.apron.thickness);
  const longShoulder = frame.length - 2 * section;
  const between = frame.width - 2 * (reveal + thickness);
  const foot = form.leg.taper === "none" ? section : Math.min(section, form.leg.foot);
  const leg = {
    ...{ section, across, length: legLength, foot },
    // a taper takes as much from one side of a leg as from the other
    footAcross: Math.max(Math.min(10, across), across - (section - foot)),
    inner: section - reveal - thickness,
    innerAcross: across - reveal - thickness,
  };
  const placed = {
    leg,
    longRail: { shoulder: longShoulder, z: frame.width / 2 - reveal - thickness / 2, split: letsLeavesIn(form) },
    endRail: { shoulder: frame.width - 2 * across, x: frame.length / 2 - reveal - thickness / 2 },
    rail: { depth, thickness, reveal, lowerEdge: under - depth, upperEdge: under, arch },
    crossRails: Array.from({ length: form.crossRails }, (_, i) => ({
      x: -longShoulder / 2 + ((i + 1) * longShoulder) / (form.crossRails + 1),
      shoulder: between,
    })),
  };
  const drawn = { taper: form.leg.taper, leg, lowerEdge: under - depth };
  const middleLegs = middleLegsOf(form, placed);
  const low = lowStretchers(form, frame, drawn);
  const corners = (length: number, width: number, out = { x: section, z: across }): Footprint[] =>
    [1, -1].flatMap((z) =>
      [-1, 1].map((x) => ({
        x: x * (frame.length / 2 - out.x / 2),
        z: z * (frame.width / 2 - out.z / 2),
        ...{ length, width },
      })),
    );
  return {
    kind: "leg-and-apron",
    keeps: { end: true, side: true },
    top,
    core,
    frame,
    ...placed,
    middleLegs,
    under,
    low,
    through: up
      ? {
          length: form.overhang.end + section + form.leg.gap,
          width: form.overhang.side + across + form.leg.gap,
          gap: form.leg.gap,
        }
      : null,
    bearers: bearersOf({ ...placed, middleLegs }, form.cornerBlocks),
    posts: corners(section, across),
    // a leg that tapers on its inner faces keeps its foot at the outer ones
    feet: [
      ...corners(foot, leg.footAcross, form.leg.taper === "two-faces" ? { x: foot, z: leg.footAcross } : undefined),
      ...middleFeet(middleLegs, leg),
    ],
    sticks: [{ kind: "leg", said: "Legs", section: Math.max(section, across) }],
    seats: [low ? onStretchers(form, low, frame, drawn) : betweenLegs(form, longShoulder, frame, drawn)],
    kneeRoom: under - depth,
    between: widestFree(longShoulder, middleLegs, section),
  };
}

/** The longest free stretch along a side: legs in its middle part what slides under. */
function widestFree(shoulder: number, legs: readonly MiddleLeg[], section: number): number {
  const front = legs.filter(({ side }) => side > 0).map(({ from }) => from);
  const starts = [-shoulder / 2, ...front.map((from) => from + section)];
  return Math.max(...[...front, shoulder / 2].map((end, i) => end - starts[i]));
}

/** Room for a shelf that is let into the four legs. */
function betweenLegs({ shelf }: Form, shoulder: number, frame: LegAndApron["frame"], drawn: Drawn): Seat {
  const inset = drawnBack(drawn, shelf.height + shelf.thickness / 2);
  const front = frame.width / 2 - drawn.leg.across + inset;
  return {
    from: -shoulder / 2 - inset,
    to: shoulder / 2 + inset,
    ...{ back: -front, front, height: shelf.height },
    ...{ holders: ["leg"], letIn: LET_IN, width: "between" },
  };
}

/** Room for one that lies on the stretchers at the ends, from outside to outside, between the legs of each end. */
function onStretchers({ shelf }: Form, low: LowStretchers, frame: LegAndApron["frame"], drawn: Drawn): Seat {
  const height = low.height + low.depth;
  // legs are at their thickest where the shelf ends above
  const front = frame.width / 2 - drawn.leg.across + drawnBack(drawn, height + shelf.thickness);
  const outer = Math.max(...low.all.filter(({ run }) => run === "across").map(({ at }) => at)) + low.thickness / 2;
  return {
    ...{ from: -outer, to: outer, back: -front, front, height },
    ...{ holders: [], letIn: 0, width: "between" },
  };
}

/** Rails bear the top all round, cross-rails in its middle; fasteners sit inside, those of cross-rails on their right. */
function bearersOf(
  {
    longRail,
    endRail,
    rail,
    crossRails,
    leg,
    middleLegs,
  }: Pick<LegAndApron, "longRail" | "endRail" | "rail" | "crossRails" | "leg" | "middleLegs">,
  blocks: boolean,
): Bearer[] {
  // corner blocks lie against both rails of their corners
  const far = blocks ? cornerBlock({ leg }).far : 0;
  const blocked = (corner: number) =>
    blocks ? [-1, 1].map((end) => ({ at: end * (corner - far / 2), width: far })) : [];
  const inLong = [
    ...crossRails.map(({ x }) => ({ at: x, width: rail.thickness })),
    ...blocked(endRail.x - rail.thickness / 2),
    ...middleLegs
      .filter(({ side }) => side > 0)
      .map(({ from }) => ({ at: from + leg.section / 2, width: leg.section })),
  ];
  const inEnd = blocked(longRail.z - rail.thickness / 2);
  const same = { thickness: rail.thickness, depth: rail.depth };
  const inLegs = { inLegs: true } as const;
  const alongRail = ({ id, side, from, to }: LongRail): Bearer => {
    const middle = (from + to) / 2;
    const split = longRail.split ? `-${middle < 0 ? "left" : "right"}` : "";
    const entered = inLong
      .map((each) => ({ ...each, at: each.at - middle }))
      .filter(({ at }) => Math.abs(at) < (to - from) / 2);
    return {
      ...same,
      ...inLegs,
      part: id,
      kind: "long-rail",
      said: "long rail",
      name: `${side > 0 ? "long-front" : "long-back"}${split}`,
      run: "along",
      at: side * longRail.z,
      length: to - from,
      ...(longRail.split ? { middle } : {}),
      ...(entered.length > 0 ? { entered } : {}),
      inside: side > 0 ? -1 : 1,
    };
  };
  const rails = longRailsOf({ longRail });
  return [
    ...([1, -1] as const).flatMap((side): Bearer[] => [
      ...rails.filter((each) => each.side === side).map(alongRail),
      {
        ...same,
        ...inLegs,
        part: side > 0 ? "E2" : "E1",
        kind: "end-rail",
        said: "end rail",
        name: side > 0 ? "end-right" : "end-left",
        run: "across",
        at: side * endRail.x,
        length: endRail.shoulder,
        ...(inEnd.length > 0 ? { entered: inEnd } : {}),
        inside: side > 0 ? -1 : 1,
      },
    ]),
    ...crossRails.map(({ x, shoulder }, i): Bearer => ({
      ...same,
      part: crossRails.length > 1 ? `C${i + 1}` : "C",
      kind: "cross-rail",
      said: "cross-rail",
      name: `cross-${i + 1}`,
      run: "across",
      at: x,
      length: shoulder,
      inside: 1,
    })),
  ];
}

/** A cross-rail stops this far short of the long rails' lower edge, so that it does not show, mm. @source common practice */
const CROSS_RAIL_DROP = 20;
/** What is left for a cross-rail above the long rails' lower edge, arched or not. */
export const crossDepth = ({ rail: { depth, arch } }: Pick<LegAndApron, "rail">) =>
  Math.max(20, depth - arch - CROSS_RAIL_DROP);

/** A block is so thick, and its near face stays so far off the leg's inner corner, mm. @source common practice */
export const BLOCK = { thickness: 30, clear: 5 };

/**
 * A block across the corner where two rails meet, sawn at 45°: it must clear the leg that stands in that corner.
 *
 * @returns along each rail from where their inner faces meet: its near and its far point; its long point to long point; mm
 * @source derived: the leg's inner corner lies half its inner sizes' sum × √2 from the rails' corner, the near face 1/√2 × near
 */
export function cornerBlock(at: Pick<LegAndApron, "leg">): {
  near: number;
  far: number;
  length: number;
  thickness: number;
} {
  const { thickness, clear } = BLOCK;
  const least = Math.max(0, at.leg.inner) + Math.max(0, at.leg.innerAcross) + clear * Math.SQRT2;
  // a whole mm to saw to
  const length = Math.ceil((least + thickness * Math.SQRT2) * Math.SQRT2);
  const far = length / Math.SQRT2;
  return { near: far - thickness * Math.SQRT2, far, length, thickness };
}
