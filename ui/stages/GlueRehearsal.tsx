"use client";
import { useEffect, useState } from "react";
import { rehearse } from "../../core/glueup/rehearsal";
import { runNote, RunStep, runTimers } from "../../core/glueup/run";
import type { GlueStage } from "../../core/glueup/stages";
import type { GlueRun } from "../../core/piece/schema";
import { usePiece } from "../piece/PieceProvider";

const clock = (ms: number) => {
  const s = Math.abs(Math.round(ms / 1000));
  const h = Math.floor(s / 3600);
  return `${ms < 0 ? "−" : ""}${h > 0 ? `${h}:` : ""}${String(Math.floor((s % 3600) / 60)).padStart(h > 0 ? 2 : 1, "0")}:${String(s % 60).padStart(2, "0")}`;
};

/** The moves acted out by one, two or three people against the glue's clock; played at thirty times the speed. */
export function Rehearsal({ stage }: { stage: GlueStage }) {
  const { piece, plan, edit } = usePiece();
  const [people, setPeople] = useState(Math.min(3, piece.glueUp.hands));
  const [at, setAt] = useState<number | null>(null);
  const acted = rehearse(stage, piece.choices.alignment, people);
  const open = plan.adhesive.open;
  const most = Math.max(acted.minutes, open) * 1.04;
  useEffect(() => {
    if (at === null) return undefined;
    if (at >= acted.minutes) return undefined;
    const timer = setTimeout(() => setAt(Math.min(acted.minutes, at + 0.1)), 200);
    return () => clearTimeout(timer);
  }, [at, acted.minutes]);
  const now = at === null ? [] : acted.moves.filter((move) => move.from <= at + 1e-9 && move.to > at);
  const over = acted.longestOpen > open;
  return (
    <section aria-label="Rehearsal">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="mr-2">Rehearsal</h2>
        {[1, 2, 3].map((n) => (
          <button
            key={n}
            className={`button ${people === n ? "bg-wash" : "button-plain"}`}
            aria-pressed={people === n}
            onClick={() => {
              setPeople(n);
              setAt(null);
            }}
          >
            {n === 1 ? "Alone" : `${n} people`}
          </button>
        ))}
        <button className="button" onClick={() => setAt(at === null || at >= acted.minutes ? 0 : null)}>
          {at !== null && at < acted.minutes ? "Stop" : "Walk through it"}
        </button>
        <span
          className={`text-[13.5px] ${over ? "text-fix" : "text-graphite"}`}
          data-longest={acted.longestOpen.toFixed(2)}
        >
          {acted.minutes.toFixed(1)} min of work; line {acted.openLine} waits longest, {acted.longestOpen.toFixed(1)} of{" "}
          {open} min open{over ? ": it skins over first" : ""}.
        </span>
        {people !== piece.glueUp.hands && (
          <button
            className="button button-plain"
            onClick={() => edit("Hands", [{ path: ["glueUp", "hands"], value: people }])}
          >
            Plan for {people === 1 ? "one person" : `${people} people`}
          </button>
        )}
      </div>
      <svg
        className="mt-2 w-full"
        height={people * 26 + 22}
        role="img"
        aria-label={acted.moves
          .map((move) => `${people > 1 ? `Person ${move.person + 1}, ` : ""}${move.from.toFixed(1)} min: ${move.what}`)
          .join("; ")}
      >
        <rect x="0" y="0" width={`${(100 * Math.min(open, most)) / most}%`} height={people * 26} fill="#cfe0d4" />
        {acted.moves.map((move, i) => (
          <rect
            key={i}
            x={`${(100 * move.from) / most}%`}
            y={move.person * 26 + 4}
            width={`${Math.max(0.2, (100 * (move.to - move.from)) / most - 0.12)}%`}
            height="18"
            fill={
              now.includes(move)
                ? "#1c479f"
                : move.what.startsWith("Spread")
                  ? "#8a5a00"
                  : move.what.startsWith("Tighten")
                    ? "#14201c"
                    : "#51605a"
            }
          >
            <title>{`${move.what}, ${move.from.toFixed(1)} to ${move.to.toFixed(1)} min`}</title>
          </rect>
        ))}
        <line
          x1={`${(100 * open) / most}%`}
          x2={`${(100 * open) / most}%`}
          y1="0"
          y2={people * 26}
          stroke={over ? "#ab2018" : "#2c6a3e"}
          strokeWidth="2"
        />
        {at !== null && (
          <line
            x1={`${(100 * at) / most}%`}
            x2={`${(100 * at) / most}%`}
            y1="0"
            y2={people * 26}
            stroke="#1c479f"
            strokeWidth="2"
          />
        )}
        <text x="0" y={people * 26 + 16} fontSize="13" fill="#51605a">
          brown: spread, black: clamps, grey: lay and press; green: glue open
        </text>
      </svg>
      {at !== null && (
        <p className="text-[15px]" role="status">
          <b className="font-semibold">{clock(at * 60_000)}</b>{" "}
          {now.length > 0
            ? now.map((move) => `${people > 1 ? `${move.person + 1}: ` : ""}${move.what}`).join("; ")
            : "All clamps are on."}
        </p>
      )}
    </section>
  );
}

