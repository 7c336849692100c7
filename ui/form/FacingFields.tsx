"use client";
import { facingHindrance } from "../../core/construction/facing/facing";
import type { FacingChoices } from "../../core/piece/facing-choices";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

const KINDS: { value: FacingChoices["kind"]; name: string }[] = [
  { value: "none", name: "Nothing: bare wood" },
  { value: "cork", name: "Cork" },
  { value: "leather", name: "Leather" },
  { value: "linoleum", name: "Linoleum" },
];

/** A strip of something softer in the top. */
export function FacingFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { facing } = piece.form;
  const size = (label: string, key: Exclude<keyof FacingChoices, "kind" | "bed">) => (
    <LengthField label={label} value={facing[key]} onTake={(to) => set(label, ["form", "facing", key], to)} />
  );
  return (
    <Group name="A strip faced">
      <Choice
        label="Let into the top"
        value={facing.kind}
        options={KINDS}
        onTake={(kind) => set("Facing", ["form", "facing", "kind"], kind)}
      />
      {facing.kind !== "none" && (
        <Choice
          label="It lies"
          value={facing.bed}
          options={[
            { value: "trench", name: "In a trench of the panel" },
            { value: "strip", name: "On a strip of its own wood, between two halves" },
          ]}
          onTake={(bed) => set("Bed of the facing", ["form", "facing", "bed"], bed)}
        />
      )}
      {facing.kind !== "none" && facingHindrance(piece.form) === null && (
        <>
          {size("Facing width", "width")}
          {size("Facing thickness", "thickness")}
          {size("Behind the middle", "from")}
          {size("Proud of the top", "proud")}
          {size("Down over the ends", "wraps")}
        </>
      )}
    </Group>
  );
}
