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
  const round = frame.stand === "round";
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
        <Choice
          label="Legs stand"
          value={frame.stand}
          options={[
            { value: "corners", name: "Four, at the corners" },
            { value: "round", name: "In a round" },
          ]}
          onTake={(value) => set("Where legs stand", at("stand"), value)}
        />
        {round ? (
          <>
            <Choice
              label="Legs"
              value={String(frame.ring.legs)}
              options={[
                { value: "3", name: "Three" },
                { value: "4", name: "Four" },
                { value: "5", name: "Five" },
                { value: "6", name: "Six" },
              ]}
              onTake={(n) => set("Legs in a round", at("ring", "legs"), Number(n))}
            />
            {angle("First leg turned, degrees", frame.ring.turn, "ring", "turn")}
            {angle("Splay outward, degrees", frame.ring.splay, "ring", "splay")}
          </>
        ) : (
          <>
            {angle("Splay toward the ends, degrees", frame.splay.end, "splay", "end")}
            {angle("Splay toward the sides, degrees", frame.splay.side, "splay", "side")}
          </>
        )}
        <Choice
          label="Below the rails"
          value={frame.shape}
          options={[
            { value: "square", name: "Square, or tapered" },
            { value: "round", name: "Turned round" },
          ]}
          onTake={(value) => set("Legs below the rails", at("shape"), value)}
        />
        {size("Leg section", frame.section, "section")}
        {size("Leg section at the foot", frame.foot, "foot")}
        {round ? (
          size("Heads in from the rim", frame.ring.setIn, "ring", "setIn")
        ) : (
          <>
            {size("Heads in from the ends", frame.setIn.end, "setIn", "end")}
            {size("Heads in from the sides", frame.setIn.side, "setIn", "side")}
          </>
        )}
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
          value={round && frame.low.kind === "h" ? "box" : frame.low.kind}
          options={[
            { value: "none", name: "Nothing" },
            { value: "box", name: "All round" },
            ...(round ? [] : [{ value: "h" as const, name: "An H" }]),
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
