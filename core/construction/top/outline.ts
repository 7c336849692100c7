import type { Form } from "../../piece/schema";
import type { Spot } from "../../assembly/outline";
import { behindInBlank, onBlank } from "../../panels/row";
import type { Inserted, PieceGeometry, Standing } from "../geometry";
import { boxOfLoop, drawnThrough, insideLoop, reachIn } from "./points";

type Top = Form["top"];
export type OutlinePoint = [x: number, y: number];

/** What a top's outline follows from besides its choices. */
type Whole = Pick<Standing, "through" | "row"> & Pick<PieceGeometry, "parting" | "blankOf" | "inserted" | "wideOf">;

/** The top as it is cut: posts that run up level with it take its corners, whatever outline is chosen; the blank of a parted one is sawn square. */
export const shapedTop = (top: Top, at: Whole): Top =>
  at.blankOf !== undefined && at.parting
    ? onItsBlank(top, { row: at.row!, top: { length: at.blankOf } })
    : at.inserted && at.wideOf
      ? beforeItsStrip(top, at.inserted, at.wideOf.width)
      : at.through
        ? {
            ...top,
            outline: "notched",
            // two notches never meet: a top that has no wood left between them is judged, and still drawn
            notch: {
              length: Math.min(at.through.length, top.length / 2 - LEFT),
              width: Math.min(at.through.width, top.width / 2 - LEFT),
            },
          }
        : top;

/** What is cut out and let in where it lies before the panel is sawn apart for a strip. */
function beforeItsStrip(top: Top, strip: Inserted, width: number): Top {
  const narrow = width - (strip.width - strip.lost);
  const moved = <P extends { y: number }>(place: P): P => ({
    ...place,
    y: behindInBlank(strip, place.y + width / 2) - narrow / 2,
  });
  return {
    ...top,
    cutouts: top.cutouts.map(moved),
    inlays: top.inlays.map((each) => ({ ...each, places: each.places.map(moved) })),
  };
}

/** A rectangle with what is cut out and let in where its halves lie. */
function onItsBlank(top: Top, blank: Parameters<typeof onBlank>[0]): Top {
  const moved = <P extends { x: number }>(places: readonly P[]): P[] =>
    places.flatMap((each) => {
      const x = onBlank(blank, each.x);
      return x === null ? [] : [{ ...each, x }];
    });
  return {
    ...top,
    outline: "rectangle",
    cutouts: moved(top.cutouts),
    inlays: top.inlays.map((each) => ({ ...each, places: moved(each.places) })),
  };
}
/** What two notches leave between them at least, mm. */
const LEFT = 1;

/** Points along one quarter or side of a curve: enough that no eye sees the corners. */
const SMOOTH = 48;

/**
 * The finished outline of a top from its middle, anticlockwise, mm: a rectangle, an ellipse (a circle when it is as long as wide), sides bowed by
 * arcs, or corners notched for legs that run through.
 */
export function outlineOf(top: Outlined): OutlinePoint[] {
  const [l, w] = [top.length / 2, top.width / 2];
  switch (top.outline) {
    case "rectangle":
      return [
        [-l, -w],
        [l, -w],
        [l, w],
        [-l, w],
      ];
    case "points": {
      const drawn = pointsOf(top);
      return drawn ? drawn.map(([x, y]): OutlinePoint => [x, y]) : outlineOf({ ...top, outline: "rectangle" });
    }
    case "ellipse":
      return Array.from({ length: 4 * SMOOTH }, (_, i) => {
        const at = (i * Math.PI) / (2 * SMOOTH);
        return [l * Math.cos(at), w * Math.sin(at)];
      });
    case "soft": {
      const side = Array.from({ length: SMOOTH + 1 }, (_, i): OutlinePoint => {
        const x = -l + (2 * l * i) / SMOOTH;
        return [x, softEdge(top, x)];
      });
      return [...side.map(([x, y]): OutlinePoint => [x, -y]), ...side.reverse()];
    }
    case "notched": {
      const [a, b] = [l - top.notch.length, w - top.notch.width];
      return [
        [-a, -w],
        [a, -w],
        [a, -b],
        [l, -b],
        [l, b],
        [a, b],
        [a, w],
        [-a, w],
        [-a, b],
        [-l, b],
        [-l, -b],
        [-a, -b],
      ];
    }
  }
}

