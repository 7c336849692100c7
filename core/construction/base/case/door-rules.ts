/** Rules of doors that close before the case, on hinges whose cups are bored into them. */
import { fine, grade, mm, round1, Verdict, verdict } from "../../../verdict/verdict";
import { DOOR } from "./door";
import { at, CaseFacts } from "./facts";

/** Wood behind a cup, and between it and the panel's groove, mm. @source common practice */
const CUP = { behind: { good: 4, least: 2.5 }, beside: { good: 3, least: 1 } };

/** A stile that takes the cups of its hinges. */
export function cupsGoIn({ at: place, form }: CaseFacts): Verdict | null {
  const doors = place.doors.filter(({ overlay }) => overlay);
  if (doors.length === 0) return null;
  const { thickness, stile, groove, build } = form.case.doors;
  const behind = thickness - DOOR.cup.deep;
  // boards have no groove beside them
  const beside = build === "battened" ? Infinity : stile - groove - DOOR.cup.from - DOOR.cup.across / 2;
  const [deep, wide] = [
    grade(behind, "at least", CUP.behind.good, CUP.behind.least),
    grade(beside, "at least", CUP.beside.good, CUP.beside.least),
  ];
  const level = deep === "fix" || wide === "fix" ? "fix" : deep === "tight" || wide === "tight" ? "tight" : "holds";
  const thin = deep !== "holds";
  const [thicker, wider] = [
    Math.ceil(DOOR.cup.deep + CUP.behind.good),
    Math.ceil(groove + DOOR.cup.from + DOOR.cup.across / 2 + CUP.beside.good),
  ];
  return verdict({
    id: "form.door-cups",
    stage: "form",
    subject: ["door-stile"],
    level,
    text:
      level === "holds"
        ? `The doors take the cups of their hinges, ${fine(behind)} left behind them`
        : thin
          ? `Only ${fine(behind)} of door stay behind the hinges’ cups`
          : `The hinges’ cups come within ${fine(beside)} of the panel’s groove`,
    why: `A cup of ${mm(DOOR.cup.across)} is ${fine(DOOR.cup.deep)} deep, its middle ${mm(DOOR.cup.from)} from the door’s edge.`,
    limit: thin || beside === Infinity ? CUP.behind.good : CUP.beside.good,
    actual: round1(thin || beside === Infinity ? behind : beside),
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            {
              label: [thin ? `Doors ${mm(thicker)} thick` : "", wide === "holds" ? "" : `stiles ${mm(wider)} wide`]
                .filter(Boolean)
                .join(", "),
              patches: [
                ...(thin ? [{ path: at("doors", "thickness"), value: thicker }] : []),
                ...(wide === "holds" ? [] : [{ path: at("doors", "stile"), value: wider }]),
              ],
            },
          ],
  });
}
