"use client";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** What closes a case behind: a sheet, boards that lap, a frame with panels, or nothing. */
export function CaseBackFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const choice = piece.form.case;
  const at = (...path: string[]) => ["form", "case", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Choice
        label="Back"
        value={choice.back}
        options={[
          { value: "sheet", name: "Sheet in a rebate" },
          { value: "framed", name: "Frame with panels" },
          { value: "boards", name: "Boards that lap" },
          { value: "none", name: "None" },
        ]}
        onTake={(value) => set("Back", at("back"), value)}
      />
      {choice.back === "sheet" && size("Sheet, as measured", choice.sheet, "sheet")}
      {(choice.back === "boards" || choice.back === "framed") &&
        size("Thickness of the back", choice.backs.thickness, "backs", "thickness")}
      {choice.back === "boards" && (
        <>
          {size("Boards about", choice.backs.board, "backs", "board")}
          {size("They lap", choice.backs.lap, "backs", "lap")}
          {size("Left in a lap", choice.backs.gap, "backs", "gap")}
        </>
      )}
      {choice.back === "framed" && (
        <>
          {size("Back’s stiles", choice.backs.stile, "backs", "stile")}
          {size("Back’s rails", choice.backs.rail, "backs", "rail")}
          {size("Back’s panels", choice.backs.panelThickness, "backs", "panelThickness")}
          {size("Their grooves", choice.backs.groove, "backs", "groove")}
          {size("Free in them", choice.backs.free, "backs", "free")}
        </>
      )}
    </>
  );
}
