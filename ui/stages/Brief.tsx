"use client";
import { useMemo } from "react";
import { useProposal } from "../../core/brief/rules";
import { madeAs, useChoices, useOf } from "../../core/brief/uses";
import { roomScene } from "../../core/drawing/room";
import { SceneView } from "../drawing/SceneView";
import { Choice, DateField, FieldRow, LengthField, NumberField, TextField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { ClimateFields } from "./ClimateFields";
import { StageHead } from "./StageHead";
import { Things } from "./Things";

/** Who, which room, how many seats; the table drawn in the room. */
export function BriefStage() {
  const { piece, plan, edit } = usePiece();
  const { say } = useUnit();
  const { set, fromDrawing } = useSet();
  const { brief, form } = piece;
  const scene = useMemo(() => roomScene(piece, plan.species.colour), [piece, plan.species]);
  const proposed = plan.proposal;
  const same = proposed.length === form.top.length && proposed.width === form.top.width;
  const remedy = useProposal(proposed);
  const use = useOf(form);
  return (
    <>
      <StageHead
        title={use.seats ? "The room and who sits in it" : "The room it stands in"}
        actions={
          !same &&
          use.seats?.where === "round" && (
            <button className="button" onClick={() => edit(remedy.label, remedy.patches)}>
              {say(remedy.label)}
            </button>
          )
        }
      >
        {use.seats?.where === "round"
          ? say(`The room suggests ${proposed.length} by ${proposed.width} mm: ${proposed.reason}`)
          : say(
              `A ${use.noun} ${form.top.length} mm long${use.seats ? ` for ${brief.seats.daily} daily, ${brief.seats.most} at most` : ""}.`,
            )}
      </StageHead>
      <SceneView scene={scene} height={400} onEdit={fromDrawing} />
      <FieldRow>
        <TextField label="Piece" value={piece.name} onTake={(value) => set("Name", ["name"], value)} />
        <TextField
          label="Commission"
          value={piece.commission}
          onTake={(value) => set("Commission", ["commission"], value)}
        />
        <Choice
          label="Made as"
          value={form.use}
          options={useChoices}
          onTake={(value) => edit("Made as", madeAs(value, piece))}
        />
        <NumberField label="Made alike" value={piece.times} onTake={(value) => set("Made alike", ["times"], value)} />
        {use.seats && (
          <>
            <NumberField
              label="Seats daily"
              value={brief.seats.daily}
              onTake={(value) => set("Seats daily", ["brief", "seats", "daily"], value)}
            />
            <NumberField
              label="At most"
              value={brief.seats.most}
              onTake={(value) => set("Seats at most", ["brief", "seats", "most"], value)}
            />
          </>
        )}
        {use.seats && use.seats.where !== "on" && (
          <Choice
            label="To sit on"
            value={brief.seating}
            options={[
              { value: "chairs", name: "Chairs" },
              { value: "bench", name: "Benches" },
            ]}
            onTake={(value) => set("To sit on", ["brief", "seating"], value)}
          />
        )}
        <LengthField
          label="Top height"
          value={brief.topHeight}
          onTake={(value) => set("Top height asked", ["brief", "topHeight"], value)}
        />
        <LengthField
          label="Ceiling"
          value={brief.room.height}
          onTake={(value) => set("Ceiling", ["brief", "room", "height"], value)}
        />
        <DateField
          label="Deadline"
          value={brief.deadline}
          onTake={(value) => set("Deadline", ["brief", "deadline"], value)}
        />
        <Choice
          label="Stands"
          value={brief.place}
          options={[
            { value: "indoors", name: "Indoors" },
            { value: "porch", name: "On a porch" },
          ]}
          onTake={(value) => set("Where it stands", ["brief", "place"], value)}
        />
        <TextField
          label="Must match"
          wide
          value={brief.match}
          onTake={(value) => set("Must match", ["brief", "match"], value)}
        />
      </FieldRow>
      <Things />
      <ClimateFields />
    </>
  );
}
