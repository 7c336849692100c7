"use client";
import { useState } from "react";
import { roundedCorners } from "../../core/construction/top/points";
import { scribeRound } from "../../core/construction/top/scribe";
import { isWhole } from "../../core/construction/top/core";
import type { Form } from "../../core/piece/schema";
import { Choice, FieldRow, LengthField, TextField } from "../fields/fields";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { OutlineFile } from "./OutlineFile";
import { OutlinePoints } from "./OutlinePoints";

type Outline = Form["top"]["outline"];
/** What a scribed outline begins with, mm. @source common practice */
const USUAL_AROUND = 38;
const OUTLINES: { value: Outline; name: string }[] = [
  { value: "rectangle", name: "Rectangle" },
  { value: "ellipse", name: "Ellipse, or a circle" },
  { value: "soft", name: "Sides bowed by arcs" },
  { value: "notched", name: "Corners notched for legs" },
  { value: "points", name: "Lines and arcs by points" },
];

/** The finished outline within the top's length and width, and holes cut in it. Breadboards and frames keep theirs straight. */
export function PanelOutline() {
  const { piece, plan, edit } = usePiece();
  const { set } = useSet();
  const [name, setName] = useState("");
  const { top } = piece.form;
  const { through } = plan.geometry;
  if (!isWhole(piece.form)) return null;
  const take = (value: Outline) =>
    edit("Outline", [
      { path: ["form", "top", "outline"], value },
      // to go on from: the top as it is, its corners rounded
      ...(value === "points" && top.points.length === 0
        ? [{ path: ["form", "top", "points"], value: roundedCorners(top.length, top.width, 60) }]
        : []),
    ]);
  const scribe = (around: number) => edit("Outline scribed", scribeRound(plan.geometry, piece.form, around));
  const cut = (i: number, part: Partial<Form["top"]["cutouts"][number]>) =>
    edit("Cut-out", [{ path: ["form", "top", "cutouts", i], value: { ...top.cutouts[i], ...part } }]);
  return (
    <FieldRow>
      {through ? (
        <p className="text-graphite">Corners notched for the legs that run up through them.</p>
      ) : (
        <Choice label="Outline" value={top.outline} options={OUTLINES} onTake={take} />
      )}
      {!through && top.outline === "soft" && (
        <LengthField
          label="Narrower at the ends, each side"
          value={top.bulge}
          onTake={(value) =>
            value >= top.width / 2
              ? `can't be half the top's width or more, ${Math.floor(top.width / 2)} mm.`
              : set("Bow of the sides", ["form", "top", "bulge"], value)
          }
        />
      )}
      {!through && top.outline === "notched" && (
        <>
          <LengthField
            label="Notch along the top"
            value={top.notch.length}
            onTake={(value) =>
              value >= top.length / 2
                ? "two notches can't meet."
                : set("Notch", ["form", "top", "notch", "length"], value)
            }
          />
          <LengthField
            label="Notch across it"
            value={top.notch.width}
            onTake={(value) =>
              value >= top.width / 2
                ? "two notches can't meet."
                : set("Notch", ["form", "top", "notch", "width"], value)
            }
          />
        </>
      )}
      {!through && top.outline === "points" && <OutlinePoints />}
      {!through && <OutlineFile />}
      {!through &&
        (top.outline === "points" && top.around !== null ? (
          <LengthField label="It runs round what it lies on, out by" value={top.around} onTake={scribe} />
        ) : (
          <button className="button button-plain" onClick={() => scribe(USUAL_AROUND)}>
            Scribe it round what it lies on
          </button>
        ))}
      {!through && top.outline === "ellipse" && top.length !== top.width && (
        <button
          className="button button-plain"
          onClick={() => edit("A circle", [{ path: ["form", "top", "length"], value: top.width }])}
        >
          Make it a circle of {top.width}
        </button>
      )}
      {top.cutouts.map((each, i) => (
        <fieldset key={i} className="flex items-end gap-2 border-l border-hairline pl-3">
          <legend className="text-[13px] text-graphite">{each.name}</legend>
          <LengthField label="Right of the middle" value={each.x} onTake={(x) => cut(i, { x })} />
          <LengthField label="behind the middle" value={each.y} onTake={(y) => cut(i, { y })} />
          <LengthField label="long" value={each.length} onTake={(length) => cut(i, { length })} />
          <LengthField label="across" value={each.width} onTake={(width) => cut(i, { width })} />
          <button
            className="button button-plain"
            onClick={() =>
              set(
                `${each.name} taken out`,
                ["form", "top", "cutouts"],
                top.cutouts.filter((_, j) => j !== i),
              )
            }
          >
            Take out
          </button>
        </fieldset>
      ))}
      <TextField
        label="A cut-out for"
        value={name}
        onTake={(typed) => {
          setName(typed);
          return null;
        }}
      />
      <button
        className="button"
        disabled={name.trim() === ""}
        onClick={() => {
          const fault = edit(`Cut-out for ${name}`, [
            {
              path: ["form", "top", "cutouts", top.cutouts.length],
              value: { name: name.trim(), x: 0, y: Math.round(plan.geometry.top.width / 4), length: 120, width: 60 },
            },
          ]);
          if (!fault) setName("");
        }}
      >
        Cut it out
      </button>
    </FieldRow>
  );
}
