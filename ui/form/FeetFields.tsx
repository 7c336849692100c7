"use client";
import { feetHindrance } from "../../core/construction/fitting/feet";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** Bought feet under the wood, as they are sold. */
export function FeetFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { feet } = piece.form;
  if (feetHindrance(piece.form) !== null) return null;
  const { kind } = feet;
  const size = (label: string, what: "height" | "diameter" | "hole" | "deep" | "range") => (
    <LengthField
      key={label}
      label={label}
      value={kind === "levelling" ? feet.levelling[what] : kind === "none" || what === "range" ? 0 : feet[kind][what]}
      onTake={(to) => set(label, ["form", "feet", kind, what], to)}
    />
  );
  return (
    <Group name="Feet">
      <Choice
        label="It stands on"
        value={kind}
        options={[
          { value: "none", name: "Its own wood" },
          { value: "glides", name: "Glides" },
          { value: "rubber", name: "Rubber feet" },
          { value: "levelling", name: "Levelling feet" },
        ]}
        onTake={(value) => set("Feet", ["form", "feet", "kind"], value)}
      />
      {kind !== "none" && (
        <>
          {size("Height of a foot", "height")}
          {kind === "levelling" && size("It turns out", "range")}
          {size("Across a foot", "diameter")}
          {size("Hole for it", "hole")}
          {size("and deep", "deep")}
          <NumberField
            label="One carries, kg"
            value={feet[kind].carries}
            onTake={(to) => set("What a foot carries", ["form", "feet", kind, "carries"], to)}
          />
        </>
      )}
    </Group>
  );
}
