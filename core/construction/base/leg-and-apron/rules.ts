import { tipping } from "../tipping";
import { kneeRoomUnder } from "../knee-room";
import { grade, mm, set, Verdict, verdict } from "../../../verdict/verdict";
import { useOf } from "../../../brief/uses";
import { USUAL, usualRange } from "../../usual";
import type { Rule } from "../base";
import { archLeaves, lowStretcherLength, lowStretchersFit } from "./low-rules";
import type { Facts } from "./facts";
import { middleLegsHold } from "./middle-parts";
import { turnedRound } from "./turned";

/** Every rule of legs and rails, in the order a maker would ask. */
export const LEG_AND_APRON_RULES: readonly Rule<Facts>[] = [
  legsFit,
  kneeRoom,
  legSection,
  apronDepth,
  reveal,
  taper,
  turnedRound,
  longRailStiff,
  archLeaves,
  lowStretchersFit,
  lowStretcherLength,
  middleLegsHold,
  tips,
];

function tips({ form, at, weight }: Facts): Verdict | null {
  return tipping({
    ...{ at, form, weight, subject: ["leg", "top"] },
    mend: (apart) => {
      const overhang = Math.max(0, Math.floor((at.top.width - apart) / 2));
      return overhang < form.overhang.side
        ? [set(`Make the side overhang ${overhang} mm`, ["form", "overhang", "side"], overhang)]
        : [];
    },
  });
}

function legsFit({ form, at }: Facts): Verdict {
  const room = Math.min(at.longRail.shoulder, at.endRail.shoulder);
  const most = Math.floor(Math.min(at.frame.width, at.frame.length) / 2 - 100);
  return verdict({
    id: "form.legs-fit",
    stage: "form",
    subject: ["leg", "end-rail"],
    level: grade(room, "at least", 200, 60),
    text: room > 60 ? `${mm(room)} stay between the legs at the end` : `The legs leave ${mm(room)} for the end rail`,
    why: `The top is ${mm(at.top.width)} wide, less two overhangs of ${mm(form.overhang.side)} and two legs of ${mm(at.leg.across)}.`,
    limit: 200,
    actual: Math.round(room),
    sense: "at least",
    unit: "mm",
    remedies:
      room < 200 && most >= 40 && most < at.leg.section
        ? [set(`Make legs ${Math.min(most, 75)} mm`, ["form", "leg", "section"], Math.min(most, 75))]
        : [],
  });
}

function kneeRoom({ form, at }: Facts): Verdict | null {
  return kneeRoomUnder(form, at, {
    ...{ kind: "long-rail", one: "rail", many: "rails" },
    remedies: (good) => {
      const depth = Math.floor(at.under - good);
      const height = Math.ceil(form.height + good - at.kneeRoom);
      return [
        ...(depth >= 60 ? [set(`Make aprons ${depth} mm deep`, ["form", "apron", "depth"], depth)] : []),
        set(`Raise the top to ${height} mm`, ["form", "height"], height),
      ];
    },
  });
}

function legSection({ form, at }: Facts) {
  return usualRange("form.leg", "leg", "Leg section", {
    actual: Math.min(at.leg.section, at.leg.across),
    range: useOf(form).leg,
    path: ["form", "leg", "section"],
    reasons: {
      low: `Rails ${form.apron.thickness} mm thick leave it little wood around the mortises.`,
      high: "It will look like a workbench.",
    },
  });
}

function apronDepth({ form }: Facts) {
  return usualRange("form.apron", "long-rail", "Apron depth", {
    actual: form.apron.depth,
    range: useOf(form).apron,
    path: ["form", "apron", "depth"],
    reasons: {
      low: "The shoulders that keep it from racking get short.",
      high: "It takes room below, and its own movement works on the tenons.",
    },
  });
}

function reveal({ form, at }: Facts): Verdict {
  const inside = Math.min(at.leg.inner, at.leg.innerAcross);
  const level = inside < 0 ? "fix" : form.apron.reveal < USUAL.reveal.low ? "tight" : "holds";
  return verdict({
    id: "form.reveal",
    stage: "form",
    subject: ["leg", "long-rail"],
    level,
    text:
      inside < 0
        ? `The rail stands ${mm(-inside)} out of the leg inside`
        : level === "tight"
          ? "Rails nearly flush with the legs"
          : `A reveal of ${mm(form.apron.reveal)} hides small errors`,
    why:
      inside < 0
        ? "Reveal and rail together are thicker than the leg."
        : "A flush rail shows the leg's movement and any planing error; about 5 mm is usual.",
    limit: USUAL.reveal.low,
    actual: form.apron.reveal,
    sense: "at least",
    unit: "mm",
    remedies: level === "holds" ? [] : [set("Set the reveal to 5 mm", ["form", "apron", "reveal"], 5)],
  });
}

function taper({ form, at }: Facts): Verdict | null {
  if (form.leg.taper === "none") return null;
  const share = at.leg.foot / at.leg.section;
  const level = share > 1 || form.leg.foot > form.leg.section ? "fix" : grade(share, "at least", 0.5, 0.35);
  return verdict({
    id: "form.taper",
    stage: "form",
    subject: ["leg"],
    level,
    text:
      form.leg.foot > form.leg.section
        ? "The foot is thicker than the leg"
        : `Legs taper to ${mm(at.leg.foot)} at the floor`,
    why: `The taper starts ${USUAL.taperBelow} mm below the rail so that the shoulders stay square; a foot under half the section looks pinched and dents floors.`,
    limit: at.leg.section / 2,
    actual: at.leg.foot,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : [
            set(
              `Make the foot ${Math.round(at.leg.section * 0.6)} mm`,
              ["form", "leg", "foot"],
              Math.round(at.leg.section * 0.6),
            ),
          ],
  });
}

function longRailStiff({ form, at }: Facts): Verdict {
  // half a rail is held by its leg and its half of the top
  const free = at.longRail.split ? at.longRail.shoulder / 2 : at.longRail.shoulder / (form.crossRails + 1);
  const level = grade(free, "at most", USUAL.railAlone, USUAL.railAlone * 1.5);
  return verdict({
    id: "form.cross-rails",
    stage: "form",
    subject: ["long-rail", "cross-rail"],
    level,
    text: at.longRail.split
      ? `Half rails run ${mm(free)} from their legs`
      : level === "holds"
        ? `Long rails run ${mm(free)} between supports`
        : `Long rails run ${mm(free)} with nothing to keep them straight`,
    why: at.longRail.split
      ? `Each is held by its leg and, along its length, by its half of the top; over more than about ${mm(USUAL.railAlone)} it bows sideways.`
      : `A ${form.apron.thickness} mm rail bows sideways over more than about ${mm(USUAL.railAlone)}; a cross-rail also holds the middle of the top.`,
    limit: USUAL.railAlone,
    actual: Math.round(free),
    sense: "at most",
    unit: "mm",
    remedies:
      level === "holds" || at.longRail.split
        ? []
        : [
            set(
              `Use ${form.crossRails + 1} cross-rail${form.crossRails ? "s" : ""}`,
              ["form", "crossRails"],
              form.crossRails + 1,
            ),
          ],
  });
}
