import type { BaseRuleFacts } from "../base";
import type { LegAndApronJoint, LegRailJoint } from "./joints";
import type { LegAndApron } from "./place";

/** What the rules of legs and aprons judge, and what those of their rails' joints do. */
export type Facts = BaseRuleFacts<LegAndApron, LegAndApronJoint>;
export type RailFacts = BaseRuleFacts<LegAndApron, LegRailJoint>;
