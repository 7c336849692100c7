/** What lies in a top seen from above: its field, what stiffens it, what holds it. */
import { standsTo } from "../construction/posts";
import { between } from "../assembly/clip";
import { Spot, straight } from "../assembly/outline";
import { isWhole, slatLines } from "../construction/top/core";
import { outlineOf, shapedTop } from "../construction/top/outline";
import { screwOffsets, slatScrews } from "../construction/top/slat-screws";
import { fixedLine } from "../movement/year";
import type { Piece } from "../piece/schema";
import type { Plan } from "../plan/derived";
import { woodOf } from "../wood/woods";
import { Item, Point, rect, seedOf } from "./scene";

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
  const stretched = (y: number, { front, back }: typeof now) => front + ((y + width / 2) / width) * (back - front);
  const shape = outlined(plan, piece);
  const drawn = (wood: Omit<Wood, "kind" | "x" | "y" | "w" | "h" | "grain">, from: number, to: number): Item[] => {
    const [low, high] = [from, to].map((y) => stretched(y, now));
    const rows = spansOf(at).map(([x, w]): Item => ({
      ...wood,
      kind: "wood",
      grain: "x",
      x,
      w,
      y: low,
      h: high - low,
    }));
    if (!shape) return rows;
    const points = bandOf(shape, from, to).map(([x, y]): Point => [x, stretched(y, now)]);
    return points.length > 2 ? [{ ...wood, kind: "face", grain: 0, points }] : [];
  };
  const items = top.strips.flatMap((strip): Item[] => {
    const ends = [strip.from - width / 2, strip.from + strip.width - width / 2] as const;
    const [from, to] = ends.map((y) => stretched(y, now));
    return [
      ...drawn(
        {
          colour: (strip.kind ? woodOf(woods, strip.kind, species) : species).colour,
          seed: seedOf(strip.board ?? "top"),
          id: strip.board ? `strip:${strip.board}` : "top",
        },
        ...ends,
      ),
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
    items.push(
      ...(shape
        ? [
            {
              kind: "path",
              points: shape.map(([x, y]): Point => [x, stretched(y, where)]),
              closed: true,
              ink: season === "wet" ? "layout" : "hidden",
              id: `outline-${season}`,
            } as Item,
          ]
        : spansOf(at).map(([x, w]): Item => ({
            kind: "rect",
            ...{ x, w, y: where.front, h: where.back - where.front },
            ink: season === "wet" ? "layout" : "hidden",
            id: `outline-${season}`,
          }))),
    );
  return [...items, ...middlePiece(plan)];
}

type Wood = Extract<Item, { kind: "wood" }>;

/** Where what moves across lies along the top, from and how long: whole, or on both sides of a piece whose grain runs across. */
function spansOf({ core: { shoulder }, parting }: Plan["geometry"]): [x: number, w: number][] {
  const middle = parting?.middle ?? 0;
  if (middle === 0) return [[-shoulder / 2, shoulder]];
  const half = (shoulder - middle) / 2;
  return [
    [-shoulder / 2, half],
    [middle / 2, half],
  ];
}

/** A piece between two halves keeps its length: it stays as it is while they go along its edges. */
function middlePiece({ geometry: { core, parting }, species, woods }: Plan): Item[] {
  if (!parting || parting.middle === 0) return [];
  const { middle } = parting;
  return [
    {
      ...{ kind: "wood", x: -middle / 2, y: -core.width / 2, w: middle, h: core.width, grain: "y" },
      ...{ colour: woodOf(woods, "middle-piece", species).colour, seed: seedOf("middle-piece"), id: "middle-piece" },
    },
    { kind: "rect", x: -middle / 2, y: -core.width / 2, w: middle, h: core.width, ink: "outline", id: "middle-piece" },
  ];
}

/** The outline of a top that is no rectangle, from its middle, front below; null where it is one, or is drawn by what holds its ends. */
function outlined({ geometry: at }: Plan, { form }: Piece): Spot[] | null {
  const shaped = shapedTop(form.top, at);
  if (!isWhole(form) || shaped.outline === "rectangle" || at.parting) return null;
  return outlineOf({ ...shaped, length: at.top.length, width: at.top.width });
}

/** What of an outline lies between two lines across it. */
const bandOf = (shape: readonly Spot[], from: number, to: number): Spot[] =>
  between({ outer: straight(shape.map(([x, y]) => [y, x])), holes: [] }, from, to).outer.map(({ at: [y, x] }) => [
    x,
    y + from,
  ]);

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
