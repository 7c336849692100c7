"use client";
import { Slider } from "radix-ui";
import { Pause, Play } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useMemo, useState } from "react";
import { endGrainScene, movementScene, slotCloseUp } from "../../core/drawing/top";
import { SceneView } from "../drawing/SceneView";
import { Choice, DateField, FieldRow, LengthField, NumberField } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { StageHead } from "./StageHead";

const YearChart = dynamic(() => import("./YearChart").then((module) => module.YearChart), { ssr: false, loading: () => <div className="h-[168px] border border-hairline bg-sheet" /> });

/** The top through the year: drag the month and watch its edges and buttons go. */
export function MovementStage() {
  const { piece, plan, today } = usePiece();
  const { set, fromDrawing } = useSet();
  const { say, withUnit } = useUnit();
  const [month, setMonth] = useState(plan.top.wet.month);
  const [playing, setPlaying] = useState(false);
  const [times, setTimes] = useState("8");
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(() => setMonth((now) => (now + 1) % 12), 450);
    return () => clearInterval(timer);
  }, [playing]);
  const scene = useMemo(() => movementScene(plan, piece, month, Number(times)), [plan, piece, month, times]);
  const slot = useMemo(() => slotCloseUp(plan, piece, month), [plan, piece, month]);
  const ends = useMemo(() => endGrainScene(plan, false), [plan]);
  const { top, year } = plan;
  const buttons = piece.joints.buttons;
  return (
    <>
      <StageHead title="How the top moves through a year">
        {say(`${plan.species.name}, ${top.strips[0].board ? `${top.strips.length} boards` : "boards not chosen yet"}, ${Math.round(top.width)} mm across the grain. At ${top.start.value} % moisture on ${top.start.on}; the room swings from ${year.driest.moisture.toFixed(1)} % in ${year.driest.name} to ${year.wettest.moisture.toFixed(1)} % in ${year.wettest.name}.`)}
      </StageHead>
      <div className="grid grid-cols-[minmax(0,1fr)_216px] items-center gap-2 max-md:grid-cols-1">
        <SceneView scene={scene} height={318} onEdit={fromDrawing} />
        {slot && <figure><SceneView scene={slot} height={156} /><figcaption className="text-[13px] text-graphite">The outermost end button in its slot in {top.months[month].name}, to scale; outward is to the right.</figcaption></figure>}
      </div>
      <SceneView scene={ends} height={34} />
      <div className="flex items-center gap-4">
        <button className="button" onClick={() => setPlaying(!playing)}>{playing ? <Pause size={14} /> : <Play size={14} />}{playing ? "Stop" : "Play the year"}</button>
        <Slider.Root className="relative flex h-8 flex-1 touch-none items-center select-none" min={0} max={11} step={1} value={[month]} onValueChange={([next]) => { setPlaying(false); setMonth(next); }}>
          <Slider.Track className="relative h-[3px] grow bg-hairline" />
          <Slider.Thumb className="block h-6 w-[58px] cursor-grab rounded-plain border border-layout bg-white text-center text-[13px] leading-[22px] font-semibold text-layout" aria-label="Month" aria-valuetext={top.months[month].name}>{top.months[month].name.slice(0, 3)}</Slider.Thumb>
        </Slider.Root>
        <span className="w-64 text-right text-[13px]" data-month={month}>{top.months[month].moisture.toFixed(1)} %, the whole top {top.months[month].change >= 0 ? "+" : "−"}{withUnit(Math.abs(top.months[month].change), true)}</span>
      </div>
      <YearChart plan={plan} piece={piece} month={month} today={today} onMonth={setMonth} />
      <FieldRow>
        <NumberField label="Measured moisture" suffix="%" value={piece.moisture.value} onTake={(value) => set("Measured moisture", ["moisture"], { value, on: today })} />
        <DateField label="Measured on" value={piece.moisture.on} onTake={(value) => value && set("Measured on", ["moisture", "on"], value)} />
        <Choice label="Fixed line" value={piece.choices.fixedLine} options={[{ value: "centre", name: "Centre" }, { value: "front-edge", name: "Front edge" }, { value: "back-edge", name: "Back edge, the wall" }]} onTake={(value) => set("Fixed line", ["choices", "fixedLine"], value)} />
        <LengthField label="End slot length" value={buttons.slotLength} onTake={(value) => set("End slot length", ["joints", "buttons", "slotLength"], value)} />
        <LengthField label="Button width" value={buttons.width} onTake={(value) => set("Button width", ["joints", "buttons", "width"], value)} />
        <Choice label="Drawn larger" value={times} options={["1", "4", "8", "16"].map((value) => ({ value, name: `${value} times` }))} onTake={setTimes} />
      </FieldRow>
      <details><summary className="cursor-pointer text-[13px] text-graphite">Every strip and month as a table</summary>
        <table className="plain mt-2"><thead><tr><th>Strip</th><th className="number">Width</th><th className="number">Per percent</th><th className="number">{top.dry.name}</th><th className="number">{top.wet.name}</th></tr></thead>
          <tbody>{top.strips.map((strip, i) => <tr key={strip.board ?? i}><td>{strip.board ?? "Flat-sawn, not chosen"}</td><td className="number">{withUnit(strip.width)}</td><td className="number">{strip.coefficient.toFixed(5)}</td><td className="number">{withUnit(strip.dry, true)}</td><td className="number">{withUnit(strip.wet, true)}</td></tr>)}</tbody></table>
        <table className="plain mt-2"><thead><tr><th>Month</th><th className="number">Moisture</th><th className="number">Change</th></tr></thead>
          <tbody>{top.months.map((each) => <tr key={each.month}><td>{each.name}</td><td className="number">{each.moisture.toFixed(1)} %</td><td className="number">{withUnit(each.change, true)}</td></tr>)}</tbody></table>
      </details>
    </>
  );
}
