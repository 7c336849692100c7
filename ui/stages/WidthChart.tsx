"use client";
import { useState } from "react";
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis } from "recharts";
import { daysBetween, SAMPLE_DAYS, sampleDate } from "../../core/movement/course";
import type { PanelRecord } from "../../core/learning/records";
import type { LogEntry } from "../../core/piece/schema";
import { dayName } from "../frame/sentences";
import { useUnit } from "../frame/unit";

/** What was measured, on the curve that Movement would have told from the first moisture that is known. */
export function WidthChart({
  record: { id, name, moved: record, predicted },
  log,
}: {
  record: PanelRecord;
  log: readonly LogEntry[];
}) {
  const { unit } = useUnit();
  const [shown, setShown] = useState<"width" | "moisture">(
    log.some((entry) => entry.kind === "width" && entry.what === id) ? "width" : "moisture",
  );
  const scale = shown === "moisture" || unit === "mm" ? 1 : 1 / 25.4;
  const on = (day: string) => daysBetween(record.course.from, day) / SAMPLE_DAYS;
  const anchor =
    predicted.length > 0
      ? predicted[0].width -
        record.changes[Math.max(0, Math.min(record.changes.length - 1, Math.round(on(predicted[0].on))))]
      : record.width;
  const measured = log.flatMap((entry) =>
    entry.kind === shown && entry.what === id ? [{ at: on(entry.on), measured: entry.value * scale }] : [],
  );
  const last = Math.min(record.changes.length - 1, Math.ceil(Math.max(73, ...measured.map((each) => each.at)) + 6));
  const points = record.changes
    .slice(0, last + 1)
    .map((change, at) => ({ at, predicted: shown === "width" ? (anchor + change) * scale : record.course.mean[at] }));
  const all = [...points.map((each) => each.predicted), ...measured.map((each) => each.measured)];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const pad = (high - low) * 0.12 + 0.2 * scale;
  const ticks = points
    .filter((each) => Number(sampleDate(record.course.from, each.at).on.slice(8)) <= SAMPLE_DAYS)
    .map((each) => each.at)
    .filter((_, i) => i % 2 === 0);
  return (
    <figure className="border border-hairline bg-sheet" data-chart="width" data-panel={id}>
      <figcaption className="flex items-center justify-between px-3 pt-1.5 text-[13px] text-graphite">
        <span>
          Measured {shown === "width" ? "widths" : "moisture"} of the {name} (dots) on what Movement predicts from{" "}
          {dayName(record.start.on)}, {shown === "moisture" ? "%" : unit === "mm" ? "mm" : "in"}
        </span>
        <button className="button button-plain" onClick={() => setShown(shown === "width" ? "moisture" : "width")}>
          Show {shown === "width" ? "moisture" : "widths"}
        </button>
      </figcaption>
      <ResponsiveContainer width="100%" height={160}>
        <ComposedChart margin={{ top: 8, right: 16, bottom: 0, left: 8 }} accessibilityLayer>
          <CartesianGrid vertical stroke="#dbe2de" horizontal={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={[Math.floor(Math.min(0, ...measured.map((each) => each.at))), last]}
            ticks={ticks}
            tickFormatter={(at: number) => {
              const day = sampleDate(record.course.from, at);
              return `${day.name.slice(0, 3)} ${day.on.slice(2, 4)}`;
            }}
            tick={{ fontSize: 13, fill: "#51605a" }}
            tickLine={false}
            stroke="#c6d0cb"
            allowDuplicatedCategory={false}
          />
          <YAxis
            domain={[low - pad, high + pad]}
            width={56}
            tickCount={4}
            tickFormatter={(value: number) => value.toFixed(shown === "width" && unit !== "mm" ? 2 : 1)}
            tick={{ fontSize: 13, fill: "#51605a" }}
            stroke="#c6d0cb"
          />
          <Line
            data={points}
            dataKey="predicted"
            type="linear"
            stroke="#14201c"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Scatter data={measured} dataKey="measured" fill="#1c479f" isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
