"use client";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** How a case's doors are made, hung and kept shut. */
export function DoorFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { doors } = piece.form.case;
  const at = (...path: string[]) => ["form", "case", "doors", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const framed = doors.build === "framed";
  return (
    <Group name="Doors">
      <Choice
        label="Doors close"
        value={doors.mount}
        options={[
          { value: "inset", name: "In their openings, on butt hinges" },
          { value: "overlay", name: "Before the case, on cup hinges" },
        ]}
        onTake={(value) => set("Doors close", at("mount"), value)}
      />
      <Choice
        label="Doors are"
        value={doors.build}
        options={[
          { value: "framed", name: "Frame and panel" },
          { value: "battened", name: "Boards with battens behind" },
        ]}
        onTake={(value) => set("How doors are made", at("build"), value)}
      />
      {doors.mount === "inset" && (
        <Choice
          label="Kept shut by"
          value={doors.latch}
          options={[
            { value: "none", name: "Nothing" },
            { value: "magnets", name: "Magnets in a stop" },
            { value: "ball", name: "Ball catches, and a stop" },
          ]}
          onTake={(value) => set("What keeps doors shut", at("latch"), value)}
        />
      )}
      {size("Thickness of doors", doors.thickness, "thickness")}
      {!framed && (
        <>
          {size("Battens", doors.batten.width, "batten", "width")}
          {size("Thickness of battens", doors.batten.thickness, "batten", "thickness")}
          {size("Their slots", doors.batten.slot, "batten", "slot")}
        </>
      )}
      {framed && (
        <>
          {size("Stiles", doors.stile, "stile")}
          {size("Rails of doors", doors.rail, "rail")}
          <Choice
            label="Panels"
            value={doors.panel}
            options={[
              { value: "solid", name: "Solid, free in their grooves" },
              { value: "sheet", name: "Sheet" },
            ]}
            onTake={(value) => set("Door panels", at("panel"), value)}
          />
          {size("Thickness of panels", doors.panelThickness, "panelThickness")}
          {size("Grooves, deep", doors.groove, "groove")}
          {doors.panel === "solid" && size("Free at each side, on the day", doors.free, "free")}
        </>
      )}
      {size("Gap round a door, on the day", doors.gap, "gap")}
    </Group>
  );
}
