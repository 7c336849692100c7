/** Whether everything has a board, and what was said of it still stands. */
import { grade, mm, set, Verdict, verdict } from "../verdict/verdict";
import type { CuttingFacts } from "./cutting-facts";

/** Longest length any board of the plan has, mm. */
const boardsLongest = (strips: CuttingFacts["strips"], boards: CuttingFacts["boards"]) =>
  Math.max(0, ...strips.map((each) => each.length), ...boards.map((each) => each.board.length));

function tooLong(missing: CuttingFacts["missing"], longest: number): string {
  const long = missing.filter((each) => longest > 0 && each.length > longest);
  return long.length > 0
    ? `${long.map((each) => each.label).join(", ")}, ${mm(Math.max(...long.map((each) => each.length)))} long, ${long.length === 1 ? "is" : "are"} longer than any board here: scarf or joint ${long.length === 1 ? "it" : "them"} from two, or buy longer. `
    : "";
}

export function placedAll({ missing, shopping, strips, boards }: CuttingFacts): Verdict {
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

export function circular({ piece, circle }: CuttingFacts): Verdict | null {
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

export function unknownMatch({ piece, unknown }: CuttingFacts): Verdict | null {
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

export function movedAway({ piece, stale }: CuttingFacts): Verdict | null {
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

export function spoiledPieces({ piece, placed, missing }: CuttingFacts): Verdict | null {
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

export function yieldOf({ yieldShare }: CuttingFacts): Verdict | null {
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
