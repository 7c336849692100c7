/** What a maker reports from the saw, as the cutting record it leaves: pure, so that the screen and the tests do the same. */
import type { Cutting } from "../piece/schema";
import { plainBoard } from "../stock/board";
import type { CuttingPlan } from "./cutting";

/**
 * The record after a board has been sawn as the plan says. The rest of the plan is kept as it stands, so that nothing moves while the saw runs.
 *
 * @throws Error when the plan has no such board that is not sawn yet: a programmer's mistake
 */
export function withSawn(cutting: Cutting, plan: CuttingPlan, id: string, on: string): Cutting {
  const cut = plan.boards.find((each) => each.board.id === id && !each.sawn);
  if (!cut) throw new Error(`The plan saws no board ${id}.`);
  const board = plainBoard(cut.board);
  return {
    ...cutting,
    sections: plan.boards.filter((each) => !each.sawn && each !== cut).flatMap((each) => each.sections),
    sawn: [
      ...cutting.sawn,
      {
        board,
        on,
        strip: cut.strip ? { x: cut.strip.x, y: cut.strip.y, length: cut.strip.length, width: cut.strip.width } : null,
        sections: cut.sections,
        offcuts: cut.offcuts.map((each) => plainBoard(each)),
      },
    ],
    ticked: [...cutting.ticked, `board:${id}`],
  };
}

/** The record with a board whole again, its sections planned as before. */
export function withoutSawn(cutting: Cutting, id: string): Cutting {
  const back = cutting.sawn.filter((each) => each.board.id === id);
  return {
    ...cutting,
    sawn: cutting.sawn.filter((each) => each.board.id !== id),
    sections: [...cutting.sections, ...back.flatMap((each) => each.sections)],
    spoiled: cutting.spoiled.filter((each) => each.board !== id),
    ticked: cutting.ticked.filter((each) => each !== `board:${id}`),
  };
}

/** The record after a piece went wrong: it is planned again from what is left, and what was laid out stays. */
export function withSpoiled(
  cutting: Cutting,
  plan: CuttingPlan,
  { piece, on, why }: { piece: string; on: string; why: string },
): Cutting {
  const board = cutting.sawn.findLast((each) =>
    each.sections.some((section) => section.lanes.some((lane) => lane.pieces.includes(piece))),
  )?.board.id;
  if (!board) throw new Error(`${piece} has not been sawn.`);
  return {
    ...cutting,
    sections: plan.boards.filter((each) => !each.sawn).flatMap((each) => each.sections),
    spoiled: [...cutting.spoiled, { piece, board, on, why }],
  };
}
