"use client";
import { useMemo } from "react";
import { MOST_PASSES, sawnFaces } from "../../core/stock/sawn-face";
import { Choice, FieldRow } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const passName = (n: number) => (n === 0 ? "no pass" : n === 1 ? "1 light pass" : `${n} light passes`);
const FACES = [
  { value: "planed", name: "Planed" },
  ...Array.from({ length: MOST_PASSES + 1 }, (_, n) => ({ value: String(n), name: `Left as sawn, ${passName(n)}` })),
];

/** Whether the panel's upper face is planed or stays as it was sawn, and how much of each board's face keeps the saw's marks. */
export function UpperFace() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const { withUnit } = useUnit();
  const { sawnFace, crosscutFirst } = piece.panels.top;
  const { laid } = plan.panel;
  const faces = useMemo(
    () => (sawnFace === null ? [] : sawnFaces(laid, { passes: sawnFace, crosscutFirst })),
    [laid, sawnFace, crosscutFirst],
  );
  if (plan.geometry.core.count > 1) return null;
  return (
    <>
      <FieldRow>
        <Choice
          label="Upper face"
          value={sawnFace === null ? "planed" : String(sawnFace)}
          options={FACES}
          onTake={(face) => set("Upper face", ["panels", "top", "sawnFace"], face === "planed" ? null : Number(face))}
        />
      </FieldRow>
      {sawnFace !== null && faces.length > 0 && (
        <table className="plain" aria-label="What stays sawn">
          <thead>
            <tr>
              <th>Stays sawn after</th>
              {faces[0].shares.map((_, n) => (
                <th key={n} className="number">
                  {n === 0 ? "none" : n === 1 ? "1 pass" : n}
                </th>
              ))}
              <th className="number">Lies low by</th>
            </tr>
          </thead>
          <tbody>
            {faces.map(({ board, shares, hollow }) => (
              <tr key={board}>
                <td>{board}</td>
                {shares.map((share, n) => (
                  <td key={n} className={`number ${n === sawnFace ? "font-[640]" : "text-graphite"}`}>
                    {Math.round(100 * share)} %
                  </td>
                ))}
                <td className="number">{withUnit(hollow, true)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
