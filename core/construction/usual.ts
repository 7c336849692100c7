import { mm, set, Verdict, verdict } from "../verdict/verdict";

/** Sizes makers usually keep to, mm. @source common practice */
export const USUAL = {
  thigh: 600,
  reveal: { low: 3, high: 10 },
  railAlone: 1500,
  topWeightOnePerson: 25,
  topWeightTwo: 50,
  taperBelow: 10,
};

/** Whether a size lies in the usual range; far outside it is a fault. */
export const usualRange = (
  id: string,
  subject: string,
  label: string,
  {
    actual,
    range: { low, high },
    path,
    reasons,
  }: { actual: number; range: { low: number; high: number }; path: string[]; reasons: { low: string; high: string } },
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
