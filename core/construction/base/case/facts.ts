import type { BaseRuleFacts } from "../base";
import type { Case } from "./case";

/** What the rules of a case are told, and how they speak of it. */
export type CaseFacts = BaseRuleFacts<Case>;

/** Where a choice of the case is kept. */
export const at = (...rest: string[]) => ["form", "case", ...rest];

/** Every opening with its bay. */
export const openingsOf = (place: Case) =>
  place.bays.flatMap((bay, i) => bay.openings.map((opening, j) => ({ bay, i, opening, j })));

export const ordinal = (i: number) => ["first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth"][i];
