"use client";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** The choices of a low shelf: between legs it is as wide as they leave it, on a stretcher as wide as is wanted. */
export function ShelfFields() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const { shelf } = piece.form;
  const seat = plan.geometry.seats[0];
  const between = seat?.width === "between";
  const letIn = between && seat.letIn > 0;
  const size = (label: string, what: "height" | "width" | "thickness" | "gap" | "slatGap") => (
    <LengthField label={label} value={shelf[what]} onTake={(value) => set(label, ["form", "shelf", what], value)} />
  );
  return (
    <Group name="Shelf">
      <Choice
        label="Low shelf"
        value={shelf.kind}
        options={[
          { value: "none", name: "None" },
          {
            value: "solid",
            name: letIn
              ? "Let into the legs"
              : seat?.on === "brackets"
                ? "On brackets"
                : between
                  ? "On the stretchers"
                  : "On the stretcher",
          },
          { value: "slats", name: "Of slats" },
        ]}
        onTake={(value) => set("Shelf", ["form", "shelf", "kind"], value)}
      />
      {shelf.kind !== "none" && (
        <>
          {size("Shelf thickness", "thickness")}
          {shelf.kind === "slats" && (
            <>
              <NumberField
                label="Shelf slats"
                value={shelf.slats}
                onTake={(value) => set("Shelf slats", ["form", "shelf", "slats"], value)}
              />
              {size("Gap between them", "slatGap")}
            </>
          )}
          {between ? (
            <>
              {(letIn || seat?.on) && size("Shelf height", "height")}
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
