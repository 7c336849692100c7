/** Whether gates lie folded behind a leaf, and stand where they hold it up. */
import { grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import type { Bearer } from "../geometry";
import { RULE } from "./drop";
import type { DropFacts } from "./facts";
import { GATE, heights, standsAt } from "./gates";

/** @source common practice */
const GATES = {
  /** a folded gate has so much air behind the leaf, mm */
  free: 2,
  /** its leg stands so much of the way under the leaf */
  under: { good: 0.5, least: 0.35, most: 0.92 },
  /** between a lower rail and the arm at least, mm */
  between: 60,
};
const at = (...rest: string[]) => ["form", "drop", ...rest];

export const GATE_RULES: readonly ((facts: DropFacts) => Verdict | null)[] = [folds, fitsRail, standsUnder];

const railOf = ({ at: { drop, bearers } }: DropFacts): Bearer | null =>
  bearers.find(({ part }) => part === drop?.gates[0]?.rail) ?? null;

/** Between rail and leaf. */
function folds(facts: DropFacts): Verdict | null {
  const { form, at: place } = facts;
  const rail = railOf(facts);
  if (!place.drop || !rail) return null;
  const { thickness } = form.drop.gates;
  const inner = place.drop.axis.out - (place.drop.joint === "rule" ? RULE.inset : 0);
  const free = inner - Math.abs(rail.at) - rail.thickness / 2 - GATE.air - thickness;
  const level: Level = free < 0 ? "fix" : free < GATES.free ? "tight" : "holds";
  const side = Math.ceil(form.overhang.side + GATES.free - free);
  const thin = Math.floor(thickness - GATES.free + free);
  return verdict({
    id: "form.drop-gates",
    stage: "form",
    subject: ["gate-leg", rail.kind],
    level,
    text:
      free < 0
        ? `Folded, a gate of ${mm(thickness)} is ${mm(-free)} thicker than the room behind the leaf`
        : `Folded, a gate has ${mm(free)} to spare behind the leaf`,
    why: `It lies flat on the rail, ${mm(GATE.air)} off for its hinges; the leaf hangs ${mm(inner - Math.abs(rail.at) - rail.thickness / 2)} before the rail.`,
    limit: GATES.free,
    actual: Math.round(free * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(`Set the legs ${mm(side)} in from the sides`, ["form", "overhang", "side"], side),
            ...(thin >= 18 ? [set(`Make the gates ${mm(thin)} thick`, at("gates", "thickness"), thin)] : []),
          ],
  });
}

/** Along the rail, and up and down it. */
function fitsRail(facts: DropFacts): Verdict | null {
  const { form, at: place } = facts;
  const rail = railOf(facts);
  if (!place.drop || !rail) return null;
  const { count, reach, thickness, arm, low, rail: lower } = form.drop.gates;
  const high = heights(place, form);
  const half = rail.length / 2;
  const most = count === 1 ? half - thickness / 2 - GATE.apart : half - thickness - GATE.fromEnd - GATE.apart / 2;
  const deep = rail.depth - GATE.below;
  const air = high.low ? high.arm.from - high.low.to : Infinity;
  const wrong = reach > most ? "long" : arm > deep ? "deep" : air < GATES.between ? "high" : null;
  const fit = Math.floor(most);
  const lowest = Math.floor(high.arm.from - GATES.between - lower);
  return verdict({
    id: "form.drop-gate-fits",
    stage: "form",
    subject: ["gate-arm", rail.kind],
    level: wrong === "long" || wrong === "deep" ? "fix" : wrong ? "tight" : "holds",
    text:
      wrong === "long"
        ? `A gate ${mm(reach)} long does not fold ${count === 1 ? "beside the middle of its rail" : "before the other"}: there are ${mm(Math.max(0, most))}`
        : wrong === "deep"
          ? `An arm ${mm(arm)} deep is more than its rail has behind it: ${mm(Math.max(0, deep))}`
          : wrong
            ? `Between the gate’s lower rail and its arm are only ${mm(Math.max(0, air))}`
            : `Folded, ${count === 1 ? "a gate lies" : "both gates lie"} within the rail’s ${mm(rail.length)}`,
    why: `Each turns about a line at the rail and folds along it${count === 1 ? ", from its middle to one end" : " to the middle"}. Its hinges want wood behind the whole arm${low > 0 ? "; two rails close to one another are one rail" : ""}.`,
    limit: fit,
    actual: reach,
    sense: "at most",
    unit: "mm",
    remedies:
      wrong === "long" && fit >= 80
        ? [set(`Make them reach ${mm(fit)}`, at("gates", "reach"), fit)]
        : wrong === "deep" && deep >= 25
          ? [set(`Make the arm ${mm(Math.floor(deep))} deep`, at("gates", "arm"), Math.floor(deep))]
          : wrong === "high"
            ? [
                ...(lowest >= 40
                  ? [set(`Set the lower rail ${mm(lowest)} high`, at("gates", "low"), lowest)]
                  : [set("Leave the lower rail out", at("gates", "low"), 0)]),
              ]
            : [],
  });
}

/** A leg near the hinges lets the edge down; one past the edge is seen, and kicked. */
function standsUnder({ form, at: place }: DropFacts): Verdict | null {
  const [gate] = place.drop?.gates ?? [];
  if (!place.drop || !gate) return null;
  const { axis, leaf } = place.drop;
  const { gates } = form.drop;
  const out = Math.abs(standsAt(gate, gates).z) - axis.out;
  const share = out / leaf;
  const { good, least, most } = GATES.under;
  const level: Level = share > most ? "fix" : grade(share, "at least", good, least);
  const wanted = Math.ceil(gates.reach + (share > most ? 0.85 : 0.6) * leaf - out);
  return verdict({
    id: "form.drop-held",
    stage: "form",
    subject: ["drop-leaf", "gate-leg"],
    level,
    text:
      share > most
        ? `A gate’s leg stands ${out > leaf ? "beyond" : "at"} the leaf’s edge`
        : `The gates’ legs stand ${mm(Math.max(0, out))} under a leaf of ${mm(leaf)}`,
    why: `What leans on the leaf goes into the floor there. Nearer the hinges than half, the edge beyond is a lever that lifts them; nearer the edge than ${mm((1 - most) * leaf)}, feet meet it.`,
    limit: Math.round(good * leaf),
    actual: Math.round(out),
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make them reach ${mm(wanted)}`, at("gates", "reach"), wanted)],
  });
}
