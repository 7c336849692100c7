"use client";
import type { SettingCard } from "../../core/joinery/joint";
import { fractions } from "../frame/fractions";
import { useUnit } from "../frame/unit";

/** What to set on gauge and machine, a column a joint. */
export function SettingCards({
  cards,
  columns = "grid-cols-2 xl:grid-cols-3",
}: {
  cards: readonly SettingCard[];
  columns?: string;
}) {
  const { say } = useUnit();
  return (
    <div className={`grid gap-x-8 gap-y-4 ${columns}`}>
      {cards.map((card) => (
        <section key={card.joint} className="break-inside-avoid">
          <h2 className="border-b border-ink pb-1">{card.title}</h2>
          <dl>
            {card.lines.map((line) => (
              <div key={line.what} className="flex justify-between gap-3 border-b border-hairline py-1 text-[13.5px]">
                <dt className="text-graphite">{line.what}</dt>
                <dd className="text-right font-[560]">
                  {fractions(say(line.setting).replace(/ (mm|in)\b/g, "\u00a0$1"))}
                </dd>
              </div>
            ))}
          </dl>
          <p className="mt-1 text-[13px] text-graphite">{card.marked}</p>
        </section>
      ))}
    </div>
  );
}
