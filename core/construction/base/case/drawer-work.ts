import { FRAME_CLAMPS, Step, stepOf as step } from "../../../steps/step";
import { fine, listed, mm } from "../../../verdict/verdict";
import type { Case } from "./case";
import type { Times } from "./door-work";
import { DRAWER, HANG, ofSize, SLIDE } from "./drawer";
import { bored } from "./pull";

/** Drawers after the case: each from its own opening. */
export function drawerSteps(
  { drawers, pull }: Case,
  above: number,
  { fullHours, clampHours, milled }: Times,
  { run, sheet, strips }: { run: boolean; sheet: boolean; strips: number },
): Step[] {
  if (drawers.length === 0) return [];
  if (drawers[0].slides) return slidSteps({ drawers, pull, above, sheet }, { fullHours, clampHours, milled });
  const kinds = (of: string) => [...new Set(drawers.map((each) => ofSize(of, each)))];
  const closed = run ? "runners" : "glue-base";
  const [{ hanger, side, head }] = drawers;
  return [
    step({
      id: "drawers-fronts",
      title: "Fit the drawer fronts to their openings",
      detail: `One after another, from the board in the order they hang: first the lower edge and the ends, until each just goes in, then ${mm(above)} off above. Sides and backs are cut from what fits, never from the list.`,
      parts: [...kinds("drawer-front"), ...kinds("drawer-side"), ...kinds("drawer-back")],
      after: [closed, ...milled],
      hours: 0.5 * drawers.length,
      check: "An even gap all round, each front numbered inside with its opening.",
    }),
    step({
      id: "drawers-dovetails",
      title: "Dovetail the drawers and groove them",
      detail: `The bottom’s groove first, ${mm(DRAWER.up)} above the lower edge, in sides and front: the lowest tail hides its end. Tails on both sides at once, taped together; pins from the tails.${hanger ? ` Then the strips’ grooves outside: ${fine(hanger.height + HANG.play)} wide and ${fine(hanger.depth)} of ${fine(side)} deep, ${eachSaid(drawers, (each) => each.hanger!.y - each.high.from)} above the lower edge, through the back’s pins and open behind, stopped ${mm(HANG.stop)} before the front’s inner face.` : ""}`,
      parts: [...kinds("drawer-front"), ...kinds("drawer-side"), ...kinds("drawer-back")],
      after: ["drawers-fronts"],
      hours: 2.5 * drawers.length,
      caution: "Chop from both sides to the line; hands behind the edge.",
    }),
    step({
      id: "drawers-glue",
      title: "Glue the drawers",
      detail:
        "On a flat board, bottom in dry to keep it square, diagonals alike. Two clamps across the front’s corners, two at the back.",
      parts: [...kinds("drawer-front"), ...kinds("drawer-side"), ...kinds("drawer-back"), ...kinds("drawer-bottom")],
      after: ["drawers-dovetails", ...(sheet ? ["cut-sheets"] : [])],
      hours: 0.5 * drawers.length,
      wait: fullHours,
      waitFor: "the drawers to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
      check: "No wind: it lies flat on the saw’s table.",
    }),
    hanger
      ? stripsStep(strips, {
          hanger,
          head,
          bored: bored(pull),
          parts: ["hanger", ...kinds("drawer-bottom")],
          drawers,
        })
      : step({
          id: "drawers-stops",
          title: "Plane the drawers in, set the stops",
          detail: `Sides planed to the pins until it runs without shake; bottoms in from behind. Stops on the rail behind the front, glued to bare wood, lower than the ${mm(DRAWER.up)} below the bottom; wax where it runs.${bored(pull)}`,
          parts: [...kinds("drawer-side"), ...kinds("drawer-bottom")],
          after: ["drawers-glue"],
          hours: 1 * drawers.length,
          check: "Pushed with one finger it closes and stops flush.",
        }),
  ];
}

/** A height of every drawer: those that are alike share a setting. mm */
function eachSaid(drawers: Case["drawers"], of: (drawer: Case["drawers"][number]) => number): string {
  const heights = new Map<string, number[]>();
  for (const drawer of drawers) heights.set(fine(of(drawer)), [...(heights.get(fine(of(drawer))) ?? []), drawer.n]);
  return [...heights]
    .map(([up, all]) => (heights.size > 1 ? `${up} on ${listed(all.map((n) => `drawer ${n}`))}` : up))
    .join(", ");
}

