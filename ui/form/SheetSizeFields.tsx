"use client";
import { SHEETS } from "../../core/assembly/material";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** How large sheets are bought. */
export function SheetSizeFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { sheetSold } = piece.form;
  return (
    <>
      <Choice
        label="Sheets are bought"
        value={sheetSold ? "own" : "usual"}
        options={[
          { value: "usual", name: "As usually sold" },
          { value: "own", name: "In a size of their own" },
        ]}
        onTake={(value) => set("Size of sheets", ["form", "sheetSold"], value === "own" ? SHEETS.plywood.sold : null)}
      />
      {sheetSold && (
        <>
          <LengthField
            label="Along its grain"
            value={sheetSold.length}
            onTake={(to) => set("Sheet length", ["form", "sheetSold", "length"], to)}
          />
          <LengthField
            label="Across it"
            value={sheetSold.width}
            onTake={(to) => set("Sheet width", ["form", "sheetSold", "width"], to)}
          />
        </>
      )}
    </>
  );
}
