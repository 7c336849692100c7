import type { PieceGeometry } from "../construction/geometry";
import { inlayKind } from "../construction/top/inlays";
import { listed } from "../verdict/verdict";
import type { Form } from "../piece/schema";
import type { Step } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** Curves, notches and holes, once the top is flat and cut to its length and width. */
export function outlineStep(top: Form["top"], { through }: Pick<PieceGeometry, "through">): TopStep {
  const scribed = top.outline === "points" && top.around !== null ? top.around : 0;
  const curve = {
    rectangle: "",
    ellipse: "Set the oval out from its two axes; saw outside the line, fair to it.",
    points: scribed
      ? `Scribed from what it lies on: top and base upside down on one another, middle lines together, a disc of ${scribed} mm radius rolled round legs and rails with a pencil in its middle; faired with a batten. Saw outside the line, plane to it.`
      : `A template by its ${top.points.length} points, from two middle lines; arcs by chord and rise with a bent batten. Saw outside the line, follow the template with a bearing.`,
    soft: `Bend a batten ${top.bulge} mm in at each end, saw outside the line, fair to it.`,
    notched: through
      ? `Notch the corners ${Math.round(through.length)} by ${Math.round(through.width)} mm: marked from the posts as they stand, ${through.gap} mm free on the inside.`
      : `Notch the corners ${top.notch.length} by ${top.notch.width} mm.`,
  }[top.outline];
  const holes = top.cutouts.map(({ name }) => name);
  return {
    id: "outline",
    title: top.outline === "notched" ? "Notch the corners of the top" : "Cut the top’s outline",
    detail: [curve, holes.length > 0 ? `Cut out: ${holes.join(", ")}, corners drilled first.` : ""].join(" ").trim(),
    parts: ["top"],
    after: ["flatten", ...(through ? ["dry-fit"] : [])],
    hours: 1 + 0.5 * holes.length,
  };
}

/** What is let into the upper face, before its last sanding. */
export function inlayStep(inlays: Form["top"]["inlays"], before: string): TopStep {
  const count = inlays.reduce((sum, { places }) => sum + places.length, 0);
  const keys = inlays.some(({ shape }) => shape === "key");
  return {
    id: "inlays",
    title: count > 1 ? "Let the inlays into the top" : "Let the inlay into the top",
    detail: `${listed(inlays.map(({ name, places, deep }) => `${places.length} ${name.toLowerCase()}, ${deep} mm deep`))}. Inlays first, from one template; each pocket knifed round its own, routed a hair inside the line, pared to it.${keys ? " Keys across their checks, their grain across the top’s: the check is cleaned and filled first." : ""} Glued, a block and a clamp on each, planed flush when dry.`,
    parts: ["top", ...inlays.map((_, n) => inlayKind(n))],
    after: [before],
    hours: 0.5 + 0.6 * count,
    wait: 24,
    waitFor: "the glue to dry before it is planed",
    check: "No light round any of them, dry.",
  };
}
