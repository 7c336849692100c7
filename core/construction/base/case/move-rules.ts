/** What the year does to drawers and to the runners they slide on. */
import { HOLD_LIMITS, TRAVEL } from "../../../movement/hold-limits";
import { WIDEST_GAP } from "../../../movement/insets";
import { fine, Level, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseMoveFacts, Rule } from "../base";
import { ofSize } from "./drawer";
import { at } from "./facts";
import type { Case } from "./case";

type Facts = BaseMoveFacts<Case>;
export const CASE_MOVE_RULES: readonly Rule<Facts>[] = [drawersBind, runnersHave];

const up = (size: number) => Math.ceil(size * 2) / 2;

/**
 * A drawer's sides and front grow in height, its opening between rails that the case's upright sides keep apart does not.
 *
 * @source derived: change of width of the higher of front and sides, from the day to its wettest and driest
 */
function drawersBind({ at: { drawers }, form, moves }: Facts): Verdict | null {
  if (drawers.length === 0) return null;
  const { above } = form.case.drawers;
  const of = (kind: string) => moves.find(({ id }) => id === kind);
  const all = drawers.flatMap((drawer) =>
    ["drawer-side", "drawer-front"].flatMap((kind) => {
      const move = of(ofSize(kind, drawer));
      return move ? [{ drawer, wet: Math.max(0, move.wet.width), dry: Math.min(0, move.dry.width) }] : [];
    }),
  );
  if (all.length === 0) return null;
  const wet = all.reduce((a, b) => (b.wet > a.wet ? b : a));
  const dry = all.reduce((a, b) => (b.dry < a.dry ? b : a));
  const [left, most] = [above - wet.wet, above - dry.dry];
  const level: Level = left < 0 ? "fix" : left < HOLD_LIMITS.clearance || most > WIDEST_GAP + 0.05 ? "tight" : "holds";
  const gap = up(wet.wet + HOLD_LIMITS.clearance + 0.3);
  return verdict({
    id: "movement.drawers",
    stage: "movement",
    subject: ["drawer-front", "drawer-side"],
    level,
    text:
      left < 0
        ? `Drawer ${wet.drawer.n} binds in its opening in the wettest month`
        : left < HOLD_LIMITS.clearance
          ? `Drawer ${wet.drawer.n} keeps only ${fine(left)} in the wettest month`
          : most > WIDEST_GAP + 0.05
            ? `A gap of ${fine(most)} shows above drawer ${dry.drawer.n} in the driest month`
            : `Every drawer keeps ${fine(left)} or more in the wettest month`,
    why: `${fine(above)} above it on the day; the highest grows ${fine(wet.wet)} and shrinks ${fine(-dry.dry)}. Less than ${fine(HOLD_LIMITS.clearance)} rubs, more than ${fine(WIDEST_GAP)} is seen.`,
    limit: round1(wet.wet + HOLD_LIMITS.clearance),
    actual: above,
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds" || gap === above
        ? []
        : [set(`Leave ${fine(gap)} above the drawers`, at("drawers", "above"), gap)],
  });
}

/** The sides move along their runners: the slots let them. */
function runnersHave({ stopped, form, at: { bays } }: Facts): Verdict | null {
  const runs = bays.some(({ openings }) => openings.some(({ holds }) => holds === "drawer"));
  if (!runs) return null;
  const lack = stopped
    .filter(({ link, axis }) => link.kind === "slot" && link.play?.axis === axis)
    .filter(({ link }) => /\+(runner|kicker)/.test(link.id))
    .reduce((most, { excess }) => Math.max(most, Math.abs(excess)), 0);
  const { slot } = form.case;
  const level: Level = lack > 0.05 ? "fix" : "holds";
  const longer = Math.ceil(slot + 2 * (lack + 0.5));
  return verdict({
    id: "movement.runners",
    stage: "movement",
    subject: ["runner", "case-side"],
    level,
    text:
      level === "holds"
        ? "The sides move along their runners without pulling at them"
        : `The runners’ slots are ${fine(lack)} too short each way`,
    why: "A runner keeps its length, the side beside it swells and shrinks from front to back. Glued in front, it is screwed through slots behind.",
    source: TRAVEL,
    remedies: level === "holds" ? [] : [set(`Make the slots ${longer} mm long`, at("slot"), longer)],
  });
}
