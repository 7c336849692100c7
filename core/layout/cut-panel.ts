import type { LaidStrip } from "../stock/panel-facts";

/** A panel whose strips are sawn: its name on a card, the kinds of part it becomes, how thick its strips are planed before they are glued. */
export interface CutPanel {
  name: string;
  kinds: readonly string[];
  laid: readonly LaidStrip[];
  thickness: number;
}
