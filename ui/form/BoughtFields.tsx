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
  return (
    <>
      <Group name="Bought legs">
        <Choice
          label="What is bought"
          value={bought.kind}
          options={BOUGHT_KINDS.map((value) => ({ value, name: NAMES[value] }))}
          onTake={(value) => set("Bought legs", at("kind"), value)}
        />
        {number("How many", bought.count, "count")}
        {bought.kind !== "hairpins" && size("Width across the top", bought.width, "width")}
        {size("Bar or tube", bought.bar, "bar")}
        {bought.kind === "hairpins" && size("Set-in from the sides", bought.setIn, "setIn")}
        {bought.kind === "hairpins" && size("Spread from plate to foot", bought.spread, "spread")}
        {bought.kind === "lift" && size("Lowest, under the top", bought.low, "low")}
        {bought.kind === "lift" && size("Highest, under the top", bought.high, "high")}
      </Group>
      <Group name="Plates">
        {size("Plate along the top", plate.length, "plate", "length")}
        {size("Plate across the top", plate.width, "plate", "width")}
        {size("Plate thickness", plate.thickness, "plate", "thickness")}
        {number("Rows of holes", plate.rows, "plate", "rows")}
        {number("Holes in a row", plate.holes, "plate", "holes")}
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
        {number("Mass of one, kg", bought.mass, "mass")}
        {number("Rated for, kg each", bought.rating, "rating")}
        {number("Lead time, weeks", bought.weeks, "weeks")}
        <Tick
          label="They came and were measured"
          checked={bought.measured}
          onTake={(to) => set("Bought legs measured", at("measured"), to)}
        />
      </Group>
    </>
  );
}
