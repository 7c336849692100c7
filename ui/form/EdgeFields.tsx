"use client";
import { bevelOf } from "../../core/construction/top/bevel";
import { AutoLengthField, AutoNumberField } from "../fields/auto";
import { LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** How large a top's edge is worked; of a bevel below, what stays at its rim and how steep it is. */
export function EdgeFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { edge } = piece.form.top;
  const at = (what: string) => ["form", "top", "edge", what];
  const bevel = bevelOf(piece.form);
  return (
    <>
      {(edge.kind !== "bevel-below" || edge.angle === null) && (
        <LengthField
          label={edge.kind === "bevel-below" ? "Bevel begins, from the edge" : "Edge size"}
          value={edge.size}
          onTake={(to) => set("Edge size", at("size"), to)}
        />
      )}
      {edge.kind === "bevel-below" && bevel && (
        <>
          <AutoLengthField
            label="Left at the rim"
            value={edge.rim}
            auto={bevel.rim}
            onTake={(to) => set("Left at the rim", at("rim"), to)}
          />
          <AutoNumberField
            label="Its angle, from below"
            value={edge.angle}
            auto={Math.round(10 * bevel.angle) / 10}
            onTake={(to) => set("Angle of the bevel below", at("angle"), to)}
          />
        </>
      )}
    </>
  );
}
