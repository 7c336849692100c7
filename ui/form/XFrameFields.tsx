"use client";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** The choices of X frames, part by part. */
export function XFrameFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { xFrame } = piece.form;
  const at = (...path: string[]) => ["form", "xFrame", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const { bearer, stretcher } = xFrame;
  return (
    <>
      <Group name="X frames">
        <Choice
          label="Frames"
          value={String(xFrame.frames)}
          options={[
            { value: "2", name: "Two" },
            { value: "3", name: "Three" },
          ]}
          onTake={(value) => set("X frames", at("frames"), Number(value))}
        />
        {size("Leg width", xFrame.width, "width")}
        {size("Leg thickness", xFrame.thickness, "thickness")}
        {size("Set-in on the floor", xFrame.inBelow, "inBelow")}
        {size("Set-in under the top", xFrame.inAbove, "inAbove")}
        <Choice
          label="Feet and heads are cut"
          value={xFrame.ends}
          options={[
            { value: "after-lap", name: "In one, the lap glued" },
            { value: "before", name: "Before the lap" },
          ]}
          onTake={(value) => set("When feet and heads are cut", at("ends"), value)}
        />
      </Group>
      <Group name="Bearers">
        {size("Set-in of the bearer", bearer.setIn, "bearer", "setIn")}
        {size("Bearer height", bearer.height, "bearer", "height")}
        {size("Bearer thickness", bearer.thickness, "bearer", "thickness")}
      </Group>
      <Group name="Stretcher">
        <Choice
          label="Stretcher"
          value={stretcher.kind}
          options={[
            { value: "crossing", name: "Through the crossings" },
            { value: "heads", name: "Between the bearers" },
            { value: "none", name: "None" },
          ]}
          onTake={(value) => set("Stretcher", at("stretcher", "kind"), value)}
        />
        {stretcher.kind !== "none" && (
          <>
            {size("Stretcher depth", stretcher.depth, "stretcher", "depth")}
            {size("Stretcher thickness", stretcher.thickness, "stretcher", "thickness")}
          </>
        )}
        {stretcher.kind === "crossing" && size("Tenon proud", stretcher.proud, "stretcher", "proud")}
      </Group>
    </>
  );
}
