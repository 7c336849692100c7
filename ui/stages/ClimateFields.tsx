"use client";
import { FileUp } from "lucide-react";
import { useRef, useState } from "react";
import { OUTDOOR_PLACES, USUAL_ADDED } from "../../core/climate/outdoors";
import { MONTHS, TYPICAL_CLIMATES } from "../../core/climate/rooms";
import type { ClimateChoice } from "../../core/climate/year";
import type { ReadLogger } from "../../core/formats/logger-csv";
import { Choice, FieldRow, NumberField, Tick } from "../fields/fields";
import { readList } from "../frame/readList";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";

const KINDS: { value: ClimateChoice["kind"]; name: string }[] = [
  { value: "typical", name: "A typical room" },
  { value: "house", name: "A house, from the air outside" },
  { value: "outdoors", name: "Under cover outdoors" },
  { value: "own", name: "Own twelve values" },
  { value: "log", name: "A logger's readings" },
];
const typicalOptions = TYPICAL_CLIMATES.filter((each) => each.place !== "shop").map((each) => ({
  value: each.id,
  name: each.name,
}));
const outdoorOptions = OUTDOOR_PLACES.map((each) => ({ value: each.id, name: each.name }));

/** Where the room's air comes from, and what its twelve months make of the wood. */
export function ClimateFields() {
  const { piece, plan, edit } = usePiece();
  const { set } = useSet();
  const { climate } = piece.brief;
  const file = useRef<HTMLInputElement>(null);
  const [log, setLog] = useState<{ name: string; read: ReadLogger } | null>(null);
  const path = ["brief", "climate"];
  const house = climate.kind === "house" ? climate : null;
  const turnTo = (kind: ClimateChoice["kind"]) => {
    if (kind === "log") {
      file.current?.click();
      return;
    }
    const next: Record<Exclude<ClimateChoice["kind"], "log">, ClimateChoice> = {
      typical: { kind: "typical", id: climate.kind === "log" ? climate.fill : "heated-temperate" },
      own: {
        kind: "own",
        months: plan.year.months.map(({ temperature, humidity }) => ({
          temperature: Math.round(temperature * 10) / 10,
          humidity: Math.round(humidity * 10) / 10,
        })),
      },
      house: {
        kind: "house",
        outdoor: climate.kind === "outdoors" ? climate.outdoor : "mild-inland",
        south: false,
        heatTo: 20,
        coolTo: null,
        added: USUAL_ADDED,
      },
      outdoors: { kind: "outdoors", outdoor: house?.outdoor ?? "mild-inland", south: false },
    };
    edit("Climate", [{ path, value: next[kind] }]);
  };
  const take = () => {
    if (!log?.read.ok) return;
    const { from, to, months, readings } = log.read;
    const refused = edit("Climate from a log", [
      {
        path,
        value: {
          kind: "log",
          name: log.name.slice(0, 120),
          from,
          to,
          readings: readings.length,
          months,
          fill: climate.kind === "typical" ? climate.id : "heated-temperate",
        },
      },
    ]);
    if (!refused) setLog(null);
  };
  return (
    <section aria-label="Climate of the room">
      <FieldRow>
        <Choice label="Air from" value={climate.kind} options={KINDS} onTake={turnTo} />
        {climate.kind === "typical" && (
          <Choice
            label="Climate of the room"
            value={climate.id}
            options={typicalOptions}
            onTake={(value) => set("Climate", [...path, "id"], value)}
          />
        )}
        {(climate.kind === "house" || climate.kind === "outdoors") && (
          <Choice
            label="Outside"
            value={climate.outdoor}
            options={outdoorOptions}
            onTake={(value) => set("Outside", [...path, "outdoor"], value)}
          />
        )}
        {house && (
          <>
            <NumberField
              label="Heated to"
              suffix="°C"
              value={house.heatTo}
              onTake={(value) => set("Heated to", [...path, "heatTo"], value)}
            />
            <NumberField
              label="Water people add"
              suffix="g a kg"
              value={house.added}
              onTake={(value) => set("Water added", [...path, "added"], value)}
            />
            <Tick
              label="Cooled in summer"
              checked={house.coolTo !== null}
              onTake={(on) => set("Cooled", [...path, "coolTo"], on ? 24 : null)}
            />
            {house.coolTo !== null && (
              <NumberField
                label="Cooled to"
                suffix="°C"
                value={house.coolTo}
                onTake={(value) => set("Cooled to", [...path, "coolTo"], value)}
              />
            )}
          </>
        )}
        {(climate.kind === "house" || climate.kind === "outdoors") && (
          <Tick
            label="South of the equator"
            checked={climate.south}
            onTake={(value) => set("South of the equator", [...path, "south"], value)}
          />
        )}
        {climate.kind === "log" && (
          <>
            <p className="self-center text-[13px]">
              {climate.name}: {climate.readings.toLocaleString("en")} readings, {climate.from} to {climate.to}.
            </p>
            <Choice
              label="Months it lacks come from"
              value={climate.fill}
              options={typicalOptions}
              onTake={(value) => set("Months it lacks", [...path, "fill"], value)}
            />
          </>
        )}
        <button className="button button-plain" onClick={() => file.current?.click()}>
          <FileUp size={14} />
          Import a logger’s CSV
        </button>
        <input
          ref={file}
          type="file"
          accept=".csv,.txt,text/csv"
          className="hidden"
          aria-label="Logger file"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = "";
            if (chosen)
              void readList(chosen.name, { kind: "logger", file: chosen })
                .catch((error: Error): ReadLogger => ({ ok: false, message: error.message }))
                .then((read) => setLog({ name: chosen.name, read }));
          }}
        />
      </FieldRow>
      {log && (
        <div
          role="alert"
          className={`mt-2 border bg-white p-3 ${log.read.ok ? "border-hairline" : "border-fix"}`}
          data-log-read={String(log.read.ok)}
        >
          {log.read.ok ? (
            <>
              <p className="font-semibold">
                {log.name}: {log.read.readings.length.toLocaleString("en")} readings from {log.read.from} to{" "}
                {log.read.to}.
              </p>
              {log.read.notes.map((note) => (
                <p key={note} className="text-[13px] text-graphite">
                  {note}
                </p>
              ))}
              {log.read.faults.length > 0 && (
                <ul className="mt-1 max-h-32 overflow-y-auto text-[13px] text-fix">
                  {log.read.faults.slice(0, 100).map((fault) => (
                    <li key={fault.line}>
                      Line {fault.line}: {fault.message}
                    </li>
                  ))}
                  {log.read.faults.length > 100 && <li>and {log.read.faults.length - 100} more.</li>}
                </ul>
              )}
              <p className="mt-2 flex gap-2">
                <button className="button" onClick={take}>
                  Use these readings
                </button>
                <button className="button button-plain" onClick={() => setLog(null)}>
                  Leave the climate as it is
                </button>
              </p>
            </>
          ) : (
            <p className="text-fix">
              {log.name}: {log.read.message}{" "}
              <button className="button button-plain ml-2" onClick={() => setLog(null)}>
                Leave the climate as it is
              </button>
            </p>
          )}
        </div>
      )}
      <div className="overflow-x-auto">
        <table className="plain mt-2">
          <caption className="text-left text-[13px] text-graphite">
            {plan.year.name}: the air month by month, and the moisture wood would come to in it
          </caption>
          <thead>
            <tr>
              <th></th>
              {MONTHS.map((month) => (
                <th key={month} className="number">
                  {month.slice(0, 3)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(
              [
                ["temperature", "°C"],
                ["humidity", "% RH"],
              ] as const
            ).map(([field, unit]) => (
              <tr key={field}>
                <th>{unit}</th>
                {plan.year.months.map((month, i) => (
                  <td key={month.name} className="number">
                    {climate.kind === "own" ? (
                      <MonthCell
                        label={`${month.name} ${unit}`}
                        value={month[field]}
                        onTake={(value) => set(`${month.name} ${unit}`, [...path, "months", i, field], value)}
                      />
                    ) : climate.kind === "log" && !climate.months[i] ? (
                      <span className="text-graphite">{month[field].toFixed(0)}</span>
                    ) : (
                      month[field].toFixed(field === "humidity" ? 0 : 1)
                    )}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <th>% MC</th>
              {plan.year.months.map((month) => (
                <td key={month.name} className="number font-semibold">
                  {month.moisture.toFixed(1)}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  );
}

function MonthCell({
  label,
  value,
  onTake,
}: {
  label: string;
  value: number;
  onTake: (value: number) => string | null;
}) {
  return (
    <div className="[&_label]:sr-only [&_input]:w-12">
      <NumberField label={label} value={value} onTake={onTake} />
    </div>
  );
}