/** The real thing: timers from the moments that were pressed, which go on through a reload and write the log. */
export function GlueRunner({ stage }: { stage: GlueStage }) {
  const { piece, plan, today, edit } = usePiece();
  const [now, setNow] = useState<number | null>(null);
  const index = piece.glueUp.runs.findLastIndex((each) => each.stage === stage.id);
  const run: GlueRun | undefined = piece.glueUp.runs[index];
  useEffect(() => {
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const start = () =>
    edit(`${stage.name}: glue-up begun`, [
      {
        path: ["glueUp", "runs", piece.glueUp.runs.length],
        value: {
          stage: stage.id,
          people: piece.glueUp.hands,
          started: new Date().toISOString(),
          clamped: null,
          scraped: null,
          unclamped: null,
          machined: null,
        },
      },
    ]);
  const done = (step: RunStep) => {
    const moment = new Date().toISOString();
    edit(`${stage.name}: ${step}`, [
      { path: ["glueUp", "runs", index, step], value: moment },
      {
        path: ["log", piece.log.length],
        value: {
          kind: "note",
          id: `glue-${stage.id}-${index}-${step}`,
          on: today,
          text: runNote(run!, step, { name: stage.name, adhesive: plan.adhesive, now: moment }),
        },
      },
    ]);
  };
  const timers = run ? runTimers(run, plan.adhesive, piece.choices.squeezeOut) : [];
  const open = timers.find((timer) => timer.doneAt === null);
  return (
    <section aria-label="Glue-up">
      <div className="flex flex-wrap items-center gap-3">
        <h2>The glue-up itself</h2>
        {(!run || !open) && (
          <button className="button" onClick={start}>
            {run ? "Glue it again" : `Start: first glue on ${stage.name.toLowerCase()}`}
          </button>
        )}
        {!run && (
          <span className="text-[13.5px] text-graphite">
            Press it as the first glue goes on; the clock goes on when this page is closed.
          </span>
        )}
      </div>
      {run && (
        <ol className="mt-1">
          {timers.map((timer) => {
            const left = timer.due !== null && now !== null ? timer.due - now : null;
            return (
              <li
                key={timer.step}
                className="flex min-h-10 items-center gap-4 border-b border-hairline py-1 text-[15px]"
                data-timer={timer.step}
                data-done={timer.doneAt !== null}
              >
                <span className="min-w-64">{timer.name}</span>
                <b
                  className={`w-28 font-semibold ${timer.doneAt === null && left !== null && left < 0 ? (timer.step === "clamped" ? "text-fix" : "text-layout") : ""}`}
                >
                  {timer.doneAt !== null
                    ? "done"
                    : left === null
                      ? "waits"
                      : left < 0
                        ? `${clock(-left)} ${timer.step === "clamped" ? "over" : "due"}`
                        : clock(left)}
                </b>
                {timer === open && timer.due !== null && (
                  <button className="button ml-auto" onClick={() => done(timer.step)}>
                    {timer.done}
                  </button>
                )}
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
}
