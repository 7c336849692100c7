/** A real board on the rack. x runs along it from its left end, y across it from its lower edge, as it lies bark side up. */
import * as v from "valibot";
import { mm } from "../verdict/verdict";
import { between, choice, date, distance, moisture, size, text } from "../piece/fields";

export const DEFECTS = ["knot", "check", "sap", "wane", "split"] as const;

export const boardSchema = v.strictObject({
  id: v.pipe(text("board", 40), v.regex(/^[\w.-]+$/, "A board's name is letters and digits, such as B14.")),
  species: text("species", 60),
  length: size("length", 50, 12000),
  width: size("width", 5, 1200),
  widthEnd: v.nullable(size("width at the other end", 5, 1200)),
  thickness: size("thickness", 3, 300),
  ringLeft: between("left ring angle", -90, 90, "°"),
  ringRight: between("right ring angle", -90, 90, "°"),
  bow: distance("bow", 200),
  crook: distance("crook", 200),
  cup: distance("cup", 60),
  twist: distance("twist", 100),
  moisture: moisture("moisture"),
  measuredOn: date("measured on"),
  tree: text("tree", 40),
  shelf: text("shelf", 40),
  price: distance("price", 100000),
  defects: v.pipe(
    v.array(
      v.strictObject({
        kind: choice("defect", DEFECTS),
        x: distance("defect place", 12000),
        y: distance("defect place", 12000),
        length: size("defect length", 1, 12000),
        width: size("defect width", 1, 1200),
      }),
    ),
    v.maxLength(40, "A board lists 40 defects at most."),
  ),
  /** the board this is an offcut of; empty when it came whole */
  cutFrom: v.optional(text("cut from", 40), ""),
  /** where it began on that board, mm from its left end */
  cutAt: v.optional(distance("place on the board it was cut from", 12000)),
  /** its grain turns: under the planer it tears, whichever end goes first */
  tears: v.optional(v.boolean("The board tears under the planer or it does not."), false),
  /** its corners were rounded when it was dressed: so much comes off each edge before it can be glued, mm */
  rounded: v.optional(distance("rounded corners", 20), 0),
});

export type Board = v.InferOutput<typeof boardSchema>;
export type Defect = Board["defects"][number];

/** A board as this piece sees it: who else has it. */
export interface RackBoard extends Board {
  reservedBy: { piece: string; name: string } | null;
  /** stretches that are kept for other pieces of its commission, while the rest is free for it; mm, `to` null: to its other end */
  held?: readonly { piece: string; name: string; from: number; to: number | null }[];
}

/** The board alone, without who has it. */
export function plainBoard({
  reservedBy: _by,
  held: _held,
  ...board
}: Board & Partial<Pick<RackBoard, "reservedBy" | "held">>): Board {
  return board;
}

/** Whether others have only stretches of a board, and the rest is free for pieces of their commission. */
export const isShared = ({ held = [] }: Pick<RackBoard, "held">): boolean => held.some(({ to }) => to !== null);

/** Who has a board, and where they have only a stretch of it; lengths written as “12 mm”. */
export const holdersSaid = ({ reservedBy, held = [] }: Pick<RackBoard, "reservedBy" | "held">): string | null =>
  isShared({ held })
    ? held.map(({ name, from, to }) => `${name}, ${mm(from)} to ${to === null ? "its end" : mm(to)}`).join("; ")
    : (reservedBy?.name ?? null);

/** Whether a stretch of a board is kept for another piece, in part or whole; its name. */
export const heldBy = ({ held = [] }: Pick<RackBoard, "held">, from: number, to: number): string | null =>
  held.find((each) => each.from < to - 1e-9 && (each.to ?? Infinity) > from + 1e-9)?.name ?? null;

/** What comes off each edge of a board that is glued, mm: what jointing takes, and whatever of its corners is round. */
export const edgeLoss = ({ rounded }: Pick<Board, "rounded">, { jointing }: { jointing: number }) =>
  Math.max(jointing, rounded);

/** The narrower end rules what a tapered board gives. */
export const narrowest = (board: Board) => Math.min(board.width, board.widthEnd ?? board.width);

/** A tapered board's width at x from its left end. */
export function widthAt(board: Pick<Board, "width" | "widthEnd" | "length">, x: number): number {
  return board.widthEnd === null
    ? board.width
    : board.width + ((board.widthEnd - board.width) * Math.min(x, board.length)) / board.length;
}
