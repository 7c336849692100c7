"use client";
import { Choice } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const SEQUENCES = [
  { value: "least-waste", name: "Whichever wastes least" },
  { value: "crosscut-first", name: "Crosscut first, short rips" },
  { value: "rip-first", name: "Rip whole boards first" },
] as const;
const LEGS = [
  { value: "left-long", name: "Stay long until the base stands" },
  { value: "to-length", name: "Are sawn to length at once" },
] as const;

/** In which order boards are sawn apart, and when legs get their length. */
export function CuttingChoices() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  return (
    <>
      <Choice
        label="Order of sawing"
        value={piece.cutting.sequence}
        options={SEQUENCES}
        onTake={(value) => set("Order of sawing", ["cutting", "sequence"], value)}
      />
      {plan.parts.some(({ role }) => role === "leg") && (
        <Choice
          label="Legs"
          value={piece.choices.legs}
          options={LEGS}
          onTake={(value) => set("When legs get their length", ["choices", "legs"], value)}
        />
      )}
    </>
  );
}
