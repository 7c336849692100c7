/** Backs of sheet: of how many they are, and where they are screwed. */
import type { Place } from "../../../assembly/place";
import { soldAs, usable } from "../../../assembly/material";
import type { AssemblyPart } from "../../../assembly/part";
import { FRONT, LEFT, RIGHT, UP } from "../../../assembly/vector";
import { Contact, screwFor } from "../contact";
import type { Case } from "./case";
import { PULL, rebateOf } from "./cut";
import { shelfKind } from "./kinds";
import { shelvesOf } from "./inside";

type Plain = Omit<AssemblyPart, "adds" | "cuts">;

/** A screw for so much of the back's edge, and so far into what is behind it; into a rail no further than so much short of its middle, where
 * the top's screws stand. mm @source common practice */
export const BACK_SCREWS = { every: 220, into: 22, short: 7, least: 10 };

/** One sheet of a back: which stretch of the case it closes, and which way its face’s grain runs. x, mm */
interface BackSheet {
  id: string;
  kind: string;
  from: number;
  to: number;
  upright: boolean;
}

/**
 * One sheet where it comes out of one, its grain along or, where only so, upright; else several that meet on dividers.
 *
 * @returns sheets in order; where no divider stands where one should, one of them is larger than a sheet, which the cutting says
 */
export function backSheets(at: Case): BackSheet[] {
  const { inside, backLow, under, dividers } = at;
  const room = usable(soldAs("plywood", at.sold));
  const rebate = rebateOf(at);
  const [from, to, high] = [inside.from - rebate, inside.to + rebate, under - backLow];
  const whole = { id: "M", kind: "case-back", from, to };
  if (high <= room.width && to - from <= room.length) return [{ ...whole, upright: false }];
  if (high <= room.length && to - from <= room.width) return [{ ...whole, upright: true }];
  const upright = high > room.width && high <= room.length;
  const most = upright ? room.width : room.length;
  const seams: number[] = [];
  for (let begin = from; to - begin > most; begin = seams[seams.length - 1]) {
    const beyond = dividers.filter((x) => x > begin + 1);
    if (beyond.length === 0) break;
    seams.push(beyond.findLast((x) => x - begin <= most) ?? beyond[0]);
  }
  if (seams.length === 0) return [{ ...whole, upright: false }];
  const ends = [from, ...seams, to];
  const wide = (i: number) => Math.round(10 * (ends[i + 1] - ends[i]));
  const sizes = [...new Set(ends.slice(1).map((_, i) => wide(i)))];
  return ends.slice(1).map((end, i) => {
    const size = sizes.indexOf(wide(i));
    const kind = size === 0 ? "case-back" : `case-back-${size + 1}`;
    return { id: `M${i + 1}`, kind, from: ends[i], to: end, upright };
  });
}

export function backOfSheets(at: Case): Plain[] {
  const { deep, backLow, under, back: thickness } = at;
  const sheets = backSheets(at);
  return sheets.map(({ id, kind, from, to, upright }): Plain => ({
    ...{ id, kind, name: "Back", letter: "M", role: "sheet", make: "solid" },
    note: `In the sides’ rebates, screwed to the bottom, the rail above and the dividers${sheets.length > 1 ? "; two meet in the middle of a divider" : ""}.`,
    sheet: { material: "plywood", thickness },
    shape: upright
      ? { length: under - backLow, width: to - from, thickness }
      : { length: to - from, width: under - backLow, thickness },
    place: upright
      ? { at: [to, backLow, deep.from], x: UP, y: LEFT }
      : { at: [from, backLow, deep.from], x: RIGHT, y: UP },
    opens: [0, 0, -PULL.back],
  }));
}

/** Screws through the back into the edges behind which it lies. */
export const atBack = (at: Case): Contact[] => {
  const sheets = backSheets(at);
  return sheets.flatMap((sheet, i) => screwsOf(at, sheet, { first: i === 0, last: i === sheets.length - 1 }));
};

