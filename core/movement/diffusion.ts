/**
 * Moisture through the thickness: Fick's law with a resistance at each face, by finite volumes and implicit steps.
 *
 * @source Crank, The Mathematics of Diffusion, for the problem; variable-step BDF2 for the steps: it stays stable however long
 * a step is, since it never overshoots a fast mode
 */

/** Cells through the thickness, thin at the faces where moisture turns sharply. */
export const CELLS = 32;
const LAST = CELLS - 1;

/** A slab as the solver sees it. */
export interface Slab {
  /** m */
  thickness: number;
  /** m²/s at 20 °C and 10 % MC */
  diffusivity: number;
}

/** What the two faces meet on one step: equilibrium moisture, percent, and the velocity of exchange, m/s; `warmth` is what the wood's temperature makes of its diffusivity, 1 at 20 °C. */
export interface Faces {
  above: number;
  below: number;
  exchangeAbove: number;
  exchangeBelow: number;
  warmth: number;
}

export interface SlabState {
  cells: Float64Array;
  before: Float64Array;
  lastStep: number;
}

const EDGES = edges();
const WIDTHS = Float64Array.from({ length: CELLS }, (_, i) => EDGES[i + 1] - EDGES[i]);
const CENTRES = Array.from({ length: CELLS }, (_, i) => (EDGES[i + 1] + EDGES[i]) / 2);
/** One over the distance between the centres of neighbours, as shares of the thickness. */
const CLOSENESS = Float64Array.from({ length: CELLS - 1 }, (_, i) => 1 / (CENTRES[i + 1] - CENTRES[i]));
/** Room for the elimination: what couples a cell to the next, one over the diagonal, the right side. */
const COUPLING = new Float64Array(CELLS);
const INVERSE = new Float64Array(CELLS);
const RIGHT = new Float64Array(CELLS);
/** Diffusivity over moisture as a table in quarters of a percent: the exponential costs more than the whole step. */
const TABLE = new Float64Array(4 * 45 + 2);

/** A slab of one moisture throughout, percent. */
export function evenSlab(moisture: number): SlabState {
  return { cells: new Float64Array(CELLS).fill(moisture), before: new Float64Array(CELLS).fill(moisture), lastStep: 0 };
}

/** Growth of diffusivity with moisture, to be asked for once a slab and given to every step. */
export function growthTable(perPercent: number): Float64Array {
  const table = perPercent === 0 ? TABLE.slice().fill(1) : TABLE.slice();
  if (perPercent !== 0)
    for (let i = 0; i < table.length; i += 1)
      table[i] = Math.exp(Math.log(1 + perPercent) * (Math.min(30, i / 4) - 10));
  return table;
}

/**
 * One step of any length; changes `state` in place.
 *
 * @param seconds  length of the step; may grow by at most 2.4 times from one to the next for second order
 * @param fresh    begin again after a jump at the faces: this step is of first order
 */
export function stepSlab(
  state: SlabState,
  slab: Slab,
  growth: Float64Array,
  { faces, seconds, fresh }: { faces: Faces; seconds: number; fresh: boolean },
): void {
  const { cells, before } = state;
  const ratio = fresh || state.lastStep === 0 ? 0 : seconds / state.lastStep;
  const lead = (1 + 2 * ratio) / (1 + ratio);
  const was = 1 + ratio;
  const wasBefore = (ratio * ratio) / (1 + ratio);
  const base = slab.diffusivity * faces.warmth;
  const scale = (base * seconds) / (slab.thickness * slab.thickness);
  // diffusivity is taken where the moisture is going, not where it was: half a step too late would cost the second order
  const above = throughFace(
    slab,
    base * at(growth, cells[LAST] + ratio * (cells[LAST] - before[LAST])),
    faces.exchangeAbove,
    seconds,
  );
  let heading = cells[0] + ratio * (cells[0] - before[0]);
  const below = throughFace(slab, base * at(growth, heading), faces.exchangeBelow, seconds);
  // forward: eliminate each cell from the next; the coupling to the next is made on the way
  let left = below;
  let here = cells[0];
  let inverse = 0;
  let known = 0;
  let entering = below * faces.below;
  for (let i = 0; i < LAST; i += 1) {
    const next = cells[i + 1];
    const nextHeading = next + ratio * (next - before[i + 1]);
    const right = scale * CLOSENESS[i] * at(growth, (heading + nextHeading) * 0.5);
    const factor = left * inverse;
    const width = WIDTHS[i];
    known = width * (was * here - wasBefore * before[i]) + entering + factor * known;
    inverse = 1 / (lead * width + left + right - factor * left);
    COUPLING[i] = right;
    INVERSE[i] = inverse;
    RIGHT[i] = known;
    left = right;
    here = next;
    heading = nextHeading;
    entering = 0;
  }
  const factor = left * inverse;
  known = WIDTHS[LAST] * (was * here - wasBefore * before[LAST]) + above * faces.above + factor * known;
  let last = known / (lead * WIDTHS[LAST] + left + above - factor * left);
  before[LAST] = here;
  cells[LAST] = last;
  for (let i = LAST - 1; i >= 0; i -= 1) {
    last = (RIGHT[i] + COUPLING[i] * last) * INVERSE[i];
    before[i] = cells[i];
    cells[i] = last;
  }
  state.lastStep = seconds;
}

/** The half cell between a face and its first centre is a resistance of its own, in a row with the film's. */
function throughFace(slab: Slab, diffusivity: number, exchange: number, seconds: number): number {
  const inner = diffusivity / ((slab.thickness * WIDTHS[0]) / 2);
  return ((seconds / slab.thickness) * exchange * inner) / (exchange + inner);
}

/**
 * The next step after a jump at the faces, in days: short while moisture turns sharply at the face, whole days when it has settled.
 *
 * @param elapsed  days since the jump
 */
export function nextStep(elapsed: number): number {
  return Math.min(1, Math.max(FIRST_STEP, elapsed * STEP_SHARE));
}
/** First step after a jump, days, and the share of the time gone by that a step may take: with these Crank's series is met within 0.4 %. */
const FIRST_STEP = 1 / 4096;
const STEP_SHARE = 0.16;

/** Mean moisture, percent. */
export function meanMoisture({ cells }: SlabState): number {
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) sum += cells[i] * WIDTHS[i];
  return sum;
}

/** What bends the slab: 12 ∫ (z/t)(m/t) dz about its middle, percent; the upper face wetter is positive. Curvature is C/t times it. */
export function moistureMoment({ cells }: SlabState): number {
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) sum += cells[i] * (CENTRES[i] - 0.5) * WIDTHS[i];
  return 12 * sum;
}

/** Diffusivity's growth at a moisture, between the table's quarters. */
function at(growth: Float64Array, moisture: number): number {
  const place = moisture < 0 ? 0 : moisture > 44 ? 176 : moisture * 4;
  const i = place | 0;
  return growth[i] + (growth[i + 1] - growth[i]) * (place - i);
}

/** Cell edges as shares of the thickness, each cell 1.24 times its neighbour toward the middle. */
function edges(): number[] {
  const half = CELLS / 2;
  const widths = Array.from({ length: half }, (_, i) => 1.24 ** i);
  const total = 2 * widths.reduce((a, b) => a + b, 0);
  const all = [...widths, ...widths.slice().reverse()];
  let from = 0;
  return [0, ...all.map((width) => (from += width / total))];
}
