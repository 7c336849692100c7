/** One X as it is drawn full size before anything is cut, with every number it is drawn from. */
import { dimension, Item, line, Point, Scene } from "../../../drawing/scene";
import type { Species } from "../../../wood/species";
import type { XFrame } from "./place";

/** A mark on the floor line and the head line stands so far off them, mm. */
const OFF = 60;

/** The X from its face: two level lines, the middle line, half of each spread, both edges of each leg, the crossing. */
export function setOutScene(at: XFrame, species: Species): Scene {
  const { floor, head, lean, strip, bearer } = at;
  const high = bearer.from;
  const foot = lean.level;
  // from outside at the foot on one side to outside at the head on the other
  const leg = (side: 1 | -1): Point[] => [
    [(-side * floor) / 2, 0],
    [side * (-floor / 2 + foot), 0],
    [(side * head) / 2, high],
    [side * (head / 2 - foot), high],
  ];
  // an X set in past the middle has no width: there is still a sheet to say so
  const widest = Math.max(floor, head, 0) / 2;
  const drawn = (side: 1 | -1): Item[] => [
    {
      ...{ kind: "face", points: leg(side), colour: species.colour, seed: side > 0 ? 23 : 31 },
      ...{ grain: side > 0 ? lean.degrees : 180 - lean.degrees, id: "x-leg" },
    },
    { kind: "path", points: leg(side), closed: true, ink: side > 0 ? "outline" : "hidden", id: "x-leg" },
  ];
  return {
    id: "x-set-out",
    title: `One X full size: ${Math.round(floor)} mm across the floor, ${Math.round(head)} mm across the heads, ${Math.round(high)} mm between the level lines, legs ${strip.width} mm wide leaning ${lean.degrees.toFixed(1)}°.`,
    bounds: { x: -widest - OFF, y: 0, w: Math.max(1, 2 * (widest + OFF)), h: Math.max(1, high) },
    margin: [40, 56, 40, 56],
    items: [
      ...drawn(-1),
      ...drawn(1),
      line(
        [
          [-widest - OFF, 0],
          [widest + OFF, 0],
        ],
        "outline",
      ),
      line(
        [
          [-widest - OFF, high],
          [widest + OFF, high],
        ],
        "outline",
      ),
      line(
        [
          [0, 0],
          [0, high],
        ],
        "hidden",
      ),
      dimension([-floor / 2, 0], [0, 0], { offset: -16, value: floor / 2 }),
      dimension([floor / 2 - foot, 0], [floor / 2, 0], { offset: -16, value: foot }),
      dimension([0, high], [head / 2, high], { offset: 16, value: head / 2 }),
      dimension([widest + OFF, high], [widest + OFF, 0], { offset: 16, value: high }),
      dimension([-widest - OFF, lean.crossing], [-widest - OFF, 0], { offset: -16, value: lean.crossing }),
    ],
  };
}
