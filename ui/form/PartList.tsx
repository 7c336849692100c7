"use client";
import { useState } from "react";
import type { AssemblyPart } from "../../core/assembly/part";
import { cutPlaces, partSheet } from "../../core/drawing/part-sheet";
import { woodOf } from "../../core/wood/woods";
import { SceneView } from "../drawing/SceneView";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";
import { useLit } from "../piece/lit";
import { usePiece } from "../piece/PieceProvider";
import { KindFields } from "./KindFields";

/** Every kind of part with its letter and its sizes; one is opened by itself, with all that is cut into it. */
export function PartList({ open, onOpen }: { open: string | null; onOpen: (kind: string | null) => void }) {
  const { plan } = usePiece();
  const { length, withUnit } = useUnit();
  const { light } = useLit();
  const [nth, setNth] = useState(0);
  const many = Object.keys(plan.woods).length > 0;
  const same = plan.assembly.parts.filter((part) => part.kind === open);
  const part = same[Math.min(nth, same.length - 1)];
  return (
    <section aria-label="Parts">
      <table className="plain">
        <thead>
          <tr>
            <th>Part</th>
            <th>On the wood</th>
            {many && <th>Wood</th>}
            <th className="text-right">Length</th>
            <th className="text-right">Width</th>
            <th className="text-right">Thickness</th>
          </tr>
        </thead>
        <tbody>
          {plan.parts
            .filter((each) => each.role !== "button")
            .map((each) => (
              <tr
                key={each.id}
                className={each.id === open ? "bg-wash" : ""}
                onMouseEnter={() => light([each.id])}
                onMouseLeave={() => light([])}
              >
                <td>
                  <button
                    className="button-link underline decoration-hairline underline-offset-2"
                    aria-expanded={each.id === open}
                    onClick={() => {
                      setNth(0);
                      onOpen(each.id === open ? null : each.id);
                    }}
                  >
                    {each.name}
                  </button>
                </td>
                <td>{each.marks.join(" ")}</td>
                {many && <td>{woodOf(plan.woods, each.id, plan.species).name}</td>}
                <td className="number">{fractions(length(each.finished.length))}</td>
                <td className="number">{fractions(length(each.finished.width))}</td>
                <td className="number">{fractions(withUnit(each.finished.thickness))}</td>
              </tr>
            ))}
        </tbody>
      </table>
      {part && (
        <figure className="mt-2">
          <SceneView scene={partSheet(part, woodOf(plan.woods, part.kind, plan.species))} height={200} />
          <KindFields key={part.kind} kind={part.kind} name={part.name} />
          <CutTable part={part} />
          <figcaption className="flex flex-wrap items-center gap-2 text-[13px] text-graphite">
            {part.name} {part.id} by itself: its face above, the edge below it turned up.
            {same.length > 1 &&
              same.map((each, i) => (
                <button
                  key={each.id}
                  className={`button ${each === part ? "bg-wash" : "button-plain"}`}
                  aria-pressed={each === part}
                  onClick={() => setNth(i)}
                >
                  {each.id}
                </button>
              ))}
          </figcaption>
        </figure>
      )}
    </section>
  );
}

/** What is cut into a part, measured from its marked end, its lower edge and its face. */
function CutTable({ part }: { part: AssemblyPart }) {
  const { plan } = usePiece();
  const { length } = useUnit();
  const cuts = cutPlaces(part);
  if (cuts.length === 0) return null;
  const named = (by: string) =>
    plan.joints.find((each) => each.id === by || each.group === by)?.name ?? CUT_NAMES[by] ?? by;
  return (
    <table className="plain mt-1">
      <thead>
        <tr>
          <th>Cut</th>
          {["From the end", "From the edge", "From the face", "Long", "Wide", "Deep"].map((name) => (
            <th key={name} className="text-right">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {cuts.map(({ by, end, edge, face, long, wide, deep, markedFrom }, i) => (
          <tr key={i}>
            <td>
              {named(by)}
              {markedFrom && <span className="text-graphite">, marked from {markedFrom}</span>}
            </td>
            {[end, edge, face, long, wide, deep].map((size, k) => (
              <td key={k} className="number">
                {fractions(length(size))}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Cuts that belong to no joint of their own. */
const CUT_NAMES: Record<string, string> = {
  shelf: "Housing for the shelf",
  "foot+pad": "Pad let in",
  "top+end-board": "Groove for the tongue",
  "top+frame": "Groove for the panel",
  peg: "For a peg",
  fastening: "For the top’s fastening",
  "cut-out": "Cut-out over the edge",
};
