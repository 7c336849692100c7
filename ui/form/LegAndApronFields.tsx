"use client";
import type { Form } from "../../core/piece/schema";
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
  const size = <G extends "leg" | "apron" | "low">(label: string, group: G, what: keyof Form[G] & string) => (
    <LengthField
      label={label}
      value={form[group][what] as number}
      onTake={(value) => set(label, ["form", group, what], value)}
    />
  );
  return (
    <>
      <Group name="Legs">
        {size("Leg section", "leg", "section")}
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
        {form.leg.top === "through" && size("Gap beside a leg in its notch", "leg", "gap")}
        <Choice
          label="Taper"
          value={form.leg.taper}
          options={[
            { value: "none", name: "None, straight" },
            { value: "two-faces", name: "Inner faces" },
            { value: "four-faces", name: "All faces" },
            { value: "turned", name: "Turned round" },
          ]}
          onTake={(value) => set("Taper", ["form", "leg", "taper"], value)}
        />
        <Choice
          label="Made"
          value={form.leg.make}
          options={[
            { value: "solid", name: "Solid" },
            { value: "laminated", name: "From two leaves" },
            { value: "three-leaves", name: "From three leaves" },
            { value: "four-leaves", name: "From four leaves" },
            { value: "core-faces", name: "Core, four resawn faces" },
            { value: "diagonal", name: "Two boards sawn at 45°" },
          ]}
          onTake={(value) => set("Leg making", ["form", "leg", "make"], value)}
        />
      </Group>
      <Group name="Apron">
        {size("Apron thickness", "apron", "thickness")}
        {size("Reveal", "apron", "reveal")}
        {size("Arch below the rails", "apron", "arch")}
        <NumberField
          label="Cross-rails"
          value={form.crossRails}
          onTake={(value) => set("Cross-rails", ["form", "crossRails"], value)}
        />
        <Tick
          label="Middle legs"
          checked={form.middleLegs}
          onTake={(value) => set("Middle legs", ["form", "middleLegs"], value)}
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
        {form.low.kind !== "none" && size("Low stretcher thickness", "low", "thickness")}
      </Group>
    </>
  );
}
