"use client";
import type { Piece } from "../../core/piece/schema";
import { AutoLengthField } from "../fields/auto";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import type { useSet } from "../piece/useSet";
import { StripeFields } from "./StripeFields";

type Set = ReturnType<typeof useSet>["set"];
interface Facts {
  piece: Piece;
  set: Set;
}

/** The sizes of what was chosen for a top: its field, its ends, what keeps it flat. */
export function TopFields({ piece, set, thickness }: Facts & { thickness: number }) {
  const { field, ends, stiffener } = piece.form;
  return (
    <>
      {field === "slats" && <Slats piece={piece} set={set} />}
      {field === "stripes" && <StripeFields piece={piece} set={set} />}
      {ends === "breadboards" && <Breadboards piece={piece} set={set} thickness={thickness} />}
      {ends === "frame" && <Frame piece={piece} set={set} />}
      {field !== "slats" && field !== "slabs" && ends !== "frame" && stiffener === "channels" && (
        <Channels piece={piece} set={set} />
      )}
      {field !== "slats" && field !== "slabs" && ends !== "frame" && stiffener === "ring" && (
        <Ring piece={piece} set={set} />
      )}
      {field !== "slats" && field !== "slabs" && ends !== "frame" && stiffener === "battens" && (
        <Battens piece={piece} set={set} />
      )}
    </>
  );
}

const lengths = (set: Set) =>
  function length(label: string, group: string, field: string, value: number) {
    return <LengthField label={label} value={value} onTake={(to) => set(label, ["form", group, field], to)} />;
  };

function Breadboards({ piece, set, thickness }: Facts & { thickness: number }) {
  const { breadboard, field } = piece.form;
  const length = lengths(set);
  const slats = field === "slats";
  return (
    <>
      {length("End board width", "breadboard", "width", breadboard.width)}
      {!slats && (
        <Choice
          label="Joined by"
          value={breadboard.joint}
          options={[
            { value: "tongue", name: "Tongue, wider tenons" },
            { value: "loose-tenons", name: "Loose tenons" },
          ]}
          onTake={(to) => set("Breadboard joint", ["form", "breadboard", "joint"], to)}
        />
      )}
      {length("Tongue length", "breadboard", "tongue", breadboard.tongue)}
      <AutoLengthField
        label="Tongue thickness"
        value={breadboard.thickness}
        auto={thickness}
        onTake={(to) => set("Tongue thickness", ["form", "breadboard", "thickness"], to)}
      />
      {length("Peg", "breadboard", "peg", breadboard.peg)}
      {!slats && (
        <>
          <NumberField
            label="Pegs an end"
            value={breadboard.pegs}
            onTake={(to) => set("Pegs an end", ["form", "breadboard", "pegs"], to)}
          />
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
              onTake={(to) => set("Slots set off", ["form", "breadboard", "setOff"], to)}
            />
          )}
          {length("Gap at the ends", "breadboard", "endGap", breadboard.endGap)}
        </>
      )}
      {length("Draw offset", "breadboard", "drawOffset", breadboard.drawOffset)}
      {length(
        slats ? "Glued at each slat’s middle" : "Glued at the fixed peg",
        "breadboard",
        "glued",
        breadboard.glued,
      )}
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
}

function Channels({ piece, set }: Facts) {
  const { channel } = piece.form;
  const length = lengths(set);
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
        onTake={(to) => set("Slots set off", ["form", "channel", "setOff"], to)}
      />
    </>
  );
}

function Ring({ piece, set }: Facts) {
  const { ring } = piece.form;
  const length = lengths(set);
  return (
    <>
      <Choice
        label="Segments"
        value={ring.segments}
        options={(["6", "8", "10", "12", "16"] as const).map((value) => ({ value, name: value }))}
        onTake={(to) => set("Segments of the ring", ["form", "ring", "segments"], to)}
      />
      {length("Ring width", "ring", "width", ring.width)}
      {length("Ring thickness", "ring", "thickness", ring.thickness)}
      {length("Set in", "ring", "setIn", ring.setIn)}
      {length("Slot", "ring", "slot", ring.slot)}
    </>
  );
}

function Battens({ piece, set }: Facts) {
  const { batten } = piece.form;
  const length = lengths(set);
  return (
    <>
      <NumberField
        label="Battens"
        value={batten.count}
        onTake={(to) => set("Battens", ["form", "batten", "count"], to)}
      />
      {length("Batten width", "batten", "width", batten.width)}
      {length("Batten thickness", "batten", "thickness", batten.thickness)}
      {length("Screw", "batten", "screw", batten.screw)}
      {length("Slot", "batten", "slot", batten.slot)}
      <Tick
        label="Set off for the season"
        checked={batten.setOff}
        onTake={(to) => set("Slots set off", ["form", "batten", "setOff"], to)}
      />
    </>
  );
}

function Slats({ piece, set }: Facts) {
  const { slats } = piece.form;
  const length = lengths(set);
  return (
    <>
      <NumberField label="Slats" value={slats.count} onTake={(to) => set("Slats", ["form", "slats", "count"], to)} />
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
}

function Frame({ piece, set }: Facts) {
  const { frame, field } = piece.form;
  const length = lengths(set);
  return (
    <>
      {length("Frame width", "frame", "width", frame.width)}
      {length("Groove", "frame", "groove", frame.groove)}
      <Choice
        label="Corners"
        value={frame.corners}
        options={[
          { value: "tenoned", name: "Tenoned" },
          { value: "mitred", name: "Mitred" },
        ]}
        onTake={(to) => set("Frame corners", ["form", "frame", "corners"], to)}
      />
      {field === "solid" && (
        <>
          {length("Gap on the day", "frame", "gap", frame.gap)}
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
      )}
    </>
  );
}
