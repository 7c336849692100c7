/** A shelf between bought legs: as long as they leave it at its height, on brackets that are fixed to them. mm */
import type { SmallPart } from "../../../assembly/small";
import { FRONT, RIGHT } from "../../../assembly/vector";
import type { Form } from "../../../piece/schema";
import type { Seat } from "../../geometry";
import type { Bought, Stand } from "./stand";

/** Between a shelf's end and the metal; a bracket's width and thickness, mm. @source common practice */
const SHELF = { clear: 2, wide: 25, thick: 3 };

/** What a leg leaves free at a height: the faces of its metal along the piece and across it, from and to. */
function metalAt(
  { choices: { kind, bar, spread, width, plate }, height }: Pick<Bought, "choices" | "height">,
  { x, z, out }: Stand,
  up: number,
): { x: [number, number]; z: [number, number] } {
  const half = bar / 2;
  if (kind === "frames") return { x: [x - half, x + half], z: [z - width / 2, z + width / 2] };
  const high = Math.max(1, height);
  const share = Math.min(1, up / high);
  const foot = { x: x + out.x * spread, z: z + out.z * spread };
  const rods = [-1, 1].map((side) => foot.x + (x + side * (plate.length / 2 - bar) - foot.x) * share);
  // a rod that leans is wider seen level
  const lean = Math.hypot(plate.length / 2 + spread, high) / high;
  return {
    x: [Math.min(...rods) - half * lean, Math.max(...rods) + half * lean],
    z: [foot.z + (z - foot.z) * share - half * lean, foot.z + (z - foot.z) * share + half * lean],
  };
}

/** Rows of legs across the piece, from the left: those of one x. */
function rows(stands: readonly Stand[]): Stand[][] {
  const xs = [...new Set(stands.map(({ x }) => Math.round(x * 1e6)))].sort((a, b) => a - b);
  return xs.map((x) => stands.filter((stand) => Math.round(stand.x * 1e6) === x));
}

/** Where a shelf could lie: between two frames, or between two pairs of legs. */
export function shelfSeats(
  at: Pick<Bought, "choices" | "stands" | "height">,
  { height, thickness }: Form["shelf"],
): Seat[] {
  const { kind, legs } = at.choices;
  if (kind !== "frames" && !(kind === "hairpins" && legs === "corners")) return [];
  const across = rows(at.stands).filter((row) => kind === "frames" || row.length === 2);
  return across.slice(1).map((right, i): Seat => {
    const ends = [across[i], right].map((row) =>
      row.flatMap((stand) => [height, height + thickness].map((up) => metalAt(at, stand, up))),
    );
    return {
      from: Math.max(...ends[0].map(({ x }) => x[1])) + SHELF.clear,
      to: Math.min(...ends[1].map(({ x }) => x[0])) - SHELF.clear,
      back: Math.max(...ends.map((metal) => Math.min(...metal.map(({ z }) => z[0])))),
      front: Math.min(...ends.map((metal) => Math.max(...metal.map(({ z }) => z[1])))),
      ...{ height, holders: [], letIn: 0, width: "between", on: "brackets" },
    };
  });
}

/** Two brackets at each end of a shelf, in from its edges by their own width. */
export function shelfBrackets({ seats, shelved, choices }: Bought): SmallPart[] {
  if (!shelved) return [];
  const { long } = choices.bracket;
  return seats.flatMap(({ from, to, back, front, height }, n) =>
    [from - SHELF.clear, to + SHELF.clear - long].flatMap((x, i) =>
      [back + SHELF.wide, front - 2 * SHELF.wide].map((z, k): SmallPart => ({
        ...{ id: `shelf-bracket-${n + 1}-${2 * i + k + 1}`, name: "Shelf bracket", plural: "Shelf brackets" },
        ...{ of: "steel", by: "shelf", on: "bought", opens: [0, -60, 0] },
        shape: { length: SHELF.wide, width: long, thickness: SHELF.thick },
        place: { at: [x, height - SHELF.thick, z], x: FRONT, y: RIGHT },
      })),
    ),
  );
}
