import type { Shop } from "../piece/shop";
import { fine, mm } from "../verdict/verdict";
import { resawnLeaves } from "../layout/leg-stock";
import { Board, narrowest } from "./board";
import { Milled, millingYield } from "./milling";

/** Shorter than this nothing is fed through jointer or planer by itself, mm. @source common practice */
export const SHORTEST_FED = 300;
/** Wood taken off in one pass of jointer or planer, mm. @source common practice */
export const PASS = 1;
/** One pass over reclaimed or sawn wood that keeps its character, mm: 0.4 to 0.8. @source common practice */
export const SKIP_PASS = 0.6;
/** A bed joints true up to this many times its length. @source common practice */
export const BED_TIMES = 1.5;
/** A piece that rocks by more than this is flattened on a sled, shimmed; at a jointer nothing can be put under it. mm Ours */
export const ROCKS = 2;

/** A leaf thicker than this is resawn off once a face is flat, not planed away: the leaf is wood, the chips are not. mm Ours */
export const RESAWN_FROM = 12;
/** What a resawn face leaves to plane, mm. @source common practice */
export const RESAWN_OVER = 2;

/** How one piece of a board is flattened and planed, in order. */
export interface MillingPlan {
  milled: Milled;
  /** mm taken off each face, and in how many passes */
  faces: { first: number; second: number; firstPasses: number; secondPasses: number };
  /** mm under each of two opposite corners of a piece on a sled, so that both faces lose alike; 0 when it lies flat, or goes over the jointer */
  shim: number;
  /** how thick it is resawn once its first face is flat, before it is planed, mm; null where it is planed at once */
  resawn: number | null;
  /** thickness when only the back is flattened and the face is skip-planed, mm */
  skipPlaned: number;
  /** leaves of what is asked, were it resawn after flattening */
  leaves: number;
  machine: "jointer" | "sled" | "halves" | "hand";
  steps: string[];
}

/**
 * Plans the milling of a piece crosscut and ripped from a board.
 *
 * Twist is shimmed by half its lift under the two corners it rocks on, so that each face loses a quarter of it at its worst place and half in
 * all; the first face takes half of what must go, or what it needs to come flat if that is more.
 *
 * @param piece rough length and width of what is flattened, and the thickness wanted; mm
 * @source derived: the same circular warp as `millingYield`
 */
export function millingPlan(
  board: Board,
  piece: { length: number; width: number; thickness: number },
  shop: Shop,
): MillingPlan {
  const milled = millingYield(board, shop, piece.length, piece.width);
  const target = Math.min(piece.thickness, milled.thickness);
  const goes = Math.max(0, board.thickness - target);
  const { cup, bow, twist } = milled.lost;
  const flat = cup + bow + twist / 2 + shop.cleaning;
  // what is opened at the bandsaw needs one flat face only: the rest comes off in one leaf
  const leaf = goes - Math.min(goes, flat) - RESAWN_OVER - shop.kerf;
  const opened = leaf > RESAWN_FROM && (shop.bandsawHeight ?? 0) >= piece.width;
  const first = Math.min(goes, opened ? flat : Math.max(flat, goes / 2));
  const rest = goes - first;
  const resawn = opened ? target + RESAWN_OVER : null;
  const second = resawn === null ? rest : RESAWN_OVER;
  const lift = 2 * twist;
  const machine = machineFor(piece, lift, shop);
  const shim = machine === "sled" ? lift / 2 : 0;
  return {
    milled,
    faces: {
      first,
      second,
      firstPasses: Math.ceil(first / PASS - 1e-9),
      secondPasses: Math.ceil(second / PASS - 1e-9),
    },
    shim,
    resawn,
    skipPlaned: board.thickness - flat - SKIP_PASS,
    leaves: resawnLeaves(milled.thickness, piece.thickness, shop.kerf),
    machine,
    steps: stepsFor(board, piece, shop, { first, second, lift, machine, target, resawn, left: milled.thickness }),
  };
}

function machineFor(piece: { length: number; width: number }, lift: number, shop: Shop): MillingPlan["machine"] {
  const jointed = piece.width <= shop.jointerWidth && piece.length <= BED_TIMES * shop.jointerLength;
  if (jointed && (lift <= ROCKS || piece.width > shop.planerWidth)) return "jointer";
  if (piece.width <= shop.planerWidth) return "sled";
  return piece.width / 2 <= Math.max(shop.jointerWidth, shop.planerWidth) ? "halves" : "hand";
}

