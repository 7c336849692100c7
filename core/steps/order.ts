import type { Part } from "../layout/cut-list";
import type { GlueStage } from "../glueup/stages";
import type { Adhesive } from "../glueup/adhesives";
import type { LegRailJoint } from "../joinery/tenon";
import type { Piece } from "../piece/schema";
import { attachStep, fasteningStep, topSteps } from "./top";

/** One step of the work. `after` names the steps it waits for; hours at the bench, then hours of waiting. */
export interface Step {
  id: string;
  title: string;
  detail: string;
  parts: string[];
  after: string[];
  hours: number;
  wait: number;
  waitFor: string;
  caution: string;
  check: string;
}

export interface DatedStep extends Step {
  starts: string;
  ready: string;
  done: boolean;
}

/** Hours at the bench in a working day. @source common practice */
export const HOURS_A_DAY = 7;
/** Hours a job takes, and waits. @source common practice; the maker's own record will replace them */
const TIME = {
  acclimatise: 7 * 24,
  mill: 0.35,
  mortise: 0.25,
  tenon: 0.3,
  dryFit: 1.5,
  shape: 0.4,
  glueFrame: 1,
  flatten: 2.5,
  sand: 3,
  coat: 0.75,
  attach: 1,
  release: 24,
  seam: 24,
};
const COATS: Record<Piece["finish"], { name: string; coats: number; dry: number; cure: number; oily: boolean }> = {
  "oil-wax": { name: "oil-wax", coats: 2, dry: 12, cure: 7 * 24, oily: true },
  oil: { name: "oil", coats: 3, dry: 24, cure: 14 * 24, oily: true },
  "tung-oil": { name: "tung oil", coats: 4, dry: 24, cure: 14 * 24, oily: true },
  wax: { name: "wax", coats: 2, dry: 4, cure: 24, oily: true },
  varnish: { name: "varnish", coats: 3, dry: 16, cure: 7 * 24, oily: false },
  lacquer: { name: "water-based lacquer", coats: 3, dry: 4, cure: 3 * 24, oily: false },
  shellac: { name: "shellac", coats: 4, dry: 3, cure: 4 * 24, oily: false },
  bare: { name: "nothing", coats: 0, dry: 0, cure: 0, oily: false },
};

export interface OrderInputs {
  piece: Piece;
  parts: readonly Part[];
  joints: readonly LegRailJoint[];
  stages: readonly GlueStage[];
  adhesive: Adhesive;
  outOfRoom: boolean;
}

