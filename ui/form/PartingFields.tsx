"use client";
import { hindrance } from "../../core/construction/parting/parting";
import { Choice, LengthField, NumberField, Tick } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Group } from "./Group";

/** Whether the top is in parts, and what comes between them. */
export function PartingFields() {
  const { piece } = usePiece();
  const { set } = useSet();
  const { parting } = piece.form;
  const at = (...path: string[]) => ["form", "parting", ...path];
  const size = (label: string, value: number, ...path: string[]) => (
    <LengthField key={label} label={label} value={value} onTake={(to) => set(label, at(...path), to)} />
  );
  const { slides } = parting;
  const leaves = parting.kind === "leaves";
  const blank = leaves
    ? [
        { value: "closed", name: "In a row, the grain running on closed" },
        { value: "open", name: "In a row, the grain running on open" },
        { value: "apart", name: "Each from its own boards" },
      ]
    : [
        { value: "closed", name: "Sawn from one blank" },
        { value: "apart", name: "Each from its own boards" },
      ];
  const planned = parting.kind !== "none" && hindrance(piece.form) === null;
  return (
    <Group name="Top in parts">
      <Choice
        label="The top is"
        value={parting.kind}
        options={[
          { value: "none", name: "Whole" },
          { value: "leaves", name: "Two halves that open for leaves" },
          { value: "drawn", name: "Two halves drawn together" },
          { value: "glued", name: "Two halves glued end to end" },
          { value: "middle", name: "Halves and a piece across" },
        ]}
        onTake={(value) => set("The top is", at("kind"), value)}
      />
      {planned && parting.kind !== "glued" && (
        <Choice
          label={leaves ? "Halves and leaves" : "Halves"}
          value={!leaves && parting.blank === "open" ? "closed" : parting.blank}
          options={blank}
          onTake={(value) => set("Halves and leaves", at("blank"), value)}
        />
      )}
      {planned && parting.kind === "drawn" && (
        <NumberField
          label="Connectors"
          value={parting.connectors}
          onTake={(to) => set("Connectors", at("connectors"), to)}
        />
      )}
      {planned && parting.kind === "middle" && (
        <>
          {size("Piece across", parting.middle.width, "middle", "width")}
          {size("Its tenons slide", parting.middle.slide, "middle", "slide")}
        </>
      )}
      {planned && leaves && (
        <>
          <NumberField label="Leaves" value={parting.leaves} onTake={(to) => set("Leaves", at("leaves"), to)} />
          {size("A leaf along the table", parting.leaf, "leaf")}
          <Tick
            label="Rails below the leaves"
            checked={parting.apron}
            onTake={(to) => set("Rails below the leaves", at("apron"), to)}
          />
          {size("Slides, closed", slides.closed, "slides", "closed")}
          {size("They open", slides.opens, "slides", "opens")}
          {size("Their height", slides.height, "slides", "height")}
          {size("One member’s thickness", slides.thickness, "slides", "thickness")}
          <NumberField
            label="A pair carries, kg"
            value={slides.carries}
            onTake={(to) => set("A pair of slides carries", at("slides", "carries"), to)}
          />
          {size("and sags under that", slides.sags, "slides", "sags")}
        </>
      )}
    </Group>
  );
}
