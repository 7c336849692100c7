"use client";
import { dropHindrance } from "../../core/construction/dropping/drop";
import { AutoNumberField } from "../fields/auto";
import { Choice, LengthField, NumberField } from "../fields/fields";
import { hingesAt } from "../../core/construction/dropping/parts";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** Leaves that hang at the top's long sides: how they are hinged and held up. */
export function DropFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { drop, top } = piece.form;
  const at = (...path: string[]) => ["form", "drop", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const planned = drop.kind !== "none" && dropHindrance(piece.form) === null;
  const { brackets } = drop;
  return (
    <Group name="Leaves that hang">
      <Choice
        label="A leaf hangs"
        value={drop.kind}
        options={[
          { value: "none", name: "Nowhere" },
          { value: "both", name: "At both long sides" },
          { value: "front", name: "In front only" },
        ]}
        onTake={(value) => set("A leaf hangs", at("kind"), value)}
      />
      {planned && (
        <>
          {size("A leaf across the table", drop.leaf, "leaf")}
          <Choice
            label="Its joint"
            value={drop.joint}
            options={[
              { value: "rule", name: "Moulded, round in cove" },
              { value: "square", name: "Square edges" },
            ]}
            onTake={(value) => set("Joint of the leaves", at("joint"), value)}
          />
          {drop.joint === "rule" && size("Step above the round", drop.fillet, "fillet")}
          <AutoNumberField
            label="Hinges a leaf"
            value={drop.hinges}
            auto={hingesAt(piece.form, top.length).length}
            onTake={(to) => set("Hinges a leaf", at("hinges"), to)}
          />
          <Choice
            label="Held up by"
            value={drop.held}
            options={[
              { value: "brackets", name: "Folding brackets, bought" },
              { value: "lopers", name: "Wooden bearers, drawn out" },
              { value: "gates", name: "Legs that swing out" },
            ]}
            onTake={(value) => set("What holds a leaf up", at("held"), value)}
          />
          {drop.held === "lopers" ? (
            <>
              <NumberField
                label="Bearers a leaf"
                value={drop.lopers.count}
                onTake={(to) => set("Bearers a leaf", at("lopers", "count"), to)}
              />
              {size("Width of a bearer", drop.lopers.width, "lopers", "width")}
              {size("Height of a bearer", drop.lopers.height, "lopers", "height")}
              {size("Drawn out", drop.lopers.out, "lopers", "out")}
            </>
          ) : drop.held === "gates" ? (
            <>
              <Choice
                label="Legs a leaf"
                value={String(drop.gates.count)}
                options={[
                  { value: "1", name: "One, in its middle" },
                  { value: "2", name: "Two, near its ends" },
                ]}
                onTake={(value) => set("Legs a leaf", at("gates", "count"), Number(value))}
              />
              {size("They reach", drop.gates.reach, "gates", "reach")}
              {size("Thickness of a gate", drop.gates.thickness, "gates", "thickness")}
              {size("Width of its leg", drop.gates.leg, "gates", "leg")}
              {size("Depth of its arm", drop.gates.arm, "gates", "arm")}
              {size("Lower rail, high (0: none)", drop.gates.low, "gates", "low")}
              {drop.gates.low > 0 && (
                <>
                  {size("Depth of that", drop.gates.rail, "gates", "rail")}
                  {size("Width of its stile", drop.gates.stile, "gates", "stile")}
                </>
              )}
            </>
          ) : (
            <>
              <NumberField
                label="Brackets a leaf"
                value={brackets.count}
                onTake={(to) => set("Brackets a leaf", at("brackets", "count"), to)}
              />
              {size("They reach", brackets.reach, "brackets", "reach")}
              <NumberField
                label="One carries there, kg"
                value={brackets.carries}
                onTake={(to) => set("What a bracket carries", at("brackets", "carries"), to)}
              />
              {size("Folded, thick", brackets.folded, "brackets", "folded")}
              {size("and high", brackets.height, "brackets", "height")}
            </>
          )}
        </>
      )}
    </Group>
  );
}
