import { AssemblyPart, bodyOf } from "../assembly/part";
import { asStrips } from "../assembly/strips";
import { Solid, stood } from "../assembly/solid";
import { add, cross, dot, times, unit, Vec } from "../assembly/vector";
import type { Item, Point, Scene } from "./scene";

/** A piece as it is seen from the front right and above, from far away. Ours: no edge of a usual table hides another. */
const VIEWER = unit([0.62, 0.5, 1]);
/** Where the light comes from; a face turned away from it is so much darker. */
const LIGHT = unit([-0.3, 1, 0.55]);
const SHADE = 0.42;

/** A still picture of parts in space, far ones drawn first: what stands in for a view that can be turned. */
export function stillScene(parts: readonly AssemblyPart[], colourOf: (part: AssemblyPart) => string): Scene {
  const right = unit(cross([0, 1, 0], VIEWER));
  const up = cross(VIEWER, right);
  const seen = (point: Vec): Point => [dot(point, right), dot(point, up)];
  const faces = parts.flatMap(asStrips).flatMap((part) =>
    (stood(bodyOf(part), part.place) satisfies Solid)
      .filter(({ n }) => dot(n, VIEWER) > 1e-6)
      .map(({ corners, n }) => ({
        depth: dot(middle(corners), VIEWER),
        points: corners.map(seen),
        fill: shaded(colourOf(part), Math.max(0, dot(n, LIGHT))),
        id: part.id,
      })),
  );
  const items = faces
    .sort((a, b) => a.depth - b.depth)
    .map(({ points, fill, id }): Item => ({ kind: "path", closed: true, ink: "paper", points, fill, id }));
  const all = faces.flatMap((face) => face.points);
  const [x, y] = [Math.min(0, ...all.map(([a]) => a)), Math.min(0, ...all.map(([, b]) => b))];
  const [w, h] = [Math.max(1, ...all.map(([a]) => a)) - x, Math.max(1, ...all.map(([, b]) => b)) - y];
  return {
    id: "still",
    title: "The piece in space, from its front right.",
    bounds: { x, y, w, h },
    margin: [8, 8, 8, 8],
    items,
  };
}

const middle = (corners: readonly Vec[]): Vec =>
  times(
    corners.reduce((sum, corner) => add(sum, corner), [0, 0, 0] as Vec),
    1 / corners.length,
  );

/** A colour such as #dcc8a2 as it looks in more or less light. */
function shaded(colour: string, light: number): string {
  const by = 1 - SHADE + SHADE * light;
  const part = (from: number) => Math.round(parseInt(colour.slice(from, from + 2), 16) * by);
  return `#${[1, 3, 5].map((from) => part(from).toString(16).padStart(2, "0")).join("")}`;
}
