/** How a lid comes out of the top: plunged out when the top is flat, its ledges glued, hung when all is finished. */
import { hatchOf } from "../construction/hatch/hatch";
import type { Form } from "../piece/schema";
import { fine, mm } from "../verdict/verdict";
import { Step, stepOf } from "./step";

type TopStep = Partial<Step> & Pick<Step, "id" | "title" | "detail" | "hours">;

export function hatchSawSteps(form: Form, after: string): TopStep[] {
  const hatch = hatchOf(form);
  if (!hatch) return [];
  const { x, y, gap, ledge, thickness } = hatch;
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

export function hatchHangSteps(form: Form, after: string): Step[] {
  const hatch = hatchOf(form);
  if (!hatch) return [];
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
