import type { BaseRuleFacts } from "../base";
import type { Box } from "./place";

/** What the rules of a box are told. */
export type BoxFacts = BaseRuleFacts<Box>;
/** Where a choice of the box is kept. */
export const path = (...rest: string[]) => ["form", "box", ...rest];
