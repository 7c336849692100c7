/** Where a facing lies: on enough wood, with enough beside it, clear of what is cut there. */
import type { Form } from "../../piece/schema";
import { fine, grade, Level, listed, mm, Remedy, set, Verdict, verdict } from "../../verdict/verdict";
import { mending } from "../mending";
import type { PieceGeometry } from "../geometry";
import { Facing, facingKind, facingOf, panelWidth } from "./facing";
import type { FacingFacts } from "./facts";

/** In a trench: of the top's thickness under it; beside it to the top's edge, mm. @source common practice */
const TRENCH = { under: { good: 0.75, least: 0.6 }, beside: { good: 30, least: 10 } };
/** On a strip: so thin it bends between its seams; a half so narrow is a lipping, mm. @source common practice */
const STRIP = { under: { good: 12, least: 8 }, beside: { good: 60, least: 30 } };

export const path = (what: string) => ["form", "facing", what];
export const NONE = set("Leave the facing off", path("kind"), "none");

/** What is cut or let in where it would lie. */
function met({ form, at }: Pick<FacingFacts, "form" | "at">, { front, width }: Facing): string[] {
  const from = front - panelWidth(form, at) / 2;
  const crosses = (middle: number, half: number) => middle + half > from && middle - half < from + width;
  const cut = form.top.cutouts.filter((each) => crosses(each.y, each.width / 2)).map(({ name }) => `cut-out “${name}”`);
  const reach = ({ length, width: wide, turn }: Form["top"]["inlays"][number]) => {
    const angle = (turn * Math.PI) / 180;
    return (Math.abs(length * Math.sin(angle)) + Math.abs(wide * Math.cos(angle))) / 2;
  };
  const inlaid = form.top.inlays
    .filter((each) => each.places.some(({ y }) => crosses(y, reach(each))))
    .map(({ name }) => `inlay “${name}”`);
  const comeUp = at.through !== null || (form.kind === "staked" && form.staked.tenon.ends === "wedged");
  const legs = comeUp && at.posts.some(({ z, width: wide }) => crosses(-z, wide / 2));
  return [...cut, ...inlaid, ...(legs ? ["legs that come up through the top"] : [])];
}

interface Lies {
  facing: Facing;
  strip: boolean;
  /** how much is under it, mm, and beside it in front and behind */
  under: number;
  beside: number[];
  levels: { under: Level; beside: Level };
  across: string[];
  level: Level;
}

/** @param thickness  of the top, mm */
function liesOf(form: Form, { at, thickness }: { at: PieceGeometry; thickness: number }): Lies | null {
  const top = { ...at.top, thickness };
  const facing = facingOf(form, { core: at.core, top });
  if (!facing) return null;
  const strip = form.facing.bed === "strip";
  const under = thickness - facing.depth;
  const beside = [facing.front, panelWidth(form, { core: at.core, top }) - facing.width - facing.front];
  const limit = strip ? STRIP : TRENCH;
  const levels = {
    under: grade(strip ? under : under / thickness, "at least", limit.under.good, limit.under.least),
    beside: grade(Math.min(...beside), "at least", limit.beside.good, limit.beside.least),
  };
  const across = met({ form, at }, facing);
  const all = [levels.under, levels.beside];
  const level = across.length > 0 || all.includes("fix") ? "fix" : all.includes("tight") ? "tight" : "holds";
  return { facing, strip, under, beside, levels, across, level };
}

/** What would give it more wood, whether that is enough or not. */
function moreWood({ form, at }: FacingFacts, { facing, strip }: Lies): Remedy[] {
  const { good } = (strip ? STRIP : TRENCH).beside;
  const panel = panelWidth(form, at);
  const [narrow, least] = [2 * Math.abs(form.facing.from), 0].map((aside) => Math.floor(panel - 2 * good - aside));
  const thicker = Math.ceil(strip ? facing.depth + STRIP.under.good : facing.depth / (1 - TRENCH.under.good));
  const wide = (to: number): Remedy[] => (to >= 20 ? [set(`Make it ${mm(to)} wide`, path("width"), to)] : []);
  return [
    ...(thicker <= 150 ? [set(`Make the top ${mm(thicker)} thick`, ["form", "top", "thickness"], thicker)] : []),
    set(
      strip ? "Lay it on the strip, proud by its thickness" : "Lay it on the top, without a trench",
      path("proud"),
      form.facing.thickness,
    ),
    ...wide(narrow),
    ...(form.facing.from === 0 ? [] : [set("Lay it in the top’s middle", path("from"), 0)]),
    ...(narrow === least || narrow >= 20 ? [] : wide(least)),
  ];
}

export function facingLies(facts: FacingFacts): Verdict | null {
  const { form, at } = facts;
  const lies = liesOf(form, { at, thickness: at.top.thickness });
  if (!lies) return null;
  const { facing, strip, under, beside, levels, across, level } = lies;
  const limit = strip ? STRIP : TRENCH;
  const nearest = Math.round(Math.min(...beside));
  // a top that is made has the thickness it has
  const made = at.top.thickness === form.top.thickness ? null : at.top.thickness;
  const after = (then: Form) => liesOf(then, { at, thickness: made ?? then.top.thickness })?.level ?? "holds";
  const mends = across.length > 0 ? [] : mending(form, level, moreWood(facts, lies), after);
  const halves = beside.map((each) => mm(Math.round(each))).join(" and ");
  return verdict({
    id: "form.facing-lies",
    stage: "form",
    subject: [facingKind(facing.stuff), "top"],
    level,
    text:
      across.length > 0
        ? `The facing lies across ${listed(across)}`
        : levels.under !== "holds"
          ? strip
            ? `The strip under the facing is only ${fine(under)} thick`
            : `Under its trench only ${fine(under)} of the top are left`
          : strip
            ? `Halves ${halves} wide stand beside the strip`
            : levels.beside !== "holds"
              ? `Only ${mm(Math.max(0, nearest))} of wood stay beside the facing`
              : `${fine(under)} of wood stay under the facing, ${mm(nearest)} and more beside it`,
    why: strip
      ? `Under ${STRIP.under.good} mm a strip bends between its seams; a half under ${mm(STRIP.beside.good)} is no panel but a lipping.`
      : `Thinner than ${Math.round(100 * TRENCH.under.good)} % of the top the bottom of the trench hollows; a rim under ${TRENCH.beside.good} mm is knocked off.`,
    limit: limit.beside.good,
    actual: nearest,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : mends.length > 0 ? mends : [NONE],
  });
}
