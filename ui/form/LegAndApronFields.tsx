"use client";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

/** The choices of legs and rails. */
export function LegAndApronFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { form } = piece;
  return (
    <>
      <LengthField
        label="Leg section"
        value={form.leg.section}
        onTake={(value) => set("Leg section", ["form", "leg", "section"], value)}
      />
      <Choice
        label="Legs"
        value={form.leg.taper}
        options={[
          { value: "none", name: "Straight" },
          { value: "two-faces", name: "Tapered, inner faces" },
          { value: "four-faces", name: "Tapered, all faces" },
        ]}
        onTake={(value) => set("Taper", ["form", "leg", "taper"], value)}
      />
      <Choice
        label="Made"
        value={form.leg.make}
        options={[
          { value: "solid", name: "Solid" },
          { value: "laminated", name: "From two leaves" },
          { value: "core-faces", name: "Core, four resawn faces" },
          { value: "diagonal", name: "Two boards sawn at 45°" },
        ]}
        onTake={(value) => set("Leg making", ["form", "leg", "make"], value)}
      />
      <LengthField
        label="Apron thickness"
        value={form.apron.thickness}
        onTake={(value) => set("Apron thickness", ["form", "apron", "thickness"], value)}
      />
      <LengthField
        label="Reveal"
        value={form.apron.reveal}
        onTake={(value) => set("Reveal", ["form", "apron", "reveal"], value)}
      />
      <NumberField
        label="Cross-rails"
        value={form.crossRails}
        onTake={(value) => set("Cross-rails", ["form", "crossRails"], value)}
      />
      <Tick
        label="Corner blocks"
        checked={form.cornerBlocks}
        onTake={(value) => set("Corner blocks", ["form", "cornerBlocks"], value)}
      />
    </>
  );
}
