/** What the chosen fastening asks for: what is cut in the bearers before the base is glued, and how the top goes on. */
import { bearersSaid } from "../construction/bearers";
import { PieceGeometry, Standing } from "../construction/geometry";
import { fixedScrews } from "../movement/fixed";
import { COUNTERBORED } from "../joinery/fastening/screws";
import { listed } from "../verdict/verdict";
import { wayOf } from "../joinery/fastening";
import type { BearerWords } from "../joinery/fastening/way";
import type { Part } from "../layout/cut-list";
import type { Piece } from "../piece/schema";
import { HALVES } from "./parting";
import { Step, stepOf } from "./step";

/** What bears the top, in the words of its base. */
function named(at: Standing): BearerWords {
  const along = bearersSaid(at, "along");
  const across = bearersSaid(at, "across") ?? (along ? null : "rail");
  const rails = /rail$/.test(along ?? across ?? "");
  // a board from side to side takes all its rows of screws
  const one = along && new Set(at.bearers.map(({ part }) => part)).size === 1 ? along : null;
  return {
    all: rails ? "rails" : (one ?? `${across ?? along}s`),
    along: along && `${along}s`,
    across: across && `${across}s`,
    thin: at.bearers.every(({ depth }) => depth <= COUNTERBORED),
  };
}

/** What is cut for it; null where nothing is. */
export const fasteningStep = (
  { form, joints }: Pick<Piece, "form" | "joints">,
  at: Standing,
): Pick<Step, "title" | "detail" | "hours"> | null =>
  form.field === "slats" ? null : wayOf(joints).prepare(joints, named(at));

/** How the wooden pieces that fasten it are made; null where there are none. */
export function smallStep(piece: Pick<Piece, "form" | "joints">, parts: readonly Part[]): Step | null {
  const small = parts.filter(({ role }) => role === "button");
  const made = piece.form.field === "slats" ? null : wayOf(piece.joints).make?.(piece.joints);
  if (!made || small.length === 0) return null;
  return stepOf({
    id: "small",
    ...made,
    parts: small.map(({ id }) => id),
    after: ["mill"],
    hours: 0.25 + 0.05 * small.reduce((sum, { count }) => sum + count, 0),
    check: "One tried in its groove: its screw home, it still stands off the top.",
    caution: "Small parts: never free-hand at the stop, hold them by the stick.",
  });
}

/** How the top goes on; slats are screwed down one by one. */
export function attachStep(
  piece: Pick<Piece, "form" | "joints" | "choices">,
  at: PieceGeometry,
): Pick<Step, "title" | "detail"> {
  const { form, joints } = piece;
  if (form.field !== "slats") {
    const { title, detail } = wayOf(joints).attach(joints, named(at));
    const laid = at.parting?.kind === "leaves" ? `${HALVES.attach} ` : "";
    const fixed = [...new Set(fixedScrews(piece, at).map(({ bearer }) => bearer))];
    const slabs = form.field === "slabs" && form.slabs.count > 1;
    if (fixed.length === 0) return { title, detail: `${laid}${detail}` };
    return {
      title,
      detail: `${laid}${slabs ? "First each slab’s middle line" : "First the fixed line"}: one screw tight up through ${fixed.length > 1 ? "parts" : "part"} ${listed(fixed)} where it crosses ${fixed.length > 1 ? "them" : "it"}${named(at).thin ? "" : `, from a counterbore that leaves ${COUNTERBORED} mm`}, or ${slabs ? "it" : "the top"} wanders. ${detail}`,
    };
  }
  return {
    title: "Screw the slats down",
    detail: `${form.slats.gap} mm apart, from spacers, beginning at the middle one.${form.ends === "none" ? "" : " What lies below its ends is screwed at their middles only."}`,
  };
}
