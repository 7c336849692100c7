/** Whether heads can stand outside the rim, and whether their rebates leave wood on both sides. */
import { fine, grade, Level, mm, Remedy, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseRuleFacts } from "../base";
import { mending } from "../../mending";
import type { Beside } from "./beside";
import { placeSplayed, Splayed } from "./place";

type Facts = BaseRuleFacts<Splayed>;

/** mm @source common practice */
const REBATE = {
  /** of a head under the top's edge */
  ledge: 15,
  ledgeLeast: 8,
  /** left outside the wall, whose grain runs out of it as the leg leans */
  wall: 8,
  wallLeast: 4,
  /** a flat wall behind a round rim: what opens at its ends */
  opens: 3,
  opensMost: 8,
};

const path = (...rest: string[]) => ["form", "splayed", ...rest];

/** A head beside the rim: its arm ends against it, and the rim is round. */
export function headsBeside({ at, form }: Facts): Verdict | null {
  const { splayed } = form;
  if (splayed.rim.kind !== "beside") return null;
  const arms = at.heads !== "face";
  const under = set("Keep the heads under the top", path("rim", "kind"), "under");
  return verdict({
    id: "form.heads-beside",
    stage: "form",
    subject: ["splayed-leg", "top"],
    level: at.beside ? "holds" : "fix",
    text: at.beside
      ? `Heads stand ${mm(splayed.rim.proud)} outside the rim and ${splayed.rim.above > 0 ? `${mm(splayed.rim.above)} over` : "level with"} the top’s face`
      : arms
        ? "A head that goes up beside the rim takes its arm’s tenon: forked over it or below it, it is drawn under the top"
        : "Heads stand outside a round rim only: under this outline they are drawn below the top",
    why: "The arm is shouldered to the leg’s inner face, the top comes down between the heads onto the floors of their rebates.",
    remedies: at.beside
      ? []
      : arms
        ? [set("Tenon the arms into the legs", path("joint"), "tenon"), under]
        : [set("Make the top round or oval", ["form", "top", "outline"], "ellipse"), under],
  });
}

const rebateLevels = ({ ledge, left, curve }: Beside): Level[] => [
  grade(ledge, "at least", REBATE.ledge, REBATE.ledgeLeast),
  grade(left, "at least", REBATE.wall, REBATE.wallLeast),
  grade(curve, "at most", REBATE.opens, REBATE.opensMost),
];
const worst = (levels: readonly Level[]): Level =>
  levels.includes("fix") ? "fix" : levels.includes("tight") ? "tight" : "holds";

/** A rebate has a floor for the top, a wall that stands, and a rim that follows it. */
export function rebates({ at, form }: Facts): Verdict | null {
  const { beside, lean, rise, section } = at;
  if (!beside) return null;
  const {
    splayed: { rim },
    top,
  } = form;
  const { ledge, left, curve } = beside;
  const levels = rebateLevels(beside);
  const level = worst(levels);
  const [floor, wall, follows] = levels.map((each) => each === "holds");
  const proud = Math.ceil(rim.proud + REBATE.wall - left);
  const less = Math.floor(rim.proud - (REBATE.ledge - ledge));
  // what the wall gains the floor loses
  const wider = Math.ceil(section + Math.max(0, REBATE.ledge - ledge) + Math.max(0, REBATE.wall - left));
  const narrow = Math.floor((section * Math.sqrt(REBATE.opens / Math.max(0.01, curve))) / 2) * 2;
  return verdict({
    id: "form.rebates",
    stage: "form",
    subject: ["splayed-leg", "top"],
    level,
    text: !follows
      ? `The rim falls ${Number.isFinite(curve) ? fine(curve) : "quite"} away from the rebate’s wall at a leg’s edges`
      : !wall
        ? left > 0
          ? `${fine(left)} of the head are left outside the rebate`
          : "The rebate takes the whole head: nothing is left outside it"
        : !floor
          ? `${fine(Math.max(0, ledge))} of the head are left under the top`
          : `Rebates leave ${fine(left)} outside the rim and ${fine(ledge)} under it`,
    why: `A head is ${fine(lean.level)} long, its outside ${mm(rim.proud)} past the rim where the top lies on it and ${fine(rise * lean.tan)} less at its end. The wall is plumb and flat, the rim round: it opens ${Number.isFinite(curve) ? fine(curve) : "fully"} at the leg’s edges.`,
    ...(!follows && Number.isFinite(curve)
      ? { limit: REBATE.opens, actual: round1(curve), sense: "at most" as const }
      : wall && !floor
        ? { limit: REBATE.ledge, actual: round1(ledge), sense: "at least" as const }
        : { limit: REBATE.wall, actual: round1(left), sense: "at least" as const }),
    unit: "mm",
    source: "derived: left = proud − gap − rise tan s",
    remedies: mending(form, level, level === "holds" ? [] : mends(), (then) => {
      // legs that are made have the section they have
      const made = section === form.splayed.section ? then.splayed.section : section;
      const stands = placeSplayed({ ...then, splayed: { ...then.splayed, section: made } }, []).beside;
      return stands ? worst(rebateLevels(stands)) : "holds";
    }),
  });

  function mends(): Remedy[] {
    const stand = (by: number) => set(`Let the heads stand ${by} mm outside the rim`, path("rim", "proud"), by);
    const thick = (by: number) => set(`Make the legs ${by} mm`, path("section"), by);
    // an oval runs aslant past a leg that stands between its ends and its sides; round, what is left is plain
    if (!follows && top.length !== top.width) {
      const stands = Math.max(rim.proud, Math.ceil(rim.gap + rise * lean.tan + REBATE.wall));
      const { label, patches } = set("Make the top round", ["form", "top", "width"], top.length);
      const sagitta = top.length / 2 - Math.sqrt(Math.max(0, (top.length ** 2 - section ** 2) / 4));
      // a top that is made has the size it has
      const holds =
        top.width === at.top.width &&
        top.length === at.top.length &&
        stands <= 80 &&
        lean.level - stands - sagitta >= REBATE.ledge &&
        sagitta <= REBATE.opens;
      return [
        ...(holds ? [{ label, patches: [...patches, ...stand(stands).patches] }] : []),
        set("Keep the heads under the top", path("rim", "kind"), "under"),
      ];
    }
    if (!follows) return narrow >= 20 ? [thick(narrow)] : [];
    if (!wall && proud <= 80 && ledge - (proud - rim.proud) >= REBATE.ledge) return [stand(proud)];
    if (!floor && less >= 1 && left - (rim.proud - less) >= REBATE.wall) return [stand(less)];
    if (wider > 200 || proud > 80) return [];
    const { label, patches } = thick(wider);
    return [{ label, patches: [...patches, ...(wall ? [] : stand(proud).patches)] }];
  }
}
