"use client";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";
import { LegFrameFields } from "./LegFrameFields";

/** The choices of a box: its walls and corners, its bottom, how its lid opens, what it stands on. */
export function BoxFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const choice = piece.form.box;
  const { lid, bottom } = choice;
  const { bracket } = lid;
  const at = (...path: string[]) => ["form", "box", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const number = (label: string, value: number, ...path: string[]) => (
    <NumberField label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Group name="Box">
        <Choice
          label="Corners"
          value={choice.corner}
          options={[
            { value: "splined", name: "Mitred, a spline in each" },
            { value: "loose-tenons", name: "Mitred, loose tenons" },
            { value: "keyed", name: "Mitred, keys across" },
            { value: "dowelled", name: "Mitred, dowels through" },
            { value: "dovetailed", name: "Dovetailed" },
            { value: "rebated", name: "Rebated, pinned" },
          ]}
          onTake={(value) => set("Corners", at("corner"), value)}
        />
        {choice.corner === "dovetailed" && (
          <Choice
            label="Dovetails slope"
            value={choice.slope}
            options={[
              { value: "1:8", name: "1 in 8" },
              { value: "1:6", name: "1 in 6" },
            ]}
            onTake={(value) => set("Slope of dovetails", at("slope"), value)}
          />
        )}
        <Choice
          label="Walls from"
          value={choice.blank}
          options={[
            { value: "apart", name: "Their own boards each" },
            { value: "one", name: "One blank, in a row" },
          ]}
          onTake={(value) => set("Walls from", at("blank"), value)}
        />
        {size("Thickness of the walls", choice.wall, "wall")}
        {choice.stands === "frame" && size("Height of the box", choice.high, "high")}
        {size("Overhang at the back", choice.behind, "behind")}
        <Choice
          label="Bottom, in a rebate"
          value={bottom.of}
          options={[
            { value: "sheet", name: "Sheet, glued" },
            { value: "solid", name: "Solid, free to move" },
            { value: "slats", name: "Slats, from front to back" },
          ]}
          onTake={(value) => set("Bottom", at("bottom", "of"), value)}
        />
        {bottom.of === "slats" && size("A slat about", bottom.slats.width, "bottom", "slats", "width")}
        {bottom.of === "slats" && size("Between slats", bottom.slats.gap, "bottom", "slats", "gap")}
        {size("Thickness of the bottom", bottom.thickness, "bottom", "thickness")}
        {bottom.of === "solid" && size("Free behind it, on the day", bottom.free, "bottom", "free")}
        {bottom.of === "solid" && size("Slots of its screws", bottom.slot, "bottom", "slot")}
        <Choice
          label="Stands on"
          value={choice.stands}
          options={[
            { value: "frame", name: "A frame of legs" },
            { value: "floor", name: "Its own walls" },
          ]}
          onTake={(value) => set("What the box stands on", at("stands"), value)}
        />
      </Group>
      <Group name="Lid">
        <Choice
          label="Opens"
          value={lid.way}
          options={[
            { value: "hinged", name: "On hinges behind" },
            { value: "lift", name: "Up and forward, on brackets" },
            { value: "loose", name: "Lifted off" },
          ]}
          onTake={(value) => set("How the lid opens", at("lid", "way"), value)}
        />
        {size("Gap under it", lid.gap, "lid", "gap")}
        {lid.way === "hinged" && (
          <Tick
            label="A stay holds it"
            checked={lid.stay}
            onTake={(value) => set("Lid stay", at("lid", "stay"), value)}
          />
        )}
        {number("Steel below it, kg", lid.ballast, "lid", "ballast")}
      </Group>
      {lid.way === "lift" && (
        <Group name="Lift brackets, as they are sold">
          {number("Lift from, kg", bracket.low, "lid", "bracket", "low")}
          {number("Lift up to, kg", bracket.high, "lid", "bracket", "high")}
          {number("One weighs, kg", bracket.mass, "lid", "bracket", "mass")}
          {size("Long, folded up", bracket.length, "lid", "bracket", "length")}
          {size("High, folded up", bracket.height, "lid", "bracket", "height")}
          {size("Wide", bracket.width, "lid", "bracket", "width")}
          {size("Lid goes up", bracket.rise, "lid", "bracket", "rise")}
          {size("Lid comes forward", bracket.forward, "lid", "bracket", "forward")}
          {size("Flange on the walls", bracket.flange, "lid", "bracket", "flange")}
          {size("Screws, long", bracket.screw, "lid", "bracket", "screw")}
          {size("Slots across the grain", bracket.slot, "lid", "bracket", "slot")}
          {number("Weeks until they come", bracket.weeks, "lid", "bracket", "weeks")}
          <Tick
            label="They came and were measured"
            checked={bracket.measured}
            onTake={(value) => set("Brackets measured", at("lid", "bracket", "measured"), value)}
          />
        </Group>
      )}
      {choice.stands === "frame" && <LegFrameFields frame={choice.frame} at={at("frame")} />}
    </>
  );
}
