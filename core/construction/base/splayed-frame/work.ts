/** The order of splayed legs under rails: bevels from a drawing, ends and slots while legs are square, tapers after, then what is glued at once, and the whole. */
import { Step, stepOf as step, TIME } from "../../../steps/step";
import { fine, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import { turningSaid } from "../round-leg";
import { cutSaid } from "./parts";
import { isRing, lowest, SplayedFrame } from "./place";
import { cornerWork } from "./corner-work";
import { ringWork } from "./ring-work";

export function splayedFrameWork(facts: WorkFacts<SplayedFrame>): BaseWork {
  const { at, thick, milled, grooved } = facts;
  const { legs, rails, lows } = at;
  const count = legs.ring?.spokes.length ?? 4;
  const own = isRing(legs) ? ringWork(facts, legs) : cornerWork(facts);
  const { turned } = legs;
  const tapered = legs.taperFrom > 0 || turned !== null;
  const thinned = turned
    ? turningSaid({ ...turned, all: `all ${count}` })
    : { ...own.taper, caution: "Taper jig: hold-downs, and the leg’s thick end first." };
  const railKinds = [...new Set(rails.map(({ kind }) => kind))];
  const lowKinds = [...new Set(lows.map(({ kind }) => kind))];
  const leaning = rails.some(({ slope }) => slope > 0);
  const backed = legs.backed > 0.05;
  const parts = ["splayed-leg", ...railKinds, ...lowKinds];
  const lowFirst = lows.some(({ kind }) => kind === "splay-middle-stretcher");
  const squared = ["set-out", ...thick, ...(backed ? ["back-legs"] : [])];
  // a lathe's centres want square ends
  const ends = step({
    id: "ends",
    title: "Cut the legs’ feet and heads level",
    ...own.ends,
    ...(turned
      ? {
          detail: `${own.ends.detail} The square head lies on the saw, the foot on a packing of ${fine((legs.section - turned.foot) / 2)}.`,
        }
      : {}),
    parts: ["splayed-leg"],
    after: turned ? ["taper"] : squared,
    hours: count * 0.3,
  });
  const steps: Step[] = [
    step({
      id: "set-out",
      ...own.setOut,
      parts: ["splayed-leg", ...railKinds],
      after: [],
      hours: 0.75,
    }),
    ...(backed
      ? [
          step({
            id: "back-legs",
            ...own.backed,
            ...(turned
              ? {
                  detail: `${own.backed.detail} First the lathe’s centres on both ends, from the corners of the square.`,
                }
              : {}),
            parts: ["splayed-leg"],
            after: ["set-out", ...thick],
            hours: count * 0.25,
          }),
        ]
      : []),
    ...(turned ? [] : [ends]),
    step({
      id: "shoulders",
      title: "Saw the rails’ ends",
      detail: `${own.shoulders}, face down and face up; the longer edge is the lower one.`,
      parts: railKinds,
      after: ["set-out", ...milled],
      hours: count * 0.25,
      check: "A rail stood on the drawing covers its lines.",
    }),
    ...(leaning
      ? [
          step({
            id: "bevel-rails",
            title: "Bevel the rails’ edges",
            detail: `Upper and lower edge level as the rail leans: ${own.bevels}, parallel, ${mm(at.rail.depth)} from one to the other when it stands.`,
            parts: railKinds,
            after: ["shoulders"],
            hours: 0.6,
            check: "A straightedge over two rails lies on both edges whole.",
          }),
        ]
      : []),
    step({
      id: "slots",
      title: "Slot the legs and the rails",
      detail: `Square to each face and each cut, while the legs are as thick as they were sawn${turned ? ", their ends square and long, the heads’ cuts marked all round" : ""}: the rail lies on a wedge of its own angle so that its end is level under the cutter.`,
      parts: ["splayed-leg", ...railKinds],
      after: [...(turned ? squared : ["ends"]), leaning ? "bevel-rails" : "shoulders"],
      hours: 4 * count * TIME.mortise,
      check: "Two slots of one leg don’t meet: a rod in one stops short of the other.",
    }),
    ...(tapered
      ? [
          step({
            id: "taper",
            ...thinned,
            parts: ["splayed-leg"],
            after: ["slots"],
            hours: count * TIME.shape * (turned ? 2 : 1),
          }),
        ]
      : []),
    ...(turned ? [ends] : []),
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
        ...(turned ? ["ends"] : []),
        ...(grooved ? ["groove"] : []),
      ],
      hours: 1,
      check: own.dryCheck,
    }),
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Keep off shoulders. What is finished now is taped where it takes glue.",
      parts,
      after: ["dry-fit"],
      hours: 2,
    }),
    ...own.glued,
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
    apart: ["sand-base", ...(own.glued.length > 1 ? ["glue-ends"] : [])],
    closing: "glue-base",
    closed: ["glue-base"],
    standing: ["cut-feet"],
    seen: parts,
  };
}
