import { KIND_RULES } from "../../../joinery/joint-rules";
import { mm } from "../../../verdict/verdict";
import type { Base } from "../base";
import { lowered } from "../lowered";
import { stakedDimensions } from "./dimensions";
import { stakedJoints, stakedMeetings, stakedParts } from "./parts";
import { placeStaked, StakedLegs } from "./place";
import { STAKED_RULES } from "./rules";
import { stakedWork } from "./work";

const COUNTS = ["", "", "", "Three", "Four", "Five", "Six"];

/** Legs tenoned into the top itself, upright or splayed; nothing joins them below. */
export const stakedBase: Base<StakedLegs> = {
  kind: "staked",
  name: "Legs into the top",
  place: placeStaked,
  joints: stakedJoints,
  parts: stakedParts,
  meetings: stakedMeetings,
  formRules: STAKED_RULES,
  jointRules: KIND_RULES,
  shorter: (form, kind, by) => {
    const { lean } = placeStaked(form, []);
    return kind === "staked-leg" ? lowered(form, by * lean.cos) : [];
  },
  work: stakedWork,
  dimensions: stakedDimensions,
  setOuts: () => [],
  describe: ({ staked: { tenon } }, { legs, lean, round }) =>
    `${COUNTS[legs.length]} ${round ? "round " : ""}legs ${lean.degrees > 0 ? `splayed ${lean.degrees.toFixed(1)}°` : "upright"}, tenoned ${tenon.ends === "wedged" ? "through the top and wedged" : "into the top from below"}.`,
  sizes: ({ staked: { tenon } }, { legs, section, footSection, lean, round }) => [
    [
      "Legs",
      `${legs.length} of ${mm(section)} ${round ? "round" : "square"}${footSection < section ? `, ${mm(footSection)} at the foot` : ""}, ${mm(lean.length)} over both points, ${lean.degrees.toFixed(1)}° from upright`,
    ],
    ["Tenons", tenonSaid(tenon.ends)],
  ],
};

const tenonSaid = (ends: "wedged" | "blind") =>
  ends === "wedged" ? "Through the top, wedged across its grain" : "Stopped in the top";
