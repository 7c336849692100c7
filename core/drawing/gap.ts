/** Gaps that close and open with the year, to scale: between two slats, behind a panel in its groove. */
import type { Plan } from "../plan/derived";
import type { Piece } from "../piece/schema";
import type { Item, Scene } from "./scene";

/** How far something has gone, with its sign, mm. */
export const word = (n: number) => `${n >= 0 ? "+" : "−"}${Math.abs(n).toFixed(1)}`;

/** Two slats from their ends, and the gap between them. */
export function slatGap({ geometry: at, species, top }: Plan, piece: Piece, moved: number, day: string): Scene {
  const gap = piece.form.slats.gap - moved;
  const half = Math.min(at.core.width / 2, 30);
  const { thickness } = at.core;
  const items: Item[] = [
    {
      kind: "rings",
      x: -half - gap / 2,
      y: 0,
      w: half,
      h: thickness,
      colour: species.colour,
      left: -15,
      right: 20,
      barkUp: true,
      id: "slat",
    },
    {
      kind: "rings",
      x: gap / 2,
      y: 0,
      w: half,
      h: thickness,
      colour: species.colour,
      left: -20,
      right: 15,
      barkUp: true,
      id: "slat",
    },
  ];
  if (gap > 0.05)
    items.push({ kind: "dimension", from: [-gap / 2, 0], to: [gap / 2, 0], offset: -14, value: gap, fine: true });
  else items.push({ kind: "text", x: 0, y: thickness / 2, text: "they meet", anchor: "middle", dy: 4 });
  return {
    id: "close-up",
    title: `The gap between two slats in ${day}: ${Math.max(0, gap).toFixed(1)} mm; each slat is ${word(moved)} mm from today's ${top.width.toFixed(0)} mm.`,
    bounds: { x: -half - 6, y: 0, w: 2 * half + 12, h: thickness },
    margin: [4, 8, 40, 8],
    items,
  };
}

/** The panel's edge in its groove, cut across. */
export function panelInGroove({ species }: Plan, piece: Piece, moved: number, day: string): Scene {
  const { groove, gap } = piece.form.frame;
  const room = gap - moved;
  const high = 22;
  const items: Item[] = [
    {
      kind: "wood",
      x: -6,
      y: -high,
      w: groove + 26,
      h: 2 * high,
      colour: species.colour,
      seed: 12,
      grain: "y",
      pale: true,
      id: "frame-long",
    },
    { kind: "rect", x: -6, y: -7, w: groove + 6, h: 14, ink: "void" },
    {
      kind: "wood",
      x: -40,
      y: -6.6,
      w: 40 + groove - room,
      h: 13.2,
      colour: species.colour,
      seed: 5,
      grain: "x",
      id: "top",
    },
  ];
  if (room > 0.05)
    items.push({
      kind: "dimension",
      from: [groove - room, -high],
      to: [groove, -high],
      offset: -12,
      value: room,
      fine: true,
    });
  else items.push({ kind: "text", x: groove / 2, y: 0, text: "pushes", dy: 4, anchor: "middle" });
  return {
    id: "close-up",
    title: `The panel in its groove in ${day}: ${Math.max(0, room).toFixed(1)} mm free beyond it, ${(groove - room).toFixed(1)} mm of edge in.`,
    bounds: { x: -40, y: -high, w: groove + 60, h: 2 * high },
    margin: [4, 8, 40, 8],
    items,
  };
}
