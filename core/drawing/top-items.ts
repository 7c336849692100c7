/** What lies in a top seen from above: its field, what stiffens it, what holds it. */
import { standsTo } from "../construction/posts";
import { slatLines } from "../construction/top/core";
import { screwOffsets, slatScrews } from "../construction/top/slat-screws";
import { fixedLine } from "../movement/year";
import type { Piece } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { woodOf } from "../wood/woods";
import { Item, rect, seedOf } from "./scene";

/** Front and back edge of what moves as one, for a change of its width. */
export function edgesAt(
  plan: Plan,
  piece: Piece,
  change: number,
  exaggeration: number,
): { front: number; back: number } {
  const { width } = plan.geometry.core;
  const share = fixedLine(piece.choices.fixedLine, width) / width;
  return { front: -width / 2 - share * change * exaggeration, back: width / 2 + (1 - share) * change * exaggeration };
}

export function panelItems(plan: Plan, piece: Piece, sample: number, exaggeration: number): Item[] {
  const { geometry: at, top, species, woods } = plan;
  const { shoulder, width } = at.core;
  const edges = (change: number) => edgesAt(plan, piece, change, exaggeration);
  const now = edges(top.changes[sample]);
  const stretch = (y: number) => now.front + ((y + width / 2) / width) * (now.back - now.front);
  const items = top.strips.flatMap((strip): Item[] => {
    const [from, to] = [stretch(strip.from - width / 2), stretch(strip.from + strip.width - width / 2)];
    return [
      {
        kind: "wood",
        x: -shoulder / 2,
        y: from,
        w: shoulder,
        h: to - from,
        colour: (strip.kind ? woodOf(woods, strip.kind, species) : species).colour,
        seed: seedOf(strip.board ?? "top"),
        grain: "x",
        id: strip.board ? `strip:${strip.board}` : "top",
      },
      ...(strip.board
        ? [
            {
              kind: "text",
              x: -shoulder / 2 + Math.min(shoulder * 0.1, standsTo(at) + 130),
              y: (from + to) / 2,
              text: strip.board,
              ink: "grain",
              size: 12,
              dy: 4,
            } as Item,
          ]
        : []),
    ];
  });
  for (const [season, where] of [
    ["dry", edges(top.dry.change)],
    ["wet", edges(top.wet.change)],
  ] as const)
    items.push({
      kind: "rect",
      x: -shoulder / 2,
      y: where.front,
      w: shoulder,
      h: where.back - where.front,
      ink: season === "wet" ? "layout" : "hidden",
      id: `outline-${season}`,
    });
  return items;
}

/** Slats, each about its own middle; the rails below show through the gaps. */
export function slatItems(
  { geometry: at, species, top }: Plan,
  piece: Piece,
  now: number,
  exaggeration: number,
): Item[] {
  const bearers = at.bearers.filter((each) => each.run === "across");
  const wide = (change: number) => Math.max(1, at.core.width + change * exaggeration);
  return [
    ...bearers.map((each): Item => {
      const { at: x, thickness, kind } = each;
      return rect({ x: x - thickness / 2, y: -at.frame.width / 2, w: thickness, h: at.frame.width }, "hidden", kind);
    }),
    ...slatLines(piece.form, at).flatMap((y, i): Item[] => [
      {
        kind: "wood",
        x: -at.core.shoulder / 2,
        y: y - wide(now) / 2,
        w: at.core.shoulder,
        h: wide(now),
        colour: species.colour,
        seed: 61 + i,
        grain: "x",
        id: "slat",
      },
      {
        kind: "rect",
        x: -at.core.shoulder / 2,
        y: y - wide(top.wet.change) / 2,
        w: at.core.shoulder,
        h: wide(top.wet.change),
        ink: "layout",
        id: "outline-wet",
      },
    ]),
    ...slatScrews(piece.form, at).flatMap(({ x, z, beside }) =>
      (beside ? [0] : screwOffsets(piece.form)).map((off): Item => ({
        kind: "circle",
        x,
        y: z + off,
        r: 5,
        ink: "peg",
        id: "slat",
      })),
    ),
  ];
}

/** Channels let in, or battens below, with their bolts or screws in their slots. */
export function stiffenerItems({ geometry: at, stiffeners }: Plan, piece: Piece): Item[] {
  if (!stiffeners) return [];
  const steel = stiffeners.kind === "channels";
  const wide = steel ? 32 : piece.form.batten.width;
  const slot = steel ? piece.form.channel.slot : piece.form.batten.slot;
  return stiffeners.x.flatMap((x): Item[] => [
    ...(steel ? [rect({ x: x - 20, y: -stiffeners.groove / 2, w: 40, h: stiffeners.groove }, "hidden", "top")] : []),
    rect(
      { x: x - wide / 2, y: -stiffeners.length / 2, w: wide, h: stiffeners.length },
      steel ? "tool" : "hidden",
      steel ? "top" : "batten",
    ),
    ...stiffeners.bolts.flatMap((bolt): Item[] => [
      ...(bolt.fixed
        ? []
        : [
            {
              kind: "rect",
              x: x - 5,
              y: bolt.at - at.top.width / 2 - slot / 2,
              w: 10,
              h: slot,
              ink: "hole",
              round: 5,
              id: bolt.id,
            } as Item,
          ]),
      { kind: "circle", x, y: bolt.at - at.top.width / 2, r: 5, ink: "peg", id: bolt.id },
    ]),
  ]);
}

export const sign = (n: number) => `${n >= 0 ? "+" : "−"}${Math.abs(n).toFixed(1)}`;
