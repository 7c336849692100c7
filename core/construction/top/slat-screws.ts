/** Where slats are screwed down: over each rail that runs across, and beside a leg where one stands under it. */
import type { Form } from "../../piece/schema";
import type { Bearer, PieceGeometry } from "../geometry";
import { slatLines } from "./core";

/** A screw stays so far from what stands on its end under a slat, mm. @source common practice */
export const CLEAR = 8;
/** and so far from the side of the rail it goes into, and from the slat's edge. @source common practice */
const EDGE = 8;

/** One place along a slat: its screw, or the middle between its two; `part` is what it goes into. */
export interface SlatScrew {
  slat: number;
  part: string;
  x: number;
  z: number;
  /** moved off the rail that runs across it, since a leg stands there */
  beside: boolean;
}

type Below = Pick<PieceGeometry, "core" | "bearers" | "posts">;

/** Places where slats are screwed, slat by slat from the front one. What lies below end boards or a frame holds those. */
export function slatScrews(form: Pick<Form, "slats" | "field">, at: Below): SlatScrew[] {
  const across = at.bearers.filter(({ run, at: x }) => run === "across" && Math.abs(x) < at.core.shoulder / 2);
  return slatLines(form, at).flatMap((line, slat) =>
    across.map((rail): SlatScrew => {
      const post = at.posts.find((each) => over(each, rail.at, line, form));
      const aside = post && besideOf(post, line, at);
      return aside
        ? { slat, part: aside.part, x: aside.x, z: aside.z, beside: true }
        : { slat, part: rail.part, x: rail.at, z: line, beside: false };
    }),
  );
}

/** How far each screw of a place lies off its line, mm. */
export const screwOffsets = ({ slats }: Pick<Form, "slats">): number[] =>
  slats.screws === "one" ? [0] : [-slats.screwSpread / 2, slats.screwSpread / 2];

/** Screws that land on something that stands on its end, one place beside another. */
export const screwsOver = (form: Pick<Form, "slats" | "field">, at: Below): number =>
  slatScrews(form, at).reduce(
    (sum, { x, z, beside }) =>
      sum + (beside ? 0 : screwOffsets(form).filter((off) => at.posts.some((post) => hits(post, x, z + off))).length),
    0,
  );

const hits = (post: PieceGeometry["posts"][number], x: number, z: number) =>
  Math.abs(x - post.x) < post.length / 2 + CLEAR && Math.abs(z - post.z) < post.width / 2 + CLEAR;
const over = (post: PieceGeometry["posts"][number], x: number, line: number, form: Pick<Form, "slats">) =>
  screwOffsets(form).some((off) => hits(post, x, line + off));

/** A place beside a leg, toward the middle of the piece, where one screw goes into a rail that runs along under this slat; null where none does. */
function besideOf(
  post: PieceGeometry["posts"][number],
  line: number,
  { core, bearers }: Below,
): { part: string; x: number; z: number } | null {
  const x = post.x - Math.sign(post.x) * (post.length / 2 + CLEAR + EDGE);
  const found = bearers.flatMap((rail: Bearer) => {
    const [free, room] = [rail.thickness / 2 - EDGE / 2, core.width / 2 - 1.5 * EDGE];
    if (rail.run !== "along" || free < 0 || room < 0) return [];
    // as near the slat's middle as the rail's own sides let it
    const z = Math.max(rail.at - free, Math.min(rail.at + free, line));
    return Math.abs(z - line) <= room ? [{ part: rail.part, x, z }] : [];
  });
  return found.sort((a, b) => Math.abs(a.z - line) - Math.abs(b.z - line))[0] ?? null;
}
