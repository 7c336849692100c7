import { standsTo } from "../construction/posts";
import { asTop, onBlank, topMiddle } from "../panels/row";
import { inlayItems, rowItems, stripItems } from "./panel-marks";
import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import { outlineOf, shapedTop } from "../construction/top/outline";
import { alignmentPlaces } from "../glueup/alignment";
import type { Shop } from "../piece/shop";
import { Board, edgeLoss, narrowest, RackBoard } from "../stock/board";
import { dimension, Item, line, rect, Scene, seedOf } from "./scene";

/** The pencilled triangle over all strips: it stands on the front edge, and lies right only when every strip does. */
function triangle(length: number, width: number): Item {
  const middle = 0.7 * length;
  const half = Math.min(0.1 * length, 0.3 * width);
  return {
    kind: "path",
    points: [
      [middle - half, 0.04 * width],
      [middle + half, 0.04 * width],
      [middle, 0.96 * width],
    ],
    closed: true,
    ink: "faint",
    id: "triangle",
  };
}

/** The panel as it is laid out of real boards: what is kept, what is trimmed, defects, legs below. Front edge at the bottom. */
export function panelScene(plan: Plan, piece: Piece, shop: Shop): Scene {
  const { geometry: at, species, panel } = plan;
  const { length, width } = at.core;
  // the panel within its end boards or frame: what lies below it is placed from the finished top
  const [dx, dy] = [(length - at.top.length) / 2, (width - at.top.width) / 2];
  const items: Item[] = [];
  const written = standsTo(asTop(at)) + 40;
  let [left, right] = [0, length];
  for (const laid of panel.laid) {
    // turned end for end, what was left of the strip on its board lies right of it
    const before = laid.strip.slide + shop.lengthAllowance / 2;
    const start = laid.at - (laid.strip.turned ? laid.board.length - before - laid.length : before);
    const end = start + laid.board.length;
    const [from, to] = [laid.at, laid.at + laid.length];
    [left, right] = [Math.min(left, start), Math.max(right, end)];
    const y = laid.from;
    if (start < from) items.push({ kind: "hatch", x: start, y, w: from - start, h: laid.width });
    if (end > to) items.push({ kind: "hatch", x: to, y, w: end - to, h: laid.width });
    items.push({
      kind: "wood",
      x: Math.max(from, start),
      y,
      w: Math.max(1, Math.min(to, end) - Math.max(from, start)),
      h: laid.width,
      colour: species.colour,
      seed: seedOf(laid.board.id),
      grain: "x",
      id: `strip:${laid.board.id}`,
      label: `${laid.board.id}, ${Math.round(laid.width)} mm wide`,
    });
    for (const d of laid.board.defects) items.push(...defectOnStrip(d, laid, start, shop));
    const label = Math.max(written, laid.at + written / 2);
    items.push({ kind: "text", x: label, y: y + laid.width / 2, text: laid.board.id, ink: "ink", size: 13, dy: 4 });
    items.push({
      kind: "text",
      x: label,
      y: y + laid.width / 2,
      text: `${Math.round(laid.width)} mm wide, bark ${laid.strip.face === "bark-up" ? "up" : "down"}${laid.strip.turned ? ", turned" : ""}${piece.panels.top.pinned.includes(laid.board.id) ? ", pinned" : ""}`,
      ink: "grain",
      size: 13,
      dx: 38,
      dy: 4,
    });
  }
  if (panel.laid.length === 0) items.push(rect({ x: 0, y: 0, w: length, h: width }, "hidden", "top"));
  else items.push(triangle(length, width));
  const top = shapedTop(piece.form.top, at);
  if (length === at.top.length) {
    if (top.outline !== "rectangle")
      items.push({
        kind: "path",
        points: outlineOf({ ...top, length, width }).map(([x, y]) => [x + length / 2, y + width / 2]),
        closed: true,
        ink: "cut",
        id: "outline",
      });
    for (const cut of top.cutouts)
      items.push({
        kind: "rect",
        x: length / 2 + topMiddle(at) + cut.x - cut.length / 2,
        y: width / 2 + cut.y - cut.width / 2,
        w: cut.length,
        h: cut.width,
        ink: "hole",
        id: "cutout",
        label: cut.name,
      });
  }
  if (piece.form.field !== "slats") items.push(...inlayItems(top, { x: length / 2 + topMiddle(at), y: width / 2 }));
  if (at.row) items.push(...rowItems(at.row, { length, width }));
  if (at.inserted && at.wideOf) items.push(...stripItems(at.inserted, { length }));
  for (const aid of alignmentPlaces(panel.laid, at, piece))
    items.push({
      kind: "rect",
      x: aid.x + length / 2 - 20,
      y: aid.y - 5,
      w: 40,
      h: 10,
      ink: "tool",
      id: "alignment",
      round: 3,
    });
  for (const { x: along, z, length: long, width: wide } of at.posts) {
    // legs lie below the halves, wherever those lie in their blank
    const x =
      at.blankOf !== undefined && at.parting ? onBlank({ row: at.row!, top: { length: at.blankOf } }, along) : along;
    if (x === null) continue;
    items.push(
      rect(
        { x: x + at.top.length / 2 - long / 2 + dx, y: z + at.top.width / 2 - wide / 2 + dy, w: long, h: wide },
        "layout",
        "leg",
      ),
    );
  }
  items.push(
    dimension([0, width], [length, width], {
      offset: 16,
      value: length,
      edit: length === piece.form.top.length ? { path: ["form", "top", "length"], name: "Top length" } : undefined,
    }),
  );
  return {
    id: "panel",
    title: `The panel from ${panel.laid.length} boards, front edge below: ${panel.laid.map((each) => `${each.board.id} ${Math.round(each.width)} mm`).join(", ")}.`,
    bounds: { x: left, y: 0, w: right - left, h: width },
    margin: [34, 6, 6, 6],
    items,
  };
}

