/** A sheet with what is cut from it: strips numbered in the order they are cut, each part with its mark and its size. */
import { SHEET_EDGE as EDGE, SHEETS } from "../assembly/material";
import { LaidPiece, SheetPlan, takes } from "../layout/sheets";
import { dimension, Item, line, Scene, seedOf } from "./scene";

export function sheetScene({ material, thickness, sold, sheets }: SheetPlan, n: number): Scene {
  const { name, colour } = SHEETS[material];
  const { way, strips } = sheets[n];
  const inner = { length: sold.length - EDGE, width: sold.width - EDGE };
  const cuts = strips.map(({ from, width }, i): Item[] => {
    const at = from + width;
    const last = way === "along" ? at > inner.width - 1 : at > inner.length - 1;
    if (last) return [];
    return [
      way === "along"
        ? line(
            [
              [0, at],
              [sold.length, at],
            ],
            "layout",
          )
        : line(
            [
              [at, 0],
              [at, sold.width],
            ],
            "layout",
          ),
      {
        kind: "text",
        ...(way === "along" ? { x: sold.length, y: at, dx: 6, dy: 4 } : { x: at, y: sold.width, dx: -4, dy: -6 }),
        text: String(i + 1),
        ink: "layout",
        size: 13,
      },
    ];
  });
  return {
    id: `sheet-${material}-${thickness}-${n}`,
    title: `${name} of ${thickness} mm, sheet ${n + 1} of ${sheets.length}: ${strips.length} strips ${way} it, ${strips.reduce((sum, { pieces }) => sum + pieces.length, 0)} parts.`,
    bounds: { x: 0, y: 0, w: sold.length, h: sold.width },
    margin: [18, 40, 26, 46],
    items: [
      {
        ...{ kind: "wood", x: 0, y: 0, w: sold.length, h: sold.width, colour, seed: seedOf(material), grain: "x" },
        pale: true,
      },
      ...strips.flatMap(({ pieces }) =>
        pieces
          .map((piece) => ({ ...piece, ...takes(piece) }))
          .flatMap((piece): Item[] => [
            { kind: "rect", x: piece.x, y: piece.y, w: piece.along, h: piece.across, ink: "wash", id: piece.part },
            ...named(piece, sold.length),
          ]),
      ),
      ...cuts.flat(),
      dimension([0, 0], [sold.length, 0], { offset: -14, value: sold.length }),
      dimension([0, 0], [0, sold.width], { offset: 16, value: sold.width }),
    ],
  };
}

/** A word of so many letters is about so much of a sheet's length, and a line of them so high. */
const ROOM = { letter: 0.02, line: 0.055 };

/** A part's mark, and under it or beside it its size, where there is room: the list below has it too. */
function named(piece: LaidPiece & ReturnType<typeof takes>, whole: number): Item[] {
  const size = [piece.length, piece.width].map((each) => Math.round(each * 2) / 2).join(" by ");
  const fits = (text: string, lines: number) =>
    piece.along > text.length * ROOM.letter * whole && piece.across > lines * ROOM.line * whole;
  const one = `${piece.mark}: ${size} mm`;
  const lines = fits(one, 1) ? [one] : fits(size, 2) ? [piece.mark, size] : [piece.mark];
  return lines.map((text, i): Item => ({
    ...{ kind: "text", text, anchor: "middle", size: i > 0 ? 11 : 13 },
    ...{ x: piece.x + piece.along / 2, y: piece.y + piece.across / 2 },
    dy: 4 + (i - (lines.length - 1) / 2) * 15,
  }));
}
