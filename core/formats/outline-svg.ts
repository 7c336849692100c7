/** Closed lines of an SVG file: paths, polygons, rectangles, circles and ellipses, each with all that is laid on it from outside. */
import { XMLParser } from "fast-xml-parser";
import svgpath from "svgpath";
import type { Spot } from "../assembly/outline";
import { Loops, OutlineFault } from "./outline-loops";

/** Elements under elements, as the parser gives them. */
interface Element {
  name: string;
  read: Record<string, string>;
  inside: Element[];
}

/** A curve is drawn by so many chords: within 0.02 mm on a bow of a metre. Ours */
const CHORDS = 64;
/** What a file may hold. Ours */
const MOST = { shapes: 2000, spots: 200_000 };
/** What is never drawn. */
const UNDRAWN = /^(defs|clippath|mask|symbol|marker|pattern|title|desc|metadata|style)$/i;

export function svgLoops(text: string): Loops {
  const svg = rootOf(text);
  const found: { loops: Spot[][]; open: number; shapes: number; spots: number } = {
    loops: [],
    open: 0,
    shapes: 0,
    spots: 0,
  };
  walk(svg, [], found);
  return {
    loops: found.loops,
    open: found.open,
    scale: scaleOf(svg.read),
    said: [],
  };
}

function rootOf(text: string): Element {
  const parser = new XMLParser({
    ...{ ignoreAttributes: false, attributeNamePrefix: "", preserveOrder: true, processEntities: false },
    ...{ parseTagValue: false, parseAttributeValue: false },
  });
  let nodes: unknown;
  try {
    nodes = parser.parse(text);
  } catch {
    throw new OutlineFault("it can’t be read as SVG. Save it again as plain SVG, and choose it.");
  }
  const svg = elementsOf(nodes).find(({ name }) => /(^|:)svg$/i.test(name));
  if (!svg) throw new OutlineFault("it can’t be read as SVG. Save it again as plain SVG, and choose it.");
  return svg;
}

function elementsOf(nodes: unknown): Element[] {
  if (!Array.isArray(nodes)) return [];
  return nodes.flatMap((node: Record<string, unknown>): Element[] => {
    const name = Object.keys(node).find((key) => key !== ":@");
    if (name === undefined || name === "#text" || name.startsWith("?")) return [];
    const read = (node[":@"] ?? {}) as Record<string, string>;
    return [{ name, read, inside: elementsOf(node[name]) }];
  });
}

/** mm in one unit of the drawing, by its own size: only units that are lengths say one. */
function scaleOf({ width, viewBox }: Record<string, string>): number | null {
  const size = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(width ?? "");
  if (!size) return null;
  const each = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6 }[size[2] as "mm" | "cm" | "in" | "pt" | "pc"];
  const box = (viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const units = box.length === 4 && box[2] > 0 ? box[2] : null;
  // without a view box its units are those of the screen
  return units === null ? 25.4 / 96 : (Number(size[1]) * each) / units;
}

function walk(
  { name, read, inside }: Element,
  outer: readonly string[],
  found: { loops: Spot[][]; open: number; shapes: number; spots: number },
): void {
  if (UNDRAWN.test(name) || /display\s*:\s*none/.test(read.style ?? "") || read.display === "none") return;
  const turned = read.transform ? [read.transform, ...outer] : outer;
  const path = pathOf(name, read);
  if (path !== null) {
    found.shapes += 1;
    if (found.shapes > MOST.shapes)
      throw new OutlineFault("it holds thousands of shapes. Save only the outline, and choose it again.");
    for (const { spots, closed } of strokesOf(turned.reduce((each, by) => each.transform(by), svgpath(path)))) {
      found.spots += spots.length;
      if (found.spots > MOST.spots)
        throw new OutlineFault("its lines have too many points. Save only the outline, and choose it again.");
      if (closed) found.loops.push(spots);
      else found.open += 1;
    }
  }
  for (const each of inside) walk(each, turned, found);
}

