"use client";
import { hatchHindrance } from "../../core/construction/hatch/hatch";
import type { HatchChoices } from "../../core/piece/hatch-choices";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

const KINDS: { value: HatchChoices["kind"]; name: string }[] = [
  { value: "none", name: "None" },
  { value: "hinged-back", name: "Hinged at its back edge" },
  { value: "hinged-front", name: "Hinged at its front edge" },
  { value: "lifts-out", name: "Lifts out" },
  { value: "slides-right", name: "Slides out of the right end" },
  { value: "slides-left", name: "Slides out of the left end" },
];

/** A lid that is part of the top. */
export function HatchFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { hatch } = piece.form;
  const slides = hatch.kind.startsWith("slides");
  const size = (label: string, key: Exclude<keyof HatchChoices, "kind">) => (
    <LengthField label={label} value={hatch[key]} onTake={(to) => set(label, ["form", "hatch", key], to)} />
  );
  return (
    <Group name="A lid in the top">
      <Choice
        label="Sawn out of it"
        value={hatch.kind}
        options={KINDS}
        onTake={(kind) => set("Lid in the top", ["form", "hatch", "kind"], kind)}
      />
      {hatch.kind !== "none" && hatchHindrance(piece.form) === null && (
        <>
          {size("Opening along the top", "length")}
          {size("Opening across it", "width")}
          {!slides && size("Right of the middle", "x")}
          {size("Behind the middle", "y")}
          {size("Gap all round", "gap")}
          {!slides && size("Ledge under it", "ledge")}
          {!slides && size("Ledge thickness", "thickness")}
        </>
      )}
    </Group>
  );
}
