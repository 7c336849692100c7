/** Whether a lid can be sawn out of the top where it was put: wood round it, nothing below its ledges, a gap that stays open. */
import { boxIn } from "../../assembly/part-box";
import { AssemblyPart, posed } from "../../assembly/part";
import { HOME } from "../../assembly/place";
import { coefficientAt } from "../../movement/coefficient";
import { fine, grade, Level, mm, Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import { facingOf, panelWidth } from "../facing/facing";
import { keptAt, shapedTop } from "../top/outline";
import type { Hatch, HatchFacts } from "./facts";
import { HatchHindrance, hatchHindrance, hatchOf } from "./hatch";
import { slidOut } from "./slides";
import { SLIDE_RULES } from "./slide-rules";

/** Wood round the opening, mm; the gap when both are as wet as they get; a lid that lies in the sun while the top doesn't is so much drier, percent. @source common practice */
const OPENING = { round: { good: 60, least: 30 }, open: { good: 0.8, least: 0.3 }, lags: 1.5 };

export const HATCH_RULES: readonly ((facts: HatchFacts) => Verdict | null)[] = [
  hatchGoes,
  hatchClear,
  hatchGap,
  ...SLIDE_RULES,
];

const path = (what: string) => ["form", "hatch", what];
const NONE = set("Leave the lid out", path("kind"), "none");

const WHY: Record<HatchHindrance, string> = {
  field: "It is sawn out of one panel: slats and slabs have none.",
  parting: "The top parts or folds where it would be.",
  lid: "The whole top is a lid already.",
  end: "It slides out of a straight end: breadboards, a frame and a curved outline close that.",
};

/** The least wood between the opening and whatever ends the panel: its edges, its cut-outs; negative where it runs out. */
function woodRound({ form, at }: Pick<HatchFacts, "form" | "at">, hatch: Hatch): number {
  const { x: opening, y, slides } = hatch;
  // the end it slides out of ends nothing
  const open = Math.min(OPENING.round.good + 1, opening.to - opening.from);
  const x = { from: opening.from + (slides === -1 ? open : 0), to: opening.to - (slides === 1 ? open : 0) };
  const whole = {
    ...shapedTop(form.top, at),
    ...{ length: at.core.shoulder, width: panelWidth(form, at) },
    ...(form.ends === "none" ? {} : { outline: "rectangle" as const }),
  };
  const steps = 8;
  const rim = Array.from({ length: steps + 1 }, (_, i) => i / steps).flatMap((share) => {
    const [px, py] = [x.from + (x.to - x.from) * share, y.from + (y.to - y.from) * share];
    return [
      [px, y.from],
      [px, y.to],
      [x.from, py],
      [x.to, py],
    ] as const;
  });
  // a cut-out inside the opening is in it, whatever its rim keeps
  const inside = form.top.cutouts.some(
    (cut) =>
      cut.x + cut.length / 2 > opening.from &&
      cut.x - cut.length / 2 < opening.to &&
      cut.y + cut.width / 2 > y.from &&
      cut.y - cut.width / 2 < y.to,
  );
  if (inside || rim.some(([px, py]) => !keptAt(whole, px, py, 0))) return -1;
  let [low, high] = [0, 1500];
  while (high - low > 0.1) {
    const middle = (low + high) / 2;
    if (rim.every(([px, py]) => keptAt(whole, px, py, middle))) low = middle;
    else high = middle;
  }
  return low;
}

function hatchGoes({ form, at }: HatchFacts): Verdict | null {
  if (form.hatch.kind === "none") return null;
  const why = hatchHindrance(form);
  const hatch = hatchOf(form);
  const round = hatch ? woodRound({ form, at }, hatch) : 0;
  const small = hatch ? Math.min(hatch.x.to - hatch.x.from, hatch.y.to - hatch.y.from) - 2 * hatch.gap : 0;
  const level: Level = why || small <= 20 ? "fix" : grade(round, "at least", OPENING.round.good, OPENING.round.least);
  const middle: Remedy = {
    label: "Put it in the top’s middle",
    patches: [
      { path: path("x"), value: 0 },
      { path: path("y"), value: 0 },
    ],
  };
  const length = Math.floor(at.core.shoulder - 2 * OPENING.round.good - 2 * Math.abs(form.hatch.x));
  const width = Math.floor(panelWidth(form, at) - 2 * OPENING.round.good - 2 * Math.abs(form.hatch.y));
  const fits = length >= 60 && width >= 40 && form.top.cutouts.length === 0 && form.top.outline === "rectangle";
  const movable = form.hatch.y !== 0 || (!hatch?.slides && form.hatch.x !== 0);
  const moved = { ...form, hatch: { ...form.hatch, x: 0, y: 0 } };
  const there = hatchOf(moved);
  const inMiddle = there !== null && woodRound({ form: moved, at }, there) >= OPENING.round.least;
  const smaller: Remedy = {
    label: `Make its opening ${mm(Math.min(length, form.hatch.length))} by ${mm(Math.min(width, form.hatch.width))}`,
    patches: [
      { path: path("length"), value: Math.min(length, form.hatch.length) },
      { path: path("width"), value: Math.min(width, form.hatch.width) },
    ],
  };
  return verdict({
    id: "form.hatch",
    stage: "form",
    subject: ["hatch", "top"],
    level,
    text: why
      ? "No lid can be sawn out of this top"
      : small <= 20
        ? "The gap round the lid leaves hardly any lid"
        : round < 0
          ? "The lid’s opening runs out of the top, or over a cut-out"
          : `${mm(Math.round(round))} of top stay round the lid`,
    why: why
      ? WHY[why]
      : `Under ${OPENING.round.good} mm the strip beside an opening bends when somebody leans on it, and across the grain it breaks.`,
    limit: OPENING.round.good,
    actual: Math.round(round),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : why || small <= 20
          ? [NONE]
          : fits
            ? [smaller]
            : form.top.cutouts.length === 0 && movable && inMiddle
              ? [middle, NONE]
              : [NONE],
  });
}

/** What lies where its ledges go, or across its opening close below; a facing that runs over it. */
function hatchClear({ form, at, parts }: HatchFacts): Verdict | null {
  const hatch = hatchOf(form);
  if (!hatch) return null;
  const lids = ["hatch", "hatch-slip", "hatch-ledge"];
  const others = parts.filter(({ id, kind, away }) => id !== "T" && !lids.includes(kind) && !away);
  // what slides fills its own room moved out by its length
  const ledges = hatch.slides ? slidOutRoom(hatch, parts) : parts.filter(({ kind }) => kind === "hatch-ledge");
  const overlap = (a: ReturnType<typeof boxIn>, b: ReturnType<typeof boxIn>) =>
    a.every(([from, to], i) => from < b[i][1] - 0.05 && to > b[i][0] + 0.05);
  const bad = others.find((other) => ledges.some((ledge) => overlap(boxIn(HOME, ledge), boxIn(HOME, other))));
  const facing = facingOf(form, at);
  const front = facing ? facing.front - panelWidth(form, at) / 2 : 0;
  const faced = facing !== null && front < hatch.y.to && front + facing.width > hatch.y.from;
  const cross = bad?.kind === "cross-rail";
  return verdict({
    id: "form.hatch-clear",
    stage: "form",
    subject: bad ? [hatch.slides ? "hatch" : "hatch-ledge", bad.kind] : ["hatch"],
    level: bad || faced ? "fix" : "holds",
    text: bad
      ? `${hatch.slides ? "Slid out, the lid" : "A ledge of the lid"} runs into the ${bad.said ?? bad.name.toLowerCase()}`
      : faced
        ? "The facing runs over the lid"
        : hatch.slides
          ? "Nothing stands where the lid slides out"
          : "Nothing lies where the lid’s ledges go",
    why: hatch.slides
      ? "It comes straight out of the end, level with the top; whoever sits there makes way."
      : `They lie under the top, ${mm(hatch.thickness)} deep, along the front and back edges of the opening and a little beyond its ends.`,
    remedies: bad
      ? [...(cross ? [set("Leave the cross-rails out", ["form", "crossRails"], 0)] : []), NONE]
      : faced
        ? [set("Leave the facing off", ["form", "facing", "kind"], "none"), NONE]
        : [],
  });
}

/** Sawn out of the same boards it moves as its opening does; only while it is drier or damper than the top does the gap change. */
function hatchGap({ form, species }: HatchFacts): Verdict | null {
  const hatch = hatchOf(form);
  if (!hatch) return null;
  const width = hatch.y.to - hatch.y.from;
  const moves = width * coefficientAt(species, 0) * OPENING.lags;
  // in the middle of its opening half of it is at each edge; hinged, all of it is at the other
  const share = hatch.hinged === null ? 0.5 : 1;
  const left = hatch.gap - share * moves;
  const level = grade(left, "at least", OPENING.open.good, OPENING.open.least);
  const wider = Math.ceil(2 * (OPENING.open.good + share * moves)) / 2;
  return verdict({
    id: "form.hatch-gap",
    stage: "form",
    subject: ["hatch", "top"],
    level,
    text: `${fine(Math.max(0, left))} stay open beside the lid when it is damper than the top`,
    why: `Sawn out of the top it moves as its opening does. Opened for a day it is ${OPENING.lags} percent off the top’s moisture: ${mm(Math.round(width))} move ${mm(moves)}${hatch.hinged === null ? "" : ", all of it away from the hinges"}. With a finish on both edges the gap closes by that too.`,
    limit: OPENING.open.good,
    actual: Math.round(10 * left) / 10,
    sense: "at least",
    unit: "mm",
    source: "derived: tangential coefficient; the lag from memory",
    remedies:
      level === "holds" ? [] : wider <= 10 ? [set(`Saw the gap ${fine(wider)} wide`, path("gap"), wider)] : [NONE],
  });
}

/** The lid where it is when it is out. */
const slidOutRoom = (hatch: Hatch, parts: readonly AssemblyPart[]): AssemblyPart[] => {
  const lid = parts.filter(({ id }) => id === "HL");
  return lid.length === 0 ? [] : posed(lid, slidOut(hatch, lid));
};
