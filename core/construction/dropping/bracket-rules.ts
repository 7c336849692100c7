/** Whether folding brackets fit behind a leaf that hangs, and hold it up. */
import { grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import { GRAVITY, LEAN } from "../base/tipping";
import { RULE } from "./drop";
import type { DropFacts } from "./facts";
import { bracketsAt } from "./parts";

/** @source common practice */
const BRACKETS = {
  /** someone leans on a leaf's edge so far from it, mm */
  edge: 50,
  /** they reach so much of the way under a leaf */
  reach: 0.6,
};
const at = (...rest: string[]) => ["form", "drop", ...rest];

export const BRACKET_RULES: readonly ((facts: DropFacts) => Verdict | null)[] = [folds, held];

/** Folded brackets lie between rail and leaf. */
function folds({ form, at: place }: DropFacts): Verdict | null {
  if (!place.drop || form.drop.held !== "brackets") return null;
  const rail = place.bearers.find(({ run }) => run === "along");
  if (!rail) return null;
  const { brackets } = form.drop;
  const inner = place.drop.axis.out - (place.drop.joint === "rule" ? RULE.inset : 0);
  const free = inner - Math.abs(rail.at) - rail.thickness / 2 - brackets.folded;
  const tall = brackets.height - rail.depth;
  const level: Level = free < 0 || tall > 30 ? "fix" : free < 2 || tall > 0 ? "tight" : "holds";
  const side = Math.ceil(form.overhang.side + 2 - free);
  return verdict({
    id: "form.drop-folds",
    stage: "form",
    subject: ["drop-leaf", rail.kind],
    level,
    text:
      free < 0
        ? `Folded, a bracket is ${mm(-free)} thicker than the room behind the leaf`
        : tall > 0
          ? `A bracket ${mm(brackets.height)} high stands ${mm(tall)} below its rail`
          : `Folded, a bracket has ${mm(free)} to spare behind the leaf`,
    why: `It is screwed to the rail’s face, ${mm(brackets.folded)} thick folded and ${mm(brackets.height)} high; the rail is ${mm(rail.depth)} deep.`,
    remedies:
      level === "holds"
        ? []
        : free < 2
          ? [set(`Set the legs ${mm(side)} in from the sides`, ["form", "overhang", "side"], side)]
          : [set(`Make the rails ${mm(brackets.height)} deep`, ["form", "apron", "depth"], brackets.height)],
  });
}

/**
 * Brackets against a leaf's own weight and somebody who leans on its edge.
 *
 * @source derived: moments about the hinges; load of EN 1730, from memory
 */
function held({ form, at: place, species }: DropFacts): Verdict | null {
  if (!place.drop || form.drop.held !== "brackets") return null;
  const { leaf } = place.drop;
  const { brackets } = form.drop;
  const count = bracketsAt(form, place).length;
  const mass = ((place.top.length * leaf * place.top.thickness) / 1e9) * species.density;
  const lean = LEAN.good / GRAVITY;
  const moment = mass * (leaf / 2) + lean * Math.max(0, leaf - BRACKETS.edge);
  const each = moment / count / brackets.reach;
  const short = brackets.reach < BRACKETS.reach * leaf;
  const level: Level =
    short && each <= brackets.carries ? "tight" : grade(each, "at most", brackets.carries, 1.3 * brackets.carries);
  const wanted = Math.ceil(moment / brackets.reach / brackets.carries);
  const reach = Math.ceil((BRACKETS.reach * leaf) / 10) * 10;
  return verdict({
    id: "form.drop-held",
    stage: "form",
    subject: ["drop-leaf"],
    level,
    text:
      each > brackets.carries
        ? `${count} ${count > 1 ? "brackets" : "bracket"} would carry ${Math.round(each)} kg each at ${mm(brackets.reach)}`
        : short
          ? `Brackets end ${mm(brackets.reach)} under a leaf of ${mm(leaf)}`
          : `${count} ${count > 1 ? "brackets hold" : "bracket holds"} the leaf and whoever leans on it: ${Math.round(each)} kg each`,
    why: `The leaf weighs ${mass.toFixed(1)} kg, and someone leans on its edge with ${Math.round(lean)}: about the hinges that is ${Math.round((moment * GRAVITY) / 1000)} Nm. Sold for ${brackets.carries} kg at their end, which lies under the leaf’s outer half.`,
    limit: brackets.carries,
    actual: Math.round(each),
    sense: "at most",
    unit: "kg",
    source: "derived: moments about the hinges; load of EN 1730, from memory",
    remedies:
      level === "holds"
        ? []
        : each > brackets.carries && wanted <= 6
          ? [set(`Take ${wanted} of them`, at("brackets", "count"), wanted)]
          : short && reach <= 600
            ? [set(`Take brackets that reach ${mm(reach)}`, at("brackets", "reach"), reach)]
            : [],
  });
}
