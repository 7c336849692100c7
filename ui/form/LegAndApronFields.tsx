"use client";
import { AutoLengthField } from "../fields/auto";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** The choices of legs and rails. */
export function LegAndApronFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { form } = piece;
  return (
    <>
      <Group name="Legs">
        <LengthField
          label="Leg section"
          value={form.leg.section}
          onTake={(value) => set("Leg section", ["form", "leg", "section"], value)}
        />
        <AutoLengthField
          label="Leg section across"
          value={form.leg.across}
          auto={form.leg.section}
          onTake={(value) => set("Leg section across", ["form", "leg", "across"], value)}
        />
        <Choice
          label="Legs end"
          value={form.leg.top}
          options={[
            { value: "under", name: "Below the top" },
            { value: "through", name: "Level with it, corners notched" },
          ]}
          onTake={(value) => set("Where legs end", ["form", "leg", "top"], value)}
        />
        {form.leg.top === "through" && (
          <LengthField
            label="Gap beside a leg in its notch"
            value={form.leg.gap}
            onTake={(value) => set("Gap beside a leg", ["form", "leg", "gap"], value)}
          />
        )}
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
      </Group>
      <Group name="Apron">
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
        <LengthField
          label="Arch below the rails"
          value={form.apron.arch}
          onTake={(value) => set("Arch below the rails", ["form", "apron", "arch"], value)}
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
      </Group>
      <Group name="Low stretchers">
        <Choice
          label="Low stretchers"
          value={form.low.kind}
          options={[
            { value: "none", name: "None" },
            { value: "box", name: "All round" },
            { value: "h", name: "At the ends, one between" },
            { value: "ends", name: "At the ends" },
          ]}
          onTake={(value) => set("Low stretchers", ["form", "low", "kind"], value)}
        />
        {form.low.kind !== "none" && (
          <LengthField
            label="Low stretcher thickness"
            value={form.low.thickness}
            onTake={(value) => set("Low stretcher thickness", ["form", "low", "thickness"], value)}
          />
        )}
      </Group>
    </>
  );
}
