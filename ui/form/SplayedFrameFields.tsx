"use client";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** The choices of splayed legs under rails, part by part. */
export function SplayedFrameFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { splayedFrame: frame } = piece.form;
  const at = (...path: string[]) => ["form", "splayedFrame", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const angle = (label: string, value: number, ...path: string[]) => (
    <NumberField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Group name="Legs">
        {angle("Splay toward the ends, degrees", frame.splay.end, "splay", "end")}
        {angle("Splay toward the sides, degrees", frame.splay.side, "splay", "side")}
        {size("Leg section", frame.section, "section")}
        {size("Leg section at the foot", frame.foot, "foot")}
        {size("Heads in from the ends", frame.setIn.end, "setIn", "end")}
        {size("Heads in from the sides", frame.setIn.side, "setIn", "side")}
      </Group>
      <Group name="Rails">
        <Choice
          label="Rails stand"
          value={frame.rail.stands}
          options={[
            { value: "leaning", name: "Leaning with the legs" },
            { value: "plumb", name: "Upright" },
          ]}
          onTake={(value) => set("How rails stand", at("rail", "stands"), value)}
        />
        {size("Rail depth", frame.rail.depth, "rail", "depth")}
        {size("Rail thickness", frame.rail.thickness, "rail", "thickness")}
        {size("Reveal", frame.rail.reveal, "rail", "reveal")}
      </Group>
      <Group name="Low stretchers">
        <Choice
          label="Low between the legs"
          value={frame.low.kind}
          options={[
            { value: "none", name: "Nothing" },
            { value: "box", name: "All round" },
            { value: "h", name: "An H" },
          ]}
          onTake={(value) => set("Low stretchers", at("low", "kind"), value)}
        />
        {frame.low.kind !== "none" && (
          <>
            {size("Stretchers above the floor", frame.low.height, "low", "height")}
            {size("Stretcher depth", frame.low.depth, "low", "depth")}
            {size("Stretcher thickness", frame.low.thickness, "low", "thickness")}
          </>
        )}
      </Group>
    </>
  );
}
