import type { BaseRuleFacts } from "../base";
import type { Case } from "./case";

/** What the rules of a case are told, and how they speak of it. */
export type CaseFacts = BaseRuleFacts<Case>;

/** Where a choice of the case is kept. */
export const at = (...rest: string[]) => ["form", "case", ...rest];

/** Every opening with its bay. */
export const openingsOf = (place: Case) =>
  place.bays.flatMap((bay, i) => bay.openings.map((opening, j) => ({ bay, i, opening, j })));

const ORDINALS = ["first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth"];
/** “third” of 2: counted from 0. */
export const ordinal = (i: number): string =>
  ORDINALS[i] ?? `${i + 1}${i > 19 ? (SUFFIX[(i + 1) % 10] ?? "th") : "th"}`;
/** Of 21 and on: what is counted here never reaches 111. */
const SUFFIX: Record<number, string> = { 1: "st", 2: "nd", 3: "rd" };
