/** Closed lines of a DXF file: polylines with their bulges, circles, and lines and arcs that meet end to end. */
import DxfParser from "dxf-parser";
import { polygonOf, Spot } from "../assembly/outline";
import { Loops, OutlineFault } from "./outline-loops";

/** From a spot to another: straight, or bowed by so much to the right of the way. */
interface Stretch {
  from: Spot;
  to: Spot;
  rise: number;
}
/** What the parser gives of an entity, as far as it is read here. */
interface Entity {
  type: string;
  vertices?: { x: number; y: number; bulge?: number }[];
  shape?: boolean;
  center?: { x: number; y: number };
  radius?: number;
  startAngle?: number;
  endAngle?: number;
}

/** mm in one of the file's units, by its header's $INSUNITS. @source DXF reference, header section: 1 inches, 2 feet, 4 mm, 5 cm, 6 m */
const UNITS: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };
/** Ends this near, as a share of the drawing, meet. Ours */
const MEETS = 1e-4;
/** Chords are this fine, as a share of the drawing. Ours */
const FINE = 1e-5;
const MOST = 20_000;

export function dxfLoops(text: string): Loops {
  let dxf: { header?: Record<string, unknown>; entities?: Entity[] } | null;
  try {
    dxf = new DxfParser().parseSync(text) as typeof dxf;
  } catch {
    throw new OutlineFault("it is neither SVG nor DXF. Save the outline as one of them, and choose it again.");
  }
  const entities = dxf?.entities ?? [];
  if (entities.length > MOST)
    throw new OutlineFault("it holds thousands of lines. Save only the outline, and choose it again.");
  const stretches: Stretch[] = [];
  const closed: Stretch[][] = [];
  const other = new Set<string>();
  for (const entity of entities) {
    const [lines, whole] = linesOf(entity);
    if (lines === null) other.add(entity.type.toLowerCase());
    else if (whole) closed.push(lines);
    else stretches.push(...lines);
  }
  const size = Math.max(...[...stretches, ...closed.flat()].map(({ from: [x, y] }) => Math.abs(x) + Math.abs(y)), 1e-9);
  const { loops, open } = chained(stretches, size * MEETS);
  const units = Number(dxf?.header?.$INSUNITS ?? 0);
  return {
    loops: [...closed, ...loops].map((loop) => drawn(loop, size * FINE)),
    open,
    scale: UNITS[units] ?? null,
    said: other.size > 0 ? [`What is no line or arc is left out: ${[...other].join(", ")}.`] : [],
  };
}

/** An entity as lines and arcs, and whether they are a closed line already; null for what is neither. */
function linesOf({ type, vertices, shape, center, radius, startAngle, endAngle }: Entity): [Stretch[] | null, boolean] {
  switch (type) {
    case "LINE":
      return [stretchesOf(vertices ?? [], false), false];
    case "LWPOLYLINE":
    case "POLYLINE":
      return [stretchesOf(vertices ?? [], shape === true), shape === true];
    case "CIRCLE": {
      if (!center || !radius) return [[], false];
      const [left, right]: Spot[] = [
        [center.x - radius, center.y],
        [center.x + radius, center.y],
      ];
      return [
        [
          { from: left, to: right, rise: radius },
          { from: right, to: left, rise: radius },
        ],
        true,
      ];
    }
    case "ARC": {
      if (!center || !radius || startAngle === undefined || endAngle === undefined) return [[], false];
      const sweep = (endAngle - startAngle + 4 * Math.PI) % (2 * Math.PI);
      const halves = [0, 1].map((i): Stretch => {
        const on = (share: number): Spot => [
          center.x + radius * Math.cos(startAngle + sweep * share),
          center.y + radius * Math.sin(startAngle + sweep * share),
        ];
        return { from: on(i / 2), to: on((i + 1) / 2), rise: radius * (1 - Math.cos(sweep / 4)) };
      });
      return [halves, false];
    }
    default:
      return [null, false];
  }
}

/** @source a bulge is the tangent of a quarter of the arc's angle: its rise over half its chord, anticlockwise where it is positive */
function stretchesOf(vertices: readonly { x: number; y: number; bulge?: number }[], closed: boolean): Stretch[] {
  const ends = closed ? vertices.length : vertices.length - 1;
  return Array.from({ length: Math.max(0, ends) }, (_, i) => {
    const [a, b] = [vertices[i], vertices[(i + 1) % vertices.length]];
    return {
      ...{ from: [a.x, a.y] as Spot, to: [b.x, b.y] as Spot },
      rise: ((a.bulge ?? 0) * Math.hypot(b.x - a.x, b.y - a.y)) / 2,
    };
  });
}

/** Lines and arcs put end to end, whichever way each was drawn. */
function chained(all: readonly Stretch[], near: number): { loops: Stretch[][]; open: number } {
  const meets = (a: Spot, b: Spot) => Math.hypot(a[0] - b[0], a[1] - b[1]) <= near;
  let left = all.filter(({ from, to }) => !meets(from, to));
  const loops: Stretch[][] = [];
  let open = 0;
  while (left.length > 0) {
    const chain = [left[0]];
    left = left.slice(1);
    for (;;) {
      const end = chain[chain.length - 1].to;
      if (chain.length > 1 && meets(end, chain[0].from)) {
        loops.push(chain);
        break;
      }
      const next = left.findIndex(({ from, to }) => meets(from, end) || meets(to, end));
      if (next < 0) {
        open += 1;
        break;
      }
      const one = left[next];
      chain.push(meets(one.from, end) ? one : { from: one.to, to: one.from, rise: -one.rise });
      left = [...left.slice(0, next), ...left.slice(next + 1)];
    }
  }
  return { loops, open };
}

const drawn = (loop: readonly Stretch[], fine: number): Spot[] =>
  polygonOf(
    loop.map(({ from, rise }) => ({ at: from, rise })),
    fine,
  );
