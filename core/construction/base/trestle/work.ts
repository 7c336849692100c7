import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import type { BaseWork, WorkFacts } from "../base";
import type { Trestle } from "./place";

/** One across each end holds the shoulders of a stretcher shut. @source common practice */
const STRETCHER_CLAMPS = 2;

/** The order of a trestle: joints while everything is square, shapes after, each end by itself, the stretcher between them last. */
export function trestleWork(facts: WorkFacts<Trestle>): BaseWork {
  const { form, at, joints, thick, milled, grooved, fullHours, clampHours } = facts;
  const { trestle } = form;
  const has = (id: string) => joints.some((each) => each.id === id);
  const times = (of: string) =>
    joints.filter((each) => each.receives === of).reduce((sum, each) => sum + each.count, 0);
  const ends = at.ends.length;
  const wedged = trestle.stretcher.joint === "wedged";
  const lag = trestle.stretcher.joint === "lagged";
  const posts = at.bays.length > 1 ? ["post", "middle-post"] : ["post"];
  const strut = at.strut ? ["strut"] : [];
  const tie = at.ties.length > 0 ? ["tie"] : [];
  const up = at.uprights.length > 0 ? ["upright", "middle-brace"] : [];
  const shaped = [
    ...(trestle.foot.relief > 0 || trestle.foot.ends !== "square" ? ["foot"] : []),
    ...(trestle.brace.ends !== "square" ? ["brace"] : []),
    ...(trestle.stretcher.arch > 0 ? ["stretcher"] : []),
  ];
  const mortises =
    times("foot") + times("brace") + times("post") + times("middle-post") + times("stretcher") + times("middle-brace");
  const steps: Step[] = [
    step({
      id: "mortise",
      title: "Mortise feet, braces and posts",
      detail:
        `${mortises} in all, while everything is square. ${lag ? "Bore the posts for the lag screws, counterbore first." : trestle.stretcher.joint === "blind" ? "" : "The stretcher's go through: from both faces, to meet in the middle."}`.trim(),
      parts: ["foot", "brace", ...posts],
      after: thick,
      hours: mortises * TIME.mortise,
      check: "Both faces of a through mortise from one edge: gauge them from the same side.",
    }),
    step({
      id: "tenon",
      title: "Cut and fit the tenons",
      detail: `Posts at both ends from one stop, so that all shoulders are ${Math.round(at.post.shoulder)} mm apart; cheeks planed to fit.`,
      parts: posts,
      after: ["mortise"],
      hours: ends * at.rows.length * 2 * TIME.tenon,
      check: "Each tenon goes in by hand and lifts its foot.",
    }),
    ...(at.strut
      ? [
          step({
            id: "struts",
            title: "Saw the struts at 45° and fit them",
            detail: `Long point to long point ${Math.round(at.strut.reach * Math.SQRT2)} mm; ${trestle.struts.joint === "tenoned" ? "stub tenons square to each shoulder: one goes in sideways, the other when the brace comes down" : "each end housed and screwed"}.`,
            parts: ["strut"],
            after: ["tenon"],
            hours: 0.5 * 2 * ends * at.rows.length,
            caution: "Small parts at 45°: clamp them to the fence, hands clear.",
          }),
        ]
      : []),
    step({
      id: "dry-fit-ends",
      title: "Dry-fit each end",
      detail:
        "Foot, posts and brace together, square to the foot; mark the stretcher's shoulders from the posts as they stand.",
      parts: ["foot", ...posts, "brace", ...strut],
      after: at.strut ? ["struts"] : ["tenon"],
      hours: 0.5 * ends,
      check: "Foot and brace parallel within 0.5 mm, out of wind.",
    }),
    step({
      id: "stretcher",
      title: lag ? "Stub and bore the stretcher's ends" : "Tenon the stretcher",
      detail: lag
        ? "Stub tenons dry; loose tenons glued across, bored through the posts, their holes moved toward the shoulder."
        : wedged
          ? "Shoulders from the marks; kerfs end in their holes. Chamfer the tips before they go in."
          : "Shoulders from the marks.",
      parts: ["stretcher"],
      after: ["dry-fit-ends"],
      hours: at.bays.length * at.rows.length * 2 * TIME.tenon + (wedged ? 1 : 0),
    }),
    ...(has("brace+tie")
      ? [
          step({
            id: "ties",
            title: "Rout the braces and plane the ties to slide",
            detail: "Housings open above, all from one fence; each tail to its own housing.",
            parts: ["brace", "tie"],
            after: [...milled, "dry-fit-ends"],
            hours: 0.6 * at.ties.length * at.bays.length + 1,
            check: "Slides by hand to the last third.",
          }),
        ]
      : []),
    ...(up.length > 0
      ? [
          step({
            id: "uprights",
            title: "Fit the uprights and their braces",
            detail: "From the stretcher to the top's underside, marked from the dry ends.",
            parts: up,
            after: ["stretcher"],
            hours: at.uprights.length,
          }),
        ]
      : []),
    ...(grooved ? [step({ id: "groove", ...grooved, parts: ["brace", ...tie], after: milled })] : []),
    ...(shaped.length > 0
      ? [
          step({
            id: "shape",
            title: "Shape what is curved or cut",
            detail:
              "From templates, after every joint is cut: reliefs, ends and arches sawn outside the line, then faired.",
            parts: shaped,
            after: ["stretcher", ...(has("brace+tie") ? ["ties"] : []), ...(grooved ? ["groove"] : [])],
            hours: 0.4 * ends * shaped.length,
          }),
        ]
      : []),
  ];
  const ready = [...(shaped.length > 0 ? ["shape"] : ["stretcher"]), ...(up.length > 0 ? ["uprights"] : [])];
  steps.push(
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Keep off the shoulders. Chamfer before the glue what no plane reaches after.",
      parts: ["foot", ...posts, "brace", "stretcher", ...strut, ...tie, ...up],
      after: [...ready, ...(has("brace+tie") && shaped.length === 0 ? ["ties"] : [])],
      hours: 2,
    }),
    step({
      id: "glue-ends",
      title: "Glue the ends",
      detail: `Posts into the feet, ${at.strut ? "struts into the posts, then the brace down over both" : "then the brace down over them"}; one end at a time.`,
      parts: ["foot", ...posts, "brace", ...strut],
      after: ["sand-base"],
      hours: TIME.glueFrame * (ends / 2),
      wait: fullHours,
      waitFor: "the ends to cure",
      clamps: FRAME_CLAMPS,
      clampHours,
      check: "Foot and brace out of wind.",
    }),
    step({
      id: "glue-base",
      title: lag ? "Draw the stretcher between the ends" : "Glue the stretcher between the ends",
      detail: lag
        ? "Dry, lag screws and washers: it comes apart for the stairs. Letter each end."
        : wedged
          ? "Through both posts at once, then the wedges, glued, two at a time."
          : "Through both posts at once, on a flat floor.",
      parts: ["stretcher", ...up],
      after: ["glue-ends"],
      // wedges hold by themselves once they are in
      clamps: lag ? 0 : STRETCHER_CLAMPS,
      clampHours: wedged ? 1 : clampHours,
      hours: TIME.glueFrame,
      wait: lag ? 0 : fullHours,
      waitFor: lag ? "" : "the base to cure",
      check: "Ends parallel; diagonals between the feet within 1 mm.",
    }),
  );
  if (wedged)
    steps.push(
      step({
        id: "trim-wedges",
        title: "Trim the wedges",
        detail:
          trestle.stretcher.proud > 0 ? `To ${trestle.stretcher.proud} mm proud, chamfered.` : "Flush with the posts.",
        parts: ["stretcher"],
        after: ["glue-base"],
        hours: 0.5,
      }),
    );
  if (has("brace+tie"))
    steps.push(
      step({
        id: "slide-ties",
        title: "Slide the ties down",
        detail: "Glue on the last third only; flush with the braces' tops.",
        parts: ["tie"],
        after: ["glue-base"],
        hours: 0.5,
      }),
    );
  const closed = [wedged ? "trim-wedges" : "glue-base", ...(has("brace+tie") ? ["slide-ties"] : [])];
  return {
    steps,
    levelling: [
      step({
        id: "cut-feet",
        title: trestle.foot.pads ? "Let the pads in and level the feet" : "Level the feet and ease them",
        detail: "On the flat floor, marked from a block.",
        parts: ["foot", ...(trestle.foot.pads ? ["pad"] : [])],
        after: ["glue-base"],
        hours: 0.75,
        check: "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-ends"],
    closing: "glue-base",
    closed,
    standing: ["cut-feet"],
    seen: ["foot", ...posts, "brace", "stretcher"],
  };
}
