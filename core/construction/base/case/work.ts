import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import { legFrameSteps } from "../leg-frame/work";
import { ofDoor } from "./door";
import { doorSteps } from "./door-work";
import { hangKind } from "./hung";
import { hangHoles, hangStep } from "./hung-work";
import { plinthStep } from "./plinth-work";
import { drawerSteps } from "./drawer-work";
import { ofSize } from "./drawer";
import { framesOf, runnersOf } from "./frames";
import { framesStep } from "./frames-work";
import { PIN } from "./loose-shelf";
import type { Case } from "./case";
import { shelvesOf } from "./place";
import { backSteps } from "./back-work";
import { BACK_SCREWS } from "./contacts";
import { railKind, shelfKind } from "./kinds";

/** The order of a case: panels, joints, a dry fit, insides finished, everything between the sides closed at once; then back and drawers. */
export function caseWork({
  form,
  at,
  joints,
  thick,
  milled,
  grooved,
  fullHours,
  clampHours,
  long,
}: WorkFacts<Case>): BaseWork {
  const { bays, dividers, drawers, doors, loose, kick, back, legs, plinth } = at;
  const raised = at.foot > 0;
  const frame = legs
    ? legFrameSteps(legs, { thick, milled, fullHours, clampHours, long, joints, carries: "the bottom" })
    : null;
  const shelves = [...new Set(shelvesOf(at).map(({ bay }) => shelfKind(bay)))];
  const frames = [...new Set(framesOf(at).map(({ bay }) => railKind(bay)))];
  const runners = runnersOf(at);
  const kinds = [...new Set(runners.filter(({ kind }) => kind !== "hanger").map(({ kind }) => kind))];
  const panels = ["case-side", "case-bottom", ...(dividers.length > 0 ? ["divider"] : []), ...shelves];
  const hangs = [...new Set((at.onWall?.rails ?? []).map(({ bay }) => hangKind(bay)))];
  const between = ["case-bottom", ...panels.slice(2), "case-rail", ...frames, ...hangs, ...(kick ? ["kick"] : [])];
  const sized = panels.map((kind) => `${kind}-size`);
  const several = bays.length > 1;
  const sheets = [
    ...(at.backed === "sheet" ? ["case-back"] : []),
    ...(form.case.drawers.bottom === "sheet" ? new Set(drawers.map((each) => ofSize("drawer-bottom", each))) : []),
    ...(form.case.doors.panel === "sheet" && form.case.doors.build === "framed"
      ? new Set(doors.map((each) => ofDoor("door-panel", each)))
      : []),
  ];
  const steps: Step[] = [
    step({
      id: "case-housings",
      title: `Cut the housings of sides${dividers.length > 0 ? ", bottom and dividers" : ""}`,
      detail: `Both sides from one fence setting, front edges together, so that left and right can't differ; stopped short of the front and squared with a chisel.${back > 0 ? ` Then the back’s rebate, ${fine(back)} deep, along both sides.` : ""}${frames.length > 0 ? " Stub mortises for the drawer rails from the same layout stick." : ""}${loose.length > 0 ? ` Holes of ${PIN.diameter} mm for the shelves’ pins from one template, its foot always down.` : ""}`,
      parts: panels,
      after: sized,
      hours: 1 + 0.3 * (2 + 2 * dividers.length + 2 * shelves.length),
      check: "Sides held together: every housing runs on from one to the other.",
    }),
    ...(grooved
      ? [
          step({
            id: "rail-holes",
            ...grooved,
            detail: `${grooved.detail} Now: once the case is glued no drill stands upright in it.`,
            parts: ["case-rail"],
            after: milled,
          }),
        ]
      : []),
    step({
      id: "case-dovetails",
      title: `Dovetail the rails under the top${raised ? " and the bottom" : ""} into the sides`,
      detail: `Tails first, on both rails and to one gauge; the sides’ sockets are marked from the very tails that go there, each corner numbered. They go in from above: the top hides them.${raised ? ` The bottom’s, from edge to edge, go in from below, ${at.onWall ? "and are seen from there only" : `and the ${legs ? "frame" : "plinth"} hides those`}.` : ""}`,
      parts: ["case-rail", "case-side", ...(raised ? ["case-bottom"] : [])],
      after: ["case-housings", ...milled],
      hours: raised ? 6 : 2.5,
      check: "Rails flush with the sides’ upper edges, or a hair above.",
    }),
    ...(frames.length > 0 || kinds.length > 0
      ? [framesStep({ frames, kinds, slot: form.case.slot, runners: runners.length, milled })]
      : []),
    step({
      id: "dry-fit",
      title: "Dry-fit the case",
      detail: `On its back, sides over ${raised ? "dividers and shelves, the bottom up into them from below," : "bottom, dividers and shelves,"} rails in last from above. Diagonals of the front and of every opening; number what goes where.`,
      parts: [...panels, "case-rail"],
      after: [
        "case-dovetails",
        ...(frames.length > 0 || kinds.length > 0 ? ["frames"] : []),
        ...(grooved ? ["rail-holes"] : []),
        ...(at.onWall ? ["hang-holes"] : []),
      ],
      hours: TIME.dryFit,
      check: "Every opening square within half a millimetre: drawers show the rest.",
    }),
    step({
      id: "sand-base",
      title: "Plane, sand and finish the insides",
      detail: `All faces that lie inside, with their finish, now: no brush reaches the corners later. Tape over what takes glue${kinds.length > 0 ? "; nothing on the runners’ upper faces and where drawers run but wax" : ""}.`,
      parts: [...panels, "case-rail"],
      after: ["dry-fit"],
      hours: 0.5 * panels.length + TIME.coat,
    }),
    step({
      id: "glue-base",
      title: "Glue the case",
      detail: `Slow glue: ${several ? "dividers into the bottom first, then everything between the sides, then both sides" : "everything between the sides, then both sides"}, the rails from above. Cauls over the housings, crowned by a shaving, so that the middle of a wide side is pressed too.${frames.length > 0 ? " The drawer rails go in with it: their tenons can’t afterwards." : ""}`,
      parts: [...new Set([...between, "case-side"])],
      after: ["sand-base"],
      hours: TIME.glueFrame * 2,
      wait: fullHours,
      waitFor: "the case to cure",
      clamps: Math.max(FRAME_CLAMPS, 4 + 2 * (shelves.length + frames.length)),
      clampHours,
      check:
        "Diagonals of the front and of the back alike within 1 mm while the glue is wet; no side bowed by a clamp.",
    }),
    ...(kinds.length > 0
      ? [
          step({
            id: "runners",
            title: "Set the runners and kickers",
            detail:
              "Glue in the front mortise only. Level with the rail in front, square to it by a straightedge across both; screws in the middle of their slots, a turn loose: the sides move along them.",
            parts: kinds,
            after: ["glue-base"],
            hours: 0.25 * runners.length,
            check: "A straightedge on both runners of an opening does not rock.",
          }),
        ]
      : []),
    ...(sheets.length > 0
      ? [
          step({
            id: "cut-sheets",
            title: "Cut what is of sheet",
            detail:
              "By the sheets’ diagrams, strips first; a knife line under the saw’s teeth on the face that is seen. A millimetre over: each is fitted to its own grooves and rebates.",
            parts: sheets,
            after: ["glue-base"],
            hours: 0.5 + 0.15 * sheets.length,
          }),
        ]
      : []),
    ...(frame ? frame.steps : []),
    ...(plinth ? [plinthStep({ milled, fullHours, clampHours })] : []),
    ...(at.onWall ? [hangHoles(at, at.onWall, milled, hangs)] : []),
    ...drawerSteps(
      at,
      form.case.drawers.above,
      { fullHours, clampHours, milled },
      { run: kinds.length > 0, strips: runners.length, sheet: form.case.drawers.bottom === "sheet" },
    ),
    ...doorSteps(at, form.case.doors, { fullHours, clampHours, milled }),
  ];
  const whole = kinds.length > 0 ? "runners" : "glue-base";
  const made = [drawers.length > 0 ? "drawers-stops" : whole, ...(doors.length > 0 ? ["doors-hang"] : [])];
  const last: Step[] = [
    ...backSteps(at, form, { made, milled, fullHours, clampHours }),
    ...(at.backed === "sheet"
      ? [
          step({
            id: "back",
            title: "Screw the back on",
            detail: `Its inner face is finished first, drawers and doors are fitted through the open back. A screw every ${BACK_SCREWS.every} mm, the first at two corners with the case held square.`,
            parts: ["case-back"],
            after: [...made, "cut-sheets"],
            hours: 0.75,
          }),
        ]
      : []),
    ...(form.case.wall && !at.onWall
      ? [
          step({
            id: "wall",
            title: "Make the bracket for the wall",
            detail:
              "A steel angle under the rail at the back, its hole a slot up and down; into a stud, or a plug in sound masonry. It is the last thing done in the room.",
            parts: ["case-rail"],
            after: [whole],
            hours: 0.5,
            caution: "Tall cases and open drawers tip: it is not left standing there unfixed.",
          }),
        ]
      : []),
  ];
  return {
    steps: [...steps, ...last],
    levelling: [
      at.onWall
        ? hangStep(at, at.onWall, form.case.hang, [whole])
        : step({
            id: "cut-feet",
            ...(legs && frame
              ? {
                  title: "Level the frame and stand the case on it",
                  detail: `Legs sawn to length on the flat floor, eased 2 mm. The case upside down, the frame on it, even all round; screws up through the strips, tight in front, those behind in the middle of their slots of ${fine(form.case.slot)}.`,
                  parts: ["stand-leg"],
                  after: [whole, frame.closed],
                  hours: 1,
                  check: `The gap is ${mm(legs.gap)} all round, and nothing rocks.`,
                }
              : plinth
                ? {
                    title: "Set the case on its plinth",
                    detail: `The plinth levelled on the flat floor, the case set on it, even at both ends; screws down through the bottom, tight in front, those at the ends and behind in the middle of their slots of ${fine(form.case.slot)}.`,
                    parts: ["plinth-front", "plinth-back", "plinth-side"],
                    after: [whole, "plinth"],
                    hours: 1,
                    check: "No rock, no light between plinth and bottom.",
                  }
                : {
                    title: "Level the feet and ease them",
                    detail: "On the flat floor, marked from a block: a shaving, no more. Chamfer every foot 2 mm.",
                    parts: ["case-side"],
                    after: [whole],
                    hours: 0.5,
                    check: "No rock on a flat floor.",
                  }),
          }),
      ...(at.fillers.length > 0
        ? [
            step({
              id: "fillers",
              title: "Scribe the fillers to the walls",
              detail:
                "The case in its alcove, level and plumb, packed under its feet. Each filler held plumb against its side, a block as wide as its widest gap run down the wall with a pencil on it; sawn and planed to the line, undercut a little; screwed from inside the case.",
              parts: ["filler"],
              after: ["cut-feet"],
              hours: 1.5,
              check: "No light between wall and filler.",
            }),
          ]
        : []),
    ],
    apart: ["sand-base", "glue-base"],
    closing: "glue-base",
    closed: [...made, ...(back > 0 ? ["back"] : [])],
    standing: [
      "cut-feet",
      ...(at.fillers.length > 0 ? ["fillers"] : []),
      ...(form.case.wall && !at.onWall ? ["wall"] : []),
    ],
    seen: [
      "case-side",
      ...(legs ? ["stand-leg", "stand-rail", "stand-end"] : []),
      ...(plinth ? ["plinth-front", "plinth-side"] : []),
      ...new Set([
        ...loose.map(({ kind }) => kind),
        ...doors.map((each) => ofDoor(each.battens ? "door-panel" : "door-stile", each)),
        ...drawers.map((each) => ofSize("drawer-front", each)),
      ]),
    ],
  };
}
