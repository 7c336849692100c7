"use client";
import { Choice, LengthField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";
import { MITRE_NAMES } from "./mitres";

/** The choices of plank ends, part by part. */
export function PlankFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { plank } = piece.form;
  const at = (...path: string[]) => ["form", "plank", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const { stretcher } = plank;
  const closed = plank.joint === "mitred" && plank.floor === "mitred";
  return (
    <>
      <Group name="Ends">
        <Choice
          label="Ends"
          value={String(plank.ends)}
          options={[
            { value: "2", name: "Two" },
            { value: "3", name: "Three" },
          ]}
          onTake={(value) => set("Plank ends", at("ends"), Number(value))}
        />
        <Choice
          label="End to top"
          value={plank.joint}
          options={[
            { value: "mitred", name: "Mitred, grain running over" },
            { value: "housed", name: "Let into the top" },
            { value: "loose", name: "Loose tenons" },
            { value: "through", name: "Tenons through the top, wedged" },
          ]}
          onTake={(value) => set("End to top", at("joint"), value)}
        />
        {plank.joint !== "mitred" && size("Thickness of the ends", plank.thickness, "thickness")}
        {plank.joint !== "mitred" && size("Set-in of the ends", plank.setIn, "setIn")}
        {plank.joint === "through" && size("Proud of the top", plank.proud, "proud")}
        {plank.joint === "mitred" && (
          <Choice
            label="Mitres held by"
            value={plank.mitre}
            options={MITRE_NAMES}
            onTake={(value) => set("What holds the mitres", at("mitre"), value)}
          />
        )}
        {plank.joint === "mitred" && (
          <Choice
            label="Below"
            value={plank.floor}
            options={[
              { value: "none", name: "Open" },
              { value: "mitred", name: "A board, mitred to the ends" },
            ]}
            onTake={(value) => set("Board below", at("floor"), value)}
          />
        )}
        {plank.joint === "mitred" && (
          <Choice
            label="Top and ends"
            value={plank.blank}
            options={[
              { value: "apart", name: "Each from its own boards" },
              { value: "one", name: "In a row from one blank" },
            ]}
            onTake={(value) => set("Top and ends", at("blank"), value)}
          />
        )}
        {!closed && size("Foot relief", plank.relief, "relief")}
      </Group>
      <Group name="Stretcher">
        <Choice
          label="Stretcher"
          value={stretcher.kind}
          options={[
            { value: "wedged", name: "Through and wedged" },
            { value: "blind", name: "Blind tenons" },
            { value: "none", name: "None" },
          ]}
          onTake={(value) => set("Stretcher", at("stretcher", "kind"), value)}
        />
        {stretcher.kind !== "none" && (
          <>
            {size("Stretcher height", stretcher.height, "stretcher", "height")}
            {size("Stretcher depth", stretcher.depth, "stretcher", "depth")}
            {size("Stretcher thickness", stretcher.thickness, "stretcher", "thickness")}
          </>
        )}
        {stretcher.kind === "wedged" && size("Tenon proud", stretcher.proud, "stretcher", "proud")}
      </Group>
      <Group name="Wall">
        <Choice
          label="Wall between the ends"
          value={plank.wall.kind}
          options={[
            { value: "none", name: "None" },
            { value: "housed", name: "Let into both, grain along" },
          ]}
          onTake={(value) => set("Wall between the ends", at("wall", "kind"), value)}
        />
        {plank.wall.kind !== "none" && (
          <>
            <Choice
              label="It stands"
              value={plank.wall.place}
              options={[
                { value: "back", name: "At the back" },
                { value: "middle", name: "In the middle" },
              ]}
              onTake={(value) => set("Where the wall stands", at("wall", "place"), value)}
            />
            {size("Wall above the floor", plank.wall.height, "wall", "height")}
            {size("Wall from edge to edge", plank.wall.depth, "wall", "depth")}
            {size("Thickness of the wall", plank.wall.thickness, "wall", "thickness")}
          </>
        )}
      </Group>
    </>
  );
}
