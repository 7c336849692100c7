/** Cases that are worked by hand. */
import type { Case } from "../construction/base/case/case";
import type { CaseBay } from "../piece/case-choices";
import type { Patch } from "../piece/patch";
import { at, planOf, tableWith } from "./plans";

export const set = (path: string, value: unknown) => at(`form.case.${path}`, value);
export const rows = (...all: [number | null, CaseBay["rows"][number]["holds"]][]): CaseBay["rows"] =>
  all.map(([height, holds]) => ({ height, holds, shelves: 0 }));
export const bays = (...all: CaseBay["rows"][]) =>
  set(
    "bays",
    all.map((each) => ({ width: null, rows: each })),
  );

/** A bookcase of eight parts: 900 by 400, 700 high, sides 20, what lies between 18, a back of 6. */
export const EIGHT: Patch[] = [
  ...[at("form.kind", "case"), at("form.use", "case"), at("form.height", 700), at("brief.topHeight", 700)],
  ...[at("form.top.length", 900), at("form.top.width", 400), at("form.top.thickness", 20)],
  ...[at("form.overhang", { end: 10, side: 10 }), at("joints.fastening", "oversized")],
  ...[set("thickness", 20), set("inner", 18), set("rails", 60), set("lift", 60), set("kick", false)],
  ...[set("relief", 0), set("sheet", 6), bays(rows([null, "nothing"], [null, "nothing"]))],
];
export const eight = (...patches: Patch[]) => planOf(tableWith(...EIGHT, ...patches));
export const chest = (...patches: Patch[]) =>
  eight(bays(rows([140, "drawer"], [160, "drawer"], [null, "drawer"])), set("drawers.bottomThickness", 6), ...patches);
export const listed = (plan: ReturnType<typeof planOf>, id: string) => {
  const { length, width, thickness } = plan.parts.find((part) => part.id === id)!.finished;
  return [length, width, thickness].map((each) => Math.round(each * 1e6) / 1e6);
};
export const caseOf = (plan: ReturnType<typeof planOf>) => plan.geometry as Case;
