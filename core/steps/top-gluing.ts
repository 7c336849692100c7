import type { PieceGeometry } from "../construction/geometry";
import type { GlueStage } from "../glueup/stages";
import type { Stripe } from "../construction/top/stripes";
import { SEAM_OVER } from "../layout/strip-thickness";
import type { Shop } from "../piece/shop";
import type { Piece } from "../piece/schema";
import { fine } from "../verdict/verdict";
import { Step, stepOf as step, TIME } from "./step";

interface TopGlued {
  piece: Piece;
  at: Pick<PieceGeometry, "core">;
  /** how thick its strips are planed before they are glued, mm */
  strips: number;
  clampHours: number;
}

/** Every gluing of a top, and what is planed between two of them. @param name  "top", or "top of the second" */
export function topGluing(
  name: string,
  stages: readonly GlueStage[],
  { piece, at, strips, clampHours }: TopGlued,
): Step[] {
  const sawn = piece.panels.top.sawnFace !== null;
  const striped = at.core.striped === true;
  // panels are told one by one; the strips of every copy are glued in the same steps
  const once = striped ? {} : { once: true as const };
  const seam = (id: string) => id === "last" || id.endsWith("-last");
  return stages.flatMap((stage, i) => {
    const id = `glue-${stage.id}`;
    // a copy's stages are named after it already
    const what = name === "top" ? stage.name.toLowerCase() : stage.name.slice(stage.name.indexOf(":") + 2);
    const glue = step({
      id,
      title: `Glue the ${name}: ${what}`,
      detail: `${striped ? "Strips" : "Boards"} ${striped ? `${stage.strips[0]} to ${stage.strips.at(-1)}, in their order` : stage.strips.join(", ")}; ${stage.clamps.places.length} clamps and ${stage.clamps.cauls} for the cauls, ${Math.ceil(stage.grams)} g of glue, ${stage.minutes.toFixed(0)} min of work.`,
      parts: ["top"],
      after: seam(stage.id) ? stages.slice(0, i).map((each) => `plane-${each.id}`) : [striped ? "stripes" : "mill"],
      hours: 0.5 + stage.minutes / 60,
      wait: TIME.seam,
      waitFor: "seams to stop sinking",
      clamps: stage.clamps.places.length + stage.clamps.cauls,
      clampHours,
      check: "Flat under a straightedge while the clamps go on.",
      caution: stage.weight > 25 ? "Heavy: turn it with a helper." : "",
      ...once,
    });
    if (seam(stage.id) || stages.length < 2) return [glue];
    const planed = step({
      id: `plane-${stage.id}`,
      title: `Plane ${what}${name === "top" ? "" : ` of the ${name}`} and joint its edge`,
      detail: sawn
        ? "Glue scraped off, no face planed; then the edge for the last seam."
        : `Both faces through the planer to ${fine(Math.min(strips, at.core.thickness + SEAM_OVER))}, once; then the edge for the last seam.`,
      parts: ["top"],
      after: [id],
      hours: 0.75,
      ...once,
    });
    return [glue, planed];
  });
}

/** Strips to their widths before any is glued, each wood's at one setting. */
export function stripesStep(stripes: readonly Stripe[], shop: Pick<Shop, "panelOver" | "widthAllowance">): Step {
  const kinds = [...new Map(stripes.map((each) => [each.kind, each])).values()];
  return step({
    id: "stripes",
    title: "Rip the strips and plane them to their widths",
    detail: `${kinds.map(({ kind, width }) => `${stripes.filter((each) => each.kind === kind).length} of ${fine(width)}`).join(", ")}. Ripped ${fine(shop.widthAllowance)} over, a day to rest, then on edge through the planer in bundles, every strip of a width at one setting; ${fine(shop.panelOver)} over in thickness. Laid out in order and numbered over the ends, ${stripes[0].mark} in front.`,
    parts: kinds.map(({ kind }) => kind),
    after: ["mill"],
    hours: 0.5 + 0.15 * stripes.length,
    wait: TIME.release,
    waitFor: "the strips to rest",
    check: `All of them side by side in a clamp measure their sum: ${fine(stripes.reduce((sum, { width }) => sum + width, 0))}.`,
    caution:
      "Narrow strips: a push block over the blade, the offcut side free, nothing thinner than 10 mm between blade and fence.",
  });
}
