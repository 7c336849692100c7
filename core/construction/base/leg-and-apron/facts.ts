import type { RailTenon } from "../../../joinery/rail-tenon";
import type { BaseRuleFacts } from "../base";
import type { LegAndApron } from "./place";

/** What the rules of legs and aprons judge, and what those of their rails' joints do. */
export type Facts = BaseRuleFacts<LegAndApron>;
export type RailFacts = BaseRuleFacts<LegAndApron, RailTenon>;
