import { measuredOr } from "../piece/measured";
import type { AsBuilt, Form } from "../piece/schema";

/** Where everything of a leg-and-apron table stands. mm; x along the top from its middle, z across it toward the viewer, y up from the floor. */
export interface TableGeometry {
  top: { length: number; width: number; thickness: number };
  /** what is glued up from boards and moves as one: the whole top, the panel between breadboards or in a frame, or one slat */
  core: { length: number; width: number; thickness: number; shoulder: number; count: number };
  frame: { length: number; width: number };
  leg: { section: number; length: number; foot: number; inner: number };
  longRail: { shoulder: number; z: number };
  endRail: { shoulder: number; x: number };
  rail: { depth: number; thickness: number; reveal: number; lowerEdge: number; upperEdge: number };
  crossRails: { x: number; shoulder: number }[];
  kneeRoom: number;
}

/** A part before its joints are known: `shoulder` is what shows between its joints. */
export interface PlainPart {
  id: string;
  name: string;
  letter: string;
  role: "top" | "slat" | "leg" | "rail" | "end-board" | "frame" | "block" | "button";
  count: number;
  shoulder: number;
  width: number;
  thickness: number;
  grain: "x";
  tenonEnds: 0 | 2;
}

/**
 * Places the parts of a leg-and-apron table.
 *
 * @param form     its dimensions
 * @param asBuilt  sizes taken from the work, which count before planned ones
 * @returns geometry; sizes may come out at or below 0 when legs don't fit the top, which the form's rules judge
 */
export function tableGeometry(form: Form, asBuilt: readonly AsBuilt[]): TableGeometry {
  const top = {
    length: measuredOr(asBuilt, "top", "length", form.top.length),
    width: measuredOr(asBuilt, "top", "width", form.top.width),
    thickness: measuredOr(asBuilt, "top", "thickness", form.top.thickness),
  };
  const section = measuredOr(asBuilt, "leg", "width", form.leg.section);
  const frame = { length: top.length - 2 * form.overhang.end, width: top.width - 2 * form.overhang.side };
  const legLength = measuredOr(asBuilt, "leg", "length", form.height - top.thickness);
  const { depth, reveal } = form.apron;
  const thickness = measuredOr(asBuilt, "long-rail", "thickness", form.apron.thickness);
  const longShoulder = frame.length - 2 * section;
  const between = frame.width - 2 * (reveal + thickness);
  const crossRails = Array.from({ length: form.crossRails }, (_, i) => ({
    x: -longShoulder / 2 + ((i + 1) * longShoulder) / (form.crossRails + 1),
    shoulder: between,
  }));
  return {
    top,
    core: topCore(form, top),
    frame,
    leg: {
      section,
      length: legLength,
      foot: form.leg.taper === "none" ? section : Math.min(section, form.leg.foot),
      inner: section - reveal - thickness,
    },
    longRail: { shoulder: longShoulder, z: frame.width / 2 - reveal - thickness / 2 },
    endRail: { shoulder: frame.width - 2 * section, x: frame.length / 2 - reveal - thickness / 2 },
    rail: { depth, thickness, reveal, lowerEdge: legLength - depth, upperEdge: legLength },
    crossRails,
    kneeRoom: legLength - depth,
  };
}

/** The panel, or one slat, within the finished top; `length` counts the tongues that go into what holds it. */
function topCore(form: Form, top: TableGeometry["top"]): TableGeometry["core"] {
  const { thickness } = top;
  const whole = { length: top.length, width: top.width, thickness, shoulder: top.length, count: 1 };
  switch (form.construction) {
    case "solid":
    case "channel":
      return whole;
    case "breadboard": {
      const shoulder = Math.max(1, top.length - 2 * form.breadboard.width);
      return {
        ...whole,
        shoulder,
        length: shoulder + (form.breadboard.joint === "tongue" ? 2 * form.breadboard.tongue : 0),
      };
    }
    case "slatted":
      return {
        ...whole,
        width: Math.max(1, (top.width - (form.slats.count - 1) * form.slats.gap) / form.slats.count),
        count: form.slats.count,
      };
    case "framed": {
      const { width, groove, gap } = form.frame;
      const shoulder = Math.max(1, top.length - 2 * width);
      return {
        length: shoulder + 2 * Math.max(0, groove - 1),
        width: Math.max(1, top.width - 2 * width + 2 * (groove - gap)),
        thickness,
        shoulder,
        count: 1,
      };
    }
  }
}

