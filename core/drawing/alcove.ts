/** A case in its alcove from the front: walls as they were measured, much out of plumb as they may be, and the fillers beside it. */
import { measuredAt, roomIn, wallAt, wallsOf } from "../construction/base/case/alcove";
import type { Case } from "../construction/base/case/case";
import type { Alcove } from "../piece/alcove-choices";
import { dimension, formEdit, Item, line, Point, rect, Scene } from "./scene";

/** How far the drawn walls reach out, mm. */
const OUT = 60;

export function alcoveScene(alcove: Alcove, at: Case): Scene {
  const { left, right } = wallsOf(alcove);
  const high = at.under + at.top.thickness;
  const up = Math.max(alcove.height, high);
  const { from, to } = roomIn(alcove, high);
  const middle = (from + to) / 2;
  const wide = at.outside.to - at.outside.from;
  const edit = (name: string, key: keyof Alcove) => formEdit(name, "case", "alcove", key);
  const wall = (side: typeof left, out: number): Item => {
    const points: Point[] = measuredAt(alcove, up).map((y) => [wallAt(side, y), y]);
    return { kind: "path", points: [...points, [out, up], [out, 0]], closed: true, ink: "void" };
  };
  const [outLeft, outRight] = [Math.min(...left.map(({ x }) => x)) - OUT, Math.max(...right.map(({ x }) => x)) + OUT];
  const fillers = at.fillers.map(({ side, edge }): Item => {
    const inner = middle + (side * wide) / 2;
    const heights = edge.filter(({ y }) => y > at.foot && y < at.under);
    const outer = (y: number) => wallAt(side < 0 ? left : right, y);
    const points: Point[] = [
      [inner, at.foot],
      [inner, at.under],
      [outer(at.under), at.under],
      ...heights.toReversed().map(({ y }): Point => [outer(y), y]),
      [outer(at.foot), at.foot],
    ];
    return { kind: "path", points, closed: true, ink: "wash", id: "filler", label: "Filler, scribed to the wall" };
  });
  return {
    id: "alcove",
    title: `The case in its alcove: ${at.fillers.length === 0 ? "no filler" : `${at.fillers.length} filler${at.fillers.length > 1 ? "s" : ""}`} beside it.`,
    bounds: { x: outLeft, y: 0, w: outRight - outLeft, h: up },
    margin: [26, 30, 26, 30],
    items: [
      wall(left, outLeft),
      wall(right, outRight),
      line(
        [
          [outLeft, 0],
          [outRight, 0],
        ],
        "faint",
      ),
      rect({ x: middle - at.top.length / 2, y: at.under, w: at.top.length, h: at.top.thickness }, "outline", "top"),
      rect({ x: middle - wide / 2, y: at.foot, w: wide, h: at.under - at.foot }, "outline", "case-side"),
      ...fillers,
      dimension([0, 0], [alcove.floor, 0], {
        offset: -14,
        value: alcove.floor,
        edit: edit("Width at the floor", "floor"),
      }),
      dimension(
        [wallAt(left, alcove.height / 2), alcove.height / 2],
        [wallAt(right, alcove.height / 2), alcove.height / 2],
        { offset: 0, value: alcove.middle, edit: edit("Width half-way up", "middle") },
      ),
      dimension([wallAt(left, alcove.height), alcove.height], [wallAt(right, alcove.height), alcove.height], {
        offset: 12,
        value: alcove.top,
        edit: edit("Width above", "top"),
      }),
    ],
  };
}
