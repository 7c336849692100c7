"use client";
import { useMemo } from "react";
import { useProposal } from "../../core/brief/rules";
import { MONTHS, TYPICAL_CLIMATES } from "../../core/climate/rooms";
import { roomScene } from "../../core/drawing/room";
import { SceneView } from "../drawing/SceneView";
import { Choice, DateField, FieldRow, LengthField, NumberField, TextField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { StageHead } from "./StageHead";

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
  return (
    <>
      <StageHead title="The room and who sits in it" actions={!same && <button className="button" onClick={() => edit(remedy.label, remedy.patches)}>{say(remedy.label)}</button>}>
        {say(`The room suggests ${proposed.length} by ${proposed.width} mm: ${proposed.reason}`)}
      </StageHead>
      <SceneView scene={scene} height={400} onEdit={fromDrawing} />
      <FieldRow>
        <TextField label="Piece" value={piece.name} onTake={(value) => set("Name", ["name"], value)} />
        <TextField label="Commission" value={piece.commission} onTake={(value) => set("Commission", ["commission"], value)} />
        <NumberField label="Seats daily" value={brief.seats.daily} onTake={(value) => set("Seats daily", ["brief", "seats", "daily"], value)} />
        <NumberField label="At most" value={brief.seats.most} onTake={(value) => set("Seats at most", ["brief", "seats", "most"], value)} />
        <Choice label="To sit on" value={brief.seating} options={[{ value: "chairs", name: "Chairs" }, { value: "bench", name: "Benches" }]} onTake={(value) => set("To sit on", ["brief", "seating"], value)} />
        <LengthField label="Top height" value={brief.topHeight} onTake={(value) => set("Top height asked", ["brief", "topHeight"], value)} />
        <LengthField label="Ceiling" value={brief.room.height} onTake={(value) => set("Ceiling", ["brief", "room", "height"], value)} />
        <DateField label="Deadline" value={brief.deadline} onTake={(value) => set("Deadline", ["brief", "deadline"], value)} />
        <Choice label="Stands" value={brief.place} options={[{ value: "indoors", name: "Indoors" }, { value: "porch", name: "On a porch" }]} onTake={(value) => set("Where it stands", ["brief", "place"], value)} />
        <Choice label="Climate of the room" value={brief.climate.kind === "own" ? "own" : brief.climate.id} options={[...TYPICAL_CLIMATES.map((each) => ({ value: each.id, name: each.name })), { value: "own", name: "Own twelve values" }]}
          onTake={(value) => set("Climate", ["brief", "climate"], value === "own" ? { kind: "own", months: plan.year.months.map(({ temperature, humidity }) => ({ temperature, humidity })) } : { kind: "typical", id: value })} />
        <TextField label="Must match" wide value={brief.match} onTake={(value) => set("Must match", ["brief", "match"], value)} />
      </FieldRow>
      {brief.climate.kind === "own" && (
        <table className="plain"><caption className="text-left text-[13px] text-graphite">The room month by month</caption>
          <thead><tr><th></th>{MONTHS.map((month) => <th key={month}>{month.slice(0, 3)}</th>)}</tr></thead>
          <tbody>{([["temperature", "°C"], ["humidity", "% RH"]] as const).map(([field, unit]) => (
            <tr key={field}><th>{unit}</th>{brief.climate.kind === "own" && brief.climate.months.map((month, i) => <td key={MONTHS[i]}><MonthCell label={`${MONTHS[i]} ${unit}`} value={month[field]} onTake={(value) => set(`${MONTHS[i]} ${unit}`, ["brief", "climate", "months", i, field], value)} /></td>)}</tr>
          ))}</tbody>
        </table>
      )}
    </>
  );
}

function MonthCell({ label, value, onTake }: { label: string; value: number; onTake: (value: number) => string | null }) {
  return <div className="[&_label]:sr-only [&_input]:w-12"><NumberField label={label} value={value} onTake={onTake} /></div>;
}
