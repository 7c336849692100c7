"use client";
import { Printer } from "lucide-react";
import Link from "next/link";
import { Strip, stripsOf } from "../../core/drawing/dovetail";
import type { Dovetail } from "../../core/joinery/dovetail";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** A line of this length stands on the sheet, to see whether the printer kept to full size, mm. */
const CHECK = 100;
/** Paper above and below the tails on a strip, mm. */
const EDGE = 6;

/** Every row of dovetails as strips of paper, full size: cut out, laid along the end of the tails' board, pricked through. */
export function MarkingStrips() {
  const { id, piece, plan } = usePiece();
  const { withUnit } = useUnit();
  const rows = plan.joints.filter((joint): joint is Dovetail => joint.kind === "dovetail");
  return (
    <main className="mx-auto max-w-[794px] bg-white px-[54px] py-6 text-[#000] print:max-w-none print:p-0">
      <div className="mb-4 flex items-center justify-between print:hidden">
        <Link className="button button-plain" href={`/pieces/${id}/joints`}>
          Back to the joints
        </Link>
        <button className="button" onClick={() => window.print()}>
          <Printer size={15} />
          Print at full size
        </button>
      </div>
      <h1>{piece.name}: strips to mark dovetails from</h1>
      <p className="text-[13px]">
        Printed at 100 %, never fitted to the page: this line is {withUnit(CHECK)} long, held to a rule.
      </p>
      <svg width={`${CHECK + 2}mm`} height="6mm" viewBox={`-1 0 ${CHECK + 2} 6`} aria-label="Line to check the size by">
        <path d={`M0 1V5M0 3H${CHECK}M${CHECK} 1V5`} stroke="#000" strokeWidth={0.25} fill="none" />
      </svg>
      {rows.length === 0 && <p>This piece has no dovetails.</p>}
      {rows.map((joint) => (
        <section key={joint.id} data-strips={joint.id} className="mt-5 break-inside-avoid">
          <h2>
            {joint.name}, {joint.count} times
          </h2>
          <p className="text-[13px]">
            {joint.tails} {joint.tails === 1 ? "tail" : "tails"} in {withUnit(joint.section.width)}. The left end of the
            first strip lies on the lower edge, its line on the gauge line {withUnit(joint.length)} from the end.
          </p>
          {stripsOf(joint).map((strip) => (
            <StripOf key={strip.from} strip={strip} high={joint.length} />
          ))}
        </section>
      ))}
    </main>
  );
}

function StripOf({ strip: { from, to, lines }, high }: { strip: Strip; high: number }) {
  const width = to - from;
  const y = (at: number) => EDGE + high - at;
  return (
    <svg
      className="mt-2 block"
      width={`${width + 2}mm`}
      height={`${high + 2 * EDGE}mm`}
      viewBox={`-1 0 ${width + 2} ${high + 2 * EDGE}`}
      aria-label={`From ${Math.round(from)} to ${Math.round(to)} mm along the row`}
    >
      <rect x={0} y={0.1} width={width} height={high + 2 * EDGE - 0.2} fill="none" stroke="#000" strokeWidth={0.15} />
      <path d={`M0 ${y(0)}H${width}`} stroke="#000" strokeWidth={0.2} strokeDasharray="2 1" />
      {lines.map(([a, b], i) => (
        <path
          key={i}
          d={`M${a[0] - from} ${y(a[1])}L${b[0] - from} ${y(b[1])}`}
          stroke="#000"
          strokeWidth={0.25}
          fill="none"
        />
      ))}
      <text x={1} y={EDGE - 2} fontSize={2.8}>
        {Math.round(from)} mm
      </text>
      <text x={width - 1} y={EDGE - 2} fontSize={2.8} textAnchor="end">
        {Math.round(to)} mm
      </text>
    </svg>
  );
}
