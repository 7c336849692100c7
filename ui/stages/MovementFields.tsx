"use client";
import { FASTENING_NAMES } from "../../core/movement/fastenings";
import { FILMS } from "../../core/movement/finish";
import { CONSTRUCTION_NAMES, CONSTRUCTIONS, FASTENINGS } from "../../core/piece/movement-choices";
import type { Piece } from "../../core/piece/schema";
import { AutoLengthField, Choice, DateField, FieldRow, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
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
          "How the top is made",
          ["form", "construction"],
          form.construction,
          CONSTRUCTIONS.map((kind) => [kind, CONSTRUCTION_NAMES[kind]] as const),
        )}
        <Construction piece={piece} set={set} thickness={plan.breadboards?.tongue.thickness ?? 0} />
      </FieldRow>
      {form.construction !== "slatted" && (
        <FieldRow>
          {choose(
            "Top fastened by",
            ["joints", "fastening"],
            joints.fastening,
            FASTENINGS.map((kind) => [kind, FASTENING_NAMES[kind].choice] as const),
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

function Construction({ piece, set, thickness }: { piece: Piece; set: Set; thickness: number }) {
  const { breadboard, channel, slats, frame, construction } = piece.form;
  const length = (label: string, group: string, field: string, value: number) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, ["form", group, field], to)} />
  );
  switch (construction) {
    case "solid":
      return null;
    case "breadboard":
      return (
        <>
          {length("End board width", "breadboard", "width", breadboard.width)}
          <Choice
            label="Joined by"
            value={breadboard.joint}
            options={[
              { value: "tongue", name: "Tongue, wider tenons" },
              { value: "loose-tenons", name: "Loose tenons" },
            ]}
            onTake={(to) => set("Breadboard joint", ["form", "breadboard", "joint"], to)}
          />
          {length("Tongue length", "breadboard", "tongue", breadboard.tongue)}
          <AutoLengthField
            label="Tongue thickness"
            value={breadboard.thickness}
            auto={thickness}
            onTake={(to) => set("Tongue thickness", ["form", "breadboard", "thickness"], to)}
          />
          <NumberField
            label="Pegs an end"
            value={breadboard.pegs}
            onTake={(to) => set("Pegs an end", ["form", "breadboard", "pegs"], to)}
          />
          {length("Peg", "breadboard", "peg", breadboard.peg)}
          <Choice
            label="Slots"
            value={breadboard.slots}
            options={[
              { value: "computed", name: "Each as long as it needs" },
              { value: "given", name: "All of one length" },
              { value: "none", name: "None: pegs tight" },
            ]}
            onTake={(to) => set("Peg slots", ["form", "breadboard", "slots"], to)}
          />
          {breadboard.slots === "given" && length("Slot length", "breadboard", "slot", breadboard.slot)}
          {breadboard.slots !== "none" && (
            <Tick
              label="Set off to the side they travel"
              checked={breadboard.setOff}
              onTake={yesNo(set, "Slots set off", ["form", "breadboard", "setOff"])}
            />
          )}
          {length("Draw offset", "breadboard", "drawOffset", breadboard.drawOffset)}
          {length("Gap at the ends", "breadboard", "endGap", breadboard.endGap)}
          {length("Glued at the fixed peg", "breadboard", "glued", breadboard.glued)}
          <Choice
            label="Length"
            value={breadboard.school}
            options={[
              { value: "long", name: "Left long" },
              { value: "flush-today", name: "Flush on the day" },
              { value: "flush-mid", name: "Flush at mid-season" },
            ]}
            onTake={(to) => set("Breadboard length", ["form", "breadboard", "school"], to)}
          />
        </>
      );
    case "channel":
      return (
        <>
          <NumberField
            label="Channels"
            value={channel.count}
            onTake={(to) => set("Channels", ["form", "channel", "count"], to)}
          />
          {length("Slot", "channel", "slot", channel.slot)}
          {length("Bolt", "channel", "bolt", channel.bolt)}
          {length("Washer", "channel", "washer", channel.washer)}
          {length("Room at its ends", "channel", "endRoom", channel.endRoom)}
          <Tick
            label="Set off for the season"
            checked={channel.setOff}
            onTake={yesNo(set, "Slots set off", ["form", "channel", "setOff"])}
          />
        </>
      );
    case "slatted":
      return (
        <>
          <NumberField
            label="Slats"
            value={slats.count}
            onTake={(to) => set("Slats", ["form", "slats", "count"], to)}
          />
          {length("Gap", "slats", "gap", slats.gap)}
          <Choice
            label="Screws across each"
            value={slats.screws}
            options={[
              { value: "one", name: "One" },
              { value: "two", name: "Two" },
            ]}
            onTake={(to) => set("Screws across a slat", ["form", "slats", "screws"], to)}
          />
          {slats.screws === "two" && (
            <>
              {length("Apart", "slats", "screwSpread", slats.screwSpread)}
              {length("Holes over the screw by", "slats", "clearance", slats.clearance)}
            </>
          )}
        </>
      );
    case "framed":
      return (
        <>
          {length("Frame width", "frame", "width", frame.width)}
          {length("Groove", "frame", "groove", frame.groove)}
          {length("Gap on the day", "frame", "gap", frame.gap)}
          <Choice
            label="Corners"
            value={frame.corners}
            options={[
              { value: "tenoned", name: "Tenoned" },
              { value: "mitred", name: "Mitred" },
            ]}
            onTake={(to) => set("Frame corners", ["form", "frame", "corners"], to)}
          />
          <Choice
            label="Panel"
            value={frame.panel}
            options={[
              { value: "floating", name: "Floating" },
              { value: "glued", name: "Glued in" },
            ]}
            onTake={(to) => set("Panel held", ["form", "frame", "panel"], to)}
          />
        </>
      );
  }
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
