/** Where a panel’s joint lines fall, and how its rings lie. */
import type { PieceGeometry } from "../construction/geometry";
import { postBand } from "../construction/posts";
import { LINES } from "../layout/arrange";
import { jointLines } from "../layout/candidates";
import type { Piece } from "../piece/schema";
import { Level, mm, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { LaidStrip, linesOf, PanelFacts } from "./panel-facts";

export function centreLine({ laid, at, piece }: PanelFacts): Verdict | null {
  if (laid.length < 2) return null;
  const nearest = Math.min(...linesOf(laid, at).map((line) => Math.abs(line - at.core.width / 2)));
  const level: Level = nearest >= LINES.offCentre ? "holds" : "tight";
  return verdict({
    id: "boards.centre",
    stage: "boards",
    level,
    subject: ["top"],
    text:
      level === "holds"
        ? `No joint line within ${mm(Math.min(nearest, 999))} of the centre`
        : `A joint line runs ${mm(nearest)} from the centre`,
    why: `The eye finds a line near the middle; keep it ${LINES.offCentre} mm off.`,
    limit: LINES.offCentre,
    actual: Math.round(nearest),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : bestSwap(piece, laid, at),
  });
}

export function overLegs({ laid, at, piece }: PanelFacts): Verdict | null {
  const band = postBand(at);
  if (laid.length < 2 || !band) return null;
  const inside = linesOf(laid, at)
    .map((line) => Math.min(line, at.core.width - line))
    .filter((line) => line > band.from && line < band.to);
  return verdict({
    id: "boards.legs",
    stage: "boards",
    level: inside.length ? "tight" : "holds",
    subject: ["top", "leg"],
    text: inside.length
      ? `A joint line runs over the legs, ${mm(inside[0])} from the edge`
      : "No joint line over a leg",
    why: `Legs stand ${mm(band.from)} to ${mm(band.to)} from the edge; a line there shows beside the rail and weakens the button.`,
    remedies: inside.length ? bestSwap(piece, laid, at) : [],
  });
}

/** The swap of two strips that most helps lines stay off centre and legs, if any does. */
function bestSwap(piece: Piece, laid: readonly LaidStrip[], at: PieceGeometry): Remedy[] {
  const band = postBand(at);
  const fault = (order: readonly LaidStrip[]) =>
    jointLines(
      order.map((each) => each.full),
      at.core.width,
    ).reduce((sum, line) => {
      const fromEdge = Math.min(line, at.core.width - line);
      const overLeg = band !== null && fromEdge > band.from && fromEdge < band.to;
      return sum + (Math.abs(line - at.core.width / 2) < LINES.offCentre ? 1 : 0) + (overLeg ? 1 : 0);
    }, 0);
  const now = fault(laid);
  for (let i = 0; i < laid.length; i += 1)
    for (let j = i + 1; j < laid.length; j += 1) {
      const order = laid.slice();
      [order[i], order[j]] = [order[j], order[i]];
      if (fault(order) < now) {
        const strips = piece.panels.top.strips.slice();
        const [a, b] = [
          strips.findIndex((each) => each.board === laid[i].board.id),
          strips.findIndex((each) => each.board === laid[j].board.id),
        ];
        [strips[a], strips[b]] = [
          { ...strips[b], face: strips[a].face },
          { ...strips[a], face: strips[b].face },
        ];
        return [set(`Swap ${laid[i].board.id} and ${laid[j].board.id}`, ["panels", "top", "strips"], strips)];
      }
    }
  return [];
}

export function ringOrder({ laid, piece, name }: PanelFacts): Verdict | null {
  if (laid.length < 2) return null;
  const faces = laid.map(({ strip }) => strip.face);
  const alternate = faces.every((face, i) => i === 0 || face !== faces[i - 1]);
  const wanted = piece.choices.rings === "alternate";
  const strips = laid.map(({ strip }, i) => ({
    ...strip,
    face: wanted && i % 2 === 1 ? ("bark-down" as const) : ("bark-up" as const),
  }));
  const ok = !wanted || alternate;
  return verdict({
    id: "boards.rings",
    stage: "boards",
    level: ok ? "holds" : "tight",
    subject: ["top"],
    text: wanted
      ? alternate
        ? `Rings alternate across the ${name}`
        : "Two neighbours have their rings the same way"
      : "Best faces up, rings as they fall",
    why: wanted
      ? "Alternated, ripples average out and there is less to hold down."
      : `The base holds the ${name} flat; a board all one way adds a weak long arc.`,
    remedies: ok
      ? []
      : [
          set("Alternate the rings", ["panels", "top", "strips"], strips),
          set("Best faces up instead", ["choices", "rings"], "best-face"),
        ],
  });
}
