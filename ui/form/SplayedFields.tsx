"use client";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** The choices of splayed legs under arms, part by part. */
export function SplayedFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { splayed } = piece.form;
  const at = (...path: string[]) => ["form", "splayed", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  return (
    <>
      <Group name="Legs">
        <Choice
          label="Legs"
          value={String(splayed.legs)}
          options={[
            { value: "3", name: "Three" },
            { value: "4", name: "Four" },
            { value: "5", name: "Five" },
            { value: "6", name: "Six" },
          ]}
          onTake={(value) => set("Splayed legs", at("legs"), Number(value))}
        />
        <NumberField label="Splay, degrees" value={splayed.splay} onTake={(to) => set("Splay", at("splay"), to)} />
        <Choice
          label="Shape"
          value={splayed.shape}
          options={[
            { value: "square", name: "Square" },
            { value: "round", name: "Turned round" },
          ]}
          onTake={(value) => set("Leg shape", at("shape"), value)}
        />
        {size("Leg section", splayed.section, "section")}
        {size("Leg section at the foot", splayed.foot, "foot")}
        <Choice
          label="Heads"
          value={splayed.rim.kind}
          options={[
            { value: "under", name: "Under the top" },
            { value: "beside", name: "Outside the rim, rebated for it" },
          ]}
          onTake={(value) => set("Heads and rim", at("rim", "kind"), value)}
        />
        {splayed.rim.kind === "under" ? (
          size("Set-in of the heads", splayed.setIn, "setIn")
        ) : (
          <>
            {size("Heads outside the rim", splayed.rim.proud, "rim", "proud")}
            {size("Heads above the top", splayed.rim.above, "rim", "above")}
            {size("Gap at the rebate", splayed.rim.gap, "rim", "gap")}
          </>
        )}
        <NumberField
          label="First leg turned, degrees"
          value={splayed.turn}
          onTake={(to) => set("Turn of the legs", at("turn"), to)}
        />
      </Group>
      <Group name="Arms">
        {size("Arm depth", splayed.arm.depth, "arm", "depth")}
        {size("Arm thickness", splayed.arm.thickness, "arm", "thickness")}
        <Choice
          label="Leg to arm"
          value={splayed.joint}
          options={[
            { value: "bridle", name: "Forked over the arm" },
            { value: "loose", name: "Below the arm, loose tenon" },
            { value: "tenon", name: "Beside the arm, which is tenoned into it" },
          ]}
          onTake={(value) => set("Leg to arm", at("joint"), value)}
        />
        <Choice
          label="In the middle"
          value={splayed.hub}
          options={[
            { value: "mitred", name: "Sawn to points" },
            { value: "lapped", name: "Two arms lapped" },
          ]}
          onTake={(value) => set("Middle of the arms", at("hub"), value)}
        />
      </Group>
      <Group name="Star stretcher">
        <Choice
          label="Low between the legs"
          value={splayed.star.kind}
          options={[
            { value: "none", name: "Nothing" },
            { value: "star", name: "A star, as the arms" },
          ]}
          onTake={(value) => set("Star stretcher", at("star", "kind"), value)}
        />
        {splayed.star.kind === "star" && (
          <>
            {size("Star above the floor", splayed.star.height, "star", "height")}
            {size("Star depth", splayed.star.depth, "star", "depth")}
            {size("Star thickness", splayed.star.thickness, "star", "thickness")}
          </>
        )}
      </Group>
    </>
  );
}
