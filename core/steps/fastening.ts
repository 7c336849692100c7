/** What the chosen fastening asks for: what is cut in the bearers before the base is glued, and how the top goes on. */
import { bearersSaid, PieceGeometry, Standing } from "../construction/geometry";
import { fixedScrews } from "../movement/fixed";
import { COUNTERBORED } from "../joinery/fastening/screws";
import { listed } from "../verdict/verdict";
import { wayOf } from "../joinery/fastening";
import type { BearerWords } from "../joinery/fastening/way";
import type { Piece } from "../piece/schema";
import type { Step } from "./step";

/** What bears the top, in the words of its base. */
function named(at: Standing): BearerWords {
  const along = bearersSaid(at, "along");
  const across = bearersSaid(at, "across") ?? "rail";
  const rails = /rail$/.test(along ?? across);
  return { all: rails ? "rails" : `${across}s`, along: along && `${along}s`, across: `${across}s` };
}

/** What is cut for it; null where nothing is. */
export const fasteningStep = (
  { form, joints }: Pick<Piece, "form" | "joints">,
  at: Standing,
): Pick<Step, "title" | "detail" | "hours"> | null =>
  form.field === "slats" ? null : wayOf(joints).prepare(joints, named(at));

/** How the top goes on; slats are screwed down one by one. */
export function attachStep(
  piece: Pick<Piece, "form" | "joints" | "choices">,
  at: Standing & Pick<PieceGeometry, "top">,
): Pick<Step, "title" | "detail"> {
  const { form, joints } = piece;
  if (form.field !== "slats") {
    const { title, detail } = wayOf(joints).attach(joints, named(at));
    const fixed = fixedScrews(piece, at).map(({ bearer }) => bearer);
    if (fixed.length === 0) return { title, detail };
    return {
      title,
      detail: `First the fixed line: one screw tight up through ${listed(fixed)} where it crosses ${fixed.length > 1 ? "them" : "it"}, from a counterbore that leaves ${COUNTERBORED} mm, or the top wanders. ${detail}`,
    };
  }
  return {
    title: "Screw the slats down",
    detail: `${form.slats.gap} mm apart, from spacers, beginning at the middle one.${form.ends === "none" ? "" : " What lies below its ends is screwed at their middles only."}`,
  };
}
