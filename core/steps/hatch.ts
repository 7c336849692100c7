/** How a lid comes out of the top: plunged out when the top is flat, its ledges glued, hung when all is finished. */
import type { Hatch } from "../construction/hatch/facts";
import { hatchOf } from "../construction/hatch/hatch";
import { slipOf } from "../construction/hatch/slides";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { Step, stepOf } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

export function hatchSawSteps(form: Form, after: string): TopStep[] {
  const hatch = hatchOf(form);
  if (!hatch) return [];
  const { x, y, gap, ledge, thickness, slides } = hatch;
  if (slides) return slideSteps(hatch, form, after);
  return [
    {
      id: "hatch-saw",
      title: "Saw the lid out of the top",
      detail: `${mm(x.to - x.from)} by ${mm(y.to - y.from)}, its middle ${mm(Math.abs(form.hatch.x))} ${form.hatch.x < 0 ? "left" : "right"} of the top’s and ${mm(Math.abs(form.hatch.y))} ${form.hatch.y < 0 ? "before" : "behind"} it. Plunged along a track on each line, stopped short of the corners, which a fine handsaw finishes: the offcut is the lid, and ${fine(gap)} all round are what the cuts and a plane take. An arrow on both, so that it never goes in turned round.`,
      parts: ["top", "hatch"],
      after: [after],
      hours: 2,
      check: "Laid back in on shims its grain runs on; the gap is alike on all four sides.",
      caution: "A plunging blade kicks back at its first bite: a stop behind the saw, both hands on it.",
    },
    {
      id: "hatch-ledges",
      title: "Glue the ledges below the opening",
      detail: `Two strips along the grain, ${mm(thickness)} thick, ${mm(ledge)} out under the lid; the lid in its place on a flat board while they dry, paper between it and them. None across the ends: they would hold the top.`,
      parts: ["hatch-ledge", "top"],
      after: ["hatch-saw"],
      hours: 0.75,
      wait: 2,
      waitFor: "the ledges",
      clamps: 6,
      check: "The lid lies level with the top on both; what stands over is planed when it lies in its place.",
    },
  ];
}

/** Two cuts in from the end and one across; slips in the lid, grooves in the top. */
function slideSteps({ x, y, gap, slides }: Hatch, { hatch, top }: Form, after: string): TopStep[] {
  const { thickness, into, deeper, play } = slipOf({ top });
  return [
    {
      id: "hatch-saw",
      title: "Saw the lid out of the top’s end",
      detail: `${mm(x.to - x.from)} in from the ${slides! > 0 ? "right" : "left"} end and ${mm(y.to - y.from)} wide, its middle ${mm(Math.abs(hatch.y))} ${hatch.y < 0 ? "before" : "behind"} the top’s: two cuts along the grain from the end, a plunged one across, the corners finished with a fine handsaw. The offcut is the lid; ${fine(gap)} on three sides are what the cuts and a plane take. An arrow on both.`,
      parts: ["top", "hatch"],
      after: [after],
      hours: 1.5,
      check: "Both long edges parallel and square: calipers read the same at both ends.",
      caution: "A plunging blade kicks back at its first bite: a stop behind the saw, both hands on it.",
    },
    {
      id: "hatch-slips",
      title: "Groove lid and opening, and glue the slips",
      detail: `All four grooves from the upper face with one cutter: ${fine(thickness)} wide in the middle of the edge, ${mm(into)} deep in the lid, ${fine(into + deeper)} in the top, there ${fine(play)} wider by a second pass. Slips of straight grain, ${mm(2 * into + gap)} wide, glued into the lid only; waxed where they run, never glued in the top.`,
      parts: ["hatch", "hatch-slip", "top"],
      after: ["hatch-saw"],
      hours: 1.5,
      wait: 2,
      waitFor: "the slips",
      clamps: 4,
      check: "The lid runs its whole length with two fingers and stays where it is left.",
    },
  ];
}

export function hatchHangSteps(form: Form, after: string): Step[] {
  const hatch = hatchOf(form);
  if (!hatch) return [];
  if (hatch.slides)
    return [
      stepOf({
        id: "hatch-hang",
        title: "Fit the lid in the top",
        detail: `A block glued under the top beside the opening’s outer end, 15 mm of it under the lid; a peg in the lid’s underside near its ${hatch.slides > 0 ? "left" : "right"} end once it is in: it meets the block before the lid leaves its grooves. A hollow for two fingers in its outer end.`,
        parts: ["hatch"],
        after: [after],
        hours: 0.75,
        check: "Level with the top all round; slid out four fifths it doesn’t drop.",
      }),
    ];
  return [
    stepOf({
      id: "hatch-hang",
      title: hatch.hinged === null ? "Fit the lid in the top" : "Hang the lid in the top",
      detail:
        hatch.hinged === null
          ? "Thin felt on the ledges; a hole for two fingers bored and rounded where it can be lifted."
          : `Hinges let into both edges at its ${hatch.hinged > 0 ? "back" : "front"}, their knuckles level with the face, one screw each first; felt on the ledges, a stay that stops it a little past upright.`,
      parts: ["hatch"],
      after: [after],
      hours: hatch.hinged === null ? 0.5 : 1.5,
      check: "It falls shut by itself and lies level; the gap is alike all round.",
    }),
  ];
}
