/** A table on splayed legs under rails that is worked by hand. */
import type { Patch } from "../piece/patch";
import { at, planOf, tableWith } from "./plans";

export const set = (path: string, value: unknown) => at(`form.splayedFrame.${path}`, value);
/** A side table 700 by 500, 550 high, 20 thick: heads 90 in from the ends and 80 from the sides, 8° each way, legs 40 that stay square. */
export const TABLE: Patch[] = [
  ...[at("form.kind", "splayed-frame"), at("form.use", "side"), at("form.height", 550), at("brief.topHeight", 550)],
  ...[at("form.top.length", 700), at("form.top.width", 500), at("form.top.thickness", 20)],
  ...[set("setIn.end", 90), set("setIn.side", 80), set("section", 40), set("foot", 40)],
  ...[set("rail.depth", 70), set("rail.thickness", 20), set("rail.reveal", 4)],
];
export const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));
