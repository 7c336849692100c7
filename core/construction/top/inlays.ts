/** What is let into the top's upper face: keys over a check, plugs, patches. Each kind several times, each with a wood of its own. */
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import { add, times, Vec } from "../../assembly/vector";
import { inlaid, inlayOutline } from "../../joinery/inlaid";
import type { KindOfJoint } from "../../joinery/kinds";
import type { Form } from "../../piece/schema";
import type { Shop } from "../../piece/shop";
import type { PieceGeometry } from "../geometry";
import { partOver } from "./links";

export interface Inlays {
  parts: AssemblyPart[];
  joints: KindOfJoint[];
  meetings: Meeting[];
}
const NONE: Inlays = { parts: [], joints: [], meetings: [] };

/** More are cut than are let in where figure decides: a fifth. @source common practice */
const SPARES = 0.2;
/** How far one is lifted when the piece is pulled apart, mm: over the top. */
const LIFT = 380;

export const inlayKind = (n: number) => `inlay-${n + 1}`;

/** Which way an inlay's grain runs and what lies across it, in the piece: turned from the top's own grain, seen from above anticlockwise. */
export function inlayWays(degrees: number): { along: Vec; across: Vec } {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)].map((each) => (Math.abs(each) < 1e-12 ? 0 : each));
  return { along: [c, 0, 0 - s], across: [0 - s, 0, 0 - c] };
}

/** Inlays of a top that is one panel; none where it has none, or is of slats. */
export function inlaysOf(form: Pick<Form, "top" | "field" | "ends" | "slabs">, at: PieceGeometry, shop: Shop): Inlays {
  const { inlays } = form.top;
  const { field } = form;
  if (inlays.length === 0 || field === "slats") return NONE;
  const face = at.under + at.top.thickness;
  const over = (place: { x: number; z: number }) => partOver(form, at, place);
  const all: Inlays = { parts: [], joints: [], meetings: [] };
  let marked = 0;
  inlays.forEach(({ name, shape, length, width: given, deep, turn, places }, n) => {
    // a plug is as wide as it is long
    const width = shape === "plug" ? length : given;
    const kind = inlayKind(n);
    const group = `top+${kind}`;
    const joint = inlaid({
      meets: { id: group, group, name: `${name} in the top`, receives: "top", enters: kind, count: places.length },
      ...{ shape, size: { length, width }, deep, into: at.top.thickness, shop },
    });
    const spares = Math.ceil(places.length * SPARES);
    const { along, across } = inlayWays(turn);
    all.joints.push(joint);
    for (const { x, y } of places) {
      marked += 1;
      const id = `IN${marked}`;
      const middle: Vec = [x, face - deep, 0 - y];
      const corner = add(middle, add(times(along, -length / 2), times(across, -width / 2)));
      all.parts.push({
        ...{ id, kind, name, letter: "IN", role: "rail", make: "solid" },
        note: `${turn === 0 ? "Its grain with the top’s" : `Its grain ${turn}° to the top’s`}; a millimetre over in thickness, and ${spares} more to choose from.`,
        shape: { length, width, thickness: deep, face: inlayOutline(shape, length, width) },
        place: { at: corner, x: along, y: across },
        adds: [],
        cuts: [],
        opens: [0, LIFT, 0],
      });
      // from the floor's far corner: down, along its grain, toward the front
      const far = add(middle, add(times(along, -length / 2), times(across, width / 2)));
      all.meetings.push({
        joint,
        enters: id,
        receives: over({ x, z: 0 - y }),
        face: { at: far, x: [0, -1, 0], y: along },
      });
    }
  });
  return all;
}
