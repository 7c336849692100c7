import type { Piece } from "../piece/schema";
import type { Shop } from "../piece/shop";
import type { LaidStrip } from "../stock/panel-facts";
import type { Species } from "../wood/species";
import type { PieceGeometry } from "../construction/geometry";
import { AlignmentPlace, alignmentPlaces } from "./alignment";
import { Adhesive, GLUE_GRAMS, PRESSURE } from "./adhesives";

export interface ClampPlace {
  x: number;
  above: boolean;
}

/** One gluing: which strips or sub-panels, in what order, and everything it takes. mm, kg, g, minutes, kN. */
export interface GlueStage {
  id: string;
  name: string;
  strips: string[];
  /** the same in their places: from the first one's edge, each so wide across the lines */
  pieces: GluePiece[];
  lines: number[];
  width: number;
  length: number;
  clamps: {
    places: ClampPlace[];
    reach: number;
    spacing: number;
    forceNeeded: number;
    forceEach: number;
    owned: number;
    /** two light ones a pair of cauls, and how many the shop has in all, of any reach */
    cauls: number;
    all: number;
  };
  /** x of each pair of cauls, and how much higher its middle is than its ends, mm */
  cauls: number[];
  crown: number;
  alignment: AlignmentPlace[];
  grams: number;
  weight: number;
  moves: { what: string; minutes: number }[];
  minutes: number;
}

/** A strip, a sub-panel's strip or a leaf: `full` across the glue lines, mm. */
export interface GluePiece {
  id: string;
  from: number;
  full: number;
}

/** What all gluings of a piece share. */
export interface GlueFacts {
  piece: Piece;
  species: Species;
  shop: Shop;
  adhesive: Adhesive;
}

/** How long each move takes one pair of hands, minutes. @source common practice */
export const MOVE = { spreadPerMetre: 0.4, layStrip: 0.3, clamp: 0.35, caul: 0.4, align: 0.15 };
/** What holds the strips level while they are clamped, as it is counted. */
export const AIDS = { none: "aids", "loose-tenons": "loose tenons", dowels: "dowels", biscuits: "biscuits" };
/** A caul on edge, mm: width on the panel and depth. @source common practice */
export const CAUL_WIDTH = 50;
export const CAUL_DEPTH = 75;
/** Stiffness of a caul, MPa: a sound hardwood batten. @source Wood Handbook Table 5-3, from memory, rounded down */
const CAUL_STIFFNESS = 11000;
const CAUL_SPACING = 700;
/** Clamps stand this far from each end of the panel, mm. @source common practice */
const CLAMP_FROM_END = 80;
const CLAMP_SPACING = { least: 200, most: 300 };

/**
 * The gluings that make the panel, in order.
 *
 * Halves are glued when chosen or when the panel won't pass the planer in one; each half fits the planer, then one last seam.
 */
export function glueStages(
  laid: readonly LaidStrip[],
  at: Pick<PieceGeometry, "core" | "top" | "through" | "row">,
  facts: GlueFacts,
): GlueStage[] {
  if (laid.length === 0) return [];
  const { piece, shop } = facts;
  const { thickness, length } = at.core;
  const aids = alignmentPlaces(laid, at, piece);
  const stage = (id: string, name: string, groups: LaidStrip[][]) =>
    glueStage({ id, name, thickness, length, aids, groups: groups.map((group) => group.map(pieceOf)) }, facts);
  if (piece.choices.stages === "all-at-once" || laid.length < 3)
    return [
      stage(
        "panel",
        "The whole panel",
        laid.map((each) => [each]),
      ),
    ];
  const groups = planerGroups(laid, shop.planerWidth);
  if (groups.length < 2)
    return [
      stage(
        "panel",
        "The whole panel",
        laid.map((each) => [each]),
      ),
    ];
  const parts = groups
    .filter((group) => group.length > 1)
    .map((group, i) =>
      stage(
        `part-${i + 1}`,
        groups.length === 2 ? `${i === 0 ? "Front" : "Back"} half` : `Part ${i + 1}`,
        group.map((each) => [each]),
      ),
    );
  return [...parts, stage("last", groups.length === 2 ? "The last seam" : "The last seams", groups)];
}

/** Neighbouring strips in the fewest groups that pass the planer, as even as they come. */
export function planerGroups(laid: readonly LaidStrip[], planer: number): LaidStrip[][] {
  const total = laid.reduce((sum, each) => sum + each.full, 0);
  const wanted = Math.max(2, Math.ceil(total / planer));
  for (let count = wanted; count <= laid.length; count += 1) {
    const groups: LaidStrip[][] = [[]];
    let at = 0;
    laid.forEach((each, i) => {
      const width = groups.at(-1)!.reduce((sum, one) => sum + one.full, 0);
      const target = (total * groups.length) / count;
      const full = width + each.full > planer || at + each.full / 2 > target;
      if (groups.at(-1)!.length > 0 && full && groups.length < count && laid.length - i >= count - groups.length)
        groups.push([]);
      groups.at(-1)!.push(each);
      at += each.full;
    });
    if (
      groups.length === count &&
      groups.every((group) => group.length === 1 || group.reduce((sum, each) => sum + each.full, 0) <= planer)
    )
      return groups;
  }
  return laid.map((each) => [each]);
}

