import { LEAVES, Make } from "../assembly/sort";
import type { Shop } from "../piece/shop";
import { Board, narrowest } from "../stock/board";
import { millingYield } from "../stock/milling";
import { END_TRIM } from "./runs";
import { sawnAtBevel } from "./saws";

/** A piece sawn for a leg: `suffix` follows its mark. mm; width rough, thickness after milling. */
export interface LegPiece {
  suffix: string;
  width: number;
  thickness: number;
  matched: boolean;
}

/** What a part measures across its grain, mm. */
export interface Section {
  width: number;
  thickness: number;
}

/** Extra thickness of a laminated leaf, to true the glued leg, mm. @source common practice */
export const LEAF_EXTRA = 2;
/** A resawn face when it is glued on, and what cleaning both its sides takes, mm. @source common practice */
export const FACE = { thickness: 6, cleaning: 1.5 };
/** The core is planed true after each pair of faces, mm. @source common practice */
export const CORE_EXTRA = 1;
/** A blank sawn at 45° loses this much round the leg to the cut and to truing, mm. @source common practice */
const DIAGONAL_EXTRA = 3;

/** What is sawn for one leg, post or foot of this section. A core with faces and boards sawn at 45° make square ones. @param kerf  of the bandsaw that opens the faces, mm */
export function legPieces(make: Make, { width: section, thickness }: Section, kerf: number): LegPiece[] {
  const piece = (suffix: string, width: number, thickness: number, matched = false): LegPiece => ({
    suffix,
    width,
    thickness,
    matched,
  });
  switch (make) {
    case "solid":
      return [piece("", section, thickness)];
    case "laminated":
    case "three-leaves":
    case "four-leaves": {
      const n = LEAVES[make];
      return ["a", "b", "c", "d"]
        .slice(0, n)
        .map((suffix) => piece(suffix, section + LEAF_EXTRA, (thickness + LEAF_EXTRA) / n));
    }
    // two blanks of one board, each opened into two faces that are neighbours in the tree
    case "core-faces": {
      const core = section - 2 * FACE.thickness + CORE_EXTRA;
      return [
        piece("c", core, core),
        ...["f", "g"].map((suffix) =>
          piece(suffix, section + LEAF_EXTRA, 2 * (FACE.thickness + FACE.cleaning) + kerf, true),
        ),
      ];
    }
    case "diagonal":
      return ["a", "b"].map((suffix) =>
        piece(suffix, (section + DIAGONAL_EXTRA) * Math.SQRT2, ((section + DIAGONAL_EXTRA) * Math.SQRT2) / 2, true),
      );
  }
}

/**
 * The largest leg, mm square, that boards of this milled thickness and width give.
 *
 * @returns 0 when nothing is left
 * @source derived: a square stands on its corner in the glued blank, so its diagonal is the blank's lesser side
 */
export function legYield(make: Make, thickness: number, width: number): number {
  switch (make) {
    case "solid":
      return Math.max(0, Math.min(thickness, width));
    case "laminated":
    case "three-leaves":
    case "four-leaves":
      return Math.max(0, Math.min(LEAVES[make] * thickness - LEAF_EXTRA, width - LEAF_EXTRA));
    case "core-faces":
      return Math.max(0, Math.min(thickness, width) - CORE_EXTRA + 2 * FACE.thickness);
    case "diagonal":
      return Math.max(0, Math.min(2 * thickness, width) / Math.SQRT2 - DIAGONAL_EXTRA);
  }
}

/**
 * The thickest leg these boards give when it is made this way, and the board it comes from; null when none is long enough.
 *
 * @param length  rough length of a leg's pieces, mm; flattened at that length
 */
export function thickestLeg(
  make: Make,
  boards: readonly Board[],
  length: number,
  shop: Shop,
): { section: number; board: string } | null {
  const found = boards
    .filter((board) => board.length >= length + 2 * END_TRIM)
    .map((board) => {
      const milled = millingYield(board, shop, length, narrowest(board));
      return { section: Math.floor(legYield(make, milled.thickness, milled.width) * 2) / 2, board: board.id };
    });
  return found.reduce<{ section: number; board: string } | null>(
    (best, each) => (best === null || each.section > best.section ? each : best),
    null,
  );
}

