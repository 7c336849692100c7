import { FRAME_CLAMPS, Step, stepOf as step, TIME } from "../../../steps/step";
import type { Staked } from "../../../joinery/staked";
import { fine, mm } from "../../../verdict/verdict";
import type { BaseWork, WorkFacts } from "../base";
import type { StakedLegs } from "./place";
import { sightOf } from "./rules";

/** The order of legs in the top: tenons while legs are square, the top bored before it is finished, then each driven home by itself. */
export function stakedWork({ form, at, joints, thick, fullHours, clampHours }: WorkFacts<StakedLegs>): BaseWork {
  const joint = joints.find((each): each is Staked => each.kind === "staked");
  const { lean, legs, round, section, footSection } = at;
  const { tenon } = form.staked;
  const n = legs.length;
  const leans = lean.degrees > 0;
  const through = joint?.through ?? false;
  const bored = tenon.shape === "round";
  const sight =
    form.staked.stand === "corners"
      ? `${sightOf(at).toFixed(1)}° from the line along the top, toward each corner`
      : "straight out from the top’s middle";
  const kerf = through
    ? " One kerf down each tenon’s middle, its place marked when the leg has been turned in its hole."
    : "";
  const size = joint ? mm(joint.size) : "";
  const tenons: Step = step({
    id: "leg-tenons",
    title: round ? "Turn the legs and their tenons" : bored ? "Turn or cut round tenons on the legs" : "Tenon the legs",
    detail: `${round ? `Centres on both ends: ${mm(section)} at the shoulder${footSection < section ? `, ${mm(footSection)} at the foot` : ""}; the` : "While the legs are square: the"} tenon ${size} ${bored ? `to a hole bored in scrap by the same bit` : "on all four sides, against one fence"}.${leans ? ` The shoulder is cut level afterwards, ${lean.degrees.toFixed(1)}° off square.` : ""}${kerf}`,
    parts: ["staked-leg"],
    after: thick,
    hours: n * (TIME.tenon + (round ? 2 * TIME.shape : 0)),
    check: "Pushed in by hand, turned with effort: no gap to see round it.",
    ...(round
      ? {
          caution:
            "Square corners that turn can’t be seen: the rest clear of them, turned round by hand first; a face shield.",
        }
      : {}),
  });
  const mortises: Step = step({
    id: "leg-mortises",
    title: bored ? "Bore the top for the legs" : "Mortise the top for the legs",
    detail: `${leans ? `Sight lines drawn ${through ? "on the show face" : "below"}: ${sight}. A bevel at ${lean.degrees.toFixed(1)}° stands on each, the bit goes along it` : `Middles marked from the top’s own edges; square to the face`}${through ? ", from the show face into a board clamped below" : joint ? `, to a stop ${fine(joint.reach + 2)} deep` : ""}.`,
    parts: ["top"],
    after: ["flatten"],
    hours: n * (bored ? TIME.mortise : 3 * TIME.mortise),
    check: leans
      ? "A dowel in every hole: seen from the end and from the side they lean alike."
      : "A leg in every mortise stands square to the top, both ways.",
  });
  const taper: Step[] =
    footSection < section && !round
      ? [
          step({
            id: "taper",
            title: "Taper the legs",
            detail: `From below the shoulder to ${fine(footSection)} at the foot, all four sides alike.`,
            parts: ["staked-leg"],
            after: ["leg-tenons"],
            hours: n * TIME.shape,
            caution: "Taper jig: hold-downs, and the leg’s thick end first.",
          }),
        ]
      : [];
  const shaped = taper.length > 0 ? "taper" : "leg-tenons";
  const steps: Step[] = [
    tenons,
    mortises,
    ...taper,
    step({
      id: "dry-fit",
      title: "Set every leg dry in the top",
      detail: `Upside down on blankets; each leg numbered at its ${bored ? "hole" : "mortise"} and turned until its best face looks out${leans ? ", the shoulder scribed level from the top and pared" : ""}.${through ? " Then the kerf’s line: across the top’s grain." : ""}`,
      parts: ["staked-leg", "top"],
      after: ["leg-mortises", shaped],
      hours: 0.25 * n + 0.25,
      check: "From foot to foot alike both ways, within 3 mm.",
    }),
    step({
      id: "sand-base",
      title: "Plane and sand the legs",
      detail: "Keep off the tenons. What is finished now is taped where it takes glue.",
      parts: ["staked-leg"],
      after: ["dry-fit"],
      hours: 0.35 * n,
    }),
    step({
      id: "glue-base",
      title: "Glue the legs into the top",
      detail: through
        ? "Upside down: glue in the hole, the leg driven to its shoulder by its number; turned over on two bearers, every wedge with glue, tapped until its sound changes."
        : "Upside down: glue in the mortise and round the tenon, driven to its shoulder; a clamp from foot to bench where it creeps back.",
      parts: ["staked-leg", "top"],
      after: ["sand-base", "sand-top"],
      hours: TIME.glueFrame,
      wait: fullHours,
      waitFor: "the legs to cure",
      clamps: through ? 0 : FRAME_CLAMPS,
      clampHours,
      check: "No light under a shoulder; feet as far apart as when they were dry.",
    }),
    ...(through
      ? [
          step({
            id: "trim-wedges",
            title: "Trim the tenons above",
            detail:
              tenon.proud > 0
                ? `To ${mm(tenon.proud)} proud on a block of that thickness, then chamfered all round.`
                : "Sawn off over a card, planed level with the top, from the outside of each in.",
            parts: ["staked-leg"],
            after: ["glue-base"],
            hours: 0.15 * n,
          }),
        ]
      : []),
  ];
  const last = through ? "trim-wedges" : "glue-base";
  return {
    steps,
    levelling: [
      step({
        id: "cut-feet",
        title: "Level the feet and ease them",
        detail:
          "The top set level on the flat floor by wedges under the feet; marked all round from a block, sawn, and every foot chamfered 2 mm.",
        parts: ["staked-leg"],
        after: [last],
        hours: 0.75,
        check: n === 3 ? "Three feet never rock: the top’s height is what to check." : "No rock on a flat floor.",
      }),
    ],
    apart: ["sand-base", "glue-base"],
    closing: "glue-base",
    closed: [last],
    standing: ["cut-feet"],
    attach: {
      title: "Set it up",
      detail: "The legs stand in the top: felt under the feet, a day in the room before it is loaded.",
      check: "No rock where it will stand.",
    },
    seen: ["staked-leg"],
  };
}
