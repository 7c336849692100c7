"use client";
import { Area, CartesianGrid, ComposedChart, Line, ReferenceArea, ReferenceDot, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { slotPlay } from "../../core/movement/buttons";
import type { Piece } from "../../core/piece/schema";
import type { Plan } from "../../core/plan";
import { useUnit } from "../frame/unit";

/** Travel of the outermost end button month by month, beginning with this one, against what its slot gives. */
export function YearChart({ plan, piece, month, today, onMonth }: { plan: Plan; piece: Piece; month: number; today: string; onMonth: (month: number) => void }) {
  const { unit, withUnit } = useUnit();
  const first = Number(today.slice(5, 7)) - 1;
  const across = plan.buttons.filter((each) => each.rail !== "long");
  const outermost = across.reduce((a, b) => (Math.abs(b.wet) > Math.abs(a.wet) ? b : a), across[0]);
  const share = outermost && plan.top.wet.change !== 0 ? outermost.wet / plan.top.wet.change : 0.5;
  const monthly = Array.from({ length: 13 }, (_, i) => ({ at: i, travel: plan.top.months[(first + i) % 12].change * share }));
  const points = smooth(monthly);
  const play = slotPlay(piece.joints.buttons);
  const most = Math.max(play, ...monthly.map((each) => Math.abs(each.travel))) * 1.2;
  const step = [0.5, 1, 2, 4, 5, 10].find((each) => most / each <= 3) ?? 20;
  const edge = Math.ceil(most / step) * step;
  const marks = Array.from({ length: Math.round((2 * edge) / step) + 1 }, (_, i) => -edge + i * step);
  const worst = monthly.slice(0, 12).reduce((a, b) => (Math.abs(b.travel) > Math.abs(a.travel) ? b : a));
  const past = Math.abs(worst.travel) - play;
  const shown = unit === "mm" ? 1 : 1 / 25.4;
  const name = (i: number) => plan.top.months[(first + i) % 12].name.slice(0, 3);
  return (
    <figure className="border border-hairline bg-sheet" data-chart="year">
      <figcaption className="flex justify-between px-3 pt-1.5 text-[13px] text-graphite"><span>Travel of the outermost end button, {unit === "mm" ? "mm" : "in"}; its slot gives {withUnit(play, true)} either way</span>
        <b className={past > 0 ? "font-semibold text-fix" : "font-semibold text-ink"}>{worst.travel >= 0 ? "+" : "−"}{withUnit(Math.abs(worst.travel), true)} in {plan.top.months[(first + worst.at) % 12].name}{past > 0 ? `, ${withUnit(past, true)} past the slot` : ""}</b></figcaption>
      <ResponsiveContainer width="100%" height={148}>
        <ComposedChart data={points} margin={{ top: 8, right: 16, bottom: 0, left: 0 }} accessibilityLayer onClick={(state) => { const at = Number(state?.activeLabel); if (Number.isFinite(at)) onMonth((first + Math.round(at)) % 12); }}>
          <CartesianGrid vertical stroke="#dbe2de" horizontal={false} />
          <XAxis dataKey="at" type="number" domain={[0, 12]} ticks={[0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]} tickFormatter={name} tick={{ fontSize: 13, fill: "#51605a" }} tickLine={false} stroke="#c6d0cb" />
          <YAxis domain={[-edge, edge]} ticks={marks} interval={0} width={46} tickFormatter={(value: number) => `${value > 0 ? "+" : value < 0 ? "−" : ""}${Math.abs(value * shown).toFixed(unit === "mm" ? (step < 1 ? 1 : 0) : 2)}`} tick={{ fontSize: 13, fill: "#51605a" }} stroke="#c6d0cb" />
          <ReferenceArea y1={-play} y2={play} fill="#cfe0d4" fillOpacity={0.55} />
          <Area dataKey={(each: { travel: number }) => (Math.abs(each.travel) > play ? [Math.sign(each.travel) * play, each.travel] : [Math.sign(each.travel) * play, Math.sign(each.travel) * play])} type="linear" stroke="none" fill="#ab2018" fillOpacity={0.16} isAnimationActive={false} />
          <Line dataKey="travel" type="linear" stroke="#14201c" strokeWidth={2} dot={false} isAnimationActive={false} />
          <ReferenceLine x={(month - first + 12) % 12} stroke="#1c479f" strokeWidth={1.5} />
          <ReferenceDot x={worst.at} y={worst.travel} r={4} fill={past > 0 ? "#ab2018" : "#2c6a3e"} stroke="none" />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}

/** Twelve points a month between the months, eased as the year does, so that line and filled part meet exactly. */
function smooth(monthly: { at: number; travel: number }[]): { at: number; travel: number }[] {
  const parts = 12;
  return monthly.slice(0, -1).flatMap((from, i) => Array.from({ length: parts }, (_, j) => {
    const t = j / parts;
    return { at: from.at + t, travel: from.travel + (monthly[i + 1].travel - from.travel) * (1 - Math.cos(Math.PI * t)) / 2 };
  })).concat(monthly.at(-1)!);
}
