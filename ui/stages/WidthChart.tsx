"use client";
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis } from "recharts";
import { daysBetween, SAMPLE_DAYS, sampleDate } from "../../core/movement/course";
import type { LogEntry } from "../../core/piece/schema";
import type { Plan } from "../../core/plan";
import { useUnit } from "../frame/unit";

/** Widths that were measured on the curve that Movement predicts. */
export function WidthChart({ plan, log }: { plan: Plan; log: readonly LogEntry[] }) {
  const { unit } = useUnit();
  const { top } = plan;
  const scale = unit === "mm" ? 1 : 1 / 25.4;
  const measured = log.flatMap((entry) => (entry.kind === "width" && entry.what === "top" ? [{ at: daysBetween(top.course.from, entry.on) / SAMPLE_DAYS, measured: entry.value * scale, on: entry.on }] : []));
  const first = Math.floor(Math.min(0, ...measured.map((each) => each.at)));
  const last = Math.min(top.changes.length - 1, Math.ceil(Math.max(73, ...measured.map((each) => each.at)) + 6));
  const points = top.changes.slice(0, last + 1).map((change, at) => ({ at, predicted: (top.width + change) * scale }));
  const all = [...points.map((each) => each.predicted), ...measured.map((each) => each.measured)];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const pad = (high - low) * 0.12 + 0.2 * scale;
  const ticks = points.filter((each) => Number(sampleDate(top.course.from, each.at).on.slice(8)) <= SAMPLE_DAYS).map((each) => each.at).filter((_, i) => i % 2 === 0);
  return (
    <figure className="border border-hairline bg-sheet" data-chart="width">
      <figcaption className="px-3 pt-1.5 text-[13px] text-graphite">Measured widths (dots) on what Movement predicts from {top.start.on}, {unit === "mm" ? "mm" : "in"}</figcaption>
      <ResponsiveContainer width="100%" height={160}>
        <ComposedChart margin={{ top: 8, right: 16, bottom: 0, left: 8 }} accessibilityLayer>
          <CartesianGrid vertical stroke="#dbe2de" horizontal={false} />
          <XAxis dataKey="at" type="number" domain={[first, last]} ticks={ticks} tickFormatter={(at: number) => { const day = sampleDate(top.course.from, at); return `${day.name.slice(0, 3)} ${day.on.slice(2, 4)}`; }} tick={{ fontSize: 13, fill: "#51605a" }} tickLine={false} stroke="#c6d0cb" allowDuplicatedCategory={false} />
          <YAxis domain={[low - pad, high + pad]} width={56} tickCount={4} tickFormatter={(value: number) => value.toFixed(unit === "mm" ? 1 : 2)} tick={{ fontSize: 13, fill: "#51605a" }} stroke="#c6d0cb" />
          <Line data={points} dataKey="predicted" type="linear" stroke="#14201c" strokeWidth={2} dot={false} isAnimationActive={false} />
          <Scatter data={measured} dataKey="measured" fill="#1c479f" isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
