import type { Inserted } from "../construction/geometry";
import type { Strip } from "../piece/schema";
import { narrowest, RackBoard } from "../stock/board";
import type { Species } from "../wood/species";
import { boardCoefficient } from "./coefficient";
import { Course, firstExtreme, sampleDate } from "./course";
import { boardCup, boardRotation } from "./cup";
import { widthChange } from "./width";

/** Rings of a flat-sawn board, degrees at its edges, taken where no board is chosen yet. @source common practice */
export const UNKNOWN_RINGS = { left: -20, right: 20 };

export interface StripMovement {
  board: string | null;
  /** of a striped top: its kind of part */
  kind?: string;
  width: number;
  from: number;
  coefficient: number;
  ringLeft: number;
  ringRight: number;
  barkUp: boolean;
  /** change of this strip's width, and its cup, on the driest and the wettest day, mm */
  dry: number;
  wet: number;
  cupDry: number;
  cupWet: number;
}

export interface TopDay {
  at: number;
  on: string;
  name: string;
  moisture: number;
  change: number;
}

export interface TopMovement {
  width: number;
  thickness: number;
  start: { value: number; on: string; from: "log" | "piece" };
  species: string;
  /** mean over the strips, per percent MC */
  coefficient: number;
  strips: StripMovement[];
  course: Course;
  /** change of the whole width against today at each sample of the course, mm */
  changes: number[];
  /** what a free panel rises in its middle from edge to edge at each sample, mm; hollow above is negative */
  bow: number[];
  dry: TopDay;
  wet: TopDay;
}

export interface TopInputs {
  width: number;
  thickness: number;
  species: Species;
  start: TopMovement["start"];
  course: Course;
  strips: readonly { strip: Strip; board: RackBoard; width: number }[];
  /** strips that come from no one board, each of its own wood */
  stripes?: readonly { kind: string; from: number; width: number; species: Species }[];
  /** a strip of its own wood along the top: the boards' panel is sawn apart for it */
  inserted?: (Inserted & { kind: string; species: Species }) | null;
  /** coefficients measured on this piece, which count before the table's */
  fitted?: readonly { what: string; coefficient: number }[];
}

type Laid = Pick<StripMovement, "board" | "kind" | "width" | "from" | "ringLeft" | "ringRight" | "barkUp">;

/**
 * Width of the top through its years, strip by strip.
 *
 * @param width   mm, across the grain, today
 * @param strips  the real boards in the panel, front edge first, their widths adding up to about `width`; none yet: flat-sawn throughout
 * @returns changes in mm from today's width, at the moisture the wood itself has
 */
export function topMovement(inputs: TopInputs): TopMovement {
  const { width, thickness, species, start, course, strips, stripes = [], fitted = [], inserted = null } = inputs;
  const rings = { ringLeft: UNKNOWN_RINGS.left, ringRight: UNKNOWN_RINGS.right };
  const boards = inserted ? width - inserted.width + inserted.lost : width;
  const panel: Laid[] =
    strips.length > 0
      ? trimmed(strips, boards)
      : stripes.length > 0
        ? // turned in pairs, as makers lay strips that are all sawn alike
          stripes.map(({ species: _, ...each }, i) => ({ ...each, ...rings, board: null, barkUp: i % 2 === 0 }))
        : [{ ...rings, board: null, from: 0, width: boards, barkUp: true }];
  const laid = inserted ? roundStrip(panel, inserted, rings) : panel;
  const wood = (i: number) =>
    inserted && laid[i].kind === inserted.kind
      ? inserted.species
      : strips.length === 0 && stripes[i]
        ? stripes[i].species
        : species;
  const own = (what: string | null) => fitted.findLast((each) => each.what === what)?.coefficient;
  const coefficients = laid.map(
    (each, i) => own(each.board) ?? own("top") ?? boardCoefficient(wood(i), each.ringLeft, each.ringRight),
  );
  const changeAt = (moisture: number) =>
    laid.reduce((sum, each, i) => sum + widthChange(each.width, coefficients[i], start.value, moisture), 0);
  const changes = course.mean.map(changeAt);
  const mean =
    laid.reduce((sum, each, i) => sum + coefficients[i] * each.width, 0) /
    laid.reduce((sum, each) => sum + each.width, 0);
  const turned = (moisture: number) =>
    laid.reduce(
      (sum, each, i) =>
        sum + (each.barkUp ? 1 : -1) * boardRotation(wood(i), each.ringLeft, each.ringRight, moisture - start.value),
      0,
    );
  const bow = course.mean.map(
    (moisture, i) =>
      (panelCurvature(mean, thickness, course.moment[i]) * width * width) / 8 + (turned(moisture) * width) / 8,
  );
  const extreme = (sign: 1 | -1): TopDay => {
    const at = firstExtreme(changes, sign);
    return { at, ...sampleDate(course.from, at), moisture: course.mean[at], change: changes[at] };
  };
  const [dry, wet] = [extreme(-1), extreme(1)];
  return {
    width,
    thickness,
    start,
    species: species.id,
    course,
    changes,
    bow,
    dry,
    wet,
    coefficient: mean,
    strips: laid.map((each, i) => ({
      ...each,
      coefficient: coefficients[i],
      dry: widthChange(each.width, coefficients[i], start.value, dry.moisture),
      wet: widthChange(each.width, coefficients[i], start.value, wet.moisture),
      cupDry: boardCup(wood(i), each.width, {
        left: each.ringLeft,
        right: each.ringRight,
        change: dry.moisture - start.value,
      }),
      cupWet: boardCup(wood(i), each.width, {
        left: each.ringLeft,
        right: each.ringRight,
        change: wet.moisture - start.value,
      }),
    })),
  };
}

