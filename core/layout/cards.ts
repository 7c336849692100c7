/** Every card of a cutting plan, in the order of the work. */
import type { CardFacts, CutCard } from "./card";
import { laneMark, sectionMark } from "./marks";
import { flattening, planing, resawing } from "./milling-cards";
import { crosscuts, laneCuts, rips } from "./rough-cards";
import { milledWhole } from "./sawing";
import { legs, sizing } from "./size-cards";

/**
 * The whole cutting in the order it is done, each machine set once a setting: boards crosscut, sections ripped widest first, long lanes crosscut,
 * faces flattened, planed, ripped to width, short lanes crosscut last of all, so that nothing too short is fed.
 */
export function cutCards(facts: CardFacts): CutCard[] {
  const lanes = facts.boards.flatMap((cut) =>
    cut.sections.flatMap((section) =>
      section.lanes.map((lane, i) => {
        const lengths = lane.pieces.map((id) => facts.pieces.get(id)?.length ?? 0);
        return {
          board: cut.board,
          from: sectionMark(cut, section),
          mark: laneMark(cut, section, i),
          width: lane.width,
          length: section.length,
          pieces: lane.pieces,
          lengths,
          whole: milledWhole(lengths),
          own: lane.pieces.every((id) => facts.pieces.get(id)?.ownEdges),
        };
      }),
    ),
  );
  return [
    ...facts.boards.map((cut): CutCard => ({
      id: `board:${cut.board.id}`,
      machine: "Crosscut saw",
      setting: null,
      title: `Crosscut board ${cut.board.id}`,
      rows: crosscuts(cut, facts.shop),
      board: cut.board.id,
    })),
    ...rips(
      lanes.filter(({ own }) => !own),
      facts.boards,
      facts.shop,
    ),
    ...laneCuts(
      lanes.filter((each) => !each.whole),
      "lane",
    ),
    ...flattening(facts.milled),
    ...resawing(facts.milled),
    ...planing(facts),
    ...sizing(facts, "table saw"),
    ...laneCuts(
      lanes.filter((each) => each.whole),
      "short",
    ),
    ...legs(facts),
    ...sizing(facts, "crosscut stop"),
  ];
}
