/** Rules of drawers that hang by grooves in their sides. */
import { fine, grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { DRAWER, HANG } from "./drawer";
import { at, CaseFacts } from "./facts";

/** Wood of a side behind its groove, what bears on a strip, what stands above it; mm. @source common practice */
const SIDE = { good: 6, least: 4, bears: 4.5, over: 15 };

/** A strip holds by what of it lies in the side, and the side by what is left behind it. */
export function hangs({ at: place }: CaseFacts): Verdict | null {
  const hung = place.drawers.filter(({ hanger }) => hanger);
  if (!place.sideHung || hung.length === 0) return null;
  const behind = hung.find(({ bay, row }) => place.bays[bay].openings[row].holds === "drawers-through");
  if (behind)
    return verdict({
      id: "form.drawers-hang",
      stage: "form",
      subject: ["drawer-side", "hanger"],
      level: "fix",
      text: "A drawer that hangs by its sides opens in front only",
      why: "Its strips run from the back to where it stops; one that meets another in the middle has none.",
      remedies: [set("Let drawers run on runners", at("drawers", "on"), "runners")],
    });
  const { side } = hung[0];
  const depth = hung[0].hanger!.depth;
  const left = side - depth;
  const over = Math.min(...hung.map(({ high, hanger }) => high.to - hanger!.y - hanger!.height));
  const bears = depth - HANG.play;
  const level =
    over < SIDE.over / 2
      ? "fix"
      : over < SIDE.over || bears < SIDE.bears
        ? "tight"
        : grade(left, "at least", SIDE.good, SIDE.least);
  const thick = Math.ceil(HANG.depth / DRAWER.share);
  return verdict({
    id: "form.drawers-hang",
    stage: "form",
    subject: ["drawer-side", "hanger"],
    level,
    text:
      over < SIDE.over
        ? `Only ${mm(Math.max(0, Math.round(over)))} of a side stand above its strip`
        : level === "holds"
          ? `Drawers hang on ${fine(bears)} of strip in sides of ${mm(side)}`
          : `Sides of ${mm(side)} leave ${fine(bears)} on their strips, and ${fine(left)} behind them`,
    why: `A strip is ${mm(HANG.height)} high and lies ${fine(depth)} deep in the side, in the middle of its height or above the bottom’s groove. What is filled pulls the side off a shallow one.`,
    limit: SIDE.bears,
    actual: Math.round(bears * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : over < SIDE.over
          ? [set("Let drawers run on runners", at("drawers", "on"), "runners")]
          : [set(`Make drawer sides ${mm(thick)} thick`, at("drawers", "side"), thick)],
  });
}
