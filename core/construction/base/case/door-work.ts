import { FRAME_CLAMPS, Step, stepOf as step } from "../../../steps/step";
import { sizeStep } from "../../../steps/panel";
import { fine, mm } from "../../../verdict/verdict";
import type { CaseChoices } from "../../../piece/case-choices";
import { bored } from "./pull";
import { battensOf } from "./door-battens";
import { latchSaid } from "./door-latch";
import type { Case } from "./case";
import { DOOR, hingesOf, ofDoor } from "./door";

export interface Times {
  fullHours: number;
  clampHours: number;
  milled: string[];
}

/** How doors that close before the case are hung. */
const overlaid = (doors: Case["doors"], gap: number, hinges: number): string =>
  `${hinges} cup hinges: a cup of ${mm(DOOR.cup.across)} ${fine(DOOR.cup.deep)} deep, its middle ${mm(DOOR.cup.from)} from the door’s edge, bored against a fence and a stop; plates screwed to the case where the hinges that came say. Set by their screws until ${doors.length > 1 ? `${fine(gap)} stay between neighbours and ` : ""}${mm(DOOR.cup.shows)} of the case’s edges show all round; bumpers of ${mm(DOOR.cup.bumper)} behind.`;

/** Doors after the case, from their own openings; panels finished before they are closed in. */
export function doorSteps(
  { doors, pull }: Pick<Case, "doors" | "pull">,
  { panel, groove, free, gap, mount, build, batten }: CaseChoices["doors"],
  { fullHours, clampHours, milled }: Times,
): Step[] {
  if (doors.length === 0) return [];
  const kinds = (of: string) => [...new Set(doors.map((each) => ofDoor(of, each)))];
  const frames = [...kinds("door-stile"), ...kinds("door-rail")];
  const panels = kinds("door-panel");
  const boards = build === "battened";
  const hinges = doors.reduce((sum, door) => sum + hingesOf(door).length, 0);
  const made: Step[] = boards
    ? [battenStep(doors, batten)]
    : [
        step({
          id: "doors-frames",
          title: "Joint the doors’ frames to their openings",
          detail: `Stiles and rails from straight-grained wood, a few mm over what ${mount === "overlay" ? "they cover" : "the openings measure"}. The groove ${mm(groove)} deep first, rails through from end to end, stiles between the rails; then mortises in line with it, tenons to them.`,
          parts: frames,
          after: ["glue-base", ...milled],
          hours: 2 * doors.length,
          check: "Dry, no wind over the diagonals; each frame numbered with its opening.",
        }),
        step({
          id: "doors-panels",
          title: panel === "solid" ? "Fit and finish the doors’ panels" : "Fit the doors’ panels",
          detail:
            panel === "solid"
              ? `Their edges thinned to slide in the grooves by hand, ${fine(free)} free at each side on the day, tight at neither end. Finished on both faces now: what is hidden shows bare wood when it shrinks.`
              : "They slide in by hand; sheet does not move, and may be glued.",
          parts: panels,
          after: ["doors-frames", ...(panel === "solid" ? panels.map(sizeStep) : [])],
          hours: 0.75 * doors.length,
        }),
        step({
          id: "doors-glue",
          title: "Glue the doors",
          detail: `Rails into one stile, the panel in ${panel === "solid" ? "dry, a dab of glue in the middle of each rail only" : "with them"}, the other stile. Flat on the bench, both clamps over the rails.`,
          parts: [...frames, ...panels],
          after: ["doors-panels"],
          hours: 0.75 * doors.length,
          wait: fullHours,
          waitFor: "the doors to cure",
          clamps: Math.max(2, FRAME_CLAMPS / 2) * doors.length,
          clampHours,
          check: "Diagonals alike within half a millimetre; sighted along, both stiles in one plane.",
        }),
      ];
  return [
    ...made,
    step({
      id: "doors-hang",
      title: "Hang the doors",
      detail:
        mount === "overlay"
          ? overlaid(doors, gap, hinges) + bored(pull)
          : `Planed to ${fine(gap)} all round, the hinged edge first. ${hinges} butt hinges ${mm(DOOR.hinge.long)} long, let in ${mm(DOOR.hinge.deep)} on both sides, marked from the hinges that came; steel screws first, brass ones last.${doors[0].latch === "none" ? "" : latchSaid(doors[0].latch)}${bored(pull)}`,
      parts: boards ? panels : kinds("door-stile"),
      after: [boards ? "doors-battens" : "doors-glue"],
      hours: 1.5 * doors.length,
      check:
        mount === "overlay"
          ? "Shut, every gap is even to the eye; no leaf rubs its neighbour as it opens."
          : "Let go half open it stays; shut, the gap is even to the eye.",
    }),
  ];
}

/** Boards as wide as the door, flat and at their size, get their battens. */
function battenStep(doors: Case["doors"], { width, thickness, slot }: CaseChoices["doors"]["batten"]): Step {
  const kinds = (of: string) => [...new Set(doors.map((each) => ofDoor(of, each)))];
  const battens = doors.reduce((sum, door) => sum + battensOf(door).ys.length, 0);
  return step({
    id: "doors-battens",
    title: "Screw the battens on the doors",
    detail: `The boards finished on both faces first, what the battens hide too. ${battens} battens of ${mm(width)} by ${mm(thickness)} across their backs, chamfered, square to the grain: the middle screw of each tight, all others in the middle of slots ${mm(slot)} long, a turn loose. No glue.`,
    parts: [...kinds("door-panel"), ...kinds("door-batten")],
    after: ["glue-base", ...kinds("door-panel").map(sizeStep)],
    hours: 0.5 * battens,
    check: "A straightedge across the boards shows no light.",
  });
}
