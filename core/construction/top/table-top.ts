import { Outline, rectangle, Spot, straight } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import { HOME, Place } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import { outlineOf } from "./outline";
import type { PieceGeometry } from "../geometry";
import type { Breadboards } from "../../movement/breadboard";
import type { Form } from "../../piece/schema";

/** What a top is made from. */
export interface TopFacts {
  form: Form;
  at: PieceGeometry;
  breadboards: Breadboards | null;
}

type Sort = Pick<AssemblyPart, "name" | "said" | "letter" | "role" | "note">;
/** What the parts of a top are called, and what the cut list says of each. */
const SORTS: Record<string, Sort> = {
  top: {
    name: "Top",
    letter: "T",
    role: "panel",
    note: "Glued from the boards chosen for it; trimmed when flat.",
  },
  slat: { name: "Slat", letter: "S", role: "slat", note: "Drilled before it is finished; edges rounded." },
  "end-board": {
    name: "Breadboard end",
    said: "end board",
    letter: "D",
    role: "end-board",
    note: "Cut when the panel has been measured; grooved and mortised for its tongue.",
  },
  "frame-long": {
    name: "Frame, long side",
    said: "long side of the frame",
    letter: "F",
    role: "frame",
    note: "Grooved for the panel; corners jointed before.",
  },
  "frame-end": {
    name: "Frame, end",
    said: "end of the frame",
    letter: "G",
    role: "frame",
    note: "Grooved for the panel; corners jointed before.",
  },
};
const PANEL: Pick<Sort, "name" | "said"> = { name: "Panel of the top", said: "top" };

/** A tongue is so much of its panel's thickness. @source common practice: a third */
const TONGUE_SHARE = 1 / 3;

/** How far the top is lifted when the piece is pulled apart, and its ends drawn off it, mm. */
const LIFT = 320;
const ENDS = 180;

/** Flat on its base: grain along x, width toward the back, thickness up. */
const FLAT = { x: [1, 0, 0] as Vec, y: [0, 0, -1] as Vec };
/** The same with its grain from front to back. */
const ACROSS = { x: [0, 0, -1] as Vec, y: [-1, 0, 0] as Vec };

/** The top: a panel, slats, a panel between end boards or in a frame. */
export function tableTop(facts: TopFacts): AssemblyPart[] {
  const { form, at } = facts;
  const up: Vec = [0, LIFT, 0];
  const flat = (z: number, x: number): Place => ({ ...FLAT, at: [x, at.under, z] });
  const { core, top } = at;
  const part = (given: Pick<AssemblyPart, "id" | "kind" | "shape" | "place">): AssemblyPart => ({
    ...given,
    ...SORTS[given.kind],
    make: "solid",
    adds: [],
    cuts: [],
    opens: up,
  });
  switch (form.construction) {
    case "solid":
    case "channel": {
      const shape = { length: top.length, width: top.width, thickness: top.thickness, face: seen(form, top) };
      return [part({ id: "T", kind: "top", shape, place: flat(top.width / 2, -top.length / 2) })];
    }
    case "slatted":
      return Array.from({ length: core.count }, (_, i) =>
        part({
          id: `S${i + 1}`,
          kind: "slat",
          shape: { length: core.length, width: core.width, thickness: core.thickness },
          place: flat(top.width / 2 - i * (core.width + form.slats.gap), -top.length / 2),
        }),
      );
    case "breadboard":
      return withEnds(facts, part, flat);
    case "framed":
      return inFrame(facts, part, flat);
  }
}

type Make = (given: Pick<AssemblyPart, "id" | "kind" | "shape" | "place">) => AssemblyPart;
type Flat = (z: number, x: number) => Place;

