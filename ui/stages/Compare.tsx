"use client";
import { useMemo, useState } from "react";
import { movementScene } from "../../core/drawing/top";
import { alternatives, differences, takeIt } from "../../core/movement/compare";
import { applyPatches } from "../../core/piece/patch";
import { PlanFailed, planPiece } from "../../core/plan";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";

/** The piece as it is beside one other choice: two drawings of the same day, and a line for everything that changes. */
export function Compare({ sample, exaggeration }: { sample: number; exaggeration: number }) {
  const { piece, plan, shop, rack, ownSpecies, today, edit } = usePiece();
  const { say } = useUnit();
  const [chosen, setChosen] = useState("");
  const all = useMemo(() => alternatives(piece, plan.species), [piece, plan.species]);
  const other = all.find((each) => each.id === chosen) ?? null;
  const there = useMemo(() => {
    if (!other) return null;
    const changed = applyPatches(piece, other.patches);
    try {
      return { piece: changed, plan: planPiece({ piece: changed, shop, rack, ownSpecies, today }) };
    } catch (error) {
      if (error instanceof PlanFailed) return null;
      throw error;
    }
  }, [other, piece, shop, rack, ownSpecies, today]);
  const groups = [...new Set(all.map((each) => each.group))];
  return (
    <section aria-label="Two choices side by side" className="border-t border-hairline pt-3" data-compare={chosen}>
      <label className="text-[13px] text-graphite">
        Set another choice beside this one
        <select className="input block text-ink" value={chosen} onChange={(event) => setChosen(event.target.value)}>
          <option value="">None</option>
          {groups.map((group) => (
            <optgroup key={group} label={group}>
              {all
                .filter((each) => each.group === group)
                .map((each) => (
                  <option key={each.id} value={each.id}>
                    {each.name}
                  </option>
                ))}
            </optgroup>
          ))}
        </select>
      </label>
      {other && !there && (
        <p className="lede mt-2">Taller can’t plan this piece so: a fault of its own, not of the choice.</p>
      )}
      {there && other && (
        <>
          <div className="mt-2 grid grid-cols-2 gap-3 max-md:grid-cols-1">
            <figure>
              <figcaption className="text-[13px] font-semibold">As it is</figcaption>
              <SceneView scene={movementScene(plan, piece, sample, exaggeration)} height={210} />
            </figure>
            <figure>
              <figcaption className="text-[13px] font-semibold">{other.name}</figcaption>
              <SceneView scene={movementScene(there.plan, there.piece, sample, exaggeration)} height={210} />
            </figure>
          </div>
          <table className="plain mt-2">
            <caption className="sr-only">What changes</caption>
            <thead>
              <tr>
                <th>What changes</th>
                <th>As it is</th>
                <th>{other.name}</th>
              </tr>
            </thead>
            <tbody>
              {differences({ plan, piece }, there).map((row) => (
                <tr key={row.what}>
                  <td>{row.what}</td>
                  <td>{fractions(say(row.here))}</td>
                  <td>{fractions(say(row.there))}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {differences({ plan, piece }, there).length === 0 && (
            <p className="lede">Nothing that Movement measures changes.</p>
          )}
          {other.takeable && (
            <button
              className="button mt-2"
              onClick={() => {
                const remedy = takeIt(other);
                edit(remedy.label, remedy.patches);
                setChosen("");
              }}
            >
              {takeIt(other).label}
            </button>
          )}
        </>
      )}
    </section>
  );
}
