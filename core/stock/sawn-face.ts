/**
 * A panel whose upper face stays as it was sawn. Only the face below is flattened; above, light passes take the highest places off, and
 * what lies lower keeps the marks of the saw.
 */
import type { PanelChoice } from "../piece/schema";
import type { Shop } from "../piece/shop";
import { grade, Remedy, set, Verdict, verdict } from "../verdict/verdict";
import { Board, narrowest } from "./board";
import { Milled, millingYield } from "./milling";
import { fine, mm } from "../verdict/verdict";
import { MillingPlan, millingPlan, PASS, SKIP_PASS } from "./milling-plan";

/** Places on a board at which its height is looked at, along and across. Ours: shares settle to a percent. */
const LOOKED_AT = { along: 41, across: 41 };
/** What a place stands for: those at an edge for half as much. */
const shareOf = (i: number, of: number) => (i === 0 || i === of - 1 ? 0.5 : 1) / (of - 1);
/** What stays lower than this is felt by whoever writes or sets a glass down on it, mm. Ours */
export const FELT = 1.5;
/** More light passes than this are no light passes: plane the face. */
export const MOST_PASSES = 6;

/** What milling leaves of a strip, its upper face planed or, after so many light passes, as it was sawn: then it is as thick as its highest place. */
export function stripYield(
  board: Board,
  shop: Pick<Shop, "cleaning" | "jointing">,
  { length, width, passes }: { length: number; width: number; passes: number | null },
): Milled {
  const planed = millingYield(board, shop, length, width);
  if (passes === null) return planed;
  const cleaning = shop.cleaning + passes * SKIP_PASS;
  return {
    ...planed,
    thickness: board.thickness - cleaning,
    lost: { ...planed.lost, cup: 0, bow: 0, twist: 0, cleaning },
  };
}

/** How such a strip is milled: flat below, and as thick as the thinnest of its panel from below too; then light passes over what stands highest. */
export function sawnFacePlan(
  board: Board,
  piece: { length: number; width: number; thickness: number },
  { passes, shop }: { passes: number; shop: Shop },
): MillingPlan {
  const planed = millingPlan(board, piece, shop);
  const second = passes * SKIP_PASS;
  const first = Math.max(0, board.thickness - second - piece.thickness);
  return {
    ...planed,
    milled: stripYield(board, shop, { ...piece, passes }),
    faces: { first, second, firstPasses: Math.ceil(first / PASS - 1e-9), secondPasses: passes },
    shim: 0,
    resawn: null,
    steps: [
      `Brush it, and look for metal: a magnet, then a detector over both faces.`,
      `Flatten the face below only: ${fine(first)} where the board stands highest, down to the thinnest of its panel.`,
      passes === 0
        ? "Leave the upper face as it is."
        : `Upper face up, the planer set to the highest place of all: ${passes} light ${passes === 1 ? "pass" : "passes"} of ${SKIP_PASS}, to ${mm(piece.thickness)} there. Stop when enough shows.`,
    ],
  };
}

/**
 * How far each place of a strip's upper face lies below its highest once the face below it is flat, mm; row by row along it.
 *
 * The strip is warped alike on both faces, so its highest place is also where least goes below. Bow lies hollow side down, as it is flattened;
 * a cup is hollow on the side of the bark.
 *
 * @source derived: the same circular warp as `millingYield`
 */
export function hollows(board: Board, length: number, width: number, up: "bark-up" | "bark-down"): Float64Array {
  const { cup, bow, twist } = millingYield(board, { cleaning: 0, jointing: 0 }, length, width).lost;
  const heights = new Float64Array(LOOKED_AT.along * LOOKED_AT.across);
  let highest = -Infinity;
  for (let i = 0; i < LOOKED_AT.along; i += 1)
    for (let j = 0; j < LOOKED_AT.across; j += 1) {
      const x = (2 * i) / (LOOKED_AT.along - 1) - 1;
      const y = (2 * j) / (LOOKED_AT.across - 1) - 1;
      // `twist` is half the board's: one corner's rise over the middle's plane, up at two corners and down at two
      const height = -bow * x * x + (up === "bark-up" ? cup : -cup) * y * y + (twist / 2) * x * y;
      heights[i * LOOKED_AT.across + j] = height;
      highest = Math.max(highest, height);
    }
  return heights.map((height) => highest - height);
}

