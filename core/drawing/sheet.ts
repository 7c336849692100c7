/** A sheet with what is cut from it: strips numbered in the order they are cut, each part with its mark and its size. */
import { SHEETS } from "../assembly/material";
import { EDGE, SheetPlan, takes } from "../layout/sheets";
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
            {
              kind: "text",
              x: piece.x + piece.along / 2,
              y: piece.y + piece.across / 2,
              text: `${piece.mark}: ${Math.round(piece.length * 2) / 2} by ${Math.round(piece.width * 2) / 2} mm`,
              anchor: "middle",
              size: 13,
              dy: 4,
            },
          ]),
      ),
      ...cuts.flat(),
      dimension([0, 0], [sold.length, 0], { offset: -14, value: sold.length }),
      dimension([0, 0], [0, sold.width], { offset: 16, value: sold.width }),
    ],
  };
}
