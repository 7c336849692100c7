/** What a board between two supports does under what lies on it, at once and after years. */
import { fine, grade, mm, Remedy, Verdict, verdict } from "../verdict/verdict";

/** Load on a shelf, N for each mm of its length: about 25 kg a metre. @source common practice: books and shoes */
const LOAD = 0.25;
export const SHELF_LOAD = LOAD;
/** Sag that is seen, mm a m; wood creeps to about twice what it does at first. @source common practice; Wood Handbook, from memory */
const SAG = { seen: 1.7, creep: 2 };

export interface Board {
  /** between its supports, from front to back, and up; mm */
  span: number;
  wide: number;
  thickness: number;
}

/**
 * mm in the middle after years, what begins to be seen, and how thick it would have to be for that.
 *
 * @param stiffness  GPa
 * @source beam on two supports, 5 w L⁴ / 384 E I (Roark)
 */
export function sagOf({ span, wide, thickness }: Board, stiffness: number) {
  const inertia = (wide * thickness ** 3) / 12;
  const sag = (SAG.creep * 5 * LOAD * span ** 4) / (384 * stiffness * 1000 * inertia);
  const limit = (SAG.seen * span) / 1000;
  return { sag, limit, thick: Math.ceil(thickness * Math.cbrt(sag / limit)) };
}

/** What is judged of it: how a sentence calls it and what holds it, and what would mend it, told how thick it would have to be. */
interface Sagging {
  id: string;
  subject: string[];
  what: string;
  held: string;
  board: Board;
  stiffness: number;
  mend: (thick: number) => Remedy[];
}

export function sagVerdict({ id, subject, what, held, board, stiffness, mend }: Sagging): Verdict {
  const { sag, limit, thick } = sagOf(board, stiffness);
  const level = grade(sag, "at most", limit, 2.5 * limit);
  return verdict({
    ...{ id, stage: "form", subject, level },
    text: `The ${what} sags ${fine(sag)} after years${level === "holds" ? ": nobody sees it" : ""}`,
    why: `${mm(board.span)} ${held} with about 25 kg a metre, ${mm(board.thickness)} thick; ${fine(limit)} begins to show.`,
    limit: Math.round(limit * 10) / 10,
    actual: Math.round(sag * 10) / 10,
    sense: "at most",
    unit: "mm",
    source: "derived: a beam on two supports; creep about double",
    remedies: level === "holds" ? [] : mend(thick),
  });
}
