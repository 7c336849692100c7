import { Step, stepOf as step } from "../../../steps/step";
import { listed, mm } from "../../../verdict/verdict";
import type { HangChoice } from "../../../piece/hang-choices";
import type { Case, Hung } from "./case";
import { hangKind } from "./hung";

/** Drilled while the rails are flat boards, before the case closes round them. */
export const hangHoles = ({ inside }: Pick<Case, "inside">, hung: Hung, milled: string[], parts: string[]): Step =>
  step({
    id: "hang-holes",
    title: `Drill the hanging rail${hung.rails.length > 1 ? "s" : ""}`,
    detail: `For the wall’s screws, ${hung.each > 1 ? "two at each place, a quarter of its height from both edges" : "in the middle of its height"}, ${listed(hung.fixings.map((x) => mm(Math.round(x - inside.from))))} from the left side’s inner face; countersunk in front.`,
    ...{ parts, after: milled, hours: 0.3 },
  });

/** In the room: a batten carries it while it is screwed. */
export const hangStep = (at: Case, hung: Hung, { wall, studs }: HangChoice, after: string[]): Step => {
  const out = [...(at.drawers.length > 0 ? ["drawers"] : []), ...(at.doors.length > 0 ? ["doors"] : [])];
  const line = (hung.y.from + hung.y.to) / 2;
  return step({
    id: "cut-feet",
    title: "Hang the case on its wall",
    detail: `A batten screwed level to the wall, its upper edge ${mm(at.lift)} above the floor: the case stands on it while it is screwed. ${wall === "studs" ? `Studs found by a magnet on their screws and tried with a fine drill, ${mm(studs)} apart; two screws in each, one above the other` : "Holes marked through the rail’s, the case down again, drilled and plugged in sound brick, never in a joint"}, ${mm(Math.round(line))} above the floor, through rail and back. Where the wall is hollow, packers behind the back at every screw.${out.length > 0 ? ` ${listed(out)[0].toUpperCase()}${listed(out).slice(1)} go in when it hangs.` : ""}`,
    parts: [...new Set(hung.rails.map(({ bay }) => hangKind(bay)))],
    after,
    hours: 1.5,
    check: "Level along and plumb at its front; it does not give when you pull at its upper edge.",
    caution: "No pipes or wires behind the line: a detector first. Plasterboard alone carries nothing.",
  });
};
