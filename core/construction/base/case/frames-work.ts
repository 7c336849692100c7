import { Step, stepOf as step } from "../../../steps/step";
import { fine } from "../../../verdict/verdict";

interface Frames {
  /** kinds of drawer rail, and of what drawers run on or under */
  frames: readonly string[];
  kinds: readonly string[];
  slot: number;
  runners: number;
  milled: readonly string[];
}

/** Rails between drawers, and runners and kickers where drawers run on wood. */
export function framesStep({ frames, kinds, slot, runners, milled }: Frames): Step {
  const rails = frames.length > 0;
  const wood = kinds.length > 0;
  return step({
    id: "frames",
    title: !rails
      ? "Make the kickers"
      : wood
        ? "Tenon the drawer rails, make runners and kickers"
        : "Tenon the drawer rails",
    detail: [
      rails ? "Rails between their shoulders exactly as long as the bottom is between its own." : "",
      wood
        ? `${rails ? "Runners and kickers: a" : "A"} stub tenon in front; behind it two slots of ${fine(slot)} for its screws, counterbored below.`
        : "",
    ]
      .filter(Boolean)
      .join(" "),
    parts: [...frames, ...kinds],
    after: ["case-housings", ...milled],
    hours: 0.5 + 0.3 * runners,
  });
}
