import { BoardCut, LaidSection, RoughPiece, StripCut, milledWhole } from "./sawing";
import type { Cutting } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { Board, heldBy, RackBoard, widthAt } from "../stock/board";
import { millingYield } from "../stock/milling";
import { matchingGroups } from "./matches";
import { inRows } from "./rows";
import { offcutsOf } from "./offcuts";
import type { Taken } from "./runs";
import { Cut, firstCut, SearchInputs } from "./search";

/** A rough piece at its place on a board; x along it, y across. */
export interface Placed {
  piece: RoughPiece;
  board: string;
  x: number;
  y: number;
}

/** Where every piece is cut. `stale` names sections that no longer fit; `chosen` is whether a search's answer stands. */
export interface CuttingPlan {
  boards: BoardCut[];
  placed: Placed[];
  missing: RoughPiece[];
  stale: LaidSection[];
  chosen: boolean;
  circle: Cutting["matches"];
  unknown: Cutting["matches"];
}

/**
 * The cutting plan: what was sawn stays, what a search chose stands where it still fits, and the rest is laid out at once.
 *
 * @param pieces every rough piece of the work
 * @param rack   free boards of the right wood
 * @param strips what the panel takes from its boards
 */
export function cuttingPlan(
  pieces: readonly RoughPiece[],
  cutting: Cutting,
  { rack, strips, shop }: { rack: readonly RackBoard[]; strips: readonly StripCut[]; shop: Shop },
): CuttingPlan {
  const { groups, circle, unknown } = groupsFor(pieces, cutting);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const held = sawnPieces(cutting);
  const open = pieces.filter((piece) => !held.has(piece.id));
  const wanted = new Set(open.map((piece) => piece.id));
  const [sections, stale]: [LaidSection[], LaidSection[]] = [[], []];
  for (const section of cutting.sections) {
    const board = rack.find((each) => each.id === section.board);
    const fits =
      board !== undefined &&
      !board.reservedBy &&
      heldBy(board, section.x, section.x + section.length + shop.kerf) === null &&
      sectionHolds(section, board, { pieces: byId, wanted, shop }) &&
      !strips.some((strip) => strip.board === board.id && overlaps(strip, section, shop.kerf)) &&
      !sections.some((other) => other.board === board.id && overlaps(other, section, shop.kerf));
    (fits ? sections : stale).push(section);
    if (fits) for (const id of section.lanes.flatMap((lane) => lane.pieces)) wanted.delete(id);
  }
  const rest = open.filter((piece) => wanted.has(piece.id));
  const taken = takenBy(strips, sections);
  const first =
    rest.length > 0 ? firstCut({ pieces: rest, rack, taken, shop, sequence: cutting.sequence, groups }) : null;
  const all = inRows([...sections, ...(first?.sections ?? [])], pieces);
  const missing = (first?.missing ?? []).map((id) => byId.get(id)!);
  return {
    boards: boardCuts(cutting, rack, { sections: all, strips, shop }),
    placed: placedOf([...cutting.sawn.flatMap((each) => each.sections), ...all], byId, shop.kerf),
    missing,
    stale,
    chosen: cutting.sections.length > 0 && stale.length === 0,
    circle,
    unknown,
  };
}

/** What a search must be given to do better: pieces not sawn yet, and what of the boards is free. */
export function searchFor(
  pieces: readonly RoughPiece[],
  cutting: Cutting,
  {
    rack,
    strips,
    shop,
    rounds,
    seed,
  }: { rack: readonly RackBoard[]; strips: readonly StripCut[]; shop: Shop; rounds: number; seed: number },
): SearchInputs {
  const held = sawnPieces(cutting);
  return {
    pieces: pieces.filter((piece) => !held.has(piece.id)),
    rack,
    taken: takenBy(strips, []),
    shop,
    sequence: cutting.sequence,
    groups: groupsFor(pieces, cutting).groups,
    rounds,
    seed,
  };
}

/** Share of the wood used up that does not end in the piece. */
export const wasteOf = (cut: Pick<Cut, "cost" | "net">) => (cut.cost > 0 ? (cut.cost - cut.net) / cut.cost : 0);

function groupsFor(pieces: readonly RoughPiece[], cutting: Cutting) {
  const own = pieces
    .flatMap((piece) =>
      piece.matched ? [{ piece: piece.id, as: pieces.find((other) => other.matched === piece.matched)!.id }] : [],
    )
    .filter((each) => each.piece !== each.as);
  return matchingGroups(
    [...own, ...cutting.matches],
    pieces.map((piece) => piece.id),
  );
}

