/** What a piece's log says of each of its panels, beside what Movement says. */
import type { PanelPlace } from "../construction/geometry";
import { sampleOn } from "../movement/course";
import type { TopMovement } from "../movement/year";
import type { LogEntry, Piece } from "../piece/schema";

export type WidthEntry = Extract<LogEntry, { kind: "width" }>;

/** Widths of one thing in the log, oldest first. */
export const widthsIn = (log: readonly LogEntry[], what: string): WidthEntry[] =>
  log
    .filter((each): each is WidthEntry => each.kind === "width" && each.what === what)
    .sort((a, b) => (a.on < b.on ? -1 : 1));

export interface Expected {
  on: string;
  /** mm */
  width: number;
}

/** What Movement says a panel measures on each day its width was taken; from the second on, against the first that was taken. */
export function predictedWidths(
  log: readonly LogEntry[],
  what: string,
  moved: Pick<TopMovement, "course" | "changes" | "width">,
): Expected[] {
  const widths = widthsIn(log, what);
  const on = (day: string) => moved.changes[sampleOn(moved.course, day)];
  const from = widths.length > 1 ? widths[0].value - on(widths[0].on) : moved.width;
  return widths.map((each) => ({ on: each.on, width: from + on(each.on) }));
}

/** Coefficients as a panel reads them: its own is called the top's there. */
export const fittedFor = (panel: string, fitted: Piece["fitted"]): Piece["fitted"] =>
  fitted.flatMap((each) => (each.what === panel ? [{ ...each, what: "top" }] : each.what === "top" ? [] : [each]));

/** A panel's years as its log is held against them. */
export interface PanelRecord {
  id: string;
  name: string;
  moved: Pick<TopMovement, "course" | "changes" | "start" | "width">;
  predicted: readonly Expected[];
}

/** Every panel that a log may speak of, the top first. @param record  the top from the first moisture that is known */
export const recordsOf = (
  { course, changes, start, width }: PanelRecord["moved"],
  predicted: readonly Expected[],
  others: readonly { place: PanelPlace; top: TopMovement }[],
  log: readonly LogEntry[],
): PanelRecord[] => [
  { id: "top", name: "top", moved: { course, changes, start, width }, predicted },
  ...others.map(({ place: { id, name }, top }) => ({ id, name, moved: top, predicted: predictedWidths(log, id, top) })),
];
