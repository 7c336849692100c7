"use client";
import { TriangleAlert } from "lucide-react";
import { Choice, DateField, FieldRow } from "../fields/fields";
import { dayName, shortDay } from "../frame/sentences";
import { useUnit } from "../frame/unit";
import { usePiece } from "../piece/PieceProvider";
import { useSet } from "../piece/useSet";
import { useLit } from "../piece/lit";
import { StageHead } from "./StageHead";
import type { DatedStep } from "../../core/steps/step";

/** The order of work with its dates; steps are ticked off as they are done. */
export function BuildStage() {
  const { piece, plan } = usePiece();
  const { set } = useSet();
  const hours = plan.steps.reduce((sum, step) => sum + step.hours, 0);
  const last = plan.steps.at(-1);
  return (
    <>
      <StageHead title="The order of work">
        {last
          ? `${plan.steps.length} steps, about ${Math.round(hours)} hours at the bench, ready on ${dayName(last.ready)}. What waits for glue or finish lets other work go on.${piece.times > 1 ? ` Hours are for all ${piece.times}; what a step says is for each, but panels are told one by one.` : ""}`
          : "The steps can’t be put in order as the piece stands; Measure twice says why."}
      </StageHead>
      {last && <Calendar steps={plan.steps} />}
      <FieldRow>
        <DateField label="First day" value={piece.day} onTake={(value) => value && set("First day", ["day"], value)} />
        <DateField
          label="Deadline"
          value={piece.brief.deadline}
          onTake={(value) => set("Deadline", ["brief", "deadline"], value)}
        />
        <Choice
          label="Finish"
          value={piece.finish}
          options={[
            { value: "oil-wax", name: "Oil-wax" },
            { value: "oil", name: "Oil" },
            { value: "varnish", name: "Varnish" },
            { value: "lacquer", name: "Water-based lacquer" },
          ]}
          onTake={(value) => set("Finish", ["finish"], value)}
        />
      </FieldRow>
      <ol className="flex flex-col">
        {plan.steps.map((step, i) => (
          <StepRow
            key={step.id}
            step={step}
            number={i + 1}
            onTick={(done) =>
              set(
                done ? `Done: ${step.title}` : `Not done: ${step.title}`,
                ["done"],
                done ? [...piece.done, step.id] : piece.done.filter((each) => each !== step.id),
              )
            }
          />
        ))}
      </ol>
    </>
  );
}

function StepRow({ step, number, onTick }: { step: DatedStep; number: number; onTick: (done: boolean) => void }) {
  const { plan } = usePiece();
  const { say } = useUnit();
  const { lit } = useLit();
  const marks = step.parts.flatMap((id) => {
    const all = plan.parts.find((part) => part.id === id)?.marks ?? [];
    return all.length > 2 ? [`${all[0]} to ${all.at(-1)}`] : all;
  });
  return (
    <li
      className={`grid grid-cols-[32px_92px_minmax(0,1fr)] gap-x-3 border-t border-hairline py-2 ${lit.includes(step.id) ? "bg-wash" : ""} ${step.done ? "text-graphite" : ""}`}
      data-step={step.id}
    >
      <label className="flex size-8 items-center justify-center">
        <input
          type="checkbox"
          className="size-5 accent-holds"
          checked={step.done}
          onChange={(event) => onTick(event.target.checked)}
          aria-label={`Done: ${step.title}`}
        />
      </label>
      <span className="pt-1.5 text-[13px] text-graphite">{shortDay(step.starts)}</span>
      <div className="pt-1">
        <p>
          <b className="font-[560]">
            {number}. {step.title}
          </b>{" "}
          <span className="text-[13px] text-graphite">
            {step.hours < 1 ? `${Math.round(step.hours * 60)} min` : `${Math.round(step.hours * 2) / 2} h`}
            {step.wait > 0 &&
              `, then ${step.wait >= 48 ? `${Math.round(step.wait / 24)} days` : `${step.wait} h`} for ${step.waitFor}`}
          </span>
        </p>
        <p className="text-[13.5px]">
          {say(step.detail)}
          {marks.length > 0 && <span className="text-graphite"> Parts: {marks.join(", ")}.</span>}
        </p>
        {step.check && <p className="text-[13px] text-graphite">Check: {say(step.check)}</p>}
        {step.caution && (
          <p className="flex items-center gap-1 text-[13px] text-tight">
            <TriangleAlert size={14} aria-hidden />
            Caution: {step.caution}
          </p>
        )}
      </div>
    </li>
  );
}

const DAY = 86400000;
/** Each step a bar over the days: solid at the bench, hatched while something waits. */
function Calendar({ steps }: { steps: readonly DatedStep[] }) {
  const first = Date.parse(steps[0].starts);
  const days = Math.max(1, Math.round((Date.parse(steps.at(-1)!.ready) - first) / DAY) + 1);
  const x = (date: string) => (100 * (Date.parse(date) - first)) / DAY / days;
  const row = 15;
  return (
    <svg
      className="w-full border border-hairline bg-sheet"
      height={steps.length * row + 30}
      role="img"
      aria-label={`Calendar of ${days} days`}
    >
      {Array.from({ length: days }, (_, i) => {
        const date = new Date(first + i * DAY);
        const weekend = [0, 6].includes(date.getUTCDay());
        return (
          <g key={i}>
            {weekend && <rect x={`${(100 * i) / days}%`} y="0" width={`${100 / days}%`} height="100%" fill="#e9eeec" />}
            {date.getUTCDay() === 1 && (
              <>
                <line x1={`${(100 * i) / days}%`} x2={`${(100 * i) / days}%`} y1="0" y2="100%" stroke="#c6d0cb" />
                <text
                  visibility={i > days - 3 ? "hidden" : undefined}
                  x={`${(100 * i) / days + 0.4}%`}
                  y="15"
                  fontSize="13"
                  fill="#51605a"
                >
                  {shortDay(date.toISOString().slice(0, 10))}
                </text>
              </>
            )}
          </g>
        );
      })}
      {steps.map((step, i) => {
        const work = 100 / days;
        const bar = work * Math.min(1, Math.max(0.25, step.hours / 7)) * 0.9;
        const waiting = step.wait > 0 ? Math.max(work, x(step.ready) - x(step.starts)) : 0;
        const end = x(step.starts) + Math.max(bar, waiting);
        // the name stands beside its bar, on the side where there is room
        const before = end > 60;
        return (
          <g key={step.id}>
            <title>{`${step.title}, ${dayName(step.starts)} to ${dayName(step.ready)}`}</title>
            <rect
              x={`${x(step.starts)}%`}
              y={24 + i * row}
              width={`${waiting}%`}
              height={row - 3}
              fill={step.done ? "#cfe0d4" : "#c3d1ec"}
            />
            <rect
              x={`${x(step.starts)}%`}
              y={24 + i * row}
              width={`${bar}%`}
              height={row - 3}
              fill={step.done ? "#2c6a3e" : "#1c479f"}
            />
            <text
              x={`${before ? x(step.starts) - 0.4 : end + 0.4}%`}
              y={24 + i * row + 9.5}
              fontSize="11"
              textAnchor={before ? "end" : "start"}
              fill={step.done ? "#51605a" : "#141c1a"}
            >
              {step.title}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
