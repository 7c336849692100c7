import type { BaseRuleFacts } from "../base";
import type { LegRailJoint } from "./joints";
import type { LegAndApron } from "./place";

/** What the rules of legs and rails judge. */
export type Facts = BaseRuleFacts<LegAndApron, LegRailJoint>;
