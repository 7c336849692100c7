"use client";
import type { StakedChoices } from "../../core/piece/staked-choices";
import { AutoLengthField } from "../fields/auto";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

const SHAPES: { value: StakedChoices["shape"]; name: string }[] = [
  { value: "round", name: "Round" },
  { value: "square", name: "Square" },
];

/** The choices of legs that stand in the top itself. */
export function StakedFields() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const { staked } = piece.form;
  const joint = plan.joints.find((each) => each.kind === "staked");
  const at = (...path: string[]) => ["form", "staked", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const number = (label: string, value: number, ...path: string[]) => (
    <NumberField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Group name="Where legs stand">
        <Choice
          label="Legs stand"
          value={staked.stand}
          options={[
            { value: "corners", name: "At the four corners" },
            { value: "round", name: "Round the middle" },
          ]}
          onTake={(value) => set("Where legs stand", at("stand"), value)}
        />
        {staked.stand === "round"
          ? [
              number("Number of legs", staked.legs, "legs"),
              number("Turned by, degrees", staked.turn, "turn"),
              number("Splay outward, degrees", staked.splay.out, "splay", "out"),
              size("Mortises in from the rim", staked.setIn.rim, "setIn", "rim"),
            ]
          : [
              number("Splay to the ends, degrees", staked.splay.end, "splay", "end"),
              number("Splay to the sides, degrees", staked.splay.side, "splay", "side"),
              size("Mortises in from the ends", staked.setIn.end, "setIn", "end"),
              size("Mortises in from the sides", staked.setIn.side, "setIn", "side"),
            ]}
      </Group>
      <Group name="Legs">
        <Choice
          label="Shape"
          value={staked.shape}
          options={SHAPES}
          onTake={(value) => set("Leg shape", at("shape"), value)}
        />
        {size("Leg section", staked.section, "section")}
        {size("At the foot", staked.foot, "foot")}
        <Choice
          label="Made"
          value={staked.make}
          options={[
            { value: "solid", name: "From one stick" },
            { value: "laminated", name: "Glued from two" },
            { value: "three-leaves", name: "Glued from three" },
            { value: "four-leaves", name: "Glued from four" },
          ]}
          onTake={(value) => set("How legs are made", at("make"), value)}
        />
      </Group>
      <Group name="Tenons">
        <Choice
          label="Shape of the tenon"
          value={staked.tenon.shape}
          options={SHAPES}
          onTake={(value) => set("Tenon shape", at("tenon", "shape"), value)}
        />
        <Choice
          label="Where they end"
          value={staked.tenon.ends}
          options={[
            { value: "wedged", name: "Through, wedged" },
            { value: "blind", name: "Stopped in the top" },
          ]}
          onTake={(value) => set("Where tenons end", at("tenon", "ends"), value)}
        />
        <AutoLengthField
          label="Tenon across"
          value={staked.tenon.size}
          auto={joint?.size ?? 0}
          onTake={(to) => set("Tenon size", at("tenon", "size"), to)}
        />
        {staked.tenon.ends === "wedged" && size("Proud of the top", staked.tenon.proud, "tenon", "proud")}
      </Group>
    </>
  );
}
