"use client";
import { memo, useMemo } from "react";
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import { firstExtreme, SAMPLE_DAYS, sampleDate } from "../../core/movement/course";
import { governing } from "../../core/movement/governing";
import type { Piece } from "../../core/piece/schema";
import type { Plan } from "../../core/plan";
import { useUnit } from "../frame/unit";

const [LEFT, RIGHT] = [46, 16];

/** What would bind first, day by day over the years, against the room it has; arrow keys walk along it. */
export function YearChart({
  plan,
  piece,
  name: panel,
  sample,
  onSample,
}: {
  plan: Plan;
  piece: Piece;
  /** of the panel that is looked at */
  name: string;
  sample: number;
  onSample: (sample: number) => void;
}) {
  const { unit, withUnit } = useUnit();
  const found = useMemo(() => governing(plan, piece), [plan, piece]);
  const { travel, play, room } = found;
  const what = found.what.replace(/\bthe top\b/, `the ${panel}`);
  const last = travel.length - 1;
  const worst = firstExtreme(
    travel.map((each) => Math.max(-1e6, past(each, play))),
    1,
  );
  const over = past(travel[worst], play);
  const { name, on } = sampleDate(plan.top.course.from, worst);
  const now = sampleDate(plan.top.course.from, sample);
  const bounded = Number.isFinite(play.wet) || Number.isFinite(play.dry);
  const gives = !bounded
    ? "nothing stops it"
    : !Number.isFinite(play.dry)
      ? `${room} gives ${withUnit(play.wet, true)} outward`
      : Math.abs(play.wet - play.dry) < 0.05
        ? `${room} gives ${withUnit(play.wet, true)} either way`
        : `${room} gives ${withUnit(play.wet, true)} out and ${withUnit(play.dry, true)} in`;
  const walk = (event: React.KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 6, PageDown: -6 }[event.key];
    const to =
      event.key === "Home"
        ? 0
        : event.key === "End"
          ? last
          : by === undefined
            ? null
            : Math.max(0, Math.min(last, sample + by));
    if (to === null) return;
    event.preventDefault();
    onSample(to);
  };
  return (
    <figure
      className="relative border border-hairline bg-sheet focus-visible:outline-2 focus-visible:outline-layout"
      data-chart="year"
      tabIndex={0}
      role="slider"
      aria-label={`Travel of ${what} over the years`}
      aria-valuemin={0}
      aria-valuemax={last}
      aria-valuenow={sample}
      aria-valuetext={`${now.name} ${now.on.slice(0, 4)}: ${travel[sample].toFixed(1)} mm; ${gives}`}
      onKeyDown={walk}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        onSample(
          Math.max(
            0,
            Math.min(last, Math.round(((event.clientX - box.left - LEFT) / (box.width - LEFT - RIGHT)) * last)),
          ),
        );
      }}
    >
      <figcaption className="flex flex-wrap justify-between gap-x-3 px-3 pt-1.5 text-[13px] text-graphite">
        <span>
          Travel of {what}, {unit === "mm" ? "mm" : "in"}; {gives}
        </span>
        <b className={over > 0 ? "font-semibold text-fix" : "font-semibold text-ink"}>
          {travel[worst] >= 0 ? "+" : "−"}
          {withUnit(Math.abs(travel[worst]), true)} in {name} {on.slice(0, 4)}
          {over > 0 ? `, ${withUnit(over, true)} too far` : ""}
        </b>
      </figcaption>
      <div className="relative">
        <Curve
          travel={travel}
          dry={play.dry}
          wet={play.wet}
          worst={worst}
          over={over > 0}
          from={plan.top.course.from}
          delivered={plan.top.course.delivered}
          shown={unit === "mm" ? 1 : 1 / 25.4}
        />
        <span
          aria-hidden
          className="pointer-events-none absolute top-2 bottom-[30px] w-0 border-l-2 border-layout"
          style={{ left: `calc(${LEFT}px + (100% - ${LEFT + RIGHT}px) * ${sample / last})` }}
        />
      </div>
    </figure>
  );
}

/** Drawn once a plan: dragging moves a line over it and leaves it alone. */
const Curve = memo(function Curve({
  travel,
  dry,
  wet,
  worst,
  over,
  from,
  delivered,
  shown,
}: {
  travel: number[];
  dry: number;
  wet: number;
  worst: number;
  over: boolean;
  from: string;
  delivered: number;
  shown: number;
}) {
  const points = travel.map((each, at) => ({
    at,
    travel: each,
    beyond: past(each, { dry, wet }) > 0 ? [each > 0 ? wet : -dry, each] : [each, each],
  }));
  const finite = [wet, dry].filter(Number.isFinite);
  const most = Math.max(0.5, ...finite, ...travel.map(Math.abs)) * 1.15;
  const step = [0.2, 0.5, 1, 2, 4, 5, 10].find((each) => most / each <= 3) ?? 20;
  const edge = Math.ceil(most / step) * step;
  const marks = Array.from({ length: Math.round((2 * edge) / step) + 1 }, (_, i) => -edge + i * step);
  const months = travel.flatMap((_, i) => {
    const { on } = sampleDate(from, i);
    return Number(on.slice(8)) <= SAMPLE_DAYS && Number(on.slice(5, 7)) % 3 === 2 && i < travel.length - 6 ? [i] : [];
  });
  const name = (at: number) => {
    const day = sampleDate(from, at);
    return `${day.name.slice(0, 3)} ${day.on.slice(2, 4)}`;
  };
  return (
    <ResponsiveContainer width="100%" height={150}>
      <ComposedChart data={points} margin={{ top: 8, right: RIGHT, bottom: 0, left: 0 }}>
        <CartesianGrid vertical stroke="#dbe2de" horizontal={false} />
        <XAxis
          dataKey="at"
          type="number"
          domain={[0, travel.length - 1]}
          ticks={months}
          interval={0}
          tickFormatter={name}
          tick={{ fontSize: 13, fill: "#51605a" }}
          tickLine={false}
          stroke="#c6d0cb"
        />
        <YAxis
          domain={[-edge, edge]}
          ticks={marks}
          interval={0}
          width={LEFT}
          tickFormatter={(value: number) =>
            `${value > 1e-9 ? "+" : value < -1e-9 ? "−" : ""}${Math.abs(value * shown).toFixed(shown === 1 ? (step < 1 ? 1 : 0) : 2)}`
          }
          tick={{ fontSize: 13, fill: "#51605a" }}
          stroke="#c6d0cb"
        />
        <ReferenceArea
          y1={Number.isFinite(dry) ? -dry : -edge}
          y2={Number.isFinite(wet) ? wet : edge}
          fill="#cfe0d4"
          fillOpacity={0.55}
        />
        {delivered > 0 && (
          <ReferenceLine
            x={delivered / SAMPLE_DAYS}
            stroke="#51605a"
            strokeDasharray="3 3"
            label={{ value: "delivered", position: "insideTopLeft", fontSize: 13, fill: "#51605a" }}
          />
        )}
        <Area dataKey="beyond" type="linear" stroke="none" fill="#ab2018" fillOpacity={0.2} isAnimationActive={false} />
        <Line dataKey="travel" type="linear" stroke="#14201c" strokeWidth={2} dot={false} isAnimationActive={false} />
        <ReferenceDot x={worst} y={travel[worst]} r={4} fill={over ? "#ab2018" : "#2c6a3e"} stroke="none" />
      </ComposedChart>
    </ResponsiveContainer>
  );
});

/** How far a travel is past the room it has; negative is what is left. */
const past = (travel: number, { dry, wet }: { dry: number; wet: number }) => Math.max(travel - wet, -travel - dry);
