import { BoardCut, RoughPiece, milledWhole } from "./sawing";
import type { CutPanel } from "./cut-panel";
import type { Shop } from "../piece/shop";
import { MillingPlan, millingPlan } from "../stock/milling-plan";
import { sawnFacePlan } from "../stock/sawn-face";

import { laneMark, stripMark } from "./marks";

/** The milling of one piece, one strip, or one lane of pieces too short to be fed alone; crosscut and ripped first. `mark` is written on it. */
export interface MilledLane {
  board: string;
  /** its board tears under the planer */
  tears: boolean;
  mark: string;
  pieces: string[];
  length: number;
  width: number;
  thickness: number;
  plan: MillingPlan;
}

/**
 * How everything that is sawn is flattened and planed, board by board.
 *
 * @param panels  whose strips are sawn, by how thick they end
 */
export function millLanes(
  boards: readonly BoardCut[],
  pieces: ReadonlyMap<string, RoughPiece>,
  panels: readonly CutPanel[],
  shop: Shop,
): MilledLane[] {
  const lengthOf = (id: string) => pieces.get(id)?.length ?? 0;
  return boards.flatMap((cut) => {
    const panel = panels.find((each) => each.laid.some(({ board }) => board.id === cut.board.id)) ?? panels[0];
    const strip = cut.strip
      ? [
          {
            mark: stripMark(cut.board.id),
            pieces: [panel.kinds[0]],
            length: cut.strip.length,
            width: cut.strip.width,
            thickness: panel.thickness,
            passes: panel.laid.find(({ board }) => board.id === cut.board.id)?.sawn ?? null,
          },
        ]
      : [];
    const lanes = cut.sections.flatMap((section) =>
      section.lanes.flatMap((lane, i) => {
        // pieces that were sawn for a plan that has since changed are wood on the shelf: nothing says what to mill them to
        if (!lane.pieces.some((id) => pieces.has(id))) return [];
        const thickness = Math.max(0, ...lane.pieces.map((id) => pieces.get(id)?.thickness ?? 0));
        const one = { width: lane.width, thickness, passes: null };
        if (!milledWhole(lane.pieces.map(lengthOf)))
          return lane.pieces.map((id) => ({ ...one, mark: id, pieces: [id], length: lengthOf(id) }));
        return [
          {
            ...one,
            mark: laneMark(cut, section, i),
            pieces: lane.pieces,
            length: lane.pieces.reduce((sum, id) => sum + lengthOf(id) + shop.kerf, -shop.kerf),
          },
        ];
      }),
    );
    return [...strip, ...lanes].map(({ passes, ...each }) => ({
      ...each,
      board: cut.board.id,
      tears: cut.board.tears,
      plan: passes === null ? millingPlan(cut.board, each, shop) : sawnFacePlan(cut.board, each, { passes, shop }),
    }));
  });
}
