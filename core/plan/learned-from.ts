/** What the log's widths say of coefficients, with what the table says beside it. */
import type { PanelPlace } from "../construction/geometry";
import { Learned, learned } from "../learning/offers";
import { boardCoefficient } from "../movement/coefficient";
import type { Course } from "../movement/course";
import { TopMovement, UNKNOWN_RINGS } from "../movement/year";
import type { Piece } from "../piece/schema";
import type { RackBoard } from "../stock/board";
import type { Species } from "../wood/species";
import { woodOf, Woods } from "../wood/woods";

interface LearnedFacts {
  log: Piece["log"];
  fitted: Piece["fitted"];
  top: TopMovement;
  others: readonly { place: PanelPlace; top: TopMovement }[];
  course: Course;
  rack: readonly RackBoard[];
  species: Species;
  woods: Woods;
}

/** What the table says of boards and panels, by their rings, beside what was measured on them. */
export function learnedFrom({ log, fitted, top, others, course, rack, species, woods }: LearnedFacts): Learned[] {
  const ofBoard = (wood: Species, id: string | null) => {
    const board = rack.find((each) => each.id === id);
    return board
      ? boardCoefficient(wood, board.ringLeft, board.ringRight)
      : boardCoefficient(wood, UNKNOWN_RINGS.left, UNKNOWN_RINGS.right);
  };
  const whole = (wood: Species, { strips, width }: TopMovement) =>
    strips.reduce(
      (sum, { kind, board, width: wide }) => sum + ofBoard(kind ? woodOf(woods, kind, wood) : wood, board) * wide,
      0,
    ) / width;
  const panels = [
    { id: "top", name: "top", movement: top, course, table: whole(species, top) },
    ...others.map(({ place: { id, name, kind }, top: movement }) => ({
      ...{ id, name, movement, course: movement.course, table: whole(woodOf(woods, kind, species), movement) },
    })),
  ];
  return learned({ log, fitted }, panels, rack, (id) => ofBoard(species, id));
}
