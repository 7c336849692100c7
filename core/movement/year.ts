import type { MoistureYear } from "../climate/year";
import type { Strip } from "../piece/schema";
import { narrowest, RackBoard } from "../stock/board";
import type { Species } from "../wood/species";
import { boardCoefficient } from "./coefficient";
import { boardCup } from "./cup";
import { widthChange } from "./width";

/** Rings of a flat-sawn board, degrees at its edges, taken where no board is chosen yet. @source common practice */
export const UNKNOWN_RINGS = { left: -20, right: 20 };

export interface StripMovement {
  board: string | null; width: number; from: number; coefficient: number; ringLeft: number; ringRight: number; barkUp: boolean;
  /** change of this strip's width, and its cup, in the dry and the wet month, mm */
  dry: number; wet: number; cupDry: number; cupWet: number;
}

export interface TopMovement {
  width: number;
  start: { value: number; on: string; from: "log" | "piece" };
  species: string;
  /** mean over the strips, per percent MC */
  coefficient: number;
  strips: StripMovement[];
  months: { month: number; name: string; moisture: number; change: number }[];
  dry: { month: number; name: string; moisture: number; change: number };
  wet: { month: number; name: string; moisture: number; change: number };
}

export interface TopInputs {
  width: number; species: Species; start: TopMovement["start"]; year: MoistureYear;
  strips: readonly { strip: Strip; board: RackBoard; width: number }[];
}

/**
 * Width of the top through the year, strip by strip.
 *
 * @param width   mm, across the grain, today
 * @param strips  the real boards in the panel, front edge first, their widths adding up to about `width`; none yet: flat-sawn throughout
 * @returns changes in mm from today's width; the year's equilibrium moisture is taken as the wood's own, without lag
 */
export function topMovement({ width, species, start, year, strips }: TopInputs): TopMovement {
  const laid = strips.length > 0
    ? fitted(strips, width)
    : [{ board: null, from: 0, width, ringLeft: UNKNOWN_RINGS.left, ringRight: UNKNOWN_RINGS.right, barkUp: true }];
  const coefficients = laid.map((each) => boardCoefficient(species, each.ringLeft, each.ringRight));
  const changeAt = (moisture: number) => laid.reduce((sum, each, i) => sum + widthChange(each.width, coefficients[i], start.value, moisture), 0);
  const months = year.months.map(({ month, name, moisture }) => ({ month, name, moisture, change: changeAt(moisture) }));
  const [dry, wet] = [months[year.driest.month], months[year.wettest.month]];
  return {
    width, start, species: species.id, months, dry, wet,
    coefficient: laid.reduce((sum, each, i) => sum + coefficients[i] * each.width, 0) / laid.reduce((sum, each) => sum + each.width, 0),
    strips: laid.map((each, i) => ({
      ...each, coefficient: coefficients[i],
      dry: widthChange(each.width, coefficients[i], start.value, dry.moisture), wet: widthChange(each.width, coefficients[i], start.value, wet.moisture),
      cupDry: boardCup(species, each.width, each.ringLeft, each.ringRight, dry.moisture - start.value),
      cupWet: boardCup(species, each.width, each.ringLeft, each.ringRight, wet.moisture - start.value),
    })),
  };
}

/**
 * How far a point of the top moves across the grain.
 *
 * @param at     mm from the front edge of the top
 * @param fixed  mm from the front edge: the line that does not move
 * @returns mm away from the fixed line in the dry and in the wet month; negative is toward it
 */
export function travel(top: TopMovement, at: number, fixed: number): { dry: number; wet: number } {
  const [low, high] = at < fixed ? [at, fixed] : [fixed, at];
  let dry = 0;
  let wet = 0;
  for (const strip of top.strips) {
    const overlap = Math.min(high, strip.from + strip.width) - Math.max(low, strip.from);
    if (overlap <= 0) continue;
    dry += (strip.dry * overlap) / strip.width;
    wet += (strip.wet * overlap) / strip.width;
  }
  return { dry, wet };
}

/** The line that stays where it is, mm from the front edge. */
export function fixedLine(choice: "centre" | "front-edge" | "back-edge", width: number): number {
  return { centre: width / 2, "front-edge": 0, "back-edge": width }[choice];
}

/** The strips cut to the top's width: what is over comes off the two outer ones alike. */
function fitted(strips: TopInputs["strips"], width: number) {
  const total = strips.reduce((sum, each) => sum + each.width, 0);
  const over = Math.max(0, total - width);
  let from = 0;
  return strips.map(({ strip, board, width: full }, i) => {
    const trimmed = Math.max(1, full - (i === 0 ? over / 2 : 0) - (i === strips.length - 1 ? over / 2 : 0));
    const turnedRings = strip.turned !== (strip.face === "bark-down") ? [-board.ringRight, -board.ringLeft] : [board.ringLeft, board.ringRight];
    const placed = { board: board.id, from, width: trimmed, ringLeft: turnedRings[0], ringRight: turnedRings[1], barkUp: strip.face === "bark-up" };
    from += trimmed;
    return placed;
  });
}

/** A strip's width where none was set by hand: all its board gives. */
export const stripWidth = (strip: Strip, board: RackBoard, yielded: number) => Math.min(strip.width ?? yielded, yielded, narrowest(board));
