import { bowSteps, fairedStep } from "./bow-work";
import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import type { BaseWork, WorkFacts } from "../base";
import { legFrameSteps } from "../leg-frame/work";
import { ofDoor } from "./door";
import { doorSteps } from "./door-work";
import { hangKind } from "./hung";
import { standSteps } from "./stand-work";
import { hangHoles } from "./hung-work";
import { plinthStep } from "./plinth-work";
import { postKinds } from "./posts";
import { postSteps } from "./posts-work";
import { carcassSteps, cutSheets } from "./sheet-work";
import { cornersStep, housingsStep } from "./joints-work";
import { drawerSteps } from "./drawer-work";
import { ofSize } from "./drawer";
import { framesOf, runnersOf } from "./frames";
import { framesStep } from "./frames-work";
import type { Case } from "./case";
import { shelvesOf } from "./inside";
import { backSteps } from "./back-work";
import { cornerStep } from "../corner-work";
import { cornerWords, heldLater } from "./corners";
import { dustOf, dustSteps } from "./dust";
import { BACK_SCREWS, backSheets } from "./back-sheet";
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
  const raised = at.bottomBelow;
  const posts = postKinds(at);
  // its top is its own upper board
  const flat = at.subTop ? "sub-top" : "case-rail";
  const crown = cornerWords(at);
  const later = heldLater(at);
  const closed = later ? "corners-held" : "glue-base";
  const frame = legs
    ? legFrameSteps(legs, { thick, milled, fullHours, clampHours, long, joints, carries: "the bottom" })
    : null;
  const shelves = [...new Set(shelvesOf(at).map(({ bay }) => shelfKind(bay)))];
  const frames = [...new Set(framesOf(at).map(({ bay }) => railKind(bay)))];
  const runners = runnersOf(at);
  const kinds = [...new Set(runners.filter(({ kind }) => kind !== "hanger").map(({ kind }) => kind))];
  const panels = [
    "case-side",
    "case-bottom",
    ...(at.subTop ? [flat] : []),
    ...(dividers.length > 0 ? ["divider"] : []),
    ...shelves,
  ];
  const hangs = [...new Set((at.onWall?.rails ?? []).map(({ bay }) => hangKind(bay)))];
  const between = [
    "case-bottom",
    ...panels.slice(2),
    // the front one of two rails is a kind of its own where it bows
    ...(crown ? ["top"] : at.bow && flat === "case-rail" ? [flat, "case-rail-bowed"] : [flat]),
    ...frames,
    ...hangs,
    ...(kick ? ["kick"] : []),
  ];
  const carcass = at.sheet ? [...panels, ...new Set(loose.map(({ kind }) => kind))] : [];
  const sized = [
    ...(at.sheet ? ["lippings"] : panels.map((kind) => `${kind}-size`)),
    ...(posts.length > 0 ? ["glue-posts"] : []),
  ];
  const several = bays.length > 1;
  // what ends at the front and is sawn to its bow
  const fronts = [
    ...between.filter((kind) => !kind.startsWith("hang") && !(at.bow && kind === "case-rail")),
    ...frames,
  ];
  const backKinds = [...new Set(backSheets(at).map(({ kind }) => kind))];
  const sheets = [
    ...(at.backed === "sheet" ? backKinds : []),
    ...new Set(dustOf(at).map(({ kind }) => kind)),
    ...(form.case.drawers.bottom === "sheet" ? new Set(drawers.map((each) => ofSize("drawer-bottom", each))) : []),
    ...(form.case.doors.panel === "sheet" && form.case.doors.build === "framed"
      ? new Set(doors.map((each) => ofDoor("door-panel", each)))
      : []),
  ];
  const steps: Step[] = [
    ...carcassSteps(at, {
      boards: carcass,
      lipped: carcass.filter((kind) => !(at.cornered && kind === "case-side")),
      ...{ milled, clampHours },
    }),
    ...(posts.length > 0
      ? postSteps(posts, { sized: at.sheet ? "cut-carcass" : "case-side-size", milled, fullHours, clampHours })
      : []),
    ...bowSteps(at, fronts, [...sized, ...milled]),
    housingsStep(at, {
      parts: panels,
      posted: posts.length > 0,
      shelves: shelves.length,
      frames: frames.length,
      after: [...sized, ...(at.bow ? ["bow"] : [])],
    }),
    ...(grooved && !crown
      ? [
          step({
            id: "rail-holes",
            ...grooved,
            detail: `${grooved.detail} Now: once the case is glued no drill stands upright in it.`,
            parts: [flat],
            after: at.subTop ? [at.sheet ? "lippings" : "sub-top-size"] : milled,
          }),
        ]
      : []),
    cornersStep(at, crown, {
      flat,
      posted: posts.length > 0,
      after: ["case-housings", ...milled, ...(crown ? ["flatten"] : [])],
    }),
    ...(frames.length > 0 || kinds.length > 0
      ? [framesStep({ frames, kinds, slot: form.case.slot, runners: runners.length, milled })]
      : []),
    step({
      id: "dry-fit",
      title: "Dry-fit the case",
      detail: `On its back, sides over ${raised && !at.sheet ? "dividers and shelves, the bottom up into them from below," : "bottom, dividers and shelves,"} ${crown ? "the top last" : at.sheet ? `and ${at.subTop ? "sub-top" : "rails"}` : `${at.subTop ? "sub-top" : "rails"} in last from above`}. Diagonals of the front and of every opening; number what goes where.`,
      parts: [...new Set([...panels, crown ? "top" : flat])],
      after: [
        "case-dovetails",
        ...(frames.length > 0 || kinds.length > 0 ? ["frames"] : []),
        ...(grooved && !crown ? ["rail-holes"] : []),
        ...(at.onWall ? ["hang-holes"] : []),
      ],
      hours: TIME.dryFit,
      check: "Every opening square within half a millimetre: drawers show the rest.",
    }),
    step({
      id: "sand-base",
      title: "Plane, sand and finish the insides",
      detail: `All faces that lie inside, with their finish, now: no brush reaches the corners later. Tape over what takes glue${kinds.length > 0 ? "; nothing on the runners’ upper faces and where drawers run but wax" : ""}.`,
      parts: [...new Set([...panels, ...(crown ? [] : [flat])])],
      after: ["dry-fit"],
      hours: 0.5 * panels.length + TIME.coat,
    }),
    step({
      id: "glue-base",
      title: "Glue the case",
      detail: `Slow glue: ${several ? "dividers into the bottom first, then everything between the sides, then both sides" : "everything between the sides, then both sides"}, ${crown ? `the top on last${at.corners === "mitred" ? ", its end grain sized a quarter of an hour before, blocks and a strap each way over the mitres" : at.corners === "rebated" || at.corners === "butted" ? ", clamped down over a batten at each end" : ", driven down over a block the length of a corner"}` : at.sheet ? `the ${at.subTop ? "sub-top" : "rails"} with the rest` : `the ${at.subTop ? "sub-top" : "rails"} from above`}. Cauls over the housings, crowned by a shaving, so that the middle of a wide side is pressed too.${frames.length > 0 ? " The drawer rails go in with it: their tenons can’t afterwards." : ""}`,
      parts: [...new Set([...between, "case-side"])],
      after: ["sand-base", ...(crown ? ["sand-top"] : [])],
      hours: TIME.glueFrame * 2,
      wait: fullHours,
      waitFor: "the case to cure",
      clamps: Math.max(FRAME_CLAMPS, 4 + 2 * (shelves.length + frames.length)),
      clampHours,
      check:
        "Diagonals of the front and of the back alike within 1 mm while the glue is wet; no side bowed by a clamp.",
    }),
    ...(later ? [cornerStep(later, ["top", "case-side", ...(at.round ? ["case-bottom"] : [])])] : []),
    ...(kinds.length > 0
      ? [
          step({
            id: "runners",
            title: "Set the runners and kickers",
            detail:
              "Glue in the front mortise only. Level with the rail in front, square to it by a straightedge across both; screws in the middle of their slots, a turn loose: the sides move along them.",
            parts: kinds,
            after: [closed],
            hours: 0.25 * runners.length,
            check: "A straightedge on both runners of an opening does not rock.",
          }),
        ]
      : []),
    ...cutSheets(sheets),
    ...dustSteps(at, "runners"),
    ...(frame ? frame.steps : []),
    ...(plinth ? [plinthStep({ milled, fullHours, clampHours })] : []),
    ...(at.onWall ? [hangHoles(at, at.onWall, milled, hangs)] : []),
    ...drawerSteps(
      at,
      form.case.drawers.above,
      { fullHours, clampHours, milled },
      { run: kinds.length > 0, strips: runners.length, sheet: form.case.drawers.bottom === "sheet" },
    ),
    ...fairedStep(at, [...new Set(drawers.map((each) => ofSize("drawer-front", each)))]),
    ...doorSteps(at, form.case.doors, { fullHours, clampHours, milled }),
  ];
  const whole = kinds.length > 0 ? "runners" : closed;
  const dusted = dustOf(at).length > 0 ? ["dust"] : [];
  const made = [
    ...dusted,
    drawers.length > 0 ? (at.bow ? "drawers-bow" : "drawers-stops") : whole,
    ...(doors.length > 0 ? ["doors-hang"] : []),
  ];
  const last: Step[] = [
    ...backSteps(at, form, { made, milled, fullHours, clampHours }),
    ...(at.backed === "sheet"
      ? [
          step({
            id: "back",
            title: "Screw the back on",
            detail: `Its inner face is finished first, drawers and doors are fitted through the open back. A screw every ${BACK_SCREWS.every} mm, the first at two corners with the case held square.`,
            parts: backKinds,
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
            parts: [flat],
            after: [whole],
            hours: 0.5,
            caution: "Tall cases and open drawers tip: it is not left standing there unfixed.",
          }),
        ]
      : []),
  ];
  return {
    steps: [...steps, ...last],
    levelling: standSteps(at, form, { whole, frame: frame?.closed ?? null }),
    ...(crown
      ? {
          attach: {
            title: "Set it up",
            detail: "Its top was glued on with its sides. A day in the room before it is loaded.",
            check: at.onWall ? "Level, and drawn to the wall." : "No rock where it will stand.",
          },
        }
      : {}),
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
      ...posts,
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
