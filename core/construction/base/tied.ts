/** What any base is judged by whose ends are tied by a stretcher and bear the top on a rail across each: sentences are the base's, the judgement is one. */
import { grade, Level, mm, Remedy, Verdict, verdict } from "../../verdict/verdict";
import type { PieceGeometry } from "../geometry";

/** What bears the top stays so far from its sides, mm, and goes so far across it. @source common practice */
const BEARS = { hidden: 20, share: 0.6, least: 0.3 };

/** Whether a stretcher comes out of one board. @param whole  with its tenons; `longest` the longest board of its wood, 0 for none; mm */
export function fromOneBoard(
  { whole, longest }: { whole: number; longest: number },
  remedies: readonly Remedy[] = [],
): Verdict | null {
  if (longest === 0) return null;
  const level: Level = whole > longest ? "fix" : "holds";
  return verdict({
    id: "form.stretcher-long",
    stage: "form",
    subject: ["stretcher"],
    level,
    text:
      level === "fix"
        ? `The stretcher is ${mm(whole)} long, longer than any board`
        : `The stretcher of ${mm(whole)} comes out of one board`,
    why: `The longest board of this wood on the rack is ${mm(longest)}.`,
    limit: longest,
    actual: Math.round(whole),
    sense: "at most",
    unit: "mm",
    source: "the rack",
    remedies: level === "fix" ? [...remedies] : [],
  });
}

interface Racking {
  /** depth of the stretcher's shoulders, 0 where there is none, and what is stiff and what is not; mm */
  deep: number;
  stiff: number;
  least: number;
  subject: string[];
  /** what folds: "the ends"; what ties them, where that is no stretcher */
  folds: string;
  tie?: string | undefined;
  why: string;
  remedies: Remedy[];
}

/** Whether the ends stay upright along the piece: the height of the stretcher's shoulders is the lever. */
export function racksAlong({ deep, stiff, least, subject, folds, tie, why, remedies }: Racking): Verdict {
  const level = grade(deep, "at least", stiff, least);
  return verdict({
    id: "form.racking",
    stage: "form",
    subject,
    level,
    text:
      deep === 0
        ? `Nothing ties ${folds}: they fold along the piece`
        : level === "holds"
          ? `${tie ?? `A stretcher ${mm(deep)} deep`} stops the racking`
          : `A stretcher ${mm(deep)} deep lets ${folds} rack`,
    why,
    limit: stiff,
    actual: deep,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : remedies,
  });
}

/** Whether what runs across below the top bears enough of its width, and hides. @param one, kind  what bears it: "brace" and its kind of part */
export function bearsAcross(
  { top }: Pick<PieceGeometry, "top">,
  { length, one, kind }: { length: number; one: string; kind: string },
  mend: (to: number) => Remedy,
): Verdict {
  const share = length / top.width;
  const over = length - (top.width - 2 * BEARS.hidden);
  const level: Level = share < BEARS.least ? "fix" : share < BEARS.share || over > 0 ? "tight" : "holds";
  const name = `${one[0].toUpperCase()}${one.slice(1)}s`;
  return verdict({
    id: "form.brace",
    stage: "form",
    subject: [kind, "top"],
    level,
    text:
      over > 0
        ? `The ${one} shows ${over > 2 * BEARS.hidden ? "beyond" : "at"} the top's edge`
        : `${name} bear ${level === "holds" ? "" : "only "}${Math.round(100 * share)} % of the top's width`,
    why: `A ${one} ${mm(length)} long under ${mm(top.width)}: it keeps the top flat as far as it goes, and wants its fastenings near the edges.`,
    limit: Math.round(BEARS.share * top.width),
    actual: length,
    unit: "mm",
    remedies: level === "holds" ? [] : [mend(Math.floor((top.width * 0.8) / 10) * 10)],
  });
}
