import type { GlueRun, Piece } from "../piece/schema";
import type { Adhesive } from "./adhesives";

/** When squeeze-out is taken off, minutes after the clamps are on: wet at once, rubbery, or dry. @source common practice */
const SCRAPE: Record<Piece["choices"]["squeezeOut"], number> = {
  "wipe-wet": 2,
  "scrape-rubbery": 30,
  "scrape-dry": 24 * 60,
};

export type RunStep = "clamped" | "scraped" | "unclamped" | "machined";

/** One timer of a running glue-up: when it is due, counted from moments that are kept, so that it goes on through a reload. */
export interface RunTimer {
  step: RunStep;
  name: string;
  done: string;
  due: number | null;
  doneAt: number | null;
}

/** The timers of a glue-up, in order; ms since 1970. A step that waits for another has no due moment yet. */
export function runTimers(run: GlueRun, adhesive: Adhesive, squeezeOut: Piece["choices"]["squeezeOut"]): RunTimer[] {
  const at = (moment: string | null) => (moment === null ? null : Date.parse(moment));
  const clamped = at(run.clamped);
  const after = (minutes: number) => (clamped === null ? null : clamped + minutes * 60_000);
  const timer = (step: RunStep, name: string, done: string, due: number | null): RunTimer => ({
    step,
    name,
    done,
    due,
    doneAt: at(run[step]),
  });
  return [
    timer("clamped", "Glue skins over", "Clamps are on", Date.parse(run.started) + adhesive.open * 60_000),
    timer(
      "scraped",
      squeezeOut === "wipe-wet" ? "Wipe off what is squeezed out" : "Scrape off what is squeezed out",
      "Scraped",
      after(SCRAPE[squeezeOut]),
    ),
    timer("unclamped", "Take the clamps off", "Clamps are off", after(adhesive.clampHours * 60)),
    timer("machined", "First planing or scraping", "Planed", after(adhesive.fullHours * 60)),
  ];
}

/** What the log keeps of a step, as a sentence. */
export function runNote(
  run: GlueRun,
  step: RunStep,
  { name, adhesive, now }: { name: string; adhesive: Adhesive; now: string },
): string {
  const minutes = (Date.parse(now) - Date.parse(run.started)) / 60_000;
  const hours = (minutes / 60).toFixed(1);
  switch (step) {
    case "clamped":
      return `${name} glued with ${adhesive.name[0].toLowerCase() + adhesive.name.slice(1)}: clamps on after ${minutes.toFixed(1)} min of ${adhesive.open} min open time, ${run.people} ${run.people === 1 ? "person" : "people"}.${minutes > adhesive.open ? " Over the open time: watch these seams." : ""}`;
    case "scraped":
      return `${name}: squeeze-out taken off after ${Math.round(minutes)} min.`;
    case "unclamped":
      return `${name}: clamps off after ${hours} h${minutes / 60 < adhesive.clampHours - 0.05 ? `, before the ${adhesive.clampHours} h the glue asks` : ""}.`;
    case "machined":
      return `${name}: planed after ${hours} h${minutes / 60 < adhesive.fullHours - 0.05 ? `, before the ${adhesive.fullHours} h the seams need not to sink` : ""}. The glued part is done.`;
  }
}
