import type { Make } from "../assembly/sort";
import type { Board } from "../stock/board";
import { legsFrom } from "./leg-stock";
import type { Shop } from "../piece/shop";
import { BED_TIMES, SHORTEST_FED } from "../stock/milling-plan";
import { grade, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { CuttingStage } from "./stage";
import type { Part } from "./cut-list";
import type { Piece } from "../piece/schema";

export interface CuttingFacts extends CuttingStage {
  piece: Piece;
  parts: readonly Part[];
  shop: Shop;
  /** boards of the legs' wood that nothing else has */
  rack: readonly Board[];
}

/** Ways to make a leg, as they are offered. */
const MADE_OF: [Make, string][] = [
  ["solid", "Use solid legs"],
  ["laminated", "Glue legs from two leaves"],
  ["core-faces", "Make legs of a core with four faces"],
  ["diagonal", "Saw legs at 45° from two boards"],
];

const LEG_TEXT = {
  solid: "Legs come solid from the rack",
  laminated: "Legs are glued from two leaves",
  "core-faces": "Legs are a core with four resawn faces",
  diagonal: "Legs are sawn at 45° from two boards",
};

/** Every rule of the cutting stage. */
export const CUTTING_RULES: ((facts: CuttingFacts) => Verdict | null)[] = [
  placedAll,
  circular,
  unknownMatch,
  movedAway,
  spoiledPieces,
  legStock,
  withinSaws,
  flattened,
  jointerLength,
  shortParts,
  yieldOf,
];

/** Longest length any board of the plan has, mm. */
const boardsLongest = (strips: CuttingFacts["strips"], boards: CuttingFacts["boards"]) =>
  Math.max(0, ...strips.map((each) => each.length), ...boards.map((each) => each.board.length));
function tooLong(missing: CuttingFacts["missing"], longest: number): string {
  const long = missing.filter((each) => longest > 0 && each.length > longest);
  return long.length > 0
    ? `${long.map((each) => each.label).join(", ")}, ${mm(Math.max(...long.map((each) => each.length)))} long, ${long.length === 1 ? "is" : "are"} longer than any board here: scarf or joint ${long.length === 1 ? "it" : "them"} from two, or buy longer. `
    : "";
}

function placedAll({ missing, shopping, strips, boards }: CuttingFacts): Verdict {
  const volume = shopping.reduce((sum, line) => sum + line.cubicMetres, 0);
  return verdict({
    id: "cutting.placed",
    stage: "cutting",
    subject: missing.map((each) => each.part),
    level: missing.length ? "fix" : "holds",
    text: missing.length ? `${missing.length} pieces have no board` : "Every piece lies on a board",
    why: missing.length
      ? `${tooLong(missing, boardsLongest(strips, boards))}Buy about ${volume.toFixed(3)} m³ as listed, or use boards of another part.`
      : "Saw kerf, end checks and defects are counted.",
  });
}

function circular({ piece, circle }: CuttingFacts): Verdict | null {
  if (circle.length === 0) return null;
  const rest = piece.cutting.matches.filter((each) => !circle.includes(each));
  return verdict({
    id: "cutting.circle",
    stage: "cutting",
    subject: circle.map((each) => each.piece),
    level: "tight",
    text: `The matching rules run in a circle: ${circle.map((each) => `${each.piece} from the board of ${each.as}`).join(", ")}`,
    why: "The others say as much already; all of them still come from one board.",
    remedies: [set("Take that rule out", ["cutting", "matches"], rest)],
  });
}

function unknownMatch({ piece, unknown }: CuttingFacts): Verdict | null {
  if (unknown.length === 0) return null;
  return verdict({
    id: "cutting.unknown",
    stage: "cutting",
    subject: [],
    level: "tight",
    text: `No piece is called ${[...new Set(unknown.flatMap((each) => [each.piece, each.as]))].filter((mark) => !piece.cutting.sawn.some((sawn) => sawn.board.id === mark)).join(" or ")} any more`,
    why: `${unknown.map((each) => `${each.piece} from the board of ${each.as}`).join(", ")}: the form has changed since.`,
    remedies: [
      set(
        "Take the rule out",
        ["cutting", "matches"],
        piece.cutting.matches.filter((each) => !unknown.includes(each)),
      ),
    ],
  });
}

function movedAway({ piece, stale }: CuttingFacts): Verdict | null {
  if (stale.length === 0) return null;
  return verdict({
    id: "cutting.stale",
    stage: "cutting",
    subject: stale.flatMap((section) => section.lanes.flatMap((lane) => lane.pieces)),
    level: "tight",
    text: `${stale.length} ${stale.length === 1 ? "section no longer fits" : "sections no longer fit"} where the search laid ${stale.length === 1 ? "it" : "them"}`,
    why: `${[...new Set(stale.map((section) => section.board))].join(", ")}: the sizes, the panel or the rack have changed. The pieces are laid out elsewhere meanwhile; search again for less waste.`,
    remedies: [
      set(
        "Forget those places",
        ["cutting", "sections"],
        piece.cutting.sections.filter((section) => !stale.includes(section)),
      ),
    ],
  });
}

function spoiledPieces({ piece, placed, missing }: CuttingFacts): Verdict | null {
  const { spoiled, sawn } = piece.cutting;
  const open = spoiled.filter(
    (each) =>
      !sawn.some(
        (one) =>
          one.board.id !== each.board &&
          one.sections.some((section) => section.lanes.some((lane) => lane.pieces.includes(each.piece))),
      ),
  );
  if (open.length === 0) return null;
  const without = open.filter((each) => missing.some((one) => one.id === each.piece));
  const from = (mark: string) =>
    placed.findLast((each) => each.piece.id === mark && !sawn.some((one) => one.board.id === each.board))?.board;
  return verdict({
    id: "cutting.spoiled",
    stage: "cutting",
    subject: open.map((each) => each.piece),
    level: without.length > 0 ? "fix" : "tight",
    text: `${open.map((each) => each.piece).join(", ")} must be sawn again`,
    why: open
      .map(
        (each) =>
          `${each.piece}: ${from(each.piece) ? `from ${from(each.piece)}` : "no board is left for it, it stands on the shopping list"}.`,
      )
      .join(" "),
  });
}

function legStock({ piece, parts, missing, placed, rack, shop }: CuttingFacts): Verdict | null {
  const leg = parts.find((part) => part.id === "leg");
  const lacking = missing.filter((each) => each.part === "leg").length;
  if (!leg || (lacking === 0 && placed.every((each) => each.piece.part !== "leg"))) return null;
  const solid = piece.form.leg.make === "solid";
  return verdict({
    id: "cutting.legs",
    stage: "cutting",
    subject: ["leg"],
    level: lacking ? "fix" : "holds",
    text: lacking
      ? `No stock thick enough for ${lacking} leg piece${lacking > 1 ? "s" : ""}`
      : LEG_TEXT[piece.form.leg.make],
    why: solid
      ? `A solid leg needs ${mm(leg.finished.thickness)} after milling.`
      : `They need ${[...new Set(leg.stock.map((each) => mm(each.thickness)))].join(" and ")} after milling.`,
    remedies: lacking
      ? MADE_OF.filter(
          ([make]) =>
            make !== piece.form.leg.make &&
            legsFrom(make, { section: leg.finished, length: leg.rough.length }, rack, shop) >= leg.count,
        ).map(([make, label]) => set(label, ["form", "leg", "make"], make))
      : [],
  });
}

/** Whether the saws owned take the boards in the order that is chosen. */
function withinSaws({ boards, piece, shop }: CuttingFacts): Verdict | null {
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
function flattened({ boards, milled, shop }: CuttingFacts): Verdict | null {
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

function jointerLength({ piece, parts, shop }: CuttingFacts): Verdict {
  const longest = parts.reduce((a, b) => (b.milled.length > a.milled.length ? b : a));
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

function shortParts({ parts, milled }: CuttingFacts): Verdict | null {
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

function yieldOf({ yieldShare }: CuttingFacts): Verdict | null {
  if (yieldShare <= 0) return null;
  return verdict({
    id: "cutting.yield",
    stage: "cutting",
    level: grade(yieldShare, "at least", 0.55, 0.35),
    text: `${Math.round(yieldShare * 100)} % of what is sawn out ends in the piece`,
    why: "The rest goes in warp, width and length allowances. Offcuts go back on the rack and don't count.",
    limit: 55,
    actual: Math.round(yieldShare * 100),
    sense: "at least",
    unit: "%",
  });
}