/** What side-hung drawers hang on is set from the drawers themselves, and stops them. */
const stripsStep = (
  strips: number,
  {
    hanger,
    head,
    bored: pulls,
    parts,
    drawers,
  }: {
    hanger: NonNullable<Case["drawers"][number]["hanger"]>;
    head: Case["drawers"][number]["head"];
    bored: string;
    parts: string[];
    drawers: Case["drawers"];
  },
): Step =>
  step({
    id: "drawers-stops",
    title: "Set the strips, hang the drawers",
    detail: `In the case a board on each side holds the strips level: their lower edges stand ${eachSaid(drawers, (each) => each.hanger!.y - each.high.from + HANG.below)} above what lies below the drawer. A strip’s front end stands ${fine(head.face - hanger.to)} behind the case’s front, where the groove ends: that stops the drawer flush. The front screw first, tight; the others in the middle of their slots, a turn loose. Strips planed until the drawer runs without shake; bottoms in from behind; wax.${pulls}`,
    parts,
    after: ["drawers-glue"],
    hours: 0.5 * drawers.length + 0.2 * strips,
    check: "Pushed with one finger it closes and stops flush; the gap below it is even from side to side.",
  });

/** Boxes on bought slides after the case: sized from the openings and the slides that came, fronts last. */
function slidSteps(
  { drawers, pull, above, sheet }: Pick<Case, "drawers" | "pull"> & { above: number; sheet: boolean },
  { fullHours, clampHours, milled }: Times,
): Step[] {
  const kinds = (of: string) => [...new Set(drawers.map((each) => ofSize(of, each)))];
  const box = [...kinds("drawer-box-front"), ...kinds("drawer-side"), ...kinds("drawer-back")];
  const { thick, length } = drawers[0].slides!;
  const set = eachSaid(drawers, ({ slides, high }) => slides!.y - high.from);
  return [
    step({
      id: "drawers-dovetails",
      title: "Make the drawers’ boxes",
      detail: `Each as wide as its opening less ${fine(2 * thick)}: measured front and back with the slides that came in hand, the smaller counts; a hair under, never over. Sides ${mm(length)} from outside to outside. Grooves for the bottoms first, ${mm(DRAWER.up)} above the lower edge; tails on both sides at once, pins from the tails: both corners in front are through, the front hides them.`,
      parts: box,
      after: ["glue-base", ...milled],
      hours: 2 * drawers.length,
      caution: "Chop from both sides to the line; hands behind the edge.",
    }),
    step({
      id: "drawers-glue",
      title: "Glue the boxes",
      detail:
        "On a flat board, bottom in dry to keep it square, diagonals alike; the bottom screwed to the back from below.",
      parts: [...box, ...kinds("drawer-bottom")],
      after: ["drawers-dovetails", ...(sheet ? ["cut-sheets"] : [])],
      hours: 0.5 * drawers.length,
      wait: fullHours,
      waitFor: "the boxes to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
      check: "No wind: it lies flat on the saw’s table; its width within half a millimetre from front to back.",
    }),
    step({
      id: "drawers-slides",
      title: "Screw the slides on",
      detail: `In the case a batten of one height holds each pair level, ${mm(drawers[0].front.thickness)} behind the case’s front for the drawer’s own; two screws in their slots first. Their lower edges stand above the box’s own by ${set}, in the opening ${SLIDE.rise} mm more. Run each, then the last screws.`,
      parts: kinds("drawer-side"),
      after: ["drawers-glue"],
      hours: 0.5 * drawers.length,
      check: "It runs out and home by a finger, and lies level when it is out.",
    }),
    step({
      id: "drawers-stops",
      title: "Fit the fronts and screw them on",
      detail: `One after another, from the board in the order they hang: planed until the gap is even all round, ${mm(above)} above on the day. Held on shims in their openings, a spot of tape between front and box; screwed from inside through the wide holes, then set even and drawn up under their washers.${bored(pull)}`,
      parts: kinds("drawer-front"),
      after: ["drawers-slides"],
      hours: 0.75 * drawers.length,
      check: "Faces in one plane, gaps even, each front numbered inside with its opening.",
    }),
  ];
}