const pieceOf = ({ board, from, full }: LaidStrip): GluePiece => ({ id: board.id, from, full });

/** One gluing before it is worked out. */
export interface Gluing {
  id: string;
  name: string;
  groups: readonly GluePiece[][];
  /** of the lines across the face that is glued, and their length, mm */
  thickness: number;
  length: number;
  aids: readonly AlignmentPlace[];
}

export function glueStage({ id, name, groups, thickness, length, aids }: Gluing, facts: GlueFacts): GlueStage {
  const { piece, species, shop, adhesive } = facts;
  const strips = groups.flat();
  const start = strips[0].from;
  const widths = groups.map((group) => group.reduce((sum, each) => sum + each.full, 0));
  const width = widths.reduce((a, b) => a + b, 0);
  let at = start;
  const lines = widths.slice(0, -1).map((each) => (at += each));
  const roughLength = length + shop.lengthAllowance;
  const spacing = Math.max(CLAMP_SPACING.least, Math.min(CLAMP_SPACING.most, 2 * Math.min(widths[0], widths.at(-1)!)));
  const run = roughLength - 2 * CLAMP_FROM_END;
  const count = Math.max(2, Math.ceil(run / spacing) + 1);
  const places = Array.from({ length: count }, (_, i) => ({
    x: -run / 2 + (i * run) / (count - 1),
    above: i % 2 === 1,
  }));
  const reaching = shop.clamps.filter((clamp) => clamp.reach >= width + 20).sort((a, b) => a.reach - b.reach);
  const owned = reaching.reduce((sum, clamp) => sum + clamp.count, 0);
  const pressure = adhesive.id.startsWith("epoxy") ? PRESSURE.epoxy : PRESSURE[species.kind];
  const caulCount = Math.max(2, Math.ceil(run / CAUL_SPACING));
  // each midway between two clamps, so that neither is in the other's way
  const step = run / (count - 1);
  const cauls = Array.from(
    { length: caulCount },
    (_, i) => -run / 2 + (Math.floor(((i + 0.5) * (count - 1)) / caulCount) + 0.5) * step,
  );
  const hands = piece.glueUp.hands;
  const forceEach = owned ? reaching.reduce((sum, clamp) => sum + clamp.count * clamp.force, 0) / owned : 0;
  // the aids of each seam that is closed now, at its place before the panel is trimmed
  const alignment = groups
    .slice(0, -1)
    .flatMap((group, i) =>
      aids
        .filter((aid) => aid.between[0] === group.at(-1)!.id && aid.between[1] === groups[i + 1][0].id)
        .map((aid) => ({ ...aid, y: lines[i] })),
    );
  const moves = [
    {
      what: `Spread glue on ${lines.length} line${lines.length > 1 ? "s" : ""}`,
      minutes: (lines.length * (roughLength / 1000) * MOVE.spreadPerMetre) / hands,
    },
    { what: `Lay ${groups.length} pieces on the clamps`, minutes: (groups.length * MOVE.layStrip) / hands },
    ...(alignment.length === 0
      ? []
      : [
          {
            what: `Fit ${alignment.length} ${AIDS[piece.choices.alignment]}`,
            minutes: (alignment.length * MOVE.align) / hands,
          },
        ]),
    { what: `Tighten ${count} clamps from the middle out`, minutes: (count * MOVE.clamp) / hands },
    { what: `Press ${caulCount} pairs of cauls flat`, minutes: (caulCount * MOVE.caul) / hands },
  ];
  return {
    id,
    name,
    strips: strips.map((each) => each.id),
    pieces: strips,
    lines,
    width,
    length: roughLength,
    clamps: {
      places,
      reach: Math.ceil((width + 20) / 10) * 10,
      spacing: run / (count - 1),
      forceNeeded: (pressure * thickness * roughLength) / 1000,
      forceEach,
      owned,
      cauls: 2 * caulCount,
      all: shop.clamps.reduce((sum, clamp) => sum + clamp.count, 0),
    },
    cauls,
    crown: caulCrown(width),
    alignment,
    grams: (lines.length * roughLength * thickness * GLUE_GRAMS) / 1e6,
    weight: (width * roughLength * thickness * species.density) / 1e9,
    moves,
    minutes: moves.reduce((sum, move) => sum + move.minutes, 0),
  };
}

/** Force with which a caul is pressed flat at each end, kN: a light clamp. @source common practice */
const CAUL_FORCE = 2;

/**
 * How much higher a caul's middle must be than its ends so that it lies flat and presses evenly once both ends are pulled down, mm.
 *
 * @param width  of the glue-up, mm
 * @source beam on an even load held at its ends, 5 w L⁴ / 384 E I with w L = twice the end force (Roark)
 */
export function caulCrown(width: number): number {
  const inertia = (CAUL_WIDTH * CAUL_DEPTH ** 3) / 12;
  return (5 * 2 * CAUL_FORCE * 1000 * width ** 3) / (384 * CAUL_STIFFNESS * inertia);
}