/**
 * How many legs these boards give at most when they are made this way: each kind of piece from boards that are thick enough, the thinnest
 * of those first, the thickest piece first.
 *
 * @param length  rough length of a leg's pieces, mm
 * @returns what a count of whole pieces says; defects and other parts may leave fewer
 */
export function legsFrom(
  make: Make,
  { section, length }: { section: Section; length: number },
  boards: readonly Board[],
  shop: Shop,
): number {
  const pieces = legPieces(make, section, shop.kerf).sort((a, b) => b.thickness - a.thickness);
  const kinds = pieces.filter((each, i) => pieces.findIndex((one) => one.thickness === each.thickness) === i);
  const holds = (board: Board, width: number) => {
    const along = Math.floor((board.length - 2 * END_TRIM + shop.kerf) / (length + shop.kerf));
    return (
      Math.max(0, along) *
      Math.floor((narrowest(board) - 2 * board.rounded + shop.kerf) / (width + 2 * shop.jointing + shop.kerf))
    );
  };
  // a board is asked for one kind of piece only, so that none is counted twice
  const shares = kinds.map(({ thickness, width }) => {
    const perLeg = pieces.filter((each) => each.thickness === thickness).length;
    const from = boards.filter((board) => millingYield(board, shop, length, width).thickness >= thickness);
    return { perLeg, from, width };
  });
  let left = [...boards].sort((a, b) => a.thickness - b.thickness);
  return Math.min(
    ...shares.map(({ perLeg, from, width }, i) => {
      const mine = left.filter((board) => from.includes(board));
      // the last kind takes what there is; another leaves what is too thin for it
      if (i < shares.length - 1) left = left.filter((board) => !from.includes(board) || holds(board, width) === 0);
      return Math.floor(mine.reduce((sum, board) => sum + holds(board, width), 0) / perLeg);
    }),
  );
}

/** Leaves that a board gives when it is resawn: each `leaf` mm thick with its cleaning. @source derived: n leaves hold n − 1 kerfs */
export function resawnLeaves(thickness: number, leaf: number, kerf: number): number {
  return Math.max(0, Math.floor((thickness + kerf) / (leaf + kerf) + 1e-9));
}

/** How a leg, a post or a foot is made, step by step, as its card says it. @param name  of one: "leg" */
export function legSteps(make: Make, section: Section, shop: Shop, name = "leg"): string[] {
  const s = Math.round(section.width);
  const t = Math.round(section.thickness);
  const size = s === t ? `${s} mm square` : `${s} mm by ${t} mm`;
  switch (make) {
    case "solid":
      return ["Joint two faces square, plane the other two."];
    case "three-leaves":
    case "four-leaves":
      return [
        `Joint both faces of the ${LEAVES[make] > 3 ? "two inner leaves" : "inner leaf"}, one of each outer; end grain read so that rings mirror.`,
        `Glue all at once between cauls, best faces out: ${LEAVES[make] - 1} lines, slow glue.`,
        `True the glued ${name} to ${size}.`,
      ];
    case "laminated":
      return ["Joint one face of each leaf, glue best faces out.", `True the glued ${name} to ${size}.`];
    case "core-faces":
      return [
        `Plane the cores to ${s - 2 * FACE.thickness + CORE_EXTRA} mm square.`,
        `Resaw each blank into two leaves of ${FACE.thickness + FACE.cleaning} mm; letter them as they open.`,
        "Glue two faces of one blank on opposite sides of the core; trim flush and plane both glued sides true.",
        `Glue the other two over them, trim, and plane to ${s} mm square: no glue line shows on a face.`,
        ...(section.width + LEAF_EXTRA > (shop.bandsawHeight ?? 0)
          ? [
              shop.bandsawHeight === null
                ? "Without a bandsaw: saw the blanks from both edges at the table saw, the rib by hand."
                : `The bandsaw opens only ${shop.bandsawHeight} mm: saw the blanks from both edges, or by hand.`,
            ]
          : []),
      ];
    case "diagonal":
      return [
        "Glue the two boards face to face, show faces out, rings mirrored.",
        `${sawnAtBevel(section.width + DIAGONAL_EXTRA, shop)}; saw one corner off along the whole length, then the three others: the glue line runs from corner to corner.`,
        `True it to ${size}: all four faces show rift grain.`,
      ];
  }
}
