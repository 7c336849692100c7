/** What a maker of metal is sent: one leg or frame from the end and from the side, its plate from above with every hole. */
import { dimension, Item, line, Point, rect, Scene, shifted } from "../../../drawing/scene";
import { holesIn } from "./place";
import type { Bought } from "./stand";
import { weldedScene } from "./welded-order";

export function orderScene(at: Bought): Scene {
  if (at.welded) return weldedScene(at.welded);
  const { choices, height } = at;
  const { plate, bar, width, kind, spread } = choices;
  const [half, long] = [plate.width / 2, plate.length];
  const { along, across } = holesIn(choices);
  const foot = kind === "hairpins" ? bar : width;
  const end: Item[] = [
    rect({ x: -half, y: height, w: plate.width, h: plate.thickness }, "outline", "bought-leg"),
    ...(kind === "frames"
      ? frame(width, height, bar)
      : kind === "hairpins"
        ? pins(height, bar, spread)
        : column(width, height, bar)),
    line(
      [
        [-Math.max(half, foot / 2) - 40, 0],
        [Math.max(half, foot / 2) + 40, 0],
      ],
      "faint",
    ),
    dimension([Math.max(half, foot / 2), height + plate.thickness], [Math.max(half, foot / 2), 0], {
      offset: 22,
      value: height + plate.thickness,
    }),
    dimension([-foot / 2, 0], [foot / 2, 0], { offset: -18, value: foot }),
    dimension([-half, height + plate.thickness], [half, height + plate.thickness], { offset: 16, value: plate.width }),
  ];
  const aside = Math.max(half, foot / 2) + 190 + half;
  const above: Item[] = [
    rect({ x: -half, y: 0, w: plate.width, h: long }, "outline", "bought-leg"),
    ...along.flatMap((x) =>
      across.map((z): Item => ({ kind: "circle", x: z - half, y: x, r: 6, ink: "hole", id: "bought-leg" })),
    ),
    ...(across.length > 1
      ? [dimension([across[0] - half, 0], [across[1] - half, 0], { offset: -18, value: across[1] - across[0] })]
      : []),
    dimension([-half, 0], [across[0] - half, 0], { offset: -18, value: across[0] }),
    dimension([half, long], [half, 0], { offset: 18, value: long }),
  ];
  return {
    id: "order",
    title: `Order drawing: ${at.stands.length} times, ${Math.round(height + plate.thickness)} mm high with its plate.`,
    bounds: {
      x: -Math.max(half, foot / 2),
      y: 0,
      w: Math.max(half, foot / 2) + aside + half,
      // with a top measured as thick as the whole is high nothing is left: it is drawn all the same
      h: Math.max(1, height + plate.thickness),
    },
    margin: [36, 60, 44, 24],
    items: [...end, ...above.map((item) => shifted(item, aside))],
  };
}

const closed = (points: Point[]): Item => ({ kind: "path", points, closed: true, ink: "outline", id: "bought-leg" });

function frame(width: number, height: number, bar: number): Item[] {
  const half = width / 2;
  const loop = (inset: number): Point[] => [
    [-half + inset, inset],
    [half - inset, inset],
    [half - inset, height - inset],
    [-half + inset, height - inset],
  ];
  return [closed(loop(0)), closed(loop(Math.min(bar, width / 3, height / 3)))];
}
const pins = (height: number, bar: number, spread: number): Item[] =>
  [-1, 1].map((side) =>
    closed([
      [spread, 0],
      [spread + bar, 0],
      [side * 40 + bar, height],
      [side * 40, height],
    ]),
  );
const column = (width: number, height: number, bar: number): Item[] => [
  rect({ x: -width / 2, y: 0, w: width, h: Math.min(20, height / 4) }, "outline", "bought-leg"),
  rect(
    { x: -bar / 2, y: Math.min(20, height / 4), w: bar, h: height - Math.min(20, height / 4) },
    "outline",
    "bought-leg",
  ),
];