/**
 * Curvature that faces of unlike moisture give a free panel, 1/mm; the upper face wetter arches it up.
 *
 * @param moment  percent, see `moistureMoment`
 * @source derived: κ = 12 C/t³ ∫ m z dz, an upper bound that creep lowers
 */
export const panelCurvature = (coefficient: number, thickness: number, moment: number) =>
  (coefficient * moment) / thickness;

/**
 * How far a point of the top moves across the grain.
 *
 * @param at     mm from the front edge of the top
 * @param fixed  mm from the front edge: the line that does not move
 * @returns mm away from the fixed line on the driest and on the wettest day; negative is toward it
 */
export function travel(top: TopMovement, at: number, fixed: number): { dry: number; wet: number } {
  return { dry: between(top, at, fixed, (strip) => strip.dry), wet: between(top, at, fixed, (strip) => strip.wet) };
}

/** The same on one sample of the course, mm. */
export function travelOn(top: TopMovement, at: number, fixed: number, sample: number): number {
  const moisture = top.course.mean[sample];
  return between(top, at, fixed, (strip) => widthChange(strip.width, strip.coefficient, top.start.value, moisture));
}

function between(top: TopMovement, at: number, fixed: number, change: (strip: StripMovement) => number): number {
  const [low, high] = at < fixed ? [at, fixed] : [fixed, at];
  let sum = 0;
  for (const strip of top.strips) {
    const overlap = Math.min(high, strip.from + strip.width) - Math.max(low, strip.from);
    if (overlap > 0) sum += (change(strip) * overlap) / strip.width;
  }
  return sum;
}

/** The line that stays where it is, mm from the front edge. */
export function fixedLine(choice: "centre" | "front-edge" | "back-edge", width: number): number {
  return { centre: width / 2, "front-edge": 0, "back-edge": width }[choice];
}

/** Strips of a panel that is sawn apart along its grain, with what is glued between: what is lost there is nobody's. */
function roundStrip(
  panel: readonly Laid[],
  { front, width, lost, kind }: Inserted & { kind: string },
  rings: Pick<Laid, "ringLeft" | "ringRight">,
): Laid[] {
  const part = (low: number, high: number, by: number): Laid[] =>
    panel.flatMap((each) => {
      const [from, to] = [Math.max(low, each.from), Math.min(high, each.from + each.width)];
      return to - from > 0.01 ? [{ ...each, from: from + by, width: to - from }] : [];
    });
  return [
    ...part(0, front, 0),
    { ...rings, kind, board: null, from: front, width, barkUp: true },
    ...part(front + lost, Infinity, width - lost),
  ];
}

/** The strips cut to the top's width: what is over comes off the two outer ones alike. */
function trimmed(strips: TopInputs["strips"], width: number) {
  const total = strips.reduce((sum, each) => sum + each.width, 0);
  const over = Math.max(0, total - width);
  let from = 0;
  return strips.map(({ strip, board, width: full }, i) => {
    const kept = Math.max(1, full - (i === 0 ? over / 2 : 0) - (i === strips.length - 1 ? over / 2 : 0));
    const turnedRings =
      strip.turned !== (strip.face === "bark-down")
        ? [-board.ringRight, -board.ringLeft]
        : [board.ringLeft, board.ringRight];
    const placed = {
      board: board.id,
      from,
      width: kept,
      ringLeft: turnedRings[0],
      ringRight: turnedRings[1],
      barkUp: strip.face === "bark-up",
    };
    from += kept;
    return placed;
  });
}

/** A strip's width where none was set by hand: all its board gives. */
export const stripWidth = (strip: Strip, board: RackBoard, yielded: number) =>
  Math.min(strip.width ?? yielded, yielded, narrowest(board));
