"use client";
import { BENT_WAYS } from "../../core/piece/bent-choices";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

const WAYS: Record<(typeof BENT_WAYS)[number], string> = {
  across: "Across the top",
  along: "Along the top",
  corner: "Toward the corners",
};

/** The choices of bent legs, leg and arm. */
export function BentFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { bent } = piece.form;
  const at = (...path: string[]) => ["form", "bent", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Group name="Legs">
        <Choice
          label="Arms run"
          value={bent.way}
          options={BENT_WAYS.map((value) => ({ value, name: WAYS[value] }))}
          onTake={(value) => set("Way of the arms", at("way"), value)}
        />
        <NumberField label="Splay, degrees" value={bent.splay} onTake={(to) => set("Splay", at("splay"), to)} />
        {size("Section at the bend", bent.section, "section")}
        {size("At the foot", bent.foot, "foot")}
        {size("Thickness", bent.thickness, "thickness")}
        {size("Set-in from the sides", bent.setIn.side, "setIn", "side")}
        {size("Set-in from the ends", bent.setIn.end, "setIn", "end")}
      </Group>
      <Group name="Arms">
        {size("Arm length", bent.arm.length, "arm", "length")}
        {size("Depth at the inner end", bent.arm.end, "arm", "end")}
        <Choice
          label="Mitre held by"
          value={bent.joint}
          options={[
            { value: "spline", name: "A spline" },
            { value: "loose", name: "Loose tenons" },
          ]}
          onTake={(value) => set("Mitre of the bend", at("joint"), value)}
        />
      </Group>
    </>
  );
}
