import { Outline, rectangle, Spot, straight } from "../../assembly/outline";
import type { AssemblyPart } from "../../assembly/part";
import { HOME, Place } from "../../assembly/place";
import type { Vec } from "../../assembly/vector";
import { outlineOf } from "../../form/outline";
import type { TableGeometry } from "../../form/leg-and-apron";
import type { Breadboards } from "../../movement/breadboard";
import type { Form } from "../../piece/schema";

/** What a top is made from. */
export interface TopFacts {
  form: Form;
  at: TableGeometry;
  breadboards: Breadboards | null;
}

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
  const flat = (z: number, x: number): Place => ({ ...FLAT, at: [x, at.leg.length, z] });
  const { core, top } = at;
  const part = (given: Pick<AssemblyPart, "id" | "kind" | "name" | "shape" | "place">): AssemblyPart => ({
    ...given,
    adds: [],
    cuts: [],
    opens: up,
  });
  switch (form.construction) {
    case "solid":
    case "channel": {
      const shape = { length: top.length, width: top.width, thickness: top.thickness, face: seen(form, top) };
      return [part({ id: "T", kind: "top", name: "Top", shape, place: flat(top.width / 2, -top.length / 2) })];
    }
    case "slatted":
      return Array.from({ length: core.count }, (_, i) =>
        part({
          id: `S${i + 1}`,
          kind: "slat",
          name: "Slat",
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

type Make = (given: Pick<AssemblyPart, "id" | "kind" | "name" | "shape" | "place">) => AssemblyPart;
type Flat = (z: number, x: number) => Place;

/** A panel whose tongues go into two boards across its ends. */
function withEnds({ form, at, breadboards }: TopFacts, part: Make, flat: Flat): AssemblyPart[] {
  const { core, top } = at;
  const tongue = breadboards?.tongue ?? { length: 0, thickness: top.thickness / 3 };
  const length = breadboards?.length ?? top.width;
  const low = (top.thickness - tongue.thickness) / 2;
  const panel = part({
    id: "T",
    kind: "top",
    name: "Panel of the top",
    shape: { length: core.shoulder, width: core.width, thickness: top.thickness },
    place: flat(core.width / 2, -core.shoulder / 2),
  });
  const tongues = form.breadboard.joint === "tongue" && tongue.length > 0 && tongue.thickness < top.thickness;
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
        name: "End board",
        shape: { length, width: form.breadboard.width, thickness: top.thickness },
        place: { ...ACROSS, at: [at0, at.leg.length, length / 2] },
      }),
      cuts: tongues ? [groove] : [],
      opens: [side * ENDS, LIFT, 0],
    };
  });
  return [{ ...panel, adds: tongues ? [wood(-tongue.length), wood(core.shoulder)] : [] }, ...ends];
}

/** A panel that floats in the groove of a frame as thick as itself. */
function inFrame({ form, at }: TopFacts, part: Make, flat: Flat): AssemblyPart[] {
  const { core, top } = at;
  const { width, corners } = form.frame;
  const panel = part({
    id: "T",
    kind: "top",
    name: "Panel of the top",
    shape: { length: core.shoulder, width: Math.max(1, top.width - 2 * width), thickness: top.thickness },
    place: flat(Math.max(1, top.width - 2 * width) / 2, -core.shoulder / 2),
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
      name: "Frame, long side",
      shape: { length: top.length, width, thickness: top.thickness, face: side(top.length) },
      // the outside edge is the low one, so the back side is turned round
      place:
        z > 0
          ? flat(top.width / 2, -top.length / 2)
          : { x: [-1, 0, 0], y: [0, 0, 1], at: [top.length / 2, at.leg.length, -top.width / 2] },
    }),
  );
  const endLength = mitre ? top.width : Math.max(1, top.width - 2 * width);
  const ends = [1, -1].map((x, i) =>
    part({
      id: `G${i + 1}`,
      kind: "frame-end",
      name: "Frame, end",
      shape: { length: endLength, width, thickness: top.thickness, face: side(endLength) },
      place:
        x > 0
          ? { ...ACROSS, at: [top.length / 2, at.leg.length, endLength / 2] }
          : { x: [0, 0, 1], y: [1, 0, 0], at: [-top.length / 2, at.leg.length, -endLength / 2] },
    }),
  );
  return [panel, ...long, ...ends];
}

/** The finished outline from above with its cut-outs, from the top's front left corner. */
function seen(form: Form, top: TableGeometry["top"]): Outline {
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
