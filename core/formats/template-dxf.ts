/** Templates as a drawing file for cutters that are driven: mm, closed polylines with their arcs, one layer a template. */
import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from "@tarikjabiri/dxf";
import type { Loop } from "../assembly/outline";
import type { Template } from "../templates/templates";

/** Templates lie side by side, so far apart, mm. */
const APART = 40;

/**
 * How a file says an arc: the tangent of a quarter of its angle, to the left of the way positive; with us a rise to the right is.
 *
 * @source derived: rise = chord/2 × tan(angle/4)
 */
const bulgeOf = (loop: Loop, i: number): number => {
  const { at, rise } = loop[i];
  const next = loop[(i + 1) % loop.length].at;
  const chord = Math.hypot(next[0] - at[0], next[1] - at[1]);
  return chord < 1e-9 ? 0 : (2 * rise) / chord;
};

/** @example writeTemplates(templatesOf(plan.assembly.parts)) */
export function writeTemplates(templates: readonly Template[]): string {
  const file = new DxfWriter();
  file.setUnits(Units.Millimeters);
  let up = 0;
  for (const { id, name, outline, half, size } of templates) {
    const layer = id.toUpperCase();
    file.addLayer(layer, 7, "CONTINUOUS");
    for (const loop of [outline.outer, ...outline.holes])
      file.addLWPolyline(
        loop.map(({ at: [x, y] }, i) => ({ point: point2d(x, y + up), bulge: bulgeOf(loop, i) })),
        { flags: LWPolylineFlags.Closed, layerName: layer },
      );
    file.addText(point3d(0, up - APART / 3), 8, `${name}${half ? ", turned over about its right edge" : ""}`, {
      layerName: layer,
    });
    up += size.width + APART;
  }
  return file.stringify();
}