/** The share of a face, 0 to 1, that keeps its marks after so many light passes from its highest place. */
export function keptShare(below: Float64Array, passes: number): number {
  const depth = passes * SKIP_PASS;
  if (passes === 0) return 1;
  const { along, across } = LOOKED_AT;
  return below.reduce(
    (kept, each, at) =>
      kept + (each > depth + 1e-9 ? shareOf(Math.floor(at / across), along) * shareOf(at % across, across) : 0),
    0,
  );
}

/** A strip as it lies, as far as its upper face goes. */
interface SawnStrip {
  strip: { face: "bark-up" | "bark-down" };
  board: Board;
  length: number;
  width: number;
}

/** What stays sawn of each strip after 0, 1, 2 … passes, and how deep it still lies after those that are chosen, mm. */
export function sawnFaces(
  laid: readonly SawnStrip[],
  { passes, crosscutFirst }: { passes: number; crosscutFirst: boolean },
): { board: string; shares: number[]; hollow: number }[] {
  return laid.map(({ strip, board, length, width }) => {
    const below = hollows(board, crosscutFirst ? length : board.length, Math.min(width, narrowest(board)), strip.face);
    return {
      board: board.id,
      shares: Array.from({ length: MOST_PASSES + 1 }, (_, n) => keptShare(below, n)),
      hollow: Math.max(0, Math.max(...below) - passes * SKIP_PASS),
    };
  });
}

/** The least and the most that stays of any strip's face, percent. */
function keptAfter(laid: readonly SawnStrip[], choice: { passes: number; crosscutFirst: boolean }): [number, number] {
  const kept = sawnFaces(laid, choice).map(({ shares }) => Math.round(100 * shares[choice.passes]));
  return [Math.min(...kept), Math.max(...kept)];
}
const said = ([least, most]: [number, number]) => (least === most ? `${least} %` : `${least} to ${most} %`);

/** What is left of a sawn upper face, and whether a hand feels it. */
export function sawnFaceRule(
  laid: readonly SawnStrip[],
  { sawnFace, crosscutFirst }: Pick<PanelChoice, "sawnFace" | "crosscutFirst">,
): Verdict | null {
  if (sawnFace === null || laid.length === 0) return null;
  const choice = { passes: sawnFace, crosscutFirst };
  const deepest = sawnFaces(laid, choice).reduce((a, b) => (b.hollow > a.hollow ? b : a));
  const level = grade(deepest.hollow, "at most", FELT, 2 * FELT);
  return verdict({
    id: "boards.sawn-face",
    stage: "boards",
    level,
    subject: ["top", `strip:${deepest.board}`],
    text: `${said(keptAfter(laid, choice))} of each upper face stays sawn; ${deepest.board} lies ${deepest.hollow.toFixed(1)} low at its lowest`,
    why: `${sawnFace === 0 ? "No pass" : `${sawnFace} light ${sawnFace === 1 ? "pass" : "passes"} of ${SKIP_PASS}`} from the highest place, the face below flat; a board that is cupped, bowed or twisted keeps its low places. Over ${FELT} a hand feels it, and a glass rocks.`,
    limit: FELT,
    actual: Math.round(deepest.hollow * 10) / 10,
    sense: "at most",
    unit: "mm",
    source: "derived: circular warp; 0.4 to 0.8 a pass by common practice",
    remedies: level === "holds" ? [] : mends(laid, { sawnFace, crosscutFirst }),
  });
}

/** One more pass where that is enough, or the face planed. */
function mends(laid: readonly SawnStrip[], choice: { sawnFace: number; crosscutFirst: boolean }): Remedy[] {
  const enough = Array.from({ length: MOST_PASSES - choice.sawnFace }, (_, i) => choice.sawnFace + 1 + i).find(
    (passes) => sawnFaces(laid, { ...choice, passes }).every(({ hollow }) => hollow <= FELT),
  );
  return [
    ...(enough === undefined
      ? []
      : [
          set(
            `Take ${enough} light passes: ${said(keptAfter(laid, { ...choice, passes: enough }))} stays sawn`,
            ["panels", "top", "sawnFace"],
            enough,
          ),
        ]),
    set("Plane the upper face", ["panels", "top", "sawnFace"], null),
  ];
}
