"use client";
import type { ReactNode } from "react";
import { fractions } from "../frame/fractions";
import { isFault } from "../../core/verdict/faults";
import type { TriedRemedy } from "../../core/tried";
import type { Stage, Verdict } from "../../core/verdict/verdict";
import { worstFirst } from "../../core/verdict/verdict";
import { useUnit } from "../frame/unit";
import { useLit } from "../piece/lit";
import { usePiece } from "../piece/PieceProvider";
import { TakeBack } from "../piece/TakeBack";
import { useTried } from "./useTried";
import { levelColour, Sign } from "./Sign";

/** Every verdict of this stage, worst first, with its numbers, its source and what mends it. */
export function MeasureTwice({ stage }: { stage: Stage }) {
  const { plan, edit } = usePiece();
  const verdicts = worstFirst(plan.verdicts.filter((each) => each.stage === stage));
  const tried = useTried(verdicts);
  const count = (level: Verdict["level"]) => verdicts.filter((each) => each.level === level).length;
  const counts = [
    [count("fix"), "to fix"],
    [count("tight"), "tight"],
    [count("holds"), "hold"],
  ]
    .filter(([n]) => n)
    .map(([n, word]) => `${n} ${word === "hold" && n === 1 ? "holds" : word}`);
  return (
    <aside aria-label="Measure twice" className="border-l border-hairline bg-sheet px-[18px] py-3.5 print:hidden">
      <h2 className="mb-2 flex items-baseline justify-between">
        Measure twice{" "}
        <span className="text-[13px] font-normal text-graphite [font-stretch:100%]">{counts.join(", ")}</span>
      </h2>
      <ul>
        {verdicts.map((verdict) => (
          <Judgement
            key={verdict.id}
            verdict={verdict}
            remedies={tried.get(verdict.id) ?? NONE}
            onMend={({ label, patches }) => edit(label, patches)}
          />
        ))}
      </ul>
    </aside>
  );
}

const NONE: readonly TriedRemedy[] = [];

function Judgement({
  verdict,
  remedies,
  onMend,
}: {
  verdict: Verdict;
  remedies: readonly TriedRemedy[];
  onMend: (remedy: TriedRemedy) => void;
}) {
  const { say } = useUnit();
  const { lit, light } = useLit();
  const on = verdict.subject.some((id) => lit.includes(id));
  return (
    <li
      className={`grid grid-cols-[18px_minmax(0,1fr)] gap-x-2 border-t border-hairline py-2.5 ${on ? "bg-wash" : ""}`}
      data-verdict={verdict.id}
      data-level={verdict.level}
      onMouseEnter={() => light(verdict.subject)}
      onMouseLeave={() => light([])}
    >
      <span className="pt-0.5">
        <Sign level={verdict.level} />
      </span>
      <div>
        <p className="font-[560]">{fractions(say(verdict.text))}</p>
        <p className="mt-px text-[13px] text-graphite">{fractions(say(verdict.why))}</p>
        {verdict.level !== "holds" && verdict.limit !== null && verdict.actual !== null && verdict.sense && (
          <Gauge verdict={verdict} />
        )}
        {verdict.level !== "holds" && <p className="text-[13px] text-graphite">Source: {verdict.source}.</p>}
        {isFault(verdict) && <TakeBack />}
        {remedies.length > 0 && (
          <ul className="mt-1.5 flex flex-wrap gap-1.5">
            {remedies.map((remedy) => (
              <li key={remedy.label}>
                <button className="button" onClick={() => onMend(remedy)}>
                  {fractions(say(remedy.label))}
                </button>
                <Worse of={remedy} />
              </li>
            ))}
          </ul>
        )}
      </div>
    </li>
  );
}

/** What a remedy would make worse, before it is pressed: so many are named. */
const NAMED = 2;

function Worse({ of: { worse } }: { of: TriedRemedy }) {
  const { say } = useUnit();
  if (worse.length === 0) return null;
  const [named, more] = [worse.slice(0, NAMED), worse.length - NAMED];
  return (
    <p className="mt-0.5 text-[13px] text-graphite" data-worse={worse.length}>
      Then:{" "}
      {named
        .map(({ text }) => fractions(say(text)))
        .reduce<ReactNode[]>((all, each, i) => [...all, i > 0 ? "; " : "", each], [])}
      {more > 0 && ` and ${more} more`}.
    </p>
  );
}

/** Need against have on one line: the mark is what is asked, the bar what is there. */
function Gauge({ verdict }: { verdict: Verdict }) {
  const { limit, actual, sense, unit } = verdict;
  const most = Math.max(Math.abs(limit!), Math.abs(actual!), 1e-6) * 1.25;
  const at = (n: number) => (100 * Math.max(0, n)) / most;
  const [low, high] = [Math.min(at(limit!), at(actual!)), Math.max(at(limit!), at(actual!))];
  const ok = at(sense === "at least" ? actual! : Math.min(limit!, actual!));
  return (
    <svg className="mt-1.5 h-4 w-full" role="img" aria-label={`${actual} against ${sense} ${limit} ${unit}`}>
      <rect x="0" y="4" width={`${Math.min(ok, high)}%`} height="8" fill="#cfe0d4" />
      <rect x={`${low}%`} y="4" width={`${high - low}%`} height="8" fill={levelColour(verdict.level)} opacity=".35" />
      <line x1="0" x2="100%" y1="12.5" y2="12.5" stroke="#c6d0cb" />
      <line
        x1={`${at(limit!)}%`}
        x2={`${at(limit!)}%`}
        y1="0"
        y2="16"
        stroke={levelColour(verdict.level)}
        strokeWidth="2"
      />
    </svg>
  );
}
