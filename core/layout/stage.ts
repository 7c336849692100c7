import type { BoardCut, RoughPiece, StripCut } from "./sawing";
import type { PieceGeometry } from "../construction/geometry";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";
import type { Species } from "../wood/species";
import { usedWoods, woodOf, Woods } from "../wood/woods";
import { jointLines } from "./candidates";
import { cutCards } from "./cards";
import { CutCard } from "./card";
import { Part, roughPieces } from "./cut-list";
import { MachineSetting, machineSettings } from "./machine-settings";
import type { CutPanel } from "./cut-panel";
import { CuttingPlan, cuttingPlan } from "./cutting";
import { MilledLane, millLanes } from "./mill";
import { stripCuts } from "./lay";
import { ShoppingLine, shoppingList } from "./shopping";

/** Everything of the cutting stage. `own` are the boards of the right wood, with what the search needs besides. */
export interface CuttingStage extends CuttingPlan {
  pieces: RoughPiece[];
  strips: StripCut[];
  settings: MachineSetting[];
  shopping: ShoppingLine[];
  milled: MilledLane[];
  cards: CutCard[];
  yieldShare: number;
  lines: number[];
  lacking: { name: string; count: number }[];
}

export interface CuttingFacts {
  parts: readonly Part[];
  rack: readonly RackBoard[];
  /** the top first */
  panels: readonly CutPanel[];
  cutting: Piece["cutting"];
  species: Species;
  woods: Woods;
  shop: Shop;
  at: PieceGeometry;
}

/** Where every part is cut, in which order, and what is missing. */
export function cuttingStage({ parts, rack, panels, cutting, species, woods, shop, at }: CuttingFacts): CuttingStage {
  const laid = panels.flatMap((panel) => panel.laid);
  const used = new Set(usedWoods(woods, species).map(({ id }) => id));
  const own = rack.filter(
    (board) => used.has(board.species) && !cutting.sawn.some((each) => each.board.id === board.id),
  );
  const pieces = roughPieces(parts, shop, (kind) => woodOf(woods, kind, species).id);
  const strips = stripCuts(
    laid.filter((each) => own.some((board) => board.id === each.board.id)),
    shop,
  );
  const laidOut = cuttingPlan(pieces, cutting, { rack: own, strips, shop });
  const plan = { ...laidOut, boards: laidOut.boards.map((cut) => named(cut, panels)) };
  const settings = machineSettings(parts);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const milled = millLanes(plan.boards, byId, panels, shop);
  // parts that differ in size only are told together
  const names = new Map<string, { part: Part; count: number }>();
  for (const { part: id } of plan.missing) {
    const part = parts.find((each) => each.id === id)!;
    names.set(part.name, { part, count: (names.get(part.name)?.count ?? 0) + 1 });
  }
  return {
    ...plan,
    pieces,
    strips,
    settings,
    shopping: shoppingList(plan.missing, species.id),
    milled,
    cards: cutCards({
      boards: plan.boards,
      pieces: byId,
      milled,
      settings,
      parts,
      panels,
      shop,
    }),
    yieldShare: plan.missing.length === 0 ? yieldOf(parts, plan, panels) : 0,
    lines: jointLines(
      panels[0].laid.map((each) => each.full),
      at.core.width,
    ),
    lacking: [...names.values()].map(({ part: { name, plural = `${name}s` }, count }) => ({
      name: count > 1 ? plural : name,
      count,
    })),
  };
}

/** A board with the name of the panel that its strip is for. */
function named(cut: BoardCut, panels: readonly CutPanel[]): BoardCut {
  const panel = cut.strip && panels.find(({ laid }) => laid.some(({ board }) => board.id === cut.board.id));
  return panel ? { ...cut, panel: panel.name.toLowerCase() } : cut;
}

/** Share of the wood that is sawn out which ends in the piece; offcuts that go back don't count as used. */
function yieldOf(parts: readonly Part[], plan: CuttingPlan, panels: readonly CutPanel[]): number {
  const volume = (board: { length: number; width: number; widthEnd: number | null; thickness: number }) =>
    board.length * ((board.width + (board.widthEnd ?? board.width)) / 2) * board.thickness;
  const sawn = plan.boards.reduce(
    (sum, cut) => sum + volume(cut.board) - cut.offcuts.reduce((kept, each) => kept + volume(each), 0),
    0,
  );
  const ended = parts
    .filter(
      (part) => part.role !== "panel" || panels.some((panel) => panel.kinds.includes(part.id) && panel.laid.length > 0),
    )
    .reduce((sum, part) => sum + part.count * part.finished.length * part.finished.width * part.finished.thickness, 0);
  return sawn > 0 ? ended / sawn : 0;
}