/** Pieces that have been sawn and not spoiled since. */
function sawnPieces(cutting: Cutting): Set<string> {
  return new Set(
    cutting.sawn.flatMap((sawn) =>
      sawn.sections
        .flatMap((section) => section.lanes.flatMap((lane) => lane.pieces))
        .filter((id) => !cutting.spoiled.some((each) => each.piece === id && each.board === sawn.board.id)),
    ),
  );
}

const takenBy = (strips: readonly StripCut[], sections: readonly LaidSection[]): Taken[] => [
  ...strips,
  ...sections.map((section) => ({
    board: section.board,
    x: section.x,
    y: section.y,
    length: section.length,
    width: widthOf(section, 0),
  })),
];

const widthOf = (section: LaidSection, kerf: number) =>
  section.lanes.reduce((sum, lane) => sum + lane.width + kerf, -kerf);
const overlaps = (a: { x: number; length: number }, b: { x: number; length: number }, kerf: number) =>
  a.x < b.x + b.length + kerf - 0.01 && b.x < a.x + a.length + kerf - 0.01;

function sectionHolds(
  section: LaidSection,
  board: Board,
  { pieces, wanted, shop }: { pieces: ReadonlyMap<string, RoughPiece>; wanted: ReadonlySet<string>; shop: Shop },
): boolean {
  if (
    section.x + section.length > board.length + 0.5 ||
    section.y + widthOf(section, shop.kerf) >
      Math.min(widthAt(board, section.x), widthAt(board, section.x + section.length)) + 0.5
  )
    return false;
  return section.lanes.every((lane) => {
    const members = lane.pieces.map((id) => pieces.get(id));
    const length = members.reduce((sum, piece) => sum + (piece?.length ?? 0) + shop.kerf, -shop.kerf);
    const whole = milledWhole(members.map((piece) => piece?.length ?? 0));
    return (
      length <= section.length + 0.5 &&
      members.every(
        (piece) =>
          piece !== undefined &&
          wanted.has(piece.id) &&
          (piece.species ?? board.species) === board.species &&
          piece.width <= lane.width + 0.5 &&
          millingYield(board, shop, whole ? length : piece.length, piece.width).thickness >= piece.thickness,
      )
    );
  });
}

/** Every piece at its place: lanes from the near edge, pieces from the left. A sawn piece that was spoiled is shown where it was cut, too. */
function placedOf(sections: readonly LaidSection[], pieces: ReadonlyMap<string, RoughPiece>, kerf: number): Placed[] {
  const placed: Placed[] = [];
  for (const section of sections) {
    let y = section.y;
    for (const lane of section.lanes) {
      let x = section.x;
      for (const id of lane.pieces) {
        const piece = pieces.get(id);
        if (piece) {
          placed.push({ piece, board: section.board, x, y });
          x += piece.length + kerf;
        }
      }
      y += lane.width + kerf;
    }
  }
  return placed;
}

function boardCuts(
  cutting: Cutting,
  rack: readonly RackBoard[],
  { sections, strips, shop }: { sections: readonly LaidSection[]; strips: readonly StripCut[]; shop: Shop },
): BoardCut[] {
  const sawn: BoardCut[] = cutting.sawn.map((each) => ({
    board: each.board,
    sections: each.sections,
    strip: each.strip ? { board: each.board.id, ...each.strip } : null,
    offcuts: each.offcuts,
    sawn: true,
  }));
  const names = rack.map((board) => board.id);
  const open = rack
    .filter(
      (board) => strips.some((each) => each.board === board.id) || sections.some((each) => each.board === board.id),
    )
    .map((board): BoardCut => {
      const mine = sections.filter((each) => each.board === board.id).sort((a, b) => a.x - b.x);
      const strip = strips.find((each) => each.board === board.id) ?? null;
      const cuts = [
        ...mine.map((section) => ({
          x: section.x,
          y: section.y,
          length: section.length,
          width: widthOf(section, shop.kerf),
        })),
        ...(strip ? [strip] : []),
      ];
      return { board, sections: mine, strip, offcuts: offcutsOf(board, cuts, shop, names), sawn: false };
    });
  return [...sawn, ...open];
}