function stepsFor(
  board: Board,
  piece: { length: number; width: number; thickness: number },
  shop: Shop,
  at: {
    first: number;
    second: number;
    lift: number;
    machine: MillingPlan["machine"];
    target: number;
    resawn: number | null;
    left: number;
  },
): string[] {
  const steps: string[] = [];
  if (piece.length < board.length - 1)
    steps.push(
      `Crosscut to ${mm(piece.length)} first: bow shrinks to ${fine(board.bow * (piece.length / board.length) ** 2)}.`,
    );
  if (piece.width < narrowest(board) - 1)
    steps.push(
      `Rip to ${mm(piece.width)} before flattening: cup shrinks to ${fine(board.cup * Math.min(1, piece.width / narrowest(board)) ** 2)}.`,
    );
  if (at.lift >= 0.4)
    steps.push(
      at.machine === "sled"
        ? `It rocks on two opposite corners: on the sled, put ${fine(at.lift / 2)} of shim under the two that stand off it, so that both faces lose alike.`
        : `It rocks by ${fine(at.lift)}: keep it level on its two high corners over the cutter until the whole face touches.`,
    );
  const passes = (depth: number) => {
    const n = Math.ceil(depth / PASS - 1e-9);
    return `${n} ${n === 1 ? "pass" : "passes"}, ${fine(depth)} in all`;
  };
  const how: Record<MillingPlan["machine"], string> = {
    jointer: `Joint the first face, hollow side down: ${passes(at.first)}.`,
    sled:
      piece.width > shop.jointerWidth
        ? `Wider than the ${mm(shop.jointerWidth)} jointer: flatten the first face on a sled through the planer, ${passes(at.first)}.`
        : piece.length <= BED_TIMES * shop.jointerLength
          ? `It rocks by ${fine(at.lift)}: flatten the first face on a sled through the planer, ${passes(at.first)}.`
          : `Longer than the jointer joints true: flatten the first face on a slatted sled through the planer, ${passes(at.first)}.`,
    halves: `Wider than the ${mm(shop.planerWidth)} planer: rip it in halves that fit, mill them and glue them again.`,
    hand: "Too wide for any machine here: flatten it with a router sled or by hand plane, with winding sticks.",
  };
  steps.push(how[at.machine]);
  if (at.resawn !== null)
    steps.push(
      `Resaw it at the bandsaw to ${fine(at.resawn)}, the flat face to the fence: the leaf left over goes back on the rack.`,
    );
  if (at.machine === "jointer" || at.machine === "sled")
    steps.push(`Plane the second face to ${fine(at.target)}: ${passes(at.second)}.`);
  if (at.left < piece.thickness)
    steps.push(
      `It comes out at ${fine(Math.max(0, at.left))}, ${fine(piece.thickness - at.left)} too thin: take another board, or skip-plane it and leave the sawn face.`,
    );
  return steps;
}

/**
 * What is wrong with a board before anything is cut from it, each a sentence; none when it is sound.
 */
export function boardFaults(board: Board, shop: Shop): string[] {
  const faults: string[] = [];
  const milled = millingYield(board, shop, board.length, narrowest(board));
  if (milled.thickness <= 0)
    faults.push(
      `${board.id} is warped past its thickness: nothing is left when the whole board is flattened. Crosscut it short first, or check bow ${fine(board.bow)}, cup ${fine(board.cup)} and twist ${fine(board.twist)}.`,
    );
  if (narrowest(board) < 20)
    faults.push(
      `${board.id} tapers to ${mm(narrowest(board))}: its narrow end gives nothing. Give the width where it is still of use, and a shorter length.`,
    );
  const cover = coveredShare(board);
  if (cover > 0.95)
    faults.push(
      `Defects cover ${board.id}: no clear wood is left. Take it off the rack, or check where its defects lie.`,
    );
  for (const d of board.defects)
    if (d.x + d.length > board.length + 0.5 || d.y + d.width > Math.max(board.width, board.widthEnd ?? 0) + 0.5)
      faults.push(`The ${d.kind} at ${mm(d.x)} reaches beyond the board. Move it onto the board.`);
  return faults;
}

/** Share of a board's face that defects cover, counted on a grid of 100 by 20. */
function coveredShare(board: Board): number {
  if (board.defects.length === 0) return 0;
  let covered = 0;
  for (let i = 0; i < 100; i += 1)
    for (let j = 0; j < 20; j += 1) {
      const [x, y] = [((i + 0.5) / 100) * board.length, ((j + 0.5) / 20) * narrowest(board)];
      if (board.defects.some((d) => x >= d.x && x <= d.x + d.length && y >= d.y && y <= d.y + d.width)) covered += 1;
    }
  return covered / 2000;
}
