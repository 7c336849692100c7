/** Whether the shop’s machines take what is cut. */
import { BED_TIMES, SHORTEST_FED } from "../stock/milling-plan";
import { grade, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { CuttingFacts } from "./cutting-facts";

/** Whether the saws owned take the boards in the order that is chosen. */
export function withinSaws({ boards, piece, shop }: CuttingFacts): Verdict | null {
  const open = boards.filter((cut) => !cut.sawn);
  if (open.length === 0) return null;
  const ripFirst = piece.cutting.sequence === "rip-first";
  const wide = ripFirst
    ? []
    : open
        .map(({ board }) => board)
        .filter(({ width, widthEnd }) => Math.max(width, widthEnd ?? 0) > shop.crosscutWidth);
  const ripped = open.flatMap((cut) =>
    cut.sections.filter((section) => section.length > shop.ripLength).map(() => cut.board),
  );
  const odd = ripped.length > 0 ? ripped : wide;
  return verdict({
    id: "cutting.saws",
    stage: "cutting",
    subject: odd.map((board) => `board:${board.id}`),
    level: odd.length > 0 ? "tight" : "holds",
    source: "the shop's own tools",
    text:
      ripped.length > 0
        ? `${ripped[0].id} is ripped longer than there is room for at the saw`
        : wide.length > 0
          ? `${wide[0].id} is wider than the crosscut saw takes`
          : "The saws here take every board",
    why:
      ripped.length > 0
        ? `There is room to rip ${mm(shop.ripLength)}. Crosscut it first.`
        : wide.length > 0
          ? `It is ${mm(Math.max(wide[0].width, wide[0].widthEnd ?? 0))} wide and the saw takes ${mm(shop.crosscutWidth)}: turn it over and meet the cut from the other side, use the track saw, or rip it first.`
          : `None is wider than ${mm(shop.crosscutWidth)} at the crosscut saw, none is ripped longer than ${mm(shop.ripLength)}.`,
    remedies:
      ripped.length > 0
        ? [set("Crosscut first, short rips", ["cutting", "sequence"], "crosscut-first")]
        : wide.length > 0
          ? [set("Rip whole boards first", ["cutting", "sequence"], "rip-first")]
          : [],
  });
}

/** What no machine here flattens in one piece. */
export function flattened({ boards, milled, shop }: CuttingFacts): Verdict | null {
  const open = new Set(boards.filter((cut) => !cut.sawn).map((cut) => cut.board.id));
  const lanes = milled.filter((each) => open.has(each.board));
  if (lanes.length === 0) return null;
  const wide = lanes.filter((lane) => lane.plan.machine !== "jointer");
  const worst =
    wide.find((lane) => lane.plan.machine === "hand") ?? wide.find((lane) => lane.plan.machine === "halves") ?? wide[0];
  const level = worst === undefined || worst.plan.machine === "sled" ? "holds" : "tight";
  return verdict({
    id: "cutting.flattened",
    stage: "cutting",
    subject: wide.map((lane) => lane.board),
    level,
    text:
      worst === undefined
        ? "The jointer takes every piece"
        : worst.plan.machine === "sled"
          ? `${wide.length} ${wide.length === 1 ? "piece goes" : "pieces go"} through the planer on a sled`
          : `${worst.mark} is too wide to flatten on a machine here`,
    why:
      worst === undefined
        ? `None is wider than ${mm(shop.jointerWidth)} or longer than ${mm(BED_TIMES * shop.jointerLength)}.`
        : (worst.plan.steps.find((step) => /sled|halves|hand/.test(step)) ?? "See its milling below."),
    source: "the shop's own tools",
  });
}

export function jointerLength({ piece, parts, shop }: CuttingFacts): Verdict {
  const jointed = parts.filter(({ ownEdges }) => !ownEdges);
  const longest = (jointed.length > 0 ? jointed : parts).reduce((a, b) => (b.milled.length > a.milled.length ? b : a));
  const bySaw = piece.choices.edges === "track-saw";
  const level = bySaw
    ? "holds"
    : grade(longest.milled.length, "at most", 1.5 * shop.jointerLength, 2 * shop.jointerLength);
  return verdict({
    id: "cutting.jointer",
    stage: "cutting",
    subject: [longest.id],
    level,
    text: bySaw
      ? "Edges come straight from the track saw"
      : level === "holds"
        ? "Every edge can be jointed here"
        : `${longest.name} is long for a ${mm(shop.jointerLength)} jointer`,
    why: `A bed joints true up to about one and a half times its length: ${mm(1.5 * shop.jointerLength)}; the longest piece is ${mm(longest.milled.length)}. Beyond that use the track saw and a long plane.`,
    limit: 1.5 * shop.jointerLength,
    actual: Math.round(longest.milled.length),
    sense: "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Joint edges with the track saw", ["choices", "edges"], "track-saw")],
  });
}

export function shortParts({ parts, milled }: CuttingFacts): Verdict | null {
  const short = parts.filter((part) => part.role !== "panel" && part.milled.length < SHORTEST_FED);
  if (short.length === 0) return null;
  const alone = milled.filter((each) => each.length < SHORTEST_FED);
  return verdict({
    id: "cutting.short",
    stage: "cutting",
    subject: short.map((part) => part.id),
    level: alone.length > 0 ? "tight" : "holds",
    ...(alone.length > 0
      ? {
          limit: SHORTEST_FED,
          actual: Math.round(Math.min(...alone.map((each) => each.length))),
          sense: "at least" as const,
          unit: "mm",
        }
      : {}),
    text:
      alone.length > 0
        ? `${alone.map((each) => each.mark).join(", ")} ${alone.length === 1 ? "is" : "are"} sawn too short to be fed alone`
        : `${short.map((part, i) => `${i ? part.name.toLowerCase() : part.name}s`).join(" and ")} are milled as one length`,
    why: `Pieces under ${mm(SHORTEST_FED)} are never fed through the planer alone: ${alone.length > 0 ? "leave the section longer and crosscut it after planing, or plane it by hand" : "mill the strip, then crosscut"}.`,
  });
}
