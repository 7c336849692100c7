import type { BaseRuleFacts } from "../base";
import type { Trestle } from "./place";

/** What the rules of a trestle judge. */
export type Facts = BaseRuleFacts<Trestle>;
