"use client";
import { CurveChoice, EdgePoint, MOST_EDGE_POINTS } from "../../core/piece/kinds";
import { Tick } from "../fields/fields";
import { LengthRows } from "../fields/LengthRows";
import { EdgeFile } from "./EdgeFile";

const COLUMNS = [
  ["x", "Along"],
  ["y", "In"],
  ["rise", "Rise"],
] as const satisfies readonly (readonly [keyof EdgePoint, string])[];

/** A step of 10 between two quarter rounds. Ours, to begin from, mm */
const USUAL: EdgePoint[] = [
  { x: 60, y: 0, rise: -6 },
  { x: 80, y: 12, rise: 0 },
];
/** The same curve, with points to go on from where it has none. */
export const begun = (curve: CurveChoice): CurveChoice =>
  curve.way === "points" && curve.points.length === 0 ? { ...curve, points: USUAL } : curve;

/** The line of an edge, point by point from the part's end. */
export function EdgePoints({
  name,
  length,
  curve,
  onPut,
}: {
  name: string;
  /** of the part between its shoulders, mm */
  length: number;
  curve: CurveChoice;
  onPut: (label: string, curve: CurveChoice) => string | null;
}) {
  return (
    <div className="w-full" data-edge-points={curve.points.length}>
      <p className="mb-2 max-w-[65ch] text-[13px] text-graphite">
        Along the part from its shoulder, in from where the edge would be straight; less than nothing goes out. A rise
        bows the line to the next point out of the wood; less than nothing hollows it.
      </p>
      <EdgeFile name={name} length={length} curve={curve} onPut={onPut} />
      <Tick
        label={`${name}: both halves alike`}
        checked={curve.mirrored}
        onTake={(mirrored) => onPut("halves of the edge", { ...curve, mirrored })}
      />
      <LengthRows
        rows={curve.points}
        columns={COLUMNS}
        what="point"
        of={name}
        least={1}
        most={MOST_EDGE_POINTS}
        onPut={(label, points) => onPut(label, { ...curve, points: [...points] })}
        more={() => {
          const last = curve.points.at(-1) ?? { x: 0, y: 0, rise: 0 };
          return [...curve.points, { x: last.x + 50, y: last.y, rise: 0 }];
        }}
      />
    </div>
  );
}