/** A panel whose tongues go into two boards across its ends. */
function withEnds({ form, at, breadboards }: TopFacts, part: Make, flat: Flat): AssemblyPart[] {
  const { core, top } = at;
  const asked = breadboards?.tongue ?? { length: 0, thickness: top.thickness * TONGUE_SHARE };
  const tongue = { ...asked, thickness: Math.min(top.thickness, asked.thickness) };
  const length = breadboards?.length ?? top.width;
  const low = (top.thickness - tongue.thickness) / 2;
  const panel = part({
    id: "T",
    kind: "top",
    shape: { length: core.shoulder, width: core.width, thickness: top.thickness },
    place: flat(core.width / 2, -core.shoulder / 2),
  });
  const tongues = form.breadboard.joint === "tongue" && tongue.length > 0;
  const wood = (from: number) => ({
    by: "top+end-board",
    shape: { length: tongue.length, width: core.width, thickness: tongue.thickness },
    place: { ...HOME, at: [from, 0, low] as Vec },
  });
  const ends = [-1, 1].map((side, i): AssemblyPart => {
    const at0 = side > 0 ? core.shoulder / 2 + form.breadboard.width : -core.shoulder / 2;
    const groove = {
      by: "top+end-board",
      shape: { length, width: tongue.length, thickness: tongue.thickness },
      place: { ...HOME, at: [0, side > 0 ? form.breadboard.width - tongue.length : 0, low] as Vec },
    };
    return {
      ...part({
        id: `D${i + 1}`,
        kind: "end-board",
        shape: { length, width: form.breadboard.width, thickness: top.thickness },
        place: { ...ACROSS, at: [at0, at.under, length / 2] },
      }),
      cuts: tongues ? [groove] : [],
      opens: [side * ENDS, LIFT, 0],
    };
  });
  return [{ ...panel, ...PANEL, adds: tongues ? [wood(-tongue.length), wood(core.shoulder)] : [] }, ...ends];
}

/** A panel that floats in the grooves of a frame as thick as itself, by a tongue all round. */
function inFrame({ form, at }: TopFacts, part: Make, flat: Flat): AssemblyPart[] {
  const { core, top } = at;
  const { width, corners, groove } = form.frame;
  const inner = Math.max(1, top.width - 2 * width);
  const thin = top.thickness * TONGUE_SHARE;
  const low = (top.thickness - thin) / 2;
  const panel = part({
    id: "T",
    kind: "top",
    shape: { length: core.shoulder, width: inner, thickness: top.thickness },
    place: flat(inner / 2, -core.shoulder / 2),
  });
  const plate = {
    by: "top+frame",
    shape: { length: core.length, width: core.width, thickness: thin },
    place: { ...HOME, at: [(core.shoulder - core.length) / 2, (inner - core.width) / 2, low] as Vec },
  };
  const grooved = (length: number) => [
    {
      by: "top+frame",
      shape: { length, width: Math.min(width, groove), thickness: thin },
      place: { ...HOME, at: [0, Math.max(0, width - groove), low] as Vec },
    },
  ];
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
          ? flat(top.width / 2, -top.length / 2)
          : { x: [-1, 0, 0], y: [0, 0, 1], at: [top.length / 2, at.under, -top.width / 2] },
    }),
  );
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
  return [
    { ...panel, ...PANEL, adds: [plate] },
    ...long.map((side) => ({ ...side, cuts: grooved(side.shape.length) })),
    ...ends.map((end) => ({ ...end, cuts: grooved(end.shape.length) })),
  ];
}

/** The finished outline from above with its cut-outs, from the top's front left corner. */
function seen(form: Form, top: PieceGeometry["top"]): Outline {
  const { outline, bulge, notch, cutouts } = form.top;
  // from the middle and anticlockwise seen from above, front at the bottom
  const spots = outlineOf({ ...top, outline, bulge, notch });
  const corner = ([x, y]: Spot): Spot => [x + top.length / 2, y + top.width / 2];
  return {
    outer: straight(spots.map(([x, y]) => corner([x, y]))),
    holes: cutouts.map((cut) =>
      straight(
        (
          [
            [-1, -1],
            [1, -1],
            [1, 1],
            [-1, 1],
          ] as const
        ).map(([a, b]) => corner([cut.x + (a * cut.length) / 2, cut.y + (b * cut.width) / 2])),
      ),
    ),
  };
}
