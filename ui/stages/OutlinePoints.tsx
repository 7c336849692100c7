"use client";
import { MOST_POINTS } from "../../core/piece/cutting-choices";
import type { TypedPoint } from "../../core/construction/top/points";
import { LengthRows } from "../fields/LengthRows";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const COLUMNS = [
  ["x", "Right"],
  ["y", "Behind"],
  ["rise", "Rise"],
] as const satisfies readonly (readonly [keyof TypedPoint, string])[];

/** The points of an outline in the order in which it is sawn, from the middle of the top. */
export function OutlinePoints() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { points } = piece.form.top;
  return (
    <div className="w-full" data-outline-points={points.length}>
      <p className="mb-2 max-w-[65ch] text-[13px] text-graphite">
        From the middle of the top, in the order in which it is sawn: the front edge first, anticlockwise from above. A
        rise bows the line to the next point outward; less than nothing hollows it.
      </p>
      <LengthRows
        rows={points}
        columns={COLUMNS}
        what="point"
        least={0}
        most={MOST_POINTS}
        onPut={(label, next) => set(`Outline: ${label}`, ["form", "top", "points"], next)}
        more={() => withOne(points)}
      />
    </div>
  );
}

/** One more on the way from the last point back to the first. */
function withOne(points: readonly TypedPoint[]): TypedPoint[] {
  const [last, first] = [points.at(-1) ?? { x: 0, y: 0, rise: 0 }, points[0] ?? { x: 100, y: 0 }];
  const half = (a: number, b: number) => Math.round((a + b) / 2);
  return [
    ...points.slice(0, -1),
    ...(points.length > 0 ? [{ ...last, rise: 0 }] : []),
    { x: half(last.x, first.x), y: half(last.y, first.y), rise: 0 },
  ];
}
