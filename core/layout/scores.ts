import type { PieceGeometry } from "../construction/geometry";
import { postBand } from "../construction/posts";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";
import type { LaidStrip } from "../stock/panel-facts";
import { prizedBoards } from "../stock/prized";
import { fine, mm } from "../verdict/verdict";
import { LINES } from "./arrange";
import { jointLines, usedUp } from "./candidates";
import { stripCuts } from "./lay";

/** One thing makers look at in a panel: what it is here, and how well it does from 0 to 1. */
export interface PanelScore {
  id: string;
  name: string;
  said: string;
  share: number;
}

/** What the panel is worth to the eye and the rack. Waste counts what is used up of the boards, as the search does, against what the outline keeps of the strips. */
export function panelScores(
  laid: readonly LaidStrip[],
  at: PieceGeometry,
  piece: Piece,
  { rack, species, shop }: { rack: readonly RackBoard[]; species: string; shop: Shop },
): PanelScore[] {
  if (laid.length === 0) return [];
  const cuts = stripCuts(laid, shop);
  const used = cuts.reduce((sum, cut, i) => sum + usedUp(laid[i].board, cut.length, shop), 0);
  const kept = laid.reduce((sum, each) => sum + each.length * each.width * at.core.thickness, 0);
  const widths = laid.map((each) => each.width);
  const mean = widths.reduce((a, b) => a + b, 0) / widths.length;
  const uneven = Math.max(...widths.map((each) => Math.abs(each - mean))) / mean;
  const lines = jointLines(
    laid.map((each) => each.full),
    at.core.width,
  );
  const centre = Math.min(...lines.map((line) => Math.abs(line - at.core.width / 2)), at.core.width / 2);
  const band = postBand(at);
  const over = lines.filter((line) => {
    const edge = Math.min(line, at.core.width - line);
    return band !== null && edge > band.from && edge < band.to;
  }).length;
  const pairs = laid.slice(1).map((each, i) => [laid[i], each] as const);
  const alternated = pairs.filter(([a, b]) => a.strip.face !== b.strip.face).length;
  const family = pairs.filter(([a, b]) => a.board.tree !== "" && a.board.tree === b.board.tree).length;
  const barkUp = laid.filter((each) => each.strip.face === "bark-up").length;
  const prized = prizedBoards(rack, species);
  const spent = prized.filter((board) => laid.some((each) => each.board.id === board.id));
  const defects = laid.flatMap((each) =>
    each.board.defects.filter(
      (d) =>
        d.x < each.strip.slide + each.length &&
        d.x + d.length > each.strip.slide &&
        d.y < each.across + each.full &&
        d.y + d.width > each.across,
    ),
  ).length;
  const share = (n: number) => Math.max(0, Math.min(1, n));
  const score = (id: string, name: string, said: string, good: number): PanelScore => ({
    id,
    name,
    said,
    share: share(good),
  });
  return [
    score("waste", "Waste", `${((100 * (used - kept)) / used).toFixed(1)} %`, 1 - (used - kept) / used),
    score("balance", "Widths alike", `within ${Math.round(100 * uneven)} % of ${mm(mean)}`, 1 - uneven),
    score("centre", "Lines off the centre", mm(centre), centre / (2 * LINES.offCentre)),
    score(
      "legs",
      "Lines off the legs",
      over === 0 ? "all" : `${over} over a leg`,
      1 - over / Math.max(1, lines.length),
    ),
    piece.choices.rings === "alternate"
      ? score(
          "rings",
          "Rings alternate",
          `${alternated} of ${pairs.length} joints`,
          alternated / Math.max(1, pairs.length),
        )
      : score("rings", "Best faces up", `${barkUp} of ${laid.length} bark side up`, barkUp / laid.length),
    score("tree", "One tree together", `${family} of ${pairs.length} joints`, family / Math.max(1, pairs.length)),
    score(
      "clear",
      "Clear face",
      defects === 0 ? "no defect in it" : `${defects} ${defects === 1 ? "defect" : "defects"} in it`,
      1 - defects / laid.length,
    ),
    score(
      "prized",
      "Wide boards spared",
      prized.length === 0
        ? "none on the rack"
        : spent.length === 0
          ? `${prized
              .map((board) => `${board.id}, ${fine(board.width)}`)
              .slice(0, 2)
              .join("; ")}`
          : `${spent.map((board) => board.id).join(", ")} used up`,
      spent.length === 0 ? 1 : 0,
    ),
  ];
}