/** What an outline is drawn from. */
type Outlined = Pick<Top, "length" | "width" | "outline" | "bulge" | "notch" | "points">;

/** The line through typed points where it can be sawn from the top; null where it can't, which is judged, and a rectangle is drawn. */
function pointsOf({ points, length, width }: Outlined): readonly Spot[] | null {
  const drawn = drawnThrough(points);
  if (!drawn.ok) return null;
  const { left, right, front, back } = boxOfLoop(drawn.loop);
  const over = Math.max(-left - length / 2, right - length / 2, -front - width / 2, back - width / 2);
  return over > OVER ? null : drawn.loop;
}
/** An arc's chords may leave its box by a hair, mm. */
const OVER = 0.5;

/** Half the width of a soft-sided top at x from its middle. @source radius from chord and rise, c²/8h + h/2; its drop as x²/(r + √(r² − x²)), which holds for the flattest arc */
function softEdge({ length, width, bulge }: Pick<Top, "length" | "width" | "bulge">, x: number): number {
  if (bulge <= 0) return width / 2;
  const radius = length ** 2 / (8 * bulge) + bulge / 2;
  return width / 2 - x ** 2 / (radius + Math.sqrt(Math.max(0, radius ** 2 - x ** 2)));
}

/**
 * Length of the outline along the grain at y from the middle line, mm; 0 beyond its edge.
 *
 * @source derived: ellipse, arc of the sides, notches
 */
export function chordAt(top: Outlined, y: number): number {
  const { length, width, outline, bulge, notch } = top;
  const at = Math.abs(y);
  if (at > width / 2 + 1e-9) return 0;
  switch (outline) {
    case "rectangle":
      return length;
    case "points":
      return across(top, y, y);
    case "ellipse":
      return length * Math.sqrt(Math.max(0, 1 - ((2 * at) / width) ** 2));
    case "notched":
      return at > width / 2 - notch.width + 1e-9 ? Math.max(0, length - 2 * notch.length) : length;
    case "soft": {
      if (at <= softEdge(top, length / 2)) return length;
      // √(r² − (r − d)²) at a depth d below the crown, with r written out: no difference of two large numbers is left
      const depth = Math.min(bulge, Math.max(0, width / 2 - at));
      return Math.min(length, 2 * Math.sqrt(((depth / bulge) * length ** 2) / 4 + depth * (bulge - depth)));
    }
  }
}

/** Twice how far an outline by points reaches from the middle in a band across it. */
const across = (top: Outlined, from: number, to: number) => {
  const loop = pointsOf(top);
  return loop ? Math.min(top.length, 2 * reachIn(loop, from, to)) : top.length;
};

/** How long a strip must be that covers the outline from `from` to `to` across it: its chord at the edge nearer the middle, the whole length over the middle. */
export function stripChord(top: Parameters<typeof chordAt>[0], from: number, to: number): number {
  if (top.outline === "points") return across(top, from, to);
  return chordAt(top, from <= 0 && to >= 0 ? 0 : Math.min(Math.abs(from), Math.abs(to)));
}

/** Whether a point lies in the wood that is kept: inside the outline and in no cut-out, at least `margin` mm from every line that is cut. */
export function keptAt(top: Top, x: number, y: number, margin: number): boolean {
  const loop = top.outline === "points" ? pointsOf(top) : null;
  if (loop && !insideLoop(loop, x, y)) return false;
  if (
    (!loop && chordAt(top, y) === 0) ||
    distanceToLoop(outlineOf(top), x, y) < margin ||
    (!loop && Math.abs(x) > chordAt(top, y) / 2)
  )
    return false;
  return top.cutouts.every(
    (cut) => Math.abs(x - cut.x) > cut.length / 2 + margin || Math.abs(y - cut.y) > cut.width / 2 + margin,
  );
}

/** Least distance from a point to a closed line of points. */
export function distanceToLoop(loop: readonly OutlinePoint[], x: number, y: number): number {
  let least = Infinity;
  for (let i = 0; i < loop.length; i += 1) {
    const [[ax, ay], [bx, by]] = [loop[i], loop[(i + 1) % loop.length]];
    const [dx, dy] = [bx - ax, by - ay];
    const along = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(x - ax - along * dx, y - ay - along * dy));
  }
  return least;
}
