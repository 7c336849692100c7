import type { PieceGeometry } from "../construction/geometry";
import { bevelOf } from "../construction/top/bevel";
import { keptAt, shapedTop } from "../construction/top/outline";
import { rowCuts, topMiddle } from "../panels/row";
import type { Piece } from "../piece/schema";
import type { LaidStrip } from "../stock/panel-facts";

/** No aid nearer than this to a line that will be cut, or to an edge treatment, mm. @source common practice */
export const ALIGN_CLEAR = 50;
/** Aids along a joint at most this far apart, mm. @source common practice */
export const ALIGN_SPACING = 300;

/** One loose tenon, dowel or biscuit: x along the panel from its middle, y across it from its front edge, mm. */
export interface AlignmentPlace {
  x: number;
  y: number;
  between: [string, string];
}

/**
 * Where aids go in the joints of a panel: evenly along what both strips and the finished outline hold of each line, never within
 * {@link ALIGN_CLEAR} of a cut, a cut-out or the edge treatment.
 *
 * @returns none for a panel glued with bare edges
 */
export function alignmentPlaces(
  laid: readonly LaidStrip[],
  at: Pick<PieceGeometry, "core" | "top" | "through" | "row" | "parting" | "blankOf">,
  piece: Pick<Piece, "choices" | "form">,
): AlignmentPlace[] {
  if (piece.choices.alignment === "none") return [];
  const { core } = at;
  const whole = core.length === at.top.length;
  const shaped = shapedTop(piece.form.top, at);
  const top = {
    ...shaped,
    // what is cut out of the top lies where the top lies in its blank
    cutouts:
      at.row && !at.parting ? shaped.cutouts.map((cut) => ({ ...cut, x: cut.x + topMiddle(at) })) : shaped.cutouts,
    length: core.length,
    width: core.width,
    ...(whole ? {} : { outline: "rectangle" as const, cutouts: [] }),
  };
  const margin = ALIGN_CLEAR + (top.edge.kind === "square" ? 0 : (bevelOf(piece.form)?.inward ?? top.edge.size));
  // a tongue or a groove is cut at the ends of a panel that is held in something
  const ends = (core.length - core.shoulder) / 2;
  // a blank that is crosscut again keeps its aids off what is lost there
  const crosscuts = at.row ? rowCuts(at.row) : [];
  const clear = margin + (at.row?.lost ?? 0) / 2;
  return laid.slice(0, -1).flatMap((strip, i) => {
    const next = laid[i + 1];
    const y = strip.from + strip.width;
    const reach = Math.min(strip.length, next.length, core.shoulder) / 2 - margin;
    if (reach <= 0) return [];
    const count = Math.max(2, Math.ceil((2 * reach) / ALIGN_SPACING) + 1);
    const candidates = Array.from({ length: count }, (_, n) => -reach + (2 * reach * n) / (count - 1));
    return candidates
      .filter(
        (x) =>
          crosscuts.every((cut) => Math.abs(x - cut) >= clear) &&
          keptAt(top, x, y - core.width / 2, margin - 0.01) &&
          Math.abs(x) <= core.length / 2 - ends - margin + 0.01,
      )
      .map((x) => ({ x, y, between: [strip.board.id, next.board.id] as [string, string] }));
  });
}
