import type { BlindTenon } from "../../../joinery/blind-tenon";
import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import type { BaseWork, WorkFacts } from "../base";
import { HALVES } from "../../../steps/parting";
import { railEndWork } from "../../../steps/rail-ends";
import { legJoints, lowOf, railsOf } from "./joints";
import { middleLegStep } from "./middle-parts";
import { BLOCK, LegAndApron } from "./place";
import { taperStep } from "./turned";

/** A frame that opens is closed half by half. */
const halvesGlued = (other: ReturnType<typeof railEndWork>) => ({
  ...HALVES.glue,
  ...(other?.screwed ? { title: "Screw the half rails to the ends" } : {}),
});

/** The order of legs and rails: mortises while the legs are square, tenons to them, a dry fit, the short sides first. */
export function legAndApronWork({
  form,
  at,
  joints: all,
  choices,
  thick,
  milled,
  grooved,
  fullHours,
  clampHours,
  long,
}: WorkFacts<LegAndApron>): BaseWork {
  const out: Step[] = [];
  const joints = railsOf(all);
  const low = at.low?.all ?? [];
  const lowKinds = [...new Set(low.map(({ kind }) => kind))];
  const lows = lowOf(all);
  const mortisesIn = (part: string) =>
    lows
      .filter((each): each is BlindTenon => each.kind === "blind-tenon" && each.receives === part)
      .reduce((sum, { count, tenons }) => sum + count * tenons, 0);
  const lowBored = lows.some(({ kind }) => kind !== "blind-tenon")
    ? " What low stretchers are dowelled or screwed by is bored with them, as their cards say."
    : "";
  const [lowInLegs, lowInEnds] = [mortisesIn("leg"), mortisesIn("end-stretcher")];
  const lowMortises = lowInLegs + lowInEnds;
  const deep = 8 * (joints[0]?.tenons ?? 1);
  const loose = choices.legRail.kind === "loose-tenon";
  const other = railEndWork(legJoints(all));
  const lowSaid =
    (lowMortises > 0
      ? ` ${lowInLegs > 0 ? `${lowInLegs} ${other ? "mortises " : ""}more for the low stretchers${at.low && at.low.taken > 0 ? `, ${Math.round(at.low.taken * 2) / 2} mm deeper than their card says: the taper takes that away again` : ""}.` : ""}${lowInEnds > 0 ? ` ${lowInEnds} in the end stretchers.` : ""}`
      : "") + lowBored;
  const rails = ["long-rail", "end-rail", ...(form.crossRails > 0 ? ["cross-rail"] : [])];
  out.push(
    step({
      id: "mortise",
      title: other?.first.title ?? "Mortise the legs",
      detail: other
        ? other.first.detail + lowSaid
        : `${deep} mortises, ${joints[0]?.mortiseDepth ?? 0} mm deep, while the legs are square.${lowSaid}`,
      parts: [
        "leg",
        ...(other ? ["long-rail", "end-rail"] : []),
        ...(lowKinds.includes("middle-stretcher") ? ["end-stretcher"] : []),
      ],
      after: other ? [...new Set([...thick, ...milled])] : thick,
      hours: (other ? other.first.hours : deep * TIME.mortise) + lowMortises * TIME.mortise,
      check: other?.first.check ?? "Depth in every mortise, with a marked stick.",
    }),
  );
  out.push(
    step({
      id: "tenon",
      title: other ? other.fit.title : loose ? "Mortise the rail ends and fit loose tenons" : "Cut and fit the tenons",
      detail: other
        ? other.fit.detail
        : loose
          ? "From the outside faces, same fence as the legs."
          : `Shoulders first, all of one length together; cheeks a hair full, tried on the first 5 mm of the tip, then planed to fit; far edges chamfered before they are planed, so that nothing chips out.${joints.some(({ mitre }) => mitre > 0) ? " Mitre the tips last." : ""}`,
      // cross-rails are cut to the dry frame, in a step of their own
      parts: [...rails.filter((kind) => kind !== "cross-rail"), ...lowKinds],
      after: ["mortise"],
      hours: (4 + low.length) * 2 * TIME.tenon,
      check: other?.fit.check ?? "Each tenon goes in by hand and lifts its leg.",
    }),
  );
  if (grooved) out.push(step({ id: "groove", ...grooved, parts: rails, after: milled }));
  if (form.cornerBlocks)
    out.push(
      step({
        id: "blocks",
        title: "Saw and drill the corner blocks",
        detail: "45° both ends; drill now, no driver fits between the rails later.",
        parts: ["corner-block"],
        after: milled,
        hours: 1,
        caution: "Small parts: saw them from a long stick against a stop block.",
      }),
    );
  out.push(
    step({
      id: "dry-fit",
      title: "Dry-fit the base",
      detail:
        (at.longRail.split
          ? "All shoulders closed, a square in every corner; the two halves pushed together on a flat floor, their rails in line." +
            " Diagonals equal over both."
          : "All shoulders closed, diagonals equal, a square in every corner.") +
        (form.crossRails > 0 ? " Mark the cross-rails’ shoulders and places from the frame as it stands." : "") +
        (lowKinds.length > 0 && form.leg.taper !== "none"
          ? " Low stretchers are fitted when the legs are tapered: mark their shoulders from the tapered faces."
          : ""),
      parts: ["leg", ...rails, ...(form.leg.taper === "none" ? lowKinds : [])],
      after: ["tenon", ...(grooved ? ["groove"] : [])],
      hours: TIME.dryFit,
      check: "Diagonals within 1 mm; tops of legs and rails flush.",
    }),
  );
  if (form.crossRails > 0)
    out.push(
      step({
        id: "cross",
        title: "Cut the cross-rails to the frame and mortise the long rails for them",
        detail: "Before the frame is glued: no router reaches it after.",
        parts: ["long-rail", "cross-rail"],
        after: ["dry-fit"],
        hours: (0.5 + 2 * TIME.tenon) * form.crossRails,
        check: "In the dry frame again: they push no rail apart.",
      }),
    );
  if (form.leg.taper !== "none") out.push(taperStep(form, at));
  if (lowKinds.length > 0 && form.leg.taper !== "none")
    out.push(
      step({
        id: "fit-low",
        title: "Fit the low stretchers between the tapered legs",
        detail:
          "Shoulders to the legs’ angle, marked from the dry frame; their mortises were cut square to the outer faces.",
        parts: ["leg", ...lowKinds],
        after: ["taper"],
        hours: 0.4 * low.length,
        check: "Legs stay upright when the stretchers are in: no shoulder pushes them.",
      }),
    );
  if (form.apron.arch > 0)
    out.push(
      step({
        id: "arch",
        title: "Saw the arches of the rails",
        detail: `${form.apron.arch} mm from one template, after the tenons and ${grooved ? "grooves" : "joints"} are cut; straight for 60 mm at the shoulders.`,
        parts: ["long-rail", "end-rail"],
        after: ["dry-fit"],
        hours: 4 * TIME.shape,
      }),
    );
  const shaped = [
    lowKinds.length > 0 && form.leg.taper !== "none" ? "fit-low" : form.leg.taper !== "none" ? "taper" : "dry-fit",
    ...(form.apron.arch > 0 ? ["arch"] : []),
    ...(form.crossRails > 0 ? ["cross"] : []),
  ];
  out.push(
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail:
        "Inside faces too; keep off the shoulders. Ease the edges that can’t be reached when the frame is closed. What is finished now is taped where it takes glue: " +
        (other ? "shoulders and what is bored in them." : "tenons, mortises, shoulders."),
      parts: ["leg", ...rails, ...lowKinds],
      after: shaped,
      hours: 2,
    }),
  );
  out.push(
    step({
      id: "glue-ends",
      title: other?.screwed ? "Screw the two ends together" : "Glue the two ends",
      detail: `Short sides first: two legs${lowKinds.includes("end-stretcher") ? ", an end rail and an end stretcher" : " and an end rail"} each.${other ? ` ${other.closing}` : ""}`,
      parts: ["leg", "end-rail", ...lowKinds.filter((kind) => kind === "end-stretcher")],
      after: ["sand-base"],
      hours: TIME.glueFrame,
      ...(other?.screwed
        ? { clamps: FRAME_CLAMPS, clampHours: 0 }
        : { wait: fullHours, waitFor: "the ends to cure", clamps: FRAME_CLAMPS, clampHours }),
      check: "Out of wind, legs parallel within 0.5 mm.",
    }),
  );
  const along = lowKinds.filter((kind) => kind !== "end-stretcher").length > 0;
  const trapped =
    form.crossRails && along
      ? "Cross-rails and low stretchers"
      : form.crossRails
        ? "Cross-rails"
        : along
          ? "Low stretchers"
          : "";
  out.push(
    step({
      id: "glue-base",
      title: other?.screwed ? "Screw the long rails between the ends" : "Glue the long rails between the ends",
      detail: trapped
        ? `${trapped} go in with them: they can't be put in afterwards.`
        : "On a flat floor, all four feet down.",
      parts: [
        "long-rail",
        ...(form.crossRails ? ["cross-rail"] : []),
        ...lowKinds.filter((kind) => kind !== "end-stretcher"),
      ],
      after: ["glue-ends"],
      hours: TIME.glueFrame,
      ...(other?.screwed
        ? { clamps: FRAME_CLAMPS, clampHours: 0 }
        : { wait: fullHours, waitFor: "the base to cure", clamps: FRAME_CLAMPS, clampHours }),
      check: "Diagonals within 1 mm; all four feet touch.",
      ...(at.longRail.split ? halvesGlued(other) : {}),
    }),
  );
  if (form.cornerBlocks)
    out.push(
      step({
        id: "screw-blocks",
        title: "Screw in the corner blocks",
        detail: `Clear of the legs by ${BLOCK.clear} mm.`,
        parts: ["corner-block"],
        after: ["glue-base", "blocks"],
        hours: 0.5,
      }),
    );

  return {
    steps: out,
    levelling: [
      step({
        id: "cut-feet",
        title: long ? "Cut the legs to height and ease the feet" : "Level the feet and ease them",
        detail: `On the flat floor, marked from a block${long ? "" : ": a shaving, no more"}. Chamfer every foot 2 mm, so that it slides and doesn’t split.${at.through ? " Their heads stay long until the top is in its notches, then they are planed level with it." : ""}`,
        parts: ["leg"],
        after: [form.cornerBlocks ? "screw-blocks" : "glue-base"],
        hours: 0.75,
        check: "No rock on a flat floor.",
      }),
      ...middleLegStep(at, ["cut-feet"]),
    ],
    apart: ["sand-base", "glue-ends"],
    closing: "glue-base",
    closed: [form.cornerBlocks ? "screw-blocks" : "glue-base"],
    standing: [at.middleLegs.length > 0 ? "middle-legs" : "cut-feet"],
    seen: ["leg", "long-rail", "end-rail", ...lowKinds, ...(at.middleLegs.length > 0 ? ["middle-leg"] : [])],
  };
}
