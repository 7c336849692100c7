import { Step, stepOf as step, TIME } from "../../../steps/step";
import type { BaseWork, WorkFacts } from "../base";
import type { LegRailJoint } from "./joints";
import type { LegAndApron } from "./place";

/** The order of legs and rails: mortises while the legs are square, tenons to them, a dry fit, the short sides first. */
export function legAndApronWork({
  form,
  joints,
  choices,
  thick,
  milled,
  grooved,
  fullHours,
}: WorkFacts<LegAndApron, LegRailJoint>): BaseWork {
  const out: Step[] = [];
  const loose = choices.legRail.kind === "loose-tenon";
  const rails = ["long-rail", "end-rail", ...(form.crossRails > 0 ? ["cross-rail"] : [])];
  out.push(
    step({
      id: "mortise",
      title: "Mortise the legs",
      detail: `${8 * (joints[0]?.tenons ?? 1)} mortises, ${joints[0]?.mortiseDepth ?? 0} mm deep, while the legs are square.`,
      parts: ["leg"],
      after: thick,
      hours: 8 * (joints[0]?.tenons ?? 1) * TIME.mortise,
      check: "Depth in every mortise, with a marked stick.",
    }),
  );
  out.push(
    step({
      id: "tenon",
      title: loose ? "Mortise the rail ends and fit loose tenons" : "Cut and fit the tenons",
      detail: loose
        ? "From the outside faces, same fence as the legs."
        : "Shoulders first; cheeks planed to fit; mitre the tips.",
      parts: rails,
      after: ["mortise"],
      hours: (4 + form.crossRails) * 2 * TIME.tenon,
      check: "Each tenon goes in by hand and lifts its leg.",
    }),
  );
  if (form.crossRails > 0)
    out.push(
      step({
        id: "cross",
        title: "House the cross-rails in the long rails",
        detail: "Before the frame is glued: no router reaches it after.",
        parts: ["long-rail", "cross-rail"],
        after: milled,
        hours: 0.5 * form.crossRails,
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
      detail: "All shoulders closed, diagonals equal. Mark shoulders and cross-rails from the frame.",
      parts: ["leg", ...rails],
      after: ["tenon", ...(grooved ? ["groove"] : []), ...(form.crossRails ? ["cross"] : [])],
      hours: TIME.dryFit,
      check: "Diagonals within 1 mm; tops of legs and rails flush.",
    }),
  );
  if (form.leg.taper !== "none")
    out.push(
      step({
        id: "taper",
        title: "Taper the legs",
        detail: "From 10 mm below the rail to the foot, after the joints are cut.",
        parts: ["leg"],
        after: ["dry-fit"],
        hours: 4 * TIME.shape,
        caution: "Taper jig: hold-downs, and the leg's thick end first.",
      }),
    );
  const shaped = form.leg.taper !== "none" ? "taper" : "dry-fit";
  out.push(
    step({
      id: "sand-base",
      title: "Plane and sand the base parts",
      detail: "Inside faces too; keep off the shoulders. Mask the tenons if you finish first.",
      parts: ["leg", ...rails],
      after: [shaped],
      hours: 2,
    }),
  );
  out.push(
    step({
      id: "glue-ends",
      title: "Glue the two ends",
      detail: "Short sides first: two legs and an end rail each.",
      parts: ["leg", "end-rail"],
      after: ["sand-base"],
      hours: TIME.glueFrame,
      wait: fullHours,
      waitFor: "the ends to cure",
      check: "Out of wind, legs parallel within 0.5 mm.",
    }),
  );
  out.push(
    step({
      id: "glue-base",
      title: "Glue the long rails between the ends",
      detail: form.crossRails
        ? "Cross-rails go in with them: they can't be put in afterwards."
        : "On a flat floor, all four feet down.",
      parts: ["long-rail", ...(form.crossRails ? ["cross-rail"] : [])],
      after: ["glue-ends"],
      hours: TIME.glueFrame,
      wait: fullHours,
      waitFor: "the base to cure",
      check: "Diagonals within 1 mm; all four feet touch.",
    }),
  );
  if (form.cornerBlocks)
    out.push(
      step({
        id: "screw-blocks",
        title: "Screw in the corner blocks",
        detail: "Clear of the legs by 2 mm.",
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
        title: "Cut the legs to height and ease the feet",
        detail: "On the flat floor, marked from a block.",
        parts: ["leg"],
        after: ["glue-base"],
        hours: 0.75,
        check: "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-ends"],
    closing: "glue-base",
    closed: [form.cornerBlocks ? "screw-blocks" : "glue-base"],
    standing: ["cut-feet"],
    seen: ["leg", "long-rail", "end-rail"],
  };
}
