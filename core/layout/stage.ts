import type { TableGeometry } from "../form/leg-and-apron";
import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { RackBoard } from "../stock/board";
import type { LaidStrip } from "../stock/rules";
import type { Species } from "../wood/species";
import { jointLines } from "./candidates";
import { CutCard, cutCards } from "./cards";
import { MachineSetting, machineSettings, Part, roughPieces } from "./cut-list";
import { CuttingPlan, cuttingPlan, RoughPiece, StripCut } from "./cutting";
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

/** Where every part is cut, in which order, and what is missing. */
export function cuttingStage(
  parts: readonly Part[],
  rack: readonly RackBoard[],
  laid: readonly LaidStrip[],
  cutting: Piece["cutting"],
  make: Piece["form"]["leg"]["make"],
  species: Species,
  shop: Shop,
  at: TableGeometry,
): CuttingStage {
  const own = rack.filter(
    (board) => board.species === species.id && !cutting.sawn.some((each) => each.board.id === board.id),
  );
  const pieces = roughPieces(parts, shop);
  const strips = stripCuts(
    laid.filter((each) => own.some((board) => board.id === each.board.id)),
    shop,
  );
  const plan = cuttingPlan(pieces, cutting, own, strips, shop);
  const settings = machineSettings(parts);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const milled = millLanes(plan.boards, byId, at.core, shop);
  const names = new Map<string, number>();
  for (const piece of plan.missing) names.set(piece.part, (names.get(piece.part) ?? 0) + 1);
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
      panel: at.core.thickness,
      leg: { make, section: at.leg.section },
      shop,
    }),
    yieldShare: plan.missing.length === 0 ? yieldOf(parts, plan, laid.length > 0) : 0,
    lines: jointLines(
      laid.map((each) => each.full),
      at.core.width,
    ),
    lacking: [...names].map(([part, count]) => ({ name: parts.find((each) => each.id === part)!.name, count })),
  };
}

/** Share of the wood that is sawn out which ends in the piece; offcuts that go back don't count as used. */
function yieldOf(parts: readonly Part[], plan: CuttingPlan, withTop: boolean): number {
  const volume = (board: { length: number; width: number; widthEnd: number | null; thickness: number }) =>
    board.length * ((board.width + (board.widthEnd ?? board.width)) / 2) * board.thickness;
  const sawn = plan.boards.reduce(
    (sum, cut) => sum + volume(cut.board) - cut.offcuts.reduce((kept, each) => kept + volume(each), 0),
    0,
  );
  const ended = parts
    .filter((part) => part.role !== "button" && (part.role !== "top" || withTop))
    .reduce((sum, part) => sum + part.count * part.finished.length * part.finished.width * part.finished.thickness, 0);
  return sawn > 0 ? ended / sawn : 0;
}
