"use client";
import { turnHindrance } from "../../core/construction/turning/turn";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** A top folded over itself that turns a quarter and opens. */
export function TurnFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { turn } = piece.form;
  const at = (...path: string[]) => ["form", "turn", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <Group name="A top that turns">
      <Choice
        label="The top"
        value={turn.kind}
        options={[
          { value: "none", name: "Stays where it is" },
          { value: "fold", name: "Folded, turns and opens" },
        ]}
        onTake={(value) => set("A top that turns", at("kind"), value)}
      />
      {turn.kind !== "none" && turnHindrance(piece.form) === null && (
        <>
          {size("Width of the pivot’s rail", turn.rail.width, "rail", "width")}
          {size("Its thickness", turn.rail.thickness, "rail", "thickness")}
          {size("Pivot bolt", turn.bolt, "bolt")}
        </>
      )}
    </Group>
  );
}
