import type { Board } from "../stock/board";
import { speciesUsed } from "./kinds";
import { everyPanel } from "./panels";
import type { Piece } from "./schema";

/** How a board that an arriving piece names stands on the rack it arrives at. */
export interface Standing {
  id: string;
  body: Board;
  state: "free" | "reserved" | "cut" | "taken off";
  holder: string | null;
  /** cut for a piece that is no longer there */ orphan: boolean;
}

/** A piece as it can stand in this shop, the boards whose cuts it takes over, and what a maker must be told. */
export interface Arrival {
  piece: Piece;
  adopted: string[];
  said: string[];
}

/**
 * Fits a piece that comes from a file to the boards that are here: a cut is taken over where this rack's own board was cut for a piece that has
 * been deleted since; all other cuts are open again, and boards that can't be had are freed.
 *
 * @param standing  of the boards it names that this rack knows
 * @param same      whether two boards say the same
 */
export function arriving(piece: Piece, standing: readonly Standing[], same: (a: Board, b: Board) => boolean): Arrival {
  const known = new Map(standing.map((each) => [each.id, each]));
  const adopted = piece.cutting.sawn.filter(({ board }) => {
    const here = known.get(board.id);
    return here?.state === "cut" && here.orphan && same(here.body, board);
  });
  const mine = new Set(adopted.map((each) => each.board.id));
  const open = piece.cutting.sawn.filter((each) => !mine.has(each.board.id)).map((each) => each.board.id);
  const freed = new Map<string, string>();
  const woods = speciesUsed(piece);
  const canHave = (id: string): boolean => {
    if (mine.has(id)) return true;
    const here = known.get(id);
    const why =
      !here || here.state === "taken off"
        ? "is not on this rack"
        : here.state === "cut"
          ? "has been cut"
          : here.state === "reserved"
            ? `is reserved for ${here.holder ?? "another piece"}`
            : !woods.includes(here.body.species)
              ? "is of another wood here"
              : null;
    if (why) freed.set(id, why);
    return why === null;
  };
  const panels = everyPanel(piece.panels, (panel) => ({
    ...panel,
    strips: panel.strips.filter((strip) => canHave(strip.board)),
  }));
  const sections = piece.cutting.sections.filter((section) => canHave(section.board));
  return {
    adopted: [...mine],
    piece: {
      ...piece,
      panels: everyPanel(panels, (panel) => ({ ...panel, pinned: panel.pinned.filter((id) => !freed.has(id)) })),
      cutting: {
        ...piece.cutting,
        sections,
        sawn: adopted,
        spoiled: piece.cutting.spoiled.filter((each) => mine.has(each.board)),
        ticked: open.length > 0 ? [] : piece.cutting.ticked,
      },
    },
    said: [
      ...(mine.size > 0
        ? [
            `${listed([...mine])} ${mine.size === 1 ? "was" : "were"} sawn here for a piece that has been deleted; this one takes ${mine.size === 1 ? "it" : "them"} over.`,
          ]
        : []),
      ...(open.length > 0
        ? [
            `${listed(open)} ${open.length === 1 ? "was" : "were"} sawn for the piece in the file, not for this one: what came from ${open.length === 1 ? "it" : "them"} is to be cut again.`,
          ]
        : []),
      ...[...freed].filter(([id]) => !open.includes(id)).map(([id, why]) => `${id} ${why}, and is free of this piece.`),
    ],
  };
}

const listed = (ids: readonly string[]) =>
  ids.length < 2
    ? ids.join("")
    : ids.length > 6
      ? `${ids.slice(0, 5).join(", ")} and ${ids.length - 5} others`
      : `${ids.slice(0, -1).join(", ")} and ${ids.at(-1)}`;
