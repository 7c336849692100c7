"use client";
import { useMemo } from "react";
import type { Case } from "../../core/construction/base/case/case";
import { alcoveScene } from "../../core/drawing/alcove";
import { Alcove, squareAlcove } from "../../core/piece/alcove-choices";
import { SceneView } from "../drawing/SceneView";
import { FieldRow, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** Where a case is built in: what was measured there, and what goes between. */
export function AlcoveFields({ at }: { at: Case }) {
  const { piece } = usePiece();
  const { set, fromDrawing } = useSet();
  const { alcove } = piece.form.case;
  const path = (...rest: string[]) => ["form", "case", "alcove", ...rest];
  const scene = useMemo(() => alcove && alcoveScene(alcove, at), [alcove, at]);
  const size = (label: string, key: keyof Alcove) => (
    <LengthField label={label} value={alcove![key]} onTake={(to) => set(label, path(key), to)} />
  );
  const lean = (label: string, key: "left" | "right") => (
    <NumberField label={label} value={alcove![key]} onTake={(to) => set(label, path(key), to)} />
  );
  return (
    <section aria-label="Alcove" className="w-full">
      <Tick
        label="Built into an alcove"
        checked={alcove !== null}
        onTake={(on) =>
          set(
            "An alcove",
            path(),
            on ? squareAlcove(Math.ceil(at.top.length + 20), Math.ceil(at.top.width + 20)) : null,
          )
        }
      />
      {alcove && scene && (
        <>
          <SceneView scene={scene} height={260} onEdit={fromDrawing} />
          <FieldRow>
            {size("Width at the floor", "floor")}
            {size("Width half-way up", "middle")}
            {size("Width above", "top")}
            {size("Measured so high", "height")}
            {lean("Left wall leans in, mm", "left")}
            {lean("Right wall leans in, mm", "right")}
            {size("Deep", "depth")}
            {size("Diagonal from the left in front", "first")}
            {size("Diagonal from the right in front", "second")}
            {size("Free on each side at least", "gap")}
          </FieldRow>
        </>
      )}
    </section>
  );
}
