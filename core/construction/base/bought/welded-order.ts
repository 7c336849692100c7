/** What a welder is sent: the frame from the front, from the end, and its ring from above with every hole. */
import { dimension, Item, line, rect, Scene, shifted } from "../../../drawing/scene";
import type { Welded } from "./welded";

const ID = "bought-leg";
/** Between two views, mm. */
const APART = 260;

export function weldedScene(at: Welded): Scene {
  const { length, width, under, bar } = at;
  const views = [front(at), end(at), above(at)];
  const wide = [length, width, length];
  let from = 0;
  const items = views.flatMap((view, i) => {
    const middle = from + wide[i] / 2;
    from += wide[i] + APART;
    return view.map((item) => shifted(item, middle));
  });
  return {
    id: "order",
    title: `Order drawing: a frame ${Math.round(length)} by ${Math.round(width)} mm and ${Math.round(under)} mm high, of square tube ${Math.round(bar)} mm.`,
    bounds: { x: 0, y: 0, w: from - APART, h: Math.max(1, under, width) },
    margin: [30, 60, 40, 44],
    items,
  };
}

const tube = (x: number, y: number, w: number, h: number): Item => rect({ x, y, w, h }, "outline", ID);

function front({ length, under, bar }: Welded): Item[] {
  const half = length / 2;
  return [
    tube(-half, under - bar, length, bar),
    ...[-half, half - bar].map((x) => tube(x, 0, bar, Math.max(1, under - bar))),
    dimension([-half, under], [half, under], { offset: 16, value: length }),
    dimension([-half, under], [-half, 0], { offset: -22, value: under }),
  ];
}

function end({ width, under, bar, sled }: Welded): Item[] {
  const half = width / 2;
  return [
    tube(-half, under - bar, width, bar),
    ...[-half, half - bar].map((x) => tube(x, 0, bar, Math.max(1, under - bar))),
    ...(sled ? [tube(bar - half, 0, Math.max(1, width - 2 * bar), bar)] : []),
    dimension([-half, under], [half, under], { offset: 16, value: width }),
    dimension([half - bar, 0], [half, 0], { offset: -18, value: bar }),
  ];
}

/** The ring with its mitres, tubes across it, holes through those; across it its lower edge is the front. */
function above({ length, width, bar, cross, holes }: Welded): Item[] {
  const half = length / 2;
  const y = (z: number) => width / 2 - z;
  const mitres = [-1, 1].flatMap((x) =>
    [0, width].map((up) =>
      line(
        [
          [x * half, up],
          [x * (half - bar), up === 0 ? bar : width - bar],
        ],
        "outline",
      ),
    ),
  );
  const [first, second] = holes;
  return [
    tube(-half, 0, length, width),
    tube(bar - half, bar, Math.max(1, length - 2 * bar), Math.max(1, width - 2 * bar)),
    ...mitres,
    ...cross.slice(1, -1).map((x) => tube(x - bar / 2, bar, bar, Math.max(1, width - 2 * bar))),
    ...cross.flatMap((x) => holes.map((z): Item => ({ kind: "circle", x, y: y(z), r: 6, ink: "hole", id: ID }))),
    ...(second === undefined
      ? []
      : [dimension([half, y(first)], [half, y(second)], { offset: 18, value: Math.abs(second - first) })]),
    ...(cross.length > 2 ? [dimension([cross[0], 0], [cross[1], 0], { offset: -18, value: cross[1] - cross[0] })] : []),
  ];
}
