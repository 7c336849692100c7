/** Whether a bevel below can be had, leaves a rim that holds, and stays clear of what bears the top. */
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import type { Form } from "../../piece/schema";
import type { PieceGeometry } from "../geometry";
import { bevelHindrance, bevelOf } from "./bevel";

/** A rim thinner than this is dented by every chair, mm. @source common practice */
const RIM = { good: 10, least: 6 };
/** Kept between the line on the underside and what bears the top, mm. */
const CLEAR = 3;
const at = (what: string) => ["form", "top", "edge", what];

const WHY = {
  outline: "It is planed along straight edges: along a curve it is a shape of its own.",
  field: "Slats and slabs have their own edges each.",
  parting: "Halves and leaves would show it in every seam.",
  leaves: "Leaves are hinged at that edge.",
  joined: "Its sides or legs go on in the very edge that would be planed away.",
};

interface BevelFacts {
  form: Form;
  at: PieceGeometry;
}

/** How near the sides of a top what bears it stands, across and along it, mm. */
function bornFrom({ at: { top, posts, bearers } }: Pick<BevelFacts, "at">): { side: number; end: number } {
  const out = { side: top.width / 2, end: top.length / 2 };
  for (const { x, z, length, width } of posts) {
    out.end = Math.min(out.end, top.length / 2 - Math.abs(x) - length / 2);
    out.side = Math.min(out.side, top.width / 2 - Math.abs(z) - width / 2);
  }
  for (const { run, at: line, thickness, length, middle = 0 } of bearers) {
    if (run === "aslant") continue;
    const [across, along] = [Math.abs(line) + thickness / 2, Math.abs(middle) + length / 2];
    out.side = Math.min(out.side, top.width / 2 - (run === "along" ? across : along));
    out.end = Math.min(out.end, top.length / 2 - (run === "along" ? along : across));
  }
  return out;
}

export function bevelBelow(facts: BevelFacts): Verdict | null {
  const { form } = facts;
  const hindrance = bevelHindrance(form);
  const bevel = bevelOf(form);
  if (!bevel) return null;
  const born = bornFrom(facts);
  const free = Math.min(born.side, born.end) - bevel.inward;
  const thick = form.top.thickness;
  const level: Level =
    hindrance || free < 0 ? "fix" : free < CLEAR ? "tight" : grade(bevel.rim, "at least", RIM.good, RIM.least);
  const inward = Math.floor(Math.min(born.side, born.end) - CLEAR);
  const rim = Math.min(RIM.good, thick - 1);
  return verdict({
    id: "form.bevel",
    stage: "form",
    subject: ["top"],
    level,
    text: hindrance
      ? "This top can’t be bevelled below: it stays square"
      : free < 0
        ? `The bevel below reaches ${mm(-free)} over what bears the top`
        : free < CLEAR
          ? `The bevel below ends ${mm(free)} before what bears the top`
          : level === "holds"
            ? `Bevelled below from ${mm(bevel.inward)} in to a rim of ${fine(bevel.rim)}: ${Math.round(10 * bevel.angle) / 10}°`
            : `A rim of ${fine(bevel.rim)} is dented by every chair`,
    why: hindrance
      ? WHY[hindrance]
      : `From ${fine(thick)} in the middle. Legs and rails want the flat underside; the nearest is ${mm(Math.min(born.side, born.end))} in.`,
    limit: RIM.good,
    actual: Math.round(bevel.rim * 10) / 10,
    sense: "at least",
    unit: "mm",
    remedies:
      level === "holds"
        ? []
        : hindrance || inward < 5
          ? [set("Leave the edge square", at("kind"), "square")]
          : free < CLEAR
            ? [
                {
                  label: `Begin it ${mm(inward)} in`,
                  patches: [
                    { path: at("size"), value: inward },
                    { path: at("angle"), value: null },
                  ],
                },
              ]
            : [set(`Leave a rim of ${mm(rim)}`, at("rim"), rim)],
  });
}
