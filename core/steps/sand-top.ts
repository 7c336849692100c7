/** The last step of a top before its finish. */
import type { Piece } from "../piece/schema";
import { Step, stepOf, TIME } from "./step";

/** Leaves beside the top, by their kinds: sanded with it. */
const LEAVES: readonly string[] = ["leaf", "drop-leaf", "fold-leaf"];
export const leafKinds = (parts: readonly { id: string }[]): string[] =>
  parts.filter(({ id }) => LEAVES.includes(id)).map(({ id }) => id);

export function sandTop(
  { form, panels }: Pick<Piece, "form" | "panels">,
  { oily, parts, after }: { oily: boolean; parts: string[]; after: string[] },
): Step {
  const brushed = panels.top.sawnFace !== null;
  return stepOf({
    id: "sand-top",
    title:
      form.field === "slats"
        ? "Sand the slats all round"
        : form.field === "slabs"
          ? "Sand the slabs, both faces and their edges"
          : brushed
            ? "Brush the top’s sawn face, sand the face below"
            : "Sand the top, both faces",
    detail: `${brushed ? "Above, only splinters go: along the grain, by hand. Below: t" : "T"}o ${oily ? "180 or 220" : "150"} grit; raise the grain once. Sign and date it below, with the shop’s mark punched in before the first coat.`,
    parts,
    after,
    hours: TIME.sand,
    caution: "Dust of some species irritates: extraction and a mask.",
  });
}
