/** The same work for a piece that is made several times: machines are set once, hands do it as often as there are pieces. */
import type { Step } from "./step";

/** Share of a step's hours that is setting up, and is not repeated. @source common practice, from memory */
export const SETTING_UP = 0.3;

/**
 * Every step for all copies. Clamps go on as many as there are clamps for, the others wait until they are off.
 *
 * @param clamps  how many the shop has
 */
export function stepsMade(steps: readonly Step[], times: number, clamps: number): Step[] {
  if (times === 1) return [...steps];
  return steps.map((step) => {
    if (step.once) return step;
    const hours = step.hours * (SETTING_UP + (1 - SETTING_UP) * times);
    if (step.clamps === 0) return { ...step, hours };
    const atOnce = Math.max(1, Math.min(times, Math.floor(clamps / step.clamps)));
    const rounds = Math.ceil(times / atOnce);
    const said = atOnce === times ? "" : ` Clamps for ${atOnce} at once: ${rounds} rounds, each until they are off.`;
    return {
      ...step,
      ...{ hours, clamps: step.clamps * atOnce, detail: `${step.detail}${said}` },
      wait: step.wait + (rounds - 1) * step.clampHours,
      waitFor: step.waitFor || (rounds > 1 ? "the clamps" : ""),
      clampHours: step.clampHours * rounds,
    };
  });
}