/** A defect where it comes to lie on a strip that may be turned or flipped; nothing when it was ripped off. */
function defectOnStrip(
  d: Board["defects"][number],
  { board, strip, across, full, width, from }: Plan["panel"]["laid"][number],
  start: number,
  shop: Shop,
): Item[] {
  const low = d.y - across - edgeLoss(board, shop);
  const [a, b] = [Math.max(0, low), Math.min(full, low + d.width)];
  if (b - a < 1) return [];
  const mirrored = strip.turned !== (strip.face === "bark-down");
  // what is over comes off the outer strips where they meet the panel's edge
  const spare = full - width;
  const y = from + Math.min(Math.max(0, width - (b - a)), Math.max(0, (mirrored ? full - b : a) - spare / 2));
  return defectItems({ ...d, x: start + (strip.turned ? board.length - d.x - d.length : d.x), y, width: b - a });
}

/** One board of the rack, to scale with every other. */
export function boardScene(
  board: Board,
  colour: [string, string],
  { longest, widest, pale, kept = [] }: { longest: number; widest: number; pale: boolean; kept?: RackBoard["held"] },
): Scene {
  const end = board.widthEnd ?? board.width;
  const items: Item[] =
    end === board.width
      ? [
          {
            kind: "wood",
            x: 0,
            y: 0,
            w: board.length,
            h: board.width,
            colour,
            seed: seedOf(board.id),
            grain: "x",
            pale,
            id: `board:${board.id}`,
          },
        ]
      : [
          {
            kind: "wood",
            x: 0,
            y: 0,
            w: board.length,
            h: narrowest(board),
            colour,
            seed: seedOf(board.id),
            grain: "x",
            pale,
            id: `board:${board.id}`,
          },
          {
            kind: "path",
            points: [
              [0, 0],
              [board.length, 0],
              [board.length, end],
              [0, board.width],
            ],
            closed: true,
            ink: "hidden",
          },
        ];
  for (const d of board.defects) items.push(...defectItems(d));
  for (const { from, to } of kept)
    items.push({
      kind: "rect",
      x: from,
      y: 0,
      w: Math.max(1, (to ?? board.length) - from),
      h: narrowest(board),
      ink: "wash",
    });
  return {
    id: `rack-${board.id}`,
    title: `${board.id}: ${board.length} by ${board.width} by ${board.thickness} mm`,
    bounds: { x: 0, y: 0, w: longest, h: widest },
    margin: [1, 1, 1, 1],
    items,
  };
}

/** A defect as it is drawn on its board, or wherever it has been moved to. */
export function defectItems(d: { kind: string; x: number; y: number; length: number; width: number }): Item[] {
  const [cx, cy] = [d.x + d.length / 2, d.y + d.width / 2];
  if (d.kind === "check" || d.kind === "split")
    return [
      line(
        [
          [d.x, cy],
          [d.x + d.length * 0.4, cy + d.width * 0.2],
          [d.x + d.length, cy - d.width * 0.1],
        ],
        "peg",
      ),
    ];
  if (d.kind === "knot")
    return [
      { kind: "circle", x: cx, y: cy, r: Math.min(d.length, d.width) / 2, ink: "peg" },
      { kind: "circle", x: cx, y: cy, r: Math.min(d.length, d.width) * 0.8, ink: "fix" },
    ];
  return [{ kind: "hatch", x: d.x, y: d.y, w: d.length, h: d.width }];
}
