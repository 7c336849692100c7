"use client";
import Link from "next/link";
import { sampleDate } from "../../core/movement/course";
import { governing } from "../../core/movement/governing";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** Everything the drawings and the chart show, as tables. */
export function MovementTable() {
  const { id, plan, piece } = usePiece();
  const { withUnit } = useUnit();
  const { top, breadboards } = plan;
  const found = governing(plan, piece);
  const monthly = top.changes.map((_, i) => i).filter((i) => i % 6 === 0);
  const signed = (n: number) => `${n >= 0 ? "+" : "−"}${withUnit(Math.abs(n), true)}`;
  return (
    <details>
      <summary className="cursor-pointer text-[13px] text-graphite">Every strip, peg and month as a table</summary>
      <div className="grid gap-x-6 md:grid-cols-2">
        <div>
          <table className="plain mt-2">
            <thead>
              <tr>
                <th>Strip</th>
                <th className="number">Width</th>
                <th className="number">Per percent</th>
                <th className="number">{top.dry.name}</th>
                <th className="number">{top.wet.name}</th>
              </tr>
            </thead>
            <tbody>
              {top.strips.map((strip, i) => (
                <tr key={strip.board ?? i}>
                  <td>{strip.board ?? "Flat-sawn, not chosen"}</td>
                  <td className="number">{withUnit(strip.width)}</td>
                  <td className="number">{strip.coefficient.toFixed(5)}</td>
                  <td className="number">{signed(strip.dry)}</td>
                  <td className="number">{signed(strip.wet)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {breadboards && (
            <table className="plain mt-3" data-table="pegs">
              <thead>
                <tr>
                  <th>Peg</th>
                  <th className="number">From the front</th>
                  <th className="number">Dry</th>
                  <th className="number">Wet</th>
                  <th className="number">Slot</th>
                  <th className="number">Set off</th>
                </tr>
              </thead>
              <tbody>
                {breadboards.pegs.map((peg, i) => (
                  <tr key={peg.id}>
                    <td>
                      {i + 1}
                      {peg.fixed ? ", fixed" : ""}
                    </td>
                    <td className="number">{withUnit(peg.at)}</td>
                    <td className="number">{signed(peg.dry)}</td>
                    <td className="number">{signed(peg.wet)}</td>
                    <td className="number">{peg.fixed ? "glued" : withUnit(peg.slot, true)}</td>
                    <td className="number">{peg.fixed ? "" : signed(peg.setOff)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          <table className="plain mt-3" data-table="parts">
            <thead>
              <tr>
                <th>Part</th>
                <th className="number">Width, dry</th>
                <th className="number">wet</th>
                <th className="number">Thickness, dry</th>
                <th className="number">wet</th>
                <th className="number">Out of square</th>
              </tr>
            </thead>
            <tbody>
              {plan.partMoves.map((part) => (
                <tr key={part.id}>
                  <td>{part.name}</td>
                  <td className="number">{signed(part.dry.width)}</td>
                  <td className="number">{signed(part.wet.width)}</td>
                  <td className="number">{signed(part.dry.thickness)}</td>
                  <td className="number">{signed(part.wet.thickness)}</td>
                  <td className="number">{part.square > 0 ? withUnit(part.square, true) : ""}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-3 text-[13px]">
            <Link className="underline" href={`/pieces/${id}/sources`}>
              This piece’s numbers by hand, every formula with its range and source
            </Link>
          </p>
        </div>
        <table className="plain mt-2" data-table="months">
          <thead>
            <tr>
              <th>Day</th>
              <th className="number">Moisture</th>
              <th className="number">Width</th>
              <th className="number">Travel of {found.what}</th>
            </tr>
          </thead>
          <tbody>
            {monthly.map((i) => {
              const day = sampleDate(top.course.from, i);
              return (
                <tr key={i}>
                  <td className="whitespace-nowrap">
                    {day.name} {day.on.slice(0, 4)}
                  </td>
                  <td className="number">{top.course.mean[i].toFixed(2)} %</td>
                  <td className="number">{signed(top.changes[i])}</td>
                  <td className="number">{signed(found.travel[i])}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </details>
  );
}
