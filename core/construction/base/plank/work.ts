import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import { rowSaid } from "../../../panels/row";
import { mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import { cornerStep } from "../corner-work";
import { letInTop, Plank, wallLetIn } from "./place";

/** How ends are joined to the top where it is neither mitred nor housed. */
const HEADS = {
  "blind-tenon": {
    title: "Slot the ends and the top",
    detail: "Marked through from the ends’ heads; slots in the top from a fence, depth tried on scrap.",
  },
  dowelled: {
    title: "Bore the ends and the top for dowels",
    detail:
      "Heads first, from one face against one jig; the top through the same jig or with points in the holes, depth tried on scrap.",
  },
  "pocket-screwed": {
    title: "Bore the pockets in the ends",
    detail:
      "On the inner faces, while the ends lie flat; pilot holes in the top through them once the ends stand marked on it.",
  },
};

/** What mitres want before they are glued, and after. */
const MITRED = {
  loose: "; slots from the outer faces",
  spline: "; a groove in each from its inner side, the blade at the same tilt",
  keys: "; keys come when they are glued",
  dowels: "; dowels come when they are glued",
};
const LATER = { spline: null, loose: null, keys: "keyed", dowels: "dowelled" } as const;

/** The order of plank ends: panels first, joints to the top, the stretcher fitted between them, all closed with the top on. */
/** Mortises through the top. */
const THROUGH = {
  title: "Tenon the ends and mortise the top through",
  detail:
    "Tenons side by side against one fence, shoulders square all round. The end stood upside down on the top’s lower face, its tenons knifed round; mortises from both faces, to meet in the middle, flared above along the grain. One kerf along each tenon’s width.",
};

export function plankWork({ form, at, joints, milled, fullHours, clampHours }: WorkFacts<Plank>): BaseWork {
  const { plank: choice } = form;
  const { mitred, stretcher, bays, top } = at;
  const closed = at.floor > 0;
  const between = [...(stretcher ? ["stretcher"] : []), ...(at.wall ? ["wall"] : [])];
  const ends = ["plank-end", ...(at.ends.length > 2 ? ["middle-end"] : []), ...(closed ? ["bottom-board"] : [])];
  // what comes off the top's blank has its size at the mitres
  const sized = ends
    .filter((kind) => (at.panels ?? []).some((panel) => panel.kind === kind))
    .map((kind) => `${kind}-size`);
  const lies = between.length > 0 ? ", with what lies between" : "";
  const wedged = choice.stretcher.kind === "wedged";
  const trimmed = (wedged && stretcher !== null) || choice.joint === "through";
  const head = joints.find(({ id }) => id === "top+plank-end");
  const heads = head?.kind === "dowelled" || head?.kind === "pocket-screwed" ? head.kind : "blind-tenon";
  const later = mitred ? LATER[choice.mitre] : null;
  const joint: Step = mitred
    ? step({
        id: "corners",
        title: "Mitre the ends and the top",
        detail: `${at.row ? `From the blank, ${rowSaid(at.row)}: a line across every cut first, so that each comes back to its neighbour; ${mm(at.row.lost)} go at each.` : "Each from its own panel, best edges in front."} Both mitres of the top against one stop${closed ? ", those of the bottom against the same" : ""}${MITRED[choice.mitre]}.`,
        parts: [...ends, "top"],
        after: [...sized, "flatten"],
        hours: closed ? 5 : 3,
        check: "Held dry with tape over the corner: square inside, no light outside.",
        caution: "A long panel on a tilted blade: outfeed table, two people, the waste falls free.",
      })
    : step({
        id: "corners",
        title:
          choice.joint === "housed"
            ? "House the top for the ends"
            : (choice.joint === "through" ? THROUGH : HEADS[heads]).title,
        detail:
          choice.joint === "housed"
            ? `${mm(letInTop(top.thickness))} deep, as wide as each end is thick, measured from the end itself; against one fence, both from the same end of the top.`
            : (choice.joint === "through" ? THROUGH : HEADS[heads]).detail,
        parts: [...ends, "top"],
        after: [...sized, "flatten"],
        hours: 1 + 0.5 * at.ends.length,
        check: "An end stands square to the top by itself.",
      });
  const steps: Step[] = [
    joint,
    ...(choice.relief > 0 && !closed
      ? [
          step({
            id: "relief",
            title: "Saw the reliefs of the feet",
            detail: `${mm(choice.relief)} from one template, once the ends are square: they stand on two feet each.`,
            parts: ends,
            after: sized,
            hours: 0.4 * at.ends.length,
          }),
        ]
      : []),
    ...(stretcher
      ? [
          step({
            id: "stretcher",
            title: "Tenon the stretcher and mortise the ends for it",
            detail: wedged
              ? "Mortises from both faces, to meet in the middle; the shoulders from the ends as they stand dry under the top. Kerfs end in their holes."
              : "The shoulders from the ends as they stand dry under the top.",
            parts: ["stretcher", ...ends],
            after: ["corners", ...milled],
            hours: bays.length * 2 * (TIME.tenon + TIME.mortise) + 0.5,
            check: "Ends parallel with the stretcher in, top off and on.",
          }),
        ]
      : []),
    ...(at.wall
      ? [
          step({
            id: "wall",
            title: "House the ends for the wall",
            detail: `${mm(wallLetIn(at.plank.thickness))} deep, as wide as the wall is thick, from one fence and template on both; the wall goes in dry, two screws in its middle at each end: it moves up and down, the ends don’t.`,
            parts: ["wall", ...ends],
            after: [...sized, "wall-size"],
            hours: 0.5 + 0.5 * bays.length,
            check: "It slides in by hand and doesn’t rattle.",
          }),
        ]
      : []),
    step({
      id: "dry-fit",
      title: `Dry-fit ends${between.map((each) => `, ${each}`).join("")}${closed ? ", bottom" : ""} and top`,
      detail: "Upside down on blankets. Diagonals of the opening equal.",
      parts: [...ends, ...between],
      after: ["corners", ...between, ...(choice.relief > 0 && !closed ? ["relief"] : [])],
      hours: 0.75,
    }),
    step({
      id: "sand-base",
      title: "Plane and sand the ends",
      detail: `Insides too, before anything is closed.${mitred ? " Not the outside by the mitres: corner and top are planed in one when they are glued." : ""} What is finished now is taped where it takes glue.`,
      parts: [...ends, ...between],
      after: ["dry-fit"],
      hours: 0.75 * at.ends.length,
    }),
    step({
      id: "glue-base",
      title: closed
        ? `Glue all four corners${lies}`
        : mitred
          ? `Glue the corners${lies}`
          : `Glue the ends to the top${lies}`,
      detail: closed
        ? "Laid out flat in a row, outsides up, taped over three corners; turned over, glue in, rolled up and the fourth taped. Slow glue, end grain sized a quarter of an hour before; a strap each way over blocks."
        : mitred
          ? "Slow glue, end grain sized a quarter of an hour before; tape and blocks at the corners, a clamp across each way, both corners and the stretcher at once."
          : `Upside down: ends into the top${between.length > 0 ? `, the ${between.join(" and the ")} between them at the same time` : ""}${choice.joint === "through" ? "; turned over, wedges driven with glue, all in turn" : ""}; cauls over the ends’ feet.`,
      parts: [...ends, "top", ...between],
      after: ["sand-base", "sand-top"],
      hours: TIME.glueFrame * 1.5,
      wait: fullHours,
      waitFor: "the corners to cure",
      clamps: Math.max(FRAME_CLAMPS, 2 * at.ends.length + 2),
      clampHours,
      check: `Inside corners square, diagonals within 1 mm${head ? "; glue out of every joint" : ""}.`,
    }),
    ...(later ? [cornerStep(later, [...ends, "top"])] : []),
    ...(trimmed
      ? [
          step({
            id: "trim-wedges",
            title: stretcher && wedged ? "Drive and trim the wedges" : "Trim tenons and wedges",
            detail: [
              ...(stretcher && wedged
                ? [
                    choice.stretcher.proud > 0
                      ? `To ${choice.stretcher.proud} mm proud, chamfered.`
                      : "Flush with the ends, planed from the outside in.",
                  ]
                : []),
              ...(choice.joint === "through"
                ? [
                    choice.proud > 0
                      ? `Those in the top to ${choice.proud} mm proud, chamfered before the finish.`
                      : "Those in the top flush with its face, sawn over a card and planed with it.",
                  ]
                : []),
            ].join(" "),
            parts: [...(stretcher ? ["stretcher"] : []), ...(choice.joint === "through" ? ["plank-end"] : [])],
            after: [later ? "corners-held" : "glue-base"],
            hours: 0.5,
          }),
        ]
      : []),
  ];
  const last = trimmed ? "trim-wedges" : later ? "corners-held" : "glue-base";
  return {
    steps,
    levelling: [
      step({
        id: "cut-feet",
        title: closed ? "Flatten it below and ease its edges" : "Level the feet and ease them",
        detail: closed
          ? "A hollow in the bottom’s middle of a hair, so that it stands on its edges; thin pads at the four corners keep it off a damp floor."
          : "On the flat floor, marked from a block: a shaving, no more. Chamfer every foot 2 mm.",
        parts: ends,
        after: [last],
        hours: 0.5,
        check: "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-base"],
    closing: "glue-base",
    closed: [last],
    standing: ["cut-feet"],
    attach: {
      title: "Set it up",
      detail: "The top was glued on with the ends: felt under the feet, a day in the room before it is loaded.",
      check: "No rock where it will stand.",
    },
    seen: [...ends, ...between],
  };
}
