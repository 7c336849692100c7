/** How a rail is joined to a leg that another rail enters beside it: tenons, dowels that pass each other, or screws from pockets inside. */
import { USUAL_TENON } from "../piece/base-choices";
import { Dowelled, dowelled } from "./dowelled";
import { PocketScrewed, pocketScrewed } from "./pocket-screwed";
import type { KindOfJoint } from "./kinds";
import { RailTenon, RailTenonInputs, railTenon } from "./rail-tenon";

export type RailEnd = RailTenon | Dowelled | PocketScrewed;

/** By what was chosen for all rails; the dowels of the one that does not pass stand half a rung higher. */
export function railEnd(inputs: RailTenonInputs): RailEnd {
  const { choice, passes, meets, section, into, shop } = inputs;
  if (choice.kind === "mortise-tenon" || choice.kind === "loose-tenon") return railTenon(inputs);
  const end = {
    ...{ meets, section, shop },
    into: { depth: into.depth, thickness: section.thickness + 2 * into.reveal },
    setting: { ...USUAL_TENON, kind: choice.kind, ...sizesOf(choice) },
  };
  return choice.kind === "dowels" ? dowelled({ ...end, raised: !passes }) : pocketScrewed(end);
}

const sizesOf = ({ thickness, length, tenons }: RailTenonInputs["choice"]) => ({ thickness, length, tenons });

export const isRailEnd = (joint: KindOfJoint): joint is RailEnd =>
  joint.kind === "rail-tenon" || joint.kind === "dowelled" || joint.kind === "pocket-screwed";
