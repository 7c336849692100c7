import type { LogEntry } from "../piece/schema";

/** One width with the moisture it was measured at; `what` groups what was measured on one piece of wood. */
export interface WidthAtMoisture {
  what: string;
  width: number;
  moisture: number;
}

export type Fit =
  { ok: true; coefficient: number; uncertainty: number; readings: number; spread: number } | { ok: false; why: string };

/** How well a caliper on wood repeats, mm, and a pin meter, percent, one standard deviation. @source common practice */
export const MEASURING = { width: 0.1, moisture: 0.4 };
/** What a fit needs before it says anything: readings, and percent of moisture between them. @source common practice */
export const FIT_NEEDS = { readings: 3, spread: 1.5 };

/**
 * Dimensional change coefficient from measured widths, one slope for all pieces and an own width for each.
 *
 * @param readings  mm and percent MC; several boards of one bundle may be given together
 * @param moistureError  percent, one standard deviation; 0 where the moisture is computed rather than measured
 * @returns per percent MC with its uncertainty (twice the standard error, about 95 %): from the scatter or from how well one can
 *   measure, whichever is larger, and from the error of the moisture
 * @source least squares on relative width, centred by piece
 */
export function fitCoefficient(readings: readonly WidthAtMoisture[], moistureError: number = MEASURING.moisture): Fit {
  const groups = [...new Set(readings.map((each) => each.what))]
    .map((what) => readings.filter((each) => each.what === what))
    .filter((group) => group.length > 1);
  const used = groups.flat();
  if (used.length < FIT_NEEDS.readings)
    return {
      ok: false,
      why: `${used.length} widths with a moisture so far; ${FIT_NEEDS.readings} of one piece of wood are needed.`,
    };
  const spread = Math.max(
    ...groups.map(
      (group) => Math.max(...group.map((each) => each.moisture)) - Math.min(...group.map((each) => each.moisture)),
    ),
  );
  if (spread < FIT_NEEDS.spread)
    return {
      ok: false,
      why: `The readings lie within ${spread.toFixed(1)} % of moisture; wait until they are ${FIT_NEEDS.spread} % apart.`,
    };
  let [sxx, sxy, syy] = [0, 0, 0];
  let width = 0;
  for (const group of groups) {
    const mean = (of: (each: WidthAtMoisture) => number) =>
      group.reduce((sum, each) => sum + of(each), 0) / group.length;
    const [m, w] = [mean((each) => each.moisture), mean((each) => each.width)];
    for (const each of group) {
      const [x, y] = [each.moisture - m, (each.width - w) / w];
      sxx += x * x;
      sxy += x * y;
      syy += y * y;
      width += w / used.length;
    }
  }
  const slope = sxy / sxx;
  const free = used.length - groups.length - 1;
  const scatter = free > 0 ? Math.sqrt(Math.max(0, syy - slope * sxy) / free) : 0;
  const rule = MEASURING.width / width;
  const error = Math.hypot(Math.max(scatter, rule), Math.abs(slope) * moistureError) / Math.sqrt(sxx);
  if (slope <= 0)
    return {
      ok: false,
      why: "The widths shrink as the wood gets wetter: one of the readings is wrong, or was taken elsewhere.",
    };
  return { ok: true, coefficient: slope, uncertainty: 2 * error, readings: used.length, spread };
}

/**
 * Widths of one thing in the log, each with its moisture: the one written beside it, or what the plan has for that day.
 *
 * @param predicted  percent MC the plan computes for a date
 */
export function widthsOf(
  log: readonly LogEntry[],
  what: string,
  predicted: (on: string) => number,
): { readings: WidthAtMoisture[]; measured: boolean } {
  const widths = log.filter(
    (each): each is Extract<LogEntry, { kind: "width" }> => each.kind === "width" && each.what === what,
  );
  return {
    readings: widths.map((each) => ({ what, width: each.value, moisture: each.moisture ?? predicted(each.on) })),
    measured: widths.some((each) => each.moisture !== null),
  };
}
