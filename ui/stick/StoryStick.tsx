"use client";
import Link from "next/link";
import { MARK_NAMES } from "../../core/verdict/faults";
import type { Level, Stage } from "../../core/verdict/verdict";
import { Sign } from "../twice/Sign";

/** The way through a piece: a planed batten, a pencil mark a stage, a knife notch where you stand. */
export function StoryStick({
  piece,
  here,
  levels,
}: {
  piece: string;
  here: Stage;
  levels: { stage: Stage; level: Level | null }[];
}) {
  return (
    <nav aria-label="Stages" className="relative mt-2 mb-2 h-[44px] border-y border-[#b49d70] bg-batten print:hidden">
      <svg className="absolute inset-0 h-full w-full" preserveAspectRatio="none" viewBox="0 0 1280 42" aria-hidden>
        {Array.from({ length: 7 }, (_, i) => (
          <path
            key={i}
            d={`M0 ${5 + i * 5.4} C 300 ${5 + i * 5.4 + Math.round(Math.sin(i) * 4)}, 700 ${2 + i * 5.4}, 1280 ${5 + i * 5.4 + Math.round(Math.cos(i) * 3)}`}
            stroke="#d6c39b"
            fill="none"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <ol className="relative grid h-full grid-cols-9 pl-6 max-lg:pl-2">
        {levels.map(({ stage, level }, i) => {
          const on = stage === here;
          return (
            <li key={stage} className="relative">
              <svg className="pointer-events-none absolute inset-x-0 bottom-0 h-4 w-full overflow-visible" aria-hidden>
                {Array.from({ length: 7 }, (_, j) => (
                  <line
                    key={j}
                    x1={`${((j + 1) / 8) * 100}%`}
                    x2={`${((j + 1) / 8) * 100}%`}
                    y1={j === 3 ? 8 : 11}
                    y2="16"
                    stroke="#6d5c36"
                  />
                ))}
                {on ? (
                  <path d="M-9 16 L0 2 L9 16z" fill="#e9eeec" stroke="#b49d70" strokeLinejoin="round" />
                ) : (
                  <line x1="0.5" x2="0.5" y1="2" y2="16" stroke="#3a2f18" strokeWidth="1.5" />
                )}
              </svg>
              <Link
                href={`/pieces/${piece}/${stage}`}
                aria-current={on ? "page" : undefined}
                title={`Key ${i + 1}`}
                className={`flex h-8 items-center gap-1.5 text-[15px] max-lg:gap-1 max-lg:text-[13px] ${on ? "font-bold text-layout" : "font-medium text-[#2b2413] hover:text-layout"}`}
              >
                <Sign level={level} size={12} />
                <span className={on ? "" : "max-sm:sr-only"}>{MARK_NAMES[stage]}</span>
              </Link>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
