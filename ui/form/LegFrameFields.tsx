"use client";
import type { LegFrameChoices } from "../../core/piece/leg-frame-choices";
import { LengthField } from "../fields/fields";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** A frame of legs below a case or a box. @param at  where its choices are kept */
export function LegFrameFields({ frame, at }: { frame: LegFrameChoices; at: readonly string[] }) {
  const { set } = useSet();
  const size = (label: string, key: keyof LegFrameChoices) => (
    <LengthField label={label} value={frame[key]} onTake={(to) => set(label, [...at, key], to)} />
  );
  return (
    <Group name="Leg frame">
      {size("Legs, square", "leg")}
      {size("Rails, deep", "depth")}
      {size("Rails, thick", "thickness")}
      {size("Legs set in", "setIn")}
      {size("Shadow gap", "gap")}
    </Group>
  );
}
