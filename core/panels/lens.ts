/**
 * Any panel seen as if it were the top, so that all are composed, laid, moved, glued and judged by the same code: what is asked of the top
 * is asked of it, and what mends the top mends it.
 */
import type { PanelPlace, PieceGeometry } from "../construction/geometry";
import { USUAL_OUTLINE } from "../piece/cutting-choices";
import { freshPanel } from "../piece/fresh";
import type { Form, PanelChoice, Piece } from "../piece/schema";
import type { Patch } from "../piece/patch";
import type { Verdict } from "../verdict/verdict";
import { asBlank } from "./row";

/** A piece and its geometry with a panel in the place of its top: alone, square, with nothing below it; a copy's top as the first's. */
export function seenAsTop(piece: Piece, at: PieceGeometry, place: PanelPlace): { piece: Piece; at: PieceGeometry } {
  const { choice, top, at: alone } = panelSeen(piece, at, place);
  const panels = { ...piece.panels, top: choice };
  if (place.kind === "top") return { piece: { ...piece, panels }, at: alone };
  return {
    piece: {
      ...piece,
      panels,
      form: { ...piece.form, field: "solid", ends: "none", stiffener: "none", top, overhang: { end: 0, side: 0 } },
    },
    at: alone,
  };
}

/** What is chosen for a panel, its outline, and where it stands when it is looked at by itself. */
export function panelSeen(
  { panels, form }: { panels: Piece["panels"]; form: Pick<Form, "top"> },
  at: PieceGeometry,
  { id, kind, length, width, thickness, row }: PanelPlace,
): { choice: PanelChoice; top: Form["top"]; at: PieceGeometry } {
  const size = { length, width, thickness };
  const choice = panels[id] ?? NOTHING;
  if (kind === "top") return { choice, top: form.top, at: asBlank(at) };
  return {
    choice,
    top: { ...size, edge: { kind: "square", size: 0, rim: null, angle: null }, ...USUAL_OUTLINE },
    at: { ...at, top: size, core: { ...size, shoulder: length, count: 1 }, posts: [], bearers: [], through: null, row },
  };
}
const NOTHING = freshPanel();

/** A change to the top as the same change to this panel; null where it has nothing of the kind. `choice`: the panel's as it stands. */
export function changed({ path, value }: Patch, place: PanelPlace, piece: Piece): Patch | null {
  const [first, second, ...rest] = path;
  if (first === "panels" && second === "top") {
    if (piece.panels[place.id]) return { path: ["panels", place.id, ...rest], value };
    const [field] = rest;
    // nothing is chosen for it yet: its first choice brings the whole
    return rest.length === 1 ? { path: ["panels", place.id], value: { ...freshPanel(), [field]: value } } : null;
  }
  if (first === "form" && second === "top" && place.kind !== "top" && SIZES.includes(String(rest[0])))
    return place.sizesAt && { path: [...place.sizesAt, ...rest], value };
  return first === "panels" || (first === "form" && place.kind !== "top") ? null : { path, value };
}
/** A shelf's length follows from what it stands between. */
const SIZES = ["width", "thickness"];

/** What was judged of a panel in the top's place, as a verdict of its own with remedies that reach it. */
export function judgedOf(verdict: Verdict, place: PanelPlace, piece: Piece): Verdict {
  return {
    ...verdict,
    id: `${verdict.id}.${place.id}`,
    subject: verdict.subject.map((each) => (each === "top" ? place.kind : each)),
    text: `${place.name[0].toUpperCase()}${place.name.slice(1)}: ${verdict.text}`,
    remedies: verdict.remedies.flatMap((remedy) => {
      const patches = remedy.patches.map((patch) => changed(patch, place, piece));
      return patches.every((patch) => patch !== null) ? [{ ...remedy, patches }] : [];
    }),
  };
}
