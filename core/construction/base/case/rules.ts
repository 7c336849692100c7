import { bowCovered, bowSawn } from "./bow-rules";
import { backSheets } from "./back-sheet";
import { SHEETS } from "../../../assembly/material";
import { fine, Level, listed, set, mm, Verdict, verdict, grade } from "../../../verdict/verdict";
import { sagVerdict } from "../../sag";
import { usualRange } from "../../usual";
import type { Rule } from "../base";
import { dovetailSlope } from "../dovetail-slope";
import type { LegFrame } from "../leg-frame/place";
import { frameFits, frameHeight, frameLegs } from "../leg-frame/rules";
import { ALCOVE_RULES } from "./alcove-rules";
import { bottomRound, topJoined, topSags } from "./corners";
import { bayAdded } from "./divide";
import { dustLies } from "./dust";
import { hangs } from "./hung-drawer-rules";
import { hungHolds, hungUp, hungWhere } from "./hung-rules";
import { pullsFit } from "./pull-rules";
import { slidesCarry, slidesGoIn } from "./slide-rules";
import { doorsLatch } from "./door-latch";
import { cupsGoIn } from "./door-rules";
import { doorsMade, drawnBehind, drawersMade, drawersRun, grooveHidden, pulledOver, shelvesMade } from "./drawer-rules";
import { at, CaseFacts } from "./facts";
import { addsUp, fits, opens } from "./opening-rules";
import { postSize, postsStand } from "./posts";
import { lipUsual, sheetTakes, stripAdded } from "./sheet";
import { skirtingClears } from "./skirting-rules";
import { shelvesOf } from "./inside";
import { KICK } from "./place";

/** Sizes of a case, mm. @source common practice */
const CASE = { sides: { low: 18, high: 28 }, inner: { low: 16, high: 25 } };

/** Every rule of a case, in the order a maker would ask. */
export const CASE_RULES: readonly Rule<CaseFacts>[] = [
  fits,
  opens,
  addsUp,
  sides,
  inside,
  drawersMade,
  drawnBehind,
  drawersRun,
  hangs,
  slidesGoIn,
  slidesCarry,
  pullsFit,
  grooveHidden,
  doorsMade,
  cupsGoIn,
  doorsLatch,
  shelvesMade,
  sags,
  racks,
  fastening,
  topJoined,
  topSags,
  bottomRound,
  ({ at: place, form, species }) =>
    dovetailSlope(
      form.case.slope,
      species,
      [
        ...(place.drawers.length > 0 ? ["drawer-side"] : []),
        // nothing is dovetailed in sheets
        ...(place.sheet ? [] : [place.corners !== "rails" ? "case-side" : place.subTop ? "sub-top" : "case-rail"]),
      ],
      at("slope"),
    ),
  kick,
  dustLies,
  skirtingClears,
  (facts) => facts.at.legs && frameLegs(facts.at.legs, at("frame")),
  (facts) => facts.at.legs && frameHeight(facts.at.legs, at("frame"), raising(facts.at.legs)),
  (facts) => facts.at.legs && frameFits(facts.at.legs, at("frame")),
  plinthHigh,
  sheetTakes,
  backSeams,
  bowSawn,
  bowCovered,
  lipUsual,
  stripAdded,
  postSize,
  postsStand,
  hungHolds,
  hungUp,
  hungWhere,
  pulledOver,
  ...ALCOVE_RULES,
];

function sides({ at: { side } }: CaseFacts): Verdict {
  return usualRange("form.case-side", "case-side", "A side’s thickness", {
    actual: side,
    range: CASE.sides,
    path: at("thickness"),
    reasons: {
      low: "Housings and dovetails leave little behind them.",
      high: "The case weighs more than it must.",
    },
  });
}

function inside({ at: { inner } }: CaseFacts): Verdict {
  return usualRange("form.case-inner", "case-bottom", "A divider’s thickness", {
    actual: inner,
    range: CASE.inner,
    path: at("inner"),
    reasons: {
      low: "A divider is let into from both sides: little is left in its middle.",
      high: "Dividers and shelves take the room of what they part.",
    },
  });
}

