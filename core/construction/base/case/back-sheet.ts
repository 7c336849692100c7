/** Where a back of sheet is screwed. */
import type { Place } from "../../../assembly/place";
import { FRONT, RIGHT, UP } from "../../../assembly/vector";
import { Contact, screwFor } from "../contact";
import type { Case } from "./case";
import { rebateOf } from "./cut";
import { shelfKind } from "./kinds";
import { shelvesOf } from "./inside";

/** A screw for so much of the back's edge, and so far into what is behind it; into a rail no further than so much short of its middle, where
 * the top's screws stand. mm @source common practice */
export const BACK_SCREWS = { every: 220, into: 22, short: 7, least: 10 };

/** Screws through the back into the edges behind which it lies. */
export function atBack(at: Case): Contact[] {
  const { inside, insideBack, backLow, inner, under, high, dividers, deep, rail, bays } = at;
  const shelves = shelvesOf(at);
  const screwed = { enters: "M", how: "screws" } as const;
  const section = (width: number, into = BACK_SCREWS.into) => ({
    section: { width, thickness: inner },
    screws: {
      screws: Math.max(2, Math.round(width / BACK_SCREWS.every) + 1),
      ...{ through: at.back, long: screwFor(at.back + into) },
    },
  });
  const length = inside.to - inside.from;
  // seen from behind: in, along, and across to what is right of that
  const along = (y: number): Place => ({ at: [inside.from, y, insideBack], x: FRONT, y: RIGHT });
  const joined = at.corners !== "rails";
  return [
    {
      ...{ ...screwed, group: "case-bottom+case-back", name: "Back to bottom", receives: "Q" },
      ...{ ...section(length), depth: deep.to - insideBack, face: along(backLow) },
    },
    ...(joined
      ? backToSides(at, screwed)
      : [
          {
            ...screwed,
            ...(at.subTop
              ? { group: "sub-top+case-back", name: "Back to sub-top", receives: "A", depth: deep.to - insideBack }
              : { group: "case-rail+case-back", name: "Back to rail", receives: "A2", depth: rail }),
            ...section(length, at.subTop ? BACK_SCREWS.into : intoRail(rail)),
            face: along(under - inner),
          },
        ]),
    ...shelves.map(({ bay, at: { from } }, i): Contact => ({
      ...{ ...screwed, group: `${shelfKind(bay)}+case-back`, name: "Back to shelf" },
      receives: shelves.length > 1 ? `H${i + 1}` : "H",
      ...{ ...section(bays[bay].to - bays[bay].from), depth: deep.to - insideBack },
      face: { at: [bays[bay].from, from, insideBack], x: FRONT, y: RIGHT },
    })),
    ...dividers.map((x, i): Contact => ({
      ...{ ...screwed, group: "divider+case-back", name: "Back to divider" },
      receives: dividers.length > 1 ? `DV${i + 1}` : "DV",
      ...{ ...section(high.to - high.from), depth: deep.to - insideBack },
      face: { at: [x + inner / 2, high.from, insideBack], x: FRONT, y: UP },
    })),
  ];
}

const intoRail = (rail: number) =>
  Math.min(BACK_SCREWS.into, Math.max(BACK_SCREWS.least, rail / 2 - BACK_SCREWS.short));

/** With no rail above, it is screwed into the rebates' floors along both sides. */
function backToSides(at: Case, screwed: Pick<Contact, "enters" | "how">): Contact[] {
  const { inside, insideBack, backLow, under, deep } = at;
  const thickness = rebateOf(at);
  return [inside.from, inside.to + thickness].map((x, i): Contact => ({
    ...{ ...screwed, group: "case-side+case-back", name: "Back to side", receives: `P${i + 1}` },
    ...{ depth: deep.to - insideBack, section: { width: under - backLow, thickness } },
    screws: {
      screws: Math.max(2, Math.round((under - backLow) / BACK_SCREWS.every)),
      ...{ through: at.back, long: screwFor(at.back + BACK_SCREWS.into) },
    },
    face: { at: [x, backLow, insideBack], x: FRONT, y: UP },
  }));
}
