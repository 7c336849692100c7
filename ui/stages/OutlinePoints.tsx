"use client";
import type { TypedPoint } from "../../core/construction/top/points";
import { LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** The points of an outline in the order in which it is sawn, from the middle of the top. */
export function OutlinePoints() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { points } = piece.form.top;
  const put = (label: string, next: readonly TypedPoint[]) => set(label, ["form", "top", "points"], next);
  const change = (i: number, part: Partial<TypedPoint>) =>
    put(
      `Point ${i + 1}`,
      points.map((each, j) => (j === i ? { ...each, ...part } : each)),
    );
  return (
    <div className="w-full" data-outline-points={points.length}>
      <p className="mb-2 max-w-[65ch] text-[13px] text-graphite">
        From the middle of the top, in the order in which it is sawn: the front edge first, anticlockwise from above. A
        rise bows the line to the next point outward; less than nothing hollows it.
      </p>
      <ol className="grid grid-cols-[repeat(auto-fill,minmax(24rem,1fr))] gap-x-6 gap-y-2">
        {points.map((point, i) => (
          <li key={i} className="flex items-end gap-2">
            <b className="w-6 pb-2 text-right text-[13px] font-[560]">{i + 1}</b>
            <LengthField label="Right" value={point.x} onTake={(x) => change(i, { x })} />
            <LengthField label="Behind" value={point.y} onTake={(y) => change(i, { y })} />
            <LengthField label="Rise" value={point.rise} onTake={(rise) => change(i, { rise })} />
            <button
              className="button button-plain whitespace-nowrap"
              aria-label={`Take point ${i + 1} out`}
              onClick={() =>
                put(
                  `Point ${i + 1} taken out`,
                  points.filter((_, j) => j !== i),
                )
              }
            >
              Take out
            </button>
          </li>
        ))}
      </ol>
      <button
        className="button mt-2"
        disabled={points.length >= 40}
        onClick={() => put("Point added", withOne(points))}
      >
        Add a point
      </button>
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
