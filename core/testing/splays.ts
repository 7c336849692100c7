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
/** Three legs in a round instead, 70 in from the rim of a round top 700 across, 10°; 50 square, they stay so. */
export const ROUND: Patch[] = [
  ...TABLE,
  ...[at("form.top.outline", "ellipse"), at("form.top.width", 700), set("stand", "round")],
  ...[set("ring", { legs: 3, turn: 90, splay: 10, setIn: 70 }), set("section", 50), set("foot", 50)],
];
export const table = (...patches: Patch[]) => planOf(tableWith(...TABLE, ...patches));
