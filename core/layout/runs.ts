import type { Shop } from "../piece/shop";
import { Defect, narrowest, RackBoard, widthAt } from "../stock/board";

/** Wood trimmed from each end of a board for checks, mm. @source common practice */
export const END_TRIM = 20;
/** Shorter than this a run is no use, mm. Ours: about the shortest part. */
const SHORTEST_RUN = 100;
/** A defect along an edge that is at least this many times as long as wide is ripped off rather than crosscut out. Ours. */
const RIPPED_OFF = 4;
/** Parts that nobody sees may hold these; the wood is sound. @source common practice */
const HIDEABLE: Defect["kind"][] = ["sap"];

/** A stretch of a board from which whole sections are crosscut. x and y are its place on the board; mm. `blemished` wood is sound, but for hidden parts only. */
export interface Run {
  board: RackBoard;
  x: number;
  y: number;
  length: number;
  width: number;
  blemished: boolean;
}

/** A rectangle of a board that is spoken for already. */
export interface Taken {
  board: string;
  x: number;
  y: number;
  length: number;
  width: number;
}

/**
 * The clear runs of a board, from its left end: ends trimmed for checks, a tapered one as wide as its narrower end, defects crosscut out or, where they run along an edge, ripped
 * off; what is taken already left alone.
 *
 * @returns runs that don't overlap; none for a reserved board or one that defects cover
 */
export function runsOf(board: RackBoard, taken: readonly Taken[], shop: Pick<Shop, "kerf">): Run[] {
  if (board.reservedBy) return [];
  const band = clearBand(board);
  const blocks = board.defects
    .filter((d) => !besideBand(d, band))
    .map((d) => ({ from: d.x, to: d.x + d.length, sound: HIDEABLE.includes(d.kind) }));
  for (const { from, to } of board.held ?? [])
    blocks.push({ from: from - shop.kerf, to: to ?? board.length, sound: false });
  for (const each of taken)
    if (each.board === board.id)
      blocks.push({ from: each.x - shop.kerf, to: each.x + each.length + shop.kerf, sound: false });
  const [first, last] = [END_TRIM, board.length - END_TRIM];
  const edges = [...new Set([first, last, ...blocks.flatMap((each) => [each.from, each.to])])]
    .filter((x) => x >= first && x <= last)
    .sort((a, b) => a - b);
  const runs: Run[] = [];
  let open: Run | null = null;
  for (let i = 0; i + 1 < edges.length; i += 1) {
    const [from, to] = [edges[i], edges[i + 1]];
    const over = blocks.filter((each) => each.from < to - 1e-9 && each.to > from + 1e-9);
    const kind = over.length === 0 ? "clear" : over.every((each) => each.sound) ? "blemished" : "bad";
    if (kind === "bad") {
      open = null;
      continue;
    }
    if (open && open.blemished === (kind === "blemished")) {
      open.length = to - open.x;
      continue;
    }
    open = {
      board,
      x: from,
      y: band.from,
      length: to - from,
      width: band.to - band.from,
      blemished: kind === "blemished",
    };
    runs.push(open);
  }
  return runs
    .filter((run) => run.length >= SHORTEST_RUN)
    .map((run) =>
      band.to < narrowest(board) - board.rounded ? run : { ...run, width: edgeOver(board, run, band.to) - band.from },
    );
}

/** How wide a tapered board is all along a run: to its real edge there, or to what is unsound beyond the band that was looked at. */
function edgeOver(board: RackBoard, { x, length, blemished }: Run, looked: number): number {
  const beyond = board.defects.filter((d) => d.y >= looked - 1e-9 && d.x < x + length && d.x + d.length > x);
  return Math.min(
    widthAt(board, x) - board.rounded,
    widthAt(board, x + length) - board.rounded,
    ...beyond.filter((d) => !(blemished && HIDEABLE.includes(d.kind))).map((d) => d.y),
  );
}

/** What is left of the board's width once edge defects that are better ripped off are gone. */
function clearBand(board: RackBoard): { from: number; to: number } {
  const width = narrowest(board);
  // what is sawn from it has square edges
  let [from, to] = [board.rounded, width - board.rounded];
  for (const d of board.defects) {
    if (HIDEABLE.includes(d.kind) && d.length < board.length / 2) continue;
    const low = d.y <= 5;
    const high = d.y + d.width >= width - 5;
    if (low === high || d.length < RIPPED_OFF * d.width || d.width > width / 3) continue;
    // ripping costs its width over the whole board, crosscutting its length over the whole width
    if (d.width * board.length > d.length * width) continue;
    if (low) from = Math.max(from, d.y + d.width);
    else to = Math.min(to, d.y);
  }
  return to - from > 0 ? { from, to } : { from: board.rounded, to: Math.max(board.rounded, width - board.rounded) };
}

const besideBand = (d: Defect, band: { from: number; to: number }) =>
  d.y + d.width <= band.from + 1e-9 || d.y >= band.to - 1e-9;
