/** Rules of what holds the top flat: breadboards, channels, slats, a frame. */
import { Verdict } from "../verdict/verdict";
import { endBoardLength, mortiseEnds, pegs, pegsFit, shoulder, tongueSize } from "./breadboard-rules";
import { channelEnds, channelSlots } from "./channel-rules";
import { mitres, panelInFrame } from "./frame-rules";
import { slatGaps, slatScrews } from "./gap-rules";
import type { MovementFacts } from "./movement-facts";

export const FLAT_RULES: ((facts: MovementFacts) => Verdict | null)[] = [
  pegs,
  pegsFit,
  endBoardLength,
  mortiseEnds,
  shoulder,
  tongueSize,
  channelSlots,
  channelEnds,
  slatGaps,
  slatScrews,
  panelInFrame,
  mitres,
];
