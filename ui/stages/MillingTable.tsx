"use client";
import type { MilledLane } from "../../core/layout/mill";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

const MACHINES = {
  jointer: "jointer, then planer",
  sled: "planer with a sled",
  halves: "in halves",
  hand: "by hand or router sled",
};

/** How every lane and strip is flattened: shims, passes, what is left, and which machine takes it. */
export function MillingTable() {
  const { plan, shop } = usePiece();
  const { withUnit, length } = useUnit();
  const lanes = plan.cutting.milled;
  if (lanes.length === 0) return null;
  const panels = plan.parts.filter((part) => part.role === "panel").map((part) => part.id);
  const passes = ({ plan: { faces } }: MilledLane) => `${faces.firstPasses} + ${faces.secondPasses}`;
  return (
    <section>
      <h2>Milling, crosscut and ripped first</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>From</th>
            <th>Pieces</th>
            <th className="number">Flattened at</th>
            <th className="number">Shim, two corners</th>
            <th className="number">Passes, both faces</th>
            <th className="number">To</th>
            <th className="number">Cleans up at</th>
            <th className="number">Skip-planed</th>
            <th>On</th>
          </tr>
        </thead>
        <tbody>
          {lanes.map((lane, i) => {
            const spare = lane.plan.milled.thickness - lane.thickness;
            return (
              <tr key={i} title={lane.plan.steps.join(" ")}>
                <td>{lane.board}</td>
                <td>
                  {lane.pieces.length > 1
                    ? `${lane.mark}: ${lane.pieces.join(" ")}`
                    : panels.includes(lane.pieces[0])
                      ? `strip of the ${lane.pieces[0]}`
                      : lane.mark}
                </td>
                <td className="number whitespace-nowrap">
                  {fractions(`${length(lane.length)} by ${length(lane.width)}`)}
                </td>
                <td className="number">{lane.plan.shim < 0.2 ? "none" : fractions(withUnit(lane.plan.shim, true))}</td>
                <td className="number">{passes(lane)}</td>
                <td className="number">{fractions(withUnit(lane.thickness, true))}</td>
                <td className={`number ${spare < 0 ? "text-fix" : ""}`}>
                  {fractions(withUnit(Math.max(0, lane.plan.milled.thickness), true))}
                  {lane.plan.leaves > 1 && `, or ${lane.plan.leaves} leaves`}
                </td>
                <td className="number">{fractions(withUnit(Math.max(0, lane.plan.skipPlaned), true))}</td>
                <td>{MACHINES[lane.plan.machine]}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="text-[13px] text-graphite">
        Strips that must match are ripped {withUnit(shop.widthAllowance)} over and planed to width together, on edge.
        Each face loses about alike; on a sled a shim stands under both of the corners a board rocks on. Skip-planed,
        the back is flattened and the face keeps its sawn character: that thick it stays.
      </p>
    </section>
  );
}