/** Every step the design calls for, each after what it needs; not yet in order. */
export function stepsFor({ piece, parts, joints, stages, adhesive, outOfRoom }: OrderInputs): Step[] {
  const step = (given: Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">): Step => ({
    parts: [],
    after: [],
    wait: 0,
    waitFor: "",
    caution: "",
    check: "",
    ...given,
  });
  const rails = parts.filter((part) => part.role === "rail");
  // blocks and buttons are milled as one strip each
  const pieces = parts
    .filter((part) => part.role !== "top")
    .reduce((sum, part) => sum + (part.role === "leg" || part.role === "rail" ? part.count * part.leaves : 1), 0);
  const laminated = parts.some((part) => part.leaves > 1);
  const loose = piece.joints.legRail.kind === "loose-tenon";
  const coats = COATS[piece.finish];
  const topPart = piece.form.construction === "slatted" ? "slat" : "top";
  const below = {
    alike: "Both faces of the top alike, and the base.",
    "one-coat": "The upper face and the base; one coat only below the top.",
    bare: "The upper face and the base; nothing below the top.",
  }[piece.faces.below];
  const out: Step[] = [];

  if (outOfRoom)
    out.push(
      step({
        id: "acclimatise",
        title: "Sticker the boards in air like the room's",
        detail: `Until the meter reads what Movement asks for; measure two boards a week.`,
        hours: 0.5,
        wait: TIME.acclimatise,
        waitFor: "acclimatising",
      }),
    );
  const first = outOfRoom ? ["acclimatise"] : [];
  out.push(
    step({
      id: "rough-cut",
      title: "Cut everything rough",
      detail: "Crosscut, then rip, from the diagrams. Letter each piece as it leaves the saw.",
      parts: parts.map((part) => part.id),
      after: first,
      hours: 1 + pieces * 0.1,
      wait: TIME.release,
      waitFor: "boards to release their tension",
      caution: "Ripping boards that pinch: use the splitter and stop when it closes.",
    }),
  );
  out.push(
    step({
      id: "mill",
      title: "Mill to thickness and width",
      detail: "One planer setting at a time, thickest first, as the settings list has it.",
      parts: parts.map((part) => part.id),
      after: ["rough-cut"],
      hours: 1 + pieces * TIME.mill,
      check: "Face flat to a straightedge within 0.2 mm; edges square.",
      caution: "Nothing shorter than 300 mm through the planer by itself.",
    }),
  );
  if (laminated)
    out.push(
      step({
        id: "laminate",
        title: "Glue the legs from two leaves",
        detail: "Best faces out; true them square when the glue is dry.",
        parts: ["leg"],
        after: ["mill"],
        hours: 2,
        wait: TIME.seam,
        waitFor: "the seams to stop sinking",
      }),
    );

  const ready = laminated ? ["mill", "laminate"] : ["mill"];
  out.push(
    step({
      id: "mortise",
      title: "Mortise the legs",
      detail: `${8 * (joints[0]?.tenons ?? 1)} mortises, ${joints[0]?.mortiseDepth ?? 0} mm deep, while the legs are square.`,
      parts: ["leg"],
      after: ready,
      hours: 8 * (joints[0]?.tenons ?? 1) * TIME.mortise,
      check: "Depth in every mortise, with a marked stick.",
    }),
  );
  out.push(
    step({
      id: "tenon",
      title: loose ? "Mortise the rail ends and fit loose tenons" : "Cut and fit the tenons",
      detail: loose
        ? "From the outside faces, same fence as the legs."
        : "Shoulders first; cheeks planed to fit; mitre the tips.",
      parts: rails.map((part) => part.id),
      after: ["mortise"],
      hours: rails.reduce((sum, part) => sum + part.count, 0) * 2 * TIME.tenon,
      check: "Each tenon goes in by hand and lifts its leg.",
    }),
  );
  if (piece.form.crossRails > 0)
    out.push(
      step({
        id: "cross",
        title: "House the cross-rails in the long rails",
        detail: "Before the frame is glued: no router reaches it after.",
        parts: ["long-rail", "cross-rail"],
        after: ["mill"],
        hours: 0.5 * piece.form.crossRails,
      }),
    );
  const grooved = fasteningStep(piece);
  if (grooved) out.push(step({ id: "groove", ...grooved, parts: rails.map((part) => part.id), after: ["mill"] }));
  if (piece.form.cornerBlocks)
    out.push(
      step({
        id: "blocks",
        title: "Saw and drill the corner blocks",
        detail: "45° both ends; drill now, no driver fits between the rails later.",
        parts: ["corner-block"],
        after: ["mill"],
        hours: 1,
        caution: "Small parts: saw them from a long stick against a stop block.",
      }),
    );
  out.push(
    step({
      id: "dry-fit",
      title: "Dry-fit the base",
      detail: "All shoulders closed, diagonals equal. Mark shoulders and cross-rails from the frame.",
      parts: ["leg", ...rails.map((part) => part.id)],
      after: ["tenon", ...(grooved ? ["groove"] : []), ...(piece.form.crossRails ? ["cross"] : [])],
      hours: TIME.dryFit,
      check: "Diagonals within 1 mm; tops of legs and rails flush.",
    }),
  );
  if (piece.form.leg.taper !== "none")
    out.push(
      step({
        id: "taper",
        title: "Taper the legs",
        detail: "From 10 mm below the rail to the foot, after the joints are cut.",
        parts: ["leg"],
        after: ["dry-fit"],
        hours: 4 * TIME.shape,
        caution: "Taper jig: hold-downs, and the leg's thick end first.",
      }),
    );
  const shaped = piece.form.leg.taper !== "none" ? "taper" : "dry-fit";
  out.push(
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Inside faces too; keep off the shoulders. Mask the tenons if you finish first.",
      parts: ["leg", ...rails.map((part) => part.id)],
      after: [shaped],
      hours: 2,
    }),
  );
  out.push(
    step({
      id: "glue-ends",
      title: "Glue the two ends",
      detail: "Short sides first: two legs and an end rail each.",
      parts: ["leg", "end-rail"],
      after: ["sand-base"],
      hours: TIME.glueFrame,
      wait: adhesive.fullHours,
      waitFor: "the ends to cure",
      check: "Out of wind, legs parallel within 0.5 mm.",
    }),
  );
  out.push(
    step({
      id: "glue-base",
      title: "Glue the long rails between the ends",
      detail: piece.form.crossRails
        ? "Cross-rails go in with them: they can't be put in afterwards."
        : "On a flat floor, all four feet down.",
      parts: ["long-rail", ...(piece.form.crossRails ? ["cross-rail"] : [])],
      after: ["glue-ends"],
      hours: TIME.glueFrame,
      wait: adhesive.fullHours,
      waitFor: "the base to cure",
      check: "Diagonals within 1 mm; all four feet touch.",
    }),
  );
  if (piece.form.cornerBlocks)
    out.push(
      step({
        id: "screw-blocks",
        title: "Screw in the corner blocks",
        detail: "Clear of the legs by 2 mm.",
        parts: ["corner-block"],
        after: ["glue-base", "blocks"],
        hours: 0.5,
      }),
    );

  let last = "mill";
  stages.forEach((stage, i) => {
    const id = `glue-${stage.id}`;
    const before = stage.id === "last" ? stages.slice(0, i).map((each) => `plane-${each.id}`) : ["mill"];
    out.push(
      step({
        id,
        title: `Glue the top: ${stage.name.toLowerCase()}`,
        detail: `${stage.strips.join(", ")}; ${stage.clamps.places.length} clamps, ${Math.ceil(stage.grams)} g of glue, ${stage.minutes.toFixed(0)} min of work.`,
        parts: ["top"],
        after: before,
        hours: 0.5 + stage.minutes / 60,
        wait: TIME.seam,
        waitFor: "seams to stop sinking",
        check: "Flat under a straightedge while the clamps go on.",
        caution: stage.weight > 25 ? "Heavy: turn it with a helper." : "",
      }),
    );
    if (stage.id !== "last" && stages.length > 1)
      out.push(
        step({
          id: `plane-${stage.id}`,
          title: `Plane ${stage.name.toLowerCase()} and joint its edge`,
          detail: "Both faces through the planer, then the edge for the last seam.",
          parts: ["top"],
          after: [id],
          hours: 0.75,
        }),
      );
    last = id;
  });
  const made = topSteps(piece, last);
  out.push(...made.map((each) => step(each)));
  out.push(
    step({
      id: "sand-top",
      title: piece.form.construction === "slatted" ? "Sand the slats all round" : "Sand the top, both faces",
      detail: `To ${coats.oily ? "180 or 220" : "150"} grit; raise the grain once.`,
      parts: [topPart],
      after: [made.at(-1)!.id],
      hours: TIME.sand,
      caution: "Dust of some species irritates: extraction and a mask.",
    }),
  );
  for (let coat = 1; coat <= coats.coats; coat += 1)
    out.push(
      step({
        id: `coat-${coat}`,
        title: `Coat ${coat} of ${coats.name}`,
        detail: coat === 1 ? below : "Rub down lightly first.",
        parts: [topPart, "leg", "long-rail", "end-rail"],
        after: coat === 1 ? ["sand-top", piece.form.cornerBlocks ? "screw-blocks" : "glue-base"] : [`coat-${coat - 1}`],
        hours: 2 * TIME.coat,
        wait: coats.dry,
        waitFor: "the coat to dry",
        caution: coats.oily ? "Spread oily rags out flat: heaped they catch fire." : "",
      }),
    );
  out.push(
    step({
      id: "cut-feet",
      title: "Cut the legs to height and ease the feet",
      detail: "On the flat floor, marked from a block.",
      parts: ["leg"],
      after: ["glue-base"],
      hours: 0.75,
      check: "No rock on a flat floor.",
    }),
  );
  out.push(
    step({
      id: "attach",
      ...attachStep(piece),
      parts: [topPart],
      after: [coats.coats > 0 ? `coat-${coats.coats}` : "sand-top", "cut-feet"],
      hours: TIME.attach,
      wait: coats.cure,
      waitFor: "the finish to cure",
      check: "Gap at each fastener as Movement gives it.",
    }),
  );
  out.push(
    step({
      id: "deliver",
      title: "Deliver, and measure it once more",
      detail: "Moisture and width on the day, written in the log; come back in a season.",
      parts: [],
      after: ["attach"],
      hours: 2,
    }),
  );
  return out;
}

