import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import { legCut } from "./legs";
import { cutSaid, degrees } from "./parts";
import { lowest, SplayedFrame } from "./place";

/** The order of splayed legs under rails: bevels from a drawing, ends and slots while legs are square, tapers after, two frames, then the whole. */
export function splayedFrameWork({
  at,
  thick,
  milled,
  grooved,
  fullHours,
  clampHours,
}: WorkFacts<SplayedFrame>): BaseWork {
  const { legs, rails, lows, choices, under } = at;
  const [rail, endRail] = [rails.find(({ run }) => run === "along")!, rails.find(({ run }) => run === "across")!];
  const { gauge, blade } = legCut(legs);
  const tapered = legs.taperFrom > 0;
  const railKinds = [...new Set(rails.map(({ kind }) => kind))];
  const lowKinds = [...new Set(lows.map(({ kind }) => kind))];
  const leaning = rail.slope > 0 || endRail.slope > 0;
  const backed = legs.backed > 0.05;
  const parts = ["splayed-leg", ...railKinds, ...lowKinds];
  const lowFirst = choices.low.kind === "h";
  const steps: Step[] = [
    step({
      id: "set-out",
      title: "Draw one corner full size, from the front and from the end",
      detail: `Floor and underside of the top ${mm(under)} apart; ${degrees(legs.end.degrees)} from upright seen from the front, ${degrees(legs.side.degrees)} from the end. The saw is not set to these where a leg leans both ways: its ends take ${degrees(gauge)} at the fence and ${degrees(blade)} at the blade.`,
      parts: ["splayed-leg", ...railKinds],
      after: [],
      hours: 0.75,
      check: "A square scrap cut to both settings stands on the bench and leans as both drawings say.",
    }),
    ...(backed
      ? [
          step({
            id: "back-legs",
            title: "Plane two faces of each leg to the rails",
            detail: `The faces toward the ends, ${degrees(legs.backed)} off square, parallel: the inner one runs square to its rail’s cut, the outer one with the end rail. Front and back stay. Two legs are the mirror of the other two: mark heads, fronts and insides first.`,
            parts: ["splayed-leg"],
            after: ["set-out", ...thick],
            hours: 4 * 0.25,
            check: `A bevel set to ${degrees(90 - legs.backed)} lies close on all four, from the front.`,
          }),
        ]
      : []),
    step({
      id: "ends",
      title: "Cut the legs’ feet and heads level",
      detail: `Front or back on the table, ${degrees(gauge)} off square and the blade ${degrees(blade)} over; both ends parallel, ${mm(legs.under * legs.stretch)} along every edge. Two legs one way, two the other: the fence is turned over for those.`,
      parts: ["splayed-leg"],
      after: ["set-out", ...thick, ...(backed ? ["back-legs"] : [])],
      hours: 1.2,
      check: "Stood on a flat board each leans outward both ways, all four alike in height.",
    }),
    step({
      id: "shoulders",
      title: "Saw the rails’ ends",
      detail: `Rails ${cutSaid(rail)}; end rails ${cutSaid(endRail)}; the longer edge is the lower one. Two from each stop, face down and face up.`,
      parts: railKinds,
      after: ["set-out", ...milled],
      hours: 1,
      check: "A rail stood on the drawing covers its lines.",
    }),
    ...(leaning
      ? [
          step({
            id: "bevel-rails",
            title: "Bevel the rails’ edges",
            detail: `Upper and lower edge level as the rail leans: ${degrees(legs.side.degrees)} on the rails, ${degrees(legs.end.degrees)} on the end rails, parallel, ${mm(at.rail.depth)} from one to the other when it stands.`,
            parts: railKinds,
            after: ["shoulders"],
            hours: 0.6,
            check: "A straightedge over two opposite rails lies on both edges whole.",
          }),
        ]
      : []),
    step({
      id: "slots",
      title: "Slot the legs and the rails",
      detail:
        "Square to each face and each cut, while the legs are not tapered: the rail lies on a wedge of its own angle so that its end is level under the cutter.",
      parts: ["splayed-leg", ...railKinds],
      after: ["ends", leaning ? "bevel-rails" : "shoulders"],
      hours: 16 * TIME.mortise,
      check: "Two slots of one leg don’t meet: a rod in one stops short of the other.",
    }),
    ...(tapered
      ? [
          step({
            id: "taper",
            title: "Taper the legs’ inner faces",
            detail: `From ${mm(legs.under - at.rail.depth - legs.taperFrom)} below the rails to ${fine(choices.foot)} at the foot, on the two inner faces only.`,
            parts: ["splayed-leg"],
            after: ["slots"],
            hours: 4 * TIME.shape,
            caution: "Taper jig: hold-downs, and the leg’s thick end first.",
          }),
        ]
      : []),
    ...(grooved ? [step({ id: "groove", ...grooved, parts: railKinds, after: ["slots"] })] : []),
    ...(lows.length > 0
      ? [
          step({
            id: "low",
            title: "Cut the stretchers to the legs",
            detail: `Legs and rails stand dry: lay each over the legs at ${mm(lowest(lows))} and scribe both ends${lowFirst ? "; the middle one is scribed from the end stretchers when they hang in their legs" : ""}. ${cutSaid(lows[0])[0].toUpperCase()}${cutSaid(lows[0]).slice(1)} is what the drawing says.`,
            parts: ["splayed-leg", ...lowKinds],
            after: [...milled, "slots", ...(tapered ? ["taper"] : [])],
            hours: 0.5 + lows.length * 2 * (TIME.tenon + TIME.mortise),
            check: "Each slips in without pushing a leg out.",
          }),
        ]
      : []),
    step({
      id: "dry-fit",
      title: "Dry-fit the base upside down",
      detail: "On a flat board, heads and rails’ upper edges on it; a band round the feet.",
      parts,
      after: [
        "slots",
        ...(lows.length > 0 ? ["low"] : []),
        ...(tapered ? ["taper"] : []),
        ...(grooved ? ["groove"] : []),
      ],
      hours: 1,
      check: "From foot to foot the same on both sides, and both diagonals alike, within 2 mm.",
    }),
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Keep off shoulders. What is finished now is taped where it takes glue.",
      parts,
      after: ["dry-fit"],
      hours: 2,
    }),
    step({
      id: "glue-ends",
      title: "Glue the two end frames",
      detail: `Two legs, an end rail${lows.some(({ kind }) => kind === "splay-end-stretcher") ? " and its stretcher" : ""} at a time. A clamp slides on legs that lean: glue on or clamp on wedges of ${degrees(legs.side.degrees)} so that jaws pull square to the rail.`,
      parts: ["splayed-leg", "splay-end-rail", ...lowKinds.filter((kind) => kind === "splay-end-stretcher")],
      after: ["sand-base"],
      hours: TIME.glueFrame,
      wait: fullHours,
      waitFor: "the end frames to cure",
      ...{ clamps: FRAME_CLAMPS, clampHours },
      check: "Both frames laid on one another: feet and heads cover.",
    }),
    step({
      id: "glue-base",
      title: "Glue the rails between the end frames",
      detail: `Heads down on the flat board, wedges of ${degrees(legs.end.degrees)} under the clamps.`,
      parts: ["splayed-leg", "splay-rail", ...lowKinds.filter((kind) => kind !== "splay-end-stretcher")],
      after: ["glue-ends"],
      hours: TIME.glueFrame,
      wait: fullHours,
      waitFor: "the base to cure",
      ...{ clamps: FRAME_CLAMPS, clampHours },
      check: "Diagonals alike at the feet and at the heads.",
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
        check: "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-ends"],
    closing: "glue-base",
    closed: ["glue-base"],
    standing: ["cut-feet"],
    seen: parts,
  };
}
