import type { LaidStrip } from "../stock/rules";

/** A panel whose strips are sawn: its name on a card, its kind, how thick it ends. */
export interface CutPanel {
  name: string;
  kind: string;
  laid: readonly LaidStrip[];
  thickness: number;
}
