/** How the end of a part is joined to what it meets: tenons, loose tenons, dowels or pocket screws, as its group is set. */
import { BlindTenon, blindTenon, TenonInputs } from "./blind-tenon";
import { Dowelled, dowelled } from "./dowelled";
import { PocketScrewed, pocketScrewed } from "./pocket-screwed";

export type EndJoint = BlindTenon | Dowelled | PocketScrewed;

export function endJoint(inputs: TenonInputs): EndJoint {
  switch (inputs.setting.kind) {
    case "tenon":
    case "loose":
      return { ...blindTenon(inputs), anyEnd: true };
    case "dowels":
      return { ...dowelled(inputs), anyEnd: true };
    case "pockets":
      return { ...pocketScrewed(inputs), anyEnd: true };
  }
}
