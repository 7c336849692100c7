/** A leg in a round from its side, and its head from above with the two rails that end there, full size. mm */
import { dimension, Item, line, Point, Scene } from "../../../drawing/scene";
import type { Species } from "../../../wood/species";
import { innerAt, legFrom, outerAt, Ring, SplayedLegs } from "./legs";
import type { SplayedFrame } from "./place";
import { headFrom } from "./ring";
import { levelOf } from "./sticks";

/** Between the two views; so much of a rail is drawn. mm. Ours */
const [GAP, RAIL] = [120, 170];

export function ringSetOut(at: SplayedFrame, legs: SplayedLegs & { ring: Ring }, species: Species): Scene {
  const { under, rail } = at;
  const { lean, sin, cos } = legs.ring;
  const wood = { kind: "face" as const, colour: species.colour };
  const shape = (points: Point[], id: string, seed: number, grain: number): Item[] => [
    { ...wood, points, seed, grain, id },
    { kind: "path", points, closed: true, ink: "outline", id },
  ];
  const start = innerAt(legs, lean, under) - 40;
  const x = (far: number) => far - start;
  const sideOn = legFrom(legs, lean).map(([far, up]): Point => [x(far), up]);
  const foot = x(outerAt(legs, lean, 0));
  // from above, the middle of the table to the left
  const from = foot + GAP;
  const ridge = innerAt(legs, lean, under);
  const seen = ([far, aside]: Point): Point => [from + RAIL * sin + far - ridge, under / 2 + aside];
  const house = headFrom(legs, under).map(seen);
  const rails = [-1, 1].map((side): Point[] => {
    const outer = at.rails[0].outer;
    const along = (m: number, d: number): Point => seen([d * sin + m * cos, side * (m * sin - d * cos)]);
    const end = innerAt(legs, legs.end, under);
    const inner = outer - levelOf(at.rails[0]);
    return [along(outer, end), along(inner, end), along(inner, end - RAIL), along(outer, end - RAIL)];
  });
  const turn = (Math.atan2(cos, sin) * 180) / Math.PI;
  const right = Math.max(...house.map(([far]) => far));
  const [low, high] = [Math.min, Math.max].map((of) => of(...[...rails.flat(), ...house].map(([, y]) => y)));
  const half = legs.section / 2;
  return {
    id: "splay-frame-set-out",
    title: `A leg from its side, ${lean.degrees.toFixed(1)}°, and its head from above: both faces square to their rails, ${legs.backed.toFixed(1)}° off the inner one.`,
    bounds: { x: 0, y: Math.min(0, low), w: Math.max(1, right), h: Math.max(1, under, high) - Math.min(0, low) },
    margin: [34, 70, 44, 34],
    items: [
      ...shape(sideOn, "splayed-leg", 23, 90 + lean.degrees),
      line(
        [
          [0, 0],
          [foot, 0],
        ],
        "faint",
      ),
      line(
        [
          [x(lean.head), under],
          [x(lean.head), 0],
        ],
        "hidden",
      ),
      dimension([x(lean.head), 0], [foot, 0], { offset: -16, value: lean.tan * under }),
      dimension([x(ridge), under], [x(lean.head), under], { offset: 14, value: lean.level }),
      dimension([0, 0], [0, under], { offset: -14, value: under }),
      ...rails.flatMap((points, i) => shape(points, "splay-rail", 31 + i, i === 0 ? turn : -turn)),
      ...shape(house, "splayed-leg", 27, 0),
      dimension([right, under / 2 + half], [right, under / 2 - half], { offset: 18, value: legs.section }),
      dimension(house[3], house[2], { offset: rail.reveal > 0 ? 26 : 20, value: half / sin }),
    ],
  };
}