/** Bottom and shelves between what holds them. */
function sags({ at: place, form, species }: CaseFacts): Verdict {
  const wide = Math.max(1, place.deep.to - place.insideBack);
  const spans = [
    ...place.bays.map(({ from, to }) => ({ what: "bottom", kind: "case-bottom", span: to - from })),
    ...place.loose.map(({ kind, across }) => ({ what: "loose shelf", kind, span: across.to - across.from })),
    ...shelvesOf(place).map(({ bay }) => ({
      ...{ what: "shelf", kind: "case-shelf" },
      span: place.bays[bay].to - place.bays[bay].from,
    })),
  ];
  const worst = spans.reduce((a, b) => (b.span >= a.span ? b : a));
  const span = Math.max(1, worst.span);
  return sagVerdict({
    ...{ id: "form.case-sag", subject: [worst.kind], what: worst.what, held: "between what holds it" },
    ...{ board: { span, wide, thickness: place.inner } },
    stiffness: place.sheet ? SHEETS[place.sheet].stiffness : species.stiffness,
    mend: (thick) => [
      ...(thick <= 40 ? [set(`Make bottom, dividers and shelves ${thick} mm thick`, at("inner"), thick)] : []),
      // what its openings hold stays on one side of it
      ...(place.bays.length === 1 ? [set("Set a divider in its middle", at("bays"), bayAdded(form.case.bays, 0))] : []),
    ],
  });
}

/** Two sheets of a back meet on one edge: each is screwed into its half. */
function backSeams({ at: { backed, inner, ...place } }: CaseFacts): Verdict | null {
  if (backed !== "sheet") return null;
  const sheets = backSheets({ backed, inner, ...place });
  if (sheets.length < 2) return null;
  return verdict({
    id: "form.back-seams",
    stage: "form",
    subject: ["case-back", "divider"],
    level: grade(inner, "at least", SEAM.good, SEAM.least),
    text: `The back is of ${sheets.length} sheets that meet on dividers ${mm(inner)} thick`,
    why: `It is larger than a sheet. Each has half of a divider’s edge, ${fine(inner / 2)}, for its screws: under ${mm(SEAM.least / 2)} they split out of it.`,
    limit: SEAM.good,
    actual: inner,
    sense: "at least",
    unit: "mm",
    remedies: inner >= SEAM.good ? [] : [set(`Make dividers ${mm(SEAM.good)} thick`, at("inner"), SEAM.good)],
  });
}
/** Of a divider on which two sheets meet, mm. @source common practice: a screw of 3.5 in the middle of its half */
const SEAM = { good: 18, least: 15 };

/** A back keeps it square. */
function racks({ at: { back, backed, dividers, kick: kicked, drawers } }: CaseFacts): Verdict {
  const braces = backed === "sheet" || backed === "framed";
  const helped = [...(dividers.length > 0 ? ["dividers"] : []), ...(kicked ? ["kick board"] : [])];
  return verdict({
    id: "form.racking",
    stage: "form",
    subject: ["case-back", "case-side"],
    level: braces ? "holds" : "tight",
    text: braces
      ? "The back keeps the case square"
      : backed === "boards"
        ? "Boards that slide in their laps do not keep the case square"
        : "Nothing but its corners keeps the case square",
    why: braces
      ? backed === "sheet"
        ? `A sheet of ${fine(back)} screwed round its edges does not go out of square.`
        : "A frame with glued corners, screwed round its edges, does not go out of square."
      : `Housings and dovetails alone stop it racking sideways${helped.length > 0 ? `, with the ${listed(helped)} to help` : ""}.`,
    // where drawers come out behind there can be none
    remedies:
      braces || drawers.some(({ turned }) => turned)
        ? []
        : [set("Give it a back of sheet", at("back"), "sheet"), set("Give it a framed back", at("back"), "framed")],
  });
}