/**
 * Puts steps in an order one person can follow and gives them dates: of all that may begin, the one on the longest chain
 * first; while something waits, other work goes on.
 *
 * @param from  ISO date of the first working day; Saturdays and Sundays rest, glue and finish do not
 * @throws Error when steps wait for each other in a circle: a programmer's mistake
 */
export function scheduled(steps: readonly Step[], from: string, done: readonly string[]): DatedStep[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const tail = new Map<string, number>();
  const following = (id: string): number => {
    const known = tail.get(id);
    if (known !== undefined) {
      if (Number.isNaN(known)) throw new Error(`Step ${id} waits for itself.`);
      return known;
    }
    tail.set(id, NaN);
    const me = byId.get(id)!;
    const after = steps.filter((each) => each.after.includes(id)).map((each) => following(each.id));
    const length = me.hours * (24 / HOURS_A_DAY) + me.wait + Math.max(0, ...after);
    tail.set(id, length);
    return length;
  };
  steps.forEach((step) => following(step.id));
  const readyAt = new Map<string, number>();
  const out: DatedStep[] = [];
  let now = 0; // clock hours since the first day's midnight
  const open = new Set(steps.map((step) => step.id));
  while (open.size > 0) {
    const able = [...open]
      .map((id) => byId.get(id)!)
      .filter((step) => step.after.every((id) => readyAt.has(id) || !byId.has(id)));
    const startOf = (step: Step) => Math.max(now, ...step.after.map((id) => readyAt.get(id) ?? 0));
    const next = able.reduce((a, b) => {
      const [sa, sb] = [startOf(a), startOf(b)];
      return Math.abs(sa - sb) > 1e-9 ? (sa < sb ? a : b) : tail.get(b.id)! > tail.get(a.id)! ? b : a;
    });
    const start = workable(startOf(next), from);
    const end = work(start, next.hours, from);
    now = end;
    readyAt.set(next.id, end + next.wait);
    open.delete(next.id);
    out.push({
      ...next,
      starts: dateAt(from, start),
      ready: dateAt(from, end + next.wait),
      done: done.includes(next.id),
    });
  }
  return out;
}

const DAY_STARTS = 8;
/** The next moment at or after `hour` when someone is in the shop. */
function workable(hour: number, from: string): number {
  let day = Math.floor(hour / 24);
  let clock = hour - day * 24;
  if (clock < DAY_STARTS) clock = DAY_STARTS;
  if (clock >= DAY_STARTS + HOURS_A_DAY) {
    day += 1;
    clock = DAY_STARTS;
  }
  while (isWeekend(dateAt(from, day * 24))) {
    day += 1;
    clock = DAY_STARTS;
  }
  return day * 24 + clock;
}
function work(start: number, hours: number, from: string): number {
  let at = start;
  let left = hours;
  for (;;) {
    const endOfDay = Math.floor(at / 24) * 24 + DAY_STARTS + HOURS_A_DAY;
    if (left <= endOfDay - at + 1e-9) return at + left;
    left -= endOfDay - at;
    at = workable(endOfDay, from);
  }
}
const dateAt = (from: string, hours: number) =>
  new Date(Date.parse(`${from}T00:00:00Z`) + Math.floor(hours / 24) * 86400000).toISOString().slice(0, 10);
const isWeekend = (date: string) => [0, 6].includes(new Date(`${date}T00:00:00Z`).getUTCDay());
