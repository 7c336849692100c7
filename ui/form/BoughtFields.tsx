"use client";
import { BOUGHT_KINDS } from "../../core/piece/bought-choices";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

const NAMES: Record<(typeof BOUGHT_KINDS)[number], string> = {
  frames: "Welded frames",
  hairpins: "Hairpin legs",
  pedestal: "Pedestals",
  lift: "Lifting columns",
  welded: "One frame, welded to order",
};

/** What is known of bought legs: what was ordered, and what came. */
export function BoughtFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { bought } = piece.form;
  const { fastening, slotted, oversized } = piece.joints;
  const at = (...path: string[]) => ["form", "bought", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const number = (label: string, value: number, ...path: string[]) => (
    <NumberField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const { plate } = bought;
  const welded = bought.kind === "welded";
  return (
    <>
      <Group name="Bought legs">
        <Choice
          label="What is bought"
          value={bought.kind}
          options={BOUGHT_KINDS.map((value) => ({ value, name: NAMES[value] }))}
          onTake={(value) => set("Bought legs", at("kind"), value)}
        />
        {number(welded ? "Tubes across" : "How many", bought.count, "count")}
        {bought.kind === "hairpins" && (
          <Choice
            label="They stand"
            value={bought.legs}
            options={[
              { value: "corners", name: "At the corners" },
              { value: "circle", name: "In a circle, one on the grain’s line" },
            ]}
            onTake={(value) => set("Where hairpin legs stand", at("legs"), value)}
          />
        )}
        {bought.kind !== "hairpins" && size("Width across the top", bought.width, "width")}
        {size(welded ? "Square tube" : "Bar or tube", bought.bar, "bar")}
        {welded && number("Wall of the tube, mm", bought.welded.wall, "welded", "wall")}
        {welded && (
          <Tick
            label="Tubes on the floor at its ends"
            checked={bought.welded.sled}
            onTake={(to) => set("Tubes on the floor", at("welded", "sled"), to)}
          />
        )}
        {bought.kind === "hairpins" && size("Set-in from the sides", bought.setIn, "setIn")}
        {bought.kind === "hairpins" && size("Spread from plate to foot", bought.spread, "spread")}
        {bought.kind === "lift" && size("Lowest, under the top", bought.low, "low")}
        {bought.kind === "lift" && size("Highest, under the top", bought.high, "high")}
      </Group>
      <Group name={welded ? "Its holes" : "Plates"}>
        {!welded && size("Plate along the top", plate.length, "plate", "length")}
        {!welded && size("Plate across the top", plate.width, "plate", "width")}
        {!welded && size("Plate thickness", plate.thickness, "plate", "thickness")}
        {!welded && number("Rows of holes", plate.rows, "plate", "rows")}
        {number(welded ? "Holes in a tube" : "Holes in a row", plate.holes, "plate", "holes")}
        <Choice
          label="Holes"
          value={fastening === "slotted" || fastening === "oversized" ? fastening : "other"}
          options={[
            { value: "slotted", name: "Slots across the grain" },
            { value: "oversized", name: "Round, larger than the bolt" },
            ...(fastening === "slotted" || fastening === "oversized" ? [] : [{ value: "other", name: "Not chosen" }]),
          ]}
          onTake={(value) => (value === "other" ? null : set("Holes of the plates", ["joints", "fastening"], value))}
        />
        {fastening === "slotted" && (
          <LengthField
            label="Slot length"
            value={slotted.slot}
            onTake={(to) => set("Slot length", ["joints", "slotted", "slot"], to)}
          />
        )}
        {fastening === "oversized" && (
          <LengthField
            label="Hole"
            value={oversized.hole}
            onTake={(to) => set("Hole", ["joints", "oversized", "hole"], to)}
          />
        )}
        <Choice
          label="Bolts go into"
          value={bought.into}
          options={[
            { value: "inserts", name: "Threaded inserts" },
            { value: "screws", name: "Wood, as screws" },
          ]}
          onTake={(value) => set("What the bolts go into", at("into"), value)}
        />
      </Group>
      <Group name="Order">
        {!welded && number("Mass of one, kg", bought.mass, "mass")}
        {number(welded ? "Rated for, kg" : "Rated for, kg each", bought.rating, "rating")}
        {number("Lead time, weeks", bought.weeks, "weeks")}
        {welded && (
          <Choice
            label="Coated"
            value={bought.welded.coating}
            options={[
              { value: "raw", name: "Raw, oiled" },
              { value: "waxed", name: "Brushed and waxed" },
              { value: "powder", name: "Powder coated" },
            ]}
            onTake={(value) => set("Coating", at("welded", "coating"), value)}
          />
        )}
        {welded && number("Weeks of coating", bought.welded.coatingWeeks, "welded", "coatingWeeks")}
        {piece.form.shelf.kind !== "none" && !welded && (
          <LengthField
            label="Slot of a shelf bracket"
            value={bought.bracket.slot}
            onTake={(to) => set("Slot of a shelf bracket", at("bracket", "slot"), to)}
          />
        )}
        <Tick
          label="They came and were measured"
          checked={bought.measured}
          onTake={(to) => set("Bought legs measured", at("measured"), to)}
        />
      </Group>
    </>
  );
}
