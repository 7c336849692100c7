import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import { rowSaid } from "../../../panels/row";
import { fine, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import { legFrameSteps } from "../leg-frame/work";
import { cornerStep } from "../corner-work";
import { Box, BOX, isMitred } from "./place";

/** Hours of a week, for what is waited for. */
const WEEK = 7 * 24;
const WALLS = ["box-front", "box-back", "box-end"];

const CORNERS = {
  splined: {
    title: "Mitre the walls and groove them for their splines",
    detail: "All mitres against one stop, two long and two short; grooves square to the cut, in a cradle.",
  },
  "loose-tenons": {
    title: "Mitre the walls and slot them for their loose tenons",
    detail: "All mitres against one stop; slots square to the cut, from its inside corner.",
  },
  keyed: {
    title: "Mitre the walls",
    detail: "All mitres against one stop, two long and two short; keys come when the box is glued.",
  },
  dowelled: {
    title: "Mitre the walls",
    detail: "All mitres against one stop, two long and two short; dowels come when the box is glued.",
  },
  rebated: {
    title: "Rebate the end walls",
    detail: "Along both ends of each, the cutter set to the wall that stands there; shoulders knifed from it.",
  },
  dovetailed: {
    title: "Dovetail the corners",
    detail:
      "Tails on front and back, sawn in pairs; the pins are marked from the very tails that go there, each corner numbered, lower edges together.",
  },
};

/** The order of a box: walls from one board, corners, rebate, insides finished before they are closed in; the bottom, its frame, the lid last. */
export function boxWork({ form, at, joints, thick, milled, fullHours, clampHours, long }: WorkFacts<Box>): BaseWork {
  const { choices, bottom, legs } = at;
  const { corner } = choices;
  const sized = WALLS.filter((kind) => at.panels?.some((panel) => panel.kind === kind)).map((kind) => `${kind}-size`);
  const row = at.panels?.find((panel) => panel.row)?.row;
  const slatted = bottom.slats.length > 0;
  const below = slatted ? "box-slat" : "box-bottom";
  const mitred = isMitred(choices);
  const later = corner === "keyed" || corner === "dowelled" || corner === "rebated" ? corner : null;
  const frame = legs
    ? legFrameSteps(legs, { thick, milled, fullHours, clampHours, long, joints, carries: "the bottom" })
    : null;
  const steps: Step[] = [
    step({
      id: "box-corners",
      ...CORNERS[corner],
      detail: `${row ? `From the blank, ${rowSaid(row)}, a pencil line over every cut: the grain runs on round three corners. ` : ""}${CORNERS[corner].detail}`,
      parts: WALLS,
      after: sized,
      hours: corner === "dovetailed" ? 6 : 3,
      check: mitred
        ? "Dry with tape round all four: no light in a corner, diagonals alike."
        : corner === "rebated"
          ? "A wall stands in its rebate flush with the end’s edge, square to it."
          : "Each corner closed by hand, pulled no further than half.",
      ...(mitred
        ? { caution: "A bevelled blade throws the narrow offcut: it falls free, never between blade and fence." }
        : {}),
    }),
    step({
      id: "box-rebate",
      title: "Cut the rebate for the bottom",
      detail: `${fine(bottom.rest)} by ${fine(bottom.thickness)}, the cutter set to the bottom that is there. ${mitred ? "Through from end to end: the mitres hide it." : "Stopped at both ends of every wall, its corners squared with a chisel."}`,
      parts: WALLS,
      after: ["box-corners"],
      hours: mitred ? 0.5 : 1.25,
    }),
    step({
      id: "dry-fit",
      title: "Dry-fit the box",
      detail: mitred
        ? "On a flat board with a strap round it; the bottom laid in keeps it square."
        : `All four corners, the bottom laid in; clamps where they will be${corner === "dovetailed" ? ", blocks that press on the tails only" : ""}.`,
      parts: WALLS,
      after: ["box-rebate"],
      hours: TIME.dryFit,
      check: "Both diagonals alike, upper edges in one plane.",
    }),
    step({
      id: "sand-base",
      title: "Plane, sand and finish the insides",
      detail: `Insides of all four walls and the bottom’s upper face; tape over what takes glue.${mitred ? " Outsides once it is closed." : ""}`,
      parts: [...WALLS, below],
      after: ["dry-fit"],
      hours: 1.5 + TIME.coat,
    }),
    step({
      id: "glue-base",
      title: "Glue the box",
      detail: mitred
        ? "End grain sized with thinned glue a quarter of an hour before. Laid out in a row, outsides up, taped over the corners; turned, glued, folded up; a strap and corner blocks draw it shut."
        : corner === "rebated"
          ? "Rebates and ends sized with thinned glue a quarter of an hour before; front and back into one end, the other on top, clamps both ways."
          : "Slow glue on the cheeks of tails and pins, front and back down into one end, the other on top; one clamp over each row of tails.",
      parts: WALLS,
      after: ["sand-base"],
      hours: TIME.glueFrame * 1.5,
      wait: fullHours,
      waitFor: "the box to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
      check: "Diagonals alike within 1 mm while the glue is wet, no wall in wind over the bench.",
    }),
    ...(later ? [cornerStep(later, WALLS)] : []),
    step({
      id: "box-bottom",
      title: "Screw the bottom in",
      detail: slatted
        ? `${bottom.slats.length} slats from front to back in the rebates, the outer two first, the others on spacers of ${mm(choices.bottom.slats.gap)}: one screw in the middle of each end, no glue.`
        : bottom.solid
          ? `Tight in front, ${fine(bottom.free)} free behind on the day; screws in the middle of their slots of ${fine(form.box.bottom.slot)} at the ends and behind, a turn loose.`
          : "Glued into its rebate and screwed: from now on the box is square or it never is.",
      parts: [below],
      after: [
        later ? "corners-held" : "glue-base",
        ...(slatted ? milled : bottom.solid ? ["box-bottom-size"] : ["cut-sheets"]),
      ],
      hours: 0.75,
      check: "Flush below, or a hair inside.",
    }),
    ...(bottom.solid || slatted
      ? []
      : [
          step({
            id: "cut-sheets",
            title: "Cut the bottom from its sheet",
            detail:
              "By the sheet’s diagram, a knife line on the face that is seen, a millimetre over: fitted to its own rebate.",
            parts: ["box-bottom"],
            after: ["glue-base"],
            hours: 0.5,
          }),
        ]),
    ...(frame ? frame.steps : []),
    ...hardware(at),
  ];
  const whole = ["box-bottom", ...(frame ? [frame.closed] : [])];
  const stands = legs
    ? step({
        id: "cut-feet",
        title: "Level the frame and stand the box on it",
        detail: `Legs sawn to length on the flat floor, eased 2 mm. The box upside down, the frame on it, even all round; screws up through the strips${bottom.solid ? ", those behind in the middle of their slots" : ""}.`,
        parts: ["stand-leg"],
        after: whole,
        hours: 1,
        check: `The gap is ${mm(legs.gap)} all round, and nothing rocks.`,
      })
    : step({
        id: "cut-feet",
        title: "Level the lower edges and ease them",
        detail: "On the flat floor: a shaving, no more. Chamfer 2 mm, felt below.",
        parts: WALLS,
        after: whole,
        hours: 0.5,
        check: "No rock on a flat floor.",
      });
  return {
    steps,
    levelling: [stands],
    apart: ["sand-base", "glue-base"],
    closing: "glue-base",
    closed: whole,
    standing: ["cut-feet", ...(at.brackets.length > 0 ? ["measure-bought"] : [])],
    attach: hung(at),
    seen: [...WALLS, ...(legs ? ["stand-leg", "stand-rail", "stand-end"] : [])],
  };
}

/** What is bought for the lid: ordered first, measured when it comes. */
function hardware({ brackets, choices }: Box): Step[] {
  if (brackets.length === 0) return [];
  const { weeks, measured, low, high, length, height } = choices.lid.bracket;
  return [
    step({
      id: "order-bought",
      title: "Order the lift brackets",
      detail: `A pair for a lid of ${low} to ${high} kg, ${mm(length)} by ${mm(height)} folded up at most; slots across the lid’s grain.`,
      hours: 0.25,
      ...(weeks > 0 && !measured ? { wait: weeks * WEEK, waitFor: "the brackets to come" } : {}),
    }),
    step({
      id: "measure-bought",
      title: "Measure the brackets that came",
      detail:
        "Folded up and open: length, height, the way the lid goes, every hole from one edge; typed in before anything is drilled.",
      after: ["order-bought"],
      hours: 0.5,
      check: "Both open alike, side by side on the bench.",
    }),
  ];
}

function hung({ choices, hinges, ballast, under, high }: Box): BaseWork["attach"] {
  const { way, gap, stay, bracket } = choices.lid;
  const rests = gap > 0 ? ` Bumpers of ${fine(gap)} in the corners.` : "";
  switch (way) {
    case "hinged": {
      const deep = Math.max(0, BOX.hinge.closed - (under - high.to));
      return {
        title: "Hang the lid",
        detail: `${hinges.length} butt hinges ${mm(BOX.hinge.long)} long${deep > 0 ? `, let ${fine(deep)} into the back wall` : ""}; one screw each first, the lid tried, then the others.${rests}${stay ? " The stay last, set so that the lid comes down by itself and slowly." : ""}`,
        check: "Shut, it lies on both bumpers, even all along; up, it stays.",
      };
    }
    case "lift":
      return {
        title: "Mount the lid on its brackets",
        detail: `Brackets to the end walls first, level with each other by a batten across; the lid laid on and set even all round, marked from below through their slots, the rear screw of each tight, the others a turn loose. Screws of ${mm(bracket.screw)}: a stop on the drill.${ballast ? ` Before that ${ballast.mass} kg of steel, ${mm(Math.round(ballast.x.to - ballast.x.from))} by ${mm(Math.round(ballast.z.to - ballast.z.from))} by ${mm(ballast.thickness)}, screwed below its middle in slots.` : ""}${rests}`,
        check: "Let go at any height it neither falls nor flies; shut, the gap is even all round.",
      };
    case "loose":
      return {
        title: "Lay the lid on",
        detail: `Two cleats below it, clear of the walls by what it moves, keep it in place.${rests}`,
        check: "It goes on either way round.",
      };
  }
}
