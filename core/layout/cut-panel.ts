import type { LaidStrip } from "../stock/rules";

/** A panel whose strips are sawn: its name on a card, its kind, how thick its strips are planed before they are glued. */
export interface CutPanel {
  name: string;
  kind: string;
  laid: readonly LaidStrip[];
  thickness: number;
}
