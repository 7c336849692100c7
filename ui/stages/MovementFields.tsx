"use client";
import { WAYS } from "../../core/joinery/fastening";
import { FILMS } from "../../core/movement/finish";
import { ENDS, FASTENINGS, FIELDS, STIFFENERS, TOP_NAMES } from "../../core/piece/movement-choices";
import type { Piece } from "../../core/piece/schema";
import { Choice, DateField, FieldRow, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { TopFields } from "./TopFields";
import { useSet } from "../piece/useSet";

type Set = ReturnType<typeof useSet>["set"];
const yesNo = (set: Set, label: string, path: string[]) => (value: boolean) => set(label, path, value);

/** What the wood starts from, what meets it, how the top is made and what holds it: one row each. */
export function MovementFields() {
  const { piece, plan, today } = usePiece();
  const { set } = useSet();
  const { form, joints, faces } = piece;
  const choose = <T extends string>(
    label: string,
    path: string[],
    value: T,
    options: readonly (readonly [T, string])[],
  ) => (
    <Choice
      label={label}
      value={value}
      options={options.map(([id, name]) => ({ value: id, name }))}
      onTake={(to) => set(label, path, to)}
    />
  );
  return (
    <>
      <FieldRow>
        {choose(
          "Top made of",
          ["form", "field"],
          form.field,
          FIELDS.map((id) => [id, TOP_NAMES.field[id]] as const),
        )}
        {choose(
          "At its ends",
          ["form", "ends"],
          form.ends,
          ENDS.map((id) => [id, TOP_NAMES.ends[id]] as const),
        )}
        {form.field !== "slats" &&
          form.field !== "slabs" &&
          form.ends !== "frame" &&
          choose(
            "Kept flat by",
            ["form", "stiffener"],
            form.stiffener,
            STIFFENERS.map((id) => [id, TOP_NAMES.stiffener[id]] as const),
          )}
        <TopFields piece={piece} set={set} thickness={plan.breadboards?.tongue.thickness ?? 0} />
      </FieldRow>
      {form.field !== "slats" && (
        <FieldRow>
          {choose(
            "Top fastened by",
            ["joints", "fastening"],
            joints.fastening,
            FASTENINGS.map((kind) => [kind, WAYS[kind].names.choice] as const),
          )}
          {choose("Fixed line", ["choices", "fixedLine"], piece.choices.fixedLine, [
            ["centre", "Centre"],
            ["front-edge", "Front edge"],
            ["back-edge", "Back edge, the wall"],
          ])}
          <Fastening piece={piece} set={set} />
        </FieldRow>
      )}
      <FieldRow>
        <NumberField
          label="Measured moisture"
          suffix="%"
          value={piece.moisture.value}
          onTake={(value) => set("Measured moisture", ["moisture"], { value, on: today })}
        />
        <DateField
          label="Measured on"
          value={piece.moisture.on}
          onTake={(value) => value && set("Measured on", ["moisture", "on"], value)}
        />
        <DateField
          label="Delivered on"
          value={plan.delivered}
          onTake={(value) => set("Delivered on", ["delivery"], value)}
        />
        <Choice
          label="Finish"
          value={piece.finish}
          options={FILMS.filter((film) => film.id !== "varnish-one").map((film) => ({
            value: film.id as Piece["finish"],
            name: film.name,
          }))}
          onTake={(value) => set("Finish", ["finish"], value)}
        />
        {choose("Finish below", ["faces", "below"], faces.below, [
          ["alike", "Alike"],
          ["one-coat", "One coat"],
          ["bare", "Bare"],
        ])}
        {choose("Above it", ["faces", "sun"], faces.sun, [
          ["room", "The room"],
          ["sun", "Sun on it"],
        ])}
        {choose("Below it", ["faces", "heater"], faces.heater, [
          ["room", "The room"],
          ["heater", "A heater"],
        ])}
      </FieldRow>
    </>
  );
}

function Fastening({ piece, set }: { piece: Piece; set: Set }) {
  const { fastening, buttons, figure8, zClip, slotted, oversized, loose } = piece.joints;
  const length = (label: string, group: string, field: string, value: number) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, ["joints", group, field], to)} />
  );
  const spacing = length("Spacing", "buttons", "spacing", buttons.spacing);
  switch (fastening) {
    case "button":
      return (
        <>
          {length("End slot length", "buttons", "slotLength", buttons.slotLength)}
          {length("Button width", "buttons", "width", buttons.width)}
          {spacing}
        </>
      );
    case "figure-8":
      return (
        <>
          {length("Between centres", "figure8", "centres", figure8.centres)}
          <NumberField
            label="Recess swings"
            suffix="°"
            value={figure8.swing}
            onTake={(to) => set("Recess lets it swing", ["joints", "figure8", "swing"], to)}
          />
          <Choice
            label="On what runs along the grain"
            value={figure8.lengthwise}
            options={[
              { value: "along", name: "Laid along the rail" },
              { value: "across", name: "Pointing inward" },
            ]}
            onTake={(to) => set("Plates along the grain", ["joints", "figure8", "lengthwise"], to)}
          />
          {spacing}
        </>
      );
    case "z-clip":
      return (
        <>
          {length("Groove", "zClip", "groove", zClip.groove)}
          {length("Engaged", "zClip", "engaged", zClip.engaged)}
          {spacing}
        </>
      );
    case "slotted":
      return (
        <>
          {length("Slot", "slotted", "slot", slotted.slot)}
          {length("Screw", "slotted", "screw", slotted.screw)}
          <Tick
            label="Set off for the season"
            checked={slotted.setOff}
            onTake={yesNo(set, "Slots set off", ["joints", "slotted", "setOff"])}
          />
          {spacing}
        </>
      );
    case "oversized":
      return (
        <>
          {length("Hole", "oversized", "hole", oversized.hole)}
          {length("Screw", "oversized", "screw", oversized.screw)}
          {length("Washer", "oversized", "washer", oversized.washer)}
          <Tick
            label="Set off for the season"
            checked={oversized.setOff}
            onTake={yesNo(set, "Holes set off", ["joints", "oversized", "setOff"])}
          />
          {spacing}
        </>
      );
    case "loose":
      return (
        <>
          {length("Gap at the tabs", "loose", "gap", loose.gap)}
          {spacing}
        </>
      );
    case "screwed":
      return spacing;
  }
}
