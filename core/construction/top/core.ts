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

/** A tongue ends so far short of its groove's floor, mm. @source common practice */
const SHORT = 1;

/** Along the grain: from shoulder to shoulder, and how far a tongue goes on at each end. */
function lengthOf(form: Form, top: PieceGeometry["top"]): Pick<PanelCore, "shoulder" | "length"> {
  const { breadboard, frame } = form;
  const shoulder = (width: number) => Math.max(1, top.length - 2 * width);
  switch (form.ends) {
    case "none":
      return { shoulder: top.length, length: top.length };
    case "breadboards": {
      const between = shoulder(breadboard.width);
      return { shoulder: between, length: between + (breadboard.joint === "tongue" ? 2 * breadboard.tongue : 0) };
    }
    case "frame": {
      const between = shoulder(frame.width);
      return { shoulder: between, length: between + 2 * Math.max(0, frame.groove - SHORT) };
    }
  }
}

/** Across it: a panel that floats in a frame's grooves, or slats with a gap beside each. */
function widthOf(form: Form, top: PieceGeometry["top"]): Pick<PanelCore, "width" | "count"> {
  const { slats, frame } = form;
  const framed = form.ends === "frame";
  if (form.field === "slats") {
    const gaps = framed ? slats.count + 1 : slats.count - 1;
    const room = framed ? top.width - 2 * frame.width : top.width;
    return { width: Math.max(1, (room - gaps * slats.gap) / slats.count), count: slats.count };
  }
  const width = framed ? Math.max(1, top.width - 2 * frame.width + 2 * (frame.groove - frame.gap)) : top.width;
  return { width, count: 1 };
}

/** The panel, or one slat, within the finished top. */
const coreOf = (form: Form, top: PieceGeometry["top"]): PanelCore => ({
  ...lengthOf(form, top),
  ...widthOf(form, top),
  thickness: top.thickness,
  ...(form.field === "stripes" ? { striped: true as const } : {}),
  ...(form.field === "slabs" ? { slabs: true as const } : {}),
});

/** Middle lines of the slats, from the front one to the back one: z from the middle of the top. */
export function slatLines(form: Pick<Form, "slats">, { core }: Pick<PieceGeometry, "core">): number[] {
  const pitch = core.width + form.slats.gap;
  return Array.from({ length: core.count }, (_, i) => ((core.count - 1) / 2 - i) * pitch);
}

/** Whether the outline from above is cut from the field: not from one that is held at its ends. */
export const isWhole = (form: Pick<Form, "field" | "ends">) =>
  form.field !== "slats" && form.field !== "slabs" && form.ends === "none";
