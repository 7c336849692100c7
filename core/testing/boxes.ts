/** Boxes that are worked by hand. */
import type { Box } from "../construction/base/box/place";
import type { Patch } from "../piece/patch";
import { at, planOf, tableWith } from "./plans";

export const set = (path: string, value: unknown) => at(`form.box.${path}`, value);

/** A lid 900 by 500 by 22, 450 high, 10 over at the ends and in front; walls 20, 240 high, a bottom of 12; legs 45 below a gap of 8. */
export const BOX_OF: Patch[] = [
  ...[at("form.kind", "box"), at("form.use", "low"), at("form.height", 450), at("brief.topHeight", 450)],
  ...[at("form.top.length", 900), at("form.top.width", 500), at("form.top.thickness", 22)],
  ...[at("form.overhang", { end: 10, side: 10 }), at("choices.fixedLine", "back-edge"), at("form.crossRails", 0)],
];
export const boxed = (...patches: Patch[]) => planOf(tableWith(...BOX_OF, ...patches));
export const boxOf = (plan: ReturnType<typeof planOf>) => plan.geometry as Box;
