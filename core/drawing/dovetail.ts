/** A row of dovetails: from the face of the tails' board, its pins to be moved; and as strips of paper to mark it from, full size. */
import { Dovetail, SLOPES, tailsAt } from "../joinery/dovetail";
import { dimension, Item, line, Point, rect, Scene } from "./scene";

/** The name of a pin that can be moved, and which it is; null for anything else. */
export const pinId = (i: number) => `pin ${i}`;
export const readPin = (id: string): number | null => (/^pin \d+$/.test(id) ? Number(id.slice(4)) : null);

/** So much of the board is drawn behind its shoulder, as a share of the tails' length; a pin is drawn no narrower than a finger finds. */
const BEHIND = 1.2;

/** The tails as their board has them: its lower edge at the left, its end above. */
export function dovetailScene(joint: Dovetail): Scene {
  const { section, length, slope, pins, pin, half, group } = joint;
  const splay = length * SLOPES[slope];
  const behind = length * BEHIND;
  const edit = (what: string, ...path: string[]) => ({ path: ["joints", "dovetails", group, ...path], name: what });
  const between = (from: number, to: number): Point[] => [
    [from, length],
    [to, length],
    [to + splay, 0],
    [from - splay, 0],
  ];
  const tails: Item[] = tailsAt(joint).map(({ from, to }) => ({
    kind: "path",
    points: [
      [from + splay, 0],
      [from, length],
      [to, length],
      [to - splay, 0],
    ],
    closed: true,
    ink: "paper",
  }));
  return {
    id: "dovetails",
    title: `${joint.name}: ${joint.tails} tails in ${Math.round(section.width)} mm.`,
    bounds: { x: 0, y: -behind, w: section.width, h: length + behind },
    margin: [44, 30, 34, 30],
    items: [
      rect({ x: 0, y: -behind, w: section.width, h: behind }, "paper"),
      ...tails,
      line(
        [
          [0, 0],
          [section.width, 0],
        ],
        "layout",
      ),
      ...pins.map((middle, i): Item => ({
        ...{ kind: "path", points: between(middle - pin / 2, middle + pin / 2), closed: true, ink: "wash" },
        id: pinId(i),
        label: `Pin ${i + 1}: move it`,
      })),
      ...pins.map((middle, i) => {
        const before = i === 0 ? 0 : pins[i - 1];
        const name = i === 0 ? "Middle of pin 1" : `Pin ${i + 1} after pin ${i}`;
        return dimension([before, -behind], [middle, -behind], {
          offset: -16,
          value: middle - before,
          edit: edit(name, "middles", String(i)),
        });
      }),
      dimension([0, length], [half, length], { offset: 16, value: half, edit: edit("Half pin", "half") }),
      ...(pins.length > 0
        ? [
            dimension([pins[0] - pin / 2, length], [pins[0] + pin / 2, length], {
              offset: 16,
              value: pin,
              edit: edit("Pin at its narrow side", "pin"),
            }),
          ]
        : []),
      dimension([section.width, 0], [section.width, length], { offset: 16, value: length }),
    ],
  };
}

/** A strip of paper with a stretch of the row: from and to along it, each tail’s slopes as lines on it. mm */
export interface Strip {
  from: number;
  to: number;
  lines: [Point, Point][];
}

/** The longest a strip gets on a sheet of A4 with its margins, and how much two share so that they can be glued together. mm */
const SHEET = { longest: 180, lap: 20 };

/** The whole row as strips, each a sheet's width at most, overlapping their neighbours; x along the row, y from the shoulder to the end. */
export function stripsOf(joint: Dovetail): Strip[] {
  const { section, length, slope } = joint;
  const splay = length * SLOPES[slope];
  const all = tailsAt(joint).flatMap(({ from, to }): [Point, Point][] => [
    [
      [from + splay, 0],
      [from, length],
    ],
    [
      [to - splay, 0],
      [to, length],
    ],
  ]);
  const step = SHEET.longest - SHEET.lap;
  const count = Math.max(1, Math.ceil((section.width - SHEET.lap) / step));
  return Array.from({ length: count }, (_, i) => {
    const from = i * step;
    const to = Math.min(section.width, from + SHEET.longest);
    const lines = all.filter(([a, b]) => Math.min(a[0], b[0]) >= from - 1e-9 && Math.max(a[0], b[0]) <= to + 1e-9);
    return { from, to, lines };
  });
}
