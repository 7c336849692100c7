/** What the year does to a back of wood: its boards in their laps, its panels in their grooves. */
import { HOLD_LIMITS, TRAVEL } from "../../../movement/hold-limits";
import { LEAST_IN_GROOVE } from "../../../movement/insets";
import { fine, grade, Level, round1, Verdict, verdict } from "../../../verdict/verdict";
import type { BaseMoveFacts, Rule } from "../base";
import { at } from "./facts";
import type { Case } from "./case";

type Facts = BaseMoveFacts<Case>;
export const BACK_RULES: readonly Rule<Facts>[] = [boardsMove, panelsStay];

/** So much of two boards lies behind one another at least, mm: no light comes through. @source common practice */
const LAPPED = { good: 2, least: 1 };
const half = (size: number) => Math.ceil(size * 2) / 2;

/** Each board is held in its middle: in its laps it has room to grow, and they stay closed when it shrinks. */
function boardsMove({ at: place, form, moves }: Facts): Verdict | null {
  if (place.backed !== "boards") return null;
  const move = moves.find(({ id }) => id === "back-board");
  if (!move) return null;
  const { lap, gap } = form.case.backs;
  const [wet, dry] = [Math.max(0, move.wet.width), Math.max(0, -move.dry.width)];
  const [room, lies] = [gap - wet, lap - gap - dry];
  const worst: Level[] = [
    grade(room, "at least", HOLD_LIMITS.clearance, 0),
    grade(lies, "at least", LAPPED.good, LAPPED.least),
  ];
  const level: Level = worst.includes("fix") ? "fix" : worst.includes("tight") ? "tight" : "holds";
  const wider = half(wet + HOLD_LIMITS.clearance);
  const deeper = Math.ceil(Math.max(wider, gap) + dry + LAPPED.good);
  return verdict({
    id: "movement.back-boards",
    stage: "movement",
    subject: ["back-board"],
    level,
    text:
      room < 0
        ? "The back’s boards push one another out in the wettest month"
        : `The back’s boards keep ${fine(room)} between them in the wettest month, ${fine(lies)} of lap in the driest`,
    why: `A board grows ${fine(wet)} and shrinks ${fine(dry)}; ${fine(gap)} are left in a lap of ${fine(lap)} on the day.`,
    limit: HOLD_LIMITS.clearance,
    actual: round1(room),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds" || deeper > 25 || Math.max(wider, gap) > 8
        ? []
        : [
            {
              label: `Laps of ${deeper} mm with ${fine(Math.max(wider, gap))} left in them`,
              patches: [
                { path: at("backs", "gap"), value: Math.max(wider, gap) },
                { path: at("backs", "lap"), value: Math.max(deeper, lap) },
              ],
            },
          ],
  });
}

/** Panels swell in their grooves, and stay in them. */
function panelsStay({ at: place, form, moves }: Facts): Verdict | null {
  if (place.backed !== "framed") return null;
  const move = moves.find(({ id }) => id === "back-panel");
  if (!move) return null;
  const { groove, free } = form.case.backs;
  const [wet, dry] = [Math.max(0, move.wet.width) / 2, Math.max(0, -move.dry.width) / 2];
  const [spare, inside] = [free - wet, groove - free - dry];
  const worst: Level[] = [
    grade(spare, "at least", HOLD_LIMITS.clearance, 0),
    grade(inside, "at least", LEAST_IN_GROOVE, 1),
  ];
  const level: Level = worst.includes("fix") ? "fix" : worst.includes("tight") ? "tight" : "holds";
  const wanted = half(wet + HOLD_LIMITS.clearance);
  const deep = Math.ceil(Math.max(wanted, 0.5) + dry + LEAST_IN_GROOVE);
  return verdict({
    id: "movement.back-panels",
    stage: "movement",
    subject: ["back-panel"],
    level,
    text:
      spare < 0
        ? "The back’s panels push their frame apart in the wettest month"
        : `The back’s panels have ${fine(spare)} to spare in the wettest month, ${fine(inside)} stay in their grooves in the driest`,
    why: `The widest grows ${fine(wet)} and shrinks ${fine(dry)} at each side; ${fine(free)} are free there on the day in grooves ${fine(groove)} deep.`,
    limit: HOLD_LIMITS.clearance,
    actual: round1(spare),
    sense: "at least",
    unit: "mm",
    source: TRAVEL,
    remedies:
      level === "holds" || deep > 25 || wanted > 10
        ? []
        : [
            {
              label: `Grooves ${fine(Math.max(deep, groove))} deep, ${fine(wanted)} free`,
              patches: [
                { path: at("backs", "free"), value: wanted },
                { path: at("backs", "groove"), value: Math.max(deep, groove) },
              ],
            },
          ],
  });
}
