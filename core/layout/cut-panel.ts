import type { LaidStrip } from "../stock/panel-facts";

/** A panel whose strips are sawn: its name on a card, its kind, how thick its strips are planed before they are glued. */
export interface CutPanel {
  name: string;
  kind: string;
  laid: readonly LaidStrip[];
  thickness: number;
}