/** The path that draws an element; null for what draws none. */
function pathOf(name: string, read: Record<string, string>): string | null {
  const n = (key: string) => Number.parseFloat(read[key] ?? "0") || 0;
  switch (name.replace(/^.*:/, "").toLowerCase()) {
    case "path":
      return read.d ?? null;
    case "polygon":
      return read.points ? `M${read.points}Z` : null;
    case "polyline":
      return read.points ? `M${read.points}` : null;
    case "rect": {
      const [x, y, w, h] = [n("x"), n("y"), n("width"), n("height")];
      const [a, b] = [Math.min(n("rx") || n("ry"), w / 2), Math.min(n("ry") || n("rx"), h / 2)];
      if (!(w > 0 && h > 0)) return null;
      return a > 0 && b > 0
        ? `M${x + a} ${y}H${x + w - a}A${a} ${b} 0 0 1 ${x + w} ${y + b}V${y + h - b}A${a} ${b} 0 0 1 ${x + w - a} ${y + h}H${x + a}A${a} ${b} 0 0 1 ${x} ${y + h - b}V${y + b}A${a} ${b} 0 0 1 ${x + a} ${y}Z`
        : `M${x} ${y}h${w}v${h}h${-w}Z`;
    }
    case "circle":
    case "ellipse": {
      const [a, b] = [n("rx") || n("r"), n("ry") || n("r")];
      return a > 0 && b > 0
        ? `M${n("cx") - a} ${n("cy")}a${a} ${b} 0 1 0 ${2 * a} 0a${a} ${b} 0 1 0 ${-2 * a} 0Z`
        : null;
    }
    default:
      return null;
  }
}

/** Every line of a path, drawn fine; y up. */
function strokesOf(path: ReturnType<typeof svgpath>): { spots: Spot[]; closed: boolean }[] {
  const out: { spots: Spot[]; closed: boolean }[] = [];
  let spots: Spot[] = [];
  const end = (closed: boolean) => {
    const [first, last] = [spots[0], spots.at(-1)];
    const met =
      first && last && spots.length > 3 && Math.hypot(first[0] - last[0], first[1] - last[1]) < sizeOf(spots) * 1e-4;
    if (spots.length > 1) out.push({ spots, closed: closed || Boolean(met) });
    spots = [];
  };
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const [kind, ...of] = segment as [string, ...number[]];
      if (of.some((each) => !Number.isFinite(each)))
        throw new OutlineFault("one of its lines can’t be read. Save it again as plain SVG, and choose it.");
      const put = (a: number, b: number) => spots.push([a, -b]);
      switch (kind) {
        case "M":
          end(false);
          put(of[0], of[1]);
          break;
        case "L":
          put(of[0], of[1]);
          break;
        case "H":
          put(of[0], y);
          break;
        case "V":
          put(x, of[0]);
          break;
        case "C":
          for (let i = 1; i <= CHORDS; i += 1)
            put(cubic(i / CHORDS, [x, of[0], of[2], of[4]]), cubic(i / CHORDS, [y, of[1], of[3], of[5]]));
          break;
        case "Q":
          for (let i = 1; i <= CHORDS; i += 1)
            put(square(i / CHORDS, x, of[0], of[2]), square(i / CHORDS, y, of[1], of[3]));
          break;
        case "Z": {
          const [first] = spots;
          end(true);
          // what is drawn on without another beginning begins where this one did
          if (first) spots = [first];
          break;
        }
      }
    });
  end(false);
  return out;
}

const cubic = (t: number, [a, b, c, d]: readonly number[]) =>
  (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t * t * c + t ** 3 * d;
const square = (t: number, a: number, b: number, c: number) => (1 - t) ** 2 * a + 2 * (1 - t) * t * b + t * t * c;
const sizeOf = (spots: readonly Spot[]) =>
  spots.reduce((most, [x, y]) => Math.max(most, Math.abs(x - spots[0][0]), Math.abs(y - spots[0][1])), 0);
