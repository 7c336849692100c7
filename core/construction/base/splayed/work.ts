import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import { fine, listed, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import { legNumbers } from "./joints";
import type { Splayed } from "./place";

/** The step that last fits an arm to its leg. */
const ARM_STEP = { fork: "tongues", below: "heads", face: "arm-ends" } as const;

/** The order of splayed legs: joints while everything is square, tapers after, arms joined in the middle, legs last. */
export function splayedWork({ at, form, thick, milled, grooved, fullHours, clampHours }: WorkFacts<Splayed>): BaseWork {
  const { lean, arms, lapped, heads, beside, round, section, footSection, star } = at;
  const forked = heads === "fork";
  /** cut in faces of legs that are level and have their taper and rebate */
  const tenoned = heads === "face";
  const tapered = footSection < section || round;
  const off = `${lean.degrees.toFixed(1)}°`;
  const shoulders = listed([...new Set(arms.map(({ head }) => mm(Math.round((head - lean.level) * 2) / 2)))]);
  const numbers = legNumbers(at)
    .slice(2, 5)
    .map(({ what, setting }) => `${what.toLowerCase()} ${setting}`)
    .join(", ");
  const joint: Step | null = tenoned
    ? null
    : forked
      ? step({
          id: "forks",
          title: "Saw the slots in the legs’ heads",
          detail: `While the legs are square: from both faces, straight down the middle, their bottoms ${off} off square; the heads stay long until they are cut level.`,
          parts: ["splayed-leg"],
          after: ["set-out", ...thick],
          hours: arms.length * TIME.mortise * 1.5,
          caution: "Legs stand on end at the saw: clamped to a tall fence, never by hand.",
        })
      : step({
          id: "heads",
          title: "Slot the heads and the arms",
          detail: `Straight up from the level cut; the arms from below, marked from the heads.`,
          parts: ["splayed-leg", "arm"],
          after: ["ends", ...milled],
          hours: 2 * arms.length * TIME.mortise,
          check: "The loose tenons stop short of the legs’ sloping faces.",
        });
  const steps: Step[] = [
    step({
      id: "set-out",
      title: "Draw one arm and its leg full size",
      detail: `Floor and underside of the top, ${mm(at.under)} apart; the leg at ${off} from upright. Every leg is alike: ${numbers}.`,
      parts: ["splayed-leg", "arm"],
      after: [],
      hours: 0.5,
      check: "The bevel set on the drawing fits the saw’s gauge.",
    }),
    ...(forked && joint ? [joint] : []),
    step({
      id: "ends",
      title: "Cut feet and heads level",
      detail: `${off} off square, both ends parallel, ${mm(lean.length)} from long point to long point, against one stop${forked ? ", the slot upright in every leg" : ""}.`,
      parts: ["splayed-leg"],
      after: ["set-out", ...thick, ...(forked ? ["forks"] : [])],
      hours: 0.2 * arms.length + 0.3,
      check: "All alike when they are stacked.",
    }),
    ...(forked || !joint ? [] : [joint]),
    ...(beside
      ? [
          step({
            id: "rebates",
            title: "Saw the rebates in the heads",
            detail: `Floor ${mm(at.rise)} below the head’s end and level, wall plumb: both ${off} off the leg’s own sides, taken from the drawing. ${fine(beside.left)} stay outside the wall.`,
            parts: ["splayed-leg"],
            after: ["ends"],
            hours: arms.length * TIME.tenon,
            check: `An offcut as thick as the top lies on the floor and against the wall of every leg, no light under it.`,
          }),
        ]
      : []),
    lapped
      ? step({
          id: "hub",
          title: "Lap the two arms",
          detail: `Half of ${mm(at.arm.depth)} from each, the one from above, the other from below; tried on scrap.`,
          parts: ["arm"],
          after: ["set-out", ...milled],
          hours: 1.25,
          check: "Upper edges in one plane: a straightedge across both shows no light.",
        })
      : step({
          id: "hub",
          title: "Saw the arms’ inner ends to points",
          detail: `${[...new Set(arms.map(({ after }) => `${(90 - (after * 180) / Math.PI).toFixed(1)}°`))].join(" and ")} off square from both sides, to the middle line; then a loose tenon across each mitre.`,
          parts: ["arm"],
          after: ["set-out", ...milled],
          hours: 0.4 * arms.length + arms.length * TIME.mortise,
          check: `All ${arms.length} laid together close in the middle: shim the fence by half of what gapes, not the joint.`,
        }),
    ...(forked
      ? [
          step({
            id: "tongues",
            title: "Cut the arms’ tongues to the slots",
            detail: `Shoulders ${off} off square, ${shoulders} from the middle along the upper edge; cheeks planed until each slides home by hand.`,
            parts: ["arm"],
            after: ["hub", "forks"],
            hours: arms.length * TIME.tenon,
            check: "Arm and head flush above; the shoulder closes on the leg’s inner face.",
          }),
        ]
      : []),
    ...(tapered
      ? [
          step({
            id: "taper",
            title: round ? "Turn the legs" : "Taper the legs",
            detail: round
              ? `Between centres${tenoned ? "" : ", the slots filled with offcuts"}: ${mm(section)} at the head, ${fine(footSection)} at the foot, straight between; level cuts are sawn afterwards, in a cradle that holds the round.`
              : `From 10 mm below the arm to ${fine(footSection)} at the foot, all four sides alike.`,
            parts: ["splayed-leg"],
            after: ["ends", ...(forked ? ["forks"] : tenoned ? [] : ["heads"]), ...(beside ? ["rebates"] : [])],
            hours: arms.length * TIME.shape,
            caution: round
              ? "Square corners that turn can’t be seen: the rest clear of them, turned round by hand first; a face shield."
              : "Taper jig: hold-downs, and the leg’s thick end first.",
          }),
        ]
      : []),
    ...(tenoned
      ? [
          step({
            id: "arm-ends",
            title: "Shoulder the arms to the legs",
            detail: `${off} off square, ${shoulders} from the middle along the upper edge${round ? ", then hollowed to the round by gouge and file" : ""}; the tenons square to that shoulder, their mortises square to the leg’s inner face, from its ${beside ? "rebate’s floor" : "head"} down.`,
            parts: ["arm", "splayed-leg"],
            after: ["hub", "ends", ...(beside ? ["rebates"] : []), ...(tapered ? ["taper"] : [])],
            hours: arms.length * (TIME.tenon + TIME.mortise),
            check: `Arm and ${beside ? "rebate" : "head"} flush above; the shoulder closes on the leg’s inner face.`,
          }),
        ]
      : []),
    ...(grooved ? [step({ id: "groove", ...grooved, parts: ["arm"], after: [...milled, "hub"] })] : []),
    ...(star
      ? [
          step({
            id: "star",
            title: "Cut the star to the legs",
            detail: `${lapped ? "Two stretchers lapped" : "Stretchers sawn to points"} in the middle as the arms are; ${round ? "their outer ends are scribed round the legs, which stand dry under their arms" : "their outer shoulders are the legs’ own slope, marked from legs that stand dry under their arms"}, ${mm(star.from)} above the floor${round ? ", and hollowed by gouge and round file" : ""}. Then the slots, square to each shoulder, and in the legs square to their inner ${round ? "lines, the leg held in a cradle" : "faces"}.`,
            parts: ["star", "splayed-leg"],
            after: [...milled, "hub", ARM_STEP[heads], ...(tapered ? ["taper"] : [])],
            hours: 1 + arms.length * (TIME.tenon + TIME.mortise),
            check: "Flat on the bench the star lies on all its lower edges.",
          }),
        ]
      : []),
    step({
      id: "dry-fit",
      title: `Dry-fit arms${star ? ", star" : ""} and legs upside down`,
      detail: beside
        ? "On the top itself, or a disc as large, packed up so that the heads hang beside it: every arm and every rebate’s floor on it, all feet at one height."
        : "On a flat board: every upper edge on it, all feet at one height.",
      parts: ["splayed-leg", "arm", ...(star ? ["star"] : [])],
      after: [
        ...(star ? ["star"] : []),
        ARM_STEP[heads],
        "hub",
        "ends",
        ...(tapered ? ["taper"] : []),
        ...(grooved ? ["groove"] : []),
      ],
      hours: 0.75,
      check: "From foot to foot the same all round, within 2 mm.",
    }),
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Keep off shoulders and cheeks. What is finished now is taped where it takes glue.",
      parts: ["splayed-leg", "arm", ...(star ? ["star"] : [])],
      after: ["dry-fit"],
      hours: 0.4 * arms.length,
    }),
    step({
      id: "glue-ends",
      title: lapped ? `Glue the lap${star ? "s" : ""}` : `Glue the arms${star ? ", and the star," : ""} in the middle`,
      detail: lapped
        ? "Flat on paper, one clamp on the crossing."
        : "All at once on a flat board with a band round their outer ends, blocks screwed down beside them; end grain drinks, size it first.",
      parts: ["arm", ...(star ? ["star"] : [])],
      after: ["sand-base"],
      hours: TIME.glueFrame / 2,
      wait: fullHours,
      waitFor: "the middle to cure",
      clamps: lapped ? 1 : arms.length,
      clampHours,
    }),
    step({
      id: "glue-base",
      title: "Glue the legs to their arms",
      detail: tenoned
        ? `Upside down on ${beside ? "the top itself, or a disc as large, packed up so that the heads hang beside it" : "the flat board"}, ${star ? "arms and star into each leg at once" : "each leg onto its arm"}, a band round ${star ? "arms and star" : "the legs below the arms"} drawn tight over blocks sawn to ${off}${beside ? "; slips as thick as the gap in every rebate" : ""}.`
        : forked
          ? "Upside down, a clamp across each fork and one along the arm; the heads flush with the board."
          : star
            ? "The legs onto the star first, all at once, a band round them drawn tight; while it is wet the arms down onto the heads, a clamp over each."
            : "Upside down on the flat board, legs held from folding by a band round their feet.",
      parts: ["splayed-leg", "arm", ...(star ? ["star"] : [])],
      after: ["glue-ends"],
      hours: TIME.glueFrame,
      wait: fullHours,
      waitFor: "the base to cure",
      clamps: Math.max(FRAME_CLAMPS, 2 * arms.length),
      clampHours,
      check: "Feet equally far from one another; a straightedge over two heads touches the third.",
    }),
  ];
  return {
    steps,
    levelling: [
      step({
        id: "cut-feet",
        title: "Level the feet and ease them",
        detail: "On the flat floor, marked all round from a block. Chamfer every foot 2 mm.",
        parts: ["splayed-leg"],
        after: ["glue-base"],
        hours: 0.5,
        check:
          arms.length === 3 ? "Three feet never rock: the top’s height is what to check." : "No rock on a flat floor.",
      }),
    ],
    ...(beside
      ? {
          attach: {
            title: "Let the top down between the heads",
            detail: `Straight down onto the rebates’ floors, ${fine(form.splayed.rim.gap)} left at every wall; then screwed through the arms.`,
            check: "The same gap at every head.",
          },
        }
      : {}),
    apart: ["sand-base", "glue-ends"],
    closing: "glue-base",
    closed: ["glue-base"],
    standing: ["cut-feet"],
    seen: ["splayed-leg", "arm", ...(star ? ["star"] : [])],
  };
}
