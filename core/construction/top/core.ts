import { measuredOr } from "../../piece/measured";
import type { AsBuilt, Form } from "../../piece/schema";
import type { PanelCore, PieceGeometry } from "../geometry";

/** The finished top and what is glued up for it. @param asBuilt  sizes taken from the work, which count before planned ones */
export function topOf(form: Form, asBuilt: readonly AsBuilt[]): Pick<PieceGeometry, "top" | "core"> {
  const top = {
    length: measuredOr(asBuilt, "top", "length", form.top.length),
    width: measuredOr(asBuilt, "top", "width", form.top.width),
    thickness: measuredOr(asBuilt, "top", "thickness", form.top.thickness),
  };
  return { top, core: coreOf(form, top) };
}

/** The panel, or one slat, within the finished top. */
function coreOf(form: Form, top: PieceGeometry["top"]): PanelCore {
  const { thickness } = top;
  const whole = { length: top.length, width: top.width, thickness, shoulder: top.length, count: 1 };
  switch (form.construction) {
    case "solid":
    case "channel":
      return whole;
    case "breadboard": {
      const shoulder = Math.max(1, top.length - 2 * form.breadboard.width);
      return {
        ...whole,
        shoulder,
        length: shoulder + (form.breadboard.joint === "tongue" ? 2 * form.breadboard.tongue : 0),
      };
    }
    case "slatted":
      return {
        ...whole,
        width: Math.max(1, (top.width - (form.slats.count - 1) * form.slats.gap) / form.slats.count),
        count: form.slats.count,
      };
    case "framed": {
      const { width, groove, gap } = form.frame;
      const shoulder = Math.max(1, top.length - 2 * width);
      return {
        length: shoulder + 2 * Math.max(0, groove - 1),
        width: Math.max(1, top.width - 2 * width + 2 * (groove - gap)),
        thickness,
        shoulder,
        count: 1,
      };
    }
  }
}
