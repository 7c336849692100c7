import { grade, Level, mm, Remedy, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts, Rule } from "../base";
import { kneeRoomUnder } from "../knee-room";
import { bearsAcross, fromOneBoard, racksAlong } from "../tied";
import { tipping } from "../tipping";
import type { XFrame } from "./place";

type Facts = BaseRuleFacts<XFrame>;

/** Sizes of X frames. @source common practice */
const X = {
  /** leans outside these look like a sawhorse or a ladder, and laps get long, degrees */
  lean: { low: 45, high: 68 },
  /** shoulders of a stretcher that stop the racking, mm */
  stiff: 60,
  /** slimmer legs whip, mm */
  slim: 30,
};

/** Every rule of X frames, in the order a maker would ask. */
export const X_FRAME_RULES: readonly Rule<Facts>[] = [
  framesFit,
  lean,
  slim,
  kneeRoom,
  tips,
  bearerBears,
  headsOnBearer,
  stretcherOnBearer,
  stretcherLong,
  racking,
];

function framesFit({ at, form }: Facts): Verdict {
  const room = Math.min(...at.bays.map(({ from, to }) => to - from));
  const level: Level = at.bearer.from <= 0 ? "fix" : grade(room, "at least", 400, 60);
  return verdict({
    id: "form.ends-fit",
    stage: "form",
    subject: ["x-leg", "stretcher"],
    level,
    text:
      at.bearer.from <= 0
        ? "The bearer is higher than the whole"
        : room <= 0
          ? "The X frames overlap: nothing is left between them"
          : `${mm(room)} between the X frames`,
    why: `The top is ${mm(at.top.length)} long, less two overhangs of ${mm(form.overhang.end)} and ${at.frames.length} frames of ${mm(at.strip.thickness)}.`,
    limit: 400,
    actual: Math.round(room),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Overhang the ends by 200 mm", ["form", "overhang", "end"], 200)],
  });
}

function lean({ at }: Facts): Verdict {
  const { degrees, level: cut, crossing } = at.lean;
  const { low, high } = X.lean;
  // feet or heads that meet in the middle are no X
  const meet = Math.min(at.floor, at.head) <= 2 * cut;
  const level: Level = meet || degrees >= 85 ? "fix" : degrees < low || degrees > high ? "tight" : "holds";
  const wider = Math.ceil((2 * cut + 60 - Math.min(at.floor, at.head)) / 2 / 5) * 5;
  const path = at.floor < at.head ? "inBelow" : "inAbove";
  const now = (at.top.width - Math.min(at.floor, at.head)) / 2;
  return verdict({
    id: "form.lean",
    stage: "form",
    subject: ["x-leg"],
    level,
    text: meet
      ? "The legs meet at their ends: there is no X"
      : `Legs lean ${degrees.toFixed(1)}° from the floor and cross ${mm(crossing)} above it`,
    why: `${mm(at.floor)} across the floor, ${mm(at.head)} across the heads, ${mm(at.bearer.from)} high, legs ${mm(at.strip.width)} wide. ${low}° to ${high}° is usual; a level cut across a leg is ${mm(cut)} long.`,
    limit: null,
    actual: null,
    source:
      "derived: θ = atan(H / S) + asin(w / √(S² + H²)), S half of both spreads together, H the height, w the width",
    remedies:
      meet && now - wider >= 0
        ? [set(`Set it in by ${Math.floor(now - wider)} mm`, ["form", "xFrame", path], Math.floor(now - wider))]
        : [],
  });
}

function slim({ at }: Facts): Verdict {
  const { thickness } = at.strip;
  const level = grade(thickness, "at least", X.slim, X.slim / 2);
  return verdict({
    id: "form.leg",
    stage: "form",
    subject: ["x-leg"],
    level,
    text: `Legs ${mm(at.strip.width)} by ${mm(thickness)}, half of it left where they cross`,
    why: `A lap leaves ${mm(thickness / 2)} of each; legs under ${mm(X.slim)} thick whip along the table.`,
    limit: X.slim,
    actual: thickness,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds" ? [] : [set(`Make legs ${X.slim + 15} mm thick`, ["form", "xFrame", "thickness"], X.slim + 15)],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "bearer", one: "bearer", many: "bearers" },
    remedies: (good) => {
      const height = Math.max(25, Math.floor(at.under - good));
      return [set(`Make bearers ${height} mm high`, ["form", "xFrame", "bearer", "height"], height)];
    },
  });
}

