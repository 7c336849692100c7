/** Backs of a case that are of wood: boards that lap one another, or a frame with panels. mm */
import type { Form } from "../../../piece/schema";
import type { PanelPlace } from "../../geometry";
import type { Span } from "../leg-frame/place";
import type { Case } from "./case";
import { rebateOf } from "./cut";

/** One piece of it that is seen from inside: what it covers there, and its whole body. */
export interface BackPiece {
  id: string;
  kind: "back-board" | "back-stile" | "back-rail" | "back-muntin";
  x: Span;
  y: Span;
  /** of its face toward the inside, where a lap takes some of it */
  face: Span;
}

/** A panel in a frame's grooves: between the frame, and with what is in them. */
export interface BackPanel {
  n: number;
  between: { x: Span; y: Span };
  x: Span;
  y: Span;
}

/** A bay wider than this has two panels behind it, mm. @source common practice */
const WIDE = 620;
/** A panel is left so much short in its grooves along its grain, mm. @source common practice */
const SHORT = 0.5;

const spread = ({ from, to }: Span) => to - from;

/** Between the rebates, and from the bottom's underside to the top. */
export const backRoom = (at: Case): { x: Span; y: Span } => ({
  x: { from: at.inside.from - rebateOf(at), to: at.inside.to + rebateOf(at) },
  y: { from: at.backLow, to: at.under },
});

/** Boards as wide as one another, from the left: each lies over the next by the lap, less the gap it keeps in it. */
export function backBoards(at: Case, { case: { backs } }: Form): BackPiece[] {
  if (at.backed !== "boards") return [];
  const { x, y } = backRoom(at);
  const { lap, gap } = backs;
  const over = Math.max(0, lap - gap);
  const count = Math.max(2, Math.round((spread(x) - over) / Math.max(20, backs.board - over)));
  const wide = (spread(x) + (count - 1) * over) / count;
  return Array.from({ length: count }, (_, i): BackPiece => {
    const from = x.from + i * (wide - over);
    return {
      ...{ id: `M${i + 1}`, kind: "back-board", x: { from, to: from + wide }, y },
      face: { from: i === 0 ? from : from + lap, to: from + wide },
    };
  });
}

/** A frame's stiles, rails and muntins: one behind each divider, one in the middle of a wide bay. */
export function backFrame(at: Case, { case: { backs } }: Form): BackPiece[] {
  if (at.backed !== "framed") return [];
  const { x, y } = backRoom(at);
  const { stile, rail } = backs;
  const inner: Span = { from: x.from + stile, to: x.to - stile };
  const middles = at.bays.flatMap(({ from, to }, i) => [
    ...(to - from > WIDE ? [(from + to) / 2] : []),
    ...(i < at.dividers.length ? [at.dividers[i]] : []),
  ]);
  const piece = (id: string, kind: BackPiece["kind"], from: Span, high: Span): BackPiece => ({
    ...{ id, kind, x: from, y: high, face: from },
  });
  return [
    piece("BS1", "back-stile", { from: x.from, to: inner.from }, y),
    piece("BS2", "back-stile", { from: inner.to, to: x.to }, y),
    piece("BR1", "back-rail", inner, { from: y.from, to: y.from + rail }),
    piece("BR2", "back-rail", inner, { from: y.to - rail, to: y.to }),
    ...middles.map((middle, i) =>
      piece(
        middles.length > 1 ? `BM${i + 1}` : "BM",
        "back-muntin",
        { from: middle - stile / 2, to: middle + stile / 2 },
        { from: y.from + rail, to: y.to - rail },
      ),
    ),
  ];
}

/** Panels between what stands in the frame. */
export function backPanels(at: Case, form: Form): BackPanel[] {
  const frame = backFrame(at, form);
  const upright = frame
    .filter(({ kind }) => kind === "back-stile" || kind === "back-muntin")
    .sort((a, b) => a.x.from - b.x.from);
  const { groove, free, rail } = form.case.backs;
  const { y } = backRoom(at);
  const [aside, up] = [groove - Math.min(free, groove - 1), groove - SHORT];
  return upright.slice(1).map(({ x: right }, i): BackPanel => {
    const between = { x: { from: upright[i].x.to, to: right.from }, y: { from: y.from + rail, to: y.to - rail } };
    return {
      ...{ n: i + 1, between },
      x: { from: between.x.from - aside, to: between.x.to + aside },
      y: { from: between.y.from - up, to: between.y.to + up },
    };
  });
}

/** Panels of it that are glued up from boards. */
export const backPanelPlaces = (at: Case, form: Form): PanelPlace[] =>
  backPanels(at, form).map(({ n, x, y }, _, { length }) => ({
    ...{ id: `back-panel-${n}`, kind: "back-panel", part: `BP${n}` },
    name: length > 1 ? `panel ${n} of the back` : "panel of the back",
    ...{ length: spread(y), width: spread(x), thickness: panelThick(at, form) },
    sizesAt: ["form", "case", "backs"],
  }));

/** A panel is no thicker than leaves a wall beside its groove. */
export const panelThick = ({ back }: Pick<Case, "back">, { case: { backs } }: Form): number =>
  Math.min(backs.panelThickness, back / 2);
