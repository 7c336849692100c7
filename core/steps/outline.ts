import type { PieceGeometry } from "../construction/geometry";
import type { Form } from "../piece/schema";
import type { Step } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

/** Curves, notches and holes, once the top is flat and cut to its length and width. */
export function outlineStep(top: Form["top"], { through }: Pick<PieceGeometry, "through">): TopStep {
  const curve = {
    rectangle: "",
    ellipse: "Set the oval out from its two axes; saw outside the line, fair to it.",
    points: `A template by its ${top.points.length} points, from two middle lines; arcs by chord and rise with a bent batten. Saw outside the line, follow the template with a bearing.`,
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
