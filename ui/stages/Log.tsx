"use client";
import dynamic from "next/dynamic";
import type { LogEntry } from "../../core/piece/schema";
import { dayName, shortDay } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { LogForm, KINDS } from "./LogForm";
import { LogImport } from "./LogImport";
import { StageHead } from "./StageHead";

const WidthChart = dynamic(() => import("./WidthChart").then((module) => module.WidthChart), {
  ssr: false,
  loading: () => <div className="h-[180px] border border-hairline bg-sheet" />,
});

/** What was measured, what went wrong. A moisture reading moves the whole year; widths teach the coefficient. */
export function LogStage() {
  const { piece, plan, edit } = usePiece();
  const { withUnit } = useUnit();
  const entries = piece.log
    .map((entry, i) => ({ entry, i }))
    .sort((a, b) => (a.entry.on < b.entry.on ? 1 : a.entry.on > b.entry.on ? -1 : b.i - a.i));
  const recordOf = (what: string) => plan.records.find(({ id }) => id === what);
  const value = (entry: LogEntry) => {
    switch (entry.kind) {
      case "moisture":
        return (
          <>
            {entry.value} %
            {entry.meter && (
              <span className="text-graphite">
                , meter {entry.meter.reading} at {entry.meter.temperature} °C
              </span>
            )}
          </>
        );
      case "air":
        return `${entry.value} % RH, ${entry.temperature} °C`;
      case "mistake":
        return entry.cost;
      case "note":
        return "";
      case "width": {
        const predicted = recordOf(entry.what)?.predicted.find((each) => each.on === entry.on)?.width;
        return (
          <>
            {withUnit(entry.value, true)}
            {entry.moisture !== null && ` at ${entry.moisture} %`}
            {predicted !== undefined && <span className="text-graphite">, expected {withUnit(predicted, true)}</span>}
          </>
        );
      }
    }
  };
  return (
    <>
      <StageHead title="What was measured, and what went wrong">
        Movement now starts from {plan.top.start.value} % on {dayName(plan.top.start.on)},{" "}
        {plan.top.start.from === "log" ? "the latest reading of the top here" : "set in Movement"}.
      </StageHead>
      <LogForm />
      <LogImport />
      {plan.records
        .filter(({ id }) => piece.log.some((entry) => "what" in entry && entry.what === id))
        .map((record) => (
          <WidthChart key={record.id} record={record} log={piece.log} />
        ))}
      {piece.fitted.length > 0 && (
        <p className="text-[13px]">
          Movement uses measured coefficients of{" "}
          {piece.fitted
            .map(
              (each) =>
                `${recordOf(each.what) ? `the whole ${recordOf(each.what)!.name}` : each.what} (${each.coefficient.toFixed(5)} ± ${each.uncertainty.toFixed(5)})`,
            )
            .join(", ")}
          .{" "}
          <button
            className="button button-plain ml-2"
            onClick={() => edit("Back to the table’s coefficients", [{ path: ["fitted"], value: [] }])}
          >
            Back to the table’s
          </button>
        </p>
      )}
      <div className="overflow-x-auto">
        <table className="plain">
          <caption className="sr-only">Log</caption>
          <thead>
            <tr>
              <th>Date</th>
              <th>Kind</th>
              <th>Value</th>
              <th>Words</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {entries.map(({ entry, i }) => (
              <tr key={entry.id} data-log={entry.kind}>
                <td className="whitespace-nowrap">{shortDay(entry.on)}</td>
                <td>
                  {KINDS[entry.kind]}
                  {"what" in entry && entry.what !== "top" ? `, ${recordOf(entry.what)?.name ?? entry.what}` : ""}
                </td>
                <td className="whitespace-nowrap">{value(entry)}</td>
                <td>{entry.text}</td>
                <td className="number">
                  <button
                    className="button button-plain"
                    onClick={() =>
                      edit("Entry taken out", [{ path: ["log"], value: piece.log.filter((_, j) => j !== i) }])
                    }
                  >
                    Take out
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {entries.length === 0 && (
        <p className="lede">
          Nothing is written down yet. Begin with a moisture reading of the boards: every travel in Movement starts from
          it.
        </p>
      )}
    </>
  );
}
