/** Every rule of the boards stage, in the order a maker would ask. */
import { chosen, defectsInside, gone, moistureSpread, partsHaveBoards, taken } from "./panel-boards";
import type { PanelRule } from "./panel-facts";
import { centreLine, overLegs, ringOrder } from "./panel-lines";
import { outlineClear, outlineDrawn } from "./panel-outline";
import { longEnough, stripWidths, thickEnough, wideEnough } from "./panel-size";
import { sawnFaceRule } from "./sawn-face";

/** Rules of any panel. */
export const ONE_PANEL_RULES: PanelRule[] = [
  chosen,
  gone,
  taken,
  wideEnough,
  longEnough,
  thickEnough,
  ({ laid, piece }) => sawnFaceRule(laid, piece.panels.top),
  centreLine,
  overLegs,
  defectsInside,
  stripWidths,
  moistureSpread,
  ringOrder,
];
/** Every rule of the boards stage: those of the top, and those of the piece. */
export const PANEL_RULES: PanelRule[] = [...ONE_PANEL_RULES, partsHaveBoards, outlineClear, outlineDrawn];
