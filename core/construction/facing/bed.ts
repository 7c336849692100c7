/** A facing on a strip of wood of its own: what is glued from boards is sawn apart along the table, and the strip, thinner than it, glued between. mm */
import { across } from "../../assembly/clip";
import type { Meeting } from "../../assembly/meeting";
import type { AssemblyPart } from "../../assembly/part";
import { add } from "../../assembly/vector";
import { Glued, glued } from "../../joinery/glued";
import { CUT_LOST } from "../../panels/row";
import type { Form } from "../../piece/schema";
import type { Inserted, PanelPlace, PieceGeometry } from "../geometry";
import { flat, LIFT } from "../top/part";
import { facingOf } from "./facing";

/** The strip's kind of part. */
export const BED_KIND = "facing-strip";

/** The same geometry, its top in three: two halves and the strip, where a facing lies on one. */
export function inserted<G extends PieceGeometry>(at: G, form: Form): G {
  if (form.facing.bed !== "strip") return at;
  const facing = facingOf(form, at);
  if (!facing) return at;
  const { front, width, depth, length } = facing;
  const thickness = Math.max(1, at.top.thickness - depth);
  const strip: PanelPlace = {
    ...{ id: "bed", kind: BED_KIND, part: "TS", name: "strip under the facing", length, width, thickness },
    ...{ sizesAt: null, endsLong: true },
  };
  return {
    ...at,
    inserted: { front, width, thickness, lost: CUT_LOST },
    panels: [...(at.panels ?? []), strip],
  };
}

/** Front half, back half and the strip between them, of a top as it would be in one. */
export function bedded(top: AssemblyPart, at: PieceGeometry & { inserted: Inserted }): AssemblyPart[] {
  const { front, width, thickness } = at.inserted;
  const half = (id: string, said: string, from: number, to: number): AssemblyPart => ({
    ...top,
    ...{ id, name: `${said[0].toUpperCase()}${said.slice(1)} of the top`, said: `${said} of the top` },
    note: "Sawn from the glued panel along its grain; the sawn edges are glued to the strip.",
    shape: across(top.shape, from, to),
    place: { ...top.place, at: add(top.place.at, [0, 0, -from]) },
    cuts: top.cuts.map((cut) => ({ ...cut, place: { ...cut.place, at: add(cut.place.at, [0, -from, 0]) } })),
    opens: [0, LIFT, from > 0 ? -90 : 90],
  });
  const strip: AssemblyPart = {
    ...{ id: "TS", kind: BED_KIND, name: "Strip under the facing", said: "strip under the facing" },
    ...{ plural: "strips under the facing", letter: "TS", role: "panel", make: "solid", adds: [], cuts: [] },
    note: "From one board or glued from several; its upper face is coloured, and nothing on it but the facing’s glue.",
    shape: { length: top.shape.length, width, thickness },
    place: flat(at, top.place.at[2] - front, top.place.at[0]),
    opens: [0, LIFT, 0],
  };
  return [half("T1", "front half", 0, front), half("T2", "back half", front + width, top.shape.width), strip];
}

/** Both its long edges, glued to the halves. */
export function bedJoints(at: PieceGeometry): { joints: Glued[]; meetings: Meeting[] } {
  if (!at.inserted) return { joints: [], meetings: [] };
  const { front, width, thickness } = at.inserted;
  const { shoulder: length, width: whole } = at.core;
  const group = `top+${BED_KIND}`;
  const joint = glued(
    { ...{ id: group, group, name: "Strip to the halves" }, receives: "top", enters: BED_KIND, count: 2 },
    { width: length, thickness },
    Math.min(front, whole - front - width),
    { seam: true },
  );
  const seam = (receives: string, side: 1 | -1): Meeting => ({
    ...{ joint, enters: "TS", receives },
    face: {
      at: [(-side * length) / 2, at.under, whole / 2 - front - (side > 0 ? 0 : width)],
      ...{ x: [0, 0, side], y: [side, 0, 0] },
    },
  });
  return { joints: [joint], meetings: [seam("T1", 1), seam("T2", -1)] };
}

/** What the facing lies against: its own glue holds it. */
export const besideFacing = (at: PieceGeometry): { a: string; b: string }[] =>
  at.inserted ? ["T1", "T2"].map((b) => ({ a: "FC", b })) : [];
