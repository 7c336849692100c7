/** Whether a bevel below can be had, leaves a rim that holds, and stays clear of what bears the top. */
import { fine, grade, Level, mm, set, Verdict, verdict } from "../../verdict/verdict";
import type { Form } from "../../piece/schema";
import { onBearer, PieceGeometry } from "../geometry";
import { cornersOf } from "../posts";
import { bevelHindrance, bevelOf, fromRim } from "./bevel";

/** A rim thinner than this is dented by every chair, mm. @source common practice */
const RIM = { good: 10, least: 6 };
/** Kept between the line on the underside and what bears the top, mm. */
const CLEAR = 3;
const at = (what: string) => ["form", "top", "edge", what];

const WHY = {
  outline: "Inside a hollow the line on the underside would cross itself, and ends that are held are square.",
  field: "Slats and slabs have their own edges each.",
  parting: "Halves and leaves would show it in every seam.",
  leaves: "Leaves are hinged at that edge.",
  joined: "Its sides or legs go on in the very edge that would be planed away.",
};

interface BevelFacts {
  form: Form;
  at: PieceGeometry;
}

/** How near the rim of a top what bears it stands: by the corners of posts, and the ends of what runs along, across or aslant, mm. */
function bornFrom({ form, at: place }: BevelFacts): number {
  const { top, posts, bearers } = place;
  const corners = [
    ...posts.flatMap(cornersOf),
    ...bearers.flatMap((bearer) =>
      [-1, 1].flatMap((end) =>
        [-1, 1].map((side) => onBearer(bearer, (end * bearer.length) / 2, (side * bearer.thickness) / 2)),
      ),
    ),
  ];
  return corners.reduce(
    (least, corner) => Math.min(least, fromRim(form, place, corner)),
    Math.min(top.length, top.width) / 2,
  );
}

export function bevelBelow(facts: BevelFacts): Verdict | null {
  const { form } = facts;
  const hindrance = bevelHindrance(form);
  const bevel = bevelOf(form);
  if (!bevel) return null;
  const born = bornFrom(facts);
  const free = born - bevel.inward;
  const thick = form.top.thickness;
  const level: Level =
    hindrance || free < 0 ? "fix" : free < CLEAR ? "tight" : grade(bevel.rim, "at least", RIM.good, RIM.least);
  const inward = Math.floor(born - CLEAR);
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
      : `From ${fine(thick)} in the middle. Legs and rails want the flat underside; the nearest is ${mm(born)} in.`,
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
