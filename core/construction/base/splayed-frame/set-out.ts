/** One leg and its rail from the front and from the end, full size: what the two bevels are set from. */
import { dimension, Item, line, Point, Scene } from "../../../drawing/scene";
import type { Species } from "../../../wood/species";
import { innerAt, legFrom, outerAt, Way } from "./legs";
import type { SplayedFrame } from "./place";

/** Between the two views, mm. Ours */
const GAP = 160;

export function splayFrameSetOut(at: SplayedFrame, species: Species): Scene {
  const { legs, under, rail } = at;
  const low = under - rail.depth;
  const wood = { kind: "face" as const, colour: species.colour };
  const view = (way: Way, kind: string, from: number): { items: Item[]; width: number } => {
    // so much of the rail is drawn toward the middle
    const start = innerAt(legs, way, under) - 180;
    const x = (value: number) => from + value - start;
    const leg = legFrom(legs, way).map(([far, up]): Point => [x(far), up]);
    const bar: Point[] = [
      [from, low],
      [x(innerAt(legs, way, low)), low],
      [x(innerAt(legs, way, under)), under],
      [from, under],
    ];
    const foot = x(outerAt(legs, way, 0));
    return {
      width: foot - from,
      items: [
        { ...wood, points: bar, seed: 31, grain: 0, id: kind },
        { kind: "path", points: bar, closed: true, ink: "outline", id: kind },
        { ...wood, points: leg, seed: 23, grain: 90 + way.degrees, id: "splayed-leg" },
        { kind: "path", points: leg, closed: true, ink: "outline", id: "splayed-leg" },
        line(
          [
            [from, 0],
            [foot, 0],
          ],
          "faint",
        ),
        line(
          [
            [x(way.head), under],
            [x(way.head), 0],
          ],
          "hidden",
        ),
        dimension([x(way.head), 0], [foot, 0], { offset: -16, value: way.tan * under }),
        dimension([x(innerAt(legs, way, under)), under], [x(way.head), under], { offset: 14, value: way.level }),
      ],
    };
  };
  const front = view(legs.end, "splay-rail", 0);
  const side = view(legs.side, "splay-end-rail", front.width + GAP);
  const whole = front.width + GAP + side.width;
  return {
    id: "splay-frame-set-out",
    title: `A leg from the front, ${legs.end.degrees.toFixed(1)}°, and from the end, ${legs.side.degrees.toFixed(1)}°.`,
    bounds: { x: 0, y: 0, w: Math.max(1, whole), h: Math.max(1, under) },
    margin: [34, 56, 44, 34],
    items: [
      ...front.items,
      ...side.items,
      dimension([whole, under], [whole, 0], { offset: 24, value: under }),
      dimension([0, low], [0, under], { offset: -20, value: rail.depth }),
    ],
  };
}
