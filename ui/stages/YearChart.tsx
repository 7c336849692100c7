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
  const outermost = plan.buttons.filter((each) => each.rail !== "long").reduce((a, b) => (Math.abs(b.z) > Math.abs(a.z) ? b : a), plan.buttons[0]);
  const share = outermost && plan.top.wet.change !== 0 ? outermost.wet / plan.top.wet.change : 0.5;
  const points = Array.from({ length: 13 }, (_, i) => ({ at: i, travel: plan.top.months[(first + i) % 12].change * share }));
  const play = slotPlay(piece.joints.buttons);
  const edge = Math.max(play, ...points.map((each) => Math.abs(each.travel))) * 1.25;
  const worst = points.slice(0, 12).reduce((a, b) => (Math.abs(b.travel) > Math.abs(a.travel) ? b : a));
  const past = Math.abs(worst.travel) - play;
  const shown = unit === "mm" ? 1 : 1 / 25.4;
  const name = (i: number) => plan.top.months[(first + i) % 12].name.slice(0, 3);
  return (
    <figure className="border border-hairline bg-sheet" data-chart="year">
      <figcaption className="flex justify-between px-3 pt-1.5 text-[13px] text-graphite"><span>Travel of the outermost end button, {unit === "mm" ? "mm" : "in"}; its slot gives {withUnit(play, true)} either way</span>
        <b className={past > 0 ? "font-semibold text-fix" : "font-semibold text-ink"}>{worst.travel >= 0 ? "+" : "−"}{withUnit(Math.abs(worst.travel), true)} in {plan.top.months[(first + worst.at) % 12].name}{past > 0 ? `, ${withUnit(past, true)} past the slot` : ""}</b></figcaption>
      <ResponsiveContainer width="100%" height={148}>
        <ComposedChart data={points} margin={{ top: 8, right: 16, bottom: 0, left: 0 }} accessibilityLayer onClick={(state) => { const at = Number(state?.activeLabel); if (Number.isFinite(at)) onMonth((first + at) % 12); }}>
          <CartesianGrid vertical stroke="#dbe2de" horizontal={false} />
          <XAxis dataKey="at" type="number" domain={[0, 12]} ticks={[0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]} tickFormatter={name} tick={{ fontSize: 13, fill: "#51605a" }} tickLine={false} stroke="#c6d0cb" />
          <YAxis domain={[-edge, edge]} width={46} tickFormatter={(value: number) => (value * shown).toFixed(unit === "mm" ? (edge < 3 ? 1 : 0) : 2)} tick={{ fontSize: 13, fill: "#51605a" }} stroke="#c6d0cb" />
          <ReferenceArea y1={-play} y2={play} fill="#cfe0d4" fillOpacity={0.55} />
          <Area dataKey={(each: { travel: number }) => (Math.abs(each.travel) > play ? [Math.sign(each.travel) * play, each.travel] : [Math.sign(each.travel) * play, Math.sign(each.travel) * play])} type="monotone" stroke="none" fill="#ab2018" fillOpacity={0.16} isAnimationActive={false} />
          <Line dataKey="travel" type="monotone" stroke="#14201c" strokeWidth={2} dot={false} isAnimationActive={false} />
          <ReferenceLine x={(month - first + 12) % 12} stroke="#1c479f" strokeWidth={1.5} />
          <ReferenceDot x={worst.at} y={worst.travel} r={4} fill={past > 0 ? "#ab2018" : "#2c6a3e"} stroke="none" />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
