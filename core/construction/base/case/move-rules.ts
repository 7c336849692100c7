/** What the year does to drawers, to the runners they slide on, to doors and their panels. */
import { HOLD_LIMITS, TRAVEL } from "../../../movement/hold-limits";
import { LEAST_IN_GROOVE, WIDEST_GAP } from "../../../movement/insets";
import { fine, Level, round1, set, Verdict, verdict } from "../../../verdict/verdict";
import { isDrawn } from "../../../piece/case-choices";
import type { BaseMoveFacts, Rule } from "../base";
import { ofDoor } from "./door";
import { ofSize } from "./drawer";
import { BACK_RULES } from "./back-rules";
import { at } from "./facts";
import type { Case } from "./case";

type Facts = BaseMoveFacts<Case>;
export const CASE_MOVE_RULES: readonly Rule<Facts>[] = [
  drawersBind,
  runnersHave,
  doorsBind,
  battensHave,
  panelsStay,
  ...BACK_RULES,
];

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
    // a box on slides is lower than its opening by far more than it moves: only its front can bind
    (drawer.slides ? ["drawer-front"] : ["drawer-side", "drawer-front"]).flatMap((kind) => {
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
  const runs = bays.some(({ openings }) => openings.some(({ holds }) => isDrawn(holds)));
  if (!runs) return null;
  const lack = stopped
    .filter(({ link, axis }) => link.kind === "slot" && link.play?.axis === axis)
    .filter(({ link }) => /\+(runner|kicker|hanger)/.test(link.id))
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

/**
 * A framed door grows by its two stiles, its opening by nothing: across it, uprights stand as far apart as what lies between them is long.
 *
 * @source derived: change of width of two stiles, shared by the gaps on both sides
 */
function doorsBind({ at: { doors }, form, moves }: Facts): Verdict | null {
  if (doors.length === 0) return null;
  const { gap } = form.case.doors;
  const all = doors.flatMap((door) => {
    // boards grow over all their width, a frame by its stiles: half of it on either side
    const move = moves.find(({ id }) => id === ofDoor(door.battens ? "door-panel" : "door-stile", door));
    const half = door.battens ? 0.5 : 1;
    return move ? [{ door, wet: half * Math.max(0, move.wet.width), dry: half * Math.min(0, move.dry.width) }] : [];
  });
  if (all.length === 0) return null;
  // two leaves share three gaps, one leaf two
  const leaves = ({ bay, row }: (typeof doors)[number]) =>
    doors.filter((each) => each.bay === bay && each.row === row).length;
  const share = (door: (typeof doors)[number], change: number) =>
    door.overlay
      ? // two leaves grow toward the gap between them, a single one over the case's edge
        leaves(door) > 1
        ? 4 * change
        : 0
      : (2 * leaves(door) * change) / (leaves(door) + 1);
  const wet = Math.max(...all.map((each) => share(each.door, each.wet)));
  const dry = Math.min(...all.map((each) => share(each.door, each.dry)));
  const [left, most] = [gap - wet, gap - dry];
  const level: Level = left < 0 ? "fix" : left < HOLD_LIMITS.clearance || most > WIDEST_GAP + 0.05 ? "tight" : "holds";
  const better = up(wet + HOLD_LIMITS.clearance + 0.3);
  return verdict({
    id: "movement.doors",
    stage: "movement",
    subject: [doors[0].battens ? "door-panel" : "door-stile"],
    level,
    text:
      left < 0
        ? "A door binds in its opening in the wettest month"
        : level === "holds"
          ? `Every door keeps ${fine(left)} or more round it in the wettest month`
          : left < HOLD_LIMITS.clearance
            ? `A door keeps only ${fine(left)} at its edges in the wettest month`
            : `A gap of ${fine(most)} shows beside a door in the driest month`,
    why: `${fine(gap)} round it on the day. ${doors[0].battens ? "Its boards grow and shrink over all their width" : "Its stiles grow and shrink"}, each gap loses ${fine(wet)} and gains ${fine(-dry)}; up and down nothing changes.`,
    limit: round1(wet + HOLD_LIMITS.clearance),
    actual: gap,
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds" || better === gap
        ? []
        : [set(`Leave ${fine(better)} round the doors`, at("doors", "gap"), better)],
  });
}

/** Boards move along their battens: the slots let them. */
function battensHave({ stopped, at: { doors } }: Facts): Verdict | null {
  const slot = doors[0]?.battens?.slot;
  if (slot === undefined) return null;
  const lack = stopped
    .filter(({ link, axis }) => link.kind === "slot" && link.play?.axis === axis && link.id.includes("+door-batten"))
    .reduce((most, { excess }) => Math.max(most, Math.abs(excess)), 0);
  const longer = Math.ceil(slot + 2 * (lack + 0.5));
  return verdict({
    id: "movement.door-battens",
    stage: "movement",
    subject: ["door-batten", "door-panel"],
    level: lack > 0.05 ? "fix" : "holds",
    text:
      lack > 0.05
        ? `The slots of the doors’ battens are ${fine(lack)} too short each way`
        : "The boards of a door move along their battens and stay flat",
    why: "A batten keeps its length, the boards it lies across swell and shrink. Its middle screw is tight, all others stand in the middle of their slots.",
    source: TRAVEL,
    remedies:
      lack > 0.05 && longer <= 40
        ? [set(`Make the battens’ slots ${longer} mm long`, at("doors", "batten", "slot"), longer)]
        : [],
  });
}

/** A solid panel has room for its wet month in its grooves, and is still in them in its dry one. */
function panelsStay({ at: { doors }, form, moves }: Facts): Verdict | null {
  const { doors: choice } = form.case;
  if (doors.length === 0 || choice.panel !== "solid" || doors[0].battens) return null;
  const all = doors.flatMap((door) => {
    const move = moves.find(({ id }) => id === ofDoor("door-panel", door));
    return move ? [{ door, wet: Math.max(0, move.wet.width) / 2, dry: Math.max(0, -move.dry.width) / 2 }] : [];
  });
  if (all.length === 0) return null;
  const worst = all.reduce((a, b) => (b.wet + b.dry > a.wet + a.dry ? b : a));
  const { groove, free } = worst.door.panel;
  const [spare, inside] = [free - worst.wet, groove - free - worst.dry];
  const level: Level =
    spare < 0 || inside < 1 ? "fix" : spare < HOLD_LIMITS.clearance || inside < LEAST_IN_GROOVE ? "tight" : "holds";
  const wanted = up(worst.wet + HOLD_LIMITS.clearance + 0.3);
  const deep = Math.ceil(wanted + worst.dry + LEAST_IN_GROOVE + 0.5);
  return verdict({
    id: "movement.door-panels",
    stage: "movement",
    subject: ["door-panel"],
    level,
    text:
      spare < 0
        ? `The panel of door ${worst.door.n} pushes its frame apart in the wettest month`
        : level === "holds"
          ? `The panels have ${fine(spare)} to spare in the wettest month, ${fine(inside)} stay in their grooves in the driest`
          : inside < LEAST_IN_GROOVE
            ? `Only ${fine(inside)} of a panel stay in its grooves in the driest month`
            : `A panel has only ${fine(spare)} to spare in the wettest month`,
    why: `It grows ${fine(worst.wet)} and shrinks ${fine(worst.dry)} at each side; ${fine(free)} are free there on the day in grooves ${fine(groove)} deep.`,
    source: TRAVEL,
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: `Grooves ${fine(Math.max(deep, choice.groove))} deep, ${fine(wanted)} free`,
              patches: [
                { path: at("doors", "free"), value: wanted },
                { path: at("doors", "groove"), value: Math.min(25, Math.max(deep, choice.groove)) },
              ],
            },
          ],
  });
}
