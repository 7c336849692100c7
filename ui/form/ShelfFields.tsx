"use client";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** The choices of a low shelf: between legs it is as wide as they leave it, on a stretcher as wide as is wanted. */
export function ShelfFields() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const { shelf } = piece.form;
  const between = plan.geometry.seats[0]?.width === "between";
  const size = (label: string, what: "height" | "width" | "thickness" | "gap") => (
    <LengthField label={label} value={shelf[what]} onTake={(value) => set(label, ["form", "shelf", what], value)} />
  );
  return (
    <Group name="Shelf">
      <Choice
        label="Low shelf"
        value={shelf.kind}
        options={[
          { value: "none", name: "None" },
          { value: "solid", name: between ? "Let into the legs" : "On the stretcher" },
        ]}
        onTake={(value) => set("Shelf", ["form", "shelf", "kind"], value)}
      />
      {shelf.kind !== "none" && (
        <>
          {size("Shelf thickness", "thickness")}
          {between ? (
            <>
              {size("Shelf height", "height")}
              {size("Gap at each edge on the day", "gap")}
            </>
          ) : (
            size("Shelf width", "width")
          )}
        </>
      )}
    </Group>
  );
}
