/** What holds the ends of a top's field: two boards across, or a frame. */
import { Outline, rectangle, straight } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import { ACROSS, ENDS, flat, LIFT, part, TONGUE_SHARE, TopFacts } from "./part";

const tongueOf = ({ form, at, breadboards }: TopFacts) => {
  const asked = breadboards?.tongue ?? { length: 0, thickness: at.top.thickness * TONGUE_SHARE };
  const thickness = Math.min(at.top.thickness, asked.thickness);
  return {
    ...{ length: asked.length, thickness, low: (at.top.thickness - thickness) / 2 },
    cut: form.breadboard.joint === "tongue" && asked.length > 0,
  };
};

/** A panel, or slats, whose tongues go into two boards across their ends. */
export function withTongues(facts: TopFacts, field: readonly AssemblyPart[]): AssemblyPart[] {
  const { core } = facts.at;
  const { length, thickness, low, cut } = tongueOf(facts);
  if (!cut) return [...field];
  return field.map((each) => ({
    ...each,
    adds: [-length, core.shoulder].map((from) => ({
      by: "top+end-board",
      shape: { length, width: each.shape.width, thickness },
      place: { ...HOME, at: [from, 0, low] as Vec },
    })),
  }));
}

export function endBoards(facts: TopFacts): AssemblyPart[] {
  const { form, at, breadboards } = facts;
  const { core, top } = at;
  const { length: deep, thickness, low, cut } = tongueOf(facts);
  const length = breadboards?.length ?? top.width;
  return [-1, 1].map((side, i): AssemblyPart => {
    const at0 = side > 0 ? core.shoulder / 2 + form.breadboard.width : -core.shoulder / 2;
    const groove = {
      by: "top+end-board",
      shape: { length, width: deep, thickness },
      place: { ...HOME, at: [0, side > 0 ? form.breadboard.width - deep : 0, low] as Vec },
    };
    return {
      ...part({
        id: `D${i + 1}`,
        kind: "end-board",
        shape: { length, width: form.breadboard.width, thickness: top.thickness },
        place: { ...ACROSS, at: [at0, at.under, length / 2] },
      }),
      cuts: cut ? [groove] : [],
      opens: [side * ENDS, LIFT, 0],
    };
  });
}

/** A panel that floats in the grooves of a frame as thick as itself by a tongue all round; slats by tongues at their ends. */
export function inFrame({ form, at }: TopFacts, field: readonly AssemblyPart[]): AssemblyPart[] {
  const { core, top } = at;
  const thin = top.thickness * TONGUE_SHARE;
  const low = (top.thickness - thin) / 2;
  return field.map((each) => {
    // a panel's plate is as wide as it is glued up; a slat's tongue is as wide as the slat
    const aside = form.field === "slats" ? 0 : (each.shape.width - core.width) / 2;
    const plate = {
      by: "top+frame",
      shape: { length: core.length, width: core.width, thickness: thin },
      place: { ...HOME, at: [(core.shoulder - core.length) / 2, aside, low] as Vec },
    };
    return { ...each, adds: [plate] };
  });
}

/** A frame's corner tenon goes so far into the long sides, at most, and keeps so much of the end's outer edge; its mortise is so much deeper. mm @source common practice */
const CORNER = { share: 0.6, most: 50, outer: 0.2, deeper: 1 };

/** The tenons at the ends of a frame's short sides, in the plane of its grooves, from an outer shoulder to the groove's floor. */
export function cornerTenon({ width, groove }: TopFacts["form"]["frame"], thickness: number) {
  const thin = thickness * TONGUE_SHARE;
  const low = (thickness - thin) / 2;
  const length = Math.floor(Math.min(CORNER.most, width * CORNER.share) * 2) / 2;
  const from = Math.round(width * CORNER.outer);
  const wide = width - groove - from;
  const body = (shape: [number, number], at: [number, number]) => ({
    by: "frame-end+frame-long",
    shape: { length: shape[0], width: shape[1], thickness: thin },
    place: { ...HOME, at: [...at, low] as Vec },
  });
  const whole = wide > 0 && length > 0;
  return {
    ...{ length, from, wide, thin, depth: length + CORNER.deeper },
    adds: (end: number) => (whole ? [body([length, wide], [-length, from]), body([length, wide], [end, from])] : []),
    cuts: (side: number) => {
      const depth = length + CORNER.deeper;
      return whole
        ? [body([wide, depth], [from, width - depth]), body([wide, depth], [side - from - wide, width - depth])]
        : [];
    },
  };
}

export function frameOf({ form, at }: TopFacts): AssemblyPart[] {
  const { top } = at;
  const { width, corners, groove } = form.frame;
  const thin = top.thickness * TONGUE_SHARE;
  const low = (top.thickness - thin) / 2;
  const grooved = (side: AssemblyPart): AssemblyPart => ({
    ...side,
    cuts: [
      ...side.cuts,
      {
        by: "top+frame",
        shape: { length: side.shape.length, width: Math.min(width, groove), thickness: thin },
        place: { ...HOME, at: [0, Math.max(0, width - groove), low] as Vec },
      },
    ],
  });
  const mitre = corners === "mitred";
  const side = (length: number): Outline =>
    mitre
      ? {
          outer: straight([
            [0, 0],
            [length, 0],
            [length - width, width],
            [width, width],
          ]),
          holes: [],
        }
      : rectangle(length, width);
  const long = [1, -1].map((z, i) =>
    part({
      id: `F${i + 1}`,
      kind: "frame-long",
      shape: { length: top.length, width, thickness: top.thickness, face: side(top.length) },
      // the outside edge is the low one, so the back side is turned round
      place:
        z > 0
          ? flat(at, top.width / 2, -top.length / 2)
          : { x: [-1, 0, 0], y: [0, 0, 1], at: [top.length / 2, at.under, -top.width / 2] },
    }),
  );
  const corner = mitre ? null : cornerTenon(form.frame, top.thickness);
  const endLength = mitre ? top.width : Math.max(1, top.width - 2 * width);
  const ends = [1, -1].map((x, i) =>
    part({
      id: `G${i + 1}`,
      kind: "frame-end",
      shape: { length: endLength, width, thickness: top.thickness, face: side(endLength) },
      place:
        x > 0
          ? { ...ACROSS, at: [top.length / 2, at.under, endLength / 2] }
          : { x: [0, 0, 1], y: [1, 0, 0], at: [-top.length / 2, at.under, -endLength / 2] },
    }),
  );
  const tenoned = ends.map((end) => (corner ? { ...end, adds: corner.adds(endLength) } : end));
  const mortised = long.map((side) => (corner ? { ...side, cuts: corner.cuts(top.length) } : side));
  // slats lie free of the long sides
  return [...(form.field === "slats" ? mortised : mortised.map(grooved)), ...tenoned.map(grooved)];
}