function tips({ at, form, weight }: Facts): Verdict | null {
  return tipping({
    ...{ at, form, weight, subject: ["x-leg", "top"] },
    mend: (apart) => {
      const inBelow = Math.floor((at.top.width - apart) / 2);
      return inBelow >= 0 ? [set(`Set the feet in by ${inBelow} mm`, ["form", "xFrame", "inBelow"], inBelow)] : [];
    },
  });
}

function bearerBears({ at }: Facts): Verdict {
  return bearsAcross(at, { length: at.bearer.length, one: "bearer", kind: "bearer" }, (to) => setBearerIn(at, to));
}

/** Bearers so long at least. */
function setBearerIn({ top }: XFrame, length: number): Remedy {
  const setIn = Math.max(0, Math.floor((top.width - length) / 2));
  return set(`Set the bearers in by ${setIn} mm`, ["form", "xFrame", "bearer", "setIn"], setIn);
}

/** A head wants wood of the bearer over all of its level cut. */
function headsOnBearer({ at }: Facts): Verdict {
  const beyond = (at.bearer.length - at.head) / 2;
  const level = grade(beyond, "at least", 10, 0);
  const to = Math.ceil((at.head + 20) / 10) * 10;
  return verdict({
    id: "form.heads",
    stage: "form",
    subject: ["bearer", "x-leg"],
    level,
    text:
      beyond < 0
        ? `The heads stand ${mm(-beyond)} past the bearer’s ends`
        : `The bearer goes ${mm(beyond)} beyond the heads`,
    why: `Heads reach ${mm(at.head)} from outside to outside; the outer slot wants wood beyond it.`,
    limit: 10,
    actual: Math.round(beyond),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [setBearerIn(at, to)],
  });
}

function stretcherOnBearer({ at, form }: Facts): Verdict | null {
  if (form.xFrame.stretcher.kind !== "heads" || !at.stretcher) return null;
  const over = at.stretcher.depth - at.bearer.height;
  return verdict({
    id: "form.stretcher",
    stage: "form",
    subject: ["stretcher", "bearer"],
    level: over > 0 ? "fix" : "holds",
    text:
      over > 0
        ? `The stretcher is ${mm(over)} deeper than the bearer`
        : "The stretcher lies within the bearers’ height",
    why: "It is tenoned into their sides, under the top.",
    limit: at.bearer.height,
    actual: at.stretcher.depth,
    sense: "at most",
    unit: "mm",
    remedies:
      over > 0
        ? [set(`Make it ${at.bearer.height} mm deep`, ["form", "xFrame", "stretcher", "depth"], at.bearer.height)]
        : [],
  });
}

function stretcherLong({ at, joints, longest }: Facts): Verdict | null {
  if (!at.stretcher) return null;
  const end = joints.find((each) => each.enters === "stretcher");
  const between = Math.max(...at.bays.map(({ from, to }) => to - from));
  return fromOneBoard({ whole: between + 2 * (end?.length ?? 0), longest });
}

/** An X is stiff across; along the table only a stretcher's shoulders are. */
function racking({ at, form }: Facts): Verdict {
  const { kind } = form.xFrame.stretcher;
  const deeper = set(`Make it ${X.stiff + 10} mm deep`, ["form", "xFrame", "stretcher", "depth"], X.stiff + 10);
  const run = set("Run a stretcher through the crossings", ["form", "xFrame", "stretcher", "kind"], "crossing");
  return racksAlong({
    ...{ deep: at.stretcher?.depth ?? 0, stiff: X.stiff, least: 1 },
    ...{ subject: ["stretcher", "x-leg"], folds: "the X frames" },
    why: "An X stands stiff across the table. Along it the height of the stretcher’s shoulders is the only lever.",
    // between the bearers it is as deep as they are high
    remedies: kind === "none" ? [run] : kind === "crossing" ? [deeper] : [],
  });
}