function screwsOf(at: Case, sheet: BackSheet, { first, last }: { first: boolean; last: boolean }): Contact[] {
  const { inside, insideBack, backLow, inner, under, high, dividers, deep, rail, bays } = at;
  const [from, to] = [Math.max(inside.from, sheet.from), Math.min(inside.to, sheet.to)];
  const { id, kind } = sheet;
  const screwed = { enters: id, how: "screws" } as const;
  const section = (width: number, into = BACK_SCREWS.into, thickness = inner) => ({
    section: { width, thickness },
    screws: {
      screws: Math.max(2, Math.round(width / BACK_SCREWS.every) + 1),
      ...{ through: at.back, long: screwFor(at.back + into) },
    },
  });
  // seen from behind: in, along, and across to what is right of that
  const along = (y: number): Place => ({ at: [from, y, insideBack], x: FRONT, y: RIGHT });
  const over = at.subTop
    ? { part: "sub-top", name: "Back to sub-top", receives: "A", depth: deep.to - insideBack }
    : { part: "case-rail", name: "Back to rail", receives: "A2", depth: rail };
  return [
    {
      ...{ ...screwed, group: `case-bottom+${kind}`, name: "Back to bottom", receives: "Q" },
      ...{ ...section(to - from), depth: deep.to - insideBack, face: along(backLow) },
    },
    ...(at.corners !== "rails"
      ? backToSides(at, { ...screwed, kind }, [...(first ? [0] : []), ...(last ? [1] : [])])
      : [
          {
            ...{ ...screwed, group: `${over.part}+${kind}`, name: over.name, receives: over.receives },
            ...{ depth: over.depth, ...section(to - from, at.subTop ? BACK_SCREWS.into : intoRail(rail)) },
            face: along(under - inner),
          },
        ]),
    ...shelvesOf(at).flatMap(({ bay, at: shelf }, i, shelves): Contact[] => {
      const middle = (bays[bay].from + bays[bay].to) / 2;
      if (middle < sheet.from || middle > sheet.to) return [];
      return [
        {
          ...{ ...screwed, group: `${shelfKind(bay)}+${kind}`, name: "Back to shelf" },
          receives: shelves.length > 1 ? `H${i + 1}` : "H",
          ...{ ...section(bays[bay].to - bays[bay].from), depth: deep.to - insideBack },
          face: { at: [bays[bay].from, shelf.from, insideBack], x: FRONT, y: RIGHT },
        },
      ];
    }),
    ...dividers.flatMap((x, i): Contact[] => {
      // where two sheets meet each has half of its edge
      const [low, high_] = [Math.max(x - inner / 2, sheet.from), Math.min(x + inner / 2, sheet.to)];
      if (high_ - low < 1) return [];
      return [
        {
          ...(high_ - low < inner - 0.1
            ? { ...screwed, group: `divider+${kind}+seam`, name: "Seam of the back on a divider" }
            : { ...screwed, group: `divider+${kind}`, name: "Back to divider" }),
          receives: dividers.length > 1 ? `DV${i + 1}` : "DV",
          ...{ ...section(high.to - high.from, BACK_SCREWS.into, high_ - low), depth: deep.to - insideBack },
          face: { at: [high_, high.from, insideBack], x: FRONT, y: UP },
        },
      ];
    }),
  ];
}

const intoRail = (rail: number) =>
  Math.min(BACK_SCREWS.into, Math.max(BACK_SCREWS.least, rail / 2 - BACK_SCREWS.short));

/** With no rail above, it is screwed into the rebates’ floors along both sides. @param ways  the left side, the right one */
function backToSides(
  at: Case,
  { kind, ...screwed }: Pick<Contact, "enters" | "how"> & { kind: string },
  ways: readonly number[],
): Contact[] {
  const { inside, insideBack, backLow, under, deep } = at;
  const thickness = rebateOf(at);
  return ways.map((way): Contact => ({
    ...{ ...screwed, group: `case-side+${kind}`, name: "Back to side", receives: `P${way + 1}` },
    ...{ depth: deep.to - insideBack, section: { width: under - backLow, thickness } },
    screws: {
      screws: Math.max(2, Math.round((under - backLow) / BACK_SCREWS.every)),
      ...{ through: at.back, long: screwFor(at.back + BACK_SCREWS.into) },
    },
    face: { at: [[inside.from, inside.to + thickness][way], backLow, insideBack], x: FRONT, y: UP },
  }));
}
