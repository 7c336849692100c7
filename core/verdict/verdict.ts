import type { Patch } from "../piece/patch";

export const STAGES = ["brief", "form", "movement", "joints", "boards", "glue-up", "cutting", "build", "log"] as const;
export type Stage = (typeof STAGES)[number];
export type Level = "holds" | "tight" | "fix";

export interface Remedy {
  label: string;
  patches: Patch[];
}

/** One judgement of the plan. Lengths in its sentences are always written as a number and “ mm”, so that a screen can turn them to inches. */
export interface Verdict {
  id: string;
  stage: Stage;
  /** ids of the parts, boards or dimensions it speaks of */
  subject: string[];
  level: Level;
  text: string;
  why: string;
  /** what is needed and what is there, in `unit`; both null when the judgement is not a matter of degree */
  limit: number | null;
  actual: number | null;
  /** whether more or less of `actual` is better */
  sense: "at least" | "at most" | null;
  unit: string;
  source: string;
  remedies: Remedy[];
}

export const COMMON_PRACTICE = "common practice";
const LEVELS: Level[] = ["fix", "tight", "holds"];

/** A judgement without degree: fill in what it says; the rest is empty. */
export function verdict(given: Pick<Verdict, "id" | "stage" | "level" | "text" | "why"> & Partial<Verdict>): Verdict {
  return {
    subject: [],
    limit: null,
    actual: null,
    sense: null,
    unit: "",
    source: COMMON_PRACTICE,
    remedies: [],
    ...given,
  };
}

/** Worst of them, or null when there are none. */
export function worst(verdicts: readonly Verdict[]): Level | null {
  return LEVELS.find((level) => verdicts.some((each) => each.level === level)) ?? null;
}

/** Worst first; among equals the order they were given in. */
export function worstFirst(verdicts: readonly Verdict[]): Verdict[] {
  return LEVELS.flatMap((level) => verdicts.filter((each) => each.level === level));
}

/** Where `actual` stands between two bounds: below `fix` or above it, whichever way `sense` reads. */
export function grade(actual: number, sense: "at least" | "at most", good: number, bad: number): Level {
  const better = (a: number, b: number) => (sense === "at least" ? a >= b - 1e-9 : a <= b + 1e-9);
  return better(actual, good) ? "holds" : better(actual, bad) ? "tight" : "fix";
}

/** A set remedy: one label, one path, one value. */
export function set(label: string, path: (string | number)[], value: unknown): Remedy {
  return { label, patches: [{ path, value }] };
}

/** Names in a sentence: "E1, E2 and C". */
export const listed = (names: readonly string[]) =>
  names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;

/** `12.5 mm`, to what a maker can mark. */
export const mm = (length: number) => `${signed(Math.round(length * 2) / 2)} mm`;
/** `4.6 mm`, for movement and fits. */
export const fine = (length: number) => `${signed(Math.round(length * 10) / 10, 1)} mm`;
const signed = (n: number, digits?: number) =>
  (Object.is(n, -0) ? 0 : n).toFixed(digits ?? (Number.isInteger(n) ? 0 : 1)).replace("-", "−");

/** To a tenth: as close as a verdict says a number. */
export const round1 = (n: number): number => Math.round(n * 10) / 10;
