import type { Shop } from "../piece/shop";
import { MillingPlan, millingPlan } from "../stock/milling-plan";
import { sectionMark } from "./cards";
import type { BoardCut, RoughPiece } from "./cutting";

/** The milling of one lane or strip: the pieces in it are flattened together, crosscut and ripped first. */
export interface MilledLane { board: string; mark: string; pieces: string[]; length: number; width: number; thickness: number; plan: MillingPlan }

/**
 * How everything that is sawn is flattened and planed, board by board. Lanes of short pieces go through whole, so that nothing too short is fed.
 *
 * @param panel thickness of the panel's strips and the allowance on their length, when there are any
 */
export function millLanes(boards: readonly BoardCut[], pieces: ReadonlyMap<string, RoughPiece>, panel: { thickness: number }, shop: Shop): MilledLane[] {
  return boards.flatMap((cut) => {
    const strip = cut.strip ? [{ mark: `strip ${cut.board.id}`, pieces: ["top"], length: cut.strip.length, width: cut.strip.width, thickness: panel.thickness }] : [];
    const lanes = cut.sections.flatMap((section) => section.lanes.map((lane) => ({
      mark: sectionMark(cut, section), pieces: lane.pieces, length: section.length, width: lane.width, thickness: Math.max(0, ...lane.pieces.map((id) => pieces.get(id)?.thickness ?? 0)),
    })));
    return [...strip, ...lanes].map((each) => ({ ...each, board: cut.board.id, plan: millingPlan(cut.board, each, shop) }));
  });
}
