import type { StripCut } from "./sawing";
import { isComposed, PieceGeometry } from "../construction/geometry";
import { stripChord } from "../construction/top/outline";
import type { Form, Piece, Strip } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { edgeLoss, narrowest, RackBoard } from "../stock/board";
import { stripYield } from "../stock/sawn-face";
import type { LaidStrip } from "../stock/panel-facts";
import { Candidate, jointLines } from "./candidates";

/** Boards of the rack and those that this piece has sawn already, as they were. */
export function knownBoards(rack: readonly RackBoard[], sawn: Piece["cutting"]["sawn"]): readonly RackBoard[] {
  if (sawn.length === 0) return rack;
  const gone = new Set(sawn.map((each) => each.board.id));
  return [...rack.filter((board) => !gone.has(board.id)), ...sawn.map((each) => ({ ...each.board, reservedBy: null }))];
}

export interface LayFacts {
  panel: Piece["panels"]["top"];
  top: Form["top"];
  /** of the rack, and those this piece has sawn */
  boards: readonly RackBoard[];
  at: PieceGeometry;
  shop: Shop;
  candidates: readonly Candidate[];
  sawn: Piece["cutting"]["sawn"];
}

/** Strips of the panel as they come out of their boards and lie across the top; those of a curved top only as long as their chord. */
export function layStrips({ panel, top, boards: known, at, shop, candidates, sawn }: LayFacts): {
  laid: LaidStrip[];
  missing: string[];
} {
  const missing: string[] = [];
  if (!isComposed(at.core)) return { laid: [], missing };
  const found = panel.strips.flatMap((strip) => {
    const board = known.find((each) => each.id === strip.board);
    if (!board) {
      missing.push(strip.board);
      return [];
    }
    const milled = stripYield(board, shop, {
      length: panel.crosscutFirst ? Math.min(board.length, at.core.length + shop.lengthAllowance) : board.length,
      width: narrowest(board),
      passes: panel.sawnFace,
    });
    const cut = sawn.find((each) => each.board.id === strip.board)?.strip;
    const candidate = candidates.find((each) => each.board.id === board.id && Math.abs(each.slide - strip.slide) < 0.5);
    const offered = cut
      ? cut.width - 2 * edgeLoss(board, shop)
      : (candidate?.width ?? Math.floor(milled.width * 2) / 2);
    return [
      {
        strip,
        board,
        milled,
        sawn: panel.sawnFace,
        across: cut?.y ?? candidate?.across ?? 0,
        full: Math.max(1, Math.min(strip.width ?? offered, offered)),
      },
    ];
  });
  return { laid: acrossTop(found, top, at), missing };
}

/** Strips side by side from the front edge, each as long as its chord. */
function acrossTop(
  strips: readonly Pick<LaidStrip, "strip" | "board" | "milled" | "sawn" | "full" | "across">[],
  top: Form["top"],
  at: Pick<PieceGeometry, "core" | "top">,
): LaidStrip[] {
  const lines = jointLines(
    strips.map((each) => each.full),
    at.core.width,
  );
  const held = (line: number) => Math.max(0, Math.min(at.core.width, line));
  return strips.map((each, i) => {
    const from = i === 0 ? 0 : held(lines[i - 1]);
    const to = i === strips.length - 1 ? at.core.width : held(lines[i]);
    const length = chordOfStrip(top, at, from, to);
    return { ...each, from, width: to - from, length, at: (at.core.length - length) / 2 };
  });
}

/** The same boards in another order or slid along, as they would lie: what a hand sees while it drags. */
export function laidAs(
  laid: readonly LaidStrip[],
  strips: readonly Strip[],
  top: Form["top"],
  at: Pick<PieceGeometry, "core" | "top">,
): LaidStrip[] {
  return acrossTop(
    strips.flatMap((strip) => {
      const one = laid.find((each) => each.board.id === strip.board);
      return one ? [{ ...one, strip }] : [];
    }),
    top,
    at,
  );
}

/** How long a strip must be from `from` to `to` across the panel. An outline is cut from the whole top only, not from a panel between ends. */
export function chordOfStrip(
  top: Form["top"],
  at: Pick<PieceGeometry, "core" | "top">,
  from: number,
  to: number,
): number {
  if (top.outline === "rectangle" || at.core.length !== at.top.length) return at.core.length;
  const shape = { ...top, length: at.core.length, width: at.core.width };
  return Math.max(
    1,
    Math.ceil(
      stripChord(shape, Math.max(0, from) - at.core.width / 2, Math.min(at.core.width, to) - at.core.width / 2),
    ),
  );
}

/** What the panel's strips take from their boards. */
export function stripCuts(laid: readonly LaidStrip[], shop: Shop): StripCut[] {
  return laid.map(({ strip, board, full, across, length }) => ({
    board: board.id,
    x: strip.slide,
    y: across,
    length: Math.min(board.length - strip.slide, length + shop.lengthAllowance),
    width: Math.min(narrowest(board) - across, full + 2 * edgeLoss(board, shop)),
  }));
}

/** Places a board can be slid to, mm: as fine as a hand drags. Ours. */
const SLIDE_STEP = 5;

/** Where a strip is cut from its board once the board has been pulled `along` the panel, mm from the board's left end; it never leaves the board. */
export function slideBy(
  { strip, board, length }: Pick<LaidStrip, "strip" | "board" | "length">,
  along: number,
  shop: Pick<Shop, "lengthAllowance">,
): number {
  const last = Math.max(0, board.length - length - shop.lengthAllowance);
  const to = strip.slide + (strip.turned ? along : -along);
  return Math.abs(along) < SLIDE_STEP
    ? strip.slide
    : Math.max(0, Math.min(last, Math.round(to / SLIDE_STEP) * SLIDE_STEP));
}
