/** One arm and its leg from the side, full size: what the bevel is set from. */
import { dimension, line, Point, Scene } from "../../../drawing/scene";
import type { Species } from "../../../wood/species";
import { armEnd, Splayed } from "./place";

/** The end of a head beside the rim, from its outside round its rebate to its inner face. */
function rebate({ arms: [{ head }], lean, under, rise }: Splayed, wall: number): Point[] {
  return [
    [head - rise * lean.tan, under + rise],
    [wall, under + rise],
    [wall, under],
  ];
}

export function splaySetOut(at: Splayed, species: Species): Scene {
  const { lean, arm, under, section, footSection, beside } = at;
  const [first] = at.arms;
  const forked = at.heads !== "below";
  const top = forked ? under : arm.from;
  const inner = first.head - lean.level;
  const inset = (section - footSection) / 2 / lean.cos;
  const taper: Point[] = [
    [inner, top],
    [inner + (top - arm.from + 10) * lean.tan, arm.from - 10],
    [inner + lean.out + inset, 0],
    [first.foot - inset, 0],
    [first.head + (top - arm.from + 10) * lean.tan, arm.from - 10],
    ...(beside ? rebate(at, beside.walls[0]) : [[first.head, top] as Point]),
  ];
  const reach = armEnd(at, first);
  const bar: Point[] = [
    [0, arm.from],
    [forked ? inner + arm.depth * lean.tan : reach, arm.from],
    [forked ? inner : reach, under],
    [0, under],
  ];
  return {
    id: "splay-set-out",
    title: `A leg at ${lean.degrees.toFixed(1)}° from upright, ${Math.round(lean.length)} mm over both points.`,
    bounds: { x: 0, y: 0, w: Math.max(first.foot, reach), h: Math.max(1, under + at.rise) },
    margin: [34, 56, 44, 20],
    items: [
      { kind: "face", points: bar, colour: species.colour, seed: 31, grain: 0, id: "arm" },
      { kind: "path", points: bar, closed: true, ink: "outline", id: "arm" },
      { kind: "face", points: taper, colour: species.colour, seed: 23, grain: 90 + lean.degrees, id: "splayed-leg" },
      { kind: "path", points: taper, closed: true, ink: "outline", id: "splayed-leg" },
      line(
        [
          [0, 0],
          [Math.max(first.foot, reach), 0],
        ],
        "faint",
      ),
      line(
        [
          [first.head, top],
          [first.head, 0],
        ],
        "hidden",
      ),
      dimension([0, under], [first.head, under], { offset: 14, value: first.head }),
      dimension([first.head, 0], [first.foot, 0], { offset: -16, value: at.out }),
      dimension([Math.max(first.foot, reach), under], [Math.max(first.foot, reach), 0], { offset: 20, value: under }),
      dimension([0, arm.from], [0, under], { offset: -20, value: arm.depth }),
    ],
  };
}