/** The parts by kind, before joints add their tenons. */
export function plainParts(form: Form, at: TableGeometry): PlainPart[] {
  const { depth, thickness } = at.rail;
  const part = (given: Omit<PlainPart, "grain">): PlainPart => ({ ...given, grain: "x" });
  const parts = [
    form.construction === "slatted"
      ? part({
          id: "slat",
          name: "Slat",
          letter: "S",
          role: "slat",
          count: at.core.count,
          shoulder: at.core.length,
          width: at.core.width,
          thickness: at.core.thickness,
          tenonEnds: 0,
        })
      : part({
          id: "top",
          name: form.construction === "solid" || form.construction === "channel" ? "Top" : "Panel of the top",
          letter: "T",
          role: "top",
          count: 1,
          shoulder: at.core.length,
          width: at.core.width,
          thickness: at.core.thickness,
          tenonEnds: 0,
        }),
    part({
      id: "leg",
      name: "Leg",
      letter: "L",
      role: "leg",
      count: 4,
      shoulder: at.leg.length,
      width: at.leg.section,
      thickness: at.leg.section,
      tenonEnds: 0,
    }),
    part({
      id: "long-rail",
      name: "Long rail",
      letter: "A",
      role: "rail",
      count: 2,
      shoulder: at.longRail.shoulder,
      width: depth,
      thickness,
      tenonEnds: 2,
    }),
    part({
      id: "end-rail",
      name: "End rail",
      letter: "E",
      role: "rail",
      count: 2,
      shoulder: at.endRail.shoulder,
      width: depth,
      thickness,
      tenonEnds: 2,
    }),
  ];
  if (form.construction === "framed") {
    const { width, corners } = form.frame;
    parts.push(
      part({
        id: "frame-long",
        name: "Frame, long side",
        letter: "F",
        role: "frame",
        count: 2,
        shoulder: at.top.length,
        width,
        thickness: at.top.thickness,
        tenonEnds: 0,
      }),
      part({
        id: "frame-end",
        name: "Frame, end",
        letter: "G",
        role: "frame",
        count: 2,
        shoulder: corners === "mitred" ? at.top.width : at.top.width - 2 * width,
        width,
        thickness: at.top.thickness,
        tenonEnds: 0,
      }),
    );
  }
  if (form.crossRails > 0)
    parts.push(
      part({
        id: "cross-rail",
        name: "Cross-rail",
        letter: "C",
        role: "rail",
        count: form.crossRails,
        shoulder: at.crossRails[0].shoulder,
        width: Math.max(20, depth - CROSS_RAIL_DROP),
        thickness,
        tenonEnds: 2,
      }),
    );
  if (form.cornerBlocks)
    parts.push(
      part({
        id: "corner-block",
        name: "Corner block",
        letter: "K",
        role: "block",
        count: 4,
        shoulder: cornerBlock(at).length,
        width: Math.max(20, Math.min(70, depth - 25)),
        thickness: BLOCK.thickness,
        tenonEnds: 0,
      }),
    );
  return parts;
}

/** A cross-rail stops this far short of the long rails' lower edge, so that it does not show, mm. @source common practice */
export const CROSS_RAIL_DROP = 20;

/** A block is so thick, and its near face stays so far off the leg's inner corner, mm. @source common practice */
const BLOCK = { thickness: 30, clear: 5 };

/**
 * A block across the corner where two rails meet, sawn at 45°: it must clear the leg that stands in that corner.
 *
 * @returns along each rail from where their inner faces meet: its near and its far point; its long point to long point; mm
 * @source derived: the leg's inner corner lies √2 × its inner size from the rails' corner, the near face 1/√2 × near
 */
export function cornerBlock(at: Pick<TableGeometry, "leg">): {
  near: number;
  far: number;
  length: number;
  thickness: number;
} {
  const { thickness, clear } = BLOCK;
  const least = 2 * Math.max(0, at.leg.inner) + clear * Math.SQRT2;
  // a whole mm to saw to
  const length = Math.ceil((least + thickness * Math.SQRT2) * Math.SQRT2);
  const far = length / Math.SQRT2;
  return { near: far - thickness * Math.SQRT2, far, length, thickness };
}