/** What rails that lie flat can hold a top by. */
const TAKES = ["oversized", "figure-8", "screwed", "loose"];

function fastening({ at: { corners, subTop }, choices: { fastening: way } }: CaseFacts): Verdict | null {
  if (corners !== "rails") return null;
  const takes = TAKES.includes(way);
  return verdict({
    id: "form.case-top",
    stage: "form",
    subject: [subTop ? "sub-top" : "case-rail", "top"],
    level: takes ? "holds" : "fix",
    text: takes
      ? `The ${subTop ? "sub-top takes" : "rails take"} what holds the top`
      : "What lies flat under the top takes no buttons, clips or cleats",
    why: "The top is screwed up through them, which the sides carry apart as they and the top swell together: the holes are large all the same, for the weeks in which thick and thin part company.",
    remedies: takes ? [] : [set("Screw it up through oversized holes", ["joints", "fastening"], "oversized")],
  });
}

/** A plinth is high enough for a foot, and stands back from it. @source common practice */
const PLINTH = { low: 40, high: 130, toes: 20 };

function plinthHigh({ at: { plinth, deep } }: CaseFacts): Verdict | null {
  if (!plinth) return null;
  const back = deep.to - plinth.z.to;
  const thin = plinth.height < PLINTH.low;
  const level: Level =
    plinth.height < 12 || plinth.z.to - plinth.z.from < 60 ? "fix" : thin || back < PLINTH.toes ? "tight" : "holds";
  return verdict({
    id: "form.plinth",
    stage: "form",
    subject: ["plinth-front", "case-bottom"],
    level,
    text: thin
      ? `A plinth of ${mm(plinth.height)} is too low to be cleaned before`
      : back < PLINTH.toes
        ? `The plinth stands only ${mm(back)} back: toes and a skirting meet it`
        : `The plinth is ${mm(plinth.height)} high, ${mm(back)} behind the front`,
    why: `Usual is ${PLINTH.low} to ${PLINTH.high} mm, ${PLINTH.toes} mm back or more. It is as high as the bottom lies above the floor.`,
    remedies: [
      ...(thin ? [set("Raise the bottom to 60 mm", at("lift"), 60)] : []),
      ...(back < PLINTH.toes && !thin ? [set("Set it 40 mm back", at("setBack"), 40)] : []),
    ],
  });
}

/** A frame is as high as the bottom lies. */
const raising = ({ gap, rail }: LegFrame) => {
  const lift = Math.ceil((rail.depth + gap + FREE) / 10) * 10;
  return lift <= 500 ? [set(`Raise the bottom to ${lift} mm`, at("lift"), lift)] : [];
};
/** Legs go on so far below their rails, mm. @source common practice */
const FREE = 90;

/** Something keeps the dust out and the foot from the bottom's edge. */
function kick({ at: { lift, inner, relief, cornered, bottomBelow, round }, form }: CaseFacts): Verdict | null {
  if (bottomBelow || cornered || round || (!form.case.kick && lift === 0)) return null;
  const wanted = form.case.kick;
  const low = wanted && lift < KICK.least;
  const bare = lift - relief;
  return verdict({
    id: "form.kick",
    stage: "form",
    subject: ["kick", "case-bottom"],
    level: low || (relief > 0 && bare < 0) ? "tight" : "holds",
    text: low
      ? `${mm(lift)} below the bottom are too low for a kick board`
      : bare < 0 && relief > 0
        ? `The sides’ relief of ${mm(relief)} reaches above the bottom’s underside`
        : wanted
          ? `The kick board stands ${mm(KICK.back)} back from the front`
          : `${mm(lift)} stay open below the bottom`,
    why: `Toes go under; the bottom of ${mm(inner)} lies ${mm(lift)} above the floor.`,
    remedies: low
      ? [set("Raise the bottom to 60 mm", at("lift"), 60), set("Leave the kick board out", at("kick"), false)]
      : bare < 0 && relief > 0
        ? [set("Leave the relief out", at("relief"), 0)]
        : [],
  });
}
