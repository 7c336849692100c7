import type { Form } from "../piece/schema";
import { mm, set, Verdict, verdict } from "../verdict/verdict";

/** Sizes makers usually keep to, mm. @source common practice */
export const USUAL = {
  kneeRoom: { good: 610, least: 580 },
  thigh: 600,
  leg: { low: 70, high: 90 },
  apron: { low: 90, high: 120 },
  top: { low: 25, high: 40 },
  overhang: { low: 25, high: 50 },
  reveal: { low: 3, high: 10 },
  height: { low: 720, high: 760 },
  railAlone: 1500,
  topWeightOnePerson: 25,
  topWeightTwo: 50,
  taperBelow: 10,
};

/** The same for a bench or stool, mm. @source common practice: seats stand at about 450 */
export const USUAL_BENCH = {
  leg: { low: 40, high: 75 },
  apron: { low: 55, high: 100 },
  top: { low: 20, high: 40 },
  overhang: { low: 0, high: 50 },
  height: { low: 420, high: 470 },
};
/** The sizes that are usual for what it is used as. */
export const usual = (form: Form) => (form.use === "bench" ? { ...USUAL, ...USUAL_BENCH } : USUAL);

/** Whether a size lies in the usual range; far outside it is a fault. */
export const usualRange = (
  id: string,
  subject: string,
  label: string,
  actual: number,
  { low, high }: { low: number; high: number },
  path: string[],
  reasons: { low: string; high: string },
): Verdict => {
  const level = actual < low * 0.75 || actual > high * 1.5 ? "fix" : actual < low || actual > high ? "tight" : "holds";
  const nearest = actual < low ? low : high;
  return verdict({
    id,
    stage: "form",
    subject: [subject],
    level,
    text:
      level === "holds"
        ? `${label} of ${mm(actual)} is in the usual range`
        : `${label} of ${mm(actual)} is ${actual < low ? "slight" : "heavy"}`,
    why: `Usual is ${low} to ${high} mm. ${level === "holds" ? "" : actual < low ? reasons.low : reasons.high}`.trim(),
    limit: nearest,
    actual,
    sense: actual < low ? "at least" : "at most",
    unit: "mm",
    remedies: level === "holds" ? [] : [set(`Make it ${nearest} mm`, path, nearest)],
  });
};
