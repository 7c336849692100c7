"use client";
import { Slider } from "radix-ui";
import { Pause, Play } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useMemo, useState } from "react";
import { stripesOf, stripesSaid } from "../../core/construction/top/stripes";
import { closeUp } from "../../core/drawing/close-up";
import { endGrainScene, movementScene } from "../../core/drawing/top";
import { SAMPLE_DAYS, sampleDate } from "../../core/movement/course";
import { SceneView } from "../drawing/SceneView";
import { Choice } from "../fields/fields";
import { useUnit } from "../frame/unit";
import { PanelLens } from "../piece/PanelLens";
import { PanelTabs } from "../piece/PanelTabs";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { Compare } from "./Compare";
import { Insets } from "./Insets";
import { MovementFields } from "./MovementFields";
import { MovementTable } from "./MovementTable";
import { StageHead } from "./StageHead";

const YearChart = dynamic(() => import("./YearChart").then((module) => module.YearChart), {
  ssr: false,
  loading: () => <div className="h-[172px] border border-hairline bg-sheet" />,
});

/** Milliseconds between the samples while the years play: three years in about a quarter of a minute. */
const PLAY_STEP = 70;

/** Each panel of the piece through its years, one at a time; beside the top, what holds it and what it is compared with. */
export function MovementStage() {
  const { plan } = usePiece();
  const [at, setAt] = useState("top");
  const other = plan.panels.find(({ place }) => place.id === at);
  return (
    <>
      <PanelTabs panels={plan.panels} at={other?.place.id ?? "top"} onLook={setAt} />
      {other ? (
        <PanelLens panel={other} key={other.place.id}>
          <Years name={other.place.name} />
        </PanelLens>
      ) : (
        <Years name="top" />
      )}
    </>
  );
}

/** A panel through its years: drag the day and watch its edges, its pegs and its rings go. */
function Years({ name }: { name: string }) {
  const { piece, plan } = usePiece();
  const { fromDrawing } = useSet();
  const { say, withUnit } = useUnit();
  const { top, year } = plan;
  const last = top.changes.length - 1;
  const [chosen, setSample] = useState(top.wet.at);
  const sample = Math.min(chosen, last);
  const [playing, setPlaying] = useState(false);
  const [times, setTimes] = useState("8");
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(() => setSample((now) => (now >= last ? 0 : now + 1)), PLAY_STEP);
    return () => clearInterval(timer);
  }, [playing, last]);
  const scene = useMemo(() => {
    const drawn = movementScene(plan, piece, sample, Number(times));
    return { ...drawn, title: drawn.title.replace(/^The top/, `The ${name}`) };
  }, [plan, piece, sample, times, name]);
  const near = useMemo(() => closeUp(plan, piece, sample), [plan, piece, sample]);
  const ends = useMemo(() => endGrainScene(plan, false, sample, Number(times)), [plan, sample, times]);
  const day = sampleDate(top.course.from, sample);
  const boards = top.strips[0].board
    ? `${top.strips.length} boards`
    : plan.slats
      ? `${plan.geometry.core.count} slats of`
      : plan.geometry.core.slabs
        ? `${top.strips.length === 1 ? "one slab" : `${top.strips.length} slabs`}, each about its own middle line; the top`
        : plan.geometry.core.striped
          ? `${stripesSaid(stripesOf(piece.form, plan.geometry.core.width))}, together`
          : "boards not chosen yet";
  const pick = (to: number) => {
    setPlaying(false);
    setSample(to);
  };
  return (
    <>
      <StageHead title={`How the ${name} moves through its years`}>
        {say(
          `${plan.species.name}, ${boards}${plan.slats || plan.geometry.core.striped ? "" : ","} ${Math.round(top.width)} mm across the grain, measured at ${top.start.value} % on ${top.start.on}. The air asks for ${year.driest.moisture.toFixed(1)} to ${year.wettest.moisture.toFixed(1)} %, the wood goes from ${top.dry.moisture.toFixed(1)} % in ${top.dry.name} to ${top.wet.moisture.toFixed(1)} % in ${top.wet.name}.`,
        )}
      </StageHead>
      <div className="grid grid-cols-[minmax(0,1fr)_216px] items-center gap-2 max-md:grid-cols-1">
        <SceneView scene={scene} height={268} onEdit={fromDrawing} />
        {near && (
          <figure>
            <SceneView scene={near} height={136} />
            <figcaption className="text-[13px] text-graphite">{say(near.title)}</figcaption>
          </figure>
        )}
      </div>
      <figure>
        <SceneView scene={ends} height={46} />
        <figcaption className="sr-only">{ends.title}</figcaption>
      </figure>
      <div className="flex items-end gap-4">
        <button className="button" onClick={() => setPlaying(!playing)}>
          {playing ? <Pause size={14} /> : <Play size={14} />}
          {playing ? "Stop" : "Play the years"}
        </button>
        <Slider.Root
          className="relative flex h-8 flex-1 touch-none items-center select-none"
          min={0}
          max={last}
          step={1}
          value={[sample]}
          onValueChange={([next]) => pick(next)}
        >
          <Slider.Track className="relative h-[3px] grow bg-hairline" />
          <Slider.Thumb
            className="block h-6 w-[72px] cursor-grab rounded-plain border border-layout bg-white text-center text-[13px] leading-[22px] font-semibold text-layout"
            aria-label="Month"
            aria-valuetext={`${day.name} ${day.on.slice(0, 4)}`}
          >
            {day.name.slice(0, 3)} {day.on.slice(2, 4)}
          </Slider.Thumb>
        </Slider.Root>
        <span className="w-60 pb-1.5 text-right text-[13px]" data-sample={sample} data-day={day.on}>
          {top.course.mean[sample].toFixed(1)} %, {plan.slats ? "each slat" : "the whole width"}{" "}
          {top.changes[sample] >= 0 ? "+" : "−"}
          {withUnit(Math.abs(top.changes[sample]), true)}
        </span>
        <span className="[&_label]:sr-only">
          <Choice
            label="Drawn larger"
            value={times}
            options={["1", "4", "8", "16"].map((value) => ({ value, name: `Drawn ${value} times` }))}
            onTake={setTimes}
          />
        </span>
      </div>
      <YearChart plan={plan} piece={piece} name={name} sample={sample} onSample={pick} />
      <p className="text-[13px] text-graphite">
        {say(
          `Driest about ${top.dry.on}, wettest about ${top.wet.on}. Half of a sudden change goes through in ${plan.courses.top.half} days, nine tenths in ${plan.courses.top.most}; ${plan.courses.top.follows < SAMPLE_DAYS ? "its years repeat from the day it is delivered" : `${plan.courses.top.follows} days after delivery each year is like the last`}.`,
        )}
      </p>
      {name === "top" && (
        <>
          <MovementFields />
          <Insets />
          <Compare sample={sample} exaggeration={Number(times)} />
          <MovementTable />
        </>
      )}
    </>
  );
}
